import { Button } from "antd";
import { useState } from "react";

import type { RecipeComponent } from "../api/types";
import { LineRow } from "./LineRow";
import { StepItem } from "./StepItem";
import { EditText } from "./EditText";
import { api } from "../api/client";
import { moveComponent, removeComponent, renameComponent, setLine, setStep } from "./edit";
import { useEdit } from "./useEdit";
import { kept } from "../texts/kept";
import { worded } from "../texts/worded";

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
  const name = part.name || (parts > 1 ? worded("original.mainPart") : "Ingredients");
  const move = (to: number) =>
    edit(kept("original.moved3", { name }), (e) => moveComponent(e, index, to));
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
        edit(kept("original.movedAPart"), (x) => moveComponent(x, Number(from), index));
      }}
    >
      <div className="part-head">
        {parts > 1 && (
          <span
            className="grip"
            role="button"
            tabIndex={0}
            draggable
            aria-label={worded("original.moveAltAndArrowKeys", { name })}
            title={worded("original.dragToMoveThisPartOr")}
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
            label={worded("original.nameOf", { name })}
            start={part.name}
            keep={(text) => {
              setAdding("");
              edit(kept("original.renamed", { name }), (e) =>
                renameComponent(e, index, text.trim()),
              );
              return Promise.resolve();
            }}
            leave={() => setAdding("")}
          />
        ) : (
          <>
            <h2>{name}</h2>
            <button
              className="quiet-action"
              aria-label={worded("original.rename", { name })}
              onClick={() => setAdding("name")}
            >
              {worded("original.rename2")}
            </button>
            {parts > 1 && (
              <button
                className="quiet-action"
                aria-label={worded("original.takeAway2", { name })}
                onClick={() =>
                  edit(kept("original.tookAway3", { name }), (e) => removeComponent(e, index))
                }
              >
                {worded("original.takeAway3")}
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
                <span className="hidden-visually">{worded("original.origin")}</span>
              </th>
              <th>{worded("original.asWritten")}</th>
              <th className="amount">{worded("original.grams")}</th>
              <th>{worded("original.food")}</th>
              <th>{worded("original.whyItIsMarkedSo")}</th>
              <th>
                <span className="hidden-visually">{worded("original.changes")}</span>
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
          label={worded("original.newLine")}
          start=""
          placeholder={worded("original.n2TbspRedMiso")}
          keep={async (text) => {
            const read = await api.readLine({ text, food: "", measures: edit.measures });
            setAdding("");
            edit(kept("original.added", { readName: read.name || text }), (e) =>
              setLine(e, index, part.lines.length, read),
            );
          }}
          leave={() => setAdding("")}
        />
      ) : (
        <Button type="link" size="small" onClick={() => setAdding("line")}>
          {worded("original.addALine")}
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
          label={worded("original.newStep")}
          start=""
          long
          placeholder={worded("original.simmerFor20MinutesUntilThick")}
          keep={async (text) => {
            const read = await api.readStep({ text, lines: part.lines });
            setAdding("");
            edit(kept("original.addedAStep"), (e) => setStep(e, index, part.steps.length, read));
          }}
          leave={() => setAdding("")}
        />
      ) : (
        <Button type="link" size="small" onClick={() => setAdding("step")}>
          {worded("original.addAStep")}
        </Button>
      )}
    </div>
  );
}
