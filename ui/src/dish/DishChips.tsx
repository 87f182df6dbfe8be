import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Input, Popover } from "antd";
import { useState } from "react";
import { NavLink } from "react-router";

import { api } from "../api/client";
import type { DishView } from "../api/types";
import { showByBook, useByBook } from "../app/byBook";
import { HouseRulesForm } from "../shared/HouseRulesForm";
import { Sheet } from "../shared/Sheet";
import type { OpenDish } from "./useDish";
import { kept } from "../texts/kept";
import { worded } from "../texts/worded";

/** Says that figures use what this kitchen has learned, and shows them without. */
export function LearnedChip({ dish }: { dish: DishView }) {
  const queries = useQueryClient();
  const byBook = useByBook();
  const [open, setOpen] = useState(false);
  if (dish.learned.length === 0 && !byBook) return null;
  const show = (yes: boolean) => {
    showByBook(yes);
    setOpen(false);
    void queries.invalidateQueries();
  };
  if (byBook) {
    return (
      <span className="learned-chip" role="status">
        {worded("dish.byTheBookAlone")}{" "}
        <Button size="small" onClick={() => show(false)}>
          {worded("dish.asThisKitchenHasLearned")}
        </Button>
      </span>
    );
  }
  return (
    <>
      <button className="learned-chip" onClick={() => setOpen(true)}>
        {worded("dish.withOfThisKitchensOwn", { learned: dish.learned.length })}
      </button>
      {open && (
        <Sheet title={worded("dish.whatThisKitchenHasLearned")} close={() => setOpen(false)}>
          <p>{worded("dish.theseFiguresUse")}</p>
          <ul>
            {dish.learned.map((say) => (
              <li key={say}>{say}</li>
            ))}
          </ul>
          <p>
            <Button onClick={() => show(true)}>{worded("dish.showAllFiguresByTheBook")}</Button>{" "}
            <NavLink to="/kitchen#learned">{worded("dish.whatItCameFrom")}</NavLink>
          </p>
        </Sheet>
      )}
    </>
  );
}

/** The house rules of the dish, with the preset and what is off besides. */
export function RulesChip({ open }: { open: OpenDish }) {
  const rules = useQuery({ queryKey: ["rules"], queryFn: api.rules, staleTime: Infinity });
  const mine = open.dish.document.decisions.houseRules;
  const name = rules.data?.presets.find((p) => p.id === mine.preset)?.name ?? mine.preset;
  const form = rules.data && (
    <div className="rules-popover">
      <HouseRulesForm
        rules={rules.data}
        value={mine}
        set={(houseRules) => open.decide(kept("dish.changedTheHouseRules"), { houseRules })}
      />
    </div>
  );
  return (
    <Popover
      content={form}
      trigger="click"
      title={worded("dish.houseRules")}
      placement="bottomRight"
    >
      <Button>
        {name}
        {mine.off.length > 0 &&
          worded("dish.without", { replaceAll: mine.off.join(", ").replaceAll("-", " ") })}
      </Button>
    </Popover>
  );
}

/** The dish's name and place; a click on them lets the cook change both. */
export function Names({ open }: { open: OpenDish }) {
  const { name, place } = open.dish.document;
  const [editing, setEditing] = useState(false);
  const [draft, setDraft] = useState({ name, place });
  if (!editing) {
    return (
      <>
        <h1 title={name}>{name}</h1>
        <span className="quiet">{place}</span>
        <button
          className="rename"
          onClick={() => {
            setDraft({ name, place });
            setEditing(true);
          }}
        >
          {worded("dish.rename")}
        </button>
      </>
    );
  }
  const keep = () => {
    setEditing(false);
    if (draft.name.trim() !== "" && (draft.name !== name || draft.place !== place)) {
      open.save({ what: kept("dish.renamedTo", { draftName: draft.name.trim() }), ...draft });
    }
  };
  return (
    <form
      className="names"
      onSubmit={(e) => {
        e.preventDefault();
        keep();
      }}
      onKeyDown={(e) => {
        if (e.key === "Escape") setEditing(false);
      }}
    >
      <Input
        aria-label={worded("dish.nameOfTheDish")}
        autoFocus
        maxLength={120}
        value={draft.name}
        onChange={(e) => setDraft({ ...draft, name: e.target.value })}
      />
      <Input
        aria-label={worded("dish.placeOfTheDish")}
        placeholder={worded("dish.place")}
        maxLength={80}
        value={draft.place}
        onChange={(e) => setDraft({ ...draft, place: e.target.value })}
      />
      <Button htmlType="submit" type="primary">
        {worded("dish.keep")}
      </Button>
    </form>
  );
}
