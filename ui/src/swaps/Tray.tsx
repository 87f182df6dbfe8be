import { useQuery } from "@tanstack/react-query";
import { Button } from "antd";
import { MinusOutlined, PlusOutlined } from "@ant-design/icons";
import { memo, useState } from "react";

import { api } from "../api/client";
import type { Dose, TrayItem } from "../api/types";
import type { OpenDish } from "../dish/useDish";
import { ProblemNote } from "../shared/ProblemNote";
import { capital, signed } from "../shared/format";
import { useStable } from "../shared/useStable";
import { bandKey } from "./threads";
import { kept } from "../texts/kept";
import { worded } from "../texts/worded";

/** The doses with one booster at so many grams; none leaves it out. */
export function dosed(doses: Dose[], item: TrayItem, grams: number): Dose[] {
  const rounded = Math.round(grams * 100) / 100;
  const others = doses.filter((d) => d.food !== item.food);
  if (rounded <= 0) return others;
  const at = doses.findIndex((d) => d.food === item.food);
  const dose = {
    food: item.food,
    form: item.form,
    grams: rounded,
    component: item.component,
    why: "",
  };
  return at < 0 ? [...others, dose] : doses.map((d, i) => (i === at ? dose : d));
}

/** Small doses to step up and down, those that help first. */
export function Tray({ open }: { open: OpenDish }) {
  const { dish } = open;
  const [more, setMore] = useState(false);
  const list = useQuery({
    queryKey: ["boosters", dish.id, dish.edit],
    queryFn: () => api.boosters(dish.id),
    placeholderData: (old) => old,
  });
  const step = useStable((item: TrayItem, by: number) => {
    const grams = Math.min(item.most, Math.max(0, item.grams + by * item.step));
    open.decide(
      by > 0
        ? kept("swaps.addedADoseOf", { itemName: item.name })
        : kept("swaps.tookBackADoseOf", { itemName: item.name }),
      {
        boosters: dosed(dish.document.decisions.boosters, item, grams),
      },
    );
  });
  if (list.error) return <ProblemNote error={list.error} retry={() => void list.refetch()} />;
  const items = list.data ?? [];
  const inUse = items.filter((i) => i.grams > 0);
  const helpful = items
    .filter((i) => i.grams === 0 && i.helps && i.barred === "")
    .sort((a, b) => gain(b) - gain(a));
  const others = items.filter((i) => i.grams === 0 && !helpful.includes(i));
  const row = (i: TrayItem) => <Booster key={i.food} item={i} step={step} />;
  return (
    <section className="tray" aria-label={worded("swaps.boosters")}>
      <h2>
        {worded("swaps.boosters")}{" "}
        <span className="small quiet">{worded("swaps.smallDosesThatCloseWhatIs")}</span>
      </h2>
      <ul>
        {inUse.map(row)}
        {(more ? helpful : helpful.slice(0, 5)).map(row)}
        {more && others.map(row)}
      </ul>
      {inUse.length + helpful.length === 0 && !more && (
        <p className="quiet">{worded("swaps.nothingIsShortThatABooster")}</p>
      )}
      <Button type="link" size="small" onClick={() => setMore(!more)}>
        {more
          ? worded("swaps.onlyThoseThatHelp")
          : worded("swaps.allBoosters", { items: items.length })}
      </Button>
    </section>
  );
}

function gain(i: TrayItem): number {
  return i.moves
    .filter((m) => i.traits.includes(m.trait))
    .reduce((sum, m) => sum + m.steps * (m.pinned ? 3 : 1), 0);
}

interface BoosterProps {
  item: TrayItem;
  step: (item: TrayItem, by: number) => void;
}

const Booster = memo(function Booster({ item, step }: BoosterProps) {
  const name = capital(item.name);
  return (
    <li className={item.grams > 0 ? "in" : ""}>
      <div className="dose">
        <Button
          size="small"
          icon={<MinusOutlined />}
          aria-label={worded("swaps.less", { itemName: item.name })}
          disabled={item.grams <= 0}
          onClick={() => step(item, -1)}
        />
        <span className="amount">
          {item.grams > 0 ? (
            item.shown
          ) : (
            <>
              {worded("swaps.none")}{" "}
              <span className="small quiet">{worded("swaps.dose", { shown: item.shown })}</span>
            </>
          )}
        </span>
        <Button
          size="small"
          icon={<PlusOutlined />}
          aria-label={worded("swaps.more", { itemName: item.name })}
          disabled={item.barred !== "" || item.grams + item.step > item.most + 1e-9}
          onClick={() => step(item, 1)}
        />
      </div>
      <div>
        <b>{name}</b>
        {item.part && (
          <span className="small quiet"> {worded("swaps.into", { part: item.part })}</span>
        )}
        <span className="small quiet">
          {" "}
          {item.when}
          {item.allergens.length > 0 &&
            worded("swaps.notFor2", { allergens: item.allergens.join(", ") })}
        </span>
      </div>
      <div className="effect">
        {item.barred !== "" ? (
          <span className="quiet">{worded("swaps.leftOut", { barred: item.barred })}</span>
        ) : (
          item.moves.slice(0, 4).map((m) => (
            <span key={bandKey(m)} className={m.verdict}>
              {m.trait} <b>{signed(m.steps)}</b>
            </span>
          ))
        )}
      </div>
    </li>
  );
});
