import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";

import { GuestLink } from "../access/LinkSheet";
import { api } from "../api/client";
import { useOpenDish } from "../dish/useDish";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { Strip } from "./Strip";

/** What the sheets of a tasting say; it fills as they come in. */
export function Results({ id }: { id: string }) {
  const queries = useQueryClient();
  const view = useQuery({ queryKey: ["tasting", id], queryFn: () => api.tasting(id) });
  const close = useMutation({
    mutationFn: () => api.closeTasting(id),
    onSuccess: (v) => {
      queries.setQueryData(["tasting", id], v);
      void queries.invalidateQueries({ queryKey: ["tastings"] });
    },
  });
  if (view.error) return <ProblemNote error={view.error} retry={() => void view.refetch()} />;
  if (!view.data) return <Loading>Counting the sheets</Loading>;
  const { tasting: t, sheets, answer, said, compared } = view.data;
  return (
    <section className="results" aria-label={`Results of ${t.name}`}>
      <header>
        <h3>
          {t.name}: {sheets.length === 1 ? "one sheet" : `${sheets.length} sheets`}
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
      {sheets.length > 0 && <Next id={id} sheets={sheets.length} />}
      {answer.corrections.length > 0 && (
        <>
          <h4>By how much the model is off here, in steps</h4>
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

/** What to change next, in amounts; trying it makes the next version and says why. */
function Next({ id, sheets }: { id: string; sheets: number }) {
  const { dish, decide } = useOpenDish();
  const next = useQuery({
    queryKey: ["next", id, sheets, dish.edit],
    queryFn: () => api.nextChange(id),
  });
  if (!next.data || next.data.length === 0) return null;
  const others = (food: string) => dish.document.decisions.boosters.filter((b) => b.food !== food);
  return (
    <section aria-label="What to change next">
      <h4>What to change next</h4>
      {next.data.map((n) => {
        const need = n.side === "too-little" ? "more" : "less";
        return (
          <div key={`${n.trait} ${n.side}`} className="next-change">
            <p>
              {need === "more" ? "More" : "Less"} {n.trait}: it cost the table {n.cost.toFixed(1)}{" "}
              of liking, with {n.n} who answered.
            </p>
            {n.ways.length === 0 && (
              <p className="quiet">
                No booster of the book does it; look at the line that brings it, under Swaps.
              </p>
            )}
            <ul>
              {n.ways.map((w) => (
                <li key={w.say}>
                  {w.say}{" "}
                  <Button
                    size="small"
                    onClick={() =>
                      decide(`after the tasting: ${need} ${n.trait}`, {
                        boosters:
                          w.dose.grams > 0
                            ? [
                                ...others(w.dose.food),
                                { ...w.dose, why: `the table wanted ${need} ${n.trait}` },
                              ]
                            : others(w.dose.food),
                      })
                    }
                  >
                    Try this
                  </Button>
                </li>
              ))}
            </ul>
          </div>
        );
      })}
    </section>
  );
}

function steps(value: number | undefined): string {
  return value === undefined ? "" : `${value > 0 ? "+" : ""}${value.toFixed(1)}`;
}
