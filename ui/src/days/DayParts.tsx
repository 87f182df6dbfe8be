import { Button, Input, InputNumber } from "antd";
import { useState } from "react";

import type { DayDocument, DayView, Option } from "../api/types";
import { useShelfNames } from "../dishes/useShelfNames";
import { wall } from "./clock";
import { worded } from "../texts/worded";

export interface PartProps {
  view: DayView;
  set: (d: Partial<DayDocument>) => void;
}

export function Conflicts({ view, set }: PartProps) {
  const use = (o: Option) => {
    if (o.serveAt) set({ serveAt: o.serveAt });
    else if (o.cooks > 0) set({ kitchen: { ...view.document.kitchen, cooks: o.cooks } });
    else {
      const gone = new Set(view.jobs.filter((j) => o.without.includes(j.id)).map((j) => j.course));
      set({ dishes: view.document.dishes.filter((d) => !gone.has(view.names[d.id] ?? "")) });
    }
  };
  return (
    <section className="conflicts" role="alert">
      <h2>{worded("days.thisCannotAllBeReadyBy", { wall: wall(view.document.serveAt) })}</h2>
      {view.plan.conflicts.map((c) => (
        <p key={c.text}>{inWords(c.text, view)}</p>
      ))}
      {view.options.length > 0 && (
        <ul>
          {view.options.map((o) => (
            <li key={o.text}>
              {o.text}{" "}
              <Button size="small" onClick={() => use(o)}>
                {worded("days.doThis")}
              </Button>
            </li>
          ))}
        </ul>
      )}
      {Object.keys(view.document.pins).length > 0 && (
        <Button size="small" onClick={() => set({ pins: {} })}>
          {worded("days.unpinEverything")}
        </Button>
      )}
    </section>
  );
}

/** Puts the names of tasks where a conflict says their ids. */
export function inWords(text: string, view: DayView): string {
  return text.replace(/"([^"]+)"/g, (all, id: string) => {
    const job = view.jobs.find((j) => j.id === id);
    return job ? `“${job.name}”` : all;
  });
}

export function Menu({ view, set, remove }: PartProps & { remove: () => void }) {
  const [find, setFind] = useState("");
  const found = useShelfNames(find);
  const chosen = view.document.dishes;
  const dishes = [
    ...chosen.map((c) => {
      const d = found.find((x) => x.id === c.id);
      return d ?? { id: c.id, name: view.names[c.id] ?? worded("days.aDish"), place: "", open: 0 };
    }),
    ...found.filter((d) => !chosen.some((c) => c.id === d.id)),
  ];
  return (
    <section className="menu">
      <Input
        value={find}
        allowClear
        placeholder={worded("days.findADish")}
        aria-label={worded("days.findADish")}
        onChange={(e) => setFind(e.target.value)}
      />
      <ul>
        {dishes.map((d) => {
          const on = chosen.find((x) => x.id === d.id);
          return (
            <li key={d.id}>
              <label>
                <input
                  type="checkbox"
                  checked={on !== undefined}
                  onChange={(e) =>
                    set({
                      dishes: e.target.checked
                        ? [...chosen, { id: d.id, servings: chosen[0]?.servings ?? 4 }]
                        : chosen.filter((x) => x.id !== d.id),
                    })
                  }
                />{" "}
                {d.name} <span className="quiet small">{d.place}</span>
                {d.open > 0 && (
                  <span className="quiet small">
                    {" "}
                    {worded("days.linesStillOpen", { open: d.open })}
                  </span>
                )}
              </label>
              {on && (
                <span>
                  {worded("days.for2")}{" "}
                  <InputNumber
                    min={1}
                    max={500}
                    value={on.servings}
                    aria-label={worded("days.servingsOf", { dName: d.name })}
                    onChange={(n) =>
                      n !== null &&
                      n !== on.servings &&
                      set({
                        dishes: chosen.map((x) => (x.id === d.id ? { ...x, servings: n } : x)),
                      })
                    }
                  />
                </span>
              )}
            </li>
          );
        })}
      </ul>
      <Button danger onClick={remove}>
        {worded("days.takeThisDayAway")}
      </Button>
    </section>
  );
}
