import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { MemoryRouter, Route, Routes } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";

import type { FoodHit, FoodView } from "../api/types";
import LarderPage from "./LarderPage";

const hit = (id: string, more: Partial<FoodHit> = {}): FoodHit => ({
  id,
  name: id,
  origin: "plant",
  animal: "",
  checkLabel: false,
  grade: "whole",
  aisle: "pulses",
  own: "",
  ...more,
});

const nothing = {
  energy: null,
  protein: null,
  fat: null,
  saturated: null,
  carbohydrate: null,
  sugars: null,
  fibre: null,
  water: null,
  sodium: null,
  potassium: null,
  calcium: null,
  iron: null,
  zinc: null,
  b12: null,
  vitaminD: null,
  iodine: null,
  ala: null,
  epaDha: null,
};

const lentils: FoodView = {
  id: "red-lentils",
  version: 4,
  name: "red lentils",
  aliases: ["masoor dal", "split lentil"],
  aisle: "pulses",
  origin: "plant",
  animal: "",
  hidden: false,
  checkLabel: false,
  why: "",
  grade: "whole",
  kind: "",
  allergens: ["soy"],
  tags: ["pulse"],
  limits: [{ nutrient: "iodine", unit: "µg", most: 600, grams: 0.3, source: "A panel" }],
  served: { most: 0.12, why: "of its iodine", source: "A panel" },
  per100: { ...nothing, energy: 358, iodine: null, source: "fdc", estimate: false, further: "" },
  taste: {
    glutamate: 0.02,
    aspartate: 0,
    imp: 0,
    gmp: 0,
    amp: 0,
    source: "estimate",
    estimate: true,
  },
  forms: {
    cooked: {
      name: "cooked",
      base: 0.42,
      yield: 1,
      gives: 1,
      density: 0.84,
      grade: "",
      feel: { chew: 3.5 },
      source: "kitchen",
      estimate: false,
    },
  },
  aromas: [],
  roles: [],
  acids: {
    citric: null,
    malic: null,
    tartaric: null,
    lactic: null,
    acetic: null,
    source: "",
    estimate: false,
  },
  sugars: {
    sucrose: 95,
    glucose: 3,
    fructose: 2,
    maltose: 0,
    lactose: 0,
    other: 0,
    source: "estimate",
    estimate: true,
  },
  heat: { low: 0, high: 0, source: "", estimate: false },
  packs: [
    {
      name: "tin",
      grams: 400,
      drained: 240,
      closed: true,
      openedDays: 3,
      source: "kitchen",
      estimate: false,
    },
  ],
  washed: 0,
  homes: [],
  edible: { share: 0.9, thrown: "skin", source: "fdc", estimate: false },
  storage: {
    place: "cupboard",
    sealedDays: 730,
    openedDays: 365,
    openedPlace: "cupboard",
    note: "dry",
    source: "estimate",
    estimate: true,
  },
  confusables: [],
  own: "",
  pieces: { can: { low: 240, high: 240 }, medium: { low: 60, high: 80 } },
  density: 0.81,
  weighSource: "estimate",
  titratable: null,
  sweetness: 1.9,
  sources: { fdc: "a public table", estimate: "estimate" },
  lookAlikes: [{ id: "brown-lentils", name: "brown lentils", differs: "They keep their shape." }],
  usedIn: [{ kind: "dish", id: "d1", name: "Misir wot" }],
  entry: null,
};

let calls: { method: string; path: string; body: unknown }[] = [];
let food: FoodView;

