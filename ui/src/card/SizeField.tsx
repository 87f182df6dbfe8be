import { Button, InputNumber, Select } from "antd";

import type { Card } from "../api/types";
import { roundPan, type Pan, type Size } from "./size";

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
        aria-label="Size by"
        options={[
          ...(usual > 0 ? [{ value: "table", label: "for the table" }] : []),
          { value: "have", label: "from what there is" },
          { value: "pan", label: "for another pan" },
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
            aria-label="Servings"
          />{" "}
          at the table
        </>
      )}
      {size.by === "have" && (
        <>
          <InputNumber
            min={1}
            value={size.grams}
            placeholder="grams"
            aria-label="Grams there are"
            onChange={(grams) => set({ ...size, grams })}
          />{" "}
          g of{" "}
          <Select
            value={size.line === "" ? null : size.line}
            placeholder="which line"
            aria-label="Line that decides"
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
            name="The recipe's pan"
            pan={size.from}
            deep={size.compare === "volume"}
            set={(from) => set({ ...size, from })}
          />
          <span>to</span>
          <PanField
            name="Your pan"
            pan={size.to}
            deep={size.compare === "volume"}
            set={(to) => set({ ...size, to })}
          />
          <Select
            value={size.compare}
            aria-label="Compare pans by"
            options={[
              { value: "area", label: "to the same height" },
              { value: "volume", label: "as full" },
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
          Back to the recipe
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
      aria-label={`${name}: ${label}, cm`}
      title={`${label}, cm`}
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
      cm
    </span>
  );
}
