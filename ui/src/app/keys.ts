import { worded } from "../texts/worded";

/** Every key the interface listens to, as help lists them. */
export const keyList: [string, string][] = [
  ["/", worded("app.searchDishesAndFoods")],
  ["?", worded("app.thisHelp")],
  ["[  ]", worded("app.walkThePathOfADish")],
  ["Ctrl+Z", worded("app.undoTheLastChange")],
  ["Ctrl+Shift+Z", "redo"],
  ["p", worded("app.proposeSwapsInSwaps")],
  ["↑  ↓", worded("app.moveBetweenTheLinesToSwap")],
  ["Tab", worded("app.walkThroughTheLinesAndTraits")],
  ["Enter", worded("app.useTheCandidateThatHasThe")],
  [worded("app.altAlt"), worded("app.moveTheLineStepOrPart")],
  ["←  →", worded("app.pinTheTaskThatHasThe")],
  ["Esc", worded("app.leaveALineBeingEditedAs")],
];

/** Tells whether a key goes into a field and is not meant as a command. */
export function isTyping(e: KeyboardEvent): boolean {
  const t = e.target;
  return (
    t instanceof HTMLElement &&
    (t.isContentEditable || ["INPUT", "TEXTAREA", "SELECT"].includes(t.tagName))
  );
}
