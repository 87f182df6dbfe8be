import { useQuery } from "@tanstack/react-query";
import { Button } from "antd";
import { useState } from "react";

import { api } from "../api/client";
import type { TakenChange } from "../api/types";
import { useOpenDish } from "../dish/useDish";
import { worded } from "../texts/worded";

/** How many changes are tried at once: more teach nothing. */
const most = 2;

/** What to change next, in amounts; trying it makes the next version and says why. */
export function NextChanges({ id, sheets }: { id: string; sheets: number }) {
  const { dish, take, saving } = useOpenDish();
  const [chosen, setChosen] = useState<Record<string, TakenChange>>({});
  const next = useQuery({
    queryKey: ["next", id, sheets, dish.edit],
    queryFn: () => api.nextChange(id),
  });
  if (!next.data || next.data.length === 0) return null;
  const picked = Object.values(chosen);
  return (
    <section aria-label={worded("trials.whatToChangeNext")}>
      <h4>{worded("trials.whatToChangeNext")}</h4>
      {next.data.map((n) => {
        const need = n.side === "too-little" ? "More" : "Less";
        return (
          <div key={`${n.trait} ${n.side}`} className="next-change">
            <p>
              {worded("trials.itCostTheTableOfLiking", {
                need,
                trait: n.trait,
                cost: n.cost.toFixed(1),
                n: n.n,
              })}
            </p>
            {n.ways.length === 0 && (
              <p className="quiet">{worded("trials.nothingOfTheBookDoesIt")}</p>
            )}
            <ul className="ways">
              {n.ways.map((w) => (
                <li key={w.say}>
                  <label>
                    <input
                      type="checkbox"
                      checked={w.say in chosen}
                      disabled={!(w.say in chosen) && picked.length >= most}
                      onChange={(e) => {
                        const rest = Object.fromEntries(
                          Object.entries(chosen).filter(([say]) => say !== w.say),
                        );
                        const { trait, side } = n;
                        const { dose, line, factor, step, minutes } = w;
                        setChosen(
                          e.target.checked
                            ? {
                                ...rest,
                                [w.say]: { trait, side, dose, line, factor, step, minutes },
                              }
                            : rest,
                        );
                      }}
                    />{" "}
                    {w.say}
                  </label>
                </li>
              ))}
            </ul>
          </div>
        );
      })}
      <p>
        <Button
          type="primary"
          disabled={picked.length === 0 || saving}
          onClick={() => {
            take(id, { take: picked });
            setChosen({});
          }}
        >
          {worded("trials.tryAgainWithThese")}
        </Button>{" "}
        <span className="quiet">{worded("trials.oneOrTwoAtATime")}</span>
      </p>
    </section>
  );
}
