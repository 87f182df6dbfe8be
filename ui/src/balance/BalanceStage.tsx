import "./balance.css";

import { useQuery } from "@tanstack/react-query";
import { Segmented } from "antd";
import { useState } from "react";

import { api } from "../api/client";
import type { Account, BalanceView, DishView, Nutrient, Preference } from "../api/types";
import { useOpenDish } from "../dish/useDish";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { capital, figure } from "../shared/format";
import { worded } from "../texts/worded";

/** The accounts of original and adaptation, what a serving gives, and whom it excludes. */
export default function BalanceStage() {
  const { dish } = useOpenDish();
  const sheet = useQuery({
    queryKey: ["balance", dish.id, dish.edit],
    queryFn: () => api.balance(dish.id),
    placeholderData: (old) => old,
  });
  if (sheet.error) {
    return (
      <main className="page">
        <ProblemNote error={sheet.error} retry={() => void sheet.refetch()} />
      </main>
    );
  }
  if (!sheet.data) return <Loading>{worded("balance.addingUp")}</Loading>;
  return <Sheet s={sheet.data} dish={dish} />;
}

type Per = "serving" | "hundred";

function Sheet({ s, dish }: { s: BalanceView; dish: DishView }) {
  const [per, setPer] = useState<Per>("serving");
  return (
    <main className="page balance">
      <p className="legend">
        <span className="swatch was" /> {worded("balance.original")}
        <span className="swatch is" /> {worded("balance.adaptation")}
        <span className="quiet">{worded("balance.figuresOnlyAdviceIsForA")}</span>
      </p>
      {s.warnings.length > 0 && (
        <section className="warnings" aria-label={worded("balance.whatDrifts")}>
          <h2>{worded("balance.whatDrifts")}</h2>
          <ul>
            {s.warnings.map((w) => (
              <li key={w.account + w.component + w.text}>
                <b>{w.text}</b> {w.remedy}
              </li>
            ))}
          </ul>
        </section>
      )}
      <div className="balance-grid">
        <div>
          <section aria-label={worded("balance.accounts")}>
            <h2>{worded("balance.accountsOfTheWholeDish")}</h2>
            {s.accounts.map((a) => (
              <AccountRow key={a.name} a={a} dish={dish} />
            ))}
          </section>
          <section aria-label={worded("balance.whoCanEatIt")}>
            <h2>{worded("balance.whoCanEatIt")}</h2>
            <dl className="pairs">
              <dt>{worded("balance.noLongerHolds")}</dt>
              <dd>{list(s.allergens.gone)}</dd>
              <dt>{worded("balance.bringsIn")}</dt>
              <dd className={s.allergens.come.length > 0 ? "look" : ""}>
                {list(s.allergens.come)}
              </dd>
              <dt>{worded("balance.holdsAsBefore")}</dt>
              <dd>{list(s.allergens.both)}</dd>
              <dt>{worded("balance.namedByUsLawToo")}</dt>
              <dd>{list(s.allergens.us)}</dd>
            </dl>
            <p className="small quiet">{worded("balance.theFourteenOfEuRegulation1169")}</p>
          </section>
          <section aria-label={worded("balance.houseRules")}>
            <h2>{worded("balance.houseRules")}</h2>
            <ul className="checks">
              {s.rules.map((r) => (
                <li key={r.rule} className={r.broken.length > 0 ? "broken" : ""}>
                  {r.broken.length > 0 ? "✕" : "✓"} {r.rule}
                  {r.broken.length > 0 && `: ${r.broken.join(", ")}`}
                </li>
              ))}
              {s.preferences.map((p) => (
                <PreferenceRow key={p.rule} p={p} />
              ))}
            </ul>
          </section>
          <section aria-label={worded("balance.wholeFoodAndCost")}>
            <h2>{worded("balance.wholeFoodAndCost")}</h2>
            <table className="grades">
              <thead>
                <tr>
                  <th>{worded("balance.shareOf")}</th>
                  <th>{worded("balance.massBefore")}</th>
                  <th>{worded("balance.now")}</th>
                  <th>{worded("balance.energyBefore")}</th>
                  <th>{worded("balance.now")}</th>
                </tr>
              </thead>
              <tbody>
                {s.grades.map((g) => (
                  <tr key={g.grade}>
                    <th>{gradeWords[g.grade] ?? g.grade}</th>
                    <td>{percent(g.mass.original)}</td>
                    <td>{percent(g.mass.adapted)}</td>
                    <td>{percent(g.energy.original)}</td>
                    <td>{percent(g.energy.adapted)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <p>
              {worded("balance.aServingCostsInsteadOf", {
                adapted: s.cost.adapted.toFixed(2),
                original: s.cost.original.toFixed(2),
              })}{" "}
              <span className="quiet">{worded("balance.byTheKitchensPriceListMade")}</span>
            </p>
          </section>
        </div>
        <section aria-label={worded("balance.whatAServingGives")}>
          <h2 className="gives">
            {worded("balance.whatItGives")}{" "}
            <span className="quiet small">
              {worded("balance.ofServings", { servings: s.servings })}
            </span>
            <Segmented<Per>
              size="small"
              aria-label={worded("balance.whatItGivesIn")}
              options={[
                { value: "serving", label: worded("balance.aServing") },
                { value: "hundred", label: "100 g" },
              ]}
              value={per}
              onChange={setPer}
            />
          </h2>
          {s.nutrients.map((n) => (
            <NutrientRow key={n.name} per={per} n={per === "hundred" ? { ...n, ...n.per100 } : n} />
          ))}
          <p className="small quiet">{worded("balance.ofTheDailyReferenceIntakeOf")}</p>
        </section>
      </div>
    </main>
  );
}

/** A soft rule: what the school would rather have, and what there is. */
function PreferenceRow({ p }: { p: Preference }) {
  const amount = (v: number) => `${figure(v)} ${p.unit}`;
  return (
    <li className={p.within ? "" : "look"}>
      {p.within ? "✓" : "△"} {p.rule}: {amount(p.adapted)}
      {!p.atLeast && worded("balance.aServing2")}
      <span className="quiet">
        {" "}
        {worded("balance.theOriginal", {
          which: p.atLeast ? worded("balance.atLeast") : worded("balance.ratherAtMost"),
          amount: amount(p.bound),
          amount2: amount(p.original),
        })}
      </span>
    </li>
  );
}

const gradeWords: Record<string, string> = {
  whole: worded("balance.wholeFood"),
  plain: worded("balance.plainlyProcessed"),
  refined: "refined",
  analogue: "ready-made",
};

const names: Record<string, string> = {
  b12: worded("balance.vitaminB12"),
  vitaminD: worded("balance.vitaminD"),
  ala: worded("balance.omega3Ala"),
  epaDha: worded("balance.omega3EpaAndDha"),
  saturated: worded("balance.ofItSaturated"),
  sugars: worded("balance.ofItSugars"),
};

function list(names: string[]): string {
  return names.length === 0 ? "none" : names.join(", ");
}

function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}

function lineName(dish: DishView, ref: string, adapted: boolean): string {
  const m = /^components\[(\d+)\]\.lines\[(\d+)\]$/.exec(ref);
  if (!m) return ref;
  const parts = adapted ? dish.adaptation.components : dish.document.original.components;
  return parts[Number(m[1])]?.lines[Number(m[2])]?.name ?? ref;
}

function AccountRow({ a, dish }: { a: Account; dish: DishView }) {
  const most = Math.max(a.original, a.adapted, 1e-9);
  const by = (side: Account["from"], adapted: boolean) => {
    const shares = new Map<string, number>();
    for (const c of side) {
      const name = lineName(dish, c.line, adapted);
      shares.set(name, (shares.get(name) ?? 0) + c.share);
    }
    return [...shares]
      .sort((x, y) => y[1] - x[1])
      .map(([name, share]) => `${name} ${percent(share)}`)
      .join(", ");
  };
  return (
    <div className="account">
      <span className="name">{capital(a.name)}</span>
      <div
        className="bars"
        role="img"
        aria-label={worded("balance.inTheOriginalNow", {
          aName: a.name,
          figure: figure(a.original),
          unit: a.unit,
          figure2: figure(a.adapted),
        })}
      >
        <span className="was" style={{ width: `${(a.original / most) * 100}%` }} />
        <span className="is" style={{ width: `${(a.adapted / most) * 100}%` }} />
      </div>
      <span className="figures">
        {figure(a.original)} → <b>{figure(a.adapted)}</b> <span className="quiet">{a.unit}</span>
      </span>
      {(a.from.length > 0 || a.to.length > 0) && (
        <span className="by small quiet">
          {by(a.from, false)} → {by(a.to, true)}
        </span>
      )}
    </div>
  );
}

/** Below this share of the mass a figure says nothing. */
const hardlyKnown = 0.1;

/** From which part of a day's limit on a serving says it. */
const worthSaying = 0.5;

function known(value: number, share: number, limited: boolean): string {
  if (share >= hardlyKnown) return figure(value);
  // Of what has a limit, the little that is known counts.
  return limited && value > 0 ? worded("balance.atLeast2", { figure: figure(value) }) : "missing";
}

function NutrientRow({ n, per }: { n: Nutrient; per: Per }) {
  // What is hardly known is not drawn either.
  const was = n.known.original < hardlyKnown ? 0 : n.original;
  const is = n.known.adapted < hardlyKnown ? 0 : n.adapted;
  const scale = Math.max(was, is, n.reference > 0 ? n.reference / 2 : 0, 1e-9);
  const share = Math.min(n.known.original, n.known.adapted);
  return (
    <div className="nutrient">
      <span className="name">{capital(names[n.name] ?? n.name)}</span>
      <div className="bars" aria-hidden="true">
        <span className="was" style={{ width: `${(was / scale) * 100}%` }} />
        <span className="is" style={{ width: `${(is / scale) * 100}%` }} />
      </div>
      <span className="figures">
        {known(n.original, n.known.original, n.most > 0)} →{" "}
        <b>{known(n.adapted, n.known.adapted, n.most > 0)}</b>{" "}
        <span className="quiet">{n.unit}</span>
      </span>
      <span className="small quiet of">
        {n.reference > 0 &&
          n.known.adapted >= hardlyKnown &&
          `${Math.round((n.adapted / n.reference) * 100)} %`}
      </span>
      <span className={share < 0.9 ? "small known few" : "small known"}>
        {worded("balance.known", { percent: percent(share) })}
      </span>
      {n.most > 0 && per === "serving" && n.adapted > n.most * worthSaying && (
        <span className={n.adapted > n.most ? "small day look" : "small day quiet"}>
          {worded("balance.anAdultShouldNotPassIn", {
            figure: figure(n.most),
            unit: n.unit,
            mostSource: n.mostSource,
          })}
        </span>
      )}
    </div>
  );
}
