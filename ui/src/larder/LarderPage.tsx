import "./larder.css";

import { useQuery } from "@tanstack/react-query";
import { Button, Input } from "antd";
import { useState } from "react";
import { NavLink, useParams } from "react-router";

import { api } from "../api/client";
import type { Shelf } from "../api/types";
import { Mark } from "../shared/Mark";
import { ProblemNote } from "../shared/ProblemNote";
import { capital } from "../shared/format";
import { FoodFacts } from "./FoodFacts";
import { FoodForm } from "./FoodForm";
import { worded } from "../texts/worded";

/** Words for the shelves whose id does not say it all. */
const shelfNames: Record<string, string> = {
  own: worded("larder.yourOwn"),
  "other-animal": worded("larder.otherAnimalFoods"),
  "plant-dairy": worded("larder.plantMilksAndCreams"),
  "sea-vegetables": worded("larder.seaVegetables"),
  nuts: worded("larder.nutsAndSeeds"),
};

const shelfName = (id: string) => shelfNames[id] ?? capital(id);

const ownFirst = (a: Shelf, b: Shelf) => Number(b.id === "own") - Number(a.id === "own");

/** Every food with its facts, by shelf or by search. */
export default function LarderPage() {
  const { food = "" } = useParams();
  const [text, setText] = useState("");
  const [chosen, setShelf] = useState("");
  const [adding, setAdding] = useState(false);
  const searching = text.trim() !== "";
  const open = useQuery({
    queryKey: ["food", food],
    queryFn: () => api.food(food),
    enabled: food !== "",
  });
  const shelf = chosen || (open.data?.aisle ?? (food ? "" : "vegetables"));
  const shelves = useQuery({ queryKey: ["shelves"], queryFn: api.shelves });
  const hits = useQuery({
    queryKey: searching ? ["foods", text] : ["shelf", shelf],
    queryFn: () => (searching ? api.foods(text) : api.shelf(shelf)),
    enabled: searching || shelf !== "",
    placeholderData: (before) => before,
  });
  const total = shelves.data?.reduce((n, s) => n + (s.id === "own" ? 0 : s.foods), 0);
  return (
    <main className={food ? "larder chosen" : "larder"}>
      <nav className="shelves" aria-label={worded("larder.shelves")}>
        <h1>{worded("larder.larder")}</h1>
        <p className="quiet small">{total ? worded("larder.foods", { total }) : "…"}</p>
        <ul>
          {shelves.data?.toSorted(ownFirst).map((s) => (
            <li key={s.id}>
              <button
                aria-pressed={!searching && shelf === s.id}
                onClick={() => {
                  setText("");
                  setShelf(s.id);
                }}
              >
                {shelfName(s.id)} <span className="quiet">{s.foods}</span>
              </button>
            </li>
          ))}
        </ul>
      </nav>
      <section className="found" aria-label={worded("larder.foods2")}>
        <div className="found-head">
          <Input
            value={text}
            allowClear
            onChange={(e) => setText(e.target.value)}
            placeholder={worded("larder.anyNameBrinjalTwarGScallion")}
            aria-label={worded("larder.searchTheLarder")}
          />
          <Button onClick={() => setAdding(true)}>{worded("larder.addAFood")}</Button>
        </div>
        {hits.error && <ProblemNote error={hits.error} retry={() => void hits.refetch()} />}
        {hits.data?.length === 0 && (
          <p className="quiet">
            {searching
              ? worded("larder.noFoodIsCalledTryAnother", { text })
              : worded("larder.nothingStandsHereYetCorrectA")}
          </p>
        )}
        <ul>
          {hits.data?.map((f) => (
            <li key={f.id}>
              <NavLink to={`/larder/${f.id}`}>
                <Mark origin={f.origin} check={f.checkLabel} />
                <span>{f.name}</span>
                <span className="quiet small">
                  {f.own ? `${f.own}, ` : ""}
                  {f.animal && f.origin === "animal" ? f.animal : f.grade}
                </span>
              </NavLink>
            </li>
          ))}
        </ul>
      </section>
      <section className="facts-of" aria-label={worded("larder.facts")}>
        {food ? (
          <FoodFacts key={food} id={food} />
        ) : (
          <p className="quiet choose">{worded("larder.chooseAFoodToSeeWhat")}</p>
        )}
      </section>
      {adding && <FoodForm close={() => setAdding(false)} />}
    </main>
  );
}
