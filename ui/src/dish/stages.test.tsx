import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter, Route, Routes } from "react-router";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";

import type { Card, DishView } from "../api/types";
import CardStage from "../card/CardStage";
import { roundPan, sizeQuery } from "../card/size";
import CharacterStage from "../character/CharacterStage";
import MethodStage from "../method/MethodStage";
import OriginalStage from "../original/OriginalStage";
import SwapsStage from "../swaps/SwapsStage";
import { kept } from "../texts/kept";
import DishFrame, { openAt } from "./DishFrame";
import { candidate, dish, line, tray } from "./fixture";

interface Call {
  method: string;
  path: string;
  match: string | undefined;
  body: Record<string, unknown> | undefined;
}

/** The first of a list that is not empty. */
function at<T>(list: T[]): T {
  const [first] = list;
  if (first === undefined) throw new Error("The list is empty.");
  return first;
}

let calls: Call[] = [];
let answers: Record<string, () => Response>;

/** Answers requests by method and path, and remembers what was asked. */
function serve(view: DishView) {
  calls = [];
  answers = {
    "GET /api/dishes/d1": () => Response.json(view),
    "GET /api/rules": () =>
      Response.json({
        presets: [{ id: "whole-food", name: "Whole food", hard: ["no animal matter"], soft: [] }],
        switches: [{ id: "soy", rule: "no soy", diner: "soy" }],
      }),
    "GET /api/dishes/d1/boosters": () => Response.json([tray("miso", 6, true), tray("kelp", 0)]),
    "POST /api/dishes/d1/preview": () =>
      Response.json({ ...view.adaptation, traits: view.adaptation.traits.slice(0, 1) }),
    "GET /api/dishes/d1/candidates": () =>
      Response.json({
        line: "components[0].lines[0]",
        candidates: [
          candidate("smoked-tofu-flakes", "Flaked smoked tofu"),
          { ...candidate("smoked-celeriac", "Smoked celeriac"), fit: "possible" },
        ],
        rejected: [{ swap: "ready-fish", rule: "no ready-made analogues: holds plant fish" }],
      }),
  };
  vi.stubGlobal("fetch", async (path: string, init: RequestInit = {}) => {
    const headers = init.headers as Record<string, string> | undefined;
    const method = init.method ?? "GET";
    const call: Call = {
      method,
      path,
      match: headers?.["If-Match"],
      body: init.body ? (JSON.parse(String(init.body)) as Record<string, unknown>) : undefined,
    };
    calls.push(call);
    const answer = answers[`${method} ${path.split("?")[0]}`];
    return answer ? answer() : Response.json({ title: "Not found" }, { status: 404 });
  });
}

