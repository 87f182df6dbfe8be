import { useState } from "react";
import { NavLink } from "react-router";

import { api } from "../api/client";
import type { RecipeLine } from "../api/types";
import { Mark, names } from "../shared/Mark";
import { grams } from "../shared/format";
import { EditText } from "./EditText";
import { Mend } from "./Mend";
import { Note, useNote } from "./Note";
import { RowActions } from "./RowActions";
import { moveLine, removeLine, setLine } from "./edit";
import { useEdit } from "./useEdit";
import { kept } from "../texts/kept";
import { worded } from "../texts/worded";

/** What is worth saying beside a food's name: its class, form and whether it hides. */
function foodNote(l: RecipeLine): string {
  const notes = [
    l.origin === "animal" && l.animal !== l.name
      ? l.animal
      : ["plant", "animal"].includes(l.origin)
        ? ""
        : (names[l.origin] ?? ""),
    l.form === "raw" ? "" : l.form,
    l.hidden ? "hidden" : "",
  ].filter((n) => n !== "");
  return notes.length > 0 ? ` ${notes.join(", ")}` : "";
}

interface Props {
  part: number;
  index: number;
  line: RecipeLine;
  lit: boolean;
  setLit: (text: string) => void;
}

/** One ingredient line as read, with the ways to change it. */
export function LineRow({ part, index, line, lit, setLit }: Props) {
  const edit = useEdit();
  const [editing, setEditing] = useState(false);
  const note = useNote();
  if (editing) {
    return (
      <tr>
        <td colSpan={6}>
          <EditText
            label={worded("original.line", { lineText: line.text })}
            start={line.text}
            keep={async (text) => {
              const read = await api.readLine({ text, food: "", measures: edit.measures });
              setEditing(false);
              edit(kept("original.changed", { lineName: line.name || line.text }), (e) =>
                setLine(e, part, index, read),
              );
            }}
            leave={() => setEditing(false)}
          />
        </td>
      </tr>
    );
  }
  return (
    <tr
      className={lit ? "lit" : line.food === null ? "unknown" : undefined}
      onPointerEnter={() => setLit(line.text)}
      onPointerLeave={() => setLit("")}
    >
      <td className="mark">
        <Mark origin={line.origin} check={line.checkLabel} />
      </td>
      <td>{line.text}</td>
      <td className="amount" title={line.basis ? `${line.basis.text} (${line.basis.source})` : ""}>
        {grams(line.grams)}
        {line.basis?.estimate && <span className="quiet"> {worded("original.est")}</span>}
      </td>
      <td className={`food ${line.origin === "animal" ? "animal" : ""}`}>
        {line.food === null ? (
          <b>{line.name}</b>
        ) : (
          <NavLink to={`/larder/${line.food}`} title={worded("original.whatTheLarderKnowsOfIt")}>
            <b>{line.name}</b>
          </NavLink>
        )}
        <span className="small quiet">{foodNote(line)}</span>
      </td>
      <td className="why">
        {line.food === null ? <Mend component={part} line={index} read={line} /> : line.why}
        {line.beware && (
          <div className="beware" title={line.beware}>
            {line.beware.split(". ")[0]}.
          </div>
        )}
        <Note at={line.id} what={line.name || line.text} {...note} />
      </td>
      <td className="actions">
        <RowActions
          what={line.name || line.text}
          edit={() => setEditing(true)}
          note={note.begin}
          move={(by) =>
            edit(kept("original.moved", { lineName: line.name }), (e) =>
              moveLine(e, part, index, index + by),
            )
          }
          remove={() =>
            edit(kept("original.tookAway", { lineName: line.name }), (e) =>
              removeLine(e, part, index),
            )
          }
        />
      </td>
    </tr>
  );
}
