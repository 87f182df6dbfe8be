import { cleanup, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";

import { Problem } from "../api/client";
import { Emblem } from "./Emblem";
import { Mark } from "./Mark";
import { ProblemNote } from "./ProblemNote";
import { TallyView } from "./TallyView";

afterEach(cleanup);

describe("Mark", () => {
  it("says origin by shape and words, never by colour alone", () => {
    const drawn = ["animal", "plant", "fungus", "mineral", "mixed", "unknown"].map((origin) => {
      const { container } = render(<Mark origin={origin} />);
      return container.querySelector("svg")?.innerHTML.replace(/<title>.*<\/title>/, "");
    });
    expect(new Set(drawn).size).toBe(6);
    expect(screen.getByRole("img", { name: "from an animal" })).toBeDefined();
  });
  it("asks for the label on plants that need it, but never hides an animal", () => {
    render(<Mark origin="plant" check />);
    expect(screen.getByRole("img", { name: "check the label" })).toBeDefined();
    render(<Mark origin="animal" check />);
    expect(screen.getByRole("img", { name: "from an animal" })).toBeDefined();
  });
});

describe("TallyView", () => {
  it("names the worst trait and leaves out what is not over", () => {
    render(
      <TallyView tally={{ kept: 3, near: 1, short: 2, over: 0, wanted: 1, worst: "smoke" }} />,
    );
    const tally = screen.getByLabelText("3 kept, 1 near, 2 short, 1 wanted less");
    expect(tally.textContent).toContain("furthest off: smoke");
    expect(tally.textContent).not.toContain("over");
  });
});

describe("Emblem", () => {
  it("draws one thread a trait and breaks those that fall short", () => {
    const mark = (trait: string, verdict: string) => ({ trait, verdict, steps: 0 });
    const { container } = render(
      <Emblem threads={[mark("salt", "kept"), mark("smoke", "short")]} />,
    );
    const paths = [...container.querySelectorAll("path")];
    expect(paths).toHaveLength(2);
    expect(paths.map((p) => p.hasAttribute("stroke-dasharray"))).toEqual([false, true]);
  });
});

describe("ProblemNote", () => {
  it("says what happened and offers to try again", () => {
    const retry = vi.fn();
    render(<ProblemNote error={new Problem(503, "Gone", "It is away.")} retry={retry} />);
    expect(screen.getByRole("alert").textContent).toContain("It is away.");
    screen.getByRole("button", { name: "Try again" }).click();
    expect(retry).toHaveBeenCalledOnce();
  });
});
