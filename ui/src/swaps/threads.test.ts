import { describe, expect, it } from "vitest";

import type { Adaptation, RecipeDish, Thread } from "../api/types";
import { adapted, line } from "../dish/fixture";
import { arrivedShare, bandKey, layThreads } from "./threads";

function thread(trait: string, steps: number, from: [string, number][], to: [string, number][]) {
  const shares = (list: [string, number][]) => list.map(([l, share]) => ({ line: l, share }));
  const t: Thread = {
    trait,
    family: "tasted",
    component: "",
    part: 0,
    strength: 0.5,
    original: 4,
    adapted: steps < -1 ? 1 : 4,
    unit: "x",
    steps,
    verdict: steps < -2 ? "short" : "kept",
    pinned: false,
    from: shares(from),
    to: shares(to),
  };
  return t;
}

const at = (n: number) => `components[0].lines[${n}]`;

const original: RecipeDish = {
  name: "Soup",
  serves: null,
  components: [
    { name: "", lines: [line("haddock", "animal"), line("water", "mineral")], steps: [] },
  ],
  notices: [],
};

function adaptation(traits: Thread[]): Adaptation {
  const put = adapted(line("smoked tofu", "plant"), at(0), "swapped");
  return {
    components: [{ name: "", lines: [put], steps: [] }],
    swaps: [],
    boosters: [],
    traits,
    structure: [],
    tally: { kept: 0, near: 0, short: 0, over: 0, wanted: 0, worst: "" },
    unresolved: [],
  };
}

describe("layThreads", () => {
  it("joins lines and traits by their shares and leaves out what carries nothing", () => {
    const d = layThreads(original, adaptation([thread("smoke", 0, [[at(0), 1]], [[at(0), 1]])]));
    expect(d.left.map((k) => k.label)).toEqual(["haddock"]);
    expect(d.ribbons.map((r) => r.side)).toEqual(["from", "to"]);
    const band = d.bands[0];
    expect(band).toBeDefined();
    expect(d.ribbons[0]?.width).toBeCloseTo(band?.height ?? 0);
    expect(d.loose).toEqual([]);
  });

  it("frays what does not arrive, in proportion", () => {
    const d = layThreads(original, adaptation([thread("smoke", -5, [[at(0), 1]], [[at(0), 1]])]));
    const band = d.bands[0];
    expect(band?.arrived).toBe(0.25);
    expect(d.loose[0]?.width).toBeCloseTo((band?.height ?? 0) * 0.75);
    const to = d.ribbons.find((r) => r.side === "to");
    expect(to?.width).toBeCloseTo((band?.height ?? 0) * 0.25);
  });

  it("keeps bands apart however many there are", () => {
    for (const n of [3, 8, 20]) {
      const traits = Array.from({ length: n }, (_, i) => thread(`t${i}`, 0, [[at(0), 1]], []));
      const { bands, height } = layThreads(original, adaptation(traits));
      bands.forEach((b, i) => {
        const next = bands[i + 1];
        if (next) expect(b.y + b.height).toBeLessThan(next.y);
        expect(b.y + b.height).toBeLessThanOrEqual(height);
      });
    }
  });
});

describe("arrivedShare", () => {
  it("counts a kept trait as whole and a lost one as nothing", () => {
    expect(arrivedShare(-0.9, 5, 4)).toBe(1);
    expect(arrivedShare(-8, 5, 0)).toBe(0);
    expect(arrivedShare(3, 0, 5)).toBe(1);
  });
  it("names a component where there is one", () => {
    expect(bandKey({ ...thread("chew", 0, [], []), component: "Topping" })).toBe("chew (Topping)");
  });
});
