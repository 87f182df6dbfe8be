import { useEffect } from "react";

import type { DevicesNow, Program, StoveNow } from "../api/types";
import { capital } from "../shared/format";
import type { Told } from "./queue";
import { ring } from "./signal";
import { worded } from "../texts/worded";

interface WeighingProps {
  cook: string;
  now: StoveNow;
  devices: DevicesNow | null;
  program: Program;
  tell: (e: Told) => void;
  /** Whether a tone says that it is right. */
  sound: boolean;
}

/** A weighing under way: what is still to come, as large as it gets. */
export function Weighing({ cook, now, devices, program, tell, sound }: WeighingProps) {
  const w = now.state.weighing;
  const name = w?.line
    ? program.lines.find((l) => l.id === w.line)?.name
    : program.moves.find((m) => m.id === w?.move)?.name;
  const scale = devices?.scale;
  const stands = devices?.weighing[cook] ?? now.weight;
  const grams = stands?.grams ?? 0;
  const right = stands?.right ?? false;
  let say = capital(stands?.say ?? worded("stove.waitingForTheScale"));
  useEffect(() => {
    if (right && sound) ring();
  }, [right, sound]);
  if (!w) return null;
  if (scale?.off) say = worded("stove.theScaleIsOff");
  if (scale?.overload) say = worded("stove.tooHeavyForTheScale");
  return (
    <section
      className={right ? "stove-weighing right" : "stove-weighing"}
      aria-label={worded("stove.weighing")}
    >
      <p className="stove-what">
        {w.when ? `${name}, ${w.when}` : name}
        {w.asked > 0 && worded("stove.gAsked", { asked: Math.round(w.asked * 10) / 10 })}
      </p>
      <p className="stove-big" aria-live="polite">
        {say}
      </p>
      <p className="stove-what">
        {worded("stove.gOnTheScale", { grams: Math.round(grams) })}
        {scale &&
          scale.battery < 15 &&
          !scale.off &&
          worded("stove.battery", { battery: Math.round(scale.battery) })}
        {worded("stove.endsByItselfWhenItIs")}
      </p>
      <div className="stove-taps">
        <button
          className="first"
          disabled={scale?.off || scale?.overload || grams < 0}
          onClick={() => tell({ kind: "weighed", of: w.n, amount: Math.max(0, Math.round(grams)) })}
        >
          {worded("stove.takeG", { value: Math.round(Math.max(0, grams)) })}
        </button>
        <button onClick={() => tell({ kind: "unweigh" })}>{worded("stove.stopWeighing")}</button>
      </div>
    </section>
  );
}
