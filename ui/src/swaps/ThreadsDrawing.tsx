import { Button } from "antd";
import { memo, useMemo, useState } from "react";

import type { Adaptation, RecipeDish, Thread } from "../api/types";
import { capital, figure, signed } from "../shared/format";
import { layThreads, mostBands, pathOf, sayPath, type Drawing, type Knot } from "./threads";
import { worded } from "../texts/worded";

const width = 1232;
const leftEdge = 236;
const rightEdge = width - 292;
const bandLeft = 500;
const bandRight = 690;
const longestLeft = 32;
const longestRight = 40;
const longestBand = 24;

const tone: Record<string, string> = {
  kept: "var(--fern)",
  wanted: "var(--quiet)",
  near: "var(--turmeric-ink)",
  short: "var(--tide)",
  over: "var(--clay)",
};

interface Props {
  original: RecipeDish;
  adaptation: Adaptation;
  /** The original line whose candidates are shown. */
  chosen: string;
  choose: (ref: string) => void;
  /** What the drawing previews, empty when it shows what is kept. */
  previewing: string;
}

/** A trait's figures in words. */
function figures(t: Thread): string {
  return worded("swaps.inTheOriginalNowSteps", {
    capital: capital(t.component ? `${t.trait} (${t.component})` : t.trait),
    figure: figure(t.original),
    figure2: figure(t.adapted),
    unit: t.unit,
    signed: signed(t.steps),
    verdict: t.verdict,
    which: t.pinned ? worded("swaps.pinned") : "",
  });
}

/** Original lines, traits and adapted lines, joined by threads; ends that do not arrive hang loose. */
export const ThreadsDrawing = memo(function ThreadsDrawing(props: Props) {
  const { original, adaptation, chosen, choose, previewing } = props;
  const [all, setAll] = useState(false);
  const d = useMemo(
    () => layThreads(original, adaptation, all ? Infinity : mostBands),
    [original, adaptation, all],
  );
  const [pointed, setPointed] = useState("");
  const shown = pointed || worded("swaps.from", { chosen });
  const path = pathOf(d, shown);
  const dim = (set: Set<string> | undefined, key: string) => path !== null && !set?.has(key);
  const point = (key: string) => ({
    tabIndex: 0,
    onPointerEnter: () => setPointed(key),
    onPointerLeave: () => setPointed(""),
    onFocus: () => setPointed(key),
    onBlur: () => setPointed(""),
  });
  const knot = (k: Knot, left: boolean) => {
    const longest = left ? longestLeft : longestRight;
    const activate = left && k.animal ? () => choose(k.from) : undefined;
    return (
      <text
        key={k.key}
        x={left ? leftEdge - 8 : rightEdge + 8}
        y={k.y + 4.5}
        textAnchor={left ? "end" : "start"}
        role={activate ? "button" : "img"}
        aria-label={sayPath(d, k.key, figures)}
        className={`knot ${k.animal ? "animal" : ""} ${path?.knots.has(k.key) ? "lit" : ""}`}
        onClick={activate}
        onKeyDown={(e) => {
          if (e.key === "Enter") activate?.();
        }}
        {...point(k.key)}
      >
        {cut(k.label, longest)}
      </text>
    );
  };
  return (
    <figure className={`threads ${previewing ? "previewing" : ""}`}>
      <svg
        viewBox={`0 0 ${width} ${d.height}`}
        role="group"
        aria-label={worded("swaps.threadsFromLinesOfTheOriginal", {
          left: d.left.length,
          bands: d.bands.length,
          loose: d.loose.length,
        })}
      >
        <Ribbons d={d} lit={path?.ribbons ?? null} />
        {d.loose.map((l) => (
          <Frayed key={l.band} y={l.y} width={l.width} dim={dim(path?.bands, l.band)} />
        ))}
        {d.left.map((k) => knot(k, true))}
        {d.bands.map((b) => (
          <g
            key={b.key}
            className={`trait ${dim(path?.bands, b.key) ? "dim" : ""}`}
            role="img"
            aria-label={sayPath(d, b.key, figures)}
            {...point(b.key)}
          >
            <rect
              x={bandLeft}
              y={b.y}
              width={bandRight - bandLeft}
              height={b.height}
              rx="3"
              fill="var(--card)"
              stroke={tone[b.thread.verdict]}
            />
            <text x={bandLeft + 8} y={b.y + b.height / 2 + 4.5} className="name">
              {b.thread.pinned ? "● " : ""}
              {cut(capital(b.label), longestBand)}
            </text>
            <text
              x={bandRight - 8}
              y={b.y + b.height / 2 + 4.5}
              textAnchor="end"
              fill={tone[b.thread.verdict]}
              className="steps"
            >
              {signed(b.thread.steps)}
            </text>
          </g>
        ))}
        {d.right.map((k) => knot(k, false))}
      </svg>
      <figcaption>
        <span className="readout" aria-live="polite">
          {previewing && <b>{previewing} </b>}
          {sayPath(d, shown, figures)}
        </span>
        {(d.hidden > 0 || all) && (
          <Button type="link" size="small" onClick={() => setAll(!all)}>
            {all
              ? worded("swaps.showTheTellingTraits")
              : worded("swaps.showMoreAllNearOrKept", { hidden: d.hidden })}
          </Button>
        )}
      </figcaption>
      <TraitTable adaptation={adaptation} />
    </figure>
  );
});

