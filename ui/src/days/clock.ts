import { worded } from "../texts/worded";

/** Times as the server writes them, in the zone of serving. */

const minute = 60_000;

/** Minutes from a to b. */
export function between(a: string, b: string): number {
  return (Date.parse(b) - Date.parse(a)) / minute;
}

/** The wall clock of a time, "17:05". */
export function wall(at: string): string {
  return at.slice(11, 16);
}

/** The date of a time, "Sat 5 Dec". */
export function dateOf(at: string): string {
  return new Date(`${at.slice(0, 10)}T12:00:00Z`).toLocaleDateString("en-GB", {
    weekday: "short",
    day: "numeric",
    month: "short",
    timeZone: "UTC",
  });
}

/** A time so many minutes later, in the same zone. */
export function later(at: string, minutes: number): string {
  const zone = /(Z|[+-]\d\d:\d\d)$/.exec(at)?.[0] ?? "Z";
  const shown = Date.parse(at.replace(zone, "Z")) + Math.round(minutes) * minute;
  return new Date(shown).toISOString().slice(0, 19) + zone;
}

/** What a date-and-time field says, with the zone of this machine then. */
export function withZone(local: string): string {
  const off = -new Date(local).getTimezoneOffset();
  const two = (n: number) => String(Math.floor(n)).padStart(2, "0");
  const zone =
    off === 0 ? "Z" : `${off < 0 ? "-" : "+"}${two(Math.abs(off) / 60)}:${two(Math.abs(off) % 60)}`;
  return `${local.length === 16 ? `${local}:00` : local}${zone}`;
}

/** This moment, written in the zone of another time. */
export function momentIn(at: string, now: number): string {
  return later(at, (now - Date.parse(at)) / minute);
}

/** Minutes in words, "1 h 20 min". */
export function span(minutes: number): string {
  const m = Math.round(minutes);
  if (m < 60) return worded("days.min", { m });
  return m % 60 === 0 ? `${m / 60} h` : worded("days.hMin", { m: Math.floor(m / 60), m2: m % 60 });
}
