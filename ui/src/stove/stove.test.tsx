import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter, Route, Routes } from "react-router";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";

import type { Event, StoveMove, StoveNotice, StoveStep, StoveView } from "../api/types";
import { drop, flush, push, screenName, waiting } from "./queue";
import { answersTo } from "./Says";
import StovePage from "./StovePage";
import { clockOf, countdown, gone, inMinutes, plannedWords } from "./words";

const begun = Date.parse("2026-12-05T17:00:00Z");
const minute = 60_000;

function move(id: string, change: Partial<StoveMove> = {}): StoveMove {
  return {
    id,
    for: ["Goulash"],
    part: "",
    say: `Do ${id}.`,
    name: `Do ${id}`,
    text: `Do ${id} until done.`,
    cue: "until done",
    kind: "work",
    hands: true,
    minutes: 5,
    takes: [],
    readies: [],
    after: [],
    rate: 0,
    share: 0,
    loss: "",
    bands: [],
    care: [],
    fire: false,
    start: begun,
    end: begun + 5 * minute,
    cook: 1,
    ...change,
  };
}

function step(m: StoveMove): StoveStep {
  return {
    move: m,
    start: m.start,
    timer: null,
    ready: true,
    takes: m.takes.map((t) => ({
      ...t,
      name: t.what,
      held: false,
      gone: false,
      weighed: 0,
      instead: "",
      made: false,
    })),
  };
}

const fry = move("fry", {
  takes: [
    { line: "l1", share: 1, text: "200 g onion", much: "200 g", what: "onion", grams: 200 },
    { line: "l2", share: 1, text: "1 tsp salt", much: "1 tsp", what: "salt", grams: 6 },
  ],
});

function kitchen(change: Partial<StoveView["now"]> = {}): StoveView {
  const empty = { moves: {}, in: {}, used: {}, instead: {}, gone: {}, held: {}, lately: {} };
  return {
    id: "c1",
    program: {
      name: "Thursday",
      knowledge: "",
      begun,
      serveAt: 0,
      day: "",
      dishes: [],
      cooks: 2,
      factors: {},
      lines: [],
      bands: [
        {
          id: "holding",
          name: "kept hot",
          chosen: true,
          say: "60 °C and above",
          caution: "Heat it through.",
        },
      ],
      moves: [fry, move("boil")],
    },
    now: {
      state: {
        ...empty,
        timers: [],
        weighing: null,
        pots: {},
        watches: {},
        answered: {},
        first: [],
        last: [],
        lanes: {},
        plan: {},
        different: [],
        ended: 0,
        endedBy: 0,
        n: 3,
      },
      view: {
        clock: begun + minute,
        done: 0,
        of: 2,
        behind: 0,
        fire: [],
        board: [],
        says: [],
        lanes: [{ cook: 0, now: step(fry), wait: "", next: [step(move("boil"))] }],
      },
      weight: null,
      last: 3,
      kept: false,
      ...change,
    },
  };
}

let told: Event[] = [];
let data = kitchen();
let line: "up" | "down" = "up";

