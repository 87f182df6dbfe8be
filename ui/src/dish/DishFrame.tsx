import { Button, Input, Popover, Tooltip } from "antd";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { NavLink, Outlet, useLocation, useNavigate, useParams } from "react-router";

import { api } from "../api/client";
import type { DishView } from "../api/types";
import { showByBook, useByBook } from "../app/byBook";
import { isTyping } from "../app/keys";
import { Loading } from "../shared/Loading";
import { HouseRulesForm } from "../shared/HouseRulesForm";
import { ProblemNote } from "../shared/ProblemNote";
import { Sheet } from "../shared/Sheet";
import { TallyView } from "../shared/TallyView";
import { TurnBack } from "../shared/TurnBack";
import { tallyWords } from "../shared/format";
import { AboutSheet } from "./AboutSheet";
import { PastSheet } from "./PastSheet";
import { DishContext, useDish, type OpenDish } from "./useDish";
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

/** Says that figures use what this kitchen has learned, and shows them without. */
function LearnedChip({ dish }: { dish: DishView }) {
  const queries = useQueryClient();
  const byBook = useByBook();
  const [open, setOpen] = useState(false);
  if (dish.learned.length === 0 && !byBook) return null;
  const show = (yes: boolean) => {
    showByBook(yes);
    setOpen(false);
    void queries.invalidateQueries();
  };
  if (byBook) {
    return (
      <span className="learned-chip" role="status">
        {worded("dish.byTheBookAlone")}{" "}
        <Button size="small" onClick={() => show(false)}>
          {worded("dish.asThisKitchenHasLearned")}
        </Button>
      </span>
    );
  }
  return (
    <>
      <button className="learned-chip" onClick={() => setOpen(true)}>
        {worded("dish.withOfThisKitchensOwn", { learned: dish.learned.length })}
      </button>
      {open && (
        <Sheet title={worded("dish.whatThisKitchenHasLearned")} close={() => setOpen(false)}>
          <p>{worded("dish.theseFiguresUse")}</p>
          <ul>
            {dish.learned.map((say) => (
              <li key={say}>{say}</li>
            ))}
          </ul>
          <p>
            <Button onClick={() => show(true)}>{worded("dish.showAllFiguresByTheBook")}</Button>{" "}
            <NavLink to="/kitchen#learned">{worded("dish.whatItCameFrom")}</NavLink>
          </p>
        </Sheet>
      )}
    </>
  );
}

/** The dish's name and place; a click on them lets the cook change both. */
function Names({ open }: { open: OpenDish }) {
  const { name, place } = open.dish.document;
  const [editing, setEditing] = useState(false);
  const [draft, setDraft] = useState({ name, place });
  if (!editing) {
    return (
      <>
        <h1 title={name}>{name}</h1>
        <span className="quiet">{place}</span>
        <button
          className="rename"
          onClick={() => {
            setDraft({ name, place });
            setEditing(true);
          }}
        >
          {worded("dish.rename")}
        </button>
      </>
    );
  }
  const keep = () => {
    setEditing(false);
    if (draft.name.trim() !== "" && (draft.name !== name || draft.place !== place)) {
      open.save({ what: worded("dish.renamedTo", { draftName: draft.name.trim() }), ...draft });
    }
  };
  return (
    <form
      className="names"
      onSubmit={(e) => {
        e.preventDefault();
        keep();
      }}
      onKeyDown={(e) => {
        if (e.key === "Escape") setEditing(false);
      }}
    >
      <Input
        aria-label={worded("dish.nameOfTheDish")}
        autoFocus
        maxLength={120}
        value={draft.name}
        onChange={(e) => setDraft({ ...draft, name: e.target.value })}
      />
      <Input
        aria-label={worded("dish.placeOfTheDish")}
        placeholder={worded("dish.place")}
        maxLength={80}
        value={draft.place}
        onChange={(e) => setDraft({ ...draft, place: e.target.value })}
      />
      <Button htmlType="submit" type="primary">
        {worded("dish.keep")}
      </Button>
    </form>
  );
}

/** The house rules of the dish, with the preset and what is off besides. */
function RulesChip({ open }: { open: OpenDish }) {
  const rules = useQuery({ queryKey: ["rules"], queryFn: api.rules, staleTime: Infinity });
  const mine = open.dish.document.decisions.houseRules;
  const name = rules.data?.presets.find((p) => p.id === mine.preset)?.name ?? mine.preset;
  const form = rules.data && (
    <div className="rules-popover">
      <HouseRulesForm
        rules={rules.data}
        value={mine}
        set={(houseRules) => open.decide(worded("dish.changedTheHouseRules"), { houseRules })}
      />
    </div>
  );
  return (
    <Popover
      content={form}
      trigger="click"
      title={worded("dish.houseRules")}
      placement="bottomRight"
    >
      <Button>
        {name}
        {mine.off.length > 0 &&
          worded("dish.without", { replaceAll: mine.off.join(", ").replaceAll("-", " ") })}
      </Button>
    </Popover>
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
          what: c.mine.what || worded("dish.aChange"),
          tallyWords: tallyWords(open.dish.adaptation.tally),
        })}
      </p>
      <p>
        <b>{worded("dish.inTheOtherWindow")}</b>: {c.theirs.what} (
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
