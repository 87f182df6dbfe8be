import type { Adaptation, RecipeDish, Thread } from "../api/types";
import { refOf } from "../shared/format";

/** A line at the left or right edge of the drawing. */
export interface Knot {
  ref: string;
  label: string;
  animal: boolean;
  y: number;
}

/** A trait in the middle. */
export interface Band {
  thread: Thread;
  key: string;
  y: number;
  height: number;
  /** How much of the original's strength arrives, 0 to 1. */
  arrived: number;
}

/** One ribbon between a line and a trait. */
export interface Ribbon {
  key: string;
  side: "from" | "to";
  band: string;
  ref: string;
  share: number;
  animal: boolean;
  /** Vertical middle and thickness at the line and at the trait. */
  yLine: number;
  yBand: number;
  width: number;
}

/** A thread's end that does not arrive. */
export interface LooseEnd {
  band: string;
  y: number;
  width: number;
}

export interface Drawing {
  left: Knot[];
  right: Knot[];
  bands: Band[];
  ribbons: Ribbon[];
  loose: LooseEnd[];
  height: number;
}

/** Shares below this are drawn with the rest, not as a ribbon of their own. */
const leastShare = 0.03;
const rowHeight = 22;
const bandGap = 12;

/** How much of a trait arrives: all of it unless steps are missing; ten steps short is nothing. */
export function arrivedShare(steps: number, original: number, adapted: number): number {
  if (original <= 0) return 1;
  if (steps >= -1) return 1;
  return Math.max(0, Math.min(1, adapted / original));
}

/** The key of a trait: its name, and its component where it is judged by component. */
export function bandKey(t: Pick<Thread, "trait" | "component">): string {
  return t.component ? `${t.trait} (${t.component})` : t.trait;
}

/** Lays the threads out from what the server computed. No drawing happens here. */
export function layThreads(original: RecipeDish, a: Adaptation): Drawing {
  const left = knots(
    original.components.flatMap((c, i) =>
      c.lines.map((l, j) => ({
        ref: refOf(i, j),
        label: l.name,
        animal: l.origin === "animal",
      })),
    ),
    a.traits.flatMap((t) => t.from),
  );
  const right = knots(
    a.components.flatMap((c, i) =>
      c.lines.map((l, j) => ({ ref: refOf(i, j), label: l.name, animal: false })),
    ),
    a.traits.flatMap((t) => t.to),
  );
  const rows = Math.max(left.length, right.length, 1);
  const height = Math.max(rows * rowHeight, a.traits.length * 30) + 16;
  spread(left, height);
  spread(right, height);
  const bandHeight = Math.max(
    14,
    Math.min(44, (height - 16) / Math.max(1, a.traits.length) - bandGap),
  );
  const pitch = (height - 16) / Math.max(1, a.traits.length);
  const bands: Band[] = a.traits.map((thread, i) => ({
    thread,
    key: bandKey(thread),
    y: 8 + pitch * i + (pitch - bandHeight) / 2,
    height: bandHeight,
    arrived: arrivedShare(thread.steps, thread.original, thread.adapted),
  }));
  const ribbons = bands.flatMap((b) => [
    ...ribbonsOf(b, "from", b.thread.from, left, 1),
    ...ribbonsOf(b, "to", b.thread.to, right, b.arrived),
  ]);
  const loose = bands
    .filter((b) => b.arrived < 0.999 && b.thread.verdict !== "wanted")
    .map((b) => ({
      band: b.key,
      y: b.y + b.height * b.arrived + (b.height * (1 - b.arrived)) / 2,
      width: b.height * (1 - b.arrived),
    }));
  return { left, right, bands, ribbons, loose, height };
}

type Named = Omit<Knot, "y">;

/** Keeps the lines that carry something, in the order of the recipe. */
function knots(lines: Named[], shares: { line: string; share: number }[]): Knot[] {
  const carrying = new Set(shares.filter((s) => s.share >= leastShare).map((s) => s.line));
  return lines.filter((l) => carrying.has(l.ref) || l.animal).map((l) => ({ ...l, y: 0 }));
}

function spread(list: Knot[], height: number) {
  const pitch = (height - 16) / Math.max(1, list.length);
  list.forEach((k, i) => {
    k.y = 8 + pitch * (i + 0.5);
  });
}

function ribbonsOf(
  band: Band,
  side: "from" | "to",
  shares: { line: string; share: number }[],
  knotList: Knot[],
  filled: number,
): Ribbon[] {
  const order = new Map(knotList.map((k, i) => [k.ref, i]));
  const sorted = shares
    .filter((s) => s.share >= leastShare && order.has(s.line))
    .sort((a, b) => (order.get(a.line) ?? 0) - (order.get(b.line) ?? 0));
  let y = band.y;
  return sorted.flatMap((s) => {
    const knot = knotList[order.get(s.line) ?? -1];
    if (!knot) return [];
    const width = Math.max(1, band.height * filled * s.share);
    const ribbon: Ribbon = {
      key: `${side} ${band.key} ${s.line}`,
      side,
      band: band.key,
      ref: s.line,
      share: s.share,
      animal: knot.animal,
      yLine: knot.y,
      yBand: y + width / 2,
      width,
    };
    y += width;
    return [ribbon];
  });
}
