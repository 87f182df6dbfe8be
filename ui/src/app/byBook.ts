import { useSyncExternalStore } from "react";

let on = false;
const ears = new Set<() => void>();

/** Whether figures are shown by the book alone, without what this kitchen has learned. */
export function useByBook(): boolean {
  return useSyncExternalStore(
    (ear) => {
      ears.add(ear);
      return () => ears.delete(ear);
    },
    () => on,
  );
}

export function showByBook(yes: boolean) {
  on = yes;
  ears.forEach((ear) => ear());
}

/** A path of the server, so that it answers as figures are shown now. */
export function shownBy(path: string): string {
  if (!on || !/^\/api\/(dishes|days)\b/.test(path)) return path;
  return `${path}${path.includes("?") ? "&" : "?"}by=book`;
}