function open(stage: string) {
  return render(
    <QueryClientProvider
      client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}
    >
      <MemoryRouter initialEntries={[`/dishes/d1/${stage}`]}>
        <Routes>
          <Route path="/dishes/:id" element={<DishFrame />}>
            <Route path="original" element={<OriginalStage />} />
            <Route path="character" element={<CharacterStage />} />
            <Route path="swaps" element={<SwapsStage />} />
            <Route path="method" element={<MethodStage />} />
            <Route path="card" element={<CardStage />} />
          </Route>
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

const saves = () => calls.filter((c) => c.method === "PUT");

beforeEach(() => serve(dish()));
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("the frame of a dish", () => {
  it("counts what is open at each stage", () => {
    expect(openAt("original", dish())).toBe(1);
    expect(openAt("swaps", dish())).toBe(1);
    expect(openAt("character", dish())).toBe(0);
    const unpinned = dish();
    unpinned.document.decisions.pins = [];
    expect(openAt("character", unpinned)).toBe(1);
    expect(openAt("card", dish())).toBe(0);
  });

  it("walks the path and undoes by key, but not while typing", async () => {
    answers["POST /api/dishes/d1/undo"] = () => Response.json({ ...dish(), edit: 5 });
    open("original");
    await screen.findByRole("heading", { name: "Skink" });
    fireEvent.keyDown(window, { key: "]" });
    await screen.findByText("This dish lives from");
    fireEvent.keyDown(window, { key: "]" });
    await screen.findByRole("button", { name: "Propose swaps" });
    fireEvent.keyDown(window, { key: "z", ctrlKey: true });
    await waitFor(() =>
      expect(calls.some((c) => c.path.endsWith("/undo") && c.match === '"4"')).toBe(true),
    );
    fireEvent.click(screen.getByRole("button", { name: "Rename" }));
    const before = calls.length;
    fireEvent.keyDown(screen.getByLabelText("Name of the dish"), { key: "z", ctrlKey: true });
    expect(calls.length).toBe(before);
  });

  it("keeps everything in reach when a part cannot be worked out", async () => {
    const broken = dish();
    broken.faults = [{ part: "adaptation", text: "The adaptation could not be worked out." }];
    broken.adaptation = { ...broken.adaptation, components: [], swaps: [], unresolved: [] };
    serve(broken);
    for (const stage of ["original", "swaps", "method"]) {
      const page = open(stage);
      expect((await screen.findByRole("alert")).textContent).toContain("could not be worked out");
      expect(screen.getByRole("button", { name: "Undo" })).toBeDefined();
      page.unmount();
    }
  });

  it("shows both versions when another window was faster", async () => {
    const theirs = { ...dish(), edit: 9, what: kept("swaps.tookTheProposal", { aim: "simplest" }) };
    let late = true;
    answers["PUT /api/dishes/d1"] = () => {
      if (!late) return Response.json({ ...theirs, edit: 10 });
      late = false;
      return Response.json(
        { title: "Changed elsewhere", detail: "x", current: theirs },
        { status: 412 },
      );
    };
    open("swaps");
    fireEvent.click(await screen.findByRole("button", { name: "Use Smoked celeriac" }));
    const sheet = await screen.findByText("In the other window");
    expect(sheet.parentElement?.textContent).toContain("took the simplest proposal");
    fireEvent.click(screen.getByText("Put my change on top"));
    await waitFor(() => expect(saves()).toHaveLength(2));
    expect(saves().map((c) => c.match)).toEqual(['"4"', '"9"']);
    expect(saves()[1]?.body).toEqual(saves()[0]?.body);
  });
});

describe("Original", () => {
  it("marks lines, says why, and asks for the food of unknown ones", async () => {
    open("original");
    const row = (await screen.findByText("100 g smoked haddock", { selector: "td" })).closest("tr");
    expect(row && within(row).getByRole("img", { name: "from an animal" })).toBeDefined();
    expect(screen.getByLabelText("Notices").textContent).toContain("dragon scales");
    expect(screen.getByLabelText(/Name the food of/)).toBeDefined();
    expect(screen.getByText(/5–8 min/)).toBeDefined();
    expect(screen.getByRole("button", { name: "Choose swaps for 2 lines" })).toBeDefined();
  });

  it("reads an edited line anew and saves it with its decisions", async () => {
    const changed = line("celeriac", "plant");
    answers["POST /api/lines"] = () => Response.json(changed);
    answers["PUT /api/dishes/d1"] = () => Response.json({ ...dish(), edit: 5 });
    open("original");
    fireEvent.click(await screen.findByRole("button", { name: "Change leek" }));
    const field = screen.getByLabelText("Line “100 g leek”");
    fireEvent.change(field, { target: { value: "100 g celeriac" } });
    fireEvent.keyDown(field, { key: "Enter" });
    await waitFor(() => expect(saves()).toHaveLength(1));
    expect(calls.find((c) => c.path === "/api/lines")?.body).toMatchObject({
      text: "100 g celeriac",
      food: "",
    });
    expect(JSON.stringify(saves()[0]?.body)).toContain("100 g celeriac");
    expect(saves()[0]?.body).toHaveProperty("decisions");
    await waitFor(() => expect(screen.queryByLabelText("Line “100 g leek”")).toBeNull());
  });

  it("keeps an edited line in its field when the server is gone, and leaves it on Escape", async () => {
    answers["POST /api/lines"] = () =>
      Response.json({ title: "No", detail: "A line holds letters." }, { status: 422 });
    open("original");
    fireEvent.click(await screen.findByRole("button", { name: "Change leek" }));
    const field = screen.getByLabelText<HTMLInputElement>("Line “100 g leek”");
    fireEvent.change(field, { target: { value: "???" } });
    fireEvent.keyDown(field, { key: "Enter" });
    await waitFor(() => expect(screen.getByRole("alert").textContent).toContain("holds letters"));
    expect(field.value).toBe("???");
    expect(saves()).toHaveLength(0);
    fireEvent.keyDown(field, { key: "Escape" });
    await waitFor(() => expect(screen.queryByLabelText("Line “100 g leek”")).toBeNull());
  });

  it("keeps a note of the cook's own on a line", async () => {
    answers["PUT /api/dishes/d1"] = () => Response.json({ ...dish(), edit: 5 });
    open("original");
    fireEvent.click(await screen.findByRole("button", { name: "Note on smoked haddock" }));
    const field = screen.getByRole("textbox", { name: "Note on smoked haddock" });
    fireEvent.change(field, { target: { value: "from the quay" } });
    fireEvent.keyDown(field, { key: "Enter", ctrlKey: true });
    await waitFor(() => expect(saves()[0]?.body).toMatchObject({ notes: { l1: "from the quay" } }));
  });

  it("moves and takes away lines by button, and gives the original out", async () => {
    answers["PUT /api/dishes/d1"] = () => Response.json({ ...dish(), edit: 5 });
    open("original");
    fireEvent.click(await screen.findByRole("button", { name: "Take leek away" }));
    await waitFor(() => expect(saves()).toHaveLength(1));
    expect(JSON.stringify(saves()[0]?.body?.original)).not.toContain("100 g leek");
    fireEvent.click(screen.getByRole("button", { name: "Move leek up" }));
    await waitFor(() => expect(saves()).toHaveLength(2));
    expect(saves()[1]?.body?.what).toBe(kept("original.moved", { lineName: "leek" }));
    expect(screen.getByRole("link", { name: "CSV" }).getAttribute("href")).toBe(
      "/api/dishes/d1/original/csv",
    );
  });

  it("lights a line in the text and in the table", async () => {
    open("original");
    const cell = await screen.findByText("100 g smoked haddock", { selector: "td" });
    const row = cell.closest("tr");
    if (!row) throw new Error("no row");
    fireEvent.pointerEnter(row);
    expect(row.className).toBe("lit");
    expect(screen.getByText("100 g smoked haddock", { selector: "p" }).className).toBe("lit");
    fireEvent.pointerLeave(row);
    expect(row.className).toBe("");
  });
});

describe("Swaps", () => {
  it("compares candidates and keeps the one that is used, beside the others", async () => {
    answers["PUT /api/dishes/d1"] = () => Response.json({ ...dish(), edit: 5 });
    open("swaps");
    fireEvent.click(await screen.findByRole("button", { name: "Use Smoked celeriac" }));
    await waitFor(() => expect(saves()).toHaveLength(1));
    // The open line is the one shown first; the decision made before stays.
    expect(saves()[0]?.body).toMatchObject({
      what: kept("swaps.used", { swapName: "Smoked celeriac" }),
      decisions: {
        pins: ["smoke"],
        swaps: {
          l1: "smoked-tofu-flakes",
          "components[0].lines[1]": "smoked-celeriac",
        },
      },
    });
    expect(screen.getByText("1 left out by the house rules")).toBeDefined();
    expect(screen.getByText(/Ready fish: no ready-made analogues/)).toBeDefined();
  });

  it("tells what is right for the line from what is possible, the reason first", async () => {
    open("swaps");
    const right = await screen.findByRole("region", { name: "Right for this" });
    expect(within(right).getByRole("heading", { name: "Flaked smoked tofu" })).toBeDefined();
    expect(within(right).queryByText("Smoked celeriac")).toBeNull();
    const possible = screen.getByRole("region", { name: "Possible" });
    expect(within(possible).getByRole("heading", { name: "Smoked celeriac" })).toBeDefined();
    const said = possible.textContent;
    expect(said.indexOf("It keeps the smoke")).toBeLessThan(said.indexOf("min work"));
  });

  it("moves between lines with the arrow keys", async () => {
    open("swaps");
    await screen.findByRole("button", { name: "Use Smoked celeriac" });
    const current = () =>
      screen.getByLabelText("Lines to swap").querySelector('[aria-current="true"]')?.textContent;
    expect(current()).toContain("butter");
    fireEvent.keyDown(window, { key: "ArrowUp" });
    expect(current()).toContain("smoked haddock");
    fireEvent.keyDown(window, { key: "ArrowUp" });
    expect(current()).toContain("smoked haddock");
  });

  it("says the threads in words for those who cannot see them", async () => {
    open("swaps");
    const drawing = await screen.findByRole("group", { name: /1 hang loose/ });
    expect(drawing.querySelectorAll(".frayed")).toHaveLength(1);
    const table = screen.getByText("Verdict").closest("table");
    expect(table?.textContent).toContain("Smoke5.02.00-10−3.0short");
  });

  it("says so when nothing has to be swapped", async () => {
    serve({ ...dish(), slots: [] });
    open("swaps");
    expect(await screen.findByText(/nothing has to be swapped/)).toBeDefined();
  });

  it("previews the candidate under the pointer and goes back when it leaves", async () => {
    open("swaps");
    const row = (await screen.findByText("Smoked celeriac")).closest("article");
    if (!row) throw new Error("no row");
    fireEvent.pointerEnter(row);
    await screen.findByText("With smoked celeriac:");
    const asked = calls.find((c) => c.path.endsWith("/preview"));
    expect(asked?.body).toMatchObject({
      decisions: { swaps: { "components[0].lines[1]": "smoked-celeriac" } },
    });
    expect(saves()).toHaveLength(0);
    fireEvent.pointerLeave(row);
    await waitFor(() => expect(screen.queryByText("With smoked celeriac:")).toBeNull());
  });

  it("says the figures of what has the focus in the threads", async () => {
    open("swaps");
    const band = await screen.findByRole("img", { name: /^Smoke: 5.0 in the original, 2.0 now/ });
    expect(band.getAttribute("aria-label")).toContain("−3.0 steps, short, pinned");
    expect(band.getAttribute("aria-label")).toContain("From smoked haddock 100 %");
    fireEvent.focus(band);
    expect(document.querySelector(".readout")?.textContent).toContain("Smoke: 5.0");
    fireEvent.keyDown(screen.getByRole("button", { name: /^smoked haddock: / }), { key: "Enter" });
    expect(
      screen.getByLabelText("Lines to swap").querySelector('[aria-current="true"]')?.textContent,
    ).toContain("smoked haddock");
  });

  it("steps a booster up and down and shows what is barred", async () => {
    answers["PUT /api/dishes/d1"] = () => Response.json({ ...dish(), edit: 5 });
    open("swaps");
    fireEvent.click(await screen.findByRole("button", { name: "More miso" }));
    await waitFor(() => expect(saves()).toHaveLength(1));
    expect(saves()[0]?.body).toMatchObject({
      decisions: { boosters: [{ food: "miso", grams: 12, component: 0 }] },
    });
    fireEvent.click(screen.getByRole("button", { name: "Less miso" }));
    await waitFor(() => expect(saves()).toHaveLength(2));
    expect(saves()[1]?.body).toMatchObject({ decisions: { boosters: [] } });
    expect(screen.queryByText("Kelp")).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: "All 2 boosters" }));
    expect(screen.getByText("left out: no sea")).toBeDefined();
  });

  it("offers the nearest where the rules leave nothing", async () => {
    const view = dish();
    view.adaptation.unresolved = [
      {
        line: "components[0].lines[1]",
        why: "no swap allowed by: no soy",
        nearest: { swap: "x", name: "Soy cream", breaks: "no soy: holds soy drink" },
      },
    ];
    serve(view);
    answers["GET /api/dishes/d1/candidates"] = () =>
      Response.json({ line: "components[0].lines[1]", candidates: [], rejected: [] });
    open("swaps");
    expect((await screen.findByText(/The nearest would be soy cream/)).textContent).toContain(
      "it would break no soy: holds soy drink",
    );
  });
});

