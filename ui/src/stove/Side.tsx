import type { LaneView, OnFire } from "../api/types";
import { countdown, gone, inMinutes } from "./words";
import { worded } from "../texts/worded";

interface FireProps {
  fire: OnFire[];
  now: number;
  open: (timer: number) => void;
}

/** What goes on by itself, with how long it still has: a thread that runs to its knot. */
export function Fire({ fire, now, open }: FireProps) {
  return (
    <section className="stove-fire" aria-label={worded("stove.goesOnByItself")}>
      <h2>{worded("stove.goesOnByItself")}</h2>
      {fire.length === 0 && <p className="stove-quiet">{worded("stove.nothingYet")}</p>}
      <ul>
        {fire.map(({ timer, move }) => {
          const over = now >= timer.ends;
          return (
            <li key={timer.n}>
              <button
                className={over ? "stove-pot over" : "stove-pot"}
                onClick={() => open(timer.n)}
                aria-label={`${timer.name}, ${over ? worded("stove.timeIsUp") : worded("stove.left", { countdown: countdown(timer.ends, now) })}${timer.cue ? worded("stove.look2", { cue: timer.cue }) : ""}`}
              >
                <span className="stove-left">{countdown(timer.ends, now)}</span>
                <span className="stove-name">
                  <span className="stove-one">{move.say}</span>
                  <small>{[...move.for, timer.cue].filter((t) => t !== "").join(" · ")}</small>
                </span>
                <Thread part={gone(timer.begun, timer.ends, now)} />
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Thread({ part }: { part: number }) {
  return (
    <span className="stove-thread" aria-hidden="true">
      <span style={{ width: `${part * 100}%` }} />
    </span>
  );
}

interface NextProps {
  lane: LaneView;
}

/** The next minutes. */
export function Next({ lane }: NextProps) {
  return (
    <section className="stove-next" aria-label={worded("stove.next")}>
      <h2>{worded("stove.next")}</h2>
      {lane.next.length === 0 && <p className="stove-quiet">{worded("stove.nothingMore")}</p>}
      <ol>
        {lane.next.map((s) => (
          <li key={s.move.id} className={s.move.hands ? "hands" : ""}>
            <span className="stove-two">{s.move.say}</span>
            <small>
              {s.move.for[0] && `${s.move.for.join(", ")} · `}
              {inMinutes(s.move.minutes)}
              {s.takes.length > 0 && ` · ${s.takes.map((t) => t.name).join(", ")}`}
            </small>
          </li>
        ))}
      </ol>
    </section>
  );
}
