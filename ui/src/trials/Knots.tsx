import type { TrialView } from "../api/types";
import { dayOf } from "./words";
import { worded } from "../texts/worded";

interface Props {
  trials: TrialView[];
  chosen: string[];
  pick: (id: string) => void;
}

const wide = 158;
const high = 58;
const middle = 20;

/** Where a trial stands in the drawing. */
function at(list: TrialView[], i: number): [number, number] {
  return [i * wide, (list[i]?.branch ?? 0) * high];
}

/** The trials of a dish as knots on a line, with a branch where the cook went back. */
export function Knots({ trials, chosen, pick }: Props) {
  const rows = Math.max(1, ...trials.map((t) => t.branch + 1));
  const size = { width: trials.length * wide, height: rows * high };
  return (
    <div
      className="knots"
      role="group"
      aria-label={worded("trials.trialsTheOldestFirst")}
      style={size}
    >
      <svg {...size} aria-hidden="true">
        {trials.map((t, i) => {
          const from = trials.findIndex((x) => x.id === t.after);
          if (from < 0) return null;
          const [x1, y1] = at(trials, from);
          const [x2, y2] = at(trials, i);
          const bend = (x1 + x2) / 2 + wide / 3;
          return (
            <path
              key={t.id}
              d={`M${x1 + 40} ${y1 + middle}C${bend} ${y1 + middle} ${bend} ${y2 + middle} ${x2 + 8} ${y2 + middle}`}
            />
          );
        })}
      </svg>
      {trials.map((t, i) => {
        const [left, top] = at(trials, i);
        const from = trials.findIndex((x) => x.id === t.after);
        return (
          <button
            key={t.id}
            aria-pressed={chosen.includes(t.id)}
            aria-label={worded("trials.trial", {
              i: i + 1,
              dayOf: dayOf(t.kept),
              which: from >= 0 ? worded("trials.afterTrial", { from: from + 1 }) : "",
              which2: t.now ? worded("trials.asTheDishIsNow") : "",
            })}
            className={t.now ? "now" : ""}
            style={{ left, top }}
            onClick={() => pick(t.id)}
          >
            {i + 1} · {dayOf(t.kept)}
          </button>
        );
      })}
    </div>
  );
}