describe("Character", () => {
  it("shows who supplies each trait and what a line gives", async () => {
    open("character");
    const bar = await screen.findByRole("img", { name: /^Smoke 5.0 0-10: smoked haddock 100 %/ });
    expect(bar.querySelectorAll(".animal")).toHaveLength(1);
    const lines = screen.getByLabelText("What each line does");
    expect(lines.textContent).toContain("smoke 100 %");
    expect(lines.textContent).toContain("It is flaked");
    expect(lines.textContent).toContain("is cooked");
  });

  it("pins what must survive and keeps the sentence", async () => {
    answers["PUT /api/dishes/d1"] = () => Response.json({ ...dish(), edit: 5 });
    open("character");
    const pin = await screen.findByRole("button", { name: "Smoke must survive" });
    expect(pin.getAttribute("aria-pressed")).toBe("true");
    fireEvent.click(pin);
    await waitFor(() => expect(saves()).toHaveLength(1));
    expect(saves()[0]?.body).toMatchObject({
      what: kept("character.letGo", { trait: "smoke" }),
      decisions: { pins: [] },
    });
    const field = screen.getByLabelText("This dish lives from");
    fireEvent.change(field, { target: { value: "The fire." } });
    fireEvent.blur(field);
    await waitFor(() => expect(saves()).toHaveLength(2));
    expect(saves()[1]?.body).toMatchObject({ decisions: { livesFrom: "The fire." } });
  });

  it("says what to do when nothing can be worked out", async () => {
    const view = dish();
    view.adaptation.traits = [];
    serve(view);
    open("character");
    expect(await screen.findByText("Nothing can be worked out yet")).toBeDefined();
  });
});

