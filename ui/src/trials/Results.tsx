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
import { worded } from "../texts/worded";

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
  if (!view.data) return <Loading>{worded("trials.countingTheSheets")}</Loading>;
  const { tasting: t, sheets, answer, said, compared } = view.data;
  return (
    <section className="results" aria-label={worded("trials.resultsOf", { tName: t.name })}>
      <header>
        <h3>
          {t.name}, {dayOf(t.made)}:{" "}
          {sheets.length === 1
            ? worded("trials.oneSheet")
            : worded("trials.sheets", { sheets: sheets.length })}
          {t.closed > 0 ? worded("trials.closed") : ""}
        </h3>
        <span>
          {t.closed === 0 && (
            <GuestLink kind="tasting" about={t.id} what={worded("trials.thisTasting")} />
          )}
          <Button size="small" onClick={() => close.mutate()}>
            {t.closed > 0 ? worded("trials.openAgain") : worded("trials.close")}
          </Button>{" "}
          <a href={`/api/tastings/${t.id}/csv`}>{worded("trials.sheetsAsCsv")}</a>
        </span>
      </header>
      {close.error && <ProblemNote error={close.error} />}
      {sheets.length === 0 && <p className="quiet">{worded("trials.noSheetYetGiveTheLink")}</p>}
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
                  {worded("trials.likedOf9By", {
                    mean: judged.liking.mean.toFixed(1),
                    tasters: judged.tasters,
                  })}
                </span>
              )}
            </h4>
            <table>
              <thead>
                <tr>
                  <th>{worded("trials.trait")}</th>
                  <th>{worded("trials.aroundJustRight")}</th>
                  <th>{worded("trials.foreseen")}</th>
                  <th>{worded("trials.tasted")}</th>
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
                  {worded("trials.wouldTheyHaveKnown")} {words.known[0]} {worded("trials.no")}{" "}
                  {words.known[1]} {worded("trials.maybe")} {words.known[2]} {worded("trials.yes")}
                </li>
              )}
            </ul>
          </div>
        );
      })}
      {sheets.length > 0 && !t.triangle && <NextChanges id={id} sheets={sheets.length} />}
      {answer.corrections.length > 0 && (
        <>
          <h4>{worded("trials.byHowMuchTheModelIs")}</h4>
          <p className="quiet">
            {t.closed > 0
              ? worded("trials.theKitchenHasLearnedFromIt")
              : worded("trials.theKitchenLearnsFromItOnce")}
          </p>
          <ul>
            {answer.corrections.map((c) => (
              <li key={c.trait}>
                {worded("trials.toFromSheetsOf", {
                  trait: c.trait,
                  steps: steps(c.correction),
                  steps2: steps(c.low),
                  steps3: steps(c.high),
                  sheets: c.sheets,
                  which:
                    c.tastings === 1
                      ? worded("trials.oneTrial")
                      : worded("trials.trials", { tastings: c.tastings }),
                })}
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
