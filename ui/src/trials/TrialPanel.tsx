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
import { worded } from "../texts/worded";

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
    <section aria-label={worded("trials.trial3", { number })}>
      <h3>{worded("trials.trial4", { number, dayOf: dayOf(t.kept) })}</h3>
      {t.words && <p>{t.words}</p>}
      {t.different.length === 0 ? (
        <p className="quiet">{worded("trials.cookedAsTheCardHadIt")}</p>
      ) : (
        <ul>
          {t.different.map((d) => (
            <li key={d.n}>{d.text}</li>
          ))}
        </ul>
      )}
      {t.weighed.length > 0 && (
        <>
          <h4>{worded("trials.weighedAndMeasured")}</h4>
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
        of={worded("trials.trialOf", { number, documentName: dish.document.name })}
        pictures={t.pictures}
        changed={() => void queries.invalidateQueries({ queryKey: ["trials", dish.id] })}
      />
      <p className="trial-ways">
        {t.now ? (
          <span className="quiet">{worded("trials.theDishIsAsItWas")}</span>
        ) : (
          <Button disabled={!t.canReturn || saving} onClick={() => returnTo(t.id)}>
            {worded("trials.goOnFromHere")}
          </Button>
        )}
        <Button disabled={!t.canReturn} onClick={() => setNaming(true)}>
          {worded("trials.makeASchoolOfItsOwn")}
        </Button>
        <a href={`/api/dishes/${dish.id}/trials/${t.id}/card/pdf`}>
          {worded("trials.cardAndVerdictAsPdf")}
        </a>
      </p>
      {!t.canReturn && <p className="quiet">{worded("trials.keptBeforeTheProgramKnewWhich")}</p>}
      <p className="quiet small">
        {worded("trials.knowledge", {
          by: t.by && worded("trials.keptBy", { by: t.by }),
          knowledge: t.knowledge || worded("trials.notKnown"),
        })}
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
    <Sheet title={worded("trials.aSchoolOfItsOwn")} close={close}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          make.mutate();
        }}
      >
        <p>{worded("trials.aDishBesideThisOneTo")}</p>
        <label>
          {worded("trials.whatIsItCalled")}
          <Input autoFocus value={name} maxLength={120} onChange={(e) => setName(e.target.value)} />
        </label>
        {make.error && <ProblemNote error={make.error} />}
        <p>
          <Button type="primary" htmlType="submit" disabled={!name.trim()} loading={make.isPending}>
            {worded("trials.makeIt")}
          </Button>
        </p>
      </form>
    </Sheet>
  );
}
