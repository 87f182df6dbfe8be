import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useState } from "react";
import { NavLink, useNavigate } from "react-router";

import { api } from "../api/client";
import type { FoodView } from "../api/types";
import { Loading } from "../shared/Loading";
import { Mark } from "../shared/Mark";
import { ProblemNote } from "../shared/ProblemNote";
import { capital } from "../shared/format";
import { FoodForm } from "./FoodForm";
import { nutrients, rounded } from "./nutrients";
import { Forms, Limits, Taste, Used } from "./FoodMore";
import { worded } from "../texts/worded";

/** All that is known of one food, each figure with where it comes from. */
export function FoodFacts({ id }: { id: string }) {
  const queries = useQueryClient();
  const go = useNavigate();
  const [correcting, setCorrecting] = useState(false);
  const food = useQuery({ queryKey: ["food", id], queryFn: () => api.food(id) });
  const takeBack = useMutation({
    mutationFn: () => api.takeBackFood(id, food.data?.version ?? 0),
    onSuccess: async (f) => {
      await queries.invalidateQueries();
      if (!f) void go("/larder");
    },
  });
  if (food.error) return <ProblemNote error={food.error} retry={() => void food.refetch()} />;
  if (!food.data) return <Loading>{worded("larder.fetchingTheFood")}</Loading>;
  const f = food.data;
  return (
    <article className="food-facts">
      <header>
        <h2>{capital(f.name)}</h2>
        <Button size="small" onClick={() => setCorrecting(true)}>
          {f.own === "added" ? worded("larder.change") : worded("larder.correct2")}
        </Button>
        {f.own !== "" && (
          <Button size="small" loading={takeBack.isPending} onClick={() => takeBack.mutate()}>
            {f.own === "added"
              ? worded("larder.takeOutOfTheLarder")
              : worded("larder.takeTheCorrectionBack")}
          </Button>
        )}
      </header>
      {f.own !== "" && (
        <p className="own-mark">
          {f.own === "added" ? worded("larder.yourOwnFood") : worded("larder.correctedByYou")}
          {f.entry?.note ? `: ${f.entry.note}` : "."}
        </p>
      )}
      {takeBack.error && <ProblemNote error={takeBack.error} />}
      <p className="what">
        <Mark origin={f.origin} check={f.checkLabel} />
        {[f.origin === "animal" ? f.animal : f.origin, gradeWords[f.grade] ?? f.grade]
          .filter((w) => w !== "")
          .join(", ")}
        {f.hidden && worded("larder.hiddenInItsName")}
        {f.why && <span> {f.why}</span>}
      </p>
      {f.aliases.length > 0 && (
        <p className="small">
          <b>{worded("larder.alsoCalled")}</b> {f.aliases.slice(0, 30).join(", ")}
          {f.aliases.length > 30 && worded("larder.andMore", { aliases: f.aliases.length - 30 })}
        </p>
      )}
      {f.allergens.length > 0 && (
        <p className="small">
          <b>{worded("larder.allergens")}</b> {f.allergens.join(", ")}
        </p>
      )}
      {f.homes.length > 0 && (
        <p className="small">
          <b>{worded("larder.atHomeInTheseKitchens")}</b> {f.homes.join(", ")}
        </p>
      )}
      <Limits food={f} />
      {f.tags.length > 0 && (
        <p className="small">
          <b>{worded("larder.countedAs")}</b> {f.tags.join(", ").replaceAll("-", " ")}
        </p>
      )}
      <div className="fact-columns">
        <Weights food={f} />
        <Keeping food={f} />
      </div>
      <LookAlikes food={f} />
      <Inside food={f} />
      <Taste food={f} />
      <Forms food={f} />
      <Used food={f} />
      {correcting && <FoodForm food={f} close={() => setCorrecting(false)} />}
    </article>
  );
}

const gradeWords: Record<string, string> = {
  whole: "whole",
  plain: worded("larder.plainlyProcessed"),
  refined: "refined",
  analogue: worded("larder.readyMadeAnalogue"),
};

