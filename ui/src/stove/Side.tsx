import type { LaneView, OnFire } from "../api/types";
import { countdown, gone, inMinutes } from "./words";

interface FireProps {
  fire: OnFire[];
  now: number;
  open: (timer: number) => void;
}

/** What goes on by itself, with how long it still has: a thread that runs to its knot. */
export function Fire({ fire, now, open }: FireProps) {
  return (
    <section className="stove-fire" aria-label="Goes on by itself">
      <h2>Goes on by itself</h2>
      {fire.length === 0 && <p className="stove-quiet">Nothing yet.</p>}
      <ul>
        {fire.map(({ timer, move }) => {
          const over = now >= timer.ends;
          return (
            <li key={timer.n}>
              <button
                className={over ? "stove-pot over" : "stove-pot"}
                onClick={() => open(timer.n)}
                aria-label={`${timer.name}, ${over ? "time is up" : `${countdown(timer.ends, now)} left`}${timer.cue ? `, look: ${timer.cue}` : ""}`}
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
    <section className="stove-next" aria-label="Next">
      <h2>Next</h2>
      {lane.next.length === 0 && <p className="stove-quiet">Nothing more.</p>}
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
