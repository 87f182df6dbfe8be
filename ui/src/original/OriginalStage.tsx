import "./original.css";

import { useMutation } from "@tanstack/react-query";
import { AutoComplete, Button } from "antd";
import { useMemo, useState } from "react";
import { useNavigate } from "react-router";

import { api } from "../api/client";
import type { RecipeComponent, RecipeDish, RecipeLine, RecipeStep } from "../api/types";
import { useOpenDish } from "../dish/useDish";
import { Mark, names } from "../shared/Mark";
import { grams, minutes, refOf } from "../shared/format";

/** The recipe as read, beside the text as it came. */
export default function OriginalStage() {
  const open = useOpenDish();
  const go = useNavigate();
  const { original, source } = open.dish.document;
  const [lit, setLit] = useState("");
  const toSwap = open.dish.slots.length;
  return (
    <main className="page original">
      <section aria-label="The recipe as read">
        <Notices dish={original} />
        {original.components.map((c, i) => (
          <Component key={i} index={i} component={c} lit={lit} setLit={setLit} />
        ))}
        {toSwap > 0 && (
          <p className="next-stage">
            <Button
              type="primary"
              size="large"
              onClick={() => void go(`/dishes/${open.dish.id}/swaps`)}
            >
              Choose swaps for {toSwap} {toSwap === 1 ? "line" : "lines"}
            </Button>
          </p>
        )}
      </section>
      <aside className="source" aria-label="The text as it came">
        <h2>As it came</h2>
        {source.split("\n").map((line, i) => (
          <p
            key={i}
            className={lit !== "" && line.includes(lit) ? "lit" : undefined}
            onPointerEnter={() => setLit(textIn(original, line))}
            onPointerLeave={() => setLit("")}
          >
            {line}
          </p>
        ))}
      </aside>
    </main>
  );
}

/** The text of the read line that a line of the source became, or "". */
function textIn(dish: RecipeDish, source: string): string {
  for (const c of dish.components) {
    for (const l of c.lines) if (source.includes(l.text)) return l.text;
    for (const s of c.steps) if (source.includes(s.text)) return s.text;
  }
  return "";
}

function Notices({ dish }: { dish: RecipeDish }) {
  if (dish.notices.length === 0) return null;
  return (
    <ul className="notices" aria-label="Notices">
      {dish.notices.map((n, i) => (
        <li key={i}>{n.text}</li>
      ))}
    </ul>
  );
}

/** What is worth saying beside a food's name: its class, form and whether it hides. */
function foodNote(l: RecipeLine): string {
  const notes = [
    l.origin === "animal" && l.animal !== l.name
      ? l.animal
      : ["plant", "animal"].includes(l.origin)
        ? ""
        : (names[l.origin] ?? ""),
    l.form === "raw" ? "" : l.form,
    l.hidden ? "hidden" : "",
  ].filter((n) => n !== "");
  return notes.length > 0 ? ` ${notes.join(", ")}` : "";
}

interface ComponentProps {
  index: number;
  component: RecipeComponent;
  lit: string;
  setLit: (text: string) => void;
}

function Component({ index, component, lit, setLit }: ComponentProps) {
  const light = (text: string) => ({
    onPointerEnter: () => setLit(text),
    onPointerLeave: () => setLit(""),
  });
  return (
    <div className="component">
      <h2>{component.name || "Ingredients"}</h2>
      {component.lines.length > 0 && (
        <table className="lines">
          <thead>
            <tr>
              <th aria-label="Origin" />
              <th>As written</th>
              <th className="amount">Grams</th>
              <th>Food</th>
              <th>Why it is marked so</th>
            </tr>
          </thead>
          <tbody>
            {component.lines.map((l, i) => (
              <tr
                key={i}
                className={lit === l.text ? "lit" : l.food === null ? "unknown" : undefined}
                {...light(l.text)}
              >
                <td className="mark">
                  <Mark origin={l.origin} check={l.checkLabel} />
                </td>
                <td>{l.text}</td>
                <td className="amount" title={l.basis ? `${l.basis.text} (${l.basis.source})` : ""}>
                  {grams(l.grams)}
                  {l.basis?.estimate && <span className="quiet"> est.</span>}
                </td>
                <td className={`food ${l.origin === "animal" ? "animal" : ""}`}>
                  <b>{l.name}</b>
                  <span className="small quiet">{foodNote(l)}</span>
                </td>
                <td className="why">
                  {l.food === null ? <Mend component={index} line={i} read={l} /> : l.why}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <ol className="steps-read">
        {component.steps.map((s, i) => (
          <li key={i} {...light(s.text)}>
            {s.text}
            <StepFacts step={s} lines={component.lines} />
          </li>
        ))}
      </ol>
    </div>
  );
}

function StepFacts({ step, lines }: { step: RecipeStep; lines: RecipeLine[] }) {
  return (
    <div className="facts">
      {step.techniques.slice(0, 4).map((t) => (
        <span key={t} className="chip">
          {t}
        </span>
      ))}
      {step.minutes && <span className="chip">{minutes(step.minutes)}</span>}
      {step.celsius !== null && <span className="chip">{step.celsius} °C</span>}
      {step.cue && <span className="chip">{step.cue}</span>}
      {step.animals.map((a) => (
        <span key={a.name} className="chip animal">
          {a.name}
        </span>
      ))}
      {step.lines.length > 0 && (
        <span className="small quiet">
          uses {step.lines.map((n) => lines[n]?.name ?? "").join(", ")}
        </span>
      )}
    </div>
  );
}

/** Mends a line that was not understood: the cook names its food. */
function Mend({ component, line, read }: { component: number; line: number; read: RecipeLine }) {
  const open = useOpenDish();
  const [text, setText] = useState("");
  const [options, setOptions] = useState<{ value: string; label: string }[]>([]);
  const find = useMemo(
    () => async (q: string) => {
      setText(q);
      const hits = q.trim() ? await api.foods(q) : [];
      setOptions(hits.slice(0, 8).map((h) => ({ value: h.id, label: `${h.name} (${h.origin})` })));
    },
    [],
  );
  const mend = useMutation({
    mutationFn: (food: string) => api.readLine({ text: read.text, food, measures: "metric" }),
    onSuccess: (mended) => {
      const original = structuredClone(open.dish.document.original);
      const target = original.components[component];
      if (!target) return;
      target.lines[line] = mended;
      const where = refOf(component, line);
      original.notices = original.notices.filter((n) => n.where !== where);
      open.save({ what: `named ${mended.name}`, original });
    },
  });
  return (
    <AutoComplete
      value={text}
      options={options}
      onSearch={(q) => void find(q)}
      onSelect={(food: string) => mend.mutate(food)}
      placeholder="Name the food"
      aria-label={`Name the food of “${read.text}”`}
      style={{ width: 200 }}
    />
  );
}
