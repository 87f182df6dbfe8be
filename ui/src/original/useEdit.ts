import { useOpenDish } from "../dish/useDish";
import type { Editable } from "./edit";
import { type KeptText } from "../texts/kept";

export interface Edit {
  (what: KeptText, change: (e: Editable) => Editable): void;
  /** Whose cups and spoons the original was read by. */
  measures: string;
}

/** Changes the original of the open dish; each change is saved and can be undone. */
export function useEdit(): Edit {
  const open = useOpenDish();
  const { original, decisions } = open.dish.document;
  const edit = (what: KeptText, change: (e: Editable) => Editable) => {
    const before: Editable = { original, decisions };
    const after = change(before);
    if (after !== before) {
      open.save({ what, original: after.original, decisions: after.decisions });
    }
  };
  return Object.assign(edit, { measures: original.measures ?? "metric" });
}
