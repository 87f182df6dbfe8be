import type { Entry, FoodView } from "../api/types";

/** What the cook said of a food before, or nothing yet. */
export function entryOf(food?: FoodView): Entry {
  return (
    food?.entry ?? {
      id: food?.id ?? "",
      name: "",
      aliases: [],
      origin: "",
      animal: "",
      why: "",
      grade: "",
      note: "",
    }
  );
}

/** The id of a food by its name: lower-case words joined by hyphens. */
export function idFor(name: string): string {
  return name
    .normalize("NFD")
    .replace(/[\u0300-\u036f]/g, "")
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "");
}

/** The figures with one set, or taken out where it is null. */
export function withFigure(
  figures: Record<string, number> | null | undefined,
  name: string,
  v: number | null,
): Record<string, number> {
  const rest = Object.entries(figures ?? {}).filter(([key]) => key !== name);
  return Object.fromEntries(v === null ? rest : [...rest, [name, v]]);
}
