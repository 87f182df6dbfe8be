import "./card.css";

import { PrinterOutlined } from "@ant-design/icons";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Button, InputNumber } from "antd";
import { useState } from "react";

import { api } from "../api/client";
import type { DishView, RecipeComponent, SwapComponent } from "../api/types";
import { useOpenDish } from "../dish/useDish";
import { lineAt } from "../swaps/Candidates";
import { ProblemNote } from "../shared/ProblemNote";
import { tallyWords } from "../shared/format";

const exportsOf = [
  ["pdf?paper=a4", "PDF, A4"],
  ["pdf?paper=letter", "PDF, Letter"],
  ["html", "page"],
  ["markdown", "Markdown"],
  ["jsonld", "JSON-LD"],
  ["csv", "CSV"],
] as const;

/** The printable page of the adapted dish. */
export default function CardStage() {
  const { dish } = useOpenDish();
  const { adaptation: a, document: doc } = dish;
  const serves = doc.original.serves;
  const usual = serves ? (serves.low + serves.high) / 2 : 0;
  const [asked, setAsked] = useState<number | null>(null);
  const other = asked !== null && asked !== usual;
  const sized = useQuery({
    queryKey: ["sized", dish.id, dish.edit, asked],
    queryFn: () => api.sized(dish.id, asked ?? usual),
    enabled: other,
    placeholderData: keepPreviousData,
  });
  const at = other ? sized.data : undefined;
  const query = other ? `servings=${asked}` : "";
  return (
    <main className="page">
      <div className="card-tools no-print">
        <Button type="primary" icon={<PrinterOutlined />} onClick={() => window.print()}>
          Print card
        </Button>
        {usual > 0 && (
          <label className="card-size">
            For{" "}
            <InputNumber
              min={1}
              max={Math.floor(usual * 50)}
              value={asked ?? usual}
              onChange={setAsked}
              aria-label="Servings"
            />{" "}
            at the table
            {other && (
              <Button type="link" onClick={() => setAsked(null)}>
                Back to {usual}
              </Button>
            )}
          </label>
        )}
        <span className="card-exports">
          Give it out as{" "}
          {exportsOf.map(([format, name]) => (
            <a key={format} href={withQuery(`/api/dishes/${dish.id}/card/${format}`, query)}>
              {name}
            </a>
          ))}
        </span>
      </div>
      <article className="card-page" aria-label="Card">
        <header>
          <h1>{doc.name}</h1>
          <span className="quiet">
            {doc.place && `${doc.place} · `}in plant form
            {servesWords(at ? at.serves : serves)}
          </span>
        </header>
        {other && sized.error && <ProblemNote error={sized.error} />}
        <OpenLines dish={dish} />
        {doc.decisions.livesFrom && <p>{doc.decisions.livesFrom}</p>}
        {a.components.map((c, i) => (
          <Part key={i} part={c} sized={at?.components[i]} />
        ))}
        <section className="card-notes">
          {at && at.notes.length > 0 && (
            <>
              <h2>At this size</h2>
              <ul>
                {at.notes.map((n) => (
                  <li key={n}>{n}</li>
                ))}
              </ul>
            </>
          )}
          <h2>What was changed</h2>
          <ul>
            {a.swaps.map((s) => (
              <li key={s.replaces}>
                <b>{lineAt(dish, s.replaces)?.name}</b>: {s.name}. {s.why}
              </li>
            ))}
          </ul>
          <Cautions dish={dish} />
          <Holds dish={dish} />
          <Labels dish={dish} />
          <p className="quiet">
            Character against the original: {tallyWords(a.tally)}
            {a.tally.worst && `, furthest off ${a.tally.worst}`}. Amounts of the swaps are estimates
            of the book; taste at the end.
          </p>
        </section>
      </article>
    </main>
  );
}

function withQuery(path: string, query: string): string {
  if (!query) return path;
  return path + (path.includes("?") ? "&" : "?") + query;
}

function servesWords(s: { low: number; high: number } | null | undefined): string {
  if (!s) return "";
  const say = (v: number) => String(Math.round(v * 10) / 10);
  return ` · serves ${s.low === s.high ? say(s.low) : `${say(s.low)}–${say(s.high)}`}`;
}

function OpenLines({ dish }: { dish: DishView }) {
  const open = dish.adaptation.unresolved;
  if (open.length === 0) return null;
  return (
    <div className="open-lines" role="note">
      <b>Not finished: {open.length === 1 ? "one line is" : `${open.length} lines are`} open.</b>
      <ul>
        {open.map((u) => (
          <li key={u.line}>
            In place of {lineAt(dish, u.line)?.name}: {u.why}.
          </li>
        ))}
      </ul>
    </div>
  );
}

/** A part of the card; at another size with the amounts of that size. */
function Part({ part, sized }: { part: SwapComponent; sized?: RecipeComponent }) {
  const lines = part.lines.filter((l) => l.change !== "dropped");
  const steps = part.steps.filter((s) => s.change !== "dropped");
  return (
    <section>
      {part.name && <h2>{part.name}</h2>}
      <div className="card-body">
        <ul>
          {lines.map((l, i) => (
            <li key={i}>{sized?.lines[i]?.text ?? l.text}</li>
          ))}
        </ul>
        <ol>
          {steps.map((s, i) => (
            <li key={i}>
              {sized?.steps[i]?.text ?? s.text}
              {s.change === "changed" && s.why && <div className="why">{s.why}</div>}
            </li>
          ))}
        </ol>
      </div>
    </section>
  );
}

function Cautions({ dish }: { dish: DishView }) {
  const steps = dish.adaptation.components.flatMap((c) => c.steps).flatMap((s) => s.cautions);
  const grave = steps.filter((c) => c.grave).map((c) => c.text);
  const all = [
    ...new Set([
      ...grave,
      ...steps.map((c) => c.text),
      ...dish.adaptation.swaps.flatMap((s) => s.cautions),
    ]),
  ];
  if (all.length === 0) return null;
  return (
    <>
      <h2>Take care</h2>
      <ul>
        {all.map((c) => (
          <li key={c}>{grave.includes(c) ? <b>{c}</b> : c}</li>
        ))}
      </ul>
      <p className="quiet">Follow local food-safety rules; this is general guidance.</p>
    </>
  );
}

/** The allergens of the adaptation, as the balance finds them. */
function Holds({ dish }: { dish: DishView }) {
  const sheet = useQuery({
    queryKey: ["balance", dish.id, dish.edit],
    queryFn: () => api.balance(dish.id),
  });
  if (sheet.error) return <ProblemNote error={sheet.error} retry={() => void sheet.refetch()} />;
  if (!sheet.data) return null;
  const held = [...sheet.data.allergens.come, ...sheet.data.allergens.both].sort();
  if (held.length === 0) return null;
  return (
    <>
      <h2>Holds</h2>
      <p>{held.join(", ")}. Labels decide, and what touched a board.</p>
    </>
  );
}

function Labels({ dish }: { dish: DishView }) {
  const labels = dish.adaptation.components
    .flatMap((c) => c.lines)
    .filter((l) => l.checkLabel && l.change !== "dropped");
  if (labels.length === 0) return null;
  return (
    <>
      <h2>Labels to read</h2>
      <ul>
        {labels.map((l, i) => (
          <li key={i}>
            {l.name}: {l.why}
          </li>
        ))}
      </ul>
    </>
  );
}
