import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";

import type { DishSummary } from "../api/types";
import DishesPage from "./DishesPage";

function dish(n: number, change: Partial<DishSummary> = {}): DishSummary {
  return {
    id: `d${n}`,
    name: `Dish ${n}`,
    place: "Tidewater",
    country: "",
    region: "",
    state: "decided",
    changed: "2026-11-01T00:00:00Z",
    open: 0,
    swaps: 2,
    trials: 0,
    liking: null,
    labels: [],
    allergens: [],
    family: "",
    variant: "",
    picture: "",
    missing: [],
    stale: false,
    away: false,
    tally: { kept: 3, near: 1, short: 0, over: 0, wanted: 0, worst: "sea" },
    threads: [],
    fault: "",
    ...change,
  };
}

let all: DishSummary[] = [];
let asked: string[] = [];
let sent: unknown[] = [];
beforeEach(() => {
  all = [
    dish(1, { liking: 6.3, state: "tried", labels: ["winter"] }),
    dish(2, { state: "adapting", open: 2 }),
    dish(3, { stale: true }),
    dish(4, { missing: ["leek", "oats"] }),
  ];
  asked = [];
  sent = [];
  // A window of the test has no height; give it one, so that rows are in sight.
  vi.spyOn(window, "innerHeight", "get").mockReturnValue(900);
  Object.defineProperty(HTMLElement.prototype, "offsetHeight", { configurable: true, value: 84 });
  vi.stubGlobal("fetch", async (path: string, init: RequestInit = {}) => {
    if (init.body) sent.push(JSON.parse(String(init.body)));
    if (path === "/api/shelf" && init.method === "POST") return new Response(null, { status: 204 });
    if (path === "/api/shelf") {
      return Response.json({
        countries: { "300": { decided: 1 } },
        regions: { "Southern Europe": { decided: 1 } },
        kitchens: { "Greek and Anatolian": { decided: 1 } },
        labels: ["winter"],
        eaters: ["Guest 1"],
        rules: ["no soy"],
        allergens: ["milk"],
        world: [
          {
            code: "300",
            name: "Greece",
            region: "Southern Europe",
            kitchen: "Greek and Anatolian",
          },
        ],
      });
    }
    if (path.startsWith("/api/dishes")) {
      asked.push(path);
      const none = path.includes("q=nothing");
      return Response.json({
        dishes: none ? [] : all,
        all: none ? 0 : all.length,
        from: 0,
        stale: 0,
      });
    }
    return new Response(null, { status: 204 });
  });
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

function open(at = "/dishes") {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter initialEntries={[at]}>
        <DishesPage />
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

it("shows how far each dish has come, and says what is stale or missing", async () => {
  open();
  await screen.findByText("tried, liked 6.3");
  screen.getByText("2 lines to decide");
  screen.getByText(/from before, being worked out anew/);
  screen.getByText("to buy: leek, oats");
  screen.getByText("4 dishes");
});

it("is narrowed down by words and ticks, and says when nothing is left", async () => {
  open();
  await screen.findByText("Dish 1");
  fireEvent.click(screen.getByRole("checkbox", { name: "from what is in the house" }));
  await waitFor(() => expect(asked.at(-1)).toBe("/api/dishes?house=true"));
  fireEvent.change(screen.getByLabelText("Words of the name, place or lines"), {
    target: { value: "nothing" },
  });
  await screen.findByText(/No dish is like that/);
  expect(asked.at(-1)).toContain("q=nothing");
  fireEvent.click(screen.getByRole("button", { name: "Show all" }));
  await screen.findByText("Dish 1");
});

it("puts several away at once, and takes that back", async () => {
  open();
  await screen.findByText("Dish 1");
  fireEvent.click(screen.getByRole("checkbox", { name: "Choose Dish 1" }));
  fireEvent.click(screen.getByRole("checkbox", { name: "Choose Dish 3" }));
  screen.getByText("2 chosen");
  expect(screen.getByRole("link", { name: "Plan a day" }).getAttribute("href")).toBe(
    "/days?dish=d1&dish=d3",
  );
  fireEvent.click(screen.getByRole("button", { name: "Put away" }));
  await screen.findByText("Put away.");
  expect(sent).toEqual([{ do: "away", ids: ["d1", "d3"] }]);
  fireEvent.click(screen.getByRole("button", { name: "Take that back" }));
  await waitFor(() => expect(sent.at(-1)).toEqual({ do: "back", ids: ["d1", "d3"] }));
});

it("shows an empty kitchen the way in three steps", async () => {
  all = [];
  open();
  await screen.findByRole("heading", { name: "Paste somebody’s recipe" });
  screen.getByRole("button", { name: "Lay out twelve dishes to look at" });
});
