import type { RecipeLine, RecipeStep } from "../api/types";
import { minutes } from "../shared/format";

/** What was understood of a step: techniques, time, heat, cue, lines used. */
export function StepFacts({ step, lines }: { step: RecipeStep; lines: RecipeLine[] }) {
  return (
    <div className="facts">
      {step.techniques.slice(0, 4).map((t) => (
        <span key={t} className="chip">
          {t}
        </span>
      ))}
      {step.minutes && <span className="chip">{minutes(step.minutes)}</span>}
      {step.celsius !== null && <span className="chip">{step.celsius} °C</span>}
      {step.cue && <span className="chip">{step.cue}</span>}
      {step.animals.map((a) => (
        <span key={a.name} className="chip animal">
          {a.name}
        </span>
      ))}
      {step.lines.length > 0 && (
        <span className="small quiet">
          uses {step.lines.map((n) => lines[n]?.name ?? "").join(", ")}
        </span>
      )}
    </div>
  );
}
