import "./stove.css";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";

import { api } from "../api/client";
import type { BenchRequest, DevicesNow } from "../api/types";
import { useStream } from "../app/stream";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { worded } from "../texts/worded";

/** The simulated scale and probe, driven by hand or by a scene. */
export default function BenchPage() {
  const queries = useQueryClient();
  const bench = useQuery({ queryKey: ["bench"], queryFn: api.bench });
  const [now, setNow] = useState<DevicesNow | null>(null);
  useStream({ devices: setNow });
  const drive = useMutation({
    mutationFn: (r: Partial<BenchRequest>) => api.driveBench(r),
    onSuccess: (b) => queries.setQueryData(["bench"], b),
  });
  if (bench.error) {
    return (
      <main className="page">
        <ProblemNote error={bench.error} retry={() => void bench.refetch()} />
      </main>
    );
  }
  if (!bench.data) return <Loading>{worded("stove.settingUpTheBench")}</Loading>;
  const { scale, probe } = now ?? bench.data.now;
  return (
    <main className="page bench-page">
      <h1>{worded("stove.bench")}</h1>
      <p className="quiet">{worded("stove.aScaleAndAProbeThat")}</p>
      {drive.error && <ProblemNote error={drive.error} />}
      <div className="bench-devices">
        <section aria-label={worded("stove.scale")}>
          <h2>
            {worded("stove.scale")}
            {bench.data.scaleBridged && worded("stove.aRealOneSpeaks")}
          </h2>
          <p className="bench-says">
            {scale.off
              ? worded("stove.off")
              : scale.overload
                ? worded("stove.tooHeavy")
                : `${Math.round(scale.grams)} g`}
          </p>
          <div className="stove-taps">
            {[
              [worded("stove.bowl310G"), { put: 310 }],
              [worded("stove.pot2510G"), { put: 2510 }],
              ["+10 g", { add: 10 }],
              ["+50 g", { add: 50 }],
              ["+200 g", { add: 200 }],
              ["−10 g", { add: -10 }],
              [worded("stove.takeAllOff"), { put: 0 }],
              ["tare", { tare: true }],
              [worded("stove.n6Kg"), { put: 6000 }],
              ["drift", { drift: 6 }],
              [worded("stove.noDrift"), { drift: 0 }],
              [worded("stove.batteryEmpty"), { scaleBattery: 0 }],
              [worded("stove.batteryFull"), { scaleBattery: 100 }],
            ].map(([say, r]) => (
              <button key={say as string} onClick={() => drive.mutate(r as Partial<BenchRequest>)}>
                {say as string}
              </button>
            ))}
          </div>
        </section>
        <section aria-label={worded("stove.probe")}>
          <h2>
            {worded("stove.probe")}
            {bench.data.probeBridged && worded("stove.aRealOneSpeaks")}
          </h2>
          <p className="bench-says">
            {probe.off ? worded("stove.off") : `${probe.celsius.toFixed(1)} °C`}
          </p>
          <div className="stove-taps">
            {[3, 21, 38, 60, 74, 90, 100, 175, 192].map((c) => (
              <button key={c} onClick={() => drive.mutate({ into: c })}>
                {worded("stove.intoC", { c })}
              </button>
            ))}
            <button onClick={() => drive.mutate({ rise: 10 })}>
              {worded("stove.n10CAMinuteHotter")}
            </button>
            <button onClick={() => drive.mutate({ probeBattery: 0 })}>
              {worded("stove.batteryEmpty")}
            </button>
            <button onClick={() => drive.mutate({ probeBattery: 100 })}>
              {worded("stove.batteryFull")}
            </button>
          </div>
        </section>
      </div>
      <section>
        <h2>{worded("stove.scenes")}</h2>
        <ul className="bench-scenes">
          {bench.data.scenes.map((s) => (
            <li key={s.name}>
              <button onClick={() => drive.mutate({ scene: s.name })}>
                {worded("stove.play")}
              </button>
              <span>{s.says}.</span>
            </li>
          ))}
        </ul>
      </section>
    </main>
  );
}
