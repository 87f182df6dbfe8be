import { useRef, useState } from "react";

import type { DayView } from "../api/types";
import { between, dateOf, later, momentIn, wall } from "./clock";
import { layOut, wrap, type Bar } from "./timeline";
import { worded } from "../texts/worded";

interface Props {
  view: DayView;
  chosen: string | null;
  choose: (id: string) => void;
  /** Pins a task to a start. */
  pin: (id: string, startAt: string) => void;
  now: number;
}

const width = 1232;
const grid = 5;
const letters = "ABCDEFGHIJKL";

/** The day in lanes: hands, rings, oven, kit, and what stands by itself. */
export function Timeline({ view, chosen, choose, pin, now }: Props) {
  const [unfolded, setUnfolded] = useState(false);
  const t = layOut(view, width, unfolded);
  const [drag, setDrag] = useState<{ id: string; by: number } | null>(null);
  const from = useRef(0);
  const serve = view.document.serveAt;
  const toNow = between(momentIn(serve, now), serve);
  const minutesOf = (pixels: number) => Math.round(pixels / t.scale / grid) * grid;
  const move = (b: Bar, by: number) => by !== 0 && pin(b.id, later(b.placed.start, by));
  return (
    <div className="timeline">
      <svg
        viewBox={`0 0 ${t.width} ${t.height}`}
        role="group"
        aria-label={worded("days.timelineOfTheDayTheList")}
      >
        {t.ticks.map((k) => (
          <g key={k.label + k.x}>
            <line x1={k.x} x2={k.x} y1={18} y2={t.height} className="tick" />
            <text x={k.x} y={13} className="tick-label" textAnchor="middle">
              {k.label}
            </text>
          </g>
        ))}
        {t.lanes.map((l) => (
          <g key={l.name}>
            <rect x={0} y={l.y} width={t.width} height={l.height} className="lane" rx={4} />
            <text x={8} y={l.y + Math.min(l.height, 30) / 2 + 5} className="lane-name">
              {l.name}
            </text>
          </g>
        ))}
        {t.early.length > 0 && (
          <g
            className="early"
            role="button"
            tabIndex={0}
            aria-label={worded("days.tasksMadeAheadUnfold", { early: t.early.length })}
            onClick={() => setUnfolded(true)}
            onKeyDown={(e) => e.key === "Enter" && setUnfolded(true)}
          >
            <rect x={t.left - 146} y={20} width={140} height={t.height - 24} rx={4} />
            <text x={t.left - 138} y={38} className="early-head">
              {worded("days.madeAheadUnfold")}
            </text>
            {t.early.slice(0, 12).map((e, i) => (
              <text key={e.job.id} x={t.left - 138} y={58 + i * 17} className="early-line">
                {wall(e.placed.start)} {e.job.name.slice(0, 18)}
              </text>
            ))}
          </g>
        )}
        {t.bars.map((b) => {
          const by = drag?.id === b.id ? drag.by : 0;
          const pinned = b.id in view.document.pins;
          const progress = view.document.progress.find((p) => p.id === b.id);
          return (
            <g
              key={`${b.id} ${b.y}`}
              className={`bar ${b.thin ? "thin" : ""} ${b.job.kind} d${b.dish < 0 ? "x" : b.dish % 6} ${chosen === b.id ? "chosen" : ""} ${progress?.done ? "done" : ""}`}
              transform={`translate(${b.x + by * t.scale} ${b.y})`}
              role="button"
              tabIndex={0}
              aria-label={worded("days.to", {
                jobName: b.job.name,
                wall: wall(b.placed.start),
                wall2: wall(b.placed.end),
                which: pinned ? worded("days.pinned") : "",
              })}
              aria-pressed={chosen === b.id}
              onFocus={() => choose(b.id)}
              onClick={() => choose(b.id)}
              onPointerDown={(e) => {
                from.current = e.clientX;
                e.currentTarget.setPointerCapture(e.pointerId);
                setDrag({ id: b.id, by: 0 });
              }}
              onPointerMove={(e) => {
                if (drag?.id !== b.id) return;
                const box = e.currentTarget.ownerSVGElement?.getBoundingClientRect();
                const perPixel = box ? t.width / box.width : 1;
                setDrag({ id: b.id, by: minutesOf((e.clientX - from.current) * perPixel) });
              }}
              onPointerUp={() => {
                if (drag?.id === b.id) move(b, drag.by);
                setDrag(null);
              }}
              onPointerCancel={() => setDrag(null)}
              onKeyDown={(e) => {
                if (e.key === "ArrowLeft" || e.key === "ArrowRight") {
                  e.preventDefault();
                  move(b, e.key === "ArrowLeft" ? -grid : grid);
                }
              }}
            >
              <title>
                {b.job.name} · {wall(b.placed.start)}–{wall(b.placed.end)}
              </title>
              <rect width={b.width} height={b.height} rx={b.thin ? 2 : 4} />
              {pinned && <circle cx={5} cy={5} r={3} className="pin-mark" />}
              {!b.thin &&
                b.width > 14 &&
                barLines(b).map((line, i, all) => (
                  <text
                    key={i}
                    x={pinned ? 12 : 5}
                    y={b.height / 2 + 4.5 + (i - (all.length - 1) / 2) * 14}
                  >
                    {line}
                  </text>
                ))}
            </g>
          );
        })}
        {toNow > 0 && toNow < t.from && (
          <g className="now">
            <line
              x1={t.left + (t.from - toNow) * t.scale}
              x2={t.left + (t.from - toNow) * t.scale}
              y1={16}
              y2={t.height}
            />
            <text x={t.left + (t.from - toNow) * t.scale + 4} y={t.height - 4}>
              {worded("days.now")}
            </text>
          </g>
        )}
      </svg>
      <p className="legend small">
        {view.document.dishes.map((d, i) => (
          <span key={d.id} className={`key d${i % 6}`}>
            <b>{letters[i]}</b>{" "}
            {worded("days.for", {
              names: view.names[d.id] ?? worded("days.gone"),
              servings: d.servings,
            })}
          </span>
        ))}
        <span className="key dx">{worded("days.forSeveral")}</span>
        <span className="quiet">
          {worded("days.servedAt", { dateOf: dateOf(serve), wall: wall(serve) })}
          {unfolded && (
            <button className="as-link" onClick={() => setUnfolded(false)}>
              {worded("days.foldWhatIsMadeAhead")}
            </button>
          )}
        </span>
      </p>
    </div>
  );
}

/** What fits on a bar: the dish's letter, the oven's heat, the name. */
function barLines(b: Bar): string[] {
  const letter = b.dish < 0 ? "" : `${letters[b.dish] ?? ""} `;
  const heat = b.job.oven ? `${b.job.oven.celsius}° ` : "";
  const room = Math.floor((b.width - 8) / 6.3);
  if (room < 4) return letter === "" ? [] : [letter.trim()];
  return wrap(letter + heat + b.job.name, room, b.height > 40 ? 3 : 1);
}
