import { useEffect, useRef } from "react";

import type { StoveView } from "../api/types";
import { ring, shake, type Calls } from "./signal";
import { worded } from "../texts/worded";

/** Rings, shakes and flashes while something grave is said and nobody has answered. */
export function useCalling(data: StoveView, clock: number, calls: Calls): boolean {
  const { says, fire } = data.now.view;
  const due = fire.filter((f) => clock >= f.timer.ends).length;
  const grave = says.filter((n) => n.grave && n.kind !== "timer").length + due;
  const called = useRef({ grave: 0, at: 0 });
  useEffect(() => {
    const more = grave > called.current.grave;
    const again = grave > 0 && clock - called.current.at > callAgain;
    if (more || again) {
      called.current.at = clock;
      if (calls.sound) ring();
      if (calls.shake) shake();
    }
    called.current.grave = grave;
  }, [grave, clock, calls]);
  return calls.flash && grave > 0;
}

/** How often the stove calls again, in milliseconds. */
const callAgain = 15_000;

interface WatchingProps {
  data: StoveView;
  celsius: number | undefined;
  off: boolean | undefined;
}

/** The bands that the probe watches, with what it says now. */
export function Watching({ data, celsius, off }: WatchingProps) {
  const watches = Object.values(data.now.state.watches);
  if (watches.length === 0) return null;
  return (
    <ul className="stove-watches" aria-label={worded("stove.theProbeWatches")}>
      {watches.map((w) => {
        const band = data.program.bands.find((b) => b.id === w.band);
        return (
          <li key={w.band} className={w.left > 0 ? "left" : w.reached > 0 ? "in" : ""}>
            <b>
              {off
                ? worded("stove.probeOff")
                : celsius === undefined
                  ? "…"
                  : `${celsius.toFixed(0)} °C`}
            </b>
            <span>
              {band?.name}, {band?.say}
              <small>{band?.caution}</small>
            </span>
          </li>
        );
      })}
    </ul>
  );
}
