import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter, Route, Routes } from "react-router";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";

import type { DayDocument, DayView, Job, Placed } from "../api/types";
import DayPage from "./DayPage";
import DaysPage from "./DaysPage";
import { between, dateOf, later, momentIn, span, wall, withZone } from "./clock";
import { layOut, wrap } from "./timeline";

const serveAt = "2026-12-05T19:30:00+01:00";

function job(id: string, change: Partial<Job> = {}): Job {
  return {
    id,
    minutes: 30,
    hands: 1,
    rings: 0,
    oven: null,
    kit: [],
    after: [],
    serveWithin: null,
    startAt: null,
    course: "Stew",
    for: ["Stew"],
    part: "",
    name: `Do ${id}`,
    text: `Do ${id} until done.`,
    cue: "until done",
    kind: "work",
    said: `Do ${id} until done.`,
    takes: [],
    readies: [],
    rate: 0,
    share: 0,
    loss: "",
    bands: [],
    care: [],
    ...change,
  };
}

function at(id: string, before: number, minutes: number, change: Partial<Placed> = {}): Placed {
  return {
    id,
    start: later(serveAt, -before),
    end: later(serveAt, minutes - before),
    cook: null,
    rings: [],
    oven: null,
    ...change,
  };
}

function view(): DayView {
  return {
    id: "e1",
    version: 3,
    document: {
      name: "Supper",
      serveAt,
      kitchen: { cooks: 2, rings: 2, ovens: [{ shelves: 2 }], kit: { blender: 1 }, awake: null },
      dishes: [{ id: "d1", servings: 12 }],
      pins: {},
      progress: [],
      now: "",
      have: {},
      ticked: [],
    },
    names: { d1: "Stew" },
    missing: [],
    aside: [],
    jobs: [
      job("soak", { kind: "wait", hands: 0, minutes: 480 }),
      job("chop"),
      job("slice"),
      job("simmer", { kind: "cook", hands: 0, rings: 1, minutes: 60 }),
      job("bake", { kind: "cook", hands: 0, oven: { celsius: 180, shelves: 1 }, minutes: 45 }),
      job("gratin", { kind: "cook", hands: 0, oven: { celsius: 185, shelves: 1 }, minutes: 30 }),
    ],
    plan: {
      feasible: true,
      tasks: [
        at("soak", 1200, 480),
        at("chop", 120, 30, { cook: 0 }),
        at("slice", 110, 30, { cook: 1 }),
        at("simmer", 90, 60, { rings: [1] }),
        at("bake", 50, 45, { oven: 0 }),
        at("gratin", 40, 30, { oven: 0 }),
      ],
      startAt: later(serveAt, -1200),
      spanMinutes: 1200,
      boundMinutes: 1200,
      optimal: true,
      conflicts: [],
    },
    options: [],
    shopping: {
      items: [
        {
          key: "onion",
          food: "onion",
          form: "",
          name: "onion",
          aisle: "vegetables",
          needed: 500,
          bought: 550,
          have: 0,
          packs: 1,
          packName: "bag",
          packGrams: 1000,
          left: 450,
          leftUse: "450 g left",
          shown: "1 bag of 1 kg",
          label: "",
          substitutes: ["Leeks"],
          uses: [{ dish: "Stew", text: "500 g onions", grams: 500 }],
          cost: 1.2,
          unknown: false,
        },
      ],
      spare: ["Skins go to the stock."],
      cost: 1.2,
    },
  };
}

describe("the clock of a day", () => {
  it("keeps the zone of serving", () => {
    expect(wall(serveAt)).toBe("19:30");
    expect(dateOf(serveAt)).toBe(
      "Sat, 5 Dec".replace(",", dateOf(serveAt).includes(",") ? "," : ""),
    );
    expect(later(serveAt, -45)).toBe("2026-12-05T18:45:00+01:00");
    expect(later(serveAt, 300)).toBe("2026-12-06T00:30:00+01:00");
    expect(between("2026-12-05T18:00:00Z", serveAt)).toBe(30);
    expect(momentIn(serveAt, Date.parse("2026-12-05T18:00:00Z"))).toBe("2026-12-05T19:00:00+01:00");
    expect(withZone("2026-12-05T19:30")).toMatch(/^2026-12-05T19:30:00(Z|[+-]\d\d:\d\d)$/);
    expect([span(45), span(60), span(95)]).toEqual(["45 min", "1 h", "1 h 35 min"]);
  });
});

