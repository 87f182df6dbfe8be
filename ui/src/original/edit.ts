import type {
  Decisions,
  Mend,
  RecipeComponent,
  RecipeDish,
  RecipeLine,
  RecipeStep,
} from "../api/types";
import { refOf } from "../shared/format";
import { without } from "../shared/records";

/** An original with the decisions that hang on its lines. */
export interface Editable {
  original: RecipeDish;
  decisions: Decisions;
}

/** Where a line went: its new place, or null when it is gone. */
type Moves = (component: number, line: number) => [number, number] | null;

const stay: Moves = (c, l) => [c, l];

/** Takes back what was decided of one line. */
function forget(d: Decisions, ref: string): Decisions {
  const decisions: Decisions = { ...d, swaps: without(d.swaps, ref) };
  if (d.uses) decisions.uses = without(d.uses, ref);
  if (d.amounts) decisions.amounts = without(d.amounts, ref);
  return decisions;
}

/** Carries the cook's wording along with the steps it is for. */
function reworded(wording: Record<string, string>, steps: Moves): Record<string, string> {
  return Object.fromEntries(
    Object.entries(wording).flatMap(([key, text]) => {
      const m = /^components\[(\d+)\](?:\.steps\[(\d+)\])?(.*)$/.exec(key);
      if (!m) return [];
      const to = steps(Number(m[1]), Number(m[2] ?? 0));
      if (!to) return [];
      const step = m[2] === undefined ? "" : `.steps[${to[1]}]`;
      return [[`components[${to[0]}]${step}${m[3] ?? ""}`, text]];
    }),
  );
}

/** Carries decisions and notices along with the lines they belong to. */
function follow(e: Editable, original: RecipeDish, moves: Moves, steps: Moves = stay): Editable {
  const gone = new Map<string, string | null>();
  const parts = new Map<number, number>();
  e.original.components.forEach((c, i) =>
    c.lines.forEach((_, j) => {
      const to = moves(i, j);
      gone.set(refOf(i, j), to && refOf(...to));
      if (to) parts.set(i, to[0]);
    }),
  );
  const carried = <T>(of: Record<string, T> = {}) =>
    Object.fromEntries(
      Object.entries(of).flatMap(([ref, value]) => {
        const to = gone.get(ref);
        return to ? [[to, value]] : [];
      }),
    );
  const notices = original.notices.flatMap((n) => {
    const to = gone.get(n.where);
    if (to === null) return [];
    return [to === undefined ? n : { ...n, where: to }];
  });
  const d = e.decisions;
  const decisions: Decisions = { ...d, swaps: carried(d.swaps) };
  if (d.uses) decisions.uses = carried(d.uses);
  if (d.amounts) decisions.amounts = carried(d.amounts);
  if (d.wording) decisions.wording = reworded(d.wording, steps);
  decisions.boosters = d.boosters.map((b) => ({
    ...b,
    component: parts.get(b.component) ?? b.component,
  }));
  const components = original.components.map((c) => ({
    ...c,
    steps: c.steps.map((s) =>
      s.mends ? { ...s, mends: s.mends.flatMap((m) => mendAt(m, gone)) } : s,
    ),
  }));
  return { original: { ...original, components, notices }, decisions };
}

/** A mend with its line where it has gone; none when the line is gone. */
function mendAt(m: Mend, gone: Map<string, string | null>): Mend[] {
  if (!m.line) return [m];
  const to = gone.get(m.line);
  return to ? [{ ...m, line: to }] : [];
}

function withComponent(
  d: RecipeDish,
  at: number,
  change: (c: RecipeComponent) => RecipeComponent,
): RecipeDish {
  return { ...d, components: d.components.map((c, i) => (i === at ? change(c) : c)) };
}

/** The index that an item at `i` has after the one at `from` went to `to`. */
function shifted(i: number, from: number, to: number): number {
  if (i === from) return to;
  if (from < i && i <= to) return i - 1;
  if (to <= i && i < from) return i + 1;
  return i;
}

function moved<T>(items: T[], from: number, to: number): T[] {
  const out = items.slice();
  const [item] = out.splice(from, 1);
  if (item !== undefined) out.splice(to, 0, item);
  return out;
}

function reachable(length: number, from: number, to: number): boolean {
  return from !== to && from >= 0 && from < length && to >= 0 && to < length;
}

