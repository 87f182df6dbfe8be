import { useState } from "react";

import { useOpenDish } from "../dish/useDish";
import { EditText } from "./EditText";
import { kept } from "../texts/kept";
import { worded } from "../texts/worded";

interface Props {
  /** The lasting name of the line or step. */
  at: string | undefined;
  what: string;
  writing: boolean;
  done: () => void;
}

/** The cook's own words on a line or a step. */
export function Note({ at, what, writing, done }: Props) {
  const { dish, save } = useOpenDish();
  const note = at ? (dish.document.notes?.[at] ?? "") : "";
  if (at && writing) {
    return (
      <EditText
        label={worded("original.noteOn", { what })}
        start={note}
        long
        empty
        keep={async (text) => {
          save({
            what: kept("original.notedOn", { what }),
            notes: { ...dish.document.notes, [at]: text },
          });
          done();
        }}
        leave={done}
      />
    );
  }
  return note ? <p className="own-note">{note}</p> : null;
}

/** Whether a note is being written, and how to begin and end. */
export function useNote() {
  const [writing, setWriting] = useState(false);
  return { writing, begin: () => setWriting(true), done: () => setWriting(false) };
}