describe("the timeline", () => {
  it("puts every task in its lane, none over another", () => {
    const t = layOut(view(), 1200, true);
    expect(t.lanes.map((l) => l.name)).toEqual([
      "Cook 1",
      "Cook 2",
      "Ring 1",
      "Ring 2",
      "Oven",
      "Standing",
    ]);
    expect(new Set(t.bars.map((b) => b.id)).size).toBe(6);
    for (const a of t.bars) {
      expect(a.x).toBeGreaterThanOrEqual(t.left - 0.01);
      expect(a.x + a.width).toBeLessThanOrEqual(t.width);
      for (const b of t.bars) {
        const apart =
          a.x + a.width <= b.x ||
          b.x + b.width <= a.x ||
          a.y + a.height <= b.y ||
          b.y + b.height <= a.y;
        expect(a === b || apart).toBe(true);
      }
    }
    const bake = t.bars.find((b) => b.id === "bake");
    const gratin = t.bars.find((b) => b.id === "gratin");
    expect(bake?.y).not.toBe(gratin?.y);
  });

  it("breaks names so that they fit on a bar", () => {
    expect(wrap("A Fry the onions", 8, 3)).toEqual(["A Fry", "the", "onions"]);
    expect(wrap("A Fry the onions gently", 8, 2)).toEqual(["A Fry", "the…"]);
    expect(wrap("Caramelised", 6, 1)).toEqual(["…"]);
    expect(wrap("Sear the mushrooms", 9, 1)).toEqual(["Sear the…"]);
    expect(wrap("Fry", 6, 1)).toEqual(["Fry"]);
  });

  it("folds what is made long before to the left", () => {
    const t = layOut(view(), 1200);
    expect(t.early.map((e) => e.job.id)).toEqual(["soak"]);
    expect(t.bars.some((b) => b.id === "soak")).toBe(false);
    expect(t.from).toBeLessThan(200);
  });
});

let ticks: { item: string; on: boolean }[] = [];
let kept: DayDocument[];
let answer: DayView;