/** The name of a source, marked when it is an estimate. */
function Source({ food, code }: { food: FoodView; code: string }) {
  if (code === "") return null;
  return (
    <p className={code === "estimate" ? "source-note guess" : "source-note"}>
      {code === "estimate" ? worded("larder.estimate") : capital(food.sources[code] ?? code)}
    </p>
  );
}

function Weights({ food }: { food: FoodView }) {
  const pieces = Object.entries(food.pieces ?? {});
  return (
    <section>
      <h3>{worded("larder.weights")}</h3>
      <dl>
        {food.density > 0 && (
          <div>
            <dt>{worded("larder.n1UsCup")}</dt>
            <dd>{rounded(food.density * 236.588)} g</dd>
          </div>
        )}
        {food.density > 0 && (
          <div>
            <dt>{worded("larder.n1Tbsp15Ml")}</dt>
            <dd>{rounded(food.density * 15)} g</dd>
          </div>
        )}
        {pieces.map(([unit, span]) => (
          <div key={unit}>
            <dt>1 {unit}</dt>
            <dd>
              {span.low === span.high
                ? rounded(span.low)
                : `${rounded(span.low)}–${rounded(span.high)}`}{" "}
              g
            </dd>
          </div>
        ))}
      </dl>
      <Source food={food} code={food.weighSource} />
    </section>
  );
}

function Keeping({ food }: { food: FoodView }) {
  const { storage, edible, packs } = food;
  return (
    <section>
      <h3>{worded("larder.atHome")}</h3>
      <dl>
        {storage.place && (
          <div>
            <dt>{worded("larder.keepsInThe", { place: storage.place })}</dt>
            <dd>
              {worded("larder.daysOpened", {
                sealedDays: storage.sealedDays,
                openedDays: storage.openedDays,
                openedPlace: storage.openedPlace,
              })}
            </dd>
          </div>
        )}
        {edible.share < 1 && (
          <div>
            <dt>{worded("larder.eaten")}</dt>
            <dd>
              {worded("larder.notThe", {
                share: Math.round(edible.share * 100),
                thrown: edible.thrown,
              })}
            </dd>
          </div>
        )}
        {food.washed > 0 && (
          <div>
            <dt>{worded("larder.soakedOrRinsed")}</dt>
            <dd>{worded("larder.keepsOfItsSalt", { washed: Math.round(food.washed * 100) })}</dd>
          </div>
        )}
        {packs?.map((p) => (
          <div key={p.name}>
            <dt>{worded("larder.soldByThe", { pName: p.name })}</dt>
            <dd>
              {rounded(p.grams)} g
              {p.drained !== null && worded("larder.gDrained", { rounded: rounded(p.drained) })}
              {p.openedDays !== null && worded("larder.restKeeps", { days: p.openedDays })}
            </dd>
          </div>
        ))}
      </dl>
      {storage.note && <p className="small quiet">{capital(storage.note)}.</p>}
      <Source food={food} code={storage.source} />
    </section>
  );
}

function LookAlikes({ food }: { food: FoodView }) {
  if (food.lookAlikes.length === 0) return null;
  return (
    <section className="look-alikes">
      <h3>{worded("larder.takenFor")}</h3>
      <ul>
        {food.lookAlikes.map((l) => (
          <li key={l.id}>
            <NavLink to={`/larder/${l.id}`}>{l.name}</NavLink>: {l.differs}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Inside({ food }: { food: FoodView }) {
  if (food.per100.source === "") {
    return <p className="quiet">{worded("larder.nothingIsKnownOfWhatIs")}</p>;
  }
  return (
    <section>
      <h3>{worded("larder.in100GAsBought")}</h3>
      <dl className="inside">
        {nutrients.map(([key, name, unit]) => (
          <div key={key}>
            <dt>{name}</dt>
            <dd>
              {food.per100[key] === null ? (
                <span className="quiet">{worded("larder.missing")}</span>
              ) : (
                `${rounded(food.per100[key])} ${unit}`
              )}
            </dd>
          </div>
        ))}
      </dl>
      <Source food={food} code={food.per100.source} />
      {food.per100.further && (
        <p className="source-note">
          {worded("larder.b12VitaminDAndIodine")} {food.sources[food.per100.further]}
        </p>
      )}
    </section>
  );
}
