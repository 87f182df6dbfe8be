import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button, Input } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";

import { api } from "../api/client";
import type { TrialView } from "../api/types";
import { useOpenDish } from "../dish/useDish";
import { Pictures } from "../shared/Pictures";
import { ProblemNote } from "../shared/ProblemNote";
import { Sheet } from "../shared/Sheet";
import { dayOf } from "./words";

interface Props {
  trial: TrialView;
  number: number;
}

/** One trial: how it was, what was different, its plate, and the ways on from it. */
export function TrialPanel({ trial: t, number }: Props) {
  const { dish, returnTo, saving } = useOpenDish();
  const queries = useQueryClient();
  const [naming, setNaming] = useState(false);
  return (
    <section aria-label={`Trial ${number}`}>
      <h3>
        Trial {number}, {dayOf(t.kept)}
      </h3>
      {t.words && <p>{t.words}</p>}
      {t.different.length === 0 ? (
        <p className="quiet">Cooked as the card had it.</p>
      ) : (
        <ul>
          {t.different.map((d) => (
            <li key={d.n}>{d.text}</li>
          ))}
        </ul>
      )}
      {t.weighed.length > 0 && (
        <>
          <h4>Weighed and measured</h4>
          <ul>
            {t.weighed.map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ul>
        </>
      )}
      <Pictures
        kind="trial"
        about={t.id}
        of={`Trial ${number} of ${dish.document.name}`}
        pictures={t.pictures}
        changed={() => void queries.invalidateQueries({ queryKey: ["trials", dish.id] })}
      />
      <p className="trial-ways">
        {t.now ? (
          <span className="quiet">The dish is as it was here.</span>
        ) : (
          <Button disabled={!t.canReturn || saving} onClick={() => returnTo(t.id)}>
            Go on from here
          </Button>
        )}
        <Button disabled={!t.canReturn} onClick={() => setNaming(true)}>
          Make a school of its own
        </Button>
        <a href={`/api/dishes/${dish.id}/trials/${t.id}/card/pdf`}>Card and verdict as PDF</a>
      </p>
      {!t.canReturn && (
        <p className="quiet">
          Kept before the program knew which version was cooked; there is no way back to it.
        </p>
      )}
      <p className="quiet small">
        {t.by && `Kept by ${t.by}. `}Knowledge {t.knowledge || "not known"}
      </p>
      {naming && <Variant trial={t.id} close={() => setNaming(false)} />}
    </section>
  );
}

/** Asks for the name of a variant and makes it. */
export function Variant({ trial, close }: { trial: string; close: () => void }) {
  const { dish } = useOpenDish();
  const queries = useQueryClient();
  const go = useNavigate();
  const [name, setName] = useState("");
  const make = useMutation({
    mutationFn: () => api.makeVariant(dish.id, { name, trial }),
    onSuccess: (d) => {
      void queries.invalidateQueries({ queryKey: ["dishes"] });
      void queries.invalidateQueries({ queryKey: ["variants"] });
      close();
      void go(`/dishes/${d.id}/trials`);
    },
  });
  return (
    <Sheet title="A school of its own" close={close}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          make.mutate();
        }}
      >
        <p>
          A dish beside this one, to go its own way: with cheese or without, as the coast cooks it
          or the hills.
        </p>
        <label>
          What is it called?
          <Input autoFocus value={name} maxLength={120} onChange={(e) => setName(e.target.value)} />
        </label>
        {make.error && <ProblemNote error={make.error} />}
        <p>
          <Button type="primary" htmlType="submit" disabled={!name.trim()} loading={make.isPending}>
            Make it
          </Button>
        </p>
      </form>
    </Sheet>
  );
}
