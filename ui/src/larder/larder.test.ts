import { expect, test } from "vitest";

import { entryOf, idFor, withFigure } from "./entry";
import { rounded } from "./nutrients";

test("an id is made of the plain words of a name", () => {
  expect(idFor("Ají “verde” 2")).toBe("aji-verde-2");
  expect(idFor("  --  ")).toBe("");
});

test("figures keep three digits and no more", () => {
  expect(rounded(123.456)).toBe("123");
  expect(rounded(0.012345)).toBe("0.0123");
  expect(rounded(5)).toBe("5");
});

test("an entry begins empty", () => {
  expect(entryOf().aliases).toEqual([]);
  expect(entryOf().origin).toBe("");
});

test("a figure is set or taken out, the others stay", () => {
  expect(withFigure({ piece: 5 }, "can", 200)).toEqual({ piece: 5, can: 200 });
  expect(withFigure({ piece: 5, can: 200 }, "can", null)).toEqual({ piece: 5 });
  expect(withFigure(null, "can", null)).toEqual({});
});
