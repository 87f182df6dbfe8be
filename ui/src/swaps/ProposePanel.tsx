import { useQuery } from "@tanstack/react-query";
import { Button } from "antd";

import { api } from "../api/client";
import type { Decisions, DishView } from "../api/types";
import { lineAt } from "../dish/lines";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { Sheet } from "../shared/Sheet";
import { TallyView } from "../shared/TallyView";
import { worded } from "../texts/worded";

interface Props {
  dish: DishView;
  close: () => void;
  use: (d: Decisions, aim: string) => void;
}

const aims: Record<string, [string, string]> = {
  closest: ["Closest", worded("swaps.keepsTheMost")],
  simplest: ["Simplest", worded("swaps.fewestLinesAndLeastWork")],
  cheapest: ["Cheapest", worded("swaps.byTheMadeUpPriceList")],
  protein: [worded("swaps.mostProtein"), worded("swaps.amongThoseThatKeepTheDish")],
};

/** The four answers side by side, before anything is changed. */
export function ProposePanel({ dish, close, use }: Props) {
  const answers = useQuery({
    queryKey: ["proposals", dish.id, dish.edit],
    queryFn: () => api.proposals(dish.id),
    staleTime: Infinity,
  });
  return (
    <Sheet wide close={close} title={worded("swaps.proposeSwaps")}>
      {answers.isPending && <Loading>{worded("swaps.tryingSwapsForAllLinesTogether")}</Loading>}
      {answers.error && <ProblemNote error={answers.error} retry={() => void answers.refetch()} />}
      <div className="answers">
        {answers.data?.map((p) => {
          const [name, what] = aims[p.aim] ?? [p.aim, ""];
          return (
            <section key={p.aim} className="answer" aria-label={name}>
              <div>
                <h3>{name}</h3>
                <span className="small quiet">{what}</span>
              </div>
              <TallyView tally={p.adaptation.tally} />
              <ul>
                {p.adaptation.swaps.map((s) => (
                  <li key={s.replaces}>
                    <span className="quiet">{lineAt(dish, s.replaces)?.name}:</span> {s.name}
                  </li>
                ))}
                {p.adaptation.boosters.map((b) => (
                  <li key={b.food} className="booster">
                    {b.why}
                  </li>
                ))}
                {p.adaptation.structure
                  .filter((h) => h.verdict !== "holds")
                  .map((h) => (
                    <li key={h.component + h.need} className="caution">
                      {h.component || worded("swaps.theDish")}: {h.need} {h.verdict}
                    </li>
                  ))}
                {p.adaptation.unresolved.map((u) => (
                  <li key={u.line} className="caution">
                    {lineAt(dish, u.line)?.name} {worded("swaps.staysOpen", { why: u.why })}
                  </li>
                ))}
              </ul>
              <Button type="primary" onClick={() => use(p.decisions, name.toLowerCase())}>
                {worded("swaps.useThis")}
              </Button>
            </section>
          );
        })}
      </div>
    </Sheet>
  );
}
