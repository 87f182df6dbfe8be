import { useEffect, useRef } from "react";

import type { DevicesNow } from "../api/types";

/** Something that was kept, by its kind. */
export interface Kept {
  kind: string;
  key: string;
}

/** A cook-through to which something happened: the number of the event, where it is one. */
export interface Changed {
  cook: string;
  n?: number;
}

/** How many dishes of an archive were looked at, or brought in. */
export interface Far {
  phase: string;
  done: number;
  of: number;
}

/** What a part of the page does with what the server tells all screens. */
export interface Ears {
  kept?: (what: Kept) => void;
  changed?: (what: Changed) => void;
  /** Some of the shelf was worked out anew. */
  shelf?: () => void;
  /** How far an archive is that comes in. */
  archive?: (how: Far) => void;
  devices?: (now: DevicesNow) => void;
  /** The line is there again; missed tells whether anything was told meanwhile. */
  opened?: (missed: boolean) => void;
  /** Whether it must hear while nobody sees the window: the stove calls from anywhere. */
  always?: boolean;
}

// A window holds one line to the server, whoever listens in it: a browser has few.
const ears = new Set<{ current: Ears }>();
let line: EventSource | null = null;
/** The number of what was told last, -1 before the first. */
let last = -1;

function each(what: (e: Ears) => void) {
  for (const e of [...ears]) what(e.current);
}

function wanted(): boolean {
  const all = [...ears];
  return all.some((e) => e.current.always) || (all.length > 0 && !document.hidden);
}

/** Opens the line where somebody wants to hear, and lets it go where nobody does. */
function mind() {
  if (typeof EventSource === "undefined") return;
  if (!wanted()) {
    line?.close();
    line = null;
    return;
  }
  if (line) return;
  const opened = new EventSource("/api/stream");
  line = opened;
  const on = <T>(name: string, what: (value: T) => void) =>
    opened.addEventListener(name, (e: MessageEvent<string>) => {
      if (e.lastEventId) last = Number(e.lastEventId);
      what(JSON.parse(e.data) as T);
    });
  on<{ n: number }>("hello", ({ n }) => {
    const missed = last >= 0 && n !== last;
    last = n;
    each((e) => e.opened?.(missed));
  });
  on<Kept>("kept", (what) => each((e) => e.kept?.(what)));
  on<Changed>("changed", (what) => each((e) => e.changed?.(what)));
  on("shelf", () => each((e) => e.shelf?.()));
  on<Far>("archive", (how) => each((e) => e.archive?.(how)));
  on<DevicesNow>("devices", (now) => each((e) => e.devices?.(now)));
}

/** Listens to what the server tells all screens; the browser opens the line again by itself. */
export function useStream(listen: Ears) {
  const own = useRef(listen);
  useEffect(() => {
    own.current = listen;
  });
  useEffect(() => {
    const mine = own;
    ears.add(mine);
    mind();
    document.addEventListener("visibilitychange", mind);
    return () => {
      ears.delete(mine);
      if (ears.size === 0) document.removeEventListener("visibilitychange", mind);
      mind();
    };
  }, []);
}
