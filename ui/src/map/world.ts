import { outlines, size, type Outline } from "virtual:outlines";

export { size, type Outline };

/** The outlines, which come with the program and are fetched when the map is opened. */
export const shapes: Outline[] = outlines;

/** The part of the drawing in which some countries lie, with air around, as a viewBox. */
export function around(of: Outline[]): string {
  if (of.length === 0) return `0 0 ${size.width} ${size.height}`;
  // A country across the date line is as wide as the drawing; it does not count.
  const near = of.filter((o) => o.box[2] - o.box[0] < size.width / 2);
  const boxes = (near.length > 0 ? near : of).map((o) => o.box);
  const left = Math.min(...boxes.map((b) => b[0]));
  const right = Math.max(...boxes.map((b) => b[2]));
  const top = Math.min(...boxes.map((b) => b[1]));
  const bottom = Math.max(...boxes.map((b) => b[3]));
  const air = 12;
  const wide = Math.max(right - left + 2 * air, 90);
  const high = Math.max(bottom - top + 2 * air, 60);
  return `${((left + right - wide) / 2).toFixed(1)} ${((top + bottom - high) / 2).toFixed(1)} ${wide.toFixed(1)} ${high.toFixed(1)}`;
}

export type Stage = "nothing" | "original" | "adapting" | "settled";

/** How far the dishes of a country have come: the furthest counts. */
export function furthest(counts: Record<string, number> | undefined): Stage {
  if (!counts) return "nothing";
  if (counts["settled"]) return "settled";
  if (counts["adapting"] || counts["decided"] || counts["tried"]) return "adapting";
  return counts["original"] ? "original" : "nothing";
}
