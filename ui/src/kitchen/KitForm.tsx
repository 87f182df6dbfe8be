import { Button, Input, InputNumber, Switch } from "antd";
import { useState } from "react";

import type { Kitchen } from "../api/types";
import { worded } from "../texts/worded";

/** What there is to cook with, and between which hours; days begin with it. */
export function KitForm({ value, set }: { value: Kitchen; set: (k: Kitchen) => void }) {
  const [name, setName] = useState("");
  const count = (label: string, n: number, change: (n: number) => void) => (
    <label className="count">
      <span>{label}</span>
      <InputNumber
        min={0}
        max={50}
        precision={0}
        value={n}
        aria-label={label}
        onChange={(x) => x !== null && change(x)}
      />
    </label>
  );
  const add = () => {
    const key = name.trim().toLowerCase();
    if (key === "" || key in value.kit) return;
    set({ ...value, kit: { ...value.kit, [key]: 1 } });
    setName("");
  };
  return (
    <div className="kit">
      <div className="counts">
        {count("Cooks", value.cooks, (cooks) => set({ ...value, cooks }))}
        {count(worded("kitchen.ringsOnTheStove"), value.rings, (rings) => set({ ...value, rings }))}
        {value.ovens.map((o, i) => (
          <span key={i} className="oven">
            {count(worded("kitchen.shelvesOfOven", { i: i + 1 }), o.shelves, (shelves) =>
              set({
                ...value,
                ovens:
                  shelves === 0
                    ? value.ovens.filter((_, j) => j !== i)
                    : value.ovens.map((x, j) => (j === i ? { shelves } : x)),
              }),
            )}
          </span>
        ))}
        <Button onClick={() => set({ ...value, ovens: [...value.ovens, { shelves: 2 }] })}>
          {worded("kitchen.addAnOven")}
        </Button>
      </div>
      <div className="counts">
        {Object.keys(value.kit)
          .sort()
          .map((k) => (
            <span key={k}>
              {count(k, value.kit[k] ?? 0, (n) => set({ ...value, kit: { ...value.kit, [k]: n } }))}
            </span>
          ))}
        <Input
          value={name}
          placeholder={worded("kitchen.moreKitSuchAsASteamer")}
          aria-label={worded("kitchen.moreKit")}
          onChange={(e) => setName(e.target.value)}
          onPressEnter={add}
          style={{ width: 220 }}
        />
        <Button onClick={add}>{worded("kitchen.add")}</Button>
      </div>
      <div className="counts">
        <label className="count">
          <Switch
            checked={value.awake !== null}
            aria-label={worded("kitchen.nobodyWorksAtNight")}
            onChange={(on) => set({ ...value, awake: on ? { from: "07:00", to: "23:00" } : null })}
          />
          <span>{worded("kitchen.nobodyWorksAtNight")}</span>
        </label>
        {value.awake &&
          (["from", "to"] as const).map((end) => (
            <label className="count" key={end}>
              <span>{end === "from" ? worded("kitchen.upAt") : worded("kitchen.toBedAt")}</span>
              <input
                type="time"
                value={value.awake?.[end] ?? ""}
                aria-label={end === "from" ? worded("kitchen.upAt2") : worded("kitchen.toBedAt2")}
                onChange={(e) =>
                  e.target.value !== "" &&
                  value.awake &&
                  set({ ...value, awake: { ...value.awake, [end]: e.target.value } })
                }
              />
            </label>
          ))}
      </div>
    </div>
  );
}
