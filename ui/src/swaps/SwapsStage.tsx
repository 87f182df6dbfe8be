import "./swaps.css";

import { useQuery } from "@tanstack/react-query";
import { Button, Spin } from "antd";
import { useEffect, useState } from "react";

import { api } from "../api/client";
import type { Candidate, DishView, RecipeLine, Slot } from "../api/types";
import { isTyping } from "../app/keys";
import { useOpenDish } from "../dish/useDish";
import { ProblemNote } from "../shared/ProblemNote";
import { capital, signed } from "../shared/format";
import { ProposePanel } from "./ProposePanel";
import { ThreadsDrawing } from "./ThreadsDrawing";
import { bandKey } from "./threads";

/** Threads above, the chosen line's candidates below. */
export default function SwapsStage() {
  const open = useOpenDish();
  const { dish } = open;
  const [picked, setPicked] = useState("");
  const [proposing, setProposing] = useState(false);
  const slots = dish.slots;
  const firstOpen = slots.find((s) => !dish.document.decisions.swaps[s.ref]) ?? slots[0];
  const chosen = slots.some((s) => s.ref === picked) ? picked : (firstOpen?.ref ?? "");
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
  if (slots.length === 0) {
    return (
      <main className="page">
        <div className="empty">
          <h2>Nothing has to be swapped</h2>
          <p>No line of this dish comes from an animal or breaks a house rule.</p>
        </div>
      </main>
    );
  }
  const use = (ref: string, c: Candidate) =>
    open.decide(`used ${c.swap.name}`, {
      swaps: { ...dish.document.decisions.swaps, [ref]: c.swap.id },
    });
  return (
    <main className="page">
      <div className="swaps-head">
        <Button type="primary" onClick={() => setProposing(true)}>
          Propose swaps
        </Button>
        <span className="quiet">
          {dish.adaptation.unresolved.length > 0
            ? `${dish.adaptation.unresolved.length} of ${slots.length} lines are still open; their threads hang loose.`
            : "Every line is decided. Threads that hang loose show what did not come over."}
        </span>
      </div>
      <ThreadsDrawing
        original={dish.document.original}
        adaptation={dish.adaptation}
        chosen={chosen}
        choose={setPicked}
      />
      <div className="work">
        <ul className="slots" aria-label="Lines to swap">
          {slots.map((s) => (
            <li key={s.ref}>
              <button aria-current={s.ref === chosen} onClick={() => setPicked(s.ref)}>
                <b>{lineAt(dish, s.ref)?.name}</b>
                <br />
                <span className="small quiet">{stateOf(dish, s)}</span>
              </button>
            </li>
          ))}
        </ul>
        <Candidates key={chosen} dish={dish} slotRef={chosen} use={(c) => use(chosen, c)} />
      </div>
      {dish.adaptation.boosters.length > 0 && (
        <section className="boosted" aria-label="Boosters">
          <h2>Boosters</h2>
          <ul>
            {dish.document.decisions.boosters.map((b) => (
              <li key={b.food}>
                {b.why || `${b.food}, ${b.grams} g`}{" "}
                <Button
                  size="small"
                  onClick={() =>
                    open.decide(`took ${b.food} out`, {
                      boosters: dish.document.decisions.boosters.filter((x) => x.food !== b.food),
                    })
                  }
                >
                  Leave out
                </Button>
              </li>
            ))}
          </ul>
        </section>
      )}
      {proposing && (
        <ProposePanel
          dish={dish}
          close={() => setProposing(false)}
          use={(decisions, aim) => {
            open.decide(`took the ${aim} proposal`, decisions);
            setProposing(false);
          }}
        />
      )}
    </main>
  );
}

/** The original line that a place names. */
export function lineAt(dish: DishView, ref: string): RecipeLine | undefined {
  const m = /^components\[(\d+)\]\.lines\[(\d+)\]$/.exec(ref);
  return m ? dish.document.original.components[Number(m[1])]?.lines[Number(m[2])] : undefined;
}

