import { expect, test } from "vitest";

import type { Decisions, RecipeDish, RecipeStep } from "../api/types";
import { line as plantLine } from "../dish/fixture";
import {
  addComponent,
  moveComponent,
  moveLine,
  moveStep,
  removeComponent,
  removeLine,
  removeStep,
  setLine,
  setStep,
  type Editable,
} from "./edit";

const line = (name: string) => plantLine(name, "plant");
const step = (text: string, lines: number[]): RecipeStep => ({
  text,
  techniques: [],
  minutes: null,
  celsius: null,
  lines,
  cue: "",
  handsOn: true,
  animals: [],
  actions: [],
  asides: [],
  questions: [],
});
const decisions: Decisions = {
  houseRules: { preset: "whole-food", off: [], saltPerServing: 0 },
  pins: [],
  swaps: { "components[0].lines[2]": "tofu-cubes", "components[1].lines[0]": "flax" },
  boosters: [],
  livesFrom: "",
};
const dish: RecipeDish = {
  name: "Stew",
  serves: null,
  components: [
    {
      name: "Stew",
      lines: [line("onion"), line("carrot"), line("beef")],
      steps: [step("Fry it all.", [0, 1, 2])],
    },
    { name: "Crust", lines: [line("egg")], steps: [] },
  ],
  notices: [{ where: "components[0].lines[2]", kind: "unknown-amount", text: "?" }],
};
const start: Editable = { original: dish, decisions };

test("taking a line away moves swaps, notices and steps with the rest", () => {
  const e = removeLine(start, 0, 0);
  expect(e.original.components[0]?.lines.map((l) => l.name)).toEqual(["carrot", "beef"]);
  expect(e.original.components[0]?.steps[0]?.lines).toEqual([0, 1]);
  expect(e.decisions.swaps["components[0].lines[1]"]).toBe("tofu-cubes");
  expect(e.decisions.swaps["components[0].lines[2]"]).toBeUndefined();
  expect(e.original.notices[0]?.where).toBe("components[0].lines[1]");
});

test("the swap of a line that goes is gone too", () => {
  const e = removeLine(start, 0, 2);
  expect(e.decisions.swaps).toEqual({ "components[1].lines[0]": "flax" });
  expect(e.original.notices).toEqual([]);
});

test("moving a line keeps every step on its lines", () => {
  const e = moveLine(start, 0, 2, 0);
  expect(e.original.components[0]?.lines.map((l) => l.name)).toEqual(["beef", "onion", "carrot"]);
  expect(e.original.components[0]?.steps[0]?.lines).toEqual([1, 2, 0]);
  expect(e.decisions.swaps["components[0].lines[0]"]).toBe("tofu-cubes");
  expect(moveLine(start, 0, 2, 3)).toBe(start);
});

test("parts can be moved, added and taken away", () => {
  const swapped = moveComponent(start, 1, 0);
  expect(swapped.original.components.map((c) => c.name)).toEqual(["Crust", "Stew"]);
  expect(swapped.decisions.swaps["components[0].lines[0]"]).toBe("flax");
  expect(swapped.decisions.swaps["components[1].lines[2]"]).toBe("tofu-cubes");
  expect(addComponent(start, "Relish").original.components[2]?.name).toBe("Relish");
  const without = removeComponent(start, 0);
  expect(without.decisions.swaps).toEqual({ "components[0].lines[0]": "flax" });
});

test("a line written anew loses its swap only when its food changes", () => {
  const same = setLine(start, 0, 2, { ...line("beef"), text: "500 g beef" });
  expect(same.decisions.swaps["components[0].lines[2]"]).toBe("tofu-cubes");
  const other = setLine(start, 0, 2, line("potato"));
  expect(other.decisions.swaps["components[0].lines[2]"]).toBeUndefined();
  expect(setLine(start, 1, 1, line("flour")).original.components[1]?.lines).toHaveLength(2);
  expect(setStep(start, 1, 0, step("Bake.", [])).original.components[1]?.steps).toHaveLength(1);
  expect(start.original.components[1]?.lines).toHaveLength(1);
});

test("uses, amounts and boosters follow their lines and parts", () => {
  const ref = "components[0].lines[2]";
  const e = {
    ...start,
    decisions: {
      ...start.decisions,
      uses: { [ref]: "braise" },
      amounts: { [ref]: 1.5 },
      boosters: [{ food: "miso", form: "raw", grams: 6, component: 0, why: "" }],
    },
  };
  const first = moveLine(e, 0, 2, 0);
  expect(first.decisions.uses).toEqual({ "components[0].lines[0]": "braise" });
  expect(first.decisions.amounts).toEqual({ "components[0].lines[0]": 1.5 });
  const swapped = moveComponent(e, 0, 1);
  expect(swapped.decisions.uses).toEqual({ "components[1].lines[2]": "braise" });
  expect(swapped.decisions.boosters[0]?.component).toBe(1);
  const gone = removeLine(e, 0, 2);
  expect(gone.decisions.uses).toEqual({});
  expect(gone.decisions.amounts).toEqual({});
});

test("the cook's wording follows its steps", () => {
  const original = {
    ...dish,
    components: dish.components.map((c, i) =>
      i === 0 ? { ...c, steps: [step("Chop.", [0]), step("Fry.", [1]), step("Serve.", [2])] } : c,
    ),
  };
  const key = (c: number, s: number) => `components[${c}].steps[${s}]`;
  const e: Editable = {
    original,
    decisions: {
      ...decisions,
      wording: { [key(0, 1)]: "Fry it my way.", "components[0].added miso stir": "Miso last." },
    },
  };
  expect(moveStep(e, 0, 1, 0).decisions.wording?.[key(0, 0)]).toBe("Fry it my way.");
  expect(removeStep(e, 0, 0).decisions.wording?.[key(0, 0)]).toBe("Fry it my way.");
  expect(removeStep(e, 0, 1).decisions.wording).toEqual({
    "components[0].added miso stir": "Miso last.",
  });
  expect(setStep(e, 0, 1, step("Roast.", [1])).decisions.wording?.[key(0, 1)]).toBeUndefined();
  expect(moveComponent(e, 0, 1).decisions.wording).toEqual({
    [key(1, 1)]: "Fry it my way.",
    "components[1].added miso stir": "Miso last.",
  });
  expect(removeComponent(e, 0).decisions.wording).toEqual({});
});