function cut(label: string, most: number): string {
  return label.length > most ? `${label.slice(0, most - 1)}…` : label;
}

function Ribbons({ d, lit }: { d: Drawing; lit: Set<string> | null }) {
  return (
    <g aria-hidden="true">
      {d.ribbons.map((r) => {
        const [x1, x2] = r.side === "from" ? [leftEdge, bandLeft] : [rightEdge, bandRight];
        const mid = (x1 + x2) / 2;
        const opacity = lit === null ? 0.42 : lit.has(r.key) ? 0.62 : 0.07;
        return (
          <path
            key={r.key}
            d={`M${x1} ${r.yLine} C${mid} ${r.yLine} ${mid} ${r.yBand} ${x2} ${r.yBand}`}
            fill="none"
            stroke={r.animal ? "var(--beet)" : "var(--fern)"}
            strokeWidth={r.width}
            opacity={opacity}
          />
        );
      })}
    </g>
  );
}

/** A loose end: a few strands that stop short. */
function Frayed({ y, width: w, dim }: { y: number; width: number; dim: boolean }) {
  const strands = Math.max(2, Math.min(6, Math.round(w / 4)));
  return (
    <g className="frayed" aria-hidden="true" opacity={dim ? 0.25 : 1}>
      {Array.from({ length: strands }, (_, i) => {
        const at = y - w / 2 + (w * (i + 0.5)) / strands;
        const length = 26 + ((i * 17) % 23);
        return (
          <path
            key={i}
            d={`M${bandRight} ${at} q${length / 2} ${(i % 2 ? -1 : 1) * 3} ${length} ${6 + (i % 3) * 4}`}
            fill="none"
            stroke="var(--tide)"
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
      <summary>{worded("swaps.figures")}</summary>
      <table>
        <caption className="hidden-visually">{worded("swaps.everyTraitOfTheOriginalAnd")}</caption>
        <thead>
          <tr>
            <th>{worded("swaps.trait")}</th>
            <th>{worded("swaps.original")}</th>
            <th>{worded("swaps.adaptation")}</th>
            <th>{worded("swaps.unit")}</th>
            <th>{worded("swaps.steps")}</th>
            <th>{worded("swaps.verdict")}</th>
          </tr>
        </thead>
        <tbody>
          {adaptation.traits.map((t) => (
            <tr key={`${t.trait} ${t.part}`}>
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
              <td>{worded("swaps.needed", { figure: figure(h.required) })}</td>
              <td>{worded("swaps.supplied", { figure: figure(h.supplied) })}</td>
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
