import { useOpenDish } from "../dish/useDish";
import type { Editable } from "./edit";

export interface Edit {
  (what: string, change: (e: Editable) => Editable): void;
  /** Whose cups and spoons the original was read by. */
  measures: string;
}

/** Changes the original of the open dish; each change is saved and can be undone. */
export function useEdit(): Edit {
  const open = useOpenDish();
  const { original, decisions } = open.dish.document;
  const edit = (what: string, change: (e: Editable) => Editable) => {
    const before: Editable = { original, decisions };
    const after = change(before);
    if (after !== before) {
      open.save({ what, original: after.original, decisions: after.decisions });
    }
  };
  return Object.assign(edit, { measures: original.measures ?? "metric" });
}
