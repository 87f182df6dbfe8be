import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";

import type { BalanceView } from "../api/types";
import { DishContext, type OpenDish } from "../dish/useDish";
import { dish } from "../dish/fixture";
import BalanceStage from "./BalanceStage";

const sheet: BalanceView = {
  servings: 4,
  accounts: [
    {
      name: "salt",
      unit: "g",
      original: 12,
      adapted: 9,
      from: [{ line: "components[0].lines[0]", share: 0.8 }],
      to: [{ line: "components[0].lines[0]", share: 0.5 }],
    },
  ],
  nutrients: [
    {
      name: "b12",
      unit: "µg",
      original: 3,
      adapted: 2,
      per100: { original: 1, adapted: 0 },
      known: { original: 0.95, adapted: 0.04 },
      reference: 2.5,
      referenceSource: "EU Regulation 1169/2011",
      most: 0,
      mostSource: "",
    },
    {
      name: "iodine",
      unit: "µg",
      original: 20,
      adapted: 900,
      per100: { original: 5, adapted: 200 },
      known: { original: 0.95, adapted: 0.95 },
      reference: 150,
      referenceSource: "EU Regulation 1169/2011",
      most: 600,
      mostSource: "A panel",
    },
  ],
  allergens: { gone: ["fish"], come: ["soy"], both: [], us: ["soy"] },
  grades: [
    {
      grade: "whole",
      mass: { original: 0.5, adapted: 0.9 },
      energy: { original: 0.4, adapted: 0.8 },
    },
  ],
  cost: { original: 2, adapted: 1.5 },
  warnings: [
    { account: "salt", component: "", text: "Less salty by 3.0 g.", remedy: "Add up to 3.0 g." },
  ],
  rules: [
    { rule: "no animal matter", broken: [] },
    { rule: "no soy", broken: ["smoked tofu"] },
  ],
  preferences: [
    {
      rule: "little free oil",
      unit: "tsp",
      original: 3,
      adapted: 1.5,
      bound: 1,
      atLeast: false,
      within: false,
    },
    { rule: "salt", unit: "g", original: 3, adapted: 2, bound: 3, atLeast: false, within: true },
    {
      rule: "vegetable to grain, by volume",
      unit: "to 1",
      original: 0.5,
      adapted: 2,
      bound: 2,
      atLeast: true,
      within: true,
    },
  ],
};

beforeEach(() => vi.stubGlobal("fetch", async () => Response.json(sheet)));
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it("shows accounts with who carries them, warnings with remedies, and what is missing", async () => {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <DishContext value={{ dish: dish() } as OpenDish}>
        <BalanceStage />
      </DishContext>
    </QueryClientProvider>,
  );
  expect(await screen.findByText("Less salty by 3.0 g.")).toBeDefined();
  expect(screen.getByText("Add up to 3.0 g.", { exact: false })).toBeDefined();
  expect(screen.getByText("smoked haddock 80 % → smoked tofu 50 %")).toBeDefined();
  expect(screen.getByLabelText("What a serving gives").textContent).toContain("3.0 → missing");
  expect(screen.getByText("known 4 %").className).toContain("few");
  expect(screen.getByText(/should not pass 600 µg in a day \(A panel\)/).className).toContain(
    "look",
  );
  const bar = screen.getByLabelText("What a serving gives").querySelector<HTMLElement>(".is");
  expect(bar?.style.width).toBe("0%");
  expect(screen.getByLabelText("Who can eat it").textContent).toContain("Brings insoy");
  expect(screen.getByLabelText("House rules").textContent).toContain("✕ no soy: smoked tofu");
  expect(screen.getByLabelText("House rules").textContent).toContain("✓ no animal matter");
  expect(screen.getByLabelText("House rules").textContent).toContain(
    "△ little free oil: 1.5 tsp a serving (rather at most 1.0 tsp; the original 3.0 tsp)",
  );
  expect(screen.getByLabelText("House rules").textContent).toContain("✓ salt: 2.0 g a serving");
  expect(screen.getByLabelText("House rules").textContent).toContain(
    "✓ vegetable to grain, by volume: 2.0 to 1 (at least 2.0 to 1; the original 0.50 to 1)",
  );
  fireEvent.click(screen.getByText("100 g"));
  expect(screen.getByLabelText("What a serving gives").textContent).toContain("1.0 → missing");
});
