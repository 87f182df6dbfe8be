import type { Composition } from "../api/types";
import { worded } from "../texts/worded";

type Figure = Exclude<keyof Composition, "source" | "estimate" | "further">;

/** The figures of 100 g in the order of a label, with names and units. */
export const nutrients: readonly [Figure, string, string][] = [
  ["energy", "Energy", "kcal"],
  ["fat", "Fat", "g"],
  ["saturated", worded("larder.ofWhichSaturated"), "g"],
  ["carbohydrate", "Carbohydrate", "g"],
  ["sugars", worded("larder.ofWhichSugars"), "g"],
  ["fibre", "Fibre", "g"],
  ["protein", "Protein", "g"],
  ["water", "Water", "g"],
  ["sodium", "Sodium", "mg"],
  ["potassium", "Potassium", "mg"],
  ["calcium", "Calcium", "mg"],
  ["iron", "Iron", "mg"],
  ["zinc", "Zinc", "mg"],
  ["iodine", "Iodine", "µg"],
  ["b12", worded("larder.vitaminB12"), "µg"],
  ["vitaminD", worded("larder.vitaminD"), "µg"],
  ["ala", worded("larder.omega3Ala"), "g"],
  ["epaDha", worded("larder.omega3EpaAndDha"), "g"],
];

/** A figure to three significant digits, as a label shows it. */
export function rounded(v: number): string {
  return String(Number(v.toPrecision(3)));
}
