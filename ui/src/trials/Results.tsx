import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";

import { GuestLink } from "../access/LinkSheet";
import { api } from "../api/client";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { NextChanges } from "./NextChanges";
import { Strip } from "./Strip";
import { Triangle } from "./Triangle";
import { dayOf } from "./words";

/** What the sheets of a tasting say; it fills as they come in. */
export function Results({ id }: { id: string }) {
  const queries = useQueryClient();
  const view = useQuery({ queryKey: ["tasting", id], queryFn: () => api.tasting(id) });
  const close = useMutation({
    mutationFn: () => api.closeTasting(id),
    onSuccess: (v) => {
      queries.setQueryData(["tasting", id], v);
      for (const key of ["tastings", "dish", "learned", "card", "next"]) {
        void queries.invalidateQueries({ queryKey: [key] });
      }
    },
  });
  if (view.error) return <ProblemNote error={view.error} retry={() => void view.refetch()} />;
  if (!view.data) return <Loading>Counting the sheets</Loading>;
  const { tasting: t, sheets, answer, said, compared } = view.data;
  return (
    <section className="results" aria-label={`Results of ${t.name}`}>
      <header>
        <h3>
          {t.name}, {dayOf(t.made)}: {sheets.length === 1 ? "one sheet" : `${sheets.length} sheets`}
          {t.closed > 0 ? ", closed" : ""}
        </h3>
        <span>
          {t.closed === 0 && <GuestLink kind="tasting" about={t.id} what="this tasting" />}
          <Button size="small" onClick={() => close.mutate()}>
            {t.closed > 0 ? "Open again" : "Close"}
          </Button>{" "}
          <a href={`/api/tastings/${t.id}/csv`}>Sheets as CSV</a>
        </span>
      </header>
      {close.error && <ProblemNote error={close.error} />}
      {sheets.length === 0 && (
        <p className="quiet">
          No sheet yet. Give the link to the table; sheets show here as they come in.
        </p>
      )}
      {t.triangle && <Triangle view={view.data} />}
      {t.served.map((s) => {
        const judged = answer.trials.find((x) => x.id === s.letter);
        const words = said.find((x) => x.letter === s.letter);
        if (!judged || judged.tasters === 0) return null;
        return (
          <div key={s.letter} className="judged">
            <h4>
              {s.letter}, {s.name}
              {judged.liking && (
                <span className="quiet">
                  {" "}
                  liked {judged.liking.mean.toFixed(1)} of 9, by {judged.tasters}
                </span>
              )}
            </h4>
            <table>
              <thead>
                <tr>
                  <th>Trait</th>
                  <th>Around just right</th>
                  <th>Foreseen</th>
                  <th>Tasted</th>
                </tr>
              </thead>
              <tbody>
                {judged.traits.map((trait) => (
                  <tr key={trait.trait}>
                    <th scope="row">{trait.trait}</th>
                    <td>
                      <Strip trait={trait} sheets={sheets} letter={s.letter} />
                    </td>
                    <td>{steps(s.steps[trait.trait])}</td>
                    <td>{steps(words?.tasted[trait.trait])}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <ul>
              {words?.say.map((text) => (
                <li key={text}>{text}</li>
              ))}
              {words && words.known.some((n) => n > 0) && (
                <li>
                  Would they have known: {words.known[0]} no, {words.known[1]} maybe,{" "}
                  {words.known[2]} yes.
                </li>
              )}
            </ul>
          </div>
        );
      })}
      {sheets.length > 0 && !t.triangle && <NextChanges id={id} sheets={sheets.length} />}
      {answer.corrections.length > 0 && (
        <>
          <h4>By how much the model is off at this table, in steps</h4>
          <p className="quiet">
            {t.closed > 0
              ? "The kitchen has learned from it; what it made of all tables stands under Kitchen."
              : "The kitchen learns from it once the tasting is closed."}
          </p>
          <ul>
            {answer.corrections.map((c) => (
              <li key={c.trait}>
                {c.trait}: {steps(c.correction)} ({steps(c.low)} to {steps(c.high)}), from{" "}
                {c.sheets} sheets of {c.tastings === 1 ? "one trial" : `${c.tastings} trials`}
              </li>
            ))}
          </ul>
        </>
      )}
      <ul>
        {compared.map((c) => (
          <li key={c.say}>{c.say}</li>
        ))}
      </ul>
    </section>
  );
}

function steps(value: number | undefined): string {
  return value === undefined ? "" : `${value > 0 ? "+" : ""}${value.toFixed(1)}`;
}
