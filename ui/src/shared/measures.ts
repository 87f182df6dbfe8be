/** The systems of measures with what sets them apart. */
export const measures = [
  { value: "metric", label: "Metric: cup 250 ml, spoon 15 ml" },
  { value: "us", label: "US: cup 237 ml, spoon 14.8 ml" },
  { value: "imperial", label: "Imperial: pint 568 ml, spoon 15 ml" },
  { value: "australian", label: "Australian: cup 250 ml, spoon 20 ml" },
];

/** The name of a system, with its cup and spoon. */
export function measuresName(system: string): string {
  return measures.find((m) => m.value === system)?.label ?? system;
}
