import { worded } from "../texts/worded";

/** The mark of where matter comes from. Shape says it as well as colour. */
export function Mark({ origin, check = false }: { origin: string; check?: boolean }) {
  const shape = check && origin !== "animal" ? "check" : origin;
  return (
    <svg width="14" height="14" viewBox="0 0 14 14" role="img" aria-label={names[shape] ?? origin}>
      <title>{names[shape] ?? origin}</title>
      {shapes[shape] ?? shapes["unknown"]}
    </svg>
  );
}

export const names: Record<string, string> = {
  animal: worded("shared.fromAnAnimal"),
  plant: "plant",
  fungus: "fungus",
  mineral: "mineral",
  mixed: worded("shared.checkTheLabel"),
  check: worded("shared.checkTheLabel"),
  unknown: worded("shared.notKnown"),
};

const triangle = <path d="M7 1.5 13 12.5H1Z" fill="var(--turmeric)" />;

const shapes: Record<string, React.ReactNode> = {
  animal: <path d="M1.5 1.5h4L7 4.5l1.5-3h4v11h-11Z" fill="var(--beet)" />,
  plant: <circle cx="7" cy="7" r="5" fill="var(--fern)" />,
  fungus: <path d="M1.5 8a5.5 5.5 0 0 1 11 0H9v4.5H5V8Z" fill="var(--fern)" />,
  mineral: <path d="M7 3 11 7 7 11 3 7Z" fill="var(--quiet)" />,
  mixed: triangle,
  check: triangle,
  unknown: <circle cx="7" cy="7" r="4.5" fill="none" stroke="var(--quiet)" strokeWidth="1.5" />,
};
