import "./stove.css";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";

import { api } from "../api/client";
import type { BenchRequest, DevicesNow } from "../api/types";
import { useStream } from "../app/stream";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";

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
  if (!bench.data) return <Loading>Setting up the bench</Loading>;
  const { scale, probe } = now ?? bench.data.now;
  return (
    <main className="page bench-page">
      <h1>Bench</h1>
      <p className="quiet">
        A scale and a probe that are only played, for trying the stove without any. A real one is
        bridged by sending the same messages; then it counts as long as it speaks.
      </p>
      {drive.error && <ProblemNote error={drive.error} />}
      <div className="bench-devices">
        <section aria-label="Scale">
          <h2>Scale{bench.data.scaleBridged && ", a real one speaks"}</h2>
          <p className="bench-says">
            {scale.off ? "off" : scale.overload ? "too heavy" : `${Math.round(scale.grams)} g`}
          </p>
          <div className="stove-taps">
            {[
              ["bowl, 310 g", { put: 310 }],
              ["pot, 2510 g", { put: 2510 }],
              ["+10 g", { add: 10 }],
              ["+50 g", { add: 50 }],
              ["+200 g", { add: 200 }],
              ["−10 g", { add: -10 }],
              ["take all off", { put: 0 }],
              ["tare", { tare: true }],
              ["6 kg", { put: 6000 }],
              ["drift", { drift: 6 }],
              ["no drift", { drift: 0 }],
              ["battery empty", { scaleBattery: 0 }],
              ["battery full", { scaleBattery: 100 }],
            ].map(([say, r]) => (
              <button key={say as string} onClick={() => drive.mutate(r as Partial<BenchRequest>)}>
                {say as string}
              </button>
            ))}
          </div>
        </section>
        <section aria-label="Probe">
          <h2>Probe{bench.data.probeBridged && ", a real one speaks"}</h2>
          <p className="bench-says">{probe.off ? "off" : `${probe.celsius.toFixed(1)} °C`}</p>
          <div className="stove-taps">
            {[3, 21, 38, 60, 74, 90, 100, 175, 192].map((c) => (
              <button key={c} onClick={() => drive.mutate({ into: c })}>
                into {c} °C
              </button>
            ))}
            <button onClick={() => drive.mutate({ rise: 10 })}>10 °C a minute hotter</button>
            <button onClick={() => drive.mutate({ probeBattery: 0 })}>battery empty</button>
            <button onClick={() => drive.mutate({ probeBattery: 100 })}>battery full</button>
          </div>
        </section>
      </div>
      <section>
        <h2>Scenes</h2>
        <ul className="bench-scenes">
          {bench.data.scenes.map((s) => (
            <li key={s.name}>
              <button onClick={() => drive.mutate({ scene: s.name })}>Play</button>
              <span>{s.says}.</span>
            </li>
          ))}
        </ul>
      </section>
    </main>
  );
}
