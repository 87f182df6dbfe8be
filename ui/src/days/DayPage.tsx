import "./days.css";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Segmented } from "antd";
import { useEffect, useState } from "react";
import { useNavigate, useParams } from "react-router";

import { GuestLink } from "../access/LinkSheet";
import { api } from "../api/client";
import type { DayDocument, DayView } from "../api/types";
import { KitForm } from "../kitchen/KitForm";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { Sheet } from "../shared/Sheet";
import { Chosen } from "./Chosen";
import { DayList } from "./DayList";
import { Shopping } from "./Shopping";
import { useTicks } from "./useTicks";
import { Timeline } from "./Timeline";
import { span, wall, withZone } from "./clock";
import { Conflicts, Menu } from "./DayParts";
import { worded } from "../texts/worded";

type Change = { kind: "save"; part: Partial<DayDocument> } | { kind: "undo" };

/** One day: its plan as a picture and as a list, and its shopping. */
export default function DayPage() {
  const { id = "" } = useParams();
  const go = useNavigate();
  const queries = useQueryClient();
  const key = ["day", id];
  const day = useQuery({
    queryKey: key,
    queryFn: async () => {
      const told = await api.day(id);
      const now = queries.getQueryData<DayView>(key);
      return now && now.version > told.version ? now : told;
    },
  });
  const change = useMutation({
    mutationKey: key,
    scope: { id: `day-${id}` },
    mutationFn: (c: Change) => {
      const now = queries.getQueryData<DayView>(key);
      if (!now) throw new Error(worded("days.theDayIsNotOpen"));
      return c.kind === "undo"
        ? api.undoDay(id, now.version)
        : api.saveDay(id, now.version, { ...now.document, ...c.part });
    },
    // What was decided shows at once; the plan comes with the answer.
    onMutate: (c) => {
      const now = queries.getQueryData<DayView>(key);
      if (now && c.kind === "save") {
        queries.setQueryData(key, { ...now, document: { ...now.document, ...c.part } });
      }
    },
    onSuccess: (v) => queries.setQueryData(key, v),
    onError: () => void queries.invalidateQueries({ queryKey: key }),
  });
  const remove = useMutation({
    mutationFn: () => api.removeDay(id),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ["days"] });
      void go("/days");
    },
  });
  const begin = useMutation({
    mutationFn: () => api.beginStove({ dish: "", factor: 0, day: id, weekday: false }),
    onSuccess: (stove) => void go(`/stove/${stove.id}`),
  });
  const tick = useTicks(id);
  const [shown, setShown] = useState("Plan");
  const [chosen, setChosen] = useState<string | null>(null);
  const [kit, setKit] = useState(false);
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const tick = setInterval(() => setNow(Date.now()), 30_000);
    return () => clearInterval(tick);
  }, []);
  if (day.error) {
    return (
      <main className="page">
        <ProblemNote error={day.error} retry={() => void day.refetch()} />
      </main>
    );
  }
  if (!day.data) return <Loading>{worded("days.planningTheDay")}</Loading>;
  const view = day.data;
  const set = (part: Partial<DayDocument>) => change.mutate({ kind: "save", part });
  return (
    <main className="page day">
      <header className="day-head">
        <h1>{view.document.name}</h1>
        <label>
          {worded("days.atTheTable")}{" "}
          <input
            type="datetime-local"
            value={view.document.serveAt.slice(0, 16)}
            aria-label={worded("days.timeOfServing")}
            onChange={(e) => e.target.value !== "" && set({ serveAt: withZone(e.target.value) })}
          />
        </label>
        {view.plan.feasible && (
          <span>
            {worded("days.begin")} <b>{view.plan.startAt && wall(view.plan.startAt)}</b>,{" "}
            {span(view.plan.spanMinutes)}
            {view.plan.optimal
              ? worded("days.theLeastThereIs")
              : worded("days.atLeast", { span: span(view.plan.boundMinutes) })}
          </span>
        )}
        {change.isPending && <span className="quiet">{worded("days.planning")}</span>}
      </header>
      {change.error && <ProblemNote error={change.error} />}
      {begin.error && <ProblemNote error={begin.error} />}
      {view.missing.map((m) => (
        <p key={m} className="missing" role="note">
          {m}
        </p>
      ))}
      {view.aside.length > 0 && (
        <p className="missing" role="note">
          {worded("days.saidOfTasksThatAreNo", {
            aside: view.aside
              .map((p) =>
                worded("days.begun", {
                  pName: p.name ?? worded("days.aTask"),
                  wall: wall(p.start),
                  which: p.done ? worded("days.done2") : "",
                }),
              )
              .join("; "),
          })}
        </p>
      )}
      {!view.plan.feasible && <Conflicts view={view} set={set} />}
      <div className="day-tools no-print">
        <Segmented
          options={["Plan", "List", "Shopping", "Dishes"]}
          value={shown}
          onChange={setShown}
        />
        <Button
          type="primary"
          disabled={view.jobs.length === 0}
          loading={begin.isPending}
          onClick={() => begin.mutate()}
        >
          {worded("days.beginTheDay")}
        </Button>
        <Button onClick={() => setKit(true)}>{worded("days.cooksAndKit")}</Button>
        <Button onClick={() => change.mutate({ kind: "undo" })}>{worded("days.takeBack")}</Button>
        <span className="card-exports">
          <a href={`/api/days/${id}/calendar`}>{worded("days.calendarWithAlarms")}</a>
          <a href={`/api/days/${id}/shopping`}>{worded("days.shoppingAsCsv")}</a>
          <GuestLink
            kind={shown === "Shopping" ? "shopping" : "day"}
            about={id}
            what={shown === "Shopping" ? worded("days.thisShoppingList") : worded("days.thisDay")}
          />
          <Button type="link" onClick={() => window.print()}>
            {worded("days.print")}
          </Button>
        </span>
      </div>
      {shown === "Plan" && view.jobs.length === 0 && (
        <div className="empty">
          <h2>{worded("days.nothingToCookYet")}</h2>
          <p>{worded("days.chooseDishesUnderDishes")}</p>
        </div>
      )}
      {shown === "Plan" && view.jobs.length > 0 && (
        <>
          <Timeline
            view={view}
            chosen={chosen}
            choose={setChosen}
            pin={(task, at) => set({ pins: { ...view.document.pins, [task]: at } })}
            now={now}
          />
          <Chosen view={view} id={chosen} change={set} now={() => Date.now()} />
          <div className="phone-list">
            <DayList view={view} choose={setChosen} />
          </div>
        </>
      )}
      {shown === "List" && (
        <>
          {chosen && <Chosen view={view} id={chosen} change={set} now={() => Date.now()} />}
          <DayList view={view} choose={setChosen} />
        </>
      )}
      {shown === "Shopping" && <Shopping view={view} change={set} tick={tick} />}
      {shown === "Dishes" && <Menu view={view} set={set} remove={() => remove.mutate()} />}
      {kit && (
        <Sheet title={worded("days.cooksAndKitOfThisDay")} close={() => setKit(false)} wide>
          <KitForm value={view.document.kitchen} set={(kitchen) => set({ kitchen })} />
        </Sheet>
      )}
    </main>
  );
}
