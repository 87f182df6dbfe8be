import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { MemoryRouter, Route, Routes } from "react-router";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";

import NewDish from "./NewDish";

function show() {
  return render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter initialEntries={["/dishes/new"]}>
        <Routes>
          <Route path="/dishes/new" element={<NewDish />} />
          <Route path="/dishes/:id/original" element={<p>the original</p>} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

const field = () => screen.getByLabelText<HTMLTextAreaElement>("Recipe text");
const read = () => fireEvent.click(screen.getByRole("button", { name: "Read recipe" }));

beforeEach(() => sessionStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("NewDish", () => {
  it("keeps what was typed when the server is gone, and over a reload", async () => {
    vi.stubGlobal("fetch", async () => Promise.reject(new TypeError("refused")));
    const page = show();
    fireEvent.change(field(), { target: { value: "Soup\n1 leek" } });
    read();
    await waitFor(() =>
      expect(screen.getByRole("alert").textContent).toContain("cannot be reached"),
    );
    expect(field().value).toBe("Soup\n1 leek");
    page.unmount();
    show();
    expect(field().value).toBe("Soup\n1 leek");
  });

  it("says what the server said and goes to the original once it is read", async () => {
    const answers = [
      Response.json({ title: "No", detail: "No list of ingredients was found." }, { status: 422 }),
      Response.json({ id: "d1" }, { status: 201 }),
    ];
    const sent: unknown[] = [];
    vi.stubGlobal("fetch", async (path: string, init: RequestInit) => {
      if (path === "/api/kitchen") return Response.json({ measures: "imperial", diners: [] });
      sent.push(JSON.parse(String(init.body)));
      return answers.shift();
    });
    show();
    await screen.findByText(/As the kitchen has it/);
    await waitFor(() => expect(screen.getByText(/^Imperial/)).toBeDefined());
    fireEvent.change(field(), { target: { value: "a novel" } });
    read();
    await waitFor(() => expect(screen.getByRole("alert").textContent).toContain("No list"));
    fireEvent.change(screen.getByLabelText("Place"), { target: { value: "Peru" } });
    read();
    await waitFor(() => expect(screen.getByText("the original")).toBeDefined());
    expect(sent[1]).toMatchObject({ text: "a novel", place: "Peru", measures: "imperial" });
    expect(sessionStorage.getItem("yembra-new-dish")).toBeNull();
  });
});
