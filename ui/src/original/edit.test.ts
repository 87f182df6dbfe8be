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

const line = (name: string, id?: string) => ({ ...plantLine(name, "plant"), id });
const step = (text: string, lines: number[], id?: string): RecipeStep => ({
  id,
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
  swaps: { l3: "tofu-cubes", l6: "flax" },
  uses: { l3: "braise" },
  amounts: { l3: 1.5 },
  boosters: [],
  livesFrom: "",
};
const dish: RecipeDish = {
  name: "Stew",
  serves: null,
  components: [
    {
      id: "p5",
      name: "Stew",
      lines: [line("onion", "l1"), line("carrot", "l2"), line("beef", "l3")],
      steps: [step("Fry it all.", [0, 1, 2], "s4"), step("Serve.", [], "s8")],
    },
    { id: "p7", name: "Crust", lines: [line("egg", "l6")], steps: [] },
  ],
  notices: [{ where: "l3", kind: "unknown-amount", text: "?" }],
};
const start: Editable = { original: dish, decisions };
const ids = (e: Editable, part: number) => e.original.components[part]?.lines.map((l) => l.id);

test("lines keep their names wherever they go, and decisions stay on the names", () => {
  expect(ids(removeLine(start, 0, 0), 0)).toEqual(["l2", "l3"]);
  expect(ids(moveLine(start, 0, 2, 0), 0)).toEqual(["l3", "l1", "l2"]);
  for (const e of [removeLine(start, 0, 0), moveLine(start, 0, 2, 0), moveComponent(start, 0, 1)]) {
    expect(e.decisions).toBe(decisions);
    expect(e.original.notices).toBe(dish.notices);
  }
  expect(moveLine(start, 0, 2, 3)).toBe(start);
});

test("steps stay on their lines when lines go or move", () => {
  expect(removeLine(start, 0, 0).original.components[0]?.steps[0]?.lines).toEqual([0, 1]);
  expect(moveLine(start, 0, 2, 0).original.components[0]?.steps[0]?.lines).toEqual([1, 2, 0]);
});

test("parts can be moved, added and taken away", () => {
  const swapped = moveComponent(start, 1, 0);
  expect(swapped.original.components.map((c) => c.id)).toEqual(["p7", "p5"]);
  expect(addComponent(start, "Relish").original.components[2]?.name).toBe("Relish");
  expect(removeComponent(start, 0).original.components.map((c) => c.id)).toEqual(["p7"]);
});

test("a line written anew keeps its name, and its swap while its food is the same", () => {
  const same = setLine(start, 0, 2, { ...line("beef"), text: "500 g beef" });
  expect(ids(same, 0)).toEqual(["l1", "l2", "l3"]);
  expect(same.decisions.swaps.l3).toBe("tofu-cubes");
  expect(same.original.notices).toEqual([]);
  const other = setLine(start, 0, 2, line("potato"));
  expect(other.decisions.swaps).toEqual({ l6: "flax" });
  expect(other.decisions.uses).toEqual({});
  expect(other.decisions.amounts).toEqual({});
  expect(ids(setLine(start, 1, 1, line("flour")), 1)).toEqual(["l6", undefined]);
  expect(start.original.components[1]?.lines).toHaveLength(1);
});

test("steps keep their names when they are moved or written anew", () => {
  const steps = (e: Editable) => e.original.components[0]?.steps.map((s) => s.id);
  expect(steps(moveStep(start, 0, 1, 0))).toEqual(["s8", "s4"]);
  expect(steps(removeStep(start, 0, 0))).toEqual(["s8"]);
  const anew = setStep(start, 0, 1, step("Rest, then serve.", []));
  expect(steps(anew)).toEqual(["s4", "s8"]);
  expect(anew.original.components[0]?.steps[1]?.text).toBe("Rest, then serve.");
  expect(steps(setStep(start, 0, 2, step("Eat.", [])))).toEqual(["s4", "s8", undefined]);
});