beforeEach(() => {
  kept = [];
  ticks = [];
  answer = view();
  vi.stubGlobal("fetch", async (path: string, init: RequestInit = {}) => {
    if (path === "/api/days" && init.method === "POST") {
      return Response.json({ ...answer, id: "e2" }, { status: 201 });
    }
    if (path === "/api/stove") return Response.json([]);
    if (path === "/api/days/e1/tick") {
      const t = JSON.parse(String(init.body)) as { item: string; on: boolean };
      ticks.push(t);
      return Response.json(t.on ? [t.item] : []);
    }
    if (path === "/api/days") {
      return Response.json([{ id: "e1", name: "Supper", serveAt, dishes: ["Stew"] }]);
    }
    if (path.startsWith("/api/dishes")) {
      return Response.json([{ id: "d1", name: "Stew", place: "", open: 0, swaps: 1, threads: [] }]);
    }
    if (init.method === "PUT") {
      const document = JSON.parse(String(init.body)) as DayDocument;
      kept.push(document);
      answer = { ...answer, version: answer.version + 1, document };
    }
    return Response.json(answer);
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function open(path: string) {
  return render(
    <QueryClientProvider
      client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}
    >
      <MemoryRouter initialEntries={[path]}>
        <Routes>
          <Route path="/days" element={<DaysPage />} />
          <Route path="/days/:id" element={<DayPage />} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

describe("a day", () => {
  it("pins by key, says what a task is, and keeps what has begun", async () => {
    open("/days/e1");
    const bar = await screen.findByRole("button", { name: /^Do chop, / });
    fireEvent.focus(bar);
    const task = await screen.findByRole("region", { name: "Chosen task" });
    expect(task.textContent).toContain("17:30–18:00");
    expect(task.textContent).toContain("cook 1");
    fireEvent.keyDown(bar, { key: "ArrowLeft" });
    await waitFor(() => expect(kept[0]?.pins).toEqual({ chop: "2026-12-05T17:25:00+01:00" }));
    fireEvent.click(await screen.findByRole("button", { name: "Unpin" }));
    await waitFor(() => expect(kept[1]?.pins).toEqual({}));
    fireEvent.click(await screen.findByRole("button", { name: "Begun now" }));
    await waitFor(() =>
      expect(kept[2]?.progress[0]).toMatchObject({ id: "chop", minutes: 30, done: false }),
    );
    expect(kept[2]?.now).not.toBe("");
    fireEvent.click(await screen.findByRole("button", { name: "Takes 5 min longer" }));
    await waitFor(() => expect(kept[3]?.progress[0]?.minutes).toBe(35));
    fireEvent.click(await screen.findByRole("button", { name: "Done" }));
    await waitFor(() => expect(kept[4]?.progress[0]?.done).toBe(true));
  });

  it("says in words what cannot be, and takes a way out", async () => {
    answer.plan = {
      ...answer.plan,
      feasible: false,
      tasks: [],
      startAt: null,
      conflicts: [
        { tasks: ["chop"], text: 'These cannot all be met: "chop" is served within 5 minutes.' },
      ],
    };
    answer.options = [
      {
        text: "Serve 10 minutes later, at 19:40.",
        serveAt: later(serveAt, 10),
        cooks: 0,
        without: [],
      },
      { text: "With one more cook.", serveAt: "", cooks: 3, without: [] },
      { text: "Without Stew.", serveAt: "", cooks: 0, without: ["chop"] },
    ];
    open("/days/e1");
    const alert = await screen.findByRole("alert");
    expect(alert.textContent).toContain("“Do chop” is served within 5 minutes");
    const ways = within(alert).getAllByRole("button", { name: "Do this" });
    for (const way of ways) fireEvent.click(way);
    await waitFor(() => expect(kept).toHaveLength(3));
    expect(kept[0]?.serveAt).toBe(later(serveAt, 10));
    expect(kept[1]?.kitchen.cooks).toBe(3);
    expect(kept[2]?.dishes).toEqual([]);
  });

  it("shows what was said of tasks that are gone", async () => {
    answer.aside = [
      { id: "x", name: "Flake the fish", start: "2026-12-05T17:10:00Z", minutes: 5, done: true },
    ];
    open("/days/e1");
    const note = await screen.findByText(/no longer in the plan/);
    expect(note.textContent).toContain("Flake the fish, begun 17:10, done");
  });

  it("ticks off the shopping and takes off what is in the house", async () => {
    open("/days/e1");
    fireEvent.click(await screen.findByText("Shopping"));
    expect(screen.getByText(/1 of 1 to get/)).toBeDefined();
    expect(screen.getByText(/Leeks/)).toBeDefined();
    fireEvent.click(screen.getByRole("checkbox", { name: /onion/ }));
    await waitFor(() => expect(ticks).toEqual([{ item: "onion", on: true }]));
    expect(screen.getByText(/0 of 1 to get/)).toBeDefined();
    const house = screen.getByLabelText("Grams of onion in the house");
    fireEvent.change(house, { target: { value: "300" } });
    await waitFor(() => expect(kept[0]?.have).toEqual({ onion: 300 }));
  });

  it("changes dishes and servings", async () => {
    open("/days/e1");
    fireEvent.click(await screen.findByText("Dishes"));
    fireEvent.change(await screen.findByLabelText("Servings of Stew"), { target: { value: "8" } });
    await waitFor(() => expect(kept[0]?.dishes).toEqual([{ id: "d1", servings: 8 }]));
    fireEvent.click(screen.getByRole("checkbox", { name: /Stew/ }));
    await waitFor(() => expect(kept[1]?.dishes).toEqual([]));
  });
});

it("lists days and will not plan one without a time and dishes", async () => {
  open("/days");
  expect((await screen.findByRole("link", { name: /Supper/ })).textContent).toContain("19:30");
  fireEvent.change(screen.getByLabelText("Name of the day"), { target: { value: "Lunch" } });
  expect(screen.getByRole("button", { name: "Plan the day" }).hasAttribute("disabled")).toBe(true);
});
