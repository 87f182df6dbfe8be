import type { DishView, RecipeLine } from "../api/types";

/** The original line that a place names. */
export function lineAt(dish: DishView, ref: string): RecipeLine | undefined {
  const m = /^components\[(\d+)\]\.lines\[(\d+)\]$/.exec(ref);
  return m ? dish.document.original.components[Number(m[1])]?.lines[Number(m[2])] : undefined;
}

/** The lasting name of the line at a place, on which decisions hang. */
export function idOf(dish: DishView, ref: string): string {
  return lineAt(dish, ref)?.id ?? ref;
}
