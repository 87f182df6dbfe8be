import { useQuery } from "@tanstack/react-query";
import { Button } from "antd";
import { memo, useMemo } from "react";

import { api } from "../api/client";
import type { Candidate } from "../api/types";
import { idOf, lineAt } from "../dish/lines";
import type { OpenDish } from "../dish/useDish";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { capital, signed } from "../shared/format";
import { useStable } from "../shared/useStable";
import { bandKey } from "./threads";
import { Amount, UseNote } from "./UseNote";
import { worded } from "../texts/worded";

interface Props {
  open: OpenDish;
  slotRef: string;
  use: (c: Candidate) => void;
  point: (c: Candidate | null) => void;
}

/** What could stand in for one line, as rows to compare. */
export function Candidates({ open, slotRef, use, point }: Props) {
  const { dish } = open;
  const list = useQuery({
    queryKey: ["candidates", dish.id, slotRef, dish.edit],
    queryFn: () => api.candidates(dish.id, slotRef),
    placeholderData: (old) => old,
  });
  const compare = useMemo(() => telling(list.data?.candidates ?? []), [list.data]);
  const choose = useStable(use);
  const line = lineAt(dish, slotRef);
  const used = dish.document.decisions.swaps[idOf(dish, slotRef)];
  const gap = dish.adaptation.unresolved.find((u) => u.line === slotRef);
  if (list.error) return <ProblemNote error={list.error} retry={() => void list.refetch()} />;
  if (!list.data) return <Loading>{worded("swaps.tryingTheSwapsInTheDish")}</Loading>;
  return (
    <section
      className="candidates"
      aria-label={worded("swaps.candidatesFor", {
        lineName: line?.name ?? worded("swaps.theLine"),
      })}
    >
      <h2>
        {capital(line?.name ?? "")} <span className="quiet small">{line?.text}</span>
      </h2>
      <UseNote open={open} slotRef={slotRef} />
      {list.data.candidates.length === 0 && (
        <div className="empty">
          <p>
            <b>{capital(gap?.why ?? worded("swaps.noSwapIsAllowedHere"))}.</b>
          </p>
          {gap?.nearest && (
            <p>
              {worded("swaps.theNearestWouldBeItWould", {
                nearestName: gap.nearest.name.toLowerCase(),
                breaks: gap.nearest.breaks,
              })}
            </p>
          )}
          <p className="quiet">{worded("swaps.loosenAHouseRuleOrLeave")}</p>
        </div>
      )}
      {fits(list.data.candidates).map(([fit, group]) => (
        <section key={fit} aria-label={fitWords[fit]}>
          <h3 className="fit">
            {fitWords[fit]} <span className="quiet small">{fitNotes[fit]}</span>
          </h3>
          {group.map((c) => (
            <Row
              key={c.swap.id}
              c={c}
              compare={compare}
              used={used === c.swap.id}
              use={choose}
              point={point}
              amount={used === c.swap.id ? <Amount open={open} slotRef={slotRef} /> : null}
            />
          ))}
        </section>
      ))}
      {list.data.rejected.length > 0 && (
        <details className="rejected">
          <summary>
            {worded("swaps.leftOutByTheHouseRules", { rejected: list.data.rejected.length })}
          </summary>
          <ul>
            {list.data.rejected.map((r) => (
              <li key={r.swap}>
                {capital(r.swap.replaceAll("-", " "))}: {r.rule}
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

const fitWords: Record<string, string> = {
  right: worded("swaps.rightForThis"),
  possible: "Possible",
};
const fitNotes: Record<string, string> = {
  right: worded("swaps.madeForWhatTheLineDoes"),
  possible: worded("swaps.doesItTooWithWhatIts"),
};

/** The candidates as they come, apart by how well they fit what the line does. */
export function fits(list: Candidate[]): [string, Candidate[]][] {
  return ["right", "possible"]
    .map((fit): [string, Candidate[]] => [fit, list.filter((c) => c.fit === fit)])
    .filter(([, group]) => group.length > 0);
}

interface RowProps {
  c: Candidate;
  /** The traits to compare. */
  compare: string[];
  used: boolean;
  use: (c: Candidate) => void;
  point: (c: Candidate | null) => void;
  amount: React.ReactNode;
}

/** By how many steps a trait must differ between candidates to be compared. */
const leastRange = 0.3;
const mostMoves = 9;

/** The traits that differ between the candidates, those that differ most first. */
export function telling(list: Candidate[]): string[] {
  const range = new Map<string, { low: number; high: number; pinned: boolean }>();
  for (const m of list.flatMap((c) => c.moves)) {
    const r = range.get(bandKey(m)) ?? { low: m.steps, high: m.steps, pinned: m.pinned };
    r.low = Math.min(r.low, m.steps);
    r.high = Math.max(r.high, m.steps);
    range.set(bandKey(m), r);
  }
  const spread = (k: string) => (range.get(k)?.high ?? 0) - (range.get(k)?.low ?? 0);
  return [...range.keys()]
    .filter((k) => list.length === 1 || range.get(k)?.pinned || spread(k) >= leastRange)
    .sort(
      (a, b) =>
        Number(range.get(b)?.pinned) - Number(range.get(a)?.pinned) || spread(b) - spread(a),
    )
    .slice(0, mostMoves);
}

/** Memoised: a dose of a booster leaves the rows as they are until new figures come. */
const Row = memo(function Row({ c, compare, used, use, point, amount }: RowProps) {
  const moves = compare.flatMap((k) => c.moves.filter((m) => bandKey(m) === k));
  const kept = c.moves.filter((m) => m.verdict === "kept").length;
  return (
    <article
      className={`candidate ${used ? "used" : ""}`}
      onPointerEnter={() => point(c)}
      onPointerLeave={() => point(null)}
      onFocus={() => point(c)}
      onBlur={() => point(null)}
    >
      <div>
        <h4>
          {c.swap.name}
          {c.first && <span className="quiet small"> {worded("swaps.whatACookTakesFirst")}</span>}
        </h4>
        <p className="reason">{c.swap.why}</p>
        <ul>
          {c.lines.map((l) => (
            <li key={l.text}>{l.text}</li>
          ))}
        </ul>
        <p className="aside">
          {c.swap.when} {c.swap.limits}
        </p>
        {c.homes.length > 0 && (
          <p className="aside">
            {c.stranger ? worded("swaps.fromOtherKitchens") : worded("swaps.atHome")}
            {c.homes.join(", ")}.
          </p>
        )}
        {c.swap.cautions.map((x) => (
          <p key={x} className="aside caution">
            {x}
          </p>
        ))}
      </div>
      <div>
        <div className="moves" aria-label={worded("swaps.whatItDoesToTheTraits")}>
          {moves.map((m) => (
            <span key={bandKey(m)} className={m.verdict}>
              <span>
                {m.pinned ? "● " : ""}
                {bandKey(m)}
              </span>
              <b>{signed(m.steps)}</b>
            </span>
          ))}
          <span className="kept">
            <span>{worded("swaps.kept")}</span>
            <b>{kept}</b>
          </span>
        </div>
        <p className="aside">
          {worded("swaps.minWorkMinWaiting", { hands: c.hands, wait: c.wait })}
          {c.kit.length > 0 && `; ${c.kit.join(", ")}`}. {gradeWords[c.grade]}
          {worded("swaps.costsAServingByThePrice", {
            which:
              c.allergens.length > 0
                ? worded("swaps.notFor", { allergens: c.allergens.join(", ") })
                : worded("swaps.noListedAllergen"),
            cost: c.cost.toFixed(2),
          })}
        </p>
        <p className="aside">{c.swap.ahead}</p>
      </div>
      <div>
        {used ? (
          <Button disabled block>
            {worded("swaps.inUse")}
          </Button>
        ) : (
          <Button
            type="primary"
            ghost
            block
            onClick={() => use(c)}
            aria-label={worded("swaps.use", { swapName: c.swap.name })}
          >
            {worded("swaps.useThis")}
          </Button>
        )}
        {amount}
      </div>
    </article>
  );
});

const gradeWords: Record<string, string> = {
  whole: worded("swaps.wholeFoods"),
  plain: worded("swaps.plainlyProcessed"),
  refined: worded("swaps.holdsRefinedFood"),
  analogue: "Ready-made",
};
