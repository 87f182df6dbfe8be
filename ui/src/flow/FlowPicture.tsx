import "./flow.css";

import { useMemo, useRef, useState } from "react";

import type { RecipeDish } from "../api/types";
import { layout } from "./layout";
import { worded } from "../texts/worded";

/** The flow of a dish as a picture: lines come in at the left, actions are knots, what waits is
 * thin, what hands do is thick, the plate at the right. Arrow keys walk from knot to knot. */
export function FlowPicture({ dish }: { dish: RecipeDish }) {
  const picture = useMemo(() => layout(dish), [dish]);
  const [at, setAt] = useState<number | null>(null);
  const drawing = useRef<SVGSVGElement>(null);
  if (picture.knots.length === 0) return null;
  const shown = at === null ? null : picture.knots[at];
  const walk = (by: number) => {
    const next = Math.max(0, Math.min(picture.knots.length - 1, (at ?? -1) + by));
    setAt(next);
    drawing.current?.querySelector<SVGGElement>(`[data-knot="${next}"]`)?.focus();
  };
  return (
    <figure className="flow" aria-label={worded("flow.theFlowOfTheMethod")}>
      <div className="flow-scroll">
        <svg
          ref={drawing}
          width={picture.width}
          height={picture.height}
          viewBox={`0 0 ${picture.width} ${picture.height}`}
          role="group"
          aria-label={worded("flow.linesActions", {
            lines: picture.lines.length,
            knots: picture.knots.length,
          })}
          onKeyDown={(e) => {
            const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[e.key];
            if (by === undefined) return;
            e.preventDefault();
            walk(by);
          }}
        >
          {picture.strands.map((s) => (
            <path key={s.key} d={s.path} className={s.thick ? "strand hands" : "strand waits"} />
          ))}
          {picture.lines.map((l) => (
            <g key={l.ref} className={l.animal ? "line-end animal" : "line-end"}>
              <text x={l.x - 10} y={l.y} textAnchor="end" dominantBaseline="middle">
                {clipped(l.name)}
              </text>
              {l.animal ? (
                <rect x={l.x - 5} y={l.y - 4} width="8" height="8" />
              ) : (
                <circle cx={l.x - 1} cy={l.y} r="4" />
              )}
            </g>
          ))}
          {picture.knots.map((k, i) => (
            <g
              key={k.id}
              data-knot={i}
              role="img"
              tabIndex={i === (at ?? 0) ? 0 : -1}
              aria-label={`${k.order}. ${k.said}`}
              className={at === i ? "knot chosen" : "knot"}
              onFocus={() => setAt(i)}
              onPointerEnter={() => setAt(i)}
            >
              <circle cx={k.x} cy={k.y} r="12" className="reach" />
              <circle
                cx={k.x}
                cy={k.y}
                r={k.alone ? 5 : 6.5}
                className={k.alone ? "alone" : "hand"}
              />
              {picture.labelled && (
                <text
                  x={k.x}
                  y={k.below ? k.y + 18 : k.y - 11}
                  textAnchor="middle"
                  className="verb-label"
                >
                  {k.label.split(" ")[0]}
                </text>
              )}
            </g>
          ))}
          <g className="plate" aria-hidden="true">
            <circle cx={picture.plate.x} cy={picture.plate.y} r="16" />
            <circle cx={picture.plate.x} cy={picture.plate.y} r="10" />
          </g>
        </svg>
      </div>
      <figcaption aria-live="polite">
        {shown ? `${shown.order}. ${shown.said}` : worded("flow.linesComeInAtTheLeft")}
      </figcaption>
    </figure>
  );
}

/** A name short enough to stand before its line. */
function clipped(name: string): string {
  return name.length > 22 ? `${name.slice(0, 21)}…` : name;
}
