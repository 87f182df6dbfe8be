import "./stove.css";

import { useEffect, useState } from "react";
import { Link, useParams } from "react-router";

import type { LaneView, StoveView } from "../api/types";
import { isTyping } from "../app/keys";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { useCalling, Watching } from "./calling";
import { DifferentSheet } from "./Different";
import { EndPage } from "./EndPage";
import { Now } from "./Now";
import { Says } from "./Says";
import { BoardSheet, KeysSheet, SoFarSheet, TimerSheet, WeighSheet } from "./sheets";
import { Weighing } from "./Weighing";
import { Fire, Next } from "./Side";
import { keepCalls, readCalls } from "./signal";
import { useAwake, useClock, useStove } from "./useStove";
import { clockOf } from "./words";
import { worded } from "../texts/worded";

/** A cook-through: what to do now, what is on the fire, what is still to come. */
export default function StovePage() {
  const { id = "" } = useParams();
  const stove = useStove(id);
  useAwake();
  if (stove.view.error && !stove.view.data) {
    return (
      <main className="stove">
        <ProblemNote error={stove.view.error} retry={() => void stove.view.refetch()} />
        <p>
          <Link to="/days">{worded("stove.toTheDays")}</Link>
        </p>
      </main>
    );
  }
  if (!stove.view.data) return <Loading>{worded("stove.lightingTheStove")}</Loading>;
  if (stove.view.data.now.state.ended > 0) {
    return <EndPage id={id} view={stove.view.data} tell={stove.tell} />;
  }
  return <Cooking id={id} data={stove.view.data} stove={stove} />;
}

type Open = "different" | "weigh" | "board" | "sofar" | "keys" | { timer: number } | null;

interface CookingProps {
  id: string;
  data: StoveView;
  stove: ReturnType<typeof useStove>;
}

