import type { RecipeStep } from "../api/types";

/** What of a step is animal matter, listed or not. */
export function StepFacts({ step }: { step: RecipeStep }) {
  if (step.animals.length === 0) return null;
  return (
    <div className="facts">
      {step.animals.map((a) => (
        <span key={a.name} className="chip animal">
          {a.name}
        </span>
      ))}
    </div>
  );
}