beforeEach(() => {
  told = [];
  data = kitchen();
  line = "up";
  localStorage.clear();
  vi.stubGlobal("fetch", async (path: string, init: RequestInit = {}) => {
    if (line === "down") throw new TypeError("no line");
    let body: unknown = data;
    if (path.includes("/events")) {
      const e = JSON.parse(String(init.body)) as Event;
      if (e.text === "nonsense") return answer({ title: "No", detail: "No." }, 422);
      told.push(e);
      body = { ...data.now, state: { ...data.now.state, n: data.now.state.n + told.length } };
    } else if (path.includes("/different")) {
      body = [
        {
          say: "250 g onion",
          kind: "amount",
          move: "fry",
          line: "l1",
          amount: 250,
          of: 0,
          search: false,
        },
        {
          say: "other than onion",
          kind: "food",
          move: "fry",
          line: "l1",
          amount: 0,
          of: 0,
          search: true,
        },
      ];
    } else if (path.includes("/foods")) {
      body = [{ id: "leek", name: "leek", origin: "plant", checkLabel: false, own: "" }];
    } else if (path.includes("/summary")) {
      body = {
        minutes: 95,
        planned: 90,
        late: 5,
        unused: [],
        say: "One thing was different.",
        different: [{ n: 9, at: begun, move: "", line: "", text: "Leek instead of onion." }],
        times: [{ move: "boil", name: "Boil", planned: 10, took: 14 }],
        weighed: [
          {
            loss: "simmered",
            foreseen: 300,
            lost: 360,
            before: 2500,
            minutes: 10,
            what: "Boil",
            dish: "Goulash",
            cook: "",
            at: begun,
          },
        ],
      };
    }
    return answer(body, 200);
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function answer(body: unknown, status: number): Response {
  return new Response(JSON.stringify(body), {
    status,
    headers: { "Content-Type": "application/json" },
  });
}

function open() {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  render(
    <QueryClientProvider client={queries}>
      <MemoryRouter initialEntries={["/stove/c1"]}>
        <Routes>
          <Route path="/stove/:id" element={<StovePage />} />
          <Route path="/days" element={<p>the days</p>} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

const kinds = () => told.map((e) => e.kind);

describe("words of the stove", () => {
  it("counts down and over", () => {
    expect(countdown(begun + 725_000, begun)).toBe("12:05");
    expect(countdown(begun + 3_725_000, begun)).toBe("1:02:05");
    expect(countdown(begun, begun + 40_000)).toBe("−0:40");
    expect(gone(begun, begun + 100, begun + 25)).toBe(0.25);
    expect(gone(begun, begun + 100, begun + 900)).toBe(1);
  });
  it("says when something is planned, only where that is not now", () => {
    expect(inMinutes(75)).toBe("1 h 15 min");
    expect(plannedWords(begun, begun)).toBe("");
    expect(plannedWords(begun + 20 * minute, begun)).toBe(
      `planned for ${clockOf(begun + 20 * minute)}, in 20 min`,
    );
    expect(plannedWords(begun + 3 * 24 * 60 * minute, begun)).toContain("planned for Tue 8 Dec");
    expect(plannedWords(0, begun)).toBe("");
  });
});

describe("taps that wait", () => {
  const tap = (key: string) => ({
    cook: "c1",
    event: { n: 0, at: 0, key, screen: "s", kind: "done", move: "fry" },
  });
  it("are sent in order, once, and kept while the line is gone", async () => {
    push(tap("a"));
    push(tap("b"));
    const sent: string[] = [];
    let up = false;
    const send = async (w: { event: Event }) => {
      if (!up && w.event.key === "b") throw new Error("gone");
      sent.push(w.event.key);
    };
    expect(
      await flush(
        send,
        () => true,
        () => undefined,
      ),
    ).toBe("later");
    expect(waiting().map((w) => w.event.key)).toEqual(["b"]);
    up = true;
    expect(
      await flush(
        send,
        () => true,
        () => undefined,
      ),
    ).toBe("sent");
    expect(sent).toEqual(["a", "b"]);
    expect(waiting()).toEqual([]);
  });
  it("that are refused are dropped and said, and keep nobody behind them", async () => {
    push(tap("bad"));
    push(tap("good"));
    const said: unknown[] = [];
    const sent: string[] = [];
    await flush(
      async (w) => {
        if (w.event.key === "bad") throw new Error("no");
        sent.push(w.event.key);
      },
      () => false,
      (e) => said.push(e),
    );
    expect(sent).toEqual(["good"]);
    expect(said).toHaveLength(1);
    drop("nothing");
    localStorage.setItem("yembra.stove.waiting", "{broken");
    expect(waiting()).toEqual([]);
    expect(screenName()).toBe(screenName());
  });
});

it("answers everything it says with taps", () => {
  const notice = (kind: string): StoveNotice => ({
    id: "n 1",
    kind,
    text: "",
    grave: true,
    move: "m",
    line: "l",
    timer: 7,
  });
  expect(answersTo(notice("timer")).map(([say]) => say)).toEqual([
    "Done",
    "2 more minutes",
    "5 more",
  ]);
  expect(answersTo(notice("timer"))[1]?.[1]).toEqual({ kind: "longer", of: 7, amount: 2 });
  expect(answersTo(notice("forgotten"))[0]?.[1]).toEqual({ kind: "in", line: "l" });
  expect(answersTo(notice("unused"))).toHaveLength(4);
  expect(answersTo(notice("late"))[0]?.[1]).toEqual({ kind: "seen", text: "n 1" });
});

describe("the stove", () => {
  it("shows one thing to do with what goes in, and takes it by one tap or key", async () => {
    open();
    await screen.findByRole("heading", { name: "Do fry." });
    const takes = screen.getByRole("list", { name: "Goes in now" });
    expect(within(takes).getByText("200 g")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Done" }));
    await waitFor(() => expect(kinds()).toEqual(["done"]));
    fireEvent.keyDown(window, { key: "Enter" });
    fireEvent.keyDown(window, { key: "2" });
    fireEvent.keyDown(window, { key: "Backspace" });
    await waitFor(() => expect(kinds()).toEqual(["done", "done", "held", "undo"]));
    expect(told[2]?.line).toBe("l2");
    expect(told[3]?.of).toBe(3);
    expect(new Set(told.map((e) => e.key)).size).toBe(4);
    fireEvent.click(screen.getByRole("button", { name: /^Weigh onion/ }));
    await waitFor(() => expect(told.at(-1)).toMatchObject({ kind: "weigh", line: "l1" }));
  });

  it("keeps taps while the line is gone, and says so", async () => {
    open();
    await screen.findByRole("heading", { name: "Do fry." });
    line = "down";
    fireEvent.click(screen.getByRole("button", { name: "Done" }));
    await screen.findByText(/One tap waits/);
    expect(waiting()).toHaveLength(1);
    line = "up";
    await waitFor(() => expect(kinds()).toEqual(["done"]), { timeout: 5000 });
  });

  it("offers what is likely to be different as taps, another food by search", async () => {
    open();
    await screen.findByRole("heading", { name: "Do fry." });
    fireEvent.keyDown(window, { key: "d" });
    fireEvent.click(await screen.findByRole("button", { name: "250 g onion" }));
    await waitFor(() => expect(told[0]).toMatchObject({ kind: "amount", line: "l1", amount: 250 }));
    fireEvent.click(screen.getByRole("button", { name: /^Different/ }));
    fireEvent.click(await screen.findByRole("button", { name: "other than onion" }));
    fireEvent.change(screen.getByLabelText("Search the larder"), { target: { value: "lee" } });
    fireEvent.click(await screen.findByRole("button", { name: "leek" }));
    await waitFor(() =>
      expect(told[1]).toMatchObject({ kind: "food", food: "leek", text: "leek" }),
    );
    fireEvent.click(screen.getByRole("button", { name: /^Different/ }));
    fireEvent.click(await screen.findByRole("button", { name: "in my own words" }));
    fireEvent.change(screen.getByLabelText("What was different"), { target: { value: "lid on" } });
    fireEvent.click(screen.getByRole("button", { name: "Keep" }));
    await waitFor(() => expect(told[2]).toMatchObject({ kind: "word", text: "lid on" }));
  });

  it("starts timers, answers them, and watches bands", async () => {
    const boil = move("boil", { hands: false, kind: "cook", minutes: 20, loss: "simmered" });
    const timer = {
      n: 5,
      move: "boil",
      name: "Boil",
      cue: "until tender",
      minutes: 20,
      begun,
      ends: begun + 2 * minute,
      over: 0,
    };
    data = kitchen();
    data.now.view.lanes = [{ cook: 0, now: step(boil), wait: "", next: [] }];
    data.now.view.fire = [{ move: boil, timer }];
    data.now.state.watches = {
      holding: {
        band: "holding",
        move: "",
        since: begun,
        reached: begun,
        left: begun,
        celsius: 52,
      },
    };
    open();
    fireEvent.click(await screen.findByRole("button", { name: "Start 20 min" }));
    await waitFor(() => expect(told[0]).toMatchObject({ kind: "timer", move: "boil", amount: 20 }));
    fireEvent.click(screen.getByRole("button", { name: /^Boil, .* left, look: until tender/ }));
    fireEvent.click(await screen.findByRole("button", { name: "5 more minutes" }));
    await waitFor(() => expect(told[1]).toMatchObject({ kind: "longer", of: 5, amount: 5 }));
    expect(screen.getByText(/Heat it through/)).toBeTruthy();
    fireEvent.keyDown(window, { key: "w" });
    fireEvent.click(await screen.findByRole("button", { name: "it all, before" }));
    await waitFor(() =>
      expect(told[2]).toMatchObject({ kind: "weigh", move: "boil", text: "before" }),
    );
  });

  it("turns each way of calling off by itself", async () => {
    open();
    await screen.findByRole("heading", { name: "Do fry." });
    fireEvent.keyDown(window, { key: "?" });
    fireEvent.click(await screen.findByRole("button", { name: "Sound: on" }));
    await screen.findByRole("button", { name: "Sound: off" });
    expect(screen.getByRole("button", { name: "Flash: on" })).toBeTruthy();
    expect(localStorage.getItem("yembra.stove.calls")).toContain('"sound":false');
  });

  it("ends when all is used, and is kept with words", async () => {
    data = kitchen();
    data.now.view.done = 2;
    data.now.view.lanes = [{ cook: 0, now: null, wait: "", next: [] }];
    data.now.view.says = [
      {
        id: "unused l2",
        kind: "unused",
        text: "Salt was not used. Why?",
        grave: false,
        move: "",
        line: "l2",
        timer: 0,
      },
    ];
    open();
    await screen.findByRole("heading", { name: "All is done." });
    expect(screen.getByRole<HTMLButtonElement>("button", { name: "End" }).disabled).toBe(true);
    fireEvent.click(screen.getByRole("button", { name: "not in the house" }));
    await waitFor(() =>
      expect(told[0]).toMatchObject({ kind: "left-out", line: "l2", text: "not in the house" }),
    );
    cleanup();
    data.now.state.ended = begun;
    data.now.state.endedBy = 8;
    open();
    await screen.findByText("Leek instead of onion.");
    expect(screen.getByText(/lost 360 g of 2500 g, 300 g foreseen/)).toBeTruthy();
    expect(screen.getByText("14 min instead of 10 min")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Back to the stove" }));
    await waitFor(() => expect(told[1]).toMatchObject({ kind: "undo", of: 8 }));
    fireEvent.change(screen.getByLabelText("How was it?"), { target: { value: "Good." } });
    fireEvent.click(screen.getByRole("button", { name: "Keep as trial" }));
    await screen.findByText(/with everything that was different/);
    fireEvent.click(screen.getByRole("button", { name: "Let go" }));
    await screen.findByText(/stands in no list any more/);
    fireEvent.click(screen.getByRole("button", { name: "Bring it back" }));
    await screen.findByRole("button", { name: "Let go" });
  });

  it("says what the server will not take", async () => {
    open();
    await screen.findByRole("heading", { name: "Do fry." });
    fireEvent.keyDown(window, { key: "d" });
    fireEvent.click(await screen.findByRole("button", { name: "in my own words" }));
    fireEvent.change(screen.getByLabelText("What was different"), {
      target: { value: "nonsense" },
    });
    fireEvent.click(screen.getByRole("button", { name: "Keep" }));
    await screen.findByText("No.");
    expect(waiting()).toEqual([]);
  });
});
