import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useState } from "react";
import { NavLink, useNavigate } from "react-router";

import { api } from "../api/client";
import type { FoodView } from "../api/types";
import { Loading } from "../shared/Loading";
import { Mark } from "../shared/Mark";
import { ProblemNote } from "../shared/ProblemNote";
import { capital, figure } from "../shared/format";
import { FoodForm } from "./FoodForm";
import { nutrients, rounded } from "./nutrients";
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
          <b>{worded("larder.theHouseRulesCountItAs")}</b> {f.tags.join(", ").replaceAll("-", " ")}
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

function Taste({ food }: { food: FoodView }) {
  const facts: [string, string][] = [];
  if (food.taste.source) {
    facts.push([
      worded("larder.freeGlutamate"),
      worded("larder.mg", { figures: rounded(food.taste.glutamate * 1000) }),
    ]);
    facts.push(["IMP, GMP, AMP", nucleotides(food)]);
  }
  if (food.titratable !== null)
    facts.push([worded("larder.acidAsCitricAcid"), `${rounded(food.titratable)} g`]);
  if (food.sweetness !== null)
    facts.push([worded("larder.sweetnessAsSugar"), `${rounded(food.sweetness)} g`]);
  if (food.heat.source) {
    facts.push([
      "Heat",
      worded("larder.scovilleUnits", { low: food.heat.low, high: food.heat.high }),
    ]);
  }
  for (const a of food.aromas ?? []) {
    facts.push([
      worded("larder.clearAt", { capital: capital(a.trait) }),
      worded("larder.gIn100G", { rounded: rounded(a.dose) }),
    ]);
  }
  for (const r of food.roles ?? []) {
    facts.push([worded("larder.forEachGram", { capital: capital(r.kind) }), rounded(r.perGram)]);
  }
  if (facts.length === 0) return null;
  return (
    <section>
      <h3>{worded("larder.tasteAromaAndStructure")}</h3>
      <dl className="inside">
        {facts.map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

function nucleotides({ taste }: FoodView): string {
  return worded("larder.mg", {
    figures: [taste.imp, taste.gmp, taste.amp].map((v) => rounded(v * 1000)).join(", "),
  });
}

function Forms({ food }: { food: FoodView }) {
  const forms = Object.values(food.forms).filter((f) => f.name !== "raw" || f.feel);
  if (forms.length === 0) return null;
  return (
    <section>
      <h3>{worded("larder.forms")}</h3>
      <table className="forms-table">
        <thead>
          <tr>
            <th>{worded("larder.form")}</th>
            <th>{worded("larder.fromAsBought")}</th>
            <th>{worded("larder.leftWhenCooked")}</th>
            <th>{worded("larder.howThePiecesFeel0To")}</th>
          </tr>
        </thead>
        <tbody>
          {forms.map((f) => (
            <tr key={f.name}>
              <td>{f.name === "raw" ? worded("larder.asBought") : f.name}</td>
              <td>{Math.round(f.base * 100)} %</td>
              <td>{Math.round(f.yield * 100)} %</td>
              <td>
                {Object.entries(f.feel ?? {})
                  .map(([trait, v]) => `${trait} ${v}`)
                  .join(", ") || <span className="quiet">{worded("larder.nothingToBiteOn")}</span>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Used({ food }: { food: FoodView }) {
  return (
    <section>
      <h3>{worded("larder.whereItIsUsed")}</h3>
      {food.usedIn.length === 0 && <p className="quiet">{worded("larder.inNoDishOrSwapYet")}</p>}
      <ul className="used">
        {food.usedIn.slice(0, 24).map((u) => (
          <li key={`${u.kind} ${u.id}`}>
            <span className="quiet small">{u.kind}</span>{" "}
            {u.kind === "dish" ? (
              <NavLink to={`/dishes/${u.id}/original`}>{u.name}</NavLink>
            ) : (
              u.name
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What of it a day, and a serving, should not pass. */
function Limits({ food }: { food: FoodView }) {
  if (food.limits.length === 0 && !food.served) return null;
  return (
    <section className="small" aria-label={worded("larder.limits")}>
      {food.limits.map((x) => (
        <p key={x.nutrient}>
          <b>{worded("larder.limitForADay")}</b>{" "}
          {worded("larder.forAnAdultAboutGOf", {
            nutrientNames: nutrientNames[x.nutrient] ?? x.nutrient,
            figure: figure(x.most),
            unit: x.unit,
            figure2: figure(x.grams),
          })}{" "}
          <span className="quiet">{x.source}.</span>
        </p>
      ))}
      {food.served && (
        <p>
          <b>{worded("larder.inAServing")}</b>{" "}
          {worded("larder.theBookPutsGAtMost", {
            figure: figure(food.served.most),
            why: food.served.why,
          })}{" "}
          {food.limits.every((x) => x.source !== food.served?.source) && (
            <span className="quiet">{food.served.source}.</span>
          )}
        </p>
      )}
    </section>
  );
}

const nutrientNames: Record<string, string> = Object.fromEntries(
  nutrients.map(([key, name]) => [key, name.toLowerCase()]),
);