/** Puts a read line in the place of another, or at the end. */
export function setLine(e: Editable, component: number, line: number, read: RecipeLine): Editable {
  const where = refOf(component, line);
  const original = withComponent(e.original, component, (c) => ({
    ...c,
    lines:
      line < c.lines.length ? c.lines.map((l, i) => (i === line ? read : l)) : [...c.lines, read],
  }));
  const same = e.original.components[component]?.lines[line]?.food === read.food;
  const decisions = same ? e.decisions : forget(e.decisions, where);
  const notices = original.notices.filter((n) => n.where !== where);
  return { original: { ...original, notices }, decisions };
}

export function removeLine(e: Editable, component: number, line: number): Editable {
  const original = withComponent(e.original, component, (c) => ({
    ...c,
    lines: c.lines.filter((_, i) => i !== line),
    steps: c.steps.map((s) => ({
      ...s,
      lines: s.lines.filter((n) => n !== line).map((n) => (n > line ? n - 1 : n)),
    })),
  }));
  return follow(e, original, (c, l) => {
    if (c !== component || l < line) return [c, l];
    return l === line ? null : [c, l - 1];
  });
}

export function moveLine(e: Editable, component: number, from: number, to: number): Editable {
  if (!reachable(e.original.components[component]?.lines.length ?? 0, from, to)) return e;
  const original = withComponent(e.original, component, (c) => ({
    ...c,
    lines: moved(c.lines, from, to),
    steps: c.steps.map((s) => ({ ...s, lines: s.lines.map((n) => shifted(n, from, to)) })),
  }));
  return follow(e, original, (c, l) => (c === component ? [c, shifted(l, from, to)] : [c, l]));
}

/** Puts a read step in the place of another, or at the end. */
export function setStep(e: Editable, component: number, step: number, read: RecipeStep): Editable {
  const original = withComponent(e.original, component, (c) => ({
    ...c,
    steps:
      step < c.steps.length ? c.steps.map((s, i) => (i === step ? read : s)) : [...c.steps, read],
  }));
  // Words for a step that is written anew no longer fit.
  return follow(e, original, stay, (c, s) => (c === component && s === step ? null : [c, s]));
}

/** Puts the reading of a step right, or takes such a mend back. */
export function mendStep(
  e: Editable,
  component: number,
  step: number,
  mend: Mend,
  back = false,
): Editable {
  const same = (m: Mend) => m.from === mend.from && m.as === mend.as && m.line === mend.line;
  const original = withComponent(e.original, component, (c) => ({
    ...c,
    steps: c.steps.map((s, i) => {
      if (i !== step) return s;
      const others = (s.mends ?? []).filter((m) => !same(m));
      return { ...s, mends: back ? others : [...others, mend] };
    }),
  }));
  return { original, decisions: e.decisions };
}

export function removeStep(e: Editable, component: number, step: number): Editable {
  const original = withComponent(e.original, component, (c) => ({
    ...c,
    steps: c.steps.filter((_, i) => i !== step),
  }));
  return follow(e, original, stay, (c, s) => {
    if (c !== component || s < step) return [c, s];
    return s === step ? null : [c, s - 1];
  });
}

export function moveStep(e: Editable, component: number, from: number, to: number): Editable {
  if (!reachable(e.original.components[component]?.steps.length ?? 0, from, to)) return e;
  const original = withComponent(e.original, component, (c) => ({
    ...c,
    steps: moved(c.steps, from, to),
  }));
  return follow(e, original, stay, (c, s) =>
    c === component ? [c, shifted(s, from, to)] : [c, s],
  );
}

export function renameComponent(e: Editable, component: number, name: string): Editable {
  return follow(
    e,
    withComponent(e.original, component, (c) => ({ ...c, name })),
    stay,
  );
}

export function addComponent(e: Editable, name: string): Editable {
  const added: RecipeComponent = { name, lines: [], steps: [] };
  return follow(e, { ...e.original, components: [...e.original.components, added] }, stay);
}

export function moveComponent(e: Editable, from: number, to: number): Editable {
  if (!reachable(e.original.components.length, from, to)) return e;
  const original = { ...e.original, components: moved(e.original.components, from, to) };
  const moves: Moves = (c, l) => [shifted(c, from, to), l];
  return follow(e, original, moves, moves);
}

/** Takes a component away with all that is in it. */
export function removeComponent(e: Editable, component: number): Editable {
  const components = e.original.components.filter((_, i) => i !== component);
  const moves: Moves = (c, l) => {
    if (c === component) return null;
    return [c > component ? c - 1 : c, l];
  };
  return follow(e, { ...e.original, components }, moves, moves);
}
