import { useState } from "react";

import { api } from "../api/client";
import type { RecipeLine, RecipeStep } from "../api/types";
import { EditText } from "./EditText";
import { Note, useNote } from "./Note";
import { RowActions } from "./RowActions";
import { ActionList } from "./ActionList";
import { StepFacts } from "./StepFacts";
import { moveStep, removeStep, setStep } from "./edit";
import { useEdit } from "./useEdit";
import { kept } from "../texts/kept";
import { worded } from "../texts/worded";

interface Props {
  part: number;
  index: number;
  step: RecipeStep;
  lines: RecipeLine[];
  lit: boolean;
  setLit: (text: string) => void;
}

/** One step as read, with the ways to change it. */
export function StepItem({ part, index, step, lines, lit, setLit }: Props) {
  const edit = useEdit();
  const [editing, setEditing] = useState(false);
  const note = useNote();
  const what = worded("original.step", { index: index + 1 });
  if (editing) {
    return (
      <li>
        <EditText
          label={worded("original.textOf", { what })}
          start={step.text}
          long
          keep={async (text) => {
            const read = await api.readStep({ text, lines });
            setEditing(false);
            edit(kept("original.changed2", { what }), (e) => setStep(e, part, index, read));
          }}
          leave={() => setEditing(false)}
        />
      </li>
    );
  }
  return (
    <li
      className={lit ? "lit" : undefined}
      onPointerEnter={() => setLit(step.text)}
      onPointerLeave={() => setLit("")}
    >
      {step.text}
      <RowActions
        what={what}
        edit={() => setEditing(true)}
        note={note.begin}
        move={(by) =>
          edit(kept("original.moved2", { what }), (e) => moveStep(e, part, index, index + by))
        }
        remove={() => edit(kept("original.tookAway2", { what }), (e) => removeStep(e, part, index))}
      />
      <Note at={step.id} what={what} {...note} />
      <ActionList part={part} index={index} step={step} />
      <StepFacts step={step} />
    </li>
  );
}
