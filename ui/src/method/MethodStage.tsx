import "./method.css";

import { Button, Input } from "antd";
import { useState } from "react";

import type { RecipeStep, SwapStep } from "../api/types";
import { useOpenDish, type OpenDish } from "../dish/useDish";
import { FlowPicture } from "../flow/FlowPicture";
import { without } from "../shared/records";
import { Facts } from "./Facts";
import { SidePotField } from "./SidePotField";
import { kept } from "../texts/kept";
import { worded } from "../texts/worded";

const changes: Record<string, string> = {
  kept: "kept",
  changed: "changed",
  dropped: "dropped",
  added: "added",
};

/** Original and adapted steps side by side, joined by what became of them. */
export default function MethodStage() {
  const open = useOpenDish();
  const { original } = open.dish.document;
  const parts = open.dish.adaptation.components;
  const counts = parts
    .flatMap((c) => c.steps)
    .reduce<Record<string, number>>((n, s) => ({ ...n, [s.change]: (n[s.change] ?? 0) + 1 }), {});
  if (parts.every((c) => c.steps.length === 0)) {
    return (
      <main className="page">
        <div className="empty">
          <h2>{worded("method.noStepWasRead")}</h2>
          <p>{worded("method.theOriginalHasNoMethodAdd")}</p>
        </div>
      </main>
    );
  }
  const partId = (i: number) => original.components[i]?.id ?? String(i);
  return (
    <main className="page method">
      <p className="quiet">
        {worded("method.cuesDecideMinutesOnlyGuideYour", {
          keys: Object.keys(changes)
            .filter((c) => counts[c])
            .map((c) => `${counts[c]} ${c}`)
            .join(", "),
        })}
      </p>
      {parts.some((c) => c.steps.some((s) => s.cautions.length > 0)) && (
        <p className="small quiet">{worded("method.cautionsStandAtTheStepWhere")}</p>
      )}
      <SidePotField open={open} />
      <Flows open={open} />
      {parts.map((c, i) => (
        <section key={i} aria-label={c.name || worded("method.mainPart")}>
          {parts.length > 1 && <h2>{c.name || worded("method.mainPart")}</h2>}
          <div className="method-head" aria-hidden="true">
            <span>{worded("method.original")}</span>
            <span />
            <span>{worded("method.adaptation")}</span>
          </div>
          <ol className="method-rows">
            {c.steps.map((s, n) => (
              <Row
                key={s.key}
                open={open}
                step={s}
                from={s.from.map((k) => original.components[i]?.steps[k])}
                move={(by) => {
                  const keys = c.steps.map((x) => x.key);
                  const other = n + by;
                  if (other < 0 || other >= keys.length) return;
                  keys.splice(other, 0, ...keys.splice(n, 1));
                  open.decide(kept("method.movedAStep"), {
                    order: { ...open.dish.document.decisions.order, [partId(i)]: keys },
                  });
                }}
              />
            ))}
          </ol>
          {open.dish.document.decisions.order?.[partId(i)] && (
            <Button
              type="link"
              size="small"
              onClick={() =>
                open.decide(kept("method.gaveTheOrderBack"), {
                  order: without(open.dish.document.decisions.order ?? {}, partId(i)),
                })
              }
            >
              {worded("method.yourOrderOfStepsGiveIt")}
            </Button>
          )}
        </section>
      ))}
    </main>
  );
}

/** The flow of the original above that of the adaptation, opened when it is asked for. */
function Flows({ open }: { open: OpenDish }) {
  const { original } = open.dish.document;
  const components = open.dish.adaptation.components.map((c) => ({
    name: c.name,
    lines: c.lines,
    steps: c.steps.filter((s) => s.change !== "dropped"),
  }));
  return (
    <details className="flows">
      <summary>{worded("method.theFlowAsAPictureOriginal")}</summary>
      <h2>{worded("method.original")}</h2>
      <FlowPicture dish={original} />
      <h2>{worded("method.adaptation")}</h2>
      <FlowPicture dish={{ ...original, components }} />
    </details>
  );
}

interface RowProps {
  open: OpenDish;
  step: SwapStep;
  from: (RecipeStep | undefined)[];
  /** Moves the step up (-1) or down (1). */
  move: (by: number) => void;
}

function Row({ open, step, from, move }: RowProps) {
  const [draft, setDraft] = useState<string | null>(null);
  const wording = open.dish.document.decisions.wording ?? {};
  const keep = () => {
    if (draft !== null && draft.trim() !== "" && draft.trim() !== step.text) {
      open.decide(kept("method.wordedAStep"), {
        wording: { ...wording, [step.key]: draft.trim() },
      });
    }
    setDraft(null);
  };
  return (
    <li className={step.change}>
      <div className="was">
        {from.map((s, i) => s && <p key={i}>{s.text}</p>)}
        {from.length === 0 && <p className="quiet">–</p>}
      </div>
      <div className="join">
        <span>{changes[step.change]}</span>
      </div>
      <div className="is">
        {draft === null ? (
          <p>{step.text}</p>
        ) : (
          <Input.TextArea
            autoFocus
            rows={4}
            value={draft}
            aria-label={worded("method.yourWordingOfTheStep")}
            onChange={(e) => setDraft(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === "Escape") setDraft(null);
              if (e.key === "Enter" && (e.ctrlKey || e.metaKey)) keep();
            }}
          />
        )}
        {(step.findings ?? []).map((f, i) => (
          <p key={i} className="look" role="note">
            <b>{worded("method.toLookAt")}</b> {f.text}
          </p>
        ))}
        <Facts open={open} step={step} />
        {step.cautions.map((c) => (
          <p key={c.id} className={c.grave ? "caution grave" : "caution"} role="note">
            {c.text}
          </p>
        ))}
        {step.why !== "" && step.change !== "kept" && <p className="reason">{step.why}</p>}
        {step.change !== "dropped" && (
          <p className="acts">
            {draft === null ? (
              <>
                <Button type="link" size="small" onClick={() => setDraft(step.text)}>
                  {worded("method.wordItYourself")}
                </Button>
                <Button
                  type="text"
                  size="small"
                  aria-label={worded("method.moveTheStepUp")}
                  onClick={() => move(-1)}
                >
                  ↑
                </Button>
                <Button
                  type="text"
                  size="small"
                  aria-label={worded("method.moveTheStepDown")}
                  onClick={() => move(1)}
                >
                  ↓
                </Button>
              </>
            ) : (
              <>
                <Button type="primary" size="small" onClick={keep}>
                  {worded("method.keep")}
                </Button>
                <Button size="small" onClick={() => setDraft(null)}>
                  {worded("method.leaveIt")}
                </Button>
              </>
            )}
            {step.own && draft === null && (
              <Button
                type="link"
                size="small"
                title={step.written}
                onClick={() =>
                  open.decide(kept("method.gaveAStepsWordingBack"), {
                    wording: without(wording, step.key),
                    figures: without(open.dish.document.decisions.figures ?? {}, step.key),
                  })
                }
              >
                {worded("method.giveBackWhatWasWritten")}
              </Button>
            )}
          </p>
        )}
      </div>
    </li>
  );
}
