import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useEffect, useState } from "react";
import { NavLink, useLocation } from "react-router";

import { api } from "../api/client";
import type { LearnedView } from "../api/types";
import { ProblemNote } from "../shared/ProblemNote";
import { signed } from "../shared/format";

const day = (at: number) => new Date(at).toLocaleDateString("en-GB");

/** What this kitchen has weighed and tasted, and what it makes of the figures. */
export function Learned() {
  const queries = useQueryClient();
  const learned = useQuery({ queryKey: ["learned"], queryFn: api.learned });
  const [gone, setGone] = useState<string[]>([]);
  const take = (v: LearnedView) => queries.setQueryData(["learned"], v);
  const unlearn = useMutation({
    mutationFn: (key: string) => api.unlearn(key),
    onSuccess: (v, key) => {
      take(v);
      setGone((g) => [...g, key]);
    },
  });
  const relearn = useMutation({
    mutationFn: (key: string) => api.relearn(key),
    onSuccess: (v, key) => {
      take(v);
      setGone((g) => g.filter((k) => k !== key));
    },
  });
  const unteach = useMutation({
    scope: { id: "taught" },
    mutationFn: (key: string) => api.unteach(key),
    onSuccess: take,
  });
  const teach = useMutation({
    scope: { id: "taught" },
    mutationFn: (key: string) => api.teach(key),
    onSuccess: take,
  });
  const { hash } = useLocation();
  const there = learned.data !== undefined;
  useEffect(() => {
    if (there && hash === "#learned") document.getElementById("learned")?.scrollIntoView();
  }, [there, hash]);
  if (learned.error) return <ProblemNote error={learned.error} />;
  const v = learned.data;
  return (
    <>
      <h3>At the stove</h3>
      <p className="quiet">
        Pots, pans and pressed things that were weighed before and after at the stove, in
        cook-throughs kept as trials. Every figure of evaporation then counts with them; the{" "}
        <NavLink to="/bench">bench</NavLink> plays a scale and a probe where there is none.
      </p>
      {v?.factors.length === 0 && <p className="quiet">Nothing has been weighed yet.</p>}
      <ul>
        {v?.factors.map((f) => (
          <li key={f.loss}>{f.say}</li>
        ))}
      </ul>
      <ul className="own-foods">
        {v?.weighed.map((w) => (
          <li key={w.key}>
            {w.dish}: {w.what}, lost {Math.round(w.lost)} g, {Math.round(w.foreseen)} g foreseen,{" "}
            {new Date(w.at).toLocaleDateString("en-GB")}{" "}
            <Button size="small" onClick={() => unlearn.mutate(w.key)}>
              Take back
            </Button>
          </li>
        ))}
        {gone.map((key) => (
          <li key={key}>
            One weighing was taken back.{" "}
            <Button size="small" onClick={() => relearn.mutate(key)}>
              Bring it back
            </Button>
          </li>
        ))}
      </ul>
      <h3>At the table</h3>
      <p className="quiet">
        Where closed tastings have found traits other than foreseen, or foods stronger or weaker
        than the book has them. Every figure then counts with it; each dish can be shown by the book
        alone.
      </p>
      {v?.taught.length === 0 && <p className="quiet">No tasting has taught anything yet.</p>}
      {v?.taught.map((t) => (
        <section key={`${t.trait} ${t.food}`} aria-label={t.food || t.trait}>
          <p>
            {t.say} <span className="quiet">Since {day(t.since)}.</span>{" "}
            <Button size="small" onClick={() => t.lessons.forEach((key) => unteach.mutate(key))}>
              Take back
            </Button>
          </p>
        </section>
      ))}
      {(v?.lessons.length ?? 0) > 0 && (
        <table className="lessons">
          <thead>
            <tr>
              <th>Tasting</th>
              <th>Trait</th>
              <th>Sheets</th>
              <th>Foreseen</th>
              <th>Tasted</th>
              <th>Counts</th>
            </tr>
          </thead>
          <tbody>
            {v?.lessons.map((l) => (
              <tr key={l.key} className={l.off ? "off" : ""}>
                <th scope="row">
                  <NavLink to={`/dishes/${l.dish}/trials`}>{l.name}</NavLink>, {day(l.at)}
                </th>
                <td>{l.trait}</td>
                <td>{l.n}</td>
                <td>{signed(l.foretold)}</td>
                <td>{signed(l.tasted)}</td>
                <td>
                  <Button
                    size="small"
                    onClick={() => (l.off ? teach.mutate(l.key) : unteach.mutate(l.key))}
                  >
                    {l.off ? "Bring it back" : "Take back"}
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {(unteach.error ?? teach.error) && <ProblemNote error={unteach.error ?? teach.error} />}
      {(unlearn.error ?? relearn.error) && <ProblemNote error={unlearn.error ?? relearn.error} />}
    </>
  );
}
