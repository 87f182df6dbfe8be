import { Button, InputNumber, Select } from "antd";

import type { Card } from "../api/types";
import { roundPan, type Pan, type Size } from "./size";
import { worded } from "../texts/worded";

interface Props {
  card: Card | undefined;
  usual: number;
  size: Size;
  set: (s: Size) => void;
}

/** Sizes the card by the table, by what is in the house, or by a pan. */
export function SizeField({ card, usual, size, set }: Props) {
  const sized = size.by !== "table" || (size.servings !== null && size.servings !== usual);
  return (
    <span className="card-size">
      <Select
        value={size.by}
        aria-label={worded("card.sizeBy")}
        options={[
          ...(usual > 0 ? [{ value: "table", label: worded("card.forTheTable") }] : []),
          { value: "have", label: worded("card.fromWhatThereIs") },
          { value: "pan", label: worded("card.forAnotherPan") },
        ]}
        onChange={(by: Size["by"]) =>
          set(
            by === "table"
              ? { by, servings: null }
              : by === "have"
                ? { by, line: "", grams: null }
                : { by, from: roundPan, to: roundPan, compare: "area" },
          )
        }
      />
      {size.by === "table" && usual > 0 && (
        <>
          <InputNumber
            min={1}
            max={Math.floor(usual * 50)}
            value={size.servings ?? usual}
            onChange={(servings) => set({ by: "table", servings })}
            aria-label={worded("card.servings")}
          />{" "}
          {worded("card.atTheTable")}
        </>
      )}
      {size.by === "have" && (
        <>
          <InputNumber
            min={1}
            value={size.grams}
            placeholder={worded("card.grams")}
            aria-label={worded("card.gramsThereAre")}
            onChange={(grams) => set({ ...size, grams })}
          />{" "}
          {worded("card.gOf")}{" "}
          <Select
            value={size.line === "" ? null : size.line}
            placeholder={worded("card.whichLine")}
            aria-label={worded("card.lineThatDecides")}
            popupMatchSelectWidth={false}
            options={card?.dish.components.flatMap((c, i) =>
              c.lines
                .map((l, j) => ({ value: `${i}.${j}`, label: l.name, known: l.grams !== null }))
                .filter((o) => o.known),
            )}
            onChange={(line: string) => set({ ...size, line })}
          />
        </>
      )}
      {size.by === "pan" && (
        <>
          <PanField
            name={worded("card.theRecipesPan")}
            pan={size.from}
            deep={size.compare === "volume"}
            set={(from) => set({ ...size, from })}
          />
          <span>{worded("card.to")}</span>
          <PanField
            name={worded("card.yourPan")}
            pan={size.to}
            deep={size.compare === "volume"}
            set={(to) => set({ ...size, to })}
          />
          <Select
            value={size.compare}
            aria-label={worded("card.comparePansBy")}
            options={[
              { value: "area", label: worded("card.toTheSameHeight") },
              { value: "volume", label: worded("card.asFull") },
            ]}
            onChange={(compare: "area" | "volume") => set({ ...size, compare })}
          />
        </>
      )}
      {sized && (
        <Button
          type="link"
          onClick={() =>
            set({
              by: usual > 0 ? "table" : "have",
              ...(usual > 0 ? { servings: null } : { line: "", grams: null }),
            } as Size)
          }
        >
          {worded("card.backToTheRecipe")}
        </Button>
      )}
    </span>
  );
}

function PanField({
  name,
  pan,
  deep,
  set,
}: {
  name: string;
  pan: Pan;
  deep: boolean;
  set: (p: Pan) => void;
}) {
  const side = (label: string, key: "across" | "wide" | "depth") => (
    <InputNumber
      min={3}
      max={120}
      value={pan[key]}
      aria-label={worded("card.cm", { name, label })}
      title={worded("card.cm2", { label })}
      style={{ width: 64 }}
      onChange={(v) => v !== null && set({ ...pan, [key]: v })}
    />
  );
  return (
    <span className="pan">
      <Select
        value={pan.shape}
        aria-label={name}
        options={["round", "square", "loaf"].map((value) => ({ value, label: value }))}
        onChange={(shape: Pan["shape"]) => set({ ...pan, shape })}
      />
      {side(pan.shape === "round" ? "diameter" : "length", "across")}
      {pan.shape === "loaf" && side("width", "wide")}
      {deep && side("depth", "depth")}
      {worded("card.cm3")}
    </span>
  );
}
