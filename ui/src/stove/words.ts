import { worded } from "../texts/worded";

/** Times and weights as the stove shows them. */

const minute = 60_000;

/** Time left or gone over: "12:05", "1:02:05", "−0:40". */
export function countdown(ends: number, now: number): string {
  const left = Math.round((ends - now) / 1000);
  const s = Math.abs(left);
  const two = (n: number) => String(n).padStart(2, "0");
  const h = Math.floor(s / 3600);
  const m = Math.floor((s % 3600) / 60);
  const text = h > 0 ? `${h}:${two(m)}:${two(s % 60)}` : `${m}:${two(s % 60)}`;
  return left < 0 ? `−${text}` : text;
}

/** Minutes as one says them. */
export function inMinutes(minutes: number): string {
  const m = Math.round(minutes);
  if (m < 60) return worded("stove.min", { m });
  return m % 60 === 0 ? `${m / 60} h` : worded("stove.hMin", { m: Math.floor(m / 60), m2: m % 60 });
}

/** The wall clock of a moment in this screen's own zone. */
export function clockOf(at: number): string {
  return new Date(at).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });
}

/** When a move is planned, seen from now: only worth saying when it is not now. */
export function plannedWords(start: number, now: number): string {
  if (start === 0) return "";
  const ahead = (start - now) / minute;
  if (ahead > 24 * 60) {
    const day = new Date(start).toLocaleDateString("en-GB", {
      weekday: "short",
      day: "numeric",
      month: "short",
    });
    return worded("stove.plannedFor", { day, clockOf: clockOf(start) });
  }
  if (ahead >= 1)
    return worded("stove.plannedForIn", { clockOf: clockOf(start), inMinutes: inMinutes(ahead) });
  return "";
}

/** How much of a timer is over, 0 to 1. */
export function gone(begun: number, ends: number, now: number): number {
  return Math.min(1, Math.max(0, (now - begun) / Math.max(1, ends - begun)));
}
