import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";

import { api } from "../api/client";
import type { StoveView, Summary } from "../api/types";
import { ProblemNote } from "../shared/ProblemNote";
import type { Told } from "./queue";
import { inMinutes } from "./words";

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
          Leave
        </Link>
        <b className="stove-title">{view.program.name}</b>
      </header>
      <div className="stove-sum">
        <h1>{sum.data?.say ?? "Adding up"}</h1>
        {sum.error && <ProblemNote error={sum.error} retry={() => void sum.refetch()} />}
        {sum.data && <What sum={sum.data} tell={tell} />}
        {view.now.kept || keep.isSuccess ? (
          <p className="stove-kept" role="status">
            Kept as a trial, with everything that was different.
          </p>
        ) : (
          <label className="stove-words">
            How was it?
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
            Let go. It stands in no list any more.
          </p>
        )}
        {back.error && <ProblemNote error={back.error} />}
        {keep.error && <ProblemNote error={keep.error} />}
        {letGo.error && <ProblemNote error={letGo.error} />}
      </div>
      <nav className="stove-buttons" aria-label="What you can do">
        {letGo.isSuccess ? (
          <button className="first" onClick={() => back.mutate()} disabled={back.isPending}>
            Bring it back
          </button>
        ) : (
          <>
            {!view.now.kept && !keep.isSuccess && (
              <button className="first" onClick={() => keep.mutate()} disabled={keep.isPending}>
                Keep as trial
              </button>
            )}
            <button onClick={() => tell({ kind: "undo", of: state.endedBy })}>
              Back to the stove
            </button>
            <button onClick={() => letGo.mutate()} disabled={letGo.isPending}>
              Let go
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
          <dt>took</dt>
          <dd>{inMinutes(sum.minutes)}</dd>
        </div>
        {sum.planned > 0 && (
          <div>
            <dt>planned</dt>
            <dd>{inMinutes(sum.planned)}</dd>
          </div>
        )}
        {sum.late !== null && (
          <div>
            <dt>{sum.late > 0 ? "after the time of serving" : "before the time of serving"}</dt>
            <dd>{inMinutes(Math.abs(sum.late))}</dd>
          </div>
        )}
      </dl>
      <section>
        <h2>What was different</h2>
        {sum.different.length === 0 && <p>Nothing that was told.</p>}
        <ul className="stove-list">
          {sum.different.map((d) => (
            <li key={d.n}>
              <span>{d.text}</span>
              <button onClick={() => tell({ kind: "undo", of: d.n })}>take back</button>
            </li>
          ))}
        </ul>
      </section>
      {sum.unused.length > 0 && (
        <section>
          <h2>Not used</h2>
          <p>{sum.unused.join(", ")}. Back at the stove you can still say why.</p>
        </section>
      )}
      {sum.times.length > 0 && (
        <section>
          <h2>Times that differed</h2>
          <ul className="stove-list">
            {sum.times.map((t) => (
              <li key={t.move}>
                <span>{t.name}</span>
                <span>
                  {inMinutes(t.took)} instead of {inMinutes(t.planned)}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {sum.weighed.length > 0 && (
        <section>
          <h2>Weighed</h2>
          <ul className="stove-list">
            {sum.weighed.map((w) => (
              <li key={`${w.what} ${w.at}`}>
                <span>{w.what}</span>
                <span>
                  lost {Math.round(w.lost)} g of {Math.round(w.before)} g, {Math.round(w.foreseen)}{" "}
                  g foreseen
                </span>
              </li>
            ))}
          </ul>
          <p>Kept as a trial, these make the figures of the next card this kitchen’s own.</p>
        </section>
      )}
    </>
  );
}
