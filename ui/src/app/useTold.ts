import { useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";

interface Kept {
  kind: string;
  key: string;
}

/** What may show something of each kind of thing that is kept. */
const shows: Record<string, (key: string) => unknown[][]> = {
  dish: (key) => [["dish", key], ["dishes"], ["past", key]],
  day: (key) => [["day", key], ["days"]],
  food: (key) => [["food", key], ["foods"], ["shelf"], ["kitchen"]],
  kitchen: () => [["kitchen"], ["prices"]],
  cook: () => [["stoves"]],
  trial: () => [["stoves"], ["trials"]],
  tasting: (key) => [["tastings"], ["tasting", key]],
  sheet: (key) => [["tasting", key.split("/")[0]], ["between"]],
  measured: () => [["learned"], ["card"]],
  screens: () => [["access"], ["session"]],
};

/** How long to wait for a save, in milliseconds. */
const saving = 200;

/** Shows what other windows and screens have changed, as the server tells it. */
export function useTold() {
  const queries = useQueryClient();
  useEffect(() => {
    if (typeof EventSource === "undefined") return;
    const source = new EventSource("/api/stream");
    let opened = false;
    const waiting = new Set<number>();
    // While this window is saving, what others did waits for the answer.
    const show = (queryKey: unknown[]) => {
      if (queries.isMutating({ mutationKey: queryKey }) === 0) {
        void queries.invalidateQueries({ queryKey });
        return;
      }
      const timer = window.setTimeout(() => {
        waiting.delete(timer);
        show(queryKey);
      }, saving);
      waiting.add(timer);
    };
    source.addEventListener("hello", () => {
      // A window that was away catches up.
      if (opened) void queries.invalidateQueries();
      opened = true;
    });
    source.addEventListener("kept", (e: MessageEvent<string>) => {
      const { kind, key } = JSON.parse(e.data) as Kept;
      for (const queryKey of shows[kind]?.(key) ?? []) show(queryKey);
    });
    source.addEventListener("changed", () => {
      void queries.invalidateQueries({ queryKey: ["stoves"] });
    });
    return () => {
      source.close();
      waiting.forEach((timer) => window.clearTimeout(timer));
    };
  }, [queries]);
}
