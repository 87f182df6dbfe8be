import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { useEffect, useRef, useState } from "react";
import { Link } from "react-router";

import type { DishSummary } from "../api/types";
import { Emblem } from "../shared/Emblem";
import { TallyView } from "../shared/TallyView";
import { worded } from "../texts/worded";

interface Props {
  dishes: DishSummary[];
  all: number;
  chosen: string[];
  choose: (id: string, yes: boolean) => void;
  /** Called when the end of what is there comes into sight. */
  more: () => void;
}

const rowHeight = 84;

/** The dishes of the shelf; only those in sight are drawn. */
export function ShelfList({ dishes, all, chosen, choose, more }: Props) {
  const [list, setList] = useState<HTMLUListElement | null>(null);
  const rows = useWindowVirtualizer({
    count: dishes.length,
    estimateSize: () => rowHeight,
    overscan: 6,
    scrollMargin: list?.offsetTop ?? 0,
    getItemKey: (i) => dishes[i]?.id ?? i,
  });
  const shown = rows.getVirtualItems();
  const last = shown.at(-1)?.index ?? -1;
  useEffect(() => {
    if (last >= dishes.length - 8 && dishes.length < all) more();
  }, [last, dishes.length, all, more]);
  // Where the keys have led, which is ahead of the row that has the focus.
  const at = useRef(-1);
  const step = (by: number) => {
    at.current = Math.max(0, Math.min(dishes.length - 1, at.current + by));
    rows.scrollToIndex(at.current);
    requestAnimationFrame(() =>
      list?.querySelector<HTMLElement>(`[data-row="${at.current}"] a`)?.focus(),
    );
  };
  return (
    <ul
      ref={setList}
      className="shelf"
      aria-label={worded("dishes.dishes")}
      style={{ height: rows.getTotalSize() }}
      onKeyDown={(e) => {
        const row = (e.target as HTMLElement).closest<HTMLElement>("[data-row]");
        const by = e.key === "ArrowDown" ? 1 : e.key === "ArrowUp" ? -1 : 0;
        if (!row || by === 0) return;
        e.preventDefault();
        step(by);
      }}
      onFocus={(e) => {
        const row = (e.target as HTMLElement).closest<HTMLElement>("[data-row]");
        if (row) at.current = Number(row.dataset["row"]);
      }}
    >
      {shown.map((row) => {
        const d = dishes[row.index];
        if (!d) return null;
        return (
          <li
            key={row.key}
            data-row={row.index}
            data-index={row.index}
            ref={rows.measureElement}
            aria-setsize={all}
            aria-posinset={row.index + 1}
            style={{ transform: `translateY(${row.start - rows.options.scrollMargin}px)` }}
          >
            <label className="choose">
              <input
                type="checkbox"
                checked={chosen.includes(d.id)}
                onChange={(e) => choose(d.id, e.target.checked)}
                aria-label={worded("dishes.choose", { dName: d.name })}
              />
            </label>
            <Link to={`/dishes/${d.id}/${d.swaps > 0 ? "swaps" : "original"}`}>
              {d.picture ? (
                <img src={`/api/pictures/${d.picture}?small=true`} alt="" loading="lazy" />
              ) : (
                <Emblem threads={d.threads} />
              )}
              <span>
                <h2>{d.name}</h2>
                <span className="quiet">
                  {d.place || worded("dishes.placeNotSaid")}
                  {d.variant && `, ${d.variant}`}
                  {d.labels.map((l) => (
                    <span key={l} className="label">
                      {l}
                    </span>
                  ))}
                </span>
              </span>
              <Figures dish={d} />
              <State dish={d} />
            </Link>
          </li>
        );
      })}
    </ul>
  );
}

function Figures({ dish: d }: { dish: DishSummary }) {
  if (d.fault !== "") return <span className="quiet">{d.fault}</span>;
  if (d.missing.length > 0) {
    const few = d.missing.slice(0, 4).join(", ");
    return (
      <span className="quiet">
        {worded("dishes.toBuy", { few })}
        {d.missing.length > 4 && worded("dishes.andMore", { missing: d.missing.length - 4 })}
      </span>
    );
  }
  if (d.swaps === 0) return <span />;
  return (
    <span className="shelf-tally">
      <TallyView tally={d.tally} />
      {d.stale && <span className="quiet"> {worded("dishes.fromBeforeBeingWorkedOutAnew")}</span>}
    </span>
  );
}

const states: Record<string, string> = {
  original: worded("dishes.originalKept"),
  decided: worded("dishes.everyLineDecided"),
  tried: "tried",
  settled: "settled",
};

/** How far a dish has come. */
export function State({ dish: d }: { dish: DishSummary }) {
  if (d.fault !== "") return <span className="state open">{worded("dishes.toBeMended")}</span>;
  if (d.state === "adapting" || (d.state === "original" && d.open > 0)) {
    return (
      <span className="state open">
        {worded("dishes.toDecide", {
          open: d.open,
          which: d.open === 1 ? worded("dishes.line") : worded("dishes.lines"),
        })}
      </span>
    );
  }
  return (
    <span className={d.state === "original" ? "state" : "state whole"}>
      {states[d.state] ?? d.state}
      {d.liking !== null && worded("dishes.liked", { liking: d.liking.toFixed(1) })}
    </span>
  );
}
