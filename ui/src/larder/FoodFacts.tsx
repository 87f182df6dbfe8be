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
  if (!food.data) return <Loading>Fetching the food</Loading>;
  const f = food.data;
  return (
    <article className="food-facts">
      <header>
        <h2>{capital(f.name)}</h2>
        <Button size="small" onClick={() => setCorrecting(true)}>
          {f.own === "added" ? "Change" : "Correct"}
        </Button>
        {f.own !== "" && (
          <Button size="small" loading={takeBack.isPending} onClick={() => takeBack.mutate()}>
            {f.own === "added" ? "Take out of the larder" : "Take the correction back"}
          </Button>
        )}
      </header>
      {f.own !== "" && (
        <p className="own-mark">
          {f.own === "added" ? "Your own food" : "Corrected by you"}
          {f.entry?.note ? `: ${f.entry.note}` : "."}
        </p>
      )}
      {takeBack.error && <ProblemNote error={takeBack.error} />}
      <p className="what">
        <Mark origin={f.origin} check={f.checkLabel} />
        {[f.origin === "animal" ? f.animal : f.origin, gradeWords[f.grade] ?? f.grade]
          .filter((w) => w !== "")
          .join(", ")}
        {f.hidden && ", hidden in its name"}
        {f.why && <span> {f.why}</span>}
      </p>
      {f.aliases.length > 0 && (
        <p className="small">
          <b>Also called</b> {f.aliases.slice(0, 30).join(", ")}
          {f.aliases.length > 30 && ` and ${f.aliases.length - 30} more`}
        </p>
      )}
      {f.allergens.length > 0 && (
        <p className="small">
          <b>Allergens</b> {f.allergens.join(", ")}
        </p>
      )}
      {f.homes.length > 0 && (
        <p className="small">
          <b>At home in these kitchens</b> {f.homes.join(", ")}
        </p>
      )}
      <Limits food={f} />
      {f.tags.length > 0 && (
        <p className="small">
          <b>The house rules count it as</b> {f.tags.join(", ").replaceAll("-", " ")}
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
  plain: "plainly processed",
  refined: "refined",
  analogue: "ready-made analogue",
};

/** The name of a source, marked when it is an estimate. */
function Source({ food, code }: { food: FoodView; code: string }) {
  if (code === "") return null;
  return (
    <p className={code === "estimate" ? "source-note guess" : "source-note"}>
      {code === "estimate" ? "Estimate" : capital(food.sources[code] ?? code)}
    </p>
  );
}

function Weights({ food }: { food: FoodView }) {
  const pieces = Object.entries(food.pieces ?? {});
  return (
    <section>
      <h3>Weights</h3>
      <dl>
        {food.density > 0 && (
          <div>
            <dt>1 US cup</dt>
            <dd>{rounded(food.density * 236.588)} g</dd>
          </div>
        )}
        {food.density > 0 && (
          <div>
            <dt>1 tbsp (15 ml)</dt>
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
      <h3>At home</h3>
      <dl>
        {storage.place && (
          <div>
            <dt>Keeps in the {storage.place}</dt>
            <dd>
              {storage.sealedDays} days, opened {storage.openedDays}
            </dd>
          </div>
        )}
        {edible.share < 1 && (
          <div>
            <dt>Eaten</dt>
            <dd>
              {Math.round(edible.share * 100)} %, not the {edible.thrown}
            </dd>
          </div>
        )}
        {food.washed > 0 && (
          <div>
            <dt>Soaked or rinsed</dt>
            <dd>keeps {Math.round(food.washed * 100)} % of its salt</dd>
          </div>
        )}
        {packs?.map((p) => (
          <div key={p.name}>
            <dt>Sold by the {p.name}</dt>
            <dd>
              {rounded(p.grams)} g{p.drained !== null && `, ${rounded(p.drained)} g drained`}
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
      <h3>Taken for</h3>
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
    return <p className="quiet">Nothing is known of what is in it.</p>;
  }
  return (
    <section>
      <h3>In 100 g as bought</h3>
      <dl className="inside">
        {nutrients.map(([key, name, unit]) => (
          <div key={key}>
            <dt>{name}</dt>
            <dd>
              {food.per100[key] === null ? (
                <span className="quiet">missing</span>
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
          B12, vitamin D and iodine: {food.sources[food.per100.further]}
        </p>
      )}
    </section>
  );
}

function Taste({ food }: { food: FoodView }) {
  const facts: [string, string][] = [];
  if (food.taste.source) {
    facts.push(["Free glutamate", `${rounded(food.taste.glutamate * 1000)} mg`]);
    facts.push(["IMP, GMP, AMP", nucleotides(food)]);
  }
  if (food.titratable !== null)
    facts.push(["Acid, as citric acid", `${rounded(food.titratable)} g`]);
  if (food.sweetness !== null) facts.push(["Sweetness, as sugar", `${rounded(food.sweetness)} g`]);
  if (food.heat.source) {
    facts.push(["Heat", `${food.heat.low}–${food.heat.high} Scoville units`]);
  }
  for (const a of food.aromas ?? []) {
    facts.push([`${capital(a.trait)}: clear at`, `${rounded(a.dose)} g in 100 g`]);
  }
  for (const r of food.roles ?? []) {
    facts.push([`${capital(r.kind)}, for each gram`, rounded(r.perGram)]);
  }
  if (facts.length === 0) return null;
  return (
    <section>
      <h3>Taste, aroma and structure</h3>
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
  return [taste.imp, taste.gmp, taste.amp].map((v) => rounded(v * 1000)).join(", ") + " mg";
}

function Forms({ food }: { food: FoodView }) {
  const forms = Object.values(food.forms).filter((f) => f.name !== "raw" || f.feel);
  if (forms.length === 0) return null;
  return (
    <section>
      <h3>Forms</h3>
      <table className="forms-table">
        <thead>
          <tr>
            <th>Form</th>
            <th>From as bought</th>
            <th>Left when cooked</th>
            <th>How the pieces feel, 0 to 10</th>
          </tr>
        </thead>
        <tbody>
          {forms.map((f) => (
            <tr key={f.name}>
              <td>{f.name === "raw" ? "as bought" : f.name}</td>
              <td>{Math.round(f.base * 100)} %</td>
              <td>{Math.round(f.yield * 100)} %</td>
              <td>
                {Object.entries(f.feel ?? {})
                  .map(([trait, v]) => `${trait} ${v}`)
                  .join(", ") || <span className="quiet">nothing to bite on</span>}
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
      <h3>Where it is used</h3>
      {food.usedIn.length === 0 && <p className="quiet">In no dish or swap yet.</p>}
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
    <section className="small" aria-label="Limits">
      {food.limits.map((x) => (
        <p key={x.nutrient}>
          <b>Limit for a day</b> {nutrientNames[x.nutrient] ?? x.nutrient} {figure(x.most)} {x.unit}{" "}
          for an adult: about {figure(x.grams)} g of it. <span className="quiet">{x.source}.</span>
        </p>
      ))}
      {food.served && (
        <p>
          <b>In a serving</b> the book puts {figure(food.served.most)} g at most: {food.served.why}.{" "}
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