function stateOf(dish: DishView, s: Slot): string {
  const put = dish.adaptation.swaps.find((c) => c.replaces === s.ref);
  if (put) return put.name;
  return dish.adaptation.unresolved.find((u) => u.line === s.ref)?.why ?? "open";
}

interface CandidatesProps {
  dish: DishView;
  slotRef: string;
  use: (c: Candidate) => void;
}

function Candidates({ dish, slotRef, use }: CandidatesProps) {
  const list = useQuery({
    queryKey: ["candidates", dish.id, slotRef, dish.edit],
    queryFn: () => api.candidates(dish.id, slotRef),
    placeholderData: (old) => old,
  });
  const line = lineAt(dish, slotRef);
  const slot = dish.slots.find((s) => s.ref === slotRef);
  const used = dish.document.decisions.swaps[slotRef];
  if (list.error) return <ProblemNote error={list.error} retry={() => void list.refetch()} />;
  if (!list.data) return <Spin description="Trying the swaps in the dish" />;
  return (
    <section className="candidates" aria-label={`Candidates for ${line?.name ?? "the line"}`}>
      <h2>
        {capital(line?.name ?? "")}
        <span className="quiet small">
          {" "}
          {line?.text}
          {slot?.use.use && ` · here it ${slot.use.rule}`}
        </span>
      </h2>
      {list.data.candidates.length === 0 && (
        <div className="empty">
          <p>
            No swap is allowed here:{" "}
            {dish.adaptation.unresolved.find((u) => u.line === slotRef)?.why}.
          </p>
          <p className="quiet">
            Loosen a house rule, or leave the line open; the card will say so.
          </p>
        </div>
      )}
      {list.data.candidates.map((c) => (
        <Row key={c.swap.id} c={c} used={used === c.swap.id} use={() => use(c)} />
      ))}
      {list.data.rejected.length > 0 && (
        <p className="rejected">
          Left out by the house rules:{" "}
          {list.data.rejected.map((r) => `${r.swap.replaceAll("-", " ")} (${r.rule})`).join("; ")}.
        </p>
      )}
    </section>
  );
}

function Row({ c, used, use }: { c: Candidate; used: boolean; use: () => void }) {
  return (
    <article className={`candidate ${used ? "used" : ""}`}>
      <div>
        <h3>{c.swap.name}</h3>
        <ul>
          {c.lines.map((l) => (
            <li key={l.text}>{l.text}</li>
          ))}
        </ul>
        <p className="aside">{c.swap.why}</p>
        <p className="aside">{c.swap.limits}</p>
      </div>
      <div>
        <div className="moves" aria-label="What it does to the traits, in steps">
          {c.moves.map((m) => (
            <span key={m.trait + m.component} className={m.verdict}>
              {bandKey(m)}
              <b>{signed(m.steps)}</b>
            </span>
          ))}
        </div>
        <p className="aside">
          {c.hands} min work, {c.wait} min waiting
          {c.kit.length > 0 && `; ${c.kit.join(", ")}`}
        </p>
        <p className="aside">
          {c.allergens.length > 0 ? `Not for: ${c.allergens.join(", ")}` : "No listed allergen"};{" "}
          {gradeWords[c.grade]}
        </p>
        {c.swap.cautions.map((x) => (
          <p key={x} className="aside" style={{ color: "var(--clay)" }}>
            {x}
          </p>
        ))}
      </div>
      <div>
        {used ? (
          <Button disabled block>
            In use
          </Button>
        ) : (
          <Button type="primary" ghost block onClick={use} aria-label={`Use ${c.swap.name}`}>
            Use this
          </Button>
        )}
      </div>
    </article>
  );
}

const gradeWords: Record<string, string> = {
  whole: "whole foods",
  plain: "plainly processed",
  refined: "holds refined food",
  analogue: "ready-made",
};
