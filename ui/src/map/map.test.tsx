import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";

import type { ShelfFacets, TodoDish } from "../api/types";
import MapPage from "./MapPage";
import { tableCloth } from "../../map/outlines";
import { around, furthest, shapes as all, size } from "./world";

it("draws every country once, inside the drawing", () => {
  expect(new Set(all.map((o) => o.code)).size).toBe(all.length);
  for (const code of ["300", "076", "392", "470", "702"]) {
    expect(
      all.some((o) => o.code === code),
      code,
    ).toBe(true);
  }
  expect(all.some((o) => o.code === "010")).toBe(false);
  for (const o of all) {
    expect(o.box[0]).toBeGreaterThan(-1);
    expect(o.box[2]).toBeLessThan(size.width + 1);
    expect(o.box[3]).toBeLessThan(size.height + 1);
  }
  const greece = all.filter((o) => o.code === "300");
  const [x, y, w, h] = around(greece).split(" ").map(Number);
  expect((x ?? 0) + (w ?? 0) / 2).toBeGreaterThan(size.width / 2);
  expect(w).toBeLessThan(200);
  expect((y ?? 0) + (h ?? 0)).toBeLessThan(size.height / 2);
  expect(around([])).toBe(`0 0 ${size.width} ${size.height}`);
});

it("projects the same on both sides, and narrower to the north", () => {
  expect(tableCloth(1, 0.5)[0]).toBeCloseTo(-tableCloth(-1, 0.5)[0]);
  expect(tableCloth(1, 1.4)[0]).toBeLessThan(tableCloth(1, 0)[0]);
  expect(tableCloth(0, 1)[1]).toBeGreaterThan(tableCloth(0, 0.5)[1]);
});

it("tints by the furthest", () => {
  expect(furthest(undefined)).toBe("nothing");
  expect(furthest({ original: 2 })).toBe("original");
  expect(furthest({ original: 2, tried: 1 })).toBe("adapting");
  expect(furthest({ adapting: 1, settled: 1 })).toBe("settled");
});

const facets: ShelfFacets = {
  countries: { "300": { original: 1 } },
  regions: {},
  kitchens: {},
  labels: [],
  eaters: [],
  rules: [],
  allergens: [],
  world: [
    { code: "300", name: "Greece", region: "Southern Europe", kitchen: "Greek and Anatolian" },
    { code: "076", name: "Brazil", region: "South America", kitchen: "Brazilian" },
  ],
};
const todo: TodoDish = {
  key: "300-pastitsio",
  country: "300",
  place: "",
  name: "pastitsio",
  what: "baked pasta",
  lives: ["pale", "egg"],
  restsOn: ["beef"],
  when: "Sundays",
  source: "general-knowledge",
  wish: false,
  dish: "",
};
let sent: string[] = [];
let wished = false;
beforeEach(() => {
  sent = [];
  wished = false;
  vi.stubGlobal("fetch", async (path: string, init: RequestInit = {}) => {
    if (init.method && init.method !== "GET") sent.push(`${init.method} ${path}`);
    if (path === "/api/shelf") return Response.json(facets);
    if (path.startsWith("/api/todo")) {
      if (init.method === "PUT") {
        wished = true;
        return new Response(null, { status: 204 });
      }
      return Response.json([{ ...todo, wish: wished }]);
    }
    if (path.startsWith("/api/dishes"))
      return Response.json({ dishes: [], all: 0, from: 0, stale: 0 });
    throw new Error(`nobody asked for ${path}`);
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it("opens a country by keyboard, wishes, and shows the same as a table", async () => {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <MapPage />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  fireEvent.click(await screen.findByRole("button", { name: "Southern Europe" }));
  const choice = screen.getByRole<HTMLSelectElement>("combobox", { name: /Country/ });
  expect([...choice.options].map((o) => o.text)).toEqual(["Southern Europe", "Greece"]);
  fireEvent.change(choice, { target: { value: "300" } });
  await screen.findByRole("heading", { name: "Greece" });
  await screen.findByText(/Lives from pale and egg; rests on beef/);
  fireEvent.click(screen.getByRole("button", { name: "Wish for pastitsio" }));
  await screen.findByRole("button", { name: "pastitsio: wished for" });
  expect(sent).toEqual(["PUT /api/todo/300-pastitsio"]);
  fireEvent.click(screen.getByRole("button", { name: "As a table" }));
  await waitFor(() =>
    expect(screen.getByRole("row", { name: /Greece Southern Europe 1/ })).toBeTruthy(),
  );
});
