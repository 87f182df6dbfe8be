import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";

import { api } from "../api/client";
import type { StoveView, Summary } from "../api/types";
import { ProblemNote } from "../shared/ProblemNote";
import type { Told } from "./queue";
import { inMinutes } from "./words";
import { worded } from "../texts/worded";

interface Props {
  id: string;
  view: StoveView;
  tell: (e: Told) => void;
}

/** What became of a cook-through: what was different, times, weighings; keep it or let it go. */
export function EndPage({ id, view, tell }: Props) {
  const queries = useQueryClient();
  const [words, setWords] = useState("");
  const sum = useQuery({
    queryKey: ["stove-sum", id, view.now.state.n],
    queryFn: () => api.sumStove(id),
  });
  const keep = useMutation({
    mutationFn: () => api.keepStove(id, words),
    onSuccess: () => void queries.invalidateQueries(),
  });
  const letGo = useMutation({
    mutationFn: () => api.letGoStove(id),
    onSuccess: () => void queries.invalidateQueries({ queryKey: ["stoves"] }),
  });
  const back = useMutation({
    mutationFn: () => api.takeBackUpStove(id),
    onSuccess: () => {
      letGo.reset();
      void queries.invalidateQueries({ queryKey: ["stoves"] });
    },
  });
  const { state } = view.now;
  return (
    <main className="stove stove-end">
      <header className="stove-head">
        <Link to={view.program.day ? `/days/${view.program.day}` : "/days"} className="stove-leave">
          {worded("stove.leave")}
        </Link>
        <b className="stove-title">{view.program.name}</b>
      </header>
      <div className="stove-sum">
        <h1>{sum.data?.say ?? worded("stove.addingUp")}</h1>
        {sum.error && <ProblemNote error={sum.error} retry={() => void sum.refetch()} />}
        {sum.data && <What sum={sum.data} tell={tell} />}
        {view.now.kept || keep.isSuccess ? (
          <p className="stove-kept" role="status">
            {worded("stove.keptAsATrialWithEverything")}
          </p>
        ) : (
          <label className="stove-words">
            {worded("stove.howWasIt")}
            <textarea
              className="stove-field"
              rows={3}
              maxLength={4000}
              value={words}
              onChange={(e) => setWords(e.target.value)}
            />
          </label>
        )}
        {letGo.isSuccess && (
          <p className="stove-kept" role="status">
            {worded("stove.letGoItStandsInNo")}
          </p>
        )}
        {back.error && <ProblemNote error={back.error} />}
        {keep.error && <ProblemNote error={keep.error} />}
        {letGo.error && <ProblemNote error={letGo.error} />}
      </div>
      <nav className="stove-buttons" aria-label={worded("stove.whatYouCanDo")}>
        {letGo.isSuccess ? (
          <button className="first" onClick={() => back.mutate()} disabled={back.isPending}>
            {worded("stove.bringItBack")}
          </button>
        ) : (
          <>
            {!view.now.kept && !keep.isSuccess && (
              <button className="first" onClick={() => keep.mutate()} disabled={keep.isPending}>
                {worded("stove.keepAsTrial")}
              </button>
            )}
            <button onClick={() => tell({ kind: "undo", of: state.endedBy })}>
              {worded("stove.backToTheStove")}
            </button>
            <button onClick={() => letGo.mutate()} disabled={letGo.isPending}>
              {worded("stove.letGo")}
            </button>
          </>
        )}
      </nav>
    </main>
  );
}

function What({ sum, tell }: { sum: Summary; tell: (e: Told) => void }) {
  return (
    <>
      <dl className="stove-times">
        <div>
          <dt>{worded("stove.took")}</dt>
          <dd>{inMinutes(sum.minutes)}</dd>
        </div>
        {sum.planned > 0 && (
          <div>
            <dt>{worded("stove.planned")}</dt>
            <dd>{inMinutes(sum.planned)}</dd>
          </div>
        )}
        {sum.late !== null && (
          <div>
            <dt>
              {sum.late > 0
                ? worded("stove.afterTheTimeOfServing")
                : worded("stove.beforeTheTimeOfServing")}
            </dt>
            <dd>{inMinutes(Math.abs(sum.late))}</dd>
          </div>
        )}
      </dl>
      <section>
        <h2>{worded("stove.whatWasDifferent")}</h2>
        {sum.different.length === 0 && <p>{worded("stove.nothingThatWasTold")}</p>}
        <ul className="stove-list">
          {sum.different.map((d) => (
            <li key={d.n}>
              <span>{d.text}</span>
              <button onClick={() => tell({ kind: "undo", of: d.n })}>
                {worded("stove.takeBack")}
              </button>
            </li>
          ))}
        </ul>
      </section>
      {sum.unused.length > 0 && (
        <section>
          <h2>{worded("stove.notUsed")}</h2>
          <p>{worded("stove.backAtTheStoveYouCan", { unused: sum.unused.join(", ") })}</p>
        </section>
      )}
      {sum.times.length > 0 && (
        <section>
          <h2>{worded("stove.timesThatDiffered")}</h2>
          <ul className="stove-list">
            {sum.times.map((t) => (
              <li key={t.move}>
                <span>{t.name}</span>
                <span>
                  {worded("stove.insteadOf", {
                    inMinutes: inMinutes(t.took),
                    inMinutes2: inMinutes(t.planned),
                  })}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {sum.weighed.length > 0 && (
        <section>
          <h2>{worded("stove.weighed")}</h2>
          <ul className="stove-list">
            {sum.weighed.map((w) => (
              <li key={`${w.what} ${w.at}`}>
                <span>{w.what}</span>
                <span>
                  {worded("stove.lostGOfGGForeseen", {
                    lost: Math.round(w.lost),
                    before: Math.round(w.before),
                    foreseen: Math.round(w.foreseen),
                  })}
                </span>
              </li>
            ))}
          </ul>
          <p>{worded("stove.keptAsATrialTheseMake")}</p>
        </section>
      )}
    </>
  );
}
