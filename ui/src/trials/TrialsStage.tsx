import "./trials.css";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Input } from "antd";
import { useState } from "react";

import { api } from "../api/client";
import type { TrialView } from "../api/types";
import { useOpenDish } from "../dish/useDish";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { Results } from "./Results";
import { dayOf } from "./words";

/** The trials of a dish as knots on a line, what changed between them, and its tastings. */
export default function TrialsStage() {
  const { dish } = useOpenDish();
  const trials = useQuery({ queryKey: ["trials", dish.id], queryFn: () => api.trials(dish.id) });
  const [chosen, setChosen] = useState<string[]>([]);
  if (trials.error) {
    return (
      <main className="page">
        <ProblemNote error={trials.error} retry={() => void trials.refetch()} />
      </main>
    );
  }
  if (!trials.data) return <Loading>Looking for trials</Loading>;
  const list = trials.data;
  const two = chosen.length > 0 ? chosen : list.slice(-2).map((t) => t.id);
  const pick = (id: string) =>
    setChosen((was) => [...(was.length > 0 ? was : two).filter((x) => x !== id), id].slice(-2));
  return (
    <main className="page trials">
      <h2>Trials</h2>
      {list.length === 0 && (
        <p className="quiet">
          None yet. Cook the card and keep it, or enter one that was cooked elsewhere.
        </p>
      )}
      <ol className="knots" aria-label="Trials, the oldest first">
        {list.map((t, i) => (
          <li key={t.id}>
            <button aria-pressed={two.includes(t.id)} onClick={() => pick(t.id)}>
              {i + 1} · {dayOf(t.kept)}
            </button>
          </li>
        ))}
      </ol>
      <div className="trial-pair">
        {two.map((id) => {
          const t = list.find((x) => x.id === id);
          return t && <Trial key={id} trial={t} number={list.indexOf(t) + 1} />;
        })}
      </div>
      {two[0] && two[1] && <Between dish={dish.id} a={two[0]} b={two[1]} />}
      <Enter dish={dish.id} />
      <Tastings dish={dish.id} trials={list} />
    </main>
  );
}

function Trial({ trial: t, number }: { trial: TrialView; number: number }) {
  return (
    <section aria-label={`Trial ${number}`}>
      <h3>
        Trial {number}, {dayOf(t.kept)}
      </h3>
      {t.words && <p>{t.words}</p>}
      {t.different.length === 0 ? (
        <p className="quiet">Cooked as the card had it.</p>
      ) : (
        <ul>
          {t.different.map((d) => (
            <li key={d.n}>{d.text}</li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Between({ dish, a, b }: { dish: string; a: string; b: string }) {
  const between = useQuery({
    queryKey: ["between", dish, a, b],
    queryFn: () => api.between(dish, a, b),
  });
  if (!between.data) return null;
  const { lines, steps, traits, say } = between.data;
  const parts: [string, string[]][] = [
    ["Lines", lines],
    ["Steps", steps],
    ["Traits, as foreseen", traits],
    ["The tables", say],
  ];
  return (
    <section className="between" aria-label="What changed between the two">
      <h3>What changed between the two</h3>
      {parts.every(([, list]) => list.length === 0) && (
        <p className="quiet">Nothing on the card.</p>
      )}
      {parts.map(
        ([name, list]) =>
          list.length > 0 && (
            <div key={name}>
              <h4>{name}</h4>
              <ul>
                {list.map((text) => (
                  <li key={text}>{text}</li>
                ))}
              </ul>
            </div>
          ),
      )}
    </section>
  );
}

function Enter({ dish }: { dish: string }) {
  const queries = useQueryClient();
  const [open, setOpen] = useState(false);
  const [words, setWords] = useState("");
  const [different, setDifferent] = useState("");
  const add = useMutation({
    mutationFn: () => api.addTrial(dish, { words, different }),
    onSuccess: (list) => {
      queries.setQueryData(["trials", dish], list);
      setOpen(false);
      setWords("");
      setDifferent("");
    },
  });
  if (!open) return <Button onClick={() => setOpen(true)}>Enter a trial cooked elsewhere</Button>;
  return (
    <section className="enter-trial" aria-label="A trial cooked elsewhere">
      <label>
        How was it?
        <Input.TextArea
          rows={2}
          maxLength={4000}
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
      </label>
      <label>
        What was different from the card? A line each.
        <Input.TextArea
          rows={3}
          maxLength={4000}
          value={different}
          onChange={(e) => setDifferent(e.target.value)}
        />
      </label>
      {add.error && <ProblemNote error={add.error} />}
      <p>
        <Button type="primary" loading={add.isPending} onClick={() => add.mutate()}>
          Keep this trial
        </Button>{" "}
        <Button onClick={() => setOpen(false)}>Leave it</Button>
      </p>
    </section>
  );
}

function Tastings({ dish, trials }: { dish: string; trials: TrialView[] }) {
  const queries = useQueryClient();
  const list = useQuery({ queryKey: ["tastings", dish], queryFn: () => api.tastings(dish) });
  const [served, setServed] = useState<string[]>([]);
  const [blind, setBlind] = useState(true);
  const [shown, setShown] = useState("");
  const lay = useMutation({
    mutationFn: () => api.makeTasting(dish, { name: "", trials: served, traits: [], open: !blind }),
    onSuccess: (t) => {
      void queries.invalidateQueries({ queryKey: ["tastings", dish] });
      setShown(t.id);
      setServed([]);
    },
  });
  const things: [string, string][] = [
    ...trials.map((t, i): [string, string] => [t.id, `trial ${i + 1}, ${dayOf(t.kept)}`]),
    ["original", "the original, from a side pot"],
  ];
  const open = shown || list.data?.[0]?.id;
  return (
    <section aria-label="Tastings">
      <h2>Tastings</h2>
      <div className="lay">
        <fieldset>
          <legend>What is served</legend>
          {things.map(([id, name]) => (
            <label key={id}>
              <input
                type="checkbox"
                checked={served.includes(id)}
                onChange={(e) =>
                  setServed(e.target.checked ? [...served, id] : served.filter((x) => x !== id))
                }
              />{" "}
              {name}
            </label>
          ))}
        </fieldset>
        <label>
          <input type="checkbox" checked={blind} onChange={(e) => setBlind(e.target.checked)} />{" "}
          blind: tasters see letters only
        </label>
        <Button disabled={served.length === 0} loading={lay.isPending} onClick={() => lay.mutate()}>
          Lay the table
        </Button>
        {lay.error && <ProblemNote error={lay.error} />}
      </div>
      {(list.data?.length ?? 0) > 1 && (
        <p className="tables">
          {list.data?.map((t) => (
            <Button
              key={t.id}
              size="small"
              aria-pressed={t.id === open}
              onClick={() => setShown(t.id)}
            >
              {dayOf(t.made)}
            </Button>
          ))}
        </p>
      )}
      {open && <Results id={open} />}
    </section>
  );
}
