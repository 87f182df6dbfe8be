import type { DishView, Thread } from "../api/types";
import { refOf } from "../shared/format";
import { worded } from "../texts/worded";

/** One part of a bar: what a line gives to a trait. */
export interface Part {
  ref: string;
  label: string;
  animal: boolean;
  share: number;
}

/** One trait of the original with who supplies it. */
export interface Row {
  thread: Thread;
  parts: Part[];
}

export interface Group {
  title: string;
  rows: Row[];
}

const families: [string, string][] = [
  ["tasted", "Tasted"],
  ["smelt", "Smelt"],
  ["felt", "Felt"],
  ["look", "Looks"],
];

/** The traits of the original, grouped by how they are perceived and by component. */
export function groupTraits(dish: DishView): Group[] {
  const names = new Map<string, { label: string; animal: boolean }>();
  dish.document.original.components.forEach((c, i) =>
    c.lines.forEach((l, j) =>
      names.set(refOf(i, j), { label: l.name, animal: l.origin === "animal" }),
    ),
  );
  const present = dish.adaptation.traits.filter((t) => t.from.length > 0);
  const many = dish.document.original.components.length > 1;
  return families.flatMap(([family, title]) => {
    const mine = present.filter((t) => t.family === family);
    const parts = [...new Set(mine.map((t) => t.part))].sort((a, b) => a - b);
    const byComponent = family === "felt" || family === "look";
    return (byComponent ? parts : [0]).flatMap((part) => {
      const rows = mine
        .filter((t) => !byComponent || t.part === part)
        .map((thread) => ({
          thread,
          parts: thread.from.map((f) => ({
            ref: f.line,
            label: names.get(f.line)?.label ?? f.line,
            animal: names.get(f.line)?.animal ?? false,
            share: f.share,
          })),
        }));
      if (rows.length === 0) return [];
      const where = dish.document.original.components[part]?.name || worded("character.mainPart");
      return [{ title: byComponent && many ? `${title}: ${where}` : title, rows }];
    });
  });
}

/** What a line gives, in words: "savoury 41 %, salt 30 %". */
export function givenBy(ref: string, groups: Group[]): string {
  const given = groups
    .flatMap((g) => g.rows)
    .flatMap((r) => {
      const p = r.parts.find((x) => x.ref === ref);
      return p && p.share >= 0.05 ? [[r.thread.trait, p.share] as const] : [];
    })
    .sort((a, b) => b[1] - a[1]);
  return given.map(([trait, share]) => `${trait} ${Math.round(share * 100)} %`).join(", ");
}
