/** Every key the interface listens to, as help lists them. */
export const keyList: [string, string][] = [
  ["/", "search dishes and foods"],
  ["?", "this help"],
  ["[  ]", "walk the path of a dish back and on"],
  ["Ctrl+Z", "undo the last change"],
  ["Ctrl+Shift+Z", "redo"],
  ["p", "propose swaps (in Swaps)"],
  ["↑  ↓", "move between the lines to swap (in Swaps)"],
  ["Tab", "walk through the lines and traits of the threads; each says its figures"],
  ["Enter", "use the candidate that has the focus; keep a line being edited"],
  ["Alt+↑  Alt+↓", "move the line, step or part that has the focus (in Original)"],
  ["←  →", "pin the task that has the focus five minutes earlier or later (in Days)"],
  ["Esc", "leave a line being edited as it was"],
];

/** Tells whether a key goes into a field and is not meant as a command. */
export function isTyping(e: KeyboardEvent): boolean {
  const t = e.target;
  return (
    t instanceof HTMLElement &&
    (t.isContentEditable || ["INPUT", "TEXTAREA", "SELECT"].includes(t.tagName))
  );
}
