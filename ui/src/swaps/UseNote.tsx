import { InputNumber, Select } from "antd";

import { idOf } from "../dish/lines";
import type { OpenDish } from "../dish/useDish";
import { without } from "../shared/records";
import { kept } from "../texts/kept";
import { worded } from "../texts/worded";

/** What the line does, by which rule, and the way to set it right. */
export function UseNote({ open, slotRef }: { open: OpenDish; slotRef: string }) {
  const slot = open.dish.slots.find((s) => s.ref === slotRef);
  if (!slot) return null;
  const uses = open.dish.document.decisions.uses ?? {};
  return (
    <div className="use-note">
      {slot.use.use !== "" && <>{worded("swaps.hereIt", { rule: slot.use.rule })} </>}
      {slot.use.others.length > 1 && (
        <>
          <label className="quiet" htmlFor={`use-${slotRef}`}>
            {worded("swaps.usedTo")}
          </label>{" "}
          <Select
            id={`use-${slotRef}`}
            size="small"
            value={slot.use.use}
            popupMatchSelectWidth={false}
            options={slot.use.others.map((value) => ({ value, label: value }))}
            onChange={(value: string) =>
              open.decide(kept("swaps.saidItIsThereTo", { value }), {
                uses: { ...uses, [idOf(open.dish, slotRef)]: value },
              })
            }
          />
        </>
      )}
      {slot.rule !== "" && (
        <span className="quiet"> {worded("swaps.cannotStay", { rule: slot.rule })}</span>
      )}
    </div>
  );
}

/** The cook's own factor on the book's amounts. */
export function Amount({ open, slotRef }: { open: OpenDish; slotRef: string }) {
  const amounts = open.dish.document.decisions.amounts ?? {};
  const id = idOf(open.dish, slotRef);
  return (
    <label className="small quiet amount-factor">
      {worded("swaps.amounts")}{" "}
      <InputNumber
        size="small"
        min={0.25}
        max={4}
        step={0.25}
        value={amounts[id] ?? 1}
        aria-label={worded("swaps.timesTheBooksAmounts")}
        onChange={(v) => {
          const next = v === null || v === 1 ? without(amounts, id) : { ...amounts, [id]: v };
          open.decide(kept("swaps.changedTheAmountsOfASwap"), { amounts: next });
        }}
      />
    </label>
  );
}
