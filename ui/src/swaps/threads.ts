import type { Adaptation, RecipeDish, Thread } from "../api/types";
import { refOf } from "../shared/format";
import { worded } from "../texts/worded";

/** A line, or what a swap brought, at the left or right edge of the drawing. */
export interface Knot {
  key: string;
  /** The lines that it stands for. */
  refs: string[];
  label: string;
  animal: boolean;
  /** The original line it replaces, at the right edge. */
  from: string;
  y: number;
}

/** A trait in the middle. */
export interface Band {
  thread: Thread;
  key: string;
  label: string;
  y: number;
  height: number;
  /** How much of the original's strength arrives, 0 to 1. */
  arrived: number;
}

/** One ribbon between a knot and a trait. */
export interface Ribbon {
  key: string;
  side: "from" | "to";
  band: string;
  knot: string;
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
  /** Traits that are not drawn because they are kept and there are many. */
  hidden: number;
}

/** Shares below this are drawn with the rest, not as a ribbon of their own. */
const leastShare = 0.03;
const rowHeight = 19;
const bandPitch = 22.5;
const bandGap = 5;
const edge = 10;
/** How many traits are drawn at once, unless all are asked for. */
export const mostBands = 14;

/** How much of a trait arrives: all of it unless steps are missing. */
export function arrivedShare(steps: number, original: number, adapted: number): number {
  if (original <= 0) return 1;
  if (steps >= -1) return 1;
  return Math.max(0, Math.min(1, adapted / original));
}

/** The key of a trait: its name, and its component where it is judged by component. */
export function bandKey(t: Pick<Thread, "trait" | "component">): string {
  return t.component ? `${t.trait} (${t.component})` : t.trait;
}

function idOf(t: Thread): string {
  return `${t.trait} ${t.part} ${t.component}`;
}

/**
 * Chooses the traits to draw when there are many: pinned ones, those furthest
 * off, those of the whole dish, then the strongest; in the order they came.
 */
export function chooseBands(traits: Thread[], most: number): Thread[] {
  if (traits.length <= most) return traits;
  const weight = (t: Thread) =>
    (t.pinned ? 1000 : 0) +
    (t.verdict === "kept" ? 0 : 100 + Math.min(90, Math.abs(t.steps) * 5)) +
    (t.family === "tasted" || t.family === "smelt" ? 60 : 0) +
    t.strength * 10;
  const order = traits.map((t, i) => ({ t, i })).sort((a, b) => weight(b.t) - weight(a.t));
  const chosen = new Set(order.slice(0, most).map((x) => x.i));
  return traits.filter((_, i) => chosen.has(i));
}

