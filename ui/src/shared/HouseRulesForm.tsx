import "./rules.css";

import { Checkbox, InputNumber, Select } from "antd";

import type { HouseRules, RulesView, Switch } from "../api/types";

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
          <legend>School</legend>
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
              <span className="quiet">rather: {p.soft.join("; ")}</span>
            </label>
          ))}
        </fieldset>
      ) : (
        <>
          <label className="small quiet" htmlFor="preset">
            School
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
              <span className="quiet">Rather: {chosen.soft.join("; ")}.</span>
            </p>
          )}
        </>
      )}
      <Switches
        legend="For those who cannot eat it"
        switches={rules.switches.filter((s) => s.diner !== "")}
        value={value}
        set={set}
      />
      <Switches
        legend="Also"
        switches={rules.switches.filter((s) => s.diner === "")}
        value={value}
        set={set}
      >
        <Checkbox
          checked={value.mild === true}
          onChange={(e) => set({ ...value, mild: e.target.checked })}
        >
          mild table
        </Checkbox>
      </Switches>
      <div className="limits">
        <label>
          Salt at most{" "}
          <InputNumber
            aria-label="Salt at most, grams a serving"
            min={0}
            max={50}
            step={0.5}
            value={value.saltPerServing === 0 ? null : value.saltPerServing}
            placeholder="no limit"
            onChange={(g) => set({ ...value, saltPerServing: g ?? 0 })}
          />{" "}
          g a serving
        </label>
        <label>
          Vegetables to grain at least{" "}
          <InputNumber
            aria-label="Volumes of vegetables to one of grain"
            min={0}
            max={20}
            step={0.5}
            value={value.vegetablesPerGrain ? value.vegetablesPerGrain : null}
            placeholder="any"
            onChange={(n) => set({ ...value, vegetablesPerGrain: n ?? 0 })}
          />{" "}
          to 1
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
