import { afterEach, describe, expect, it, vi } from "vitest";

import { api, Problem } from "./client";

afterEach(() => vi.unstubAllGlobals());

describe("client", () => {
  it("says which version of the dish a change is for", async () => {
    const fetched = vi.fn(async () => Response.json({ id: "d" }));
    vi.stubGlobal("fetch", fetched);
    await api.save("d", 7, { what: "x" });
    const [, init] = fetched.mock.calls[0] as unknown as [string, RequestInit];
    expect(init.headers).toMatchObject({ "If-Match": '"7"' });
  });
  it("turns a problem answer into words and keeps the newer dish", async () => {
    vi.stubGlobal("fetch", async () =>
      Response.json(
        { title: "Changed elsewhere", detail: "d", current: { id: "n" } },
        { status: 412 },
      ),
    );
    const error = await api.undo("d", 1).catch((e: unknown) => e);
    expect(error).toBeInstanceOf(Problem);
    expect(error).toMatchObject({ status: 412, title: "Changed elsewhere", current: { id: "n" } });
  });
  it("says when the server is gone", async () => {
    vi.stubGlobal("fetch", async () => Promise.reject(new TypeError("refused")));
    await expect(api.dishes(new URLSearchParams())).rejects.toMatchObject({ status: 0 });
  });
});
