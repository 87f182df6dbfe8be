import { useEffect } from "react";

import type { DevicesNow, Program, StoveNow } from "../api/types";
import type { Told } from "./queue";
import { ring } from "./signal";

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
