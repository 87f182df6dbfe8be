import { InputNumber } from "antd";

import type { OpenDish } from "../dish/useDish";
import { kept } from "../texts/kept";
import { worded } from "../texts/worded";

/** Branches off a pot for guests who eat the original. */
export function SidePotField({ open }: { open: OpenDish }) {
  const guests = open.dish.document.decisions.sidePot?.guests ?? 0;
  const pots = open.dish.adaptation.sidePots;
  return (
    <div className="side-pots">
      <label>
        {worded("method.guestsWhoEatTheOriginal")}{" "}
        <InputNumber
          min={0}
          max={200}
          precision={0}
          value={guests}
          aria-label={worded("method.guestsWhoEatTheOriginal")}
          onChange={(n) =>
            n !== null &&
            n !== guests &&
            open.decide(kept("method.setASidePot"), { sidePot: n > 0 ? { guests: n } : null })
          }
        />
      </label>
      {guests > 0 && pots.length === 0 && (
        <span className="quiet"> {worded("method.noMeatOrFishOfThe")}</span>
      )}
      {pots.map((p, i) => (
        <section key={i} aria-label={worded("method.sidePot", { i: i + 1 })} className="side-pot">
          <h3>
            {worded("method.sidePotFor", {
              guests: p.guests,
              component: p.component && `: ${p.component.toLowerCase()}`,
            })}
          </h3>
          <p>{p.lines.join(" · ")}</p>
          <ol>
            {p.steps.map((s) => (
              <li key={s}>{s}</li>
            ))}
          </ol>
          {p.core.map((c) => (
            <p key={c} className="caution grave" role="note">
              {c}
            </p>
          ))}
          <p className="small quiet">{worded("method.followLocalFoodSafetyRulesThis")}</p>
        </section>
      ))}
    </div>
  );
}
