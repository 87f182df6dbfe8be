import { NavLink } from "react-router";

import type { FoodView } from "../api/types";
import { capital, figure } from "../shared/format";
import { worded } from "../texts/worded";
import { nutrients, rounded } from "./nutrients";

export function Taste({ food }: { food: FoodView }) {
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

export function Forms({ food }: { food: FoodView }) {
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

export function Used({ food }: { food: FoodView }) {
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
export function Limits({ food }: { food: FoodView }) {
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
