import type {
  Decisions,
  Mend,
  RecipeComponent,
  RecipeDish,
  RecipeLine,
  RecipeStep,
} from "../api/types";
import { without } from "../shared/records";

/**
 * An original with the decisions that hang on it by the lasting names of its
 * lines, steps and parts, so that moving them moves nothing else.
 */
export interface Editable {
  original: RecipeDish;
  decisions: Decisions;
}

/** Takes back what was decided of one line. */
function forget(d: Decisions, id: string): Decisions {
  const decisions: Decisions = { ...d, swaps: without(d.swaps, id) };
  if (d.uses) decisions.uses = without(d.uses, id);
  if (d.amounts) decisions.amounts = without(d.amounts, id);
  return decisions;
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

/** Puts a read line in the place of another, whose name it keeps, or at the end. */
export function setLine(e: Editable, component: number, line: number, read: RecipeLine): Editable {
  const before = e.original.components[component]?.lines[line];
  const id = before?.id;
  const original = withComponent(e.original, component, (c) => ({
    ...c,
    lines: before ? c.lines.map((l, i) => (i === line ? { ...read, id } : l)) : [...c.lines, read],
  }));
  if (!id) return { original, decisions: e.decisions };
  const decisions = before.food === read.food ? e.decisions : forget(e.decisions, id);
  const notices = original.notices.filter((n) => n.where !== id);
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
  return { ...e, original };
}

export function moveLine(e: Editable, component: number, from: number, to: number): Editable {
  if (!reachable(e.original.components[component]?.lines.length ?? 0, from, to)) return e;
  const original = withComponent(e.original, component, (c) => ({
    ...c,
    lines: moved(c.lines, from, to),
    steps: c.steps.map((s) => ({ ...s, lines: s.lines.map((n) => shifted(n, from, to)) })),
  }));
  return { ...e, original };
}

/** Puts a read step in the place of another, whose name it keeps, or at the end. */
export function setStep(e: Editable, component: number, step: number, read: RecipeStep): Editable {
  const original = withComponent(e.original, component, (c) => ({
    ...c,
    steps:
      step < c.steps.length
        ? c.steps.map((s, i) => (i === step ? { ...read, id: s.id } : s))
        : [...c.steps, read],
  }));
  return { ...e, original };
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
  return { ...e, original };
}

export function moveStep(e: Editable, component: number, from: number, to: number): Editable {
  if (!reachable(e.original.components[component]?.steps.length ?? 0, from, to)) return e;
  const original = withComponent(e.original, component, (c) => ({
    ...c,
    steps: moved(c.steps, from, to),
  }));
  return { ...e, original };
}

export function renameComponent(e: Editable, component: number, name: string): Editable {
  return { ...e, original: withComponent(e.original, component, (c) => ({ ...c, name })) };
}

export function addComponent(e: Editable, name: string): Editable {
  const added: RecipeComponent = { name, lines: [], steps: [] };
  return { ...e, original: { ...e.original, components: [...e.original.components, added] } };
}

export function moveComponent(e: Editable, from: number, to: number): Editable {
  if (!reachable(e.original.components.length, from, to)) return e;
  return {
    ...e,
    original: { ...e.original, components: moved(e.original.components, from, to) },
  };
}

/** Takes a component away with all that is in it. */
export function removeComponent(e: Editable, component: number): Editable {
  const components = e.original.components.filter((_, i) => i !== component);
  return { ...e, original: { ...e.original, components } };
}