describe("Method", () => {
  it("joins original and adapted steps and keeps the cook's own words", async () => {
    answers["PUT /api/dishes/d1"] = () => Response.json({ ...dish(), edit: 5 });
    open("method");
    expect(await screen.findByText("Poach the haddock.")).toBeDefined();
    expect(screen.getByText("Poach the smoked tofu.")).toBeDefined();
    expect(screen.getByText("Only warm it.")).toBeDefined();
    fireEvent.click(screen.getByRole("button", { name: "Word it yourself" }));
    const field = screen.getByLabelText("Your wording of the step");
    fireEvent.change(field, { target: { value: "Warm it through." } });
    fireEvent.click(screen.getByRole("button", { name: "Keep" }));
    await waitFor(() => expect(saves()).toHaveLength(1));
    expect(saves()[0]?.body).toMatchObject({
      decisions: { wording: { "components[0].steps[0]": "Warm it through." } },
    });
  });

  it("gives back what was written", async () => {
    const view = dish();
    const step = view.adaptation.components[0]?.steps[0];
    if (!step) throw new Error("no step");
    Object.assign(step, { own: true, text: "Mine.", written: "Poach the smoked tofu." });
    view.document.decisions.wording = { [step.key]: "Mine." };
    serve(view);
    answers["PUT /api/dishes/d1"] = () => Response.json({ ...dish(), edit: 5 });
    open("method");
    expect(await screen.findByText("your wording")).toBeDefined();
    fireEvent.click(screen.getByRole("button", { name: "Give back what was written" }));
    await waitFor(() => expect(saves()).toHaveLength(1));
    expect(saves()[0]?.body).toMatchObject({ decisions: { wording: {} } });
  });
});

