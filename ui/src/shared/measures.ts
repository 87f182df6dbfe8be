import { worded } from "../texts/worded";

/** The systems of measures with what sets them apart. */
export const measures = [
  { value: "metric", label: worded("shared.metricCup250MlSpoon15") },
  { value: "us", label: worded("shared.usCup237MlSpoon14") },
  { value: "imperial", label: worded("shared.imperialPint568MlSpoon15") },
  { value: "australian", label: worded("shared.australianCup250MlSpoon20") },
];

/** The name of a system, with its cup and spoon. */
export function measuresName(system: string): string {
  return measures.find((m) => m.value === system)?.label ?? system;
}
