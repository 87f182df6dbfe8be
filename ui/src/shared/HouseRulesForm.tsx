import "./rules.css";

import { Checkbox, InputNumber, Select } from "antd";

import type { HouseRules, RulesView, Switch } from "../api/types";
import { worded } from "../texts/worded";

interface Props {
  rules: RulesView;
  value: HouseRules;
  set: (r: HouseRules) => void;
  /** Lays the schools out with their rules in words, where there is room. */
  spread?: boolean;
}

/** The school, what is left out besides, and the limits of a kitchen or a dish. */
export function HouseRulesForm({ rules, value, set, spread = false }: Props) {
  const chosen = rules.presets.find((p) => p.id === value.preset);
  return (
    <div className={`rules ${spread ? "spread" : ""}`}>
      {spread ? (
        <fieldset className="schools">
          <legend>{worded("shared.school")}</legend>
          {rules.presets.map((p) => (
            <label key={p.id} className={p.id === value.preset ? "chosen" : ""}>
              <input
                type="radio"
                name="school"
                checked={p.id === value.preset}
                onChange={() => set({ ...value, preset: p.id })}
              />
              <b>{p.name}</b>
              <span>{p.hard.join("; ")}</span>
              <span className="quiet">{worded("shared.rather", { soft: p.soft.join("; ") })}</span>
            </label>
          ))}
        </fieldset>
      ) : (
        <>
          <label className="small quiet" htmlFor="preset">
            {worded("shared.school")}
          </label>
          <Select
            id="preset"
            value={value.preset}
            onChange={(preset: string) => set({ ...value, preset })}
            options={rules.presets.map((p) => ({ value: p.id, label: p.name }))}
          />
          {chosen && (
            <p className="small">
              {chosen.hard.join("; ")}.{" "}
              <span className="quiet">
                {worded("shared.rather2", { soft: chosen.soft.join("; ") })}
              </span>
            </p>
          )}
        </>
      )}
      <Switches
        legend={worded("shared.forThoseWhoCannotEatIt")}
        switches={rules.switches.filter((s) => s.diner !== "")}
        value={value}
        set={set}
      />
      <Switches
        legend={worded("shared.also")}
        switches={rules.switches.filter((s) => s.diner === "")}
        value={value}
        set={set}
      >
        <Checkbox
          checked={value.mild === true}
          onChange={(e) => set({ ...value, mild: e.target.checked })}
        >
          {worded("shared.mildTable")}
        </Checkbox>
      </Switches>
      <div className="limits">
        <label>
          {worded("shared.saltAtMost")}{" "}
          <InputNumber
            aria-label={worded("shared.saltAtMostGramsAServing")}
            min={0}
            max={50}
            step={0.5}
            value={value.saltPerServing === 0 ? null : value.saltPerServing}
            placeholder={worded("shared.noLimit")}
            onChange={(g) => set({ ...value, saltPerServing: g ?? 0 })}
          />{" "}
          {worded("shared.gAServing")}
        </label>
        <label>
          {worded("shared.vegetablesToGrainAtLeast")}{" "}
          <InputNumber
            aria-label={worded("shared.volumesOfVegetablesToOneOf")}
            min={0}
            max={20}
            step={0.5}
            value={value.vegetablesPerGrain ? value.vegetablesPerGrain : null}
            placeholder={worded("shared.any")}
            onChange={(n) => set({ ...value, vegetablesPerGrain: n ?? 0 })}
          />{" "}
          {worded("shared.to1")}
        </label>
      </div>
    </div>
  );
}

interface SwitchesProps {
  legend: string;
  switches: Switch[];
  value: HouseRules;
  set: (r: HouseRules) => void;
  children?: React.ReactNode;
}

function Switches({ legend, switches, value, set, children }: SwitchesProps) {
  return (
    <fieldset className="switches">
      <legend>{legend}</legend>
      {switches.map((s) => (
        <Checkbox
          key={s.id}
          checked={value.off.includes(s.id)}
          onChange={(e) =>
            set({
              ...value,
              off: e.target.checked ? [...value.off, s.id] : value.off.filter((x) => x !== s.id),
            })
          }
        >
          {s.rule}
        </Checkbox>
      ))}
      {children}
    </fieldset>
  );
}
