import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";

import type { LearnedView, Settings } from "../api/types";
import KitchenPage from "./KitchenPage";

let kept: Settings;
let refuse = false;
let lessonOff = false;

function learnedNow(): LearnedView {
  const taught = {
    trait: "smoke",
    food: "",
    say: "Smoke is tasted 1.0 steps less than foreseen.",
    since: 1,
    lessons: ["t/A/smoke"],
  };
  return {
    factors: [],
    weighed: [],
    taught: lessonOff ? [] : [taught],
    lessons: [
      {
        key: "t/A/smoke",
        dish: "d",
        name: "Thursday, A",
        trait: "smoke",
        at: 1,
        n: 6,
        tasted: -1.5,
        foretold: -0.5,
        off: lessonOff,
      },
    ],
  };
}

beforeEach(() => {
  kept = {
    measures: "metric",
    diners: [{ name: "Wren", cannotEat: ["soy"] }],
    houseRules: { preset: "whole-food", off: [], saltPerServing: 0 },
    kit: { cooks: 1, rings: 4, ovens: [{ shelves: 2 }], kit: { blender: 1 }, awake: null },
    prices: {},
    version: 3,
    unfit: [],
  };
  refuse = false;
  lessonOff = false;
  vi.stubGlobal("fetch", async (path: string, init: RequestInit = {}) => {
    if (path.startsWith("/api/rules")) {
      return Response.json({
        presets: [
          {
            id: "whole-food",
            name: "Whole food",
            hard: ["no animal matter"],
            soft: ["little oil"],
          },
          { id: "fasting-day", name: "Fasting day", hard: ["no grains"], soft: ["roots"] },
        ],
        switches: [
          { id: "soy", rule: "no soy", diner: "soy" },
          { id: "lupin", rule: "no lupin", diner: "lupin" },
          { id: "raw-onion", rule: "no raw onion", diner: "" },
        ],
      });
    }
    if (path === "/api/access") {
      return Response.json({
        open: false,
        addresses: [],
        fingerprint: "",
        screens: [],
        links: [],
        own: "",
      });
    }
    if (path === "/api/learned" || path.startsWith("/api/taught/")) {
      if (path === "/api/taught/t/A/smoke") lessonOff = init.method === "DELETE";
      return Response.json(learnedNow());
    }
    if (path === "/api/prices") {
      const own = kept.prices["aisle:nuts"];
      return Response.json([
        {
          key: "aisle:nuts",
          name: "all nuts",
          perKg: own ?? 13,
          shipped: 13,
          own: own !== undefined,
        },
      ]);
    }
    if (path === "/api/archive") {
      return String((init.body as Blob).size) === "3"
        ? Response.json({ added: 2, same: 0, longer: 0, copied: 1, entries: 0, pictures: 3 })
        : Response.json({ title: "No", detail: "It is no zip file." }, { status: 422 });
    }
    if (path.startsWith("/api/larder")) {
      return Response.json([
        {
          id: "carrot",
          name: "carrot",
          origin: "plant",
          animal: "",
          checkLabel: false,
          own: "corrected",
        },
      ]);
    }
    if (init.method === "PUT") {
      if (refuse) return Response.json({ title: "No", detail: "It is full." }, { status: 422 });
      const match = (init.headers as Record<string, string>)["If-Match"];
      if (match !== `"${kept.version}"`) {
        return Response.json({ title: "Changed meanwhile", detail: "Look." }, { status: 412 });
      }
      kept = { ...(JSON.parse(String(init.body)) as Settings), version: kept.version + 1 };
    }
    return Response.json(kept);
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const open = () =>
  render(
    <QueryClientProvider
      client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}
    >
      <MemoryRouter>
        <KitchenPage />
      </MemoryRouter>
    </QueryClientProvider>,
  );

it("names who eats here, lets them be added and taken away", async () => {
  open();
  await screen.findByText("Wren");
  const name = screen.getByLabelText("Name of a diner");
  fireEvent.change(name, { target: { value: "  " } });
  fireEvent.click(screen.getByRole("button", { name: "Add a diner" }));
  expect(kept.diners).toHaveLength(1);
  fireEvent.change(name, { target: { value: "Alder" } });
  fireEvent.click(screen.getByRole("button", { name: "Add a diner" }));
  await waitFor(() => expect(kept.diners.map((d) => d.name)).toEqual(["Wren", "Alder"]));
  fireEvent.click(screen.getAllByRole("button", { name: "Take away" })[0] as HTMLElement);
  await waitFor(() => expect(kept.diners.map((d) => d.name)).toEqual(["Alder"]));
});

it("makes changes one after the other, each on what the one before left", async () => {
  open();
  await screen.findByText("Wren");
  const name = screen.getByLabelText("Name of a diner");
  for (const who of ["Alder", "Birch"]) {
    fireEvent.change(name, { target: { value: who } });
    fireEvent.click(screen.getByRole("button", { name: "Add a diner" }));
    await screen.findByText(who);
  }
  await waitFor(() => expect(kept.diners.map((d) => d.name)).toEqual(["Wren", "Alder", "Birch"]));
  expect(kept.version).toBe(5);
});

it("says what another window changed meanwhile, and which foods are left out", async () => {
  kept.unfit = ["odd root: origin is none"];
  open();
  expect((await screen.findByRole("note")).textContent).toContain("odd root");
  kept = { ...kept, version: 9 };
  fireEvent.change(screen.getByLabelText("Name of a diner"), { target: { value: "Alder" } });
  fireEvent.click(screen.getByRole("button", { name: "Add a diner" }));
  expect((await screen.findByRole("alert")).textContent).toContain("Changed meanwhile");
  expect(kept.diners).toHaveLength(1);
});

it("shows corrections, and goes back to what is kept when a change is refused", async () => {
  refuse = true;
  open();
  await screen.findByText("corrected");
  fireEvent.change(screen.getByLabelText("Name of a diner"), { target: { value: "Alder" } });
  fireEvent.click(screen.getByRole("button", { name: "Add a diner" }));
  await waitFor(() => expect(screen.getByRole("alert").textContent).toContain("It is full."));
  await waitFor(() => expect(screen.queryByText("Alder")).toBeNull());
});

it("keeps the house rules: school, switches, limits", async () => {
  open();
  fireEvent.click(await screen.findByRole("radio", { name: /Fasting day/ }));
  await waitFor(() => expect(kept.houseRules.preset).toBe("fasting-day"));
  fireEvent.click(screen.getByRole("checkbox", { name: "no raw onion" }));
  await waitFor(() => expect(kept.houseRules.off).toEqual(["raw-onion"]));
  fireEvent.click(screen.getByRole("checkbox", { name: "no raw onion" }));
  await waitFor(() => expect(kept.houseRules.off).toEqual([]));
  fireEvent.click(screen.getByRole("checkbox", { name: "mild table" }));
  await waitFor(() => expect(kept.houseRules.mild).toBe(true));
  const salt = screen.getByLabelText("Salt at most, grams a serving");
  fireEvent.change(salt, { target: { value: "1.5" } });
  fireEvent.blur(salt);
  await waitFor(() => expect(kept.houseRules.saltPerServing).toBe(1.5));
});

it("keeps the kit, the hours and the kitchen's own prices", async () => {
  open();
  fireEvent.change(await screen.findByLabelText("Cooks"), { target: { value: "2" } });
  await waitFor(() => expect(kept.kit.cooks).toBe(2));
  fireEvent.change(screen.getByLabelText("More kit"), { target: { value: "Steamer" } });
  fireEvent.click(screen.getByRole("button", { name: "Add" }));
  await waitFor(() => expect(kept.kit.kit).toEqual({ blender: 1, steamer: 1 }));
  fireEvent.change(screen.getByLabelText("Shelves of oven 1"), { target: { value: "0" } });
  await waitFor(() => expect(kept.kit.ovens).toEqual([]));
  fireEvent.click(screen.getByRole("switch", { name: "Nobody works at night" }));
  await waitFor(() => expect(kept.kit.awake).toEqual({ from: "07:00", to: "23:00" }));
  fireEvent.change(screen.getByLabelText("Up at"), { target: { value: "06:30" } });
  await waitFor(() => expect(kept.kit.awake?.from).toBe("06:30"));
  fireEvent.change(screen.getByLabelText(/all nuts/), { target: { value: "20" } });
  await waitFor(() => expect(kept.prices).toEqual({ "aisle:nuts": 20 }));
  fireEvent.click(await screen.findByRole("button", { name: /back to 13/ }));
  await waitFor(() => expect(kept.prices).toEqual({}));
});

it("keeps which foods are in the house", async () => {
  kept.house = ["leek"];
  open();
  const box = await screen.findByRole("combobox", { name: "Foods in the house" });
  screen.getByText("leek");
  fireEvent.keyDown(box, { key: "Backspace", keyCode: 8 });
  await waitFor(() => expect(kept.house).toEqual([]));
});

it("takes back what a tasting has taught, and brings it back", async () => {
  open();
  await screen.findByText(/Smoke is tasted 1.0 steps less/);
  const row = screen.getByRole("row", { name: /Thursday, A.* smoke 6 −0.5 −1.5/ });
  fireEvent.click(within(row).getByRole("button", { name: "Take back" }));
  await screen.findByText("No tasting has taught anything yet.");
  fireEvent.click(screen.getByRole("button", { name: "Bring it back" }));
  await screen.findByText(/Smoke is tasted 1.0 steps less/);
});

it("says what a restored archive did, or why it was refused", async () => {
  open();
  const field = await screen.findByLabelText("Archive to bring in");
  fireEvent.change(field, { target: { files: [new File(["zip"], "a.zip")] } });
  await screen.findByText(/2 dishes came in.*3 pictures came along/);
  fireEvent.change(field, { target: { files: [new File(["no zip"], "a.zip")] } });
  await screen.findByText(/It is no zip file/);
});
