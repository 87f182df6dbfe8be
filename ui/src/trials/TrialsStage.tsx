import "./trials.css";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Input } from "antd";
import { useState } from "react";
import { Link } from "react-router";

import { api } from "../api/client";
import type { TrialView } from "../api/types";
import { useOpenDish } from "../dish/useDish";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { Between } from "./Between";
import { Knots } from "./Knots";
import { LayTable } from "./LayTable";
import { Results } from "./Results";
import { TrialPanel } from "./TrialPanel";
import { worded } from "../texts/worded";

/** The trials of a dish as knots on a line, what changed between them, and its tastings. */
export default function TrialsStage() {
  const { dish } = useOpenDish();
  const trials = useQuery({ queryKey: ["trials", dish.id], queryFn: () => api.trials(dish.id) });
  const [chosen, setChosen] = useState<string[]>([]);
  if (trials.error) {
    return (
      <main className="page">
        <ProblemNote error={trials.error} retry={() => void trials.refetch()} />
      </main>
    );
  }
  if (!trials.data) return <Loading>{worded("trials.lookingForTrials")}</Loading>;
  const list = trials.data;
  const two = chosen.length > 0 ? chosen : list.slice(-2).map((t) => t.id);
  const last = list.at(-1);
  const pick = (id: string) =>
    setChosen((was) => [...(was.length > 0 ? was : two).filter((x) => x !== id), id].slice(-2));
  return (
    <main className="page trials">
      <h2>{worded("trials.trials2")}</h2>
      {list.length === 0 && <p className="quiet">{worded("trials.noneYetCookTheCardAnd")}</p>}
      {list.length > 0 && (
        <div className="knots-scroll">
          <Knots trials={list} chosen={two} pick={pick} />
        </div>
      )}
      <div className="trial-pair">
        {two.map((id) => {
          const t = list.find((x) => x.id === id);
          return t && <TrialPanel key={id} trial={t} number={list.indexOf(t) + 1} />;
        })}
      </div>
      {two[0] && two[1] && (
        <Between
          dish={dish.id}
          a={two[0]}
          b={two[1]}
          title={worded("trials.whatChangedBetweenTheTwo")}
        />
      )}
      {last && !last.now && (
        <Between
          dish={dish.id}
          a={last.id}
          b="now"
          title={worded("trials.whatTheDishHasThatTrial", { list: list.length })}
        />
      )}
      <Schools />
      <Enter dish={dish.id} />
      <Tastings dish={dish.id} trials={list} />
    </main>
  );
}

/** The schools of this dish beside it, and what one has that the other has not. */
function Schools() {
  const { dish } = useOpenDish();
  const schools = useQuery({
    queryKey: ["variants", dish.id],
    queryFn: () => api.variants(dish.id),
  });
  const [beside, setBeside] = useState("");
  const others = schools.data?.filter((d) => d.id !== dish.id) ?? [];
  if (others.length === 0) return null;
  return (
    <section aria-label={worded("trials.schoolsOfThisDish")}>
      <h3>{worded("trials.schoolsOfThisDish")}</h3>
      <ul>
        {others.map((d) => (
          <li key={d.id}>
            <Link to={`/dishes/${d.id}/trials`}>
              {d.name}
              {d.variant && `, ${d.variant}`}
            </Link>{" "}
            <Button size="small" aria-pressed={beside === d.id} onClick={() => setBeside(d.id)}>
              {worded("trials.sideBySide")}
            </Button>
          </li>
        ))}
      </ul>
      {beside && (
        <Between
          dish={dish.id}
          a="now"
          b={`dish:${beside}`}
          title={worded("trials.thisOneAnd", {
            variant: others.find((d) => d.id === beside)?.variant || worded("trials.theOther"),
          })}
        />
      )}
    </section>
  );
}

function Enter({ dish }: { dish: string }) {
  const queries = useQueryClient();
  const [open, setOpen] = useState(false);
  const [words, setWords] = useState("");
  const [different, setDifferent] = useState("");
  const add = useMutation({
    mutationFn: () => api.addTrial(dish, { words, different }),
    onSuccess: (list) => {
      queries.setQueryData(["trials", dish], list);
      setOpen(false);
      setWords("");
      setDifferent("");
    },
  });
  if (!open)
    return (
      <Button onClick={() => setOpen(true)}>{worded("trials.enterATrialCookedElsewhere")}</Button>
    );
  return (
    <section className="enter-trial" aria-label={worded("trials.aTrialCookedElsewhere")}>
      <label>
        {worded("trials.howWasIt")}
        <Input.TextArea
          rows={2}
          maxLength={4000}
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
      </label>
      <label>
        {worded("trials.whatWasDifferentFromTheCard")}
        <Input.TextArea
          rows={3}
          maxLength={4000}
          value={different}
          onChange={(e) => setDifferent(e.target.value)}
        />
      </label>
      {add.error && <ProblemNote error={add.error} />}
      <p>
        <Button type="primary" loading={add.isPending} onClick={() => add.mutate()}>
          {worded("trials.keepThisTrial")}
        </Button>{" "}
        <Button onClick={() => setOpen(false)}>{worded("trials.leaveIt")}</Button>
      </p>
    </section>
  );
}

function Tastings({ dish, trials }: { dish: string; trials: TrialView[] }) {
  const list = useQuery({ queryKey: ["tastings", dish], queryFn: () => api.tastings(dish) });
  const [shown, setShown] = useState("");
  const open = shown || list.data?.[0]?.id;
  return (
    <section aria-label={worded("trials.tastings")}>
      <h2>{worded("trials.tastings")}</h2>
      <details open={list.data?.length === 0}>
        <summary>{worded("trials.layATable")}</summary>
        <LayTable trials={trials} laid={setShown} />
      </details>
      {(list.data?.length ?? 0) > 1 && (
        <p className="tables">
          {list.data?.map((t) => (
            <Button
              key={t.id}
              size="small"
              aria-pressed={t.id === open}
              onClick={() => setShown(t.id)}
            >
              {t.triangle ? worded("trials.triangleOf") : ""}
              {t.served.map((x) => x.name.split(",")[0]).join(worded("trials.and"))}
            </Button>
          ))}
        </p>
      )}
      {open && <Results id={open} />}
    </section>
  );
}
