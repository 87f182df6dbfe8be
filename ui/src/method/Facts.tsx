import { Button, Input, InputNumber } from "antd";
import { useState } from "react";

import type { SwapStep } from "../api/types";
import type { OpenDish } from "../dish/useDish";
import { minutes } from "../shared/format";

/** The time, heat and cue of a step as figures, which the cook can change. */
export function Facts({ open, step }: { open: OpenDish; step: SwapStep }) {
  const [changing, setChanging] = useState(false);
  if (changing) return <Change open={open} step={step} done={() => setChanging(false)} />;
  const kit = step.kit.filter((k) => k !== "oven" || step.heat !== "oven");
  return (
    <p className="facts">
      {step.minutes && <span>{minutes(step.minutes)}</span>}
      {step.celsius !== null && <span>{step.celsius} °C</span>}
      {step.heat !== "" && step.heat !== "oven" && <span>{step.heat} heat</span>}
      {step.heat === "oven" && step.celsius === null && <span>oven</span>}
      {kit.length > 0 && <span>{kit.join(", ")}</span>}
      {step.cue !== "" && (
        <span className="cue" title="The cue decides; minutes only guide.">
          {step.cue}
        </span>
      )}
      {step.own && <span className="own">your wording</span>}
      {step.change !== "dropped" && (
        <Button type="link" size="small" onClick={() => setChanging(true)}>
          Change figures
        </Button>
      )}
    </p>
  );
}

function Change({ open, step, done }: { open: OpenDish; step: SwapStep; done: () => void }) {
  const [low, setLow] = useState<number | null>(step.minutes?.low ?? null);
  const [high, setHigh] = useState<number | null>(step.minutes?.high ?? null);
  const [celsius, setCelsius] = useState<number | null>(step.celsius);
  const [cue, setCue] = useState(step.cue);
  const keep = () => {
    const figures = open.dish.document.decisions.figures ?? {};
    const from = low ?? high;
    const to = high ?? low;
    const time =
      from !== null && to !== null && (from !== step.minutes?.low || to !== step.minutes?.high);
    open.decide("set a step's figures", {
      figures: {
        ...figures,
        [step.key]: {
          ...figures[step.key],
          ...(time ? { minutes: { low: Math.min(from, to), high: Math.max(from, to) } } : {}),
          ...(celsius !== null && celsius !== step.celsius ? { celsius } : {}),
          ...(cue.trim() !== "" && cue.trim() !== step.cue ? { cue: cue.trim() } : {}),
        },
      },
    });
    done();
  };
  return (
    <div className="facts changing">
      <InputNumber
        min={0}
        max={10000}
        value={low}
        aria-label="Minutes at least"
        onChange={setLow}
      />
      –
      <InputNumber
        min={0}
        max={10000}
        value={high}
        aria-label="Minutes at most"
        onChange={setHigh}
      />{" "}
      min
      <InputNumber
        min={0}
        max={350}
        value={celsius}
        aria-label="Heat in Celsius"
        onChange={setCelsius}
      />{" "}
      °C
      <Input
        value={cue}
        aria-label="Cue"
        onChange={(e) => setCue(e.target.value)}
        onPressEnter={keep}
      />
      <Button type="primary" size="small" onClick={keep}>
        Keep figures
      </Button>
      <Button size="small" onClick={done}>
        Leave them
      </Button>
    </div>
  );
}
