import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useEffect, useState } from "react";
import { NavLink, useLocation } from "react-router";

import { api } from "../api/client";
import type { LearnedView } from "../api/types";
import { ProblemNote } from "../shared/ProblemNote";
import { signed } from "../shared/format";
import { worded } from "../texts/worded";

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
      <h3>{worded("kitchen.atTheStove")}</h3>
      <p className="quiet">
        {worded("kitchen.potsPansAndPressedThingsThat")}{" "}
        <NavLink to="/bench">{worded("kitchen.bench")}</NavLink>{" "}
        {worded("kitchen.playsAScaleAndAProbe")}
      </p>
      {v?.factors.length === 0 && (
        <p className="quiet">{worded("kitchen.nothingHasBeenWeighedYet")}</p>
      )}
      <ul>
        {v?.factors.map((f) => (
          <li key={f.loss}>{f.say}</li>
        ))}
      </ul>
      <ul className="own-foods">
        {v?.weighed.map((w) => (
          <li key={w.key}>
            {worded("kitchen.lostGGForeseen", {
              dish: w.dish,
              what: w.what,
              lost: Math.round(w.lost),
              foreseen: Math.round(w.foreseen),
              value: new Date(w.at).toLocaleDateString("en-GB"),
            })}{" "}
            <Button size="small" onClick={() => unlearn.mutate(w.key)}>
              {worded("kitchen.takeBack")}
            </Button>
          </li>
        ))}
        {gone.map((key) => (
          <li key={key}>
            {worded("kitchen.oneWeighingWasTakenBack")}{" "}
            <Button size="small" onClick={() => relearn.mutate(key)}>
              {worded("kitchen.bringItBack")}
            </Button>
          </li>
        ))}
      </ul>
      <h3>{worded("kitchen.atTheTable")}</h3>
      <p className="quiet">{worded("kitchen.whereClosedTastingsHaveFoundTraits")}</p>
      {v?.taught.length === 0 && (
        <p className="quiet">{worded("kitchen.noTastingHasTaughtAnythingYet")}</p>
      )}
      {v?.taught.map((t) => (
        <section key={`${t.trait} ${t.food}`} aria-label={t.food || t.trait}>
          <p>
            {t.say} <span className="quiet">{worded("kitchen.since", { day: day(t.since) })}</span>{" "}
            <Button size="small" onClick={() => t.lessons.forEach((key) => unteach.mutate(key))}>
              {worded("kitchen.takeBack")}
            </Button>
          </p>
        </section>
      ))}
      {(v?.lessons.length ?? 0) > 0 && (
        <table className="lessons">
          <thead>
            <tr>
              <th>{worded("kitchen.tasting")}</th>
              <th>{worded("kitchen.trait")}</th>
              <th>{worded("kitchen.sheets")}</th>
              <th>{worded("kitchen.foreseen")}</th>
              <th>{worded("kitchen.tasted")}</th>
              <th>{worded("kitchen.counts")}</th>
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
                    {l.off ? worded("kitchen.bringItBack") : worded("kitchen.takeBack")}
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
