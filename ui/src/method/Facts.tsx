import { Button, Input, InputNumber } from "antd";
import { useState } from "react";

import type { SwapStep } from "../api/types";
import type { OpenDish } from "../dish/useDish";
import { minutes } from "../shared/format";
import { kept } from "../texts/kept";
import { worded } from "../texts/worded";

/** The time, heat and cue of a step as figures, which the cook can change. */
export function Facts({ open, step }: { open: OpenDish; step: SwapStep }) {
  const [changing, setChanging] = useState(false);
  if (changing) return <Change open={open} step={step} done={() => setChanging(false)} />;
  const kit = step.kit.filter((k) => k !== "oven" || step.heat !== "oven");
  return (
    <p className="facts">
      {step.minutes && <span>{minutes(step.minutes)}</span>}
      {step.celsius !== null && <span>{step.celsius} °C</span>}
      {step.heat !== "" && step.heat !== "oven" && (
        <span>{worded("method.heat", { heat: step.heat })}</span>
      )}
      {step.heat === "oven" && step.celsius === null && <span>{worded("method.oven")}</span>}
      {kit.length > 0 && <span>{kit.join(", ")}</span>}
      {step.cue !== "" && (
        <span className="cue" title={worded("method.theCueDecidesMinutesOnlyGuide")}>
          {step.cue}
        </span>
      )}
      {step.own && <span className="own">{worded("method.yourWording")}</span>}
      {step.change !== "dropped" && (
        <Button type="link" size="small" onClick={() => setChanging(true)}>
          {worded("method.changeFigures")}
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
    open.decide(kept("method.setAStepsFigures"), {
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
        aria-label={worded("method.minutesAtLeast")}
        onChange={setLow}
      />
      –
      <InputNumber
        min={0}
        max={10000}
        value={high}
        aria-label={worded("method.minutesAtMost")}
        onChange={setHigh}
      />{" "}
      {worded("method.min")}
      <InputNumber
        min={0}
        max={350}
        value={celsius}
        aria-label={worded("method.heatInCelsius")}
        onChange={setCelsius}
      />{" "}
      °C
      <Input
        value={cue}
        aria-label={worded("method.cue")}
        onChange={(e) => setCue(e.target.value)}
        onPressEnter={keep}
      />
      <Button type="primary" size="small" onClick={keep}>
        {worded("method.keepFigures")}
      </Button>
      <Button size="small" onClick={done}>
        {worded("method.leaveThem")}
      </Button>
    </div>
  );
}
