import { Button } from "antd";

import type { DayDocument, DayView, Job } from "../api/types";
import { between, dateOf, momentIn, span, wall } from "./clock";
import { worded } from "../texts/worded";

interface Props {
  view: DayView;
  id: string | null;
  change: (d: Partial<DayDocument>) => void;
  now: () => number;
}

/** One task in full, with what can be done to it. */
export function Chosen({ view, id, change, now }: Props) {
  const job = view.jobs.find((j) => j.id === id);
  const placed = view.plan.tasks.find((t) => t.id === id);
  if (!job || !placed) {
    return <p className="quiet chosen-task">{worded("days.chooseATaskToReadIt")}</p>;
  }
  const d = view.document;
  const pinned = job.id in d.pins;
  const progress = d.progress.find((p) => p.id === job.id);
  const moment = () => momentIn(d.serveAt, now());
  const set = (p: { minutes: number; start: string; done: boolean }) =>
    change({
      now: moment(),
      progress: [...d.progress.filter((x) => x.id !== job.id), { id: job.id, ...p }],
    });
  return (
    <section className="chosen-task" aria-label={worded("days.chosenTask")} aria-live="polite">
      <h3>
        {job.name}{" "}
        <span className="quiet">
          {dateOf(placed.start)} {wall(placed.start)}–{wall(placed.end)} · {span(job.minutes)}
        </span>
      </h3>
      <p>
        <b>{job.for.join(", ")}</b>
        {job.part && ` · ${job.part}`}: {job.text}
      </p>
      <p className="quiet small">
        {where(job, placed)}
        {job.cue && ` · ${job.cue}`}
      </p>
      <p className="acts">
        {pinned ? (
          <Button
            size="small"
            onClick={() =>
              change({
                pins: Object.fromEntries(Object.entries(d.pins).filter(([k]) => k !== job.id)),
              })
            }
          >
            {worded("days.unpin")}
          </Button>
        ) : (
          <Button
            size="small"
            onClick={() => change({ pins: { ...d.pins, [job.id]: placed.start } })}
          >
            {worded("days.pinHere")}
          </Button>
        )}
        {!progress && (
          <Button
            size="small"
            onClick={() => set({ start: moment(), minutes: job.minutes, done: false })}
          >
            {worded("days.begunNow")}
          </Button>
        )}
        {progress && !progress.done && (
          <>
            <Button
              size="small"
              type="primary"
              onClick={() =>
                set({
                  start: progress.start,
                  minutes: Math.max(0, Math.round(between(progress.start, moment()))),
                  done: true,
                })
              }
            >
              {worded("days.done")}
            </Button>
            <Button
              size="small"
              onClick={() => set({ ...progress, minutes: progress.minutes + 5 })}
            >
              {worded("days.takes5MinLonger")}
            </Button>
          </>
        )}
        {progress && (
          <Button
            size="small"
            type="link"
            onClick={() => change({ progress: d.progress.filter((x) => x.id !== job.id) })}
          >
            {worded("days.notBegunAfterAll")}
          </Button>
        )}
      </p>
    </section>
  );
}

function where(job: Job, p: { cook: number | null; rings: number[]; oven: number | null }): string {
  const parts = [];
  if (p.cook !== null) parts.push(worded("days.cook", { cook: p.cook + 1 }));
  if (p.rings.length > 0)
    parts.push(worded("days.ring", { rings: p.rings.map((r) => r + 1).join(", ") }));
  if (p.oven !== null && job.oven)
    parts.push(worded("days.ovenAtC", { oven: p.oven + 1, celsius: job.oven.celsius }));
  if (job.kit && job.kit.length > 0) parts.push(job.kit.join(", "));
  if (parts.length === 0) parts.push(worded("days.byItself"));
  return parts.join(" · ");
}
