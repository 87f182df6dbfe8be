import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";

import { useStream } from "./stream";

/** What may show something of each kind of thing that is kept. */
const shows: Record<string, (key: string) => unknown[][]> = {
  dish: (key) => [["dish", key], ["dishes"], ["shelf-facets"], ["past", key]],
  day: (key) => [["day", key], ["days"]],
  food: (key) => [["food", key], ["foods"], ["shelf"], ["kitchen"]],
  kitchen: () => [["kitchen"], ["prices"]],
  cook: () => [["stoves"]],
  trial: () => [["stoves"], ["trials"]],
  picture: () => [["trials"], ["pictures"], ["dishes"]],
  wish: () => [["todo"]],
  begun: () => [["todo"]],
  // What a table or the scale teaches changes every figure.
  tasting: () => [[]],
  untaught: () => [[]],
  sheet: (key) => [["tasting", key.split("/")[0]], ["between"]],
  measured: () => [[]],
  screens: () => [["access"], ["session"]],
};

/** How long to wait for a save, in milliseconds. */
const saving = 200;

/** Shows what other windows and screens have changed, as the server tells it. */
export function useTold() {
  const queries = useQueryClient();
  const waiting = useRef(new Set<number>());
  useEffect(() => {
    const timers = waiting.current;
    return () => timers.forEach((timer) => window.clearTimeout(timer));
  }, []);
  // While this window is saving, what others did waits for the answer.
  const show = (queryKey: unknown[]) => {
    if (queries.isMutating({ mutationKey: queryKey }) === 0) {
      void queries.invalidateQueries({ queryKey });
      return;
    }
    const timer = window.setTimeout(() => {
      waiting.current.delete(timer);
      show(queryKey);
    }, saving);
    waiting.current.add(timer);
  };
  useStream({
    // A window that was away catches up, where it missed anything.
    opened: (missed) => missed && void queries.invalidateQueries(),
    kept: ({ kind, key }) => shows[kind]?.(key).forEach(show),
    shelf: () => void queries.invalidateQueries({ queryKey: ["dishes"] }),
    changed: () => void queries.invalidateQueries({ queryKey: ["stoves"] }),
  });
}
