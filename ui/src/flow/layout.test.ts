import { expect, test } from "vitest";

import type { Action, RecipeDish } from "../api/types";
import { layout, madeNames } from "./layout";
import { line as plantLine } from "../dish/fixture";
import { refOf } from "../shared/format";

const line = (ref: string) => ({ line: ref, made: null, named: null, share: 1 });
const made = (id: string) => ({ line: null, made: id, named: null, share: 1 });

function action(id: string, rest: Partial<Action>): Action {
  return {
    id,
    verb: id,
    technique: id,
    to: [],
    with: [],
    into: [],
    minutes: null,
    celsius: null,
    cue: "",
    from: 0,
    upto: 1,
    ...rest,
  };
}

function dish(lines: number, actions: Action[]): RecipeDish {
  return {
    name: "Stew",
    serves: null,
    notices: [],
    components: [
      {
        name: "",
        lines: Array.from({ length: lines }, (_, i) => plantLine(`line ${i}`, "plant")),
        steps: [
          {
            text: "",
            techniques: [],
            minutes: null,
            celsius: null,
            lines: [],
            cue: "",
            handsOn: true,
            animals: [],
            actions,
            asides: [],
            questions: [],
          },
        ],
      },
    ],
  };
}

test("knots stand right of what goes into them, and the last reaches the plate", () => {
  const p = layout(
    dish(3, [
      action("fry", { to: [line(refOf(0, 0))], with: [line(refOf(0, 1))] }),
      action("add", { to: [line(refOf(0, 2))], into: [made("fry")] }),
      action("simmer", { to: [made("add")], alone: true }),
    ]),
  );
  const [fry, add, simmer] = p.knots;
  expect(fry && add && simmer && fry.x < add.x && add.x < simmer.x && simmer.x < p.plate.x).toBe(
    true,
  );
  expect(p.strands).toHaveLength(6);
  expect(p.strands.filter((s) => !s.thick)).toHaveLength(1);
  expect(p.strands.at(-1)?.key).toBe("simmer plate");
});

test("lines that nothing takes are left out, knots of one column stand apart", () => {
  const p = layout(
    dish(4, [action("a", { to: [line(refOf(0, 1))] }), action("b", { to: [line(refOf(0, 1))] })]),
  );
  expect(p.lines.map((l) => l.name)).toEqual(["line 1"]);
  expect(Math.abs((p.knots[0]?.y ?? 0) - (p.knots[1]?.y ?? 0))).toBeGreaterThan(10);
});

test("sixty lines fit", () => {
  const p = layout(
    dish(
      60,
      Array.from({ length: 60 }, (_, i) => action(`a${i}`, { to: [line(refOf(0, i))] })),
    ),
  );
  expect(p.height).toBeLessThan(1000);
});

test("what was made goes by the text's name, or by what it was made of", () => {
  const names = madeNames(
    dish(2, [
      action("mix", { to: [line(refOf(0, 0)), line(refOf(0, 1))], makes: "batter" }),
      action("rest", { to: [made("mix")] }),
      action("chop", { to: [line(refOf(0, 1))] }),
    ]),
  );
  expect([...names.values()]).toEqual(["the batter", "the batter", "line 1"]);
});

test("in a long chain every word is there, beside its neighbours in turns", () => {
  const chain = (n: number) =>
    layout(
      dish(
        3,
        Array.from({ length: n }, (_, i) =>
          action(`a${i}`, { to: i ? [made(`a${i - 1}`)] : [line(refOf(0, 0))] }),
        ),
      ),
    );
  expect(chain(5).knots.some((k) => k.below)).toBe(false);
  const long = chain(14);
  expect(long.labelled && long.width <= 710).toBe(true);
  expect(long.knots.filter((k) => k.below)).toHaveLength(7);
  expect(chain(40).labelled).toBe(false);
});
