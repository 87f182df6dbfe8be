import type { Action, RecipeDish, Ref } from "../api/types";
import { minutes, refOf } from "../shared/format";
import { worded } from "../texts/worded";

/** A line that comes in at the left. */
export interface LineEnd {
  ref: string;
  name: string;
  animal: boolean;
  x: number;
  y: number;
}

/** An action as a knot. */
export interface Knot {
  id: string;
  /** Its place in the method, from 1. */
  order: number;
  step: string;
  label: string;
  said: string;
  alone: boolean;
  /** Whether its word stands below it, where columns are too narrow for words side by side. */
  below: boolean;
  x: number;
  y: number;
}

/** A thread from a line or a knot to a knot, or to the plate. */
export interface Strand {
  key: string;
  path: string;
  thick: boolean;
}

export interface Picture {
  width: number;
  /** Whether there is room for a word at each knot. */
  labelled: boolean;
  height: number;
  lines: LineEnd[];
  knots: Knot[];
  strands: Strand[];
  plate: { x: number; y: number };
}

const names = 150;
const widest = 48;
const narrowest = 20;
/** How wide the picture may be before its columns draw together. */
const room = 700;
const margin = 14;
/** How wide a column must be for a word at every knot. */
const roomForAWord = 44;

/** The height of a row: calm for few lines, tight for many. */
function rowOf(lines: number): number {
  return Math.max(11, Math.min(22, 560 / Math.max(1, lines)));
}

/** Lays out the method of a dish: lines at the left, actions as knots in the order in which they
 * need each other, one plate at the right. */
export function layout(dish: RecipeDish): Picture {
  const actions = inOrder(dish);
  const used = new Set(actions.flatMap(({ action }) => refs(action).flatMap((r) => r.line ?? [])));
  const lines = dish.components.flatMap((c, i) =>
    c.lines.flatMap((l, j) => {
      const ref = refOf(i, j);
      return used.has(ref) ? [{ ref, name: l.name, animal: l.origin === "animal" }] : [];
    }),
  );
  const row = rowOf(lines.length);
  const ends = lines.map((l, i) => ({ ...l, x: names, y: margin + row * (i + 0.5) }));
  const at = new Map(ends.map((l) => [l.ref, l]));
  const depth = depths(actions.map((a) => a.action));
  const most = Math.max(1, ...depth.values());
  const column = Math.max(narrowest, Math.min(widest, (room - names - 84) / most));
  const knots = place(actions, depth, at, row, column, dish);
  const known = new Map(knots.map((k) => [k.id, k]));
  const height = Math.max(margin * 2 + row * lines.length, ...knots.map((k) => k.y + margin), 60);
  const plate = { x: names + column * (most + 1) + 24, y: height / 2 };
  return {
    width: plate.x + 34,
    labelled: column >= roomForAWord / 2 && row >= 14,
    height,
    lines: ends,
    knots,
    strands: strands(
      actions.map((a) => a.action),
      at,
      known,
      plate,
    ),
    plate,
  };
}

interface Placed {
  action: Action;
  step: string;
}

/** All actions in the order in which they are done. */
export function inOrder(dish: RecipeDish): Placed[] {
  const steps = dish.components.flatMap((c, i) =>
    c.steps.map((s, j) => ({ s, order: s.order ?? 0, i, j })),
  );
  let last = 0;
  const ranked = steps.map((x, n) => {
    if (x.order > 0) last = x.order;
    return { ...x, rank: last, n };
  });
  ranked.sort((a, b) => a.rank - b.rank || a.n - b.n);
  return ranked.flatMap(({ s }, n) => s.actions.map((action) => ({ action, step: String(n + 1) })));
}

function refs(a: Action): Ref[] {
  return [...a.to, ...a.with, ...a.into];
}

/** How many actions stand before each, at the longest. */
function depths(actions: Action[]): Map<string, number> {
  const depth = new Map<string, number>();
  for (const a of actions) {
    const before = refs(a).map((r) => (r.made ? (depth.get(r.made) ?? 0) : 0));
    depth.set(a.id, 1 + Math.max(0, ...before));
  }
  return depth;
}

function place(
  actions: Placed[],
  depth: Map<string, number>,
  lines: Map<string, { y: number }>,
  row: number,
  column: number,
  dish: RecipeDish,
): Knot[] {
  const out = new Map<string, Knot>();
  const taken = new Map<number, number[]>();
  actions.forEach(({ action, step }, i) => {
    const d = depth.get(action.id) ?? 1;
    const ys = refs(action).flatMap((r) => {
      const from = r.line ? lines.get(r.line) : r.made ? out.get(r.made) : undefined;
      return from ? [from.y] : [];
    });
    const last = [...out.values()].at(-1);
    const wanted = ys.length > 0 ? ys.reduce((a, b) => a + b, 0) / ys.length : (last?.y ?? margin);
    const y = free(taken.get(d) ?? [], wanted, Math.max(row, 11));
    taken.set(d, [...(taken.get(d) ?? []), y]);
    out.set(action.id, {
      id: action.id,
      order: i + 1,
      step,
      label: action.verb,
      said: said(action, dish),
      alone: action.alone ?? false,
      below: column < roomForAWord && d % 2 === 0,
      x: names + column * d,
      y,
    });
  });
  return [...out.values()];
}

