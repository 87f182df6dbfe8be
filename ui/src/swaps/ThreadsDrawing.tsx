import { useMemo, useState } from "react";

import type { Adaptation, RecipeDish } from "../api/types";
import { capital, figure, signed } from "../shared/format";
import { layThreads, type Drawing, type Ribbon } from "./threads";

const width = 1232;
const leftEdge = 250;
const rightEdge = width - 270;
const bandLeft = 530;
const bandRight = 700;

const tone: Record<string, string> = {
  kept: "var(--fern)",
  wanted: "var(--quiet)",
  near: "var(--turmeric-ink)",
  short: "var(--beet)",
  over: "var(--clay)",
};

interface Props {
  original: RecipeDish;
  adaptation: Adaptation;
  chosen: string;
  choose: (ref: string) => void;
}

/** Original lines, traits and adapted lines, joined by threads; ends that do not arrive hang loose. */
export function ThreadsDrawing({ original, adaptation, chosen, choose }: Props) {
  const d = useMemo(() => layThreads(original, adaptation), [original, adaptation]);
  const [lit, setLit] = useState("");
  const shown = lit || chosen;
  return (
    <figure className="threads">
      <svg
        viewBox={`0 0 ${width} ${d.height}`}
        role="img"
        aria-label={`Threads from ${d.left.length} original lines over ${d.bands.length} traits to ${d.right.length} adapted lines; ${d.loose.length} hang loose. The table below says the same.`}
      >
        {d.ribbons.map((r) => (
          <RibbonPath key={r.key} r={r} dim={isDim(d, r, shown)} />
        ))}
        {d.loose.map((l) => (
          <Frayed key={l.band} y={l.y} width={l.width} />
        ))}
        {d.left.map((k) => (
          <text
            key={k.ref}
            x={leftEdge - 8}
            y={k.y + 4}
            textAnchor="end"
            className={`knot ${k.animal ? "animal" : ""} ${shown === k.ref ? "lit" : ""}`}
            onPointerEnter={() => setLit(k.ref)}
            onPointerLeave={() => setLit("")}
            onClick={() => choose(k.ref)}
          >
            {short(k.label)}
          </text>
        ))}
        {d.bands.map((b) => (
          <g
            key={b.key}
            onPointerEnter={() => setLit(b.key)}
            onPointerLeave={() => setLit("")}
            className="trait"
          >
            <rect
              x={bandLeft}
              y={b.y}
              width={bandRight - bandLeft}
              height={b.height}
              fill="var(--card)"
              stroke={tone[b.thread.verdict]}
            />
            <text x={bandLeft + 8} y={b.y + b.height / 2 + 4} className="name">
              {b.thread.pinned ? "● " : ""}
              {capital(b.key)}
            </text>
            <text
              x={bandRight - 8}
              y={b.y + b.height / 2 + 4}
              textAnchor="end"
              fill={tone[b.thread.verdict]}
              className="steps"
            >
              {signed(b.thread.steps)}
            </text>
            <title>
              {`${capital(b.key)}: ${figure(b.thread.original)} in the original, ${figure(b.thread.adapted)} in the adaptation (${b.thread.unit}); ${signed(b.thread.steps)} steps, ${b.thread.verdict}`}
            </title>
          </g>
        ))}
        {d.right.map((k) => (
          <text
            key={k.ref}
            x={rightEdge + 8}
            y={k.y + 4}
            className={`knot ${shown === k.ref ? "lit" : ""}`}
            onPointerEnter={() => setLit(k.ref)}
            onPointerLeave={() => setLit("")}
          >
            {short(k.label)}
          </text>
        ))}
      </svg>
      <TraitTable adaptation={adaptation} />
    </figure>
  );
}

function short(label: string): string {
  return label.length > 32 ? `${label.slice(0, 31)}…` : label;
}

/** A ribbon is dimmed when something it does not touch is lit. */
function isDim(d: Drawing, r: Ribbon, lit: string): boolean {
  if (lit === "" || r.ref === lit || r.band === lit) return false;
  // The far half of a path stays lit when its trait is fed by the lit line.
  const fed = d.ribbons.some((x) => x.ref === lit && x.band === r.band && x.side !== r.side);
  return !fed;
}

function RibbonPath({ r, dim }: { r: Ribbon; dim: boolean }) {
  const [x1, x2] = r.side === "from" ? [leftEdge, bandLeft] : [rightEdge, bandRight];
  const mid = (x1 + x2) / 2;
  return (
    <path
      d={`M${x1} ${r.yLine} C${mid} ${r.yLine} ${mid} ${r.yBand} ${x2} ${r.yBand}`}
      fill="none"
      stroke={r.animal ? "var(--beet)" : "var(--fern)"}
      strokeWidth={r.width}
      opacity={dim ? 0.08 : 0.42}
    />
  );
}

/** A loose end: a few strands that stop short. */
function Frayed({ y, width: w }: { y: number; width: number }) {
  const strands = Math.max(2, Math.min(6, Math.round(w / 4)));
  return (
    <g className="frayed" aria-hidden="true">
      {Array.from({ length: strands }, (_, i) => {
        const at = y - w / 2 + (w * (i + 0.5)) / strands;
        const length = 26 + ((i * 17) % 23);
        return (
          <path
            key={i}
            d={`M${bandRight} ${at} q${length / 2} ${(i % 2 ? -1 : 1) * 3} ${length} ${6 + (i % 3) * 4}`}
            fill="none"
            stroke="var(--beet)"
            strokeWidth="1.6"
          />
        );
      })}
    </g>
  );
}

/** The same as the drawing, for reading and for screen readers. */
function TraitTable({ adaptation }: { adaptation: Adaptation }) {
  return (
    <details className="trait-table">
      <summary>Figures</summary>
      <table>
        <thead>
          <tr>
            <th>Trait</th>
            <th>Original</th>
            <th>Adaptation</th>
            <th>Unit</th>
            <th>Steps</th>
            <th>Verdict</th>
          </tr>
        </thead>
        <tbody>
          {adaptation.traits.map((t) => (
            <tr key={t.trait + t.component}>
              <td>{capital(t.component ? `${t.trait} (${t.component})` : t.trait)}</td>
              <td>{figure(t.original)}</td>
              <td>{figure(t.adapted)}</td>
              <td>{t.unit}</td>
              <td>{signed(t.steps)}</td>
              <td>{t.verdict}</td>
            </tr>
          ))}
          {adaptation.structure.map((h) => (
            <tr key={h.component + h.need}>
              <td>
                {capital(h.need)} {h.component && `(${h.component})`}
              </td>
              <td>{figure(h.required)} needed</td>
              <td>{figure(h.supplied)} supplied</td>
              <td>{h.unit}</td>
              <td />
              <td>{h.verdict}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
