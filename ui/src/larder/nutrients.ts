import type { Composition } from "../api/types";

type Figure = Exclude<keyof Composition, "source" | "estimate" | "further">;

/** The figures of 100 g in the order of a label, with names and units. */
export const nutrients: readonly [Figure, string, string][] = [
  ["energy", "Energy", "kcal"],
  ["fat", "Fat", "g"],
  ["saturated", "of which saturated", "g"],
  ["carbohydrate", "Carbohydrate", "g"],
  ["sugars", "of which sugars", "g"],
  ["fibre", "Fibre", "g"],
  ["protein", "Protein", "g"],
  ["water", "Water", "g"],
  ["sodium", "Sodium", "mg"],
  ["potassium", "Potassium", "mg"],
  ["calcium", "Calcium", "mg"],
  ["iron", "Iron", "mg"],
  ["zinc", "Zinc", "mg"],
  ["iodine", "Iodine", "µg"],
  ["b12", "Vitamin B12", "µg"],
  ["vitaminD", "Vitamin D", "µg"],
  ["ala", "Omega-3, ALA", "g"],
  ["epaDha", "Omega-3, EPA and DHA", "g"],
];

/** A figure to three significant digits, as a label shows it. */
export function rounded(v: number): string {
  return String(Number(v.toPrecision(3)));
}
