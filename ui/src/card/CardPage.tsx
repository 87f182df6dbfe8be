import "./card.css";

import type { Card } from "../api/types";

function servesWords(s: { low: number; high: number } | null): string {
  if (!s) return "";
  const say = (v: number) => String(Math.round(v * 10) / 10);
  return ` · serves ${s.low === s.high ? say(s.low) : `${say(s.low)}–${say(s.high)}`}`;
}

/** The card as it will print. */
export function CardPage({ card }: { card: Card }) {
  return (
    <article className="card-page" aria-label="Card">
      <header>
        <h1>{card.name}</h1>
        <span className="quiet">
          {card.place && `${card.place} · `}in plant form
          {servesWords(card.dish.serves)}
          {Math.abs(card.factor - 1) > 0.005 && ` · ${card.factor.toFixed(2)} times the recipe`}
        </span>
      </header>
      {card.open.length > 0 && (
        <div className="open-lines" role="note">
          <b>
            Not finished: {card.open.length === 1 ? "one line is" : `${card.open.length} lines are`}{" "}
            open.
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
            {card.findings.length === 1 ? "One step is" : `${card.findings.length} steps are`} to
            look at before you cook.
          </b>
          <ul>
            {card.findings.map((f, i) => (
              <li key={i}>
                {card.dish.components[f.part]?.name
                  ? `${card.dish.components[f.part]?.name}, `
                  : ""}
                step {f.step + 1}: {f.text}
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
          name={c.name || (i > 0 ? "Main part" : "")}
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
        <Notes head="At this size" list={card.sizing} />
        <Notes head="As learned in this kitchen" list={card.measured} />
        {card.changed.length > 0 && (
          <>
            <h2>What was changed</h2>
            <ul>
              {card.changed.map((x, i) => (
                <li key={i}>
                  <b>{x.from}</b>: {x.to}. {x.why}
                  {x.limits && <span className="quiet"> Limits: {x.limits}</span>}
                </li>
              ))}
            </ul>
          </>
        )}
        <Notes head="Short of the original" list={card.short} />
        {card.cautions.length > 0 && (
          <>
            <h2>Take care</h2>
            <ul>
              {card.cautions.map((c) => (
                <li key={c.text}>{c.grave ? <b>{c.text}</b> : c.text}</li>
              ))}
            </ul>
            <p className="quiet">Follow local food-safety rules; this is general guidance.</p>
          </>
        )}
        {card.allergens.length > 0 && (
          <>
            <h2>Holds</h2>
            <p>{card.allergens.join(", ")}. Labels decide, and what touched a board.</p>
          </>
        )}
        <Notes head="Labels to read" list={card.labels} />
        <Notes head="Ahead and keeping" list={card.keeping} />
        <h2>A serving</h2>
        <p>{servingWords(card)}</p>
        <p className="quiet">
          Character against the original: {card.tally} Taste at the end. Figures after{" "}
          {card.sources.join("; ")}.
        </p>
      </section>
    </article>
  );
}

function servingWords({ serving: s }: Card): string {
  const grams = (v: number) => `${Math.round(v)} g`;
  return `${Math.round(s.energy)} kcal, protein ${grams(s.protein)}, fat ${grams(s.fat)}, carbohydrate ${grams(s.carbohydrate)}, fibre ${grams(s.fibre)}, salt ${s.salt.toFixed(1)} g; figures, no advice.`;
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
