import "./days.css";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Input, InputNumber, Select } from "antd";
import { useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";

import { api } from "../api/client";
import { useShelfNames } from "../dishes/useShelfNames";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { dateOf, wall, withZone } from "./clock";
import { worded } from "../texts/worded";

/** All days, and a new one. */
export default function DaysPage() {
  const go = useNavigate();
  const queries = useQueryClient();
  const days = useQuery({ queryKey: ["days"], queryFn: api.days });
  const [find, setFind] = useState("");
  const dishes = useShelfNames(find);
  const [names, setNames] = useState<Record<string, string>>({});
  const [name, setName] = useState("");
  const [at, setAt] = useState("");
  const [asked] = useSearchParams();
  const [chosen, setChosen] = useState<string[]>(asked.getAll("dish"));
  const [servings, setServings] = useState(4);
  const make = useMutation({
    mutationFn: () =>
      api.createDay({
        name: name.trim(),
        serveAt: withZone(at),
        dishes: chosen.map((id) => ({ id, servings })),
      }),
    onSuccess: (v) => {
      queries.setQueryData(["day", v.id], v);
      void queries.invalidateQueries({ queryKey: ["days"] });
      void go(`/days/${v.id}`);
    },
  });
  const ready = name.trim() !== "" && at !== "" && chosen.length > 0;
  return (
    <main className="page days">
      <h1>{worded("days.days")}</h1>
      {days.error && <ProblemNote error={days.error} retry={() => void days.refetch()} />}
      {days.isPending && <Loading>{worded("days.fetchingTheDays")}</Loading>}
      {days.data?.length === 0 && <p className="quiet">{worded("days.noDayYetSayBelowWhat")}</p>}
      <ul className="day-shelf" aria-label={worded("days.days")}>
        {days.data?.map((d) => (
          <li key={d.id}>
            <Link to={`/days/${d.id}`}>
              <span className="when">
                {dateOf(d.serveAt)} <b>{wall(d.serveAt)}</b>
              </span>
              <h2>{d.name}</h2>
              <span className="quiet">{d.dishes.join(" · ")}</span>
            </Link>
          </li>
        ))}
      </ul>
      <section className="new-day" aria-label={worded("days.newDay")}>
        <h2>{worded("days.newDay")}</h2>
        <div className="fields">
          <label>
            <span>{worded("days.whatItIs")}</span>
            <Input
              value={name}
              placeholder={worded("days.sundaySupper")}
              aria-label={worded("days.nameOfTheDay")}
              onChange={(e) => setName(e.target.value)}
            />
          </label>
          <label>
            <span>{worded("days.peopleSitDownAt")}</span>
            <input
              type="datetime-local"
              value={at}
              aria-label={worded("days.timeOfServing")}
              onChange={(e) => setAt(e.target.value)}
            />
          </label>
          <label>
            <span>{worded("days.howMany")}</span>
            <InputNumber
              min={1}
              max={500}
              value={servings}
              aria-label={worded("days.howManySitDown")}
              onChange={(n) => n !== null && setServings(n)}
            />
          </label>
          <label className="wide">
            <span>{worded("days.dishes")}</span>
            <Select
              mode="multiple"
              value={chosen}
              aria-label={worded("days.dishesOfTheDay")}
              placeholder={worded("days.chooseFromYourDishes")}
              options={[
                ...dishes.map((d) => ({ value: d.id, label: d.name })),
                ...chosen
                  .filter((id) => !dishes.some((d) => d.id === id))
                  .map((id) => ({
                    value: id,
                    label: names[id] ?? worded("days.aDishChosenBefore"),
                  })),
              ]}
              showSearch={{ filterOption: false, onSearch: setFind }}
              onChange={(ids: string[]) => {
                setNames((was) => ({
                  ...was,
                  ...Object.fromEntries(dishes.map((d) => [d.id, d.name])),
                }));
                setChosen(ids);
              }}
            />
          </label>
        </div>
        {make.error && <ProblemNote error={make.error} />}
        <Button
          type="primary"
          disabled={!ready}
          loading={make.isPending}
          onClick={() => make.mutate()}
        >
          {worded("days.planTheDay")}
        </Button>
      </section>
      <Cooked />
    </main>
  );
}

/** What is cooked now, and what was. */
function Cooked() {
  const cooked = useQuery({ queryKey: ["stoves"], queryFn: api.stoves });
  if (!cooked.data || cooked.data.length === 0) return null;
  return (
    <section className="cooked">
      <h2>{worded("days.atTheStove")}</h2>
      <ul>
        {cooked.data.slice(0, 12).map((s) => (
          <li key={s.id}>
            <Link to={`/stove/${s.id}`}>{s.name}</Link>{" "}
            <span className="quiet">
              {new Date(s.begun).toLocaleDateString("en-GB", {
                weekday: "short",
                day: "numeric",
                month: "short",
              })}
              {s.ended === 0
                ? worded("days.ofDone", { done: s.done, of: s.of })
                : s.kept
                  ? worded("days.keptAsATrial")
                  : worded("days.overKeepItOrLetIt")}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
