import type { DayView } from "../api/types";
import { dateOf, wall } from "./clock";
import { worded } from "../texts/worded";

/** The day as a list by time: for a phone, for print, for a screen reader. */
export function DayList({ view, choose }: { view: DayView; choose: (id: string) => void }) {
  const placed = new Map(view.plan.tasks.map((t) => [t.id, t]));
  const days: { date: string; jobs: typeof view.jobs }[] = [];
  for (const j of view.jobs) {
    const p = placed.get(j.id);
    if (!p) continue;
    const date = dateOf(p.start);
    const last = days[days.length - 1];
    if (last?.date === date) last.jobs.push(j);
    else days.push({ date, jobs: [j] });
  }
  return (
    <div className="day-list">
      {days.map((d) => (
        <section key={d.date}>
          <h2>{d.date}</h2>
          <table>
            <thead className="hidden-visually">
              <tr>
                <th>{worded("days.time")}</th>
                <th>{worded("days.what")}</th>
                <th>{worded("days.where")}</th>
              </tr>
            </thead>
            <tbody>
              {d.jobs.map((j) => {
                const p = placed.get(j.id);
                const progress = view.document.progress.find((x) => x.id === j.id);
                if (!p) return null;
                return (
                  <tr key={j.id} className={`${j.kind} ${progress?.done ? "done" : ""}`}>
                    <td className="at">
                      {wall(p.start)}
                      <span className="quiet small">–{wall(p.end)}</span>
                    </td>
                    <td>
                      <button className="as-text" onClick={() => choose(j.id)}>
                        <b>{j.name}</b>
                      </button>
                      <div className="small quiet">
                        {j.for.join(", ")}
                        {j.kind === "work" || j.kind === "mise" ? `: ${j.text}` : ""}
                      </div>
                    </td>
                    <td className="small">
                      {p.cook !== null && worded("days.cook2", { cook: p.cook + 1 })}
                      {p.rings.length > 0 &&
                        worded("days.ring2", { rings: p.rings.map((r) => r + 1).join(", ") })}
                      {j.oven && worded("days.ovenC", { celsius: j.oven.celsius })}
                      {j.kind === "wait" && worded("days.stands")}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </section>
      ))}
      <p>
        <b>{wall(view.document.serveAt)}</b> {worded("days.sitDown")}
      </p>
    </div>
  );
}
