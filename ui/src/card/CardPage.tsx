import "./card.css";

import type { Card } from "../api/types";
import { worded } from "../texts/worded";

function servesWords(s: { low: number; high: number } | null): string {
  if (!s) return "";
  const say = (v: number) => String(Math.round(v * 10) / 10);
  return worded("card.serves", {
    which: s.low === s.high ? say(s.low) : `${say(s.low)}–${say(s.high)}`,
  });
}

/** The card as it will print. */
export function CardPage({ card }: { card: Card }) {
  return (
    <article className="card-page" aria-label={worded("card.card")}>
      <header>
        <h1>{card.name}</h1>
        <span className="quiet">
          {worded("card.inPlantForm", {
            place: card.place && `${card.place} · `,
            servesWords: servesWords(card.dish.serves),
          })}
          {Math.abs(card.factor - 1) > 0.005 &&
            worded("card.timesTheRecipe", { factor: card.factor.toFixed(2) })}
        </span>
      </header>
      {card.open.length > 0 && (
        <div className="open-lines" role="note">
          <b>
            {worded("card.notFinishedOpen", {
              which:
                card.open.length === 1
                  ? worded("card.oneLineIs")
                  : worded("card.linesAre", { open: card.open.length }),
            })}
          </b>
          <ul>
            {card.open.map((o) => (
              <li key={o}>{o}</li>
            ))}
          </ul>
        </div>
      )}
      {card.findings.length > 0 && (
        <div className="open-lines" role="note">
          <b>
            {worded("card.toLookAtBeforeYouCook", {
              which:
                card.findings.length === 1
                  ? worded("card.oneStepIs")
                  : worded("card.stepsAre", { findings: card.findings.length }),
            })}
          </b>
          <ul>
            {card.findings.map((f, i) => (
              <li key={i}>
                {worded("card.step", {
                  which: card.dish.components[f.part]?.name
                    ? `${card.dish.components[f.part]?.name}, `
                    : "",
                  step: f.step + 1,
                  fText: f.text,
                })}
              </li>
            ))}
          </ul>
        </div>
      )}
      {card.picture && (
        <img className="card-plate" src={`/api/pictures/${card.picture}`} alt={card.name} />
      )}
      {card.lives && <p>{card.lives}</p>}
      {card.dish.components.map((c, i) => (
        <Part
          key={i}
          name={c.name || (i > 0 ? worded("card.mainPart") : "")}
          lines={c.lines.map((l, j) => [l.text, card.beside[i]?.[j] ?? ""] as const)}
          steps={c.steps.map((s) => s.text)}
        />
      ))}
      {card.sidePots.map((p) => (
        <div key={p.title} className="side-pot">
          <Part name={p.title} lines={p.lines.map((l) => [l, ""] as const)} steps={p.steps} />
        </div>
      ))}
      <section className="card-notes">
        <Notes head={worded("card.atThisSize")} list={card.sizing} />
        <Notes head={worded("card.asLearnedInThisKitchen")} list={card.measured} />
        {card.changed.length > 0 && (
          <>
            <h2>{worded("card.whatWasChanged")}</h2>
            <ul>
              {card.changed.map((x, i) => (
                <li key={i}>
                  <b>{x.from}</b>: {x.to}. {x.why}
                  {x.limits && (
                    <span className="quiet"> {worded("card.limits", { limits: x.limits })}</span>
                  )}
                </li>
              ))}
            </ul>
          </>
        )}
        <Notes head={worded("card.shortOfTheOriginal")} list={card.short} />
        {card.cautions.length > 0 && (
          <>
            <h2>{worded("card.takeCare")}</h2>
            <ul>
              {card.cautions.map((c) => (
                <li key={c.text}>{c.grave ? <b>{c.text}</b> : c.text}</li>
              ))}
            </ul>
            <p className="quiet">{worded("card.followLocalFoodSafetyRulesThis")}</p>
          </>
        )}
        {card.allergens.length > 0 && (
          <>
            <h2>{worded("card.holds")}</h2>
            <p>
              {worded("card.labelsDecideAndWhatTouchedA", { allergens: card.allergens.join(", ") })}
            </p>
          </>
        )}
        <Notes head={worded("card.labelsToRead")} list={card.labels} />
        <Notes head={worded("card.aheadAndKeeping")} list={card.keeping} />
        <h2>{worded("card.aServing")}</h2>
        <p>{servingWords(card)}</p>
        <p className="quiet">
          {worded("card.characterAgainstTheOriginalTasteAt", {
            tally: card.tally,
            sources: card.sources.join("; "),
          })}
        </p>
      </section>
    </article>
  );
}

function servingWords({ serving: s }: Card): string {
  const grams = (v: number) => `${Math.round(v)} g`;
  return worded("card.kcalProteinFatCarbohydrateFibreSalt", {
    energy: Math.round(s.energy),
    grams: grams(s.protein),
    grams2: grams(s.fat),
    grams3: grams(s.carbohydrate),
    grams4: grams(s.fibre),
    salt: s.salt.toFixed(1),
  });
}

interface PartProps {
  name: string;
  lines: (readonly [text: string, beside: string])[];
  steps: string[];
}

function Part({ name, lines, steps }: PartProps) {
  return (
    <section>
      {name && <h2>{name}</h2>}
      <div className="card-body">
        <ul>
          {lines.map(([text, beside], i) => (
            <li key={i}>
              {text}
              {beside && <span className="beside"> {beside}</span>}
            </li>
          ))}
        </ul>
        <ol>
          {steps.map((s, i) => (
            <li key={i}>{s}</li>
          ))}
        </ol>
      </div>
    </section>
  );
}

function Notes({ head, list }: { head: string; list: string[] }) {
  if (list.length === 0) return null;
  return (
    <>
      <h2>{head}</h2>
      <ul>
        {list.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </>
  );
}
