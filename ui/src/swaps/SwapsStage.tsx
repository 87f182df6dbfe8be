import "./swaps.css";

import { useQuery } from "@tanstack/react-query";
import { Button } from "antd";
import { useEffect, useState } from "react";

import { api } from "../api/client";
import type { Candidate, Decisions, DishView, Slot } from "../api/types";
import { isTyping } from "../app/keys";
import { idOf, lineAt } from "../dish/lines";
import { useOpenDish } from "../dish/useDish";
import { Candidates } from "./Candidates";
import { ProposePanel } from "./ProposePanel";
import { ThreadsDrawing } from "./ThreadsDrawing";
import { Tray } from "./Tray";
import { kept } from "../texts/kept";
import { worded } from "../texts/worded";

/** How long a pointer rests on a candidate before the threads preview it. */
const restMs = 120;

/** Threads above, the chosen line's candidates below. */
export default function SwapsStage() {
  const open = useOpenDish();
  const { dish } = open;
  const [picked, setPicked] = useState("");
  const [proposing, setProposing] = useState(false);
  const slots = dish.slots;
  const firstOpen =
    slots.find((s) => !dish.document.decisions.swaps[idOf(dish, s.ref)]) ?? slots[0];
  const chosen = slots.some((s) => s.ref === picked) ? picked : (firstOpen?.ref ?? "");
  const [pointed, setPointed] = useState<Candidate | null>(null);
  const preview = usePreview(dish, chosen, pointed);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (isTyping(e) || e.ctrlKey || e.metaKey || e.altKey) return;
      const at = slots.findIndex((s) => s.ref === chosen);
      const to = e.key === "ArrowDown" ? at + 1 : e.key === "ArrowUp" ? at - 1 : -1;
      const next = slots[to];
      if (next) {
        e.preventDefault();
        setPicked(next.ref);
      } else if (e.key === "p") {
        setProposing(true);
      }
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [slots, chosen]);
  const use = (ref: string, c: Candidate) =>
    open.decide(kept("swaps.used", { swapName: c.swap.name }), {
      swaps: { ...dish.document.decisions.swaps, [idOf(dish, ref)]: c.swap.id },
    });
  return (
    <main className="page">
      <div className="swaps-head">
        <Button type="primary" onClick={() => setProposing(true)}>
          {worded("swaps.proposeSwaps")}
        </Button>
        <span className="quiet">
          {slots.length === 0
            ? worded("swaps.noLineOfThisDishComes")
            : dish.adaptation.unresolved.length > 0
              ? worded("swaps.ofLinesAreStillOpenTheir", {
                  unresolved: dish.adaptation.unresolved.length,
                  slots: slots.length,
                })
              : worded("swaps.everyLineIsDecidedThreadsThat")}
        </span>
      </div>
      <ThreadsDrawing
        original={dish.document.original}
        adaptation={preview?.adaptation ?? dish.adaptation}
        chosen={chosen}
        choose={setPicked}
        previewing={
          preview ? worded("swaps.with", { previewName: preview.name.toLowerCase() }) : ""
        }
      />
      {slots.length > 0 && (
        <div className="work">
          <ul className="slots" aria-label={worded("swaps.linesToSwap")}>
            {slots.map((s) => (
              <li key={s.ref}>
                <button aria-current={s.ref === chosen} onClick={() => setPicked(s.ref)}>
                  <b className={lineAt(dish, s.ref)?.origin === "animal" ? "" : "plant"}>
                    {lineAt(dish, s.ref)?.name}
                  </b>
                  <br />
                  <span className="small quiet">{stateOf(dish, s)}</span>
                </button>
              </li>
            ))}
          </ul>
          <Candidates
            key={chosen}
            open={open}
            slotRef={chosen}
            use={(c) => use(chosen, c)}
            point={setPointed}
          />
        </div>
      )}
      <Tray open={open} />
      {proposing && (
        <ProposePanel
          dish={dish}
          close={() => setProposing(false)}
          use={(decisions, aim) => {
            open.decide(kept("swaps.tookTheProposal", { aim }), decisions);
            setProposing(false);
          }}
        />
      )}
    </main>
  );
}

function stateOf(dish: DishView, s: Slot): string {
  const put = dish.adaptation.swaps.find((c) => c.replaces === s.ref);
  if (put) return put.name;
  return dish.adaptation.unresolved.find((u) => u.line === s.ref)?.why ?? "open";
}

/** What the dish would be with the candidate under the pointer, once it rests there. */
function usePreview(dish: DishView, ref: string, pointed: Candidate | null) {
  const [resting, setResting] = useState<Candidate | null>(null);
  useEffect(() => {
    const timer = window.setTimeout(() => setResting(pointed), pointed ? restMs : 0);
    return () => window.clearTimeout(timer);
  }, [pointed]);
  const kept = dish.document.decisions;
  const worth = resting !== null && kept.swaps[ref] !== resting.swap.id;
  const decisions: Decisions = worth
    ? { ...kept, swaps: { ...kept.swaps, [ref]: resting.swap.id } }
    : kept;
  const answer = useQuery({
    queryKey: ["preview", dish.id, dish.edit, ref, resting?.swap.id ?? ""],
    queryFn: () => api.preview(dish.id, decisions),
    enabled: worth,
    staleTime: Infinity,
  });
  return worth && answer.data ? { adaptation: answer.data, name: resting.swap.name } : null;
}
