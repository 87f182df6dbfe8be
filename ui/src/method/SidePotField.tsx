import { InputNumber } from "antd";

import type { OpenDish } from "../dish/useDish";

/** Branches off a pot for guests who eat the original. */
export function SidePotField({ open }: { open: OpenDish }) {
  const guests = open.dish.document.decisions.sidePot?.guests ?? 0;
  const pots = open.dish.adaptation.sidePots;
  return (
    <div className="side-pots">
      <label>
        Guests who eat the original{" "}
        <InputNumber
          min={0}
          max={200}
          precision={0}
          value={guests}
          aria-label="Guests who eat the original"
          onChange={(n) =>
            n !== null &&
            n !== guests &&
            open.decide("set a side pot", { sidePot: n > 0 ? { guests: n } : null })
          }
        />
      </label>
      {guests > 0 && pots.length === 0 && (
        <span className="quiet"> No meat or fish of the original is replaced here.</span>
      )}
      {pots.map((p, i) => (
        <section key={i} aria-label={`Side pot ${i + 1}`} className="side-pot">
          <h3>
            Side pot for {p.guests}
            {p.component && `: ${p.component.toLowerCase()}`}
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
          <p className="small quiet">Follow local food-safety rules; this is general guidance.</p>
        </section>
      ))}
    </div>
  );
}
