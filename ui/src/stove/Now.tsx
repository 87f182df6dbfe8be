import type { StoveNow, StoveStep, TakeNow } from "../api/types";
import type { Told } from "./queue";
import { inMinutes, plannedWords } from "./words";
import { worded } from "../texts/worded";

interface Props {
  step: StoveStep;
  now: number;
  state: StoveNow["state"];
  tell: (e: Told) => void;
  weigh: (line: string) => void;
}

/** The one thing to do now, with what goes in now in type readable from two metres. */
export function Now({ step, now, state, tell, weigh }: Props) {
  const { move } = step;
  const planned = plannedWords(step.start, now);
  return (
    <section className="stove-now" aria-label={worded("stove.toDoNow")}>
      <p className="stove-whose">
        {[move.for.join(", "), move.part].filter((t) => t !== "").join(" · ")}
        {planned && <span className="stove-planned"> {planned}</span>}
      </p>
      <h1 className={move.say.length > 90 ? "long" : ""}>{move.say}</h1>
      {step.takes.length > 0 && (
        <ul
          className={step.takes.length > 4 ? "stove-takes many" : "stove-takes"}
          aria-label={worded("stove.goesInNow")}
        >
          {step.takes.map((t) => (
            <Take
              key={t.line}
              take={t}
              toggle={() =>
                tell(
                  t.held
                    ? { kind: "in", line: t.line }
                    : { kind: "held", move: move.id, line: t.line },
                )
              }
              weigh={() => weigh(t.line)}
              weighing={state.weighing?.line === t.line}
            />
          ))}
        </ul>
      )}
      {move.readies.length > 0 && (
        <ul className="stove-takes stove-readies" aria-label={worded("stove.toGetReady")}>
          {move.readies.map((t) => (
            <li key={t.line} className="stove-take">
              {t.much && <b>{t.much}</b>} <span>{t.what}</span>
            </li>
          ))}
        </ul>
      )}
      <p className="stove-cue">
        {move.cue && <span>{worded("stove.look", { cue: move.cue })}</span>}
        {move.minutes > 0 && (
          <span className="stove-minutes">
            {move.hands ? worded("stove.about") : ""}
            {inMinutes(move.minutes)}
            {move.hands ? "" : worded("stove.byItself")}
          </span>
        )}
      </p>
      {move.care.length > 0 && (
        <ul className="stove-care" aria-label={worded("stove.takeCare")}>
          {move.care.map((c) => (
            <li key={c}>{c}</li>
          ))}
        </ul>
      )}
    </section>
  );
}

interface TakeProps {
  take: TakeNow;
  toggle: () => void;
  weigh: () => void;
  weighing: boolean;
}

function Take({ take: t, toggle, weigh, weighing }: TakeProps) {
  const what = t.instead ? worded("stove.for", { instead: t.instead, tName: t.name }) : t.what;
  const state = t.gone ? worded("stove.leftOut") : t.held ? worded("stove.notNow") : "";
  return (
    <li className={state ? "out" : ""}>
      <button
        className="stove-take"
        aria-pressed={t.held}
        disabled={t.gone || t.made}
        onClick={toggle}
        aria-label={worded("stove.tapIfItDoesNotGo", {
          much: t.much,
          what,
          which: state ? `, ${state}` : "",
        })}
      >
        {t.much && <b>{t.much}</b>} <span>{what}</span>
        {state && <i>{state}</i>}
      </button>
      {t.grams > 0 && !t.made && !t.gone && (
        <button
          className={weighing ? "stove-weigh on" : "stove-weigh"}
          onClick={weigh}
          aria-label={worded("stove.weigh2", { tName: t.name })}
        >
          <Pan /> {t.weighed > 0 ? `${Math.round(t.weighed)} g` : ""}
        </button>
      )}
    </li>
  );
}

/** A pan on a beam: weigh. */
function Pan() {
  return (
    <svg width="34" height="26" viewBox="0 0 34 26" aria-hidden="true">
      <path d="M2 8h30" stroke="currentColor" strokeWidth="3" strokeLinecap="round" />
      <path d="M6 8c0 9 22 9 22 0" fill="none" stroke="currentColor" strokeWidth="2.5" />
      <path d="M17 15v7M9 23h16" stroke="currentColor" strokeWidth="3" strokeLinecap="round" />
    </svg>
  );
}
