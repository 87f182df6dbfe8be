import "./about.css";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Input, Select } from "antd";
import { useState } from "react";
import { Link, useNavigate } from "react-router";

import { api } from "../api/client";
import type { Disputed } from "../api/types";
import { Pictures } from "../shared/Pictures";
import { ProblemNote } from "../shared/ProblemNote";
import { Sheet } from "../shared/Sheet";
import type { OpenDish } from "./useDish";
import { kept } from "../texts/kept";
import { worded } from "../texts/worded";

// A list opens inside the sheet: what is outside lies under it.
const inside = (node: HTMLElement) => node.parentElement ?? document.body;

/** What the cook says of a dish beside its recipe, and what can be done with it whole. */
export function AboutSheet({ open, close }: { open: OpenDish; close: () => void }) {
  const { dish, save } = open;
  const doc = dish.document;
  const facets = useQuery({ queryKey: ["shelf-facets"], queryFn: api.facets });
  const pictures = useQuery({
    queryKey: ["pictures", dish.id],
    queryFn: () => api.pictures("dish", dish.id),
  });
  const queries = useQueryClient();
  const [name, setName] = useState(doc.name);
  const [place, setPlace] = useState(doc.place);
  const [from, setFrom] = useState(doc.from ?? "");
  const [note, setNote] = useState(doc.notes?.[""] ?? "");
  return (
    <Sheet title={worded("dish.aboutThisDish")} close={close} wide>
      <div className="about">
        <label>
          {worded("dish.name")}
          <Input
            value={name}
            onChange={(e) => setName(e.target.value)}
            onBlur={() =>
              name.trim() &&
              name !== doc.name &&
              save({ what: kept("dish.renamedIt"), name: name.trim() })
            }
          />
        </label>
        <label>
          {worded("dish.place")}
          <Input
            value={place}
            onChange={(e) => setPlace(e.target.value)}
            onBlur={() => place !== doc.place && save({ what: kept("dish.placedIt"), place })}
          />
        </label>
        <label>
          {worded("dish.country")}
          <Select
            allowClear
            showSearch={{ optionFilterProp: "label" }}
            aria-label={worded("dish.country")}
            getPopupContainer={inside}
            value={doc.country || undefined}
            options={facets.data?.world.map((c) => ({ value: c.code, label: c.name })) ?? []}
            onChange={(country: string | undefined) =>
              save({ what: kept("dish.placedIt"), country: country ?? "" })
            }
          />
        </label>
        <label>
          {worded("dish.whoseRecipeItWas")}
          <Input
            value={from}
            maxLength={200}
            onChange={(e) => setFrom(e.target.value)}
            onBlur={() =>
              from !== (doc.from ?? "") && save({ what: kept("dish.saidWhoseItWas"), from })
            }
          />
        </label>
        <label>
          {worded("dish.labelsOfYourOwn")}
          <Select
            mode="tags"
            aria-label={worded("dish.labels")}
            getPopupContainer={inside}
            value={doc.labels ?? []}
            options={facets.data?.labels.map((l) => ({ value: l, label: l })) ?? []}
            onChange={(labels: string[]) => save({ what: kept("dish.labelledIt"), labels })}
          />
        </label>
        <label className="tick">
          <input
            type="checkbox"
            checked={doc.settled ?? false}
            onChange={(e) =>
              save({
                what: e.target.checked ? kept("dish.settledIt") : kept("dish.openedItAgain"),
                settled: e.target.checked,
              })
            }
          />{" "}
          {worded("dish.settledNothingMoreIsToBe")}
        </label>
        <label className="whole">
          {worded("dish.notes")}
          <Input.TextArea
            rows={3}
            maxLength={2000}
            value={note}
            onChange={(e) => setNote(e.target.value)}
            onBlur={() =>
              note !== (doc.notes?.[""] ?? "") &&
              save({ what: kept("dish.noted"), notes: { ...doc.notes, "": note } })
            }
          />
        </label>
      </div>
      <Points
        points={doc.disputed ?? []}
        set={(disputed) => save({ what: kept("dish.saidWhatIsDisputed"), disputed })}
      />
      <h3>{worded("dish.thePlate")}</h3>
      {pictures.data && (
        <Pictures
          kind="dish"
          about={dish.id}
          of={doc.name}
          pictures={pictures.data}
          changed={() => void queries.invalidateQueries({ queryKey: ["pictures", dish.id] })}
        />
      )}
      <Whole open={open} close={close} />
    </Sheet>
  );
}

