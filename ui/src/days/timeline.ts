import type { DayView, Job, Placed } from "../api/types";
import { between } from "./clock";
import { worded } from "../texts/worded";

/** A bar on the timeline: a task in one lane. */
export interface Bar {
  id: string;
  job: Job;
  placed: Placed;
  x: number;
  y: number;
  width: number;
  height: number;
  /** The dish it belongs to, by its place in the menu; -1 for shared work. */
  dish: number;
  thin: boolean;
}

export interface Lane {
  name: string;
  y: number;
  height: number;
}

export interface Timeline {
  lanes: Lane[];
  bars: Bar[];
  /** Hours to rule lines at. */
  ticks: { x: number; label: string }[];
  /** What is done so early that it is folded to the left. */
  early: { job: Job; placed: Placed }[];
  width: number;
  height: number;
  left: number;
  /** Pixels a minute. */
  scale: number;
  /** The time at the left edge, in minutes before serving. */
  from: number;
}

/** What is finished longer than this before serving is folded away. */
const foldAfter = 10 * 60;
const nameWidth = 108;
const foldWidth = 150;
const rows = { cook: 48, ring: 26, oven: 26, kit: 24, wait: 12, gap: 7, top: 26 };

interface Row {
  name: string;
  height: number;
  thin: boolean;
  takes: (j: Job, p: Placed) => boolean;
  /** Several tasks may lie here at once, under each other. */
  stacked?: boolean;
}

/** Lays a planned day out in lanes, on a width. */
export function layOut(view: DayView, width: number, unfolded = false): Timeline {
  const serve = view.document.serveAt;
  const placed = new Map(view.plan.tasks.map((t) => [t.id, t]));
  const all = view.jobs.flatMap((job) => {
    const p = placed.get(job.id);
    return p ? [{ job, placed: p }] : [];
  });
  const isEarly = (p: Placed) => !unfolded && between(p.end, serve) > foldAfter;
  const early = all.filter((t) => isEarly(t.placed));
  const shown = all.filter((t) => !isEarly(t.placed));
  const left = nameWidth + (early.length > 0 ? foldWidth : 0);
  const from = Math.max(
    30,
    ...shown.map((t) =>
      Math.min(between(t.placed.start, serve), unfolded ? Infinity : foldAfter + 120),
    ),
  );
  const scale = (width - left - 14) / from;
  const x = (at: string) => left + Math.max(0, from - between(at, serve)) * scale;

  const kitchen = view.document.kitchen;
  const rowsOf: Row[] = [
    ...count(kitchen.cooks, (k) => ({
      name: worded("days.cook3", { k: k + 1 }),
      height: rows.cook,
      thin: false,
      takes: (_: Job, p: Placed) => p.cook === k,
    })),
    ...count(kitchen.rings, (k) => ({
      name: worded("days.ring3", { k: k + 1 }),
      height: rows.ring,
      thin: false,
      takes: (_: Job, p: Placed) => p.rings.includes(k),
    })),
    ...kitchen.ovens.map((_, k) => ({
      name: kitchen.ovens.length > 1 ? worded("days.oven", { k: k + 1 }) : "Oven",
      height: rows.oven,
      thin: false,
      stacked: true,
      takes: (_: Job, p: Placed) => p.oven === k,
    })),
    ...[...new Set(view.jobs.flatMap((j) => j.kit ?? []))].sort().map((kit) => ({
      name: kit,
      height: rows.kit,
      thin: false,
      stacked: true,
      takes: (j: Job) => (j.kit ?? []).includes(kit),
    })),
    {
      name: "Standing",
      height: rows.wait,
      thin: true,
      stacked: true,
      takes: (j: Job) => j.kind === "wait",
    },
  ];
  const dishes = view.document.dishes.map((d) => view.names[d.id]);
  const lanes: Lane[] = [];
  const bars: Bar[] = [];
  let y = rows.top;
  for (const row of rowsOf) {
    const inRow = shown.filter((t) => row.takes(t.job, t.placed));
    if (inRow.length === 0 && row.thin) continue;
    const depth = row.stacked ? stack(inRow.map((t) => t.placed)) : inRow.map(() => 0);
    const deep = Math.max(1, ...depth.map((d) => d + 1));
    inRow.forEach((t, i) => {
      const start = x(t.placed.start);
      bars.push({
        id: t.job.id,
        job: t.job,
        placed: t.placed,
        x: start,
        y: y + (depth[i] ?? 0) * row.height + 2,
        width: Math.max(3, x(t.placed.end) - start - 1),
        height: row.height - 4,
        dish: t.job.course === "" ? -1 : dishes.indexOf(t.job.course),
        thin: row.thin,
      });
    });
    lanes.push({ name: row.name, y, height: deep * row.height });
    y += deep * row.height + rows.gap;
  }
  const ticks: Timeline["ticks"] = [];
  const [hour = 0, min = 0] = serve.slice(11, 16).split(":").map(Number);
  const step = from > 14 * 60 ? 120 : from > 5 * 60 ? 60 : 30;
  for (let before = (hour * 60 + min) % step; before <= from; before += step) {
    const at = (((hour * 60 + min - before) % 1440) + 1440) % 1440;
    const label = `${String(Math.floor(at / 60)).padStart(2, "0")}:${String(at % 60).padStart(2, "0")}`;
    ticks.push({ x: left + (from - before) * scale, label });
  }
  return { lanes, bars, ticks, early, width, height: y + 4, left, scale, from };
}

function count<T>(n: number, make: (k: number) => T): T[] {
  return Array.from({ length: Math.max(0, n) }, (_, k) => make(k));
}

/** The row under each other that each task goes to, so that none overlap. */
function stack(tasks: Placed[]): number[] {
  const free: number[] = [];
  return tasks.map((t) => {
    const start = Date.parse(t.start);
    let at = free.findIndex((end) => end <= start);
    if (at < 0) at = free.push(0) - 1;
    free[at] = Date.parse(t.end);
    return at;
  });
}

/** As many whole words as there is room for, with a sign that there are more. */
function shortened(line: string, room: number): string {
  const words = line.split(" ");
  while (words.length > 0 && words.join(" ").length + 1 > room) words.pop();
  return `${words.join(" ")}…`;
}

/** Breaks a text into lines of so many letters, the last cut short. */
export function wrap(text: string, room: number, lines: number): string[] {
  const out: string[] = [];
  let rest = text.split(" ");
  while (rest.length > 0 && out.length < lines) {
    let line = rest[0] ?? "";
    let used = 1;
    while (used < rest.length && `${line} ${rest[used]}`.length <= room) {
      line += ` ${rest[used]}`;
      used += 1;
    }
    rest = rest.slice(used);
    const last = out.length === lines - 1;
    if (line.length > room || (last && rest.length > 0)) {
      out.push(shortened(line, room));
      break;
    }
    out.push(line);
  }
  return out;
}