/** Lays the threads out from what the server computed. No drawing happens here. */
export function layThreads(original: RecipeDish, a: Adaptation, most = mostBands): Drawing {
  const traits = chooseBands(a.traits, most);
  const left = carrying(
    leftKnots(original),
    traits.flatMap((t) => t.from),
  );
  const right = carrying(
    rightKnots(a),
    traits.flatMap((t) => t.to),
  );
  const height =
    Math.max(
      Math.max(left.length, right.length, 3) * rowHeight,
      Math.max(traits.length, 3) * bandPitch,
    ) +
    2 * edge;
  spread(left, height);
  spread(right, height);
  const pitch = (height - 2 * edge) / Math.max(1, traits.length);
  const bandHeight = Math.max(17, Math.min(40, pitch - bandGap));
  const bands: Band[] = traits.map((thread, i) => ({
    thread,
    key: idOf(thread),
    label: bandKey(thread),
    y: edge + pitch * i + (pitch - bandHeight) / 2,
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
  return { left, right, bands, ribbons, loose, height, hidden: a.traits.length - traits.length };
}

function leftKnots(original: RecipeDish): Knot[] {
  return original.components.flatMap((c, i) =>
    c.lines.map((l, j) => ({
      key: `from ${refOf(i, j)}`,
      refs: [refOf(i, j)],
      label: l.name,
      animal: l.origin === "animal",
      from: refOf(i, j),
      y: 0,
    })),
  );
}

/** What a swap brought is one knot, so that the edge stays readable. */
function rightKnots(a: Adaptation): Knot[] {
  const knots: Knot[] = [];
  a.components.forEach((c, i) =>
    c.lines.forEach((l, j) => {
      const swap = l.change === "swapped" ? a.swaps.find((s) => s.replaces === l.from) : undefined;
      const before = swap && knots.find((k) => k.key === `to ${swap.replaces}`);
      if (before) {
        before.refs.push(refOf(i, j));
        return;
      }
      knots.push({
        key: swap ? `to ${swap.replaces}` : `to line ${refOf(i, j)}`,
        refs: [refOf(i, j)],
        label: swap ? swap.name : l.change === "booster" ? `+ ${l.name}` : l.name,
        animal: false,
        from: l.from ?? "",
        y: 0,
      });
    }),
  );
  return knots;
}

/** Keeps the knots that carry something, in the order of the recipe. */
function carrying(knots: Knot[], shares: { line: string; share: number }[]): Knot[] {
  const by = new Map<string, number>();
  for (const s of shares) by.set(s.line, Math.max(by.get(s.line) ?? 0, s.share));
  return knots.filter((k) => k.animal || k.refs.some((r) => (by.get(r) ?? 0) >= leastShare));
}

function spread(list: Knot[], height: number) {
  const pitch = (height - 2 * edge) / Math.max(1, list.length);
  list.forEach((k, i) => {
    k.y = edge + pitch * (i + 0.5);
  });
}

function ribbonsOf(
  band: Band,
  side: "from" | "to",
  shares: { line: string; share: number }[],
  knots: Knot[],
  filled: number,
): Ribbon[] {
  let y = band.y;
  return knots.flatMap((knot) => {
    const share = shares.reduce((sum, s) => (knot.refs.includes(s.line) ? sum + s.share : sum), 0);
    if (share < leastShare) return [];
    const width = Math.max(1, band.height * filled * share);
    const ribbon: Ribbon = {
      key: `${side} ${band.key} ${knot.key}`,
      side,
      band: band.key,
      knot: knot.key,
      share,
      animal: knot.animal,
      yLine: knot.y,
      yBand: y + width / 2,
      width,
    };
    y += width;
    return [ribbon];
  });
}

/** What is lit when something is pointed at: its knots, traits and ribbons. */
export interface Path {
  knots: Set<string>;
  bands: Set<string>;
  ribbons: Set<string>;
}

/**
 * The path of a knot or a trait. A line of the original also lights what stands
 * for it, and what stands lights the line it came from.
 */
export function pathOf(d: Drawing, key: string): Path | null {
  const knot = [...d.left, ...d.right].find((k) => k.key === key);
  if (!knot && !d.bands.some((b) => b.key === key)) return null;
  const starts = new Set([key]);
  if (knot?.from) {
    for (const k of [...d.left, ...d.right]) if (k.from === knot.from) starts.add(k.key);
  }
  const path: Path = { knots: new Set(starts), bands: new Set(), ribbons: new Set() };
  for (const r of d.ribbons) {
    if (!starts.has(r.knot) && r.band !== key) continue;
    path.ribbons.add(r.key);
    path.bands.add(r.band);
    path.knots.add(r.knot);
  }
  return path;
}

function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}

/** What is pointed at, said in figures. */
export function sayPath(d: Drawing, key: string, figures: (t: Thread) => string): string {
  const band = d.bands.find((b) => b.key === key);
  const named = (side: "from" | "to", b: string) => {
    const knots = side === "from" ? d.left : d.right;
    return d.ribbons
      .filter((r) => r.band === b && r.side === side)
      .sort((x, y) => y.share - x.share)
      .slice(0, 4)
      .map((r) => `${knots.find((k) => k.key === r.knot)?.label ?? ""} ${percent(r.share)}`)
      .join(", ");
  };
  if (band) {
    const from = named("from", key) || "nothing";
    const to = named("to", key) || "nothing";
    return worded("swaps.fromNowFrom", { figures: figures(band.thread), from, to });
  }
  const knot = [...d.left, ...d.right].find((k) => k.key === key);
  if (!knot) return "";
  const gives = d.ribbons
    .filter((r) => r.knot === key)
    .sort((x, y) => y.share - x.share)
    .slice(0, 8)
    .map((r) => `${d.bands.find((b) => b.key === r.band)?.label ?? ""} ${percent(r.share)}`);
  return `${knot.label}: ${gives.length > 0 ? gives.join(", ") : worded("swaps.givesLittleToAnyTraitShown")}.`;
}