beforeEach(() => {
  calls = [];
  food = lentils;
  vi.stubGlobal("fetch", async (path: string, init: RequestInit = {}) => {
    const method = init.method ?? "GET";
    const body: unknown = init.body ? JSON.parse(String(init.body)) : undefined;
    calls.push({ method, path, body });
    if (path === "/api/larder/shelves") {
      return Response.json([
        { id: "own", foods: 0 },
        { id: "pulses", foods: 2 },
      ]);
    }
    if (path.includes("?q=zz")) return Response.json([]);
    if (path.includes("?q=")) return Response.json([hit("found-by-name")]);
    if (path.includes("shelf=own")) return Response.json([]);
    if (path.includes("?shelf=")) return Response.json([hit("red-lentils"), hit("chickpeas")]);
    if (method === "PUT" && JSON.stringify(body).includes("!!!")) {
      return Response.json({ title: "No", detail: "A name must hold letters." }, { status: 422 });
    }
    if (method === "DELETE") food = { ...lentils, own: "", entry: null };
    return Response.json(food);
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function open(path: string) {
  HTMLDialogElement.prototype.showModal = function (this: HTMLDialogElement) {
    this.open = true;
  };
  return render(
    <QueryClientProvider
      client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}
    >
      <MemoryRouter initialEntries={[path]}>
        <Routes>
          <Route path="/larder" element={<LarderPage />} />
          <Route path="/larder/:food" element={<LarderPage />} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

const fact = (name: string) => screen.getByText(name).nextElementSibling?.textContent;

it("shows what is known of a food, and what is missing as missing", async () => {
  open("/larder/red-lentils");
  await screen.findByRole("heading", { name: "Red lentils" });
  expect(screen.getByText(/masoor dal, split lentil/)).toBeDefined();
  expect(fact("1 US cup")).toBe("192 g");
  expect(screen.getByLabelText("Limits").textContent).toContain(
    "iodine 600 µg for an adult: about 0.30 g of it.",
  );
  expect(screen.getByText(/puts 0.12 g at most: of its iodine/)).toBeDefined();
  expect(fact("1 medium")).toBe("60–80 g");
  expect(fact("Sold by the tin")).toBe("400 g, 240 g drained, its rest 3 days in the fridge");
  expect(fact("Eaten")).toBe("90 %, not the skin");
  expect(fact("Energy")).toBe("358 kcal");
  expect(fact("Iodine")).toBe("missing");
  expect(fact("Free glutamate")).toBe("20 mg");
  expect(screen.getByText("A public table")).toBeDefined();
  expect(screen.getAllByText("Estimate")).toHaveLength(2);
  expect(screen.getByText(/They keep their shape/)).toBeDefined();
  expect(screen.getByRole("link", { name: "Misir wot" }).getAttribute("href")).toBe(
    "/dishes/d1/original",
  );
  // The shelf of the food is the one that is open.
  expect(screen.getByRole("button", { name: /Pulses/ }).getAttribute("aria-pressed")).toBe("true");
});

it("searches by any name and says what to do when nothing is found", async () => {
  open("/larder");
  const field = screen.getByLabelText("Search the larder");
  fireEvent.change(field, { target: { value: "fou" } });
  await screen.findByText("found-by-name");
  fireEvent.change(field, { target: { value: "zz" } });
  await screen.findByText(/No food is called “zz”/);
  fireEvent.change(field, { target: { value: "" } });
  fireEvent.click(screen.getByRole("button", { name: /Your own/ }));
  await screen.findByText(/Nothing stands here yet/);
});

it("sends only what the cook entered, and keeps the form open when it is refused", async () => {
  open("/larder/red-lentils");
  fireEvent.click(await screen.findByRole("button", { name: "Correct" }));
  fireEvent.change(screen.getByLabelText("Name"), { target: { value: "!!!" } });
  fireEvent.change(screen.getByLabelText("1 medium"), { target: { value: "75" } });
  fireEvent.click(screen.getByRole("button", { name: "Keep the correction" }));
  await waitFor(() => expect(screen.getByRole("alert").textContent).toContain("must hold letters"));
  expect(screen.getByLabelText<HTMLInputElement>("Name").value).toBe("!!!");
  fireEvent.change(screen.getByLabelText("Name"), { target: { value: "" } });
  food = { ...lentils, own: "corrected", entry: null };
  fireEvent.click(screen.getByRole("button", { name: "Keep the correction" }));
  await screen.findByText(/Corrected by you/);
  const sent = calls.findLast((c) => c.method === "PUT");
  expect(sent?.path).toBe("/api/larder/foods/red-lentils");
  expect(sent?.body).toMatchObject({ id: "red-lentils", pieces: { medium: 75 } });
  expect(sent?.body).not.toHaveProperty("density");

  fireEvent.click(screen.getByRole("button", { name: "Take the correction back" }));
  await waitFor(() => expect(screen.queryByText(/Corrected by you/)).toBeNull());
  expect(calls.some((c) => c.method === "DELETE")).toBe(true);
});
