import type { RecipeLine, Span, Tally } from "../api/types";
import { worded } from "../texts/worded";

const thin = " ";

/** Grams as a kitchen reads them; null means nobody knows. */
export function grams(span: Span | null): string {
  if (!span) return "–";
  const [low, high] = [round(span.low), round(span.high)];
  return (low === high ? `${low}` : `${low}–${high}`) + thin + "g";
}

function round(g: number): number {
  if (g < 1) return Math.round(g * 100) / 100;
  if (g < 10) return Math.round(g * 10) / 10;
  return Math.round(g);
}

/** Steps with a sign, as "+1.2" or "−0.4". */
export function signed(steps: number): string {
  const v = Math.abs(steps).toFixed(1);
  return (steps < 0 && v !== "0.0" ? "−" : "+") + v;
}

/** A trait's value in a form short enough for a table. */
export function figure(v: number): string {
  if (v >= 10) return v.toFixed(0);
  return v >= 1 ? v.toFixed(1) : v.toFixed(2);
}

/** The tally in words: "14 kept, 2 near, 1 short". */
export function tallyWords(t: Tally): string {
  const parts = [
    worded("shared.kept", { kept: t.kept }),
    worded("shared.near", { near: t.near }),
    worded("shared.short", { short: t.short }),
  ];
  if (t.over > 0) parts.push(worded("shared.over", { over: t.over }));
  if (t.wanted > 0) parts.push(worded("shared.wantedLess", { wanted: t.wanted }));
  return parts.join(", ");
}

/** The first letter as a capital. */
export function capital(s: string): string {
  return s.charAt(0).toUpperCase() + s.slice(1);
}

/** A line's place, as the server names it. */
export function refOf(component: number, line: number): string {
  return `components[${component}].lines[${line}]`;
}

/** Minutes in words: "25 min", "1 h 30 min". */
export function minutes(span: Span | null): string {
  if (!span) return "";
  const one = (m: number) =>
    m < 90
      ? `${Math.round(m)}${thin}min`
      : `${Math.floor(m / 60)}${thin}h${m % 60 ? worded("shared.min", { m: Math.round(m % 60), thin }) : ""}`;
  return span.low === span.high ? one(span.low) : `${Math.round(span.low)}–${one(span.high)}`;
}

/** What a line shows for its name and preparation. */
export function lineName(l: Pick<RecipeLine, "name" | "preparation">): string {
  return l.preparation ? `${l.name}, ${l.preparation}` : l.name;
}
