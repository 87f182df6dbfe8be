import { describe, expect, it } from "vitest";

import type { Adaptation, RecipeDish, Thread } from "../api/types";
import { adapted, line } from "../dish/fixture";
import { arrivedShare, bandKey, chooseBands, layThreads, pathOf, sayPath } from "./threads";

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
    sidePots: [],
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

describe("many traits and lines", () => {
  it("draws the telling traits first and says how many it leaves out", () => {
    const traits = Array.from({ length: 30 }, (_, i) => thread(`t${i}`, i === 29 ? -6 : 0, [], []));
    const pinned = traits[25];
    if (!pinned) throw new Error("no trait");
    pinned.pinned = true;
    const chosen = chooseBands(traits, 10).map((t) => t.trait);
    expect(chosen).toHaveLength(10);
    expect(chosen).toContain("t25");
    expect(chosen).toContain("t29");
    expect(chosen).toEqual([...chosen].sort((a, b) => Number(a.slice(1)) - Number(b.slice(1))));
    expect(layThreads(original, adaptation(traits)).hidden).toBe(16);
    expect(layThreads(original, adaptation(traits), Infinity).hidden).toBe(0);
  });

  it("keeps lines and traits apart from 3 to 25 lines and 3 to 20 traits", () => {
    for (const lines of [3, 12, 25]) {
      for (const traits of [3, 10, 20]) {
        const shares: [string, number][] = Array.from({ length: lines }, (_, i) => [at(i), 1 / 4]);
        const dish = {
          ...original,
          components: [
            {
              name: "",
              lines: Array.from({ length: lines }, (_, i) => line(`food ${i}`, "plant")),
              steps: [],
            },
          ],
        };
        const d = layThreads(
          dish,
          adaptation(Array.from({ length: traits }, (_, i) => thread(`t${i}`, 0, shares, []))),
          Infinity,
        );
        expect(d.left).toHaveLength(lines);
        d.left.forEach((k, i) => {
          const next = d.left[i + 1];
          if (next) expect(next.y - k.y).toBeGreaterThanOrEqual(17);
        });
        expect(Math.min(...d.bands.map((b) => b.height))).toBeGreaterThanOrEqual(17);
      }
    }
  });

  it("gathers what a swap brought into one knot and lights its whole path", () => {
    const a = adaptation([
      thread(
        "smoke",
        0,
        [[at(0), 1]],
        [
          [at(0), 0.6],
          [at(1), 0.4],
        ],
      ),
      thread("salt", 0, [[at(1), 1]], [[at(2), 1]]),
    ]);
    a.components[0]?.lines.push(
      adapted(line("paprika", "plant"), at(0), "swapped"),
      adapted(line("water", "mineral"), at(1), "kept"),
    );
    a.swaps = [
      {
        replaces: at(0),
        swap: "s",
        name: "Smoked tofu and paprika",
        lines: [0, 1],
        why: "",
        use: "",
        rule: "",
        amount: 1,
        limits: "",
        cautions: [],
        rejected: [],
      },
    ];
    const d = layThreads(original, a);
    expect(d.right.map((k) => k.label)).toEqual(["Smoked tofu and paprika", "water"]);
    const path = pathOf(d, `from ${at(0)}`);
    expect([...(path?.knots ?? [])]).toContain(`to ${at(0)}`);
    expect(path?.bands.size).toBe(1);
    expect(pathOf(d, "nothing")).toBeNull();
    const figures = () => "Smoke 5 and 5";
    expect(sayPath(d, d.bands[0]?.key ?? "", figures)).toBe(
      "Smoke 5 and 5. From haddock 100 %; now from Smoked tofu and paprika 100 %.",
    );
    expect(sayPath(d, `to ${at(0)}`, figures)).toBe("Smoked tofu and paprika: smoke 100 %.");
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
