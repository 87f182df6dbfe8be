import type { Band, OnFire, Program, StoveNow, StoveStep, View } from "../api/types";
import { KeyList } from "../shared/KeyList";
import { Sheet } from "../shared/Sheet";
import type { Told } from "./queue";
import type { Calls } from "./signal";
import { countdown } from "./words";
import { worded } from "../texts/worded";

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
        {timer.cue && <p className="stove-look">{worded("stove.look", { cue: timer.cue })}</p>}
        <div className="stove-taps">
          <button className="first" onClick={() => answer({ kind: "over", of: timer.n })}>
            {worded("stove.done")}
          </button>
          {[2, 5, 10].map((n) => (
            <button key={n} onClick={() => answer({ kind: "longer", of: timer.n, amount: n })}>
              {worded("stove.moreMinutes", { n })}
            </button>
          ))}
          <button onClick={() => answer({ kind: "hotter", move: move.id })}>
            {worded("stove.hotter")}
          </button>
          <button onClick={() => answer({ kind: "cooler", move: move.id })}>
            {worded("stove.cooler")}
          </button>
          {move.loss && (
            <>
              <button onClick={() => answer({ kind: "weigh", move: move.id, text: "before" })}>
                {worded("stove.weighItAsItGoesOn")}
              </button>
              <button onClick={() => answer({ kind: "weigh", move: move.id, text: "after" })}>
                {worded("stove.weighItWhenItIsDone")}
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
    <Sheet title={worded("stove.weighOrMeasure")} close={close} wide>
      <div className="stove-sheet">
        {step && (
          <div className="stove-taps" role="group" aria-label={worded("stove.weigh")}>
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
                  {worded("stove.itAllBefore")}
                </button>
                <button onClick={() => answer({ kind: "weigh", move: move.id, text: "after" })}>
                  {worded("stove.itAllAfter")}
                </button>
              </>
            )}
          </div>
        )}
        <h3>{worded("stove.theProbeWatches")}</h3>
        <div className="stove-taps" role="group" aria-label={worded("stove.theProbeWatches")}>
          {[...mine, ...chosen].map((b) =>
            state.watches[b.id] ? (
              <button key={b.id} onClick={() => answer({ kind: "unwatch", text: b.id })}>
                {worded("stove.stop", { bName: b.name })}
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
    <Sheet title={worded("stove.onTheBoard")} close={close} wide>
      <div className="stove-sheet">
        {view.board.length === 0 && <p className="stove-look">{worded("stove.everythingIsIn")}</p>}
        <ul className="stove-list">
          {view.board.map((b) => (
            <li key={b.line.id}>
              <span>
                {b.text}
                <small>
                  {program.moves.find((m) => m.id === b.move)?.name ??
                    worded("stove.nothingAsksForIt")}
                </small>
              </span>
              <button onClick={() => tell({ kind: "left-out", line: b.line.id })}>
                {worded("stove.leaveOut")}
              </button>
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
    <Sheet title={worded("stove.differentSoFar")} close={close} wide>
      <div className="stove-sheet">
        {state.different.length === 0 && (
          <p className="stove-look">{worded("stove.nothingAsTheCardHasIt")}</p>
        )}
        <ul className="stove-list">
          {state.different.map((d) => (
            <li key={d.n}>
              <span>{d.text}</span>
              <button onClick={() => tell({ kind: "undo", of: d.n })}>
                {worded("stove.takeBack")}
              </button>
            </li>
          ))}
        </ul>
      </div>
    </Sheet>
  );
}

export const stoveKeys: [string, string][] = [
  ["Enter", worded("stove.doneOnToTheNext")],
  ["Backspace", worded("stove.backTakeThisScreensLastTap")],
  ["t", worded("stove.startTheTimerOfWhatGoes")],
  ["w", worded("stove.weighOrMeasure2")],
  ["d", worded("stove.whatIsDifferent")],
  ["b", worded("stove.whatIsStillOnTheBoard")],
  ["s", worded("stove.whatWasDifferentSoFar")],
  ["1 … 9", worded("stove.theThingOfThatNumberDoes")],
  ["Esc", worded("stove.closeWhatIsOpen")],
  ["?", worded("stove.thisHelpAndHowTheStove")],
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
    <Sheet title={worded("stove.keysAndCalls")} close={close} wide>
      <div className="stove-sheet">
        <div className="stove-taps" role="group" aria-label={worded("stove.howTheStoveCalls")}>
          {each.map(([key, name]) => (
            <button
              key={key}
              aria-pressed={calls[key]}
              onClick={() => setCalls({ ...calls, [key]: !calls[key] })}
            >
              {name}: {calls[key] ? worded("stove.on") : worded("stove.off")}
            </button>
          ))}
        </div>
        <div className="stove-taps">
          <a href="/bench" target="_blank" rel="noreferrer" className="stove-leave">
            {worded("stove.benchDriveScaleAndProbeBy")}
          </a>
          <button onClick={stop}>{worded("stove.stopCookingHere")}</button>
        </div>
        <KeyList keys={stoveKeys} />
      </div>
    </Sheet>
  );
}
