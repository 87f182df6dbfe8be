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
      <h1>Days</h1>
      {days.error && <ProblemNote error={days.error} retry={() => void days.refetch()} />}
      {days.isPending && <Loading>Fetching the days</Loading>}
      {days.data?.length === 0 && (
        <p className="quiet">No day yet. Say below what is cooked and when people sit down.</p>
      )}
      <ul className="day-shelf" aria-label="Days">
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
      <section className="new-day" aria-label="New day">
        <h2>New day</h2>
        <div className="fields">
          <label>
            <span>What it is</span>
            <Input
              value={name}
              placeholder="Sunday supper"
              aria-label="Name of the day"
              onChange={(e) => setName(e.target.value)}
            />
          </label>
          <label>
            <span>People sit down at</span>
            <input
              type="datetime-local"
              value={at}
              aria-label="Time of serving"
              onChange={(e) => setAt(e.target.value)}
            />
          </label>
          <label>
            <span>How many</span>
            <InputNumber
              min={1}
              max={500}
              value={servings}
              aria-label="How many sit down"
              onChange={(n) => n !== null && setServings(n)}
            />
          </label>
          <label className="wide">
            <span>Dishes</span>
            <Select
              mode="multiple"
              value={chosen}
              aria-label="Dishes of the day"
              placeholder="Choose from your dishes"
              options={[
                ...dishes.map((d) => ({ value: d.id, label: d.name })),
                ...chosen
                  .filter((id) => !dishes.some((d) => d.id === id))
                  .map((id) => ({ value: id, label: names[id] ?? "a dish chosen before" })),
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
          Plan the day
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
      <h2>At the stove</h2>
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
                ? `, ${s.done} of ${s.of} done`
                : s.kept
                  ? ", kept as a trial"
                  : ", over: keep it or let it go"}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
