import { describe, expect, it } from "vitest";

import { figure, grams, minutes, refOf, signed, tallyWords } from "./format";

describe("amounts", () => {
  it("shows spans, and a dash for what nobody knows", () => {
    expect(grams({ low: 400, high: 440 })).toBe("400–440 g");
    expect(grams({ low: 0.34, high: 0.34 })).toBe("0.34 g");
    expect(grams(null)).toBe("–");
  });
  it("signs steps, and never shows minus nothing", () => {
    expect(signed(-1.26)).toBe("−1.3");
    expect(signed(0.4)).toBe("+0.4");
    expect(signed(-0.04)).toBe("+0.0");
  });
  it("writes minutes as a cook says them", () => {
    expect(minutes({ low: 8, high: 10 })).toBe("8–10 min");
    expect(minutes({ low: 90, high: 90 })).toBe("1 h 30 min");
    expect(minutes(null)).toBe("");
  });
  it("keeps figures short", () => {
    expect([figure(0.123), figure(4.56), figure(45.6)]).toEqual(["0.12", "4.6", "46"]);
  });
});

describe("tallyWords", () => {
  it("leaves out what is not there", () => {
    const t = { kept: 14, near: 2, short: 1, over: 0, wanted: 0, worst: "chew" };
    expect(tallyWords(t)).toBe("14 kept, 2 near, 1 short");
    expect(tallyWords({ ...t, over: 1, wanted: 2 })).toBe(
      "14 kept, 2 near, 1 short, 1 over, 2 wanted less",
    );
  });
  it("names places as the server does", () => {
    expect(refOf(1, 3)).toBe("components[1].lines[3]");
  });
});
