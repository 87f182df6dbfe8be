import { Checkbox, InputNumber } from "antd";

import type { DayDocument, DayView, Item } from "../api/types";
import { worded } from "../texts/worded";

interface Props {
  view: DayView;
  change: (d: Partial<DayDocument>) => void;
  tick: (item: string, on: boolean) => void;
}

/** What to buy, by aisle, to be ticked off. */
export function Shopping({ view, change, tick }: Props) {
  const { ticked, have } = view.document;
  const aisles = [...new Set(view.shopping.items.map((i) => i.aisle))];
  const open = view.shopping.items.filter((i) => !ticked.includes(i.key)).length;
  return (
    <div className="shopping">
      <p className="quiet">
        {worded("days.ofToGetAboutOnThe", {
          open,
          items: view.shopping.items.length,
          cost: view.shopping.cost.toFixed(0),
        })}
      </p>
      {aisles.map((a) => (
        <section key={a} aria-label={a || "other"}>
          <h3>{(a || worded("days.notInTheLarder")).replace(/-/g, " ")}</h3>
          <ul>
            {view.shopping.items
              .filter((i) => i.aisle === a)
              .map((i) => (
                <Row
                  key={i.key}
                  item={i}
                  ticked={ticked.includes(i.key)}
                  tick={(on) => tick(i.key, on)}
                  have={have[i.key] ?? 0}
                  setHave={(g) =>
                    change({
                      have: Object.fromEntries(
                        Object.entries({ ...have, [i.key]: g }).filter(([, v]) => v > 0),
                      ),
                    })
                  }
                />
              ))}
          </ul>
        </section>
      ))}
      {view.shopping.spare.length > 0 && (
        <section>
          <h3>{worded("days.nothingWasted")}</h3>
          <ul className="spare">
            {view.shopping.spare.map((s) => (
              <li key={s}>{s}</li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

interface RowProps {
  item: Item;
  ticked: boolean;
  tick: (on: boolean) => void;
  have: number;
  setHave: (grams: number) => void;
}

function Row({ item: i, ticked, tick, have, setHave }: RowProps) {
  return (
    <li className={ticked ? "ticked" : ""}>
      <Checkbox checked={ticked} onChange={(e) => tick(e.target.checked)}>
        <b>{i.name}</b>
        {i.form && <span className="quiet"> {i.form}</span>} <span className="buy">{i.shown}</span>
      </Checkbox>
      <details className="small">
        <summary>
          {i.uses.length === 1 ? i.uses[0]?.dish : worded("days.uses", { uses: i.uses.length })}
          {i.leftUse && ` · ${i.leftUse}`}
        </summary>
        <ul>
          {i.uses.map((u, k) => (
            <li key={k}>
              {u.dish}: {u.text}
            </li>
          ))}
        </ul>
        {i.label && <p>{worded("days.onTheLabel", { iLabel: i.label })}</p>}
        {i.substitutes.length > 0 && (
          <p>{worded("days.whenItCannotBeHad", { substitutes: i.substitutes.join("; ") })}</p>
        )}
        {!i.unknown && (
          <label className="no-print">
            {worded("days.inTheHouse")}{" "}
            <InputNumber
              size="small"
              min={0}
              value={have}
              aria-label={worded("days.gramsOfInTheHouse", { iName: i.name })}
              onChange={(g) => g !== null && g !== have && setHave(g)}
            />{" "}
            g
          </label>
        )}
      </details>
    </li>
  );
}
