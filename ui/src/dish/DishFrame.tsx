import { Button, Tooltip } from "antd";
import { useEffect, useRef, useState } from "react";
import { NavLink, Outlet, useLocation, useNavigate, useParams } from "react-router";

import type { DishView } from "../api/types";
import { isTyping } from "../app/keys";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { Sheet } from "../shared/Sheet";
import { TallyView } from "../shared/TallyView";
import { TurnBack } from "../shared/TurnBack";
import { tallyWords } from "../shared/format";
import { AboutSheet } from "./AboutSheet";
import { PastSheet } from "./PastSheet";
import { DishContext, useDish, type OpenDish } from "./useDish";
import { LearnedChip, Names, RulesChip } from "./DishChips";
import { retold } from "../texts/kept";
import { worded } from "../texts/worded";

const stages = [
  { path: "original", name: "Original" },
  { path: "character", name: "Character" },
  { path: "swaps", name: "Swaps" },
  { path: "method", name: "Method" },
  { path: "balance", name: "Balance" },
  { path: "card", name: "Card" },
  { path: "trials", name: "Trials" },
] as const;

/** What is still open at a stage of the path. */
export function openAt(stage: string, d: DishView): number {
  if (stage === "original") {
    return d.document.original.notices.length;
  }
  if (stage === "character") {
    return d.document.decisions.pins.length === 0 ? 1 : 0;
  }
  if (stage === "method") return toLookAt(d);
  return stage === "swaps" ? d.adaptation.unresolved.length : 0;
}

/** How many steps of the adaptation a cook must look at before cooking from it. */
export function toLookAt(d: DishView): number {
  return d.adaptation.components
    .flatMap((c) => c.steps)
    .filter((s) => (s.findings ?? []).length > 0).length;
}

/** The second band of a dish and, below it, the stage that is open. */
export default function DishFrame() {
  const { id = "" } = useParams();
  const { query, open } = useDish(id);
  if (query.error) {
    return (
      <main className="page">
        <ProblemNote error={query.error} retry={() => void query.refetch()} />
      </main>
    );
  }
  if (!open) return <Loading>{worded("dish.fetchingTheDish")}</Loading>;
  return (
    <DishContext value={open}>
      <Band open={open} />
      {open.error !== null && open.error !== undefined && (
        <main className="page" style={{ paddingBottom: 0 }}>
          <ProblemNote error={open.error} retry={open.retry} />
        </main>
      )}
      <Faults dish={open.dish} />
      <Conflict open={open} />
      <Outlet />
    </DishContext>
  );
}

/** Parts that could not be computed; what was entered is there all the same. */
function Faults({ dish }: { dish: DishView }) {
  if (dish.faults.length === 0) return null;
  return (
    <main className="page" style={{ paddingBottom: 0 }}>
      <div className="problem" role="alert">
        <h3>{worded("dish.aPartOfThisDishCould")}</h3>
        {dish.faults.map((f) => (
          <p key={f.part}>{f.text}</p>
        ))}
      </div>
    </main>
  );
}

function stageAt(pathname: string): number {
  return stages.findIndex((s) => pathname.endsWith(`/${s.path}`));
}

function Band({ open }: { open: OpenDish }) {
  const { dish } = open;
  const go = useNavigate();
  const { pathname } = useLocation();
  // Where the keys have led, which is ahead of the screen while a stage loads.
  const at = useRef(-1);
  useEffect(() => {
    at.current = stageAt(pathname);
  }, [pathname]);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const undoing = (e.ctrlKey || e.metaKey) && e.key.toLowerCase() === "z";
      if (undoing && !isTyping(e)) {
        e.preventDefault();
        if (e.shiftKey) open.redo();
        else open.undo();
        return;
      }
      if (isTyping(e)) return;
      const to = e.key === "]" ? at.current + 1 : e.key === "[" ? at.current - 1 : -1;
      const next = stages[to];
      if (!next) return;
      at.current = to;
      void go(`/dishes/${dish.id}/${next.path}`);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [open, go, dish.id]);
  const [past, setPast] = useState(false);
  const [about, setAbout] = useState(false);
  return (
    <section className="dish-band" aria-label={worded("dish.thisDish")}>
      <div className="row">
        <Names open={open} />
        {dish.adaptation.swaps.length > 0 && <TallyView tally={dish.adaptation.tally} />}
        {toLookAt(dish) > 0 && (
          <NavLink to={`/dishes/${dish.id}/method`} className="look-count">
            <b>{toLookAt(dish)}</b> {worded("dish.toLookAt")}
          </NavLink>
        )}
        <LearnedChip dish={dish} />
        <div className="right">
          <span className="saved" role="status">
            {open.saving ? worded("dish.saving") : worded("dish.saved")}
          </span>
          <Button type="link" size="small" onClick={() => setAbout(true)}>
            {worded("dish.about")}
          </Button>
          {about && <AboutSheet open={open} close={() => setAbout(false)} />}
          <Button type="link" size="small" onClick={() => setPast(true)}>
            {worded("dish.changes")}
          </Button>
          {past && <PastSheet id={dish.id} close={() => setPast(false)} />}
          <RulesChip open={open} />
          <Tooltip title={worded("dish.undoCtrlZ")}>
            <Button
              icon={<TurnBack />}
              aria-label={worded("dish.undo")}
              disabled={!dish.canUndo}
              onClick={open.undo}
            />
          </Tooltip>
          <Tooltip title={worded("dish.redoCtrlShiftZ")}>
            <Button
              icon={<TurnBack on />}
              aria-label={worded("dish.redo")}
              disabled={!dish.canRedo}
              onClick={open.redo}
            />
          </Tooltip>
        </div>
      </div>
      <nav aria-label={worded("dish.pathOfTheDish")}>
        <ol className="path">
          {stages.map((s) => {
            const left = openAt(s.path, dish);
            return (
              <li key={s.path}>
                <NavLink to={`/dishes/${dish.id}/${s.path}`}>
                  <span className="stage-name">{s.name}</span>
                  {left > 0 && (
                    <span className="open-mark" aria-label={worded("dish.open", { left })}>
                      {left}
                    </span>
                  )}
                </NavLink>
              </li>
            );
          })}
        </ol>
      </nav>
    </section>
  );
}

/** Shows both versions when another window was faster, and lets the cook choose. */
function Conflict({ open }: { open: OpenDish }) {
  const c = open.conflict;
  if (!c) return null;
  return (
    <Sheet title={worded("dish.thisDishWasChangedInAnother")}>
      <p>
        <b>{worded("dish.here2")}</b>
        {worded("dish.beforeIt", {
          what: c.mine ? retold(c.mine.what) : worded("dish.aChange"),
          tallyWords: tallyWords(open.dish.adaptation.tally),
        })}
      </p>
      <p>
        <b>{worded("dish.inTheOtherWindow")}</b>: {retold(c.theirs.what)} (
        {tallyWords(c.theirs.adaptation.tally)}).
      </p>
      <p className="quiet">{worded("dish.neitherIsLostBothStayIn")}</p>
      <div className="answer-row">
        <Button onClick={() => open.settle(false)}>{worded("dish.takeTheOtherVersion")}</Button>
        <Button type="primary" onClick={() => open.settle(true)}>
          {worded("dish.putMyChangeOnTop")}
        </Button>
      </div>
    </Sheet>
  );
}
