import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";

import type { NextChange, SheetView, TastingView, TrialView } from "../api/types";
import { DishContext, type OpenDish } from "../dish/useDish";
import { Knots } from "./Knots";
import { Results } from "./Results";
import { SheetForm, readSheet } from "./SheetForm";
import { Triangle } from "./Triangle";

interface Sent {
  taster: string;
  name: string;
  odd: number;
  said: { letter: string; liking: number; traits: Record<string, number> }[];
}

let sent: Sent[] = [];
let status = 200;
let answer: unknown = {};
const next: NextChange[] = [
  {
    letter: "A",
    trait: "smoke",
    side: "too-little",
    cost: 1.2,
    n: 2,
    ways: [
      {
        dose: { food: "smoked-paprika", form: "", grams: 2, component: 0, why: "" },
        line: "",
        factor: 0,
        step: "",
        minutes: null,
        say: "1 tsp smoked paprika more: smoke +0.6 steps",
        steps: 0.6,
        also: [],
      },
      {
        dose: null,
        line: "l4",
        factor: 1.25,
        step: "",
        minutes: null,
        say: "A quarter more smoked tofu, 250 g instead of 200 g: smoke +0.3 steps",
        steps: 0.3,
        also: [],
      },
      {
        dose: null,
        line: "",
        factor: 0,
        step: "s2",
        minutes: { low: 30, high: 30 },
        say: "Simmer for 30 minutes instead of 20: smoke +0.2 steps",
        steps: 0.2,
        also: [],
      },
    ],
  },
];
beforeEach(() => {
  sent = [];
  status = 200;
  localStorage.clear();
  vi.stubGlobal("fetch", async (path: string, init: RequestInit = {}) => {
    if (path.endsWith("/next")) return Response.json(next);
    if (status === 0) throw new TypeError("no line");
    if (init.body) sent.push(JSON.parse(String(init.body)) as Sent);
    return new Response(JSON.stringify(status === 200 ? answer : { title: "Over" }), { status });
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const sheet: SheetView = {
  name: "Thursday",
  dish: "Cullen skink",
  letters: ["B", "A"],
  names: ["", ""],
  traits: ["smoke"],
  closed: false,
  taster: "",
  said: [],
  by: "",
  guests: [],
  triangle: false,
  tray: 0,
  odd: 0,
};

it("keeps every tap, sends it, and takes it back", async () => {
  render(<SheetForm token="t" view={sheet} />);
  screen.getByRole("heading", { name: "Cullen skink: taste B" });
  fireEvent.click(screen.getByRole("button", { name: "7 like" }));
  fireEvent.click(screen.getByRole("button", { name: "smoke: too little" }));
  await screen.findByText(/Arrived/);
  expect(sent.at(-1)?.said).toEqual([
    { letter: "B", liking: 7, traits: { smoke: -1 }, known: "", words: "" },
  ]);
  fireEvent.click(screen.getByRole("button", { name: "smoke: too little" }));
  fireEvent.click(screen.getByRole("button", { name: "Now A" }));
  fireEvent.click(screen.getByRole("button", { name: "9 like extremely" }));
  await waitFor(() => expect(sent.at(-1)?.said).toHaveLength(2));
  expect(sent.at(-1)?.said[0]?.traits).toEqual({});
  expect(new Set(sent.map((s) => s.taster)).size).toBe(1);
  expect(readSheet("t").taster).toBe(sent[0]?.taster);
  fireEvent.click(screen.getByRole("button", { name: "Back" }));
  expect(screen.getByRole("button", { name: "7 like" }).getAttribute("aria-pressed")).toBe("true");
});

it("keeps the sheet while the line is gone, and says when it is over", async () => {
  status = 0;
  render(<SheetForm token="t" view={sheet} />);
  fireEvent.click(screen.getByRole("button", { name: "5 neither" }));
  await screen.findByText(/The line is gone/);
  status = 200;
  await screen.findByText(/Arrived/, {}, { timeout: 5000 });
  status = 409;
  fireEvent.click(screen.getByRole("button", { name: "no" }));
  await screen.findByText(/may be over/);
  cleanup();
  render(<SheetForm token="t" view={{ ...sheet, closed: true }} />);
  screen.getByText(/The tasting is over/);
});

it("shows what the table said, as dots and in words, beside what was foreseen", async () => {
  const said = (liking: number, smoke: number) => [
    { letter: "A", liking, traits: { smoke }, known: "maybe", words: "" },
  ];
  answer = {
    tasting: {
      id: "x",
      dish: "d",
      name: "Thursday",
      made: 0,
      traits: ["smoke"],
      blind: true,
      closed: 0,
      served: [
        { letter: "A", trial: "t1", name: "trial 1, 26 November 2026", steps: { smoke: -1.2 } },
      ],
    },
    sheets: [
      { tasting: "x", taster: "a", number: 0, name: "", said: said(8, 0), at: 0 },
      { tasting: "x", taster: "b", number: 1, name: "", said: said(5, -1), at: 0 },
    ],
    answer: {
      trials: [
        {
          id: "A",
          tasters: 2,
          liking: { mean: 6.5 },
          traits: [
            { trait: "smoke", tooLittle: 1, justRight: 1, tooMuch: 0, mean: -0.5, penalties: [] },
          ],
        },
      ],
      comparisons: [],
      triangle: null,
      corrections: [
        { trait: "smoke", tastings: 1, sheets: 2, correction: 0.2, low: -0.6, high: 1 },
      ],
    },
    said: [
      {
        letter: "A",
        trial: "t1",
        say: ["1 of 2 said too little smoke."],
        known: [0, 2, 0],
        tasted: { smoke: -0.75 },
      },
    ],
    compared: [],
    trays: [],
    odd: "",
  } satisfies TastingView;
  const take = vi.fn();
  const open = {
    dish: { edit: 1, document: { decisions: { boosters: [] } } },
    take,
    saving: false,
  } as unknown as OpenDish;
  render(
    <QueryClientProvider client={new QueryClient()}>
      <DishContext.Provider value={open}>
        <Results id="x" />
      </DishContext.Provider>
    </QueryClientProvider>,
  );
  const strip = await screen.findByRole("img", {
    name: "smoke: 1 too little, 1 just right, 0 too much, of 2",
  });
  expect(strip.querySelectorAll("circle")).toHaveLength(2);
  expect(strip.querySelectorAll("circle.off")).toHaveLength(1);
  screen.getByText("1 of 2 said too little smoke.");
  screen.getByText("-1.2");
  screen.getByText("-0.8");
  screen.getByText(/0 no, 2 maybe, 0 yes/);
  screen.getByText(/smoke: \+0.2 \(-0.6 to \+1.0\), from 2 sheets of one trial/);
  const again = await screen.findByRole<HTMLButtonElement>("button", {
    name: "Try again with these",
  });
  expect(again.disabled).toBe(true);
  fireEvent.click(screen.getByRole("checkbox", { name: /smoked paprika more/ }));
  fireEvent.click(screen.getByRole("checkbox", { name: /A quarter more/ }));
  const third = screen.getByRole<HTMLInputElement>("checkbox", { name: /Simmer for 30/ });
  expect(third.disabled).toBe(true);
  fireEvent.click(again);
  expect(take).toHaveBeenCalledWith("x", {
    take: [
      expect.objectContaining({ trait: "smoke", side: "too-little", dose: next[0]?.ways[0]?.dose }),
      expect.objectContaining({ trait: "smoke", side: "too-little", line: "l4", factor: 1.25 }),
    ],
  });
});

it("asks for the odd cup of a tray, and who it is, without typing", async () => {
  const tray = { ...sheet, triangle: true, tray: 4, letters: [], names: [], traits: [] };
  render(<SheetForm token="o" view={{ ...tray, guests: ["Guest 1", "Guest 2"] }} />);
  screen.getByRole("heading", { name: "Cullen skink: tray 4" });
  fireEvent.click(screen.getByRole("button", { name: "Cup 2" }));
  fireEvent.click(screen.getByRole("button", { name: "Guest 2" }));
  await screen.findByText(/Arrived/);
  expect(sent.at(-1)).toMatchObject({ odd: 2, name: "Guest 2", said: [] });
  expect(screen.queryByText(/would you have known/i)).toBeNull();
});

it("draws a branch where the cook went back, and says so", () => {
  const trial = (id: string, after: string, branch: number): TrialView => ({
    id,
    kept: 0,
    words: "",
    different: [],
    minutes: 0,
    knowledge: "",
    traits: {},
    after,
    branch,
    canReturn: true,
    now: id === "c",
    weighed: [],
    by: "",
    pictures: [],
  });
  const pick = vi.fn();
  const { container } = render(
    <Knots
      trials={[trial("a", "", 0), trial("b", "a", 0), trial("c", "a", 1)]}
      chosen={["b"]}
      pick={pick}
    />,
  );
  expect(container.querySelectorAll("path")).toHaveLength(2);
  const third = screen.getByRole("button", {
    name: /^Trial 3, .*, after trial 1, as the dish is now$/,
  });
  expect(third.style.top).not.toBe(screen.getByRole("button", { name: /^Trial 2/ }).style.top);
  fireEvent.click(third);
  expect(pick).toHaveBeenCalledWith("c");
});

it("tells of a triangle only at the end who was right", () => {
  const view: TastingView = {
    tasting: {
      id: "x",
      dish: "d",
      name: "",
      made: 0,
      served: [],
      traits: [],
      blind: true,
      closed: 0,
      triangle: true,
    },
    sheets: [],
    answer: { trials: [], comparisons: [], corrections: [], triangle: null },
    said: [],
    compared: [],
    trays: [["trial 1", "the original", "trial 1"]],
    odd: "",
  };
  const { rerender } = render(<Triangle view={view} />);
  screen.getByText(/told when the tasting is closed/);
  expect(screen.getAllByText("trial 1")).toHaveLength(2);
  rerender(<Triangle view={{ ...view, odd: "8 of 9 found the odd one." }} />);
  screen.getByText("8 of 9 found the odd one.");
});