/** Points on which cooks of the dish disagree, and what was chosen here. */
function Points({ points, set }: { points: Disputed[]; set: (to: Disputed[]) => void }) {
  const [draft, setDraft] = useState<Disputed>({ point: "", chosen: "", why: "" });
  const fields: [keyof Disputed, string][] = [
    ["point", worded("dish.withCheeseOrNever")],
    ["chosen", "Here"],
    ["why", "Why"],
  ];
  return (
    <section aria-label={worded("dish.disputedPoints")}>
      <h3>{worded("dish.whatCooksDisagreeOn")}</h3>
      <ul>
        {points.map((p, i) => (
          <li key={i}>
            <b>{p.point}</b> {p.chosen && worded("dish.here", { chosen: p.chosen })} {p.why}{" "}
            <Button size="small" onClick={() => set(points.filter((_, at) => at !== i))}>
              {worded("dish.leaveOut")}
            </Button>
          </li>
        ))}
      </ul>
      <div className="point">
        {fields.map(([field, hint]) => (
          <Input
            key={field}
            aria-label={hint}
            placeholder={hint}
            value={draft[field]}
            onChange={(e) => setDraft({ ...draft, [field]: e.target.value })}
          />
        ))}
        <Button
          disabled={!draft.point.trim()}
          onClick={() => {
            set([...points, draft]);
            setDraft({ point: "", chosen: "", why: "" });
          }}
        >
          {worded("dish.add")}
        </Button>
      </div>
    </section>
  );
}

/** What can be done with the dish as a whole. */
function Whole({ open, close }: { open: OpenDish; close: () => void }) {
  const { dish } = open;
  const go = useNavigate();
  const queries = useQueryClient();
  const [asking, setAsking] = useState(false);
  const needs = useQuery({
    queryKey: ["needs", dish.id],
    queryFn: () => api.needs(dish.id),
    enabled: asking,
  });
  const near = useQuery({
    queryKey: ["near", dish.id, dish.edit],
    queryFn: () => api.near(dish.id),
  });
  const gone = (to: string) => {
    for (const key of ["dishes", "shelf-facets", "variants"]) {
      void queries.invalidateQueries({ queryKey: [key] });
    }
    close();
    void go(to);
  };
  const copy = useMutation({
    mutationFn: () => api.copyDish(dish.id, { name: "" }),
    onSuccess: (d) => gone(`/dishes/${d.id}/original`),
  });
  const many = useMutation({
    mutationFn: (what: string) => api.shelveMany({ do: what, ids: [dish.id] }),
    onSuccess: (_, what) => gone(what === "take" ? "/dishes?gone=true" : "/dishes"),
  });
  const n = needs.data;
  return (
    <section aria-label={worded("dish.theDishAsAWhole")}>
      {(near.data?.length ?? 0) > 0 && (
        <>
          <h3>{worded("dish.whatYouHaveMasteredHereServes")}</h3>
          <ul>
            {near.data?.map((x) => (
              <li key={x.id}>
                <Link to={`/dishes/${x.id}/character`} onClick={close}>
                  {x.name}
                </Link>
                : {x.say}
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="whole-ways">
        <Button loading={copy.isPending} onClick={() => copy.mutate()}>
          {worded("dish.copyIt")}
        </Button>
        <Button onClick={() => many.mutate("away")}>{worded("dish.putItAway")}</Button>
        <Button danger onClick={() => setAsking(true)}>
          {worded("dish.takeItAwayForGood")}
        </Button>
      </p>
      {asking && n && (
        <div className="problem" role="alert">
          <h3>{worded("dish.whatGoesWithIt")}</h3>
          <p>
            {worded("dish.ofIt", {
              revisions: n.revisions,
              which: n.revisions === 1 ? worded("dish.version") : worded("dish.versions"),
            })}
            {n.trials > 0 &&
              worded("dish.trialsAndTastingsLoseTheirDish", {
                trials: n.trials,
                tastings: n.tastings,
              })}
            {n.days.length > 0 &&
              worded("dish.itIsMissingThenFrom", { days: n.days.map((d) => d.name).join(", ") })}
            {worded("dish.itCanBeBroughtBackFor", { until: n.until })}
          </p>
          <Button danger onClick={() => many.mutate("take")}>
            {worded("dish.takeItAway")}
          </Button>{" "}
          <Button onClick={() => setAsking(false)}>{worded("dish.leaveIt")}</Button>
        </div>
      )}
      {[copy, many].map((m, i) => m.error && <ProblemNote key={i} error={m.error} />)}
      {needs.error && <ProblemNote error={needs.error} />}
    </section>
  );
}