describe("Method read back", () => {
  it("shows what is to look at on the step, on the path and beside the tally", async () => {
    const view = dish();
    const step = at(at(view.adaptation.components).steps);
    Object.assign(step, { findings: [{ kind: "unread", text: "It does not read as work." }] });
    serve(view);
    open("method");
    expect((await screen.findByText("It does not read as work.")).className).toBe("look");
    expect(screen.getByRole("link", { name: /Method/ }).textContent).toContain("1");
    expect(screen.getByRole("link", { name: "1 to look at" })).toBeDefined();
  });
});

describe("Method's figures", () => {
  it("keeps figures, order and a side pot as decisions", async () => {
    const view = dish();
    const step = at(at(view.adaptation.components).steps);
    at(view.adaptation.components).steps.push({ ...step, key: "second", text: "Serve." });
    view.adaptation.sidePots = [
      {
        component: "",
        guests: 2,
        step: 3,
        sauce: 200,
        lines: ["200 g haddock"],
        steps: ["Apart."],
        core: ["63 °C"],
      },
    ];
    view.document.decisions.sidePot = { guests: 2 };
    serve(view);
    answers["PUT /api/dishes/d1"] = () => Response.json({ ...view, edit: view.edit + 1 });
    open("method");
    expect((await screen.findByRole("region", { name: "Side pot 1" })).textContent).toContain(
      "63 °C",
    );
    fireEvent.click(at(screen.getAllByRole("button", { name: "Change figures" })));
    fireEvent.change(screen.getByLabelText("Minutes at least"), { target: { value: "7" } });
    fireEvent.change(screen.getByLabelText("Cue"), { target: { value: "flaking" } });
    fireEvent.click(screen.getByRole("button", { name: "Keep figures" }));
    await waitFor(() => expect(saves()).toHaveLength(1));
    expect(saves()[0]?.body).toMatchObject({
      decisions: { figures: { [step.key]: { minutes: { low: 7, high: 7 }, cue: "flaking" } } },
    });
    fireEvent.click(at(screen.getAllByRole("button", { name: "Move the step down" })));
    await waitFor(() => expect(saves()).toHaveLength(2));
    expect(saves()[1]?.body).toMatchObject({ decisions: { order: { 0: ["second", step.key] } } });
    fireEvent.change(screen.getByLabelText("Guests who eat the original"), {
      target: { value: "0" },
    });
    await waitFor(() => expect(saves()).toHaveLength(3));
    expect(saves()[2]?.body).toMatchObject({ decisions: { sidePot: null } });
  });
});

