import { useEffect } from "react";

import type { DevicesNow, Program, StoveNow } from "../api/types";
import { capital } from "../shared/format";
import type { Told } from "./queue";
import { ring } from "./signal";

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
  let say = capital(stands?.say ?? "waiting for the scale");
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
          onClick={() => tell({ kind: "weighed", of: w.n, amount: Math.max(0, Math.round(grams)) })}
        >
          Take {Math.round(Math.max(0, grams))} g
        </button>
        <button onClick={() => tell({ kind: "unweigh" })}>Stop weighing</button>
      </div>
    </section>
  );
}
