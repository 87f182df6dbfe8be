import { Button } from "antd";
import { useState } from "react";

import type { RecipeComponent } from "../api/types";
import { LineRow } from "./LineRow";
import { StepItem } from "./StepItem";
import { EditText } from "./EditText";
import { api } from "../api/client";
import { moveComponent, removeComponent, renameComponent, setLine, setStep } from "./edit";
import { useEdit } from "./useEdit";

interface Props {
  index: number;
  part: RecipeComponent;
  parts: number;
  lit: string;
  setLit: (text: string) => void;
}

/** What a dragged part carries, so that other things dropped here do nothing. */
const dragType = "application/x-yembra-part";

/** One part of the original: its name, lines and steps, all open to change. */
export function Part({ index, part, parts, lit, setLit }: Props) {
  const edit = useEdit();
  const [adding, setAdding] = useState<"" | "line" | "step" | "name">("");
  const [over, setOver] = useState(false);
  const name = part.name || (parts > 1 ? "Main part" : "Ingredients");
  const move = (to: number) => edit(`moved ${name}`, (e) => moveComponent(e, index, to));
  return (
    <div
      className={over ? "component over" : "component"}
      onDragOver={(e) => {
        if (!e.dataTransfer.types.includes(dragType)) return;
        e.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(e) => {
        setOver(false);
        const from = e.dataTransfer.getData(dragType);
        if (from === "") return;
        e.preventDefault();
        edit("moved a part", (x) => moveComponent(x, Number(from), index));
      }}
    >
      <div className="part-head">
        {parts > 1 && (
          <span
            className="grip"
            role="button"
            tabIndex={0}
            draggable
            aria-label={`Move ${name}: Alt and arrow keys`}
            title="Drag to move this part, or Alt with the arrow keys"
            onDragStart={(e) => e.dataTransfer.setData(dragType, String(index))}
            onKeyDown={(e) => {
              if (!e.altKey || (e.key !== "ArrowUp" && e.key !== "ArrowDown")) return;
              e.preventDefault();
              move(index + (e.key === "ArrowUp" ? -1 : 1));
            }}
          >
            ⠿
          </span>
        )}
        {adding === "name" ? (
          <EditText
            label={`Name of ${name}`}
            start={part.name}
            keep={(text) => {
              setAdding("");
              edit(`renamed ${name}`, (e) => renameComponent(e, index, text.trim()));
              return Promise.resolve();
            }}
            leave={() => setAdding("")}
          />
        ) : (
          <>
            <h2>{name}</h2>
            <button
              className="quiet-action"
              aria-label={`Rename ${name}`}
              onClick={() => setAdding("name")}
            >
              Rename
            </button>
            {parts > 1 && (
              <button
                className="quiet-action"
                aria-label={`Take ${name} away`}
                onClick={() => edit(`took ${name} away`, (e) => removeComponent(e, index))}
              >
                Take away
              </button>
            )}
          </>
        )}
      </div>
      {part.lines.length > 0 && (
        <table className="lines">
          <thead>
            <tr>
              <th>
                <span className="hidden-visually">Origin</span>
              </th>
              <th>As written</th>
              <th className="amount">Grams</th>
              <th>Food</th>
              <th>Why it is marked so</th>
              <th>
                <span className="hidden-visually">Changes</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {part.lines.map((l, i) => (
              <LineRow
                key={`${i} ${l.text}`}
                part={index}
                index={i}
                line={l}
                lit={lit === l.text}
                setLit={setLit}
              />
            ))}
          </tbody>
        </table>
      )}
      {adding === "line" ? (
        <EditText
          label="New line"
          start=""
          placeholder="2 tbsp red miso"
          keep={async (text) => {
            const read = await api.readLine({ text, food: "", measures: edit.measures });
            setAdding("");
            edit(`added ${read.name || text}`, (e) => setLine(e, index, part.lines.length, read));
          }}
          leave={() => setAdding("")}
        />
      ) : (
        <Button type="link" size="small" onClick={() => setAdding("line")}>
          Add a line
        </Button>
      )}
      <ol className="steps-read">
        {part.steps.map((s, i) => (
          <StepItem
            key={`${i} ${s.text}`}
            part={index}
            index={i}
            step={s}
            lines={part.lines}
            lit={lit === s.text}
            setLit={setLit}
          />
        ))}
      </ol>
      {adding === "step" ? (
        <EditText
          label="New step"
          start=""
          long
          placeholder="Simmer for 20 minutes until thick."
          keep={async (text) => {
            const read = await api.readStep({ text, lines: part.lines });
            setAdding("");
            edit("added a step", (e) => setStep(e, index, part.steps.length, read));
          }}
          leave={() => setAdding("")}
        />
      ) : (
        <Button type="link" size="small" onClick={() => setAdding("step")}>
          Add a step
        </Button>
      )}
    </div>
  );
}
