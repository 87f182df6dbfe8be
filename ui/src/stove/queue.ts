import type { Event } from "../api/types";
import { worded } from "../texts/worded";

/** What a screen tells of a tap; the server numbers and dates it. */
export type Told = Omit<Event, "n" | "at" | "key" | "screen">;

/** A tap that waits to be sent: to which cook-through, and the event. */
export interface Waiting {
  cook: string;
  event: Event;
}

const place = "yembra.stove.waiting";

/** Taps that were not yet sent, oldest first; they outlive a closed lid. */
export function waiting(): Waiting[] {
  try {
    return JSON.parse(localStorage.getItem(place) ?? "[]") as Waiting[];
  } catch {
    return [];
  }
}

function keep(list: Waiting[]) {
  localStorage.setItem(place, JSON.stringify(list));
}

/** Puts a tap behind those that wait. */
export function push(w: Waiting) {
  keep([...waiting(), w]);
}

/** Takes the taps that were sent, or that the server will never take, off the list. */
export function drop(key: string) {
  keep(waiting().filter((w) => w.event.key !== key));
}

/** A key for one tap, so that it counts once however often it is sent. */
export function drawKey(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return Array.from(bytes, (b) => b.toString(16).padStart(2, "0")).join("");
}

/** The name of this screen, kept in the browser. */
export function screenName(): string {
  let name = localStorage.getItem("yembra.screen");
  if (!name) {
    name = worded("stove.screen", { drawKey: drawKey().slice(0, 4) });
    localStorage.setItem("yembra.screen", name);
  }
  return name;
}

/**
 * Sends what waits, one after the other, in order. Stops where the line is gone
 * (answers "later"); a tap that the server refuses is dropped and said.
 */
export async function flush(
  send: (w: Waiting) => Promise<void>,
  gone: (error: unknown) => boolean,
  refused: (error: unknown) => void,
): Promise<"sent" | "later"> {
  for (let next = waiting()[0]; next; next = waiting()[0]) {
    try {
      await send(next);
    } catch (error) {
      if (gone(error)) return "later";
      refused(error);
    }
    drop(next.event.key);
  }
  return "sent";
}
