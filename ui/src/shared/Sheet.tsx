import "./sheet.css";

import { useEffect, useRef } from "react";

import { worded } from "../texts/worded";

interface Props {
  title: string;
  /** Called when the cook closes it; a sheet without it must be answered. */
  close?: () => void;
  wide?: boolean;
  children: React.ReactNode;
}

/** A sheet over the page, on the browser's own modal dialog. */
export function Sheet({ title, close, wide = false, children }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const d = dialog.current;
    d?.showModal();
    return () => d?.close();
  }, []);
  return (
    <dialog
      ref={dialog}
      className={wide ? "sheet wide" : "sheet"}
      aria-label={title}
      onCancel={(e) => {
        e.preventDefault();
        close?.();
      }}
    >
      <header>
        <h2>{title}</h2>
        {close && (
          <button className="sheet-close" onClick={close} aria-label={worded("shared.close")}>
            {worded("shared.close")}
          </button>
        )}
      </header>
      {children}
    </dialog>
  );
}
