/** What a card is sized by: the table, what is in the house, or a pan. */
export type Size =
  | { by: "table"; servings: number | null }
  | { by: "have"; line: string; grams: number | null }
  | { by: "pan"; from: Pan; to: Pan; compare: "area" | "volume" };

export interface Pan {
  shape: "round" | "square" | "loaf";
  across: number;
  wide: number;
  depth: number;
}

export const roundPan: Pan = { shape: "round", across: 24, wide: 11, depth: 5 };

function written(p: Pan, deep: boolean): string {
  const sides = p.shape === "loaf" ? [p.across, p.wide] : [p.across];
  return `${p.shape}:${[...sides, ...(deep ? [p.depth] : [])].join("x")}`;
}

/** The size as the server reads it; empty for the recipe's own. */
export function sizeQuery(s: Size): string {
  const q = new URLSearchParams();
  if (s.by === "table" && s.servings !== null) q.set("servings", String(s.servings));
  if (s.by === "have" && s.line !== "" && s.grams !== null && s.grams > 0) {
    q.set("have", String(s.grams));
    q.set("line", s.line);
  }
  if (s.by === "pan") {
    const deep = s.compare === "volume";
    q.set("from", written(s.from, deep));
    q.set("pan", written(s.to, deep));
    q.set("by", s.compare);
  }
  const text = q.toString();
  return text === "" ? "" : `?${text}`;
}
