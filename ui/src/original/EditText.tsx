import { Button, Input } from "antd";
import { useState } from "react";

import { ProblemNote } from "../shared/ProblemNote";
import { worded } from "../texts/worded";

interface Props {
  label: string;
  start: string;
  placeholder?: string;
  long?: boolean;
  /** Whether nothing may be kept, too: a note is taken away so. */
  empty?: boolean;
  /** Keeps the text; when it fails the text stays in the field. */
  keep: (text: string) => Promise<void>;
  leave: () => void;
}

/** A field in place: Enter keeps, Escape leaves everything as it was. */
export function EditText({
  label,
  start,
  placeholder,
  long = false,
  empty = false,
  keep,
  leave,
}: Props) {
  const [text, setText] = useState(start);
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<unknown>(null);
  const save = () => {
    if ((text.trim() === "" && !empty) || busy) return;
    setBusy(true);
    setError(null);
    keep(text).catch((e: unknown) => {
      setError(e);
      setBusy(false);
    });
  };
  const onKeyDown = (e: React.KeyboardEvent) => {
    e.stopPropagation();
    if (e.key === "Escape") leave();
    if (e.key === "Enter" && (!long || e.ctrlKey)) {
      e.preventDefault();
      save();
    }
  };
  const shared = {
    value: text,
    placeholder,
    "aria-label": label,
    autoFocus: true,
    onKeyDown,
    onChange: (e: { target: { value: string } }) => setText(e.target.value),
  };
  return (
    <div className="edit-text">
      {long ? <Input.TextArea rows={3} {...shared} /> : <Input {...shared} />}
      <Button type="primary" size="small" loading={busy} onClick={save}>
        {worded("original.keep")}
      </Button>
      <Button size="small" onClick={leave}>
        {worded("original.leaveAsItWas")}
      </Button>
      {error !== null && <ProblemNote error={error} />}
    </div>
  );
}
