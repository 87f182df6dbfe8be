import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";

import { api } from "../api/client";
import type {
  BandView,
  DevicesNow,
  OnFire,
  Program,
  StoveNow,
  StoveStep,
  Tap,
  View,
} from "../api/types";
import { KeyList } from "../shared/KeyList";
import { Sheet } from "../shared/Sheet";
import type { Told } from "./queue";
import { ring, type Calls } from "./signal";
import { countdown } from "./words";

interface SheetProps {
  tell: (e: Told) => void;
  close: () => void;
}

/** What is likely to be different here: one tap each, never a form. */
export function DifferentSheet({
  id,
  step,
  tell,
  close,
}: SheetProps & { id: string; step: StoveStep }) {
  const taps = useQuery({
    queryKey: ["taps", id, step.move.id],
    queryFn: () => api.taps(id, step.move.id),
    staleTime: 0,
  });
  const [search, setSearch] = useState<Tap | null>(null);
  const [own, setOwn] = useState(false);
  const answer = (e: Told) => {
    tell(e);
    close();
  };
  if (search) return <OtherFood tap={search} answer={answer} close={close} />;
  if (own) return <OwnWords move={step.move.id} answer={answer} close={close} />;
  const lines = [...new Set((taps.data ?? []).map((t) => t.line))];
  return (
    <Sheet title="What is different?" close={close} wide>
      <div className="stove-sheet">
        {lines.map((line) => (
          <div key={line} className="stove-taps" role="group" aria-label={nameOf(step, line)}>
            {(taps.data ?? [])
              .filter((t) => t.line === line)
              .map((t) => (
                <button
                  key={t.say}
                  onClick={() =>
                    t.search
                      ? setSearch(t)
                      : answer({
                          kind: t.kind,
                          move: t.move,
                          line: t.line || undefined,
                          amount: t.amount || undefined,
                          of: t.of || undefined,
                        })
                  }
                >
                  {t.say}
                </button>
              ))}
          </div>
        ))}
        <div className="stove-taps">
          <button onClick={() => setOwn(true)}>in my own words</button>
        </div>
      </div>
    </Sheet>
  );
}

function nameOf(step: StoveStep, line: string): string {
  return step.takes.find((t) => t.line === line)?.name ?? step.move.name;
}

function OtherFood({
  tap,
  answer,
  close,
}: {
  tap: Tap;
  answer: (e: Told) => void;
  close: () => void;
}) {
  const [text, setText] = useState("");
  const foods = useQuery({
    queryKey: ["foods", text],
    queryFn: () => api.foods(text),
    enabled: text.trim() !== "",
  });
  const say = (food: string, name: string) =>
    answer({ kind: "food", move: tap.move, line: tap.line, food, text: name });
  return (
    <Sheet title={`What instead, ${tap.say}?`} close={close} wide>
      <div className="stove-sheet">
        <input
          className="stove-field"
          value={text}
          onChange={(e) => setText(e.target.value)}
          placeholder="Search the larder"
          aria-label="Search the larder"
          autoFocus
        />
        <div className="stove-taps">
          {foods.data?.slice(0, 8).map((f) => (
            <button key={f.id} onClick={() => say(f.id, f.name)}>
              {f.name}
            </button>
          ))}
          {text.trim() !== "" && foods.data?.length === 0 && (
            <button onClick={() => say("", text.trim())}>“{text.trim()}”, not in the larder</button>
          )}
        </div>
      </div>
    </Sheet>
  );
}

function OwnWords({
  move,
  answer,
  close,
}: {
  move: string;
  answer: (e: Told) => void;
  close: () => void;
}) {
  const [text, setText] = useState("");
  return (
    <Sheet title="In your own words" close={close} wide>
      <form
        className="stove-sheet"
        onSubmit={(e) => {
          e.preventDefault();
          if (text.trim()) answer({ kind: "word", move, text: text.trim() });
        }}
      >
        <textarea
          className="stove-field"
          rows={3}
          maxLength={500}
          value={text}
          onChange={(e) => setText(e.target.value)}
          aria-label="What was different"
          autoFocus
        />
        <div className="stove-taps">
          <button type="submit">Keep</button>
        </div>
      </form>
    </Sheet>
  );
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
}: SheetProps & { step: StoveStep | null; bands: BandView[]; state: StoveNow["state"] }) {
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

interface WeighingProps {
  now: StoveNow;
  devices: DevicesNow | null;
  program: Program;
  tell: (e: Told) => void;
  /** Whether a tone says that it is right. */
  sound: boolean;
}

/** A weighing under way: what is still to come, as large as it gets. */
export function Weighing({ now, devices, program, tell, sound }: WeighingProps) {
  const w = now.state.weighing;
  const asked = w?.asked ?? 0;
  const name = w?.line
    ? program.lines.find((l) => l.id === w.line)?.name
    : program.moves.find((m) => m.id === w?.move)?.name;
  const scale = devices?.scale;
  const grams = scale ? scale.grams - (w?.zero ?? 0) : (now.weight?.grams ?? 0);
  const short = asked - grams;
  const right = asked > 0 && Math.abs(short) <= Math.max(1, 0.03 * asked);
  let say = asked > 0 ? `${Math.round(Math.max(0, short))} g more` : `${Math.round(grams)} g`;
  if (right) say = "That is it";
  else if (asked > 0 && short < 0) say = `${Math.round(-short)} g too much`;
  useEffect(() => {
    if (right && sound) ring();
  }, [right, sound]);
  if (!w) return null;
  if (scale?.off) say = "The scale is off";
  if (scale?.overload) say = "Too heavy for the scale";
  return (
    <section className={right ? "stove-weighing right" : "stove-weighing"} aria-label="Weighing">
      <p className="stove-what">
        {w.when ? `${name}, ${w.when}` : name}
        {w.asked > 0 && ` · ${Math.round(w.asked * 10) / 10} g asked`}
      </p>
      <p className="stove-big" aria-live="polite">
        {say}
      </p>
      <p className="stove-what">
        {Math.round(grams)} g on the scale
        {scale && scale.battery < 15 && !scale.off && ` · battery ${Math.round(scale.battery)} %`}
        {" · ends by itself when it is steady"}
      </p>
      <div className="stove-taps">
        <button
          className="first"
          disabled={scale?.off || scale?.overload || grams < 0}
          onClick={() => tell({ kind: "weighed", amount: Math.max(0, Math.round(grams)) })}
        >
          Take {Math.round(Math.max(0, grams))} g
        </button>
        <button onClick={() => tell({ kind: "unweigh" })}>Stop weighing</button>
      </div>
    </section>
  );
}
