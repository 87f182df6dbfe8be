import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { MemoryRouter, Route, Routes } from "react-router";
import { afterEach, beforeEach, expect, it, vi } from "vitest";

import type { AccessView, GuestView } from "../api/types";
import { useTicks } from "../days/useTicks";
import { Door } from "./Door";
import GuestPage from "./GuestPage";
import { GuestLink } from "./LinkSheet";
import { Screens } from "./Screens";
import { changeHeaders, setToken } from "./session";

const now = Date.parse("2026-12-05T17:00:00Z");
let asked: [string, string, unknown][] = [];
let answers: Record<string, unknown> = {};
let line: "up" | "down" = "up";

beforeEach(() => {
  asked = [];
  line = "up";
  localStorage.clear();
  setToken("");
  vi.stubGlobal("fetch", async (path: string, init: RequestInit = {}) => {
    if (line === "down") throw new TypeError("no line");
    const method = init.method ?? "GET";
    asked.push([method, path, init.body ? JSON.parse(String(init.body)) : null]);
    const body = answers[`${method} ${path.replace(/\?.*/, "")}`];
    if (body === undefined) {
      return new Response(JSON.stringify({ title: "Not signed in", detail: "Not this one." }), {
        status: 401,
      });
    }
    return new Response(JSON.stringify(body), { status: 200 });
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function show(what: React.ReactNode, path = "/") {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  render(
    <QueryClientProvider client={queries}>
      <MemoryRouter initialEntries={[path]}>
        <Routes>
          <Route path="/guest/:token" element={what} />
          <Route path="*" element={what} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return queries;
}

const outside = { needed: true, signedIn: false, id: "", name: "", token: "" };
const inside = { needed: true, signedIn: true, id: "s1", name: "tablet", token: "t-1" };

it("asks nobody where only this machine reaches the kitchen", async () => {
  answers = { "GET /api/session": { ...outside, needed: false } };
  show(
    <Door>
      <p>the kitchen</p>
    </Door>,
  );
  await screen.findByText("the kitchen");
  expect(changeHeaders("POST")).toEqual({});
});

it("asks for the passphrase, says what was wrong, and carries the token from then on", async () => {
  answers = { "GET /api/session": outside };
  show(
    <Door>
      <p>the kitchen</p>
    </Door>,
  );
  fireEvent.change(await screen.findByLabelText("What this screen is called"), {
    target: { value: "tablet" },
  });
  fireEvent.change(screen.getByLabelText("Passphrase"), { target: { value: "wrong" } });
  fireEvent.click(screen.getByRole("button", { name: "Come in" }));
  await screen.findByText("Not this one.");
  answers = { "GET /api/session": inside, "POST /api/session": inside };
  fireEvent.click(screen.getByRole("button", { name: "Come in" }));
  await screen.findByText("the kitchen");
  expect(changeHeaders("PUT")).toEqual({ "X-Yembra-Screen": "t-1" });
  expect(changeHeaders("GET")).toEqual({});
  expect(localStorage.getItem("yembra.screen")).toBe("tablet");
  // Signed out from elsewhere, the next answer shows the way in again.
  answers = { "GET /api/session": outside };
  window.dispatchEvent(new Event("yembra:signed-out"));
  await screen.findByLabelText("Passphrase");
});

it("lists screens and links, signs out, lets in by a code, takes links back", async () => {
  const access: AccessView = {
    open: true,
    addresses: ["https://192.0.2.7:8765", "https://kitchen.local:8765"],
    fingerprint: "AA:BB",
    own: "s1",
    screens: [
      { id: "s1", name: "tablet", made: now, seen: now },
      { id: "s2", name: "phone", made: now, seen: now },
    ],
    links: [
      { id: "l1", kind: "card", about: "d", name: "Goulash", made: now, until: now, used: 2 },
    ],
  };
  answers = {
    "GET /api/access": access,
    "DELETE /api/sessions/s2": {},
    "DELETE /api/links/l1": {},
    "POST /api/session/codes": {
      url: "https://x/enter#c",
      until: now,
      rows: ["10", "01"],
      link: null,
    },
  };
  show(<Screens />);
  await screen.findByText("AA:BB");
  fireEvent.click(screen.getByRole("button", { name: "Sign phone out" }));
  fireEvent.click(screen.getByRole("button", { name: "Take back" }));
  fireEvent.click(screen.getByRole("button", { name: "Let a screen in" }));
  await screen.findByRole("img", { name: /signs one screen in/ });
  const paths = asked.map(([method, path]) => `${method} ${path}`);
  expect(paths).toContain("DELETE /api/sessions/s2");
  expect(paths).toContain("DELETE /api/links/l1");
});

it("makes a link for as long as is said", async () => {
  answers = {
    "POST /api/links": { url: "https://x/guest/t", until: now, rows: ["1"], link: null },
  };
  show(<GuestLink kind="card" about="d1" what="this card" />);
  fireEvent.click(screen.getByRole("button", { name: "Link for a guest" }));
  fireEvent.click(await screen.findByRole("button", { name: "for a week" }));
  await screen.findByText("https://x/guest/t");
  expect(asked[0]).toEqual(["POST", "/api/links", { kind: "card", about: "d1", hours: 168 }]);
});

it("shows a guest the list, and ticks it", async () => {
  const item = {
    key: "onion",
    name: "onion",
    form: "",
    aisle: "vegetables",
    shown: "2 kg",
    uses: [],
    leftUse: "",
    label: "",
    substitutes: [],
    unknown: false,
  };
  const view = {
    kind: "shopping",
    name: "Supper",
    until: now,
    card: null,
    tasks: [],
    ticked: [],
    shopping: { items: [item], spare: [], cost: 3 },
  } as unknown as GuestView;
  answers = { "GET /api/guest/t": view, "POST /api/guest/t/tick": ["onion"] };
  show(<GuestPage />, "/guest/t");
  fireEvent.click(await screen.findByRole("checkbox", { name: /onion 2 kg/ }));
  await waitFor(() =>
    expect(asked.at(-1)).toEqual(["POST", "/api/guest/t/tick", { item: "onion", on: true }]),
  );
  expect(screen.getByRole<HTMLInputElement>("checkbox").checked).toBe(true);
});

it("keeps ticks while the line is gone and sends them in order", async () => {
  answers = { "POST /api/days/d1/tick": ["a"] };
  function Ticks() {
    const tick = useTicks("d1");
    return (
      <>
        <button onClick={() => tick("a", true)}>a on</button>
        <button onClick={() => tick("a", false)}>a off</button>
      </>
    );
  }
  const queries = show(<Ticks />);
  queries.setQueryData(["day", "d1"], { document: { ticked: [] } });
  line = "down";
  fireEvent.click(screen.getByText("a on"));
  fireEvent.click(screen.getByText("a off"));
  await waitFor(() => expect(localStorage.getItem("yembra.ticks.waiting")).toContain('"on":false'));
  expect(asked).toEqual([]);
  line = "up";
  await waitFor(
    () =>
      expect(asked.map(([, , body]) => body)).toEqual([
        { item: "a", on: true },
        { item: "a", on: false },
      ]),
    { timeout: 5000 },
  );
  await waitFor(() => expect(localStorage.getItem("yembra.ticks.waiting")).toBe("[]"));
});