describe("Card", () => {
  const card = (factor = 1): Card => ({
    name: "Cullen skink",
    place: "Scotland",
    lives: "Smoke and sea.",
    dish: {
      name: "Cullen skink",
      serves: { low: 4, high: 6 },
      notices: [],
      components: [
        {
          name: "",
          lines: [{ ...at(at(dish().adaptation.components).lines), text: "400 g smoked tofu" }],
          steps: [{ ...at(at(dish().adaptation.components).steps), text: "Poach the tofu." }],
        },
      ],
    },
    factor,
    beside: [["14 oz"]],
    open: ["In place of butter: no swap chosen yet."],
    findings: [],
    short: [],
    changed: [
      { from: "smoked haddock", to: "Flaked smoked tofu", why: "Smoke in flakes.", limits: "" },
    ],
    cautions: [{ text: "Kelp is rich in iodine.", grave: true }],
    allergens: ["soy"],
    labels: ["bread: Look for one without milk."],
    keeping: ["Broth: three days."],
    sizing: factor === 1 ? [] : ["Salt is scaled with the rest."],
    measured: [],
    cooked: [],
    table: [],
    weekday: "",
    picture: "",
    sidePots: [
      { title: "Side pot for 2", lines: ["200 g haddock"], steps: ["A knife of its own."] },
    ],
    tally: "5 kept.",
    serving: { energy: 400, protein: 20, fat: 10, carbohydrate: 50, fibre: 8, salt: 1.2 },
    sources: ["Tables"],
  });

  it("says which steps are to look at and what stayed short", async () => {
    answers["GET /api/dishes/d1/card"] = () =>
      Response.json({
        ...card(),
        open: [],
        findings: [
          { part: 0, step: 0, kind: "limit", text: "Longer than it bears: tofu.", quote: "" },
        ],
        short: ["Smoke, which you pinned, stays short by 1.2 steps."],
      });
    open("card");
    const page = await screen.findByRole("article", { name: "Card" });
    const note = within(page).getByRole("note");
    expect(note.textContent).toContain("One step is to look at");
    expect(note.textContent).toContain("step 1: Longer than it bears");
    expect(page.textContent).toContain("stays short by 1.2 steps");
  });

  it("shows what the server gathered, what is open first", async () => {
    answers["GET /api/dishes/d1/card"] = () => Response.json(card());
    open("card");
    const page = await screen.findByRole("article", { name: "Card" });
    const note = within(page).getByRole("note");
    expect(note.textContent).toContain("one line is open");
    for (const words of [
      "in place of butter: no swap chosen yet.",
      "serves 4–6",
      "14 oz",
      "smoked haddock: flaked smoked tofu. smoke in flakes.",
      "kelp is rich in iodine.",
      "follow local food-safety rules",
      "bread: look for one without milk.",
      "broth: three days.",
      "side pot for 2",
      "salt 1.2 g",
      "figures after tables",
    ]) {
      expect(page.textContent?.toLowerCase()).toContain(words);
    }
  });

  it("asks for another size and gives it out so", async () => {
    answers["GET /api/dishes/d1/card"] = () =>
      Response.json(card(calls[calls.length - 1]?.path.includes("?") ? 2 : 1));
    open("card");
    const field = await screen.findByLabelText("Servings");
    fireEvent.change(field, { target: { value: "10" } });
    fireEvent.blur(field);
    await screen.findByText("At this size");
    expect(calls.some((c) => c.path === "/api/dishes/d1/card?servings=10")).toBe(true);
    expect(screen.getByRole("link", { name: "PDF, A4" }).getAttribute("href")).toBe(
      "/api/dishes/d1/card/pdf?paper=a4&servings=10",
    );
  });

  it("writes what sizes it as the server reads it", () => {
    expect(sizeQuery({ by: "table", servings: null })).toBe("");
    expect(sizeQuery({ by: "have", line: "0.3", grams: 350 })).toBe("?have=350&line=0.3");
    expect(sizeQuery({ by: "have", line: "", grams: 350 })).toBe("");
    const loaf = { ...roundPan, shape: "loaf" as const, across: 25 };
    expect(sizeQuery({ by: "pan", from: roundPan, to: loaf, compare: "volume" })).toBe(
      "?from=round%3A24x5&pan=loaf%3A25x11x5&by=volume",
    );
  });
});
