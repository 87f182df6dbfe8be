import { useQuery } from "@tanstack/react-query";
import { useState } from "react";

import { api } from "../api/client";
import type { StoveStep, Tap } from "../api/types";
import { Sheet } from "../shared/Sheet";
import type { Told } from "./queue";
import type { SheetProps } from "./sheets";
import { worded } from "../texts/worded";

/** What is likely to be different here: one tap each, never a form. */
export function DifferentSheet({
  id,
  step,
  tell,
  close,
}: SheetProps & { id: string; step: StoveStep }) {
  const taps = useQuery({
    queryKey: ["taps", id, step.move.id],
    queryFn: () => api.taps(id, step.move.id),
    staleTime: 0,
  });
  const [search, setSearch] = useState<Tap | null>(null);
  const [own, setOwn] = useState(false);
  const answer = (e: Told) => {
    tell(e);
    close();
  };
  if (search) return <OtherFood tap={search} answer={answer} close={close} />;
  if (own) return <OwnWords move={step.move.id} answer={answer} close={close} />;
  const lines = [...new Set((taps.data ?? []).map((t) => t.line))];
  return (
    <Sheet title={worded("stove.whatIsDifferent2")} close={close} wide>
      <div className="stove-sheet">
        {lines.map((line) => (
          <div key={line} className="stove-taps" role="group" aria-label={nameOf(step, line)}>
            {(taps.data ?? [])
              .filter((t) => t.line === line)
              .map((t) => (
                <button
                  key={t.say}
                  onClick={() =>
                    t.search
                      ? setSearch(t)
                      : answer({
                          kind: t.kind,
                          move: t.move,
                          line: t.line || undefined,
                          amount: t.amount || undefined,
                          of: t.of || undefined,
                        })
                  }
                >
                  {t.say}
                </button>
              ))}
          </div>
        ))}
        <div className="stove-taps">
          <button onClick={() => setOwn(true)}>{worded("stove.inMyOwnWords")}</button>
        </div>
      </div>
    </Sheet>
  );
}

function nameOf(step: StoveStep, line: string): string {
  return step.takes.find((t) => t.line === line)?.name ?? step.move.name;
}

function OtherFood({
  tap,
  answer,
  close,
}: {
  tap: Tap;
  answer: (e: Told) => void;
  close: () => void;
}) {
  const [text, setText] = useState("");
  const foods = useQuery({
    queryKey: ["foods", text],
    queryFn: () => api.foods(text),
    enabled: text.trim() !== "",
  });
  const say = (food: string, name: string) =>
    answer({ kind: "food", move: tap.move, line: tap.line, food, text: name });
  return (
    <Sheet title={worded("stove.whatInstead", { say: tap.say })} close={close} wide>
      <div className="stove-sheet">
        <input
          className="stove-field"
          value={text}
          onChange={(e) => setText(e.target.value)}
          placeholder={worded("stove.searchTheLarder")}
          aria-label={worded("stove.searchTheLarder")}
          autoFocus
        />
        <div className="stove-taps">
          {foods.data?.slice(0, 8).map((f) => (
            <button key={f.id} onClick={() => say(f.id, f.name)}>
              {f.name}
            </button>
          ))}
          {text.trim() !== "" && foods.data?.length === 0 && (
            <button onClick={() => say("", text.trim())}>
              {worded("stove.notInTheLarder", { text: text.trim() })}
            </button>
          )}
        </div>
      </div>
    </Sheet>
  );
}

function OwnWords({
  move,
  answer,
  close,
}: {
  move: string;
  answer: (e: Told) => void;
  close: () => void;
}) {
  const [text, setText] = useState("");
  return (
    <Sheet title={worded("stove.inYourOwnWords")} close={close} wide>
      <form
        className="stove-sheet"
        onSubmit={(e) => {
          e.preventDefault();
          if (text.trim()) answer({ kind: "word", move, text: text.trim() });
        }}
      >
        <textarea
          className="stove-field"
          rows={3}
          maxLength={500}
          value={text}
          onChange={(e) => setText(e.target.value)}
          aria-label={worded("stove.whatWasDifferent")}
          autoFocus
        />
        <div className="stove-taps">
          <button type="submit">{worded("stove.keep")}</button>
        </div>
      </form>
    </Sheet>
  );
}