/** The place nearest to the wanted one that is not within a knot's reach of another. */
function free(taken: number[], wanted: number, apart: number): number {
  for (let n = 0; n < 400; n++) {
    const y = wanted + (n % 2 === 0 ? 1 : -1) * Math.ceil(n / 2) * apart;
    if (y >= margin && taken.every((t) => Math.abs(t - y) >= apart * 0.9)) return y;
  }
  return wanted;
}

function strands(
  actions: Action[],
  lines: Map<string, { x: number; y: number }>,
  knots: Map<string, Knot>,
  plate: { x: number; y: number },
): Strand[] {
  const out: Strand[] = [];
  const gone = new Set<string>();
  for (const a of actions) {
    const to = knots.get(a.id);
    if (!to) continue;
    refs(a).forEach((r, i) => {
      const from = r.line ? lines.get(r.line) : r.made ? knots.get(r.made) : undefined;
      if (!from) return;
      if (r.made) gone.add(r.made);
      out.push({ key: `${a.id} ${i}`, path: curve(from, to), thick: !(a.alone ?? false) });
    });
  }
  const open = actions.filter((a) => !gone.has(a.id) && refs(a).length > 0 && ends(a));
  for (const a of open.slice(-1)) {
    const from = knots.get(a.id);
    if (from) out.push({ key: `${a.id} plate`, path: curve(from, plate), thick: true });
  }
  return out;
}

/** Whether an action makes something that can reach the plate. */
function ends(a: Action): boolean {
  return a.to.some((r) => r.made !== null || r.line !== null);
}

function curve(from: { x: number; y: number }, to: { x: number; y: number }): string {
  const middle = (from.x + to.x) / 2;
  return `M${from.x} ${from.y}C${middle} ${from.y} ${middle} ${to.y} ${to.x} ${to.y}`;
}

/** The name of a thing as a cook would say it. */
export function thing(r: Ref, dish: RecipeDish, made: Map<string, string>): string {
  const share = r.share < 1 ? `${part(r.share)} ` : "";
  if (r.line) return share + lineName(r.line, dish) + (r.part ? ` (${r.part})` : "");
  if (r.named) return share + r.named;
  if (r.of) return share + lineName(r.of, dish);
  return share + (r.made ? (made.get(r.made) ?? worded("flow.whatWasMade")) : "");
}

function part(share: number): string {
  const usual: [number, string][] = [
    [0.5, "½"],
    [0.25, "¼"],
    [0.75, "¾"],
    [0.333, "⅓"],
    [0.667, "⅔"],
  ];
  const near = usual.find(([v]) => Math.abs(v - share) < 0.02);
  return near ? near[1] : `${Math.round(share * 100)}%`;
}

function lineName(ref: string, dish: RecipeDish): string {
  const m = /^components\[(\d+)\]\.lines\[(\d+)\]$/.exec(ref);
  return m ? (dish.components[Number(m[1])]?.lines[Number(m[2])]?.name ?? ref) : ref;
}

/** What each action's outcome is called: what the text calls it, or what it was first made of. */
export function madeNames(dish: RecipeDish): Map<string, string> {
  const out = new Map<string, string>();
  for (const { action } of inOrder(dish)) {
    const [first] = [...action.to, ...action.into, ...action.with];
    const several = action.to.length + action.into.length > 1 ? worded("flow.andTheRest") : "";
    const base = first ? thing({ ...first, share: 1 }, dish, out) : worded("flow.whatWasMade");
    const name = base.endsWith(several) ? base : base + several;
    out.set(action.id, action.makes ? worded("flow.theMade", { made: action.makes }) : name);
  }
  return out;
}

/** An action in words, for a reader. */
function said(a: Action, dish: RecipeDish): string {
  const made = madeNames(dish);
  const list = (rs: Ref[]) => rs.map((r) => thing(r, dish, made)).join(", ");
  const words = [a.verb, list(a.to)];
  if (a.with.length > 0) words.push(worded("flow.with", { list: list(a.with) }));
  if (a.into.length > 0) words.push(worded("flow.into", { list: list(a.into) }));
  if (a.minutes) words.push(minutes(a.minutes));
  if (a.cue) words.push(a.cue);
  return words.filter(Boolean).join(" ");
}