function Cooking({ id, data, stove }: CookingProps) {
  const { program, now } = data;
  const { state, view } = now;
  const { tell, screen } = stove;
  const clock = useClock(view.clock);
  const [open, setOpen] = useState<Open>(null);
  const [calls, setCalls] = useState(readCalls);
  const lane = laneOf(data, screen);
  const step = lane.now;
  const flash = useCalling(data, clock, calls);

  const startTimer = () => {
    if (step && !step.move.hands) {
      tell({ kind: "timer", move: step.move.id, amount: Math.max(1, step.move.minutes) });
    } else if (view.fire[0]) setOpen({ timer: view.fire[0].timer.n });
  };
  const done = () => step && tell({ kind: "done", move: step.move.id });
  const back = () => now.last > 0 && tell({ kind: "undo", of: now.last });
  const primary = step && !step.move.hands ? startTimer : done;
  const all = view.done === view.of;
  const unused = view.says.some((n) => n.kind === "unused");
  const end = () => !unused && tell({ kind: "end" });

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (open !== null || isTyping(e) || e.ctrlKey || e.metaKey || e.altKey) return;
      const onButton =
        e.target instanceof HTMLButtonElement || e.target instanceof HTMLAnchorElement;
      const take = step?.takes[Number(e.key) - 1];
      const does: Record<string, (() => unknown) | undefined> = {
        Enter: onButton ? undefined : all ? end : primary,
        Backspace: back,
        t: startTimer,
        w: () => setOpen("weigh"),
        d: () => step && setOpen("different"),
        b: () => setOpen("board"),
        s: () => setOpen("sofar"),
        "?": () => setOpen("keys"),
      };
      const action = take
        ? () =>
            tell(
              take.held
                ? { kind: "in", line: take.line }
                : { kind: "held", move: step?.move.id, line: take.line },
            )
        : does[e.key];
      if (!action) return;
      e.preventDefault();
      action();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });

  const timerOpen =
    open !== null && typeof open === "object"
      ? view.fire.find((f) => f.timer.n === open.timer)
      : undefined;
  const close = () => setOpen(null);
  return (
    <main className={flash ? "stove flash" : "stove"}>
      <header className="stove-head">
        <Link to={program.day ? `/days/${program.day}` : "/days"} className="stove-leave">
          {worded("stove.leave")}
        </Link>
        <b className="stove-title">{program.name}</b>
        <span className="stove-count">{worded("stove.of", { done: view.done, of: view.of })}</span>
        <span className="stove-clock">
          {clockOf(clock)}
          {program.serveAt > 0 && worded("stove.served", { clockOf: clockOf(program.serveAt) })}
        </span>
        {program.cooks > 1 && (
          <span className="stove-lanes" role="group" aria-label={worded("stove.whoseWorkIsShown")}>
            {view.lanes.map((l) => (
              <button
                key={l.cook}
                aria-pressed={(state.lanes[screen] ?? 0) === l.cook}
                onClick={() => tell({ kind: "lane", amount: l.cook })}
              >
                {l.cook === 0 ? worded("stove.all") : worded("stove.cook", { cook: l.cook })}
              </button>
            ))}
          </span>
        )}
        <button
          className="stove-keys"
          onClick={() => setOpen("keys")}
          aria-label={worded("stove.keysAndCalls")}
        >
          ?
        </button>
      </header>
      {stove.offline && (
        <p className="stove-offline" role="status">
          {worded("stove.theLineIsGoneHereAnd", {
            which:
              stove.left === 1
                ? worded("stove.oneTapWaits")
                : worded("stove.tapsWait", { left: stove.left }),
          })}
        </p>
      )}
      {stove.refused !== null && <ProblemNote error={stove.refused} />}
      <div className="stove-middle">
        <div className="stove-main">
          <Says says={view.says} tell={tell} />
          {state.weighing ? (
            <Weighing
              cook={id}
              now={now}
              devices={stove.devices}
              program={program}
              tell={tell}
              sound={calls.sound}
            />
          ) : step ? (
            <Now
              step={step}
              now={clock}
              state={state}
              tell={tell}
              weigh={(line) => tell({ kind: "weigh", line })}
            />
          ) : (
            <section className="stove-now" aria-label={worded("stove.toDoNow")}>
              <h1>{all ? worded("stove.allIsDone") : worded("stove.nothingForYourHands")}</h1>
              {!all && lane.wait && (
                <p className="stove-cue">{worded("stove.waitingFor", { wait: lane.wait })}</p>
              )}
            </section>
          )}
          <Watching
            data={data}
            celsius={stove.devices?.probe.celsius}
            off={stove.devices?.probe.off}
          />
        </div>
        <aside className="stove-side">
          <Fire fire={view.fire} now={clock} open={(timer) => setOpen({ timer })} />
          <Next lane={lane} />
        </aside>
      </div>
      <nav className="stove-buttons" aria-label={worded("stove.whatYouCanDo")}>
        {all ? (
          <button className="first" disabled={unused} onClick={end}>
            {worded("stove.end")}
          </button>
        ) : (
          <button className="first" onClick={() => primary()} disabled={!step}>
            {step && !step.move.hands
              ? worded("stove.startMin", { value: Math.max(1, Math.round(step.move.minutes)) })
              : worded("stove.done")}
          </button>
        )}
        <button onClick={back} disabled={now.last === 0}>
          {worded("stove.back")}
        </button>
        <button
          onClick={startTimer}
          disabled={(!step || step.move.hands) && view.fire.length === 0}
        >
          {worded("stove.timer")}
        </button>
        <button onClick={() => setOpen("weigh")}>{worded("stove.weigh")}</button>
        <button onClick={() => setOpen("board")}>
          {worded("stove.board")}
          <small>{worded("stove.notInYet", { board: view.board.length })}</small>
        </button>
        <button onClick={() => setOpen("different")} disabled={!step}>
          {worded("stove.different")}
          {state.different.length > 0 && (
            <small>{worded("stove.soFar", { different: state.different.length })}</small>
          )}
        </button>
      </nav>
      {open === "different" && step && (
        <DifferentSheet id={id} step={step} tell={tell} close={close} />
      )}
      {open === "weigh" && (
        <WeighSheet step={step} bands={program.bands} state={state} tell={tell} close={close} />
      )}
      {open === "board" && <BoardSheet view={view} program={program} tell={tell} close={close} />}
      {open === "sofar" && <SoFarSheet state={state} tell={tell} close={close} />}
      {open === "keys" && (
        <KeysSheet
          calls={calls}
          setCalls={(c) => {
            setCalls(c);
            keepCalls(c);
          }}
          close={close}
          stop={() => tell({ kind: "end" })}
        />
      )}
      {timerOpen && <TimerSheet on={timerOpen} now={clock} tell={tell} close={close} />}
    </main>
  );
}

const nothing: LaneView = { cook: 0, now: null, wait: "", next: [] };

/** The work of the cook that this screen stands for. */
function laneOf(data: StoveView, screen: string): LaneView {
  const cook = data.now.state.lanes[screen] ?? 0;
  return data.now.view.lanes.find((l) => l.cook === cook) ?? data.now.view.lanes[0] ?? nothing;
}
