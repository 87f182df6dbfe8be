import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useState } from "react";
import { NavLink } from "react-router";

import { api } from "../api/client";
import type { LearnedView } from "../api/types";
import { ProblemNote } from "../shared/ProblemNote";

/** What was weighed at the stove and kept, and what it makes of the figures. */
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
  if (learned.error) return <ProblemNote error={learned.error} />;
  const v = learned.data;
  return (
    <>
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
      {(unlearn.error ?? relearn.error) && <ProblemNote error={unlearn.error ?? relearn.error} />}
    </>
  );
}
