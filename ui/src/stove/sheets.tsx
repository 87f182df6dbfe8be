import type { Band, OnFire, Program, StoveNow, StoveStep, View } from "../api/types";
import { KeyList } from "../shared/KeyList";
import { Sheet } from "../shared/Sheet";
import type { Told } from "./queue";
import type { Calls } from "./signal";
import { countdown } from "./words";

export interface SheetProps {
  tell: (e: Told) => void;
  close: () => void;
}

/** Answers what is on the fire. */
export function TimerSheet({ on, now, tell, close }: SheetProps & { on: OnFire; now: number }) {
  const answer = (e: Told) => {
    tell(e);
    close();
  };
  const { timer, move } = on;
  return (
    <Sheet title={move.name} close={close} wide>
      <div className="stove-sheet">
        <p className="stove-big" aria-live="off">
          {countdown(timer.ends, now)}
        </p>
        {timer.cue && <p className="stove-look">Look: {timer.cue}</p>}
        <div className="stove-taps">
          <button className="first" onClick={() => answer({ kind: "over", of: timer.n })}>
            Done
          </button>
          {[2, 5, 10].map((n) => (
            <button key={n} onClick={() => answer({ kind: "longer", of: timer.n, amount: n })}>
              {n} more minutes
            </button>
          ))}
          <button onClick={() => answer({ kind: "hotter", move: move.id })}>hotter</button>
          <button onClick={() => answer({ kind: "cooler", move: move.id })}>cooler</button>
          {move.loss && (
            <>
              <button onClick={() => answer({ kind: "weigh", move: move.id, text: "before" })}>
                weigh it as it goes on
              </button>
              <button onClick={() => answer({ kind: "weigh", move: move.id, text: "after" })}>
                weigh it when it is done
              </button>
            </>
          )}
        </div>
      </div>
    </Sheet>
  );
}

/** What can be weighed or measured at a move. */
export function WeighSheet({
  step,
  bands,
  state,
  tell,
  close,
}: SheetProps & { step: StoveStep | null; bands: Band[]; state: StoveNow["state"] }) {
  const answer = (e: Told) => {
    tell(e);
    close();
  };
  const move = step?.move;
  const mine = bands.filter((b) => move?.bands.includes(b.id));
  const chosen = bands.filter((b) => b.chosen && !mine.includes(b));
  return (
    <Sheet title="Weigh or measure" close={close} wide>
      <div className="stove-sheet">
        {step && (
          <div className="stove-taps" role="group" aria-label="Weigh">
            {step.takes
              .filter((t) => t.grams > 0 && !t.made)
              .map((t) => (
                <button
                  key={t.line}
                  onClick={() => answer({ kind: "weigh", line: t.line, move: undefined })}
                >
                  {Math.round(t.grams * 10) / 10} g {t.name}
                </button>
              ))}
            {move?.loss && (
              <>
                <button onClick={() => answer({ kind: "weigh", move: move.id, text: "before" })}>
                  it all, before
                </button>
                <button onClick={() => answer({ kind: "weigh", move: move.id, text: "after" })}>
                  it all, after
                </button>
              </>
            )}
          </div>
        )}
        <h3>The probe watches</h3>
        <div className="stove-taps" role="group" aria-label="The probe watches">
          {[...mine, ...chosen].map((b) =>
            state.watches[b.id] ? (
              <button key={b.id} onClick={() => answer({ kind: "unwatch", text: b.id })}>
                stop: {b.name}
              </button>
            ) : (
              <button
                key={b.id}
                onClick={() => answer({ kind: "watch", text: b.id, move: move?.id })}
              >
                {b.name}, {b.say}
              </button>
            ),
          )}
        </div>
      </div>
    </Sheet>
  );
}

/** What is not in yet. */
export function BoardSheet({
  view,
  program,
  tell,
  close,
}: SheetProps & { view: View; program: Program }) {
  return (
    <Sheet title="On the board" close={close} wide>
      <div className="stove-sheet">
        {view.board.length === 0 && <p className="stove-look">Everything is in.</p>}
        <ul className="stove-list">
          {view.board.map((b) => (
            <li key={b.line.id}>
              <span>
                {b.text}
                <small>
                  {program.moves.find((m) => m.id === b.move)?.name ?? "nothing asks for it"}
                </small>
              </span>
              <button onClick={() => tell({ kind: "left-out", line: b.line.id })}>leave out</button>
            </li>
          ))}
        </ul>
      </div>
    </Sheet>
  );
}

/** What was different so far; each can be taken back. */
export function SoFarSheet({ state, tell, close }: SheetProps & { state: StoveNow["state"] }) {
  return (
    <Sheet title="Different so far" close={close} wide>
      <div className="stove-sheet">
        {state.different.length === 0 && <p className="stove-look">Nothing: as the card has it.</p>}
        <ul className="stove-list">
          {state.different.map((d) => (
            <li key={d.n}>
              <span>{d.text}</span>
              <button onClick={() => tell({ kind: "undo", of: d.n })}>take back</button>
            </li>
          ))}
        </ul>
      </div>
    </Sheet>
  );
}

export const stoveKeys: [string, string][] = [
  ["Enter", "done: on to the next"],
  ["Backspace", "back: take this screen's last tap back"],
  ["t", "start the timer of what goes on by itself; answer the one that ends first"],
  ["w", "weigh or measure"],
  ["d", "what is different"],
  ["b", "what is still on the board"],
  ["s", "what was different so far"],
  ["1 … 9", "the thing of that number does not go in now, or does"],
  ["Esc", "close what is open"],
  ["?", "this help, and how the stove calls"],
];

/** The keys, and how the stove calls. */
export function KeysSheet({
  calls,
  setCalls,
  close,
  stop,
}: {
  calls: Calls;
  setCalls: (c: Calls) => void;
  close: () => void;
  stop: () => void;
}) {
  const each = [
    ["sound", "Sound"],
    ["flash", "Flash"],
    ["shake", "Vibration"],
  ] as const;
  return (
    <Sheet title="Keys and calls" close={close} wide>
      <div className="stove-sheet">
        <div className="stove-taps" role="group" aria-label="How the stove calls">
          {each.map(([key, name]) => (
            <button
              key={key}
              aria-pressed={calls[key]}
              onClick={() => setCalls({ ...calls, [key]: !calls[key] })}
            >
              {name}: {calls[key] ? "on" : "off"}
            </button>
          ))}
        </div>
        <div className="stove-taps">
          <a href="/bench" target="_blank" rel="noreferrer" className="stove-leave">
            Bench: drive scale and probe by hand
          </a>
          <button onClick={stop}>Stop cooking here</button>
        </div>
        <KeyList keys={stoveKeys} />
      </div>
    </Sheet>
  );
}
