import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect } from "react";

import { api, Problem } from "../api/client";
import type { DayView } from "../api/types";

const place = "yembra.ticks.waiting";

interface Tick {
  day: string;
  item: string;
  on: boolean;
}

function waiting(): Tick[] {
  try {
    return JSON.parse(localStorage.getItem(place) ?? "[]") as Tick[];
  } catch {
    return [];
  }
}

let sending = false;

/** Sends the ticks that wait, in order, each until it has arrived. */
async function flush(done: (t: Tick, ticked: string[]) => void) {
  if (sending) return;
  sending = true;
  try {
    for (let next = waiting()[0]; next; next = waiting()[0]) {
      const ticked = await api
        .tick(next.day, { item: next.item, on: next.on })
        .catch((e: unknown) => {
          if (e instanceof Problem && e.status !== 0 && e.status < 500) return null;
          throw e;
        });
      localStorage.setItem(place, JSON.stringify(waiting().slice(1)));
      if (ticked) done(next, ticked);
    }
  } catch {
    window.setTimeout(() => void flush(done), 2_000); // the line is gone; they stay here
  } finally {
    sending = false;
  }
}

/** Ticks items of a day's shopping: at once here, sent when the line is there. */
export function useTicks(day: string) {
  const queries = useQueryClient();
  const show = useCallback(
    (ticked: (was: string[]) => string[]) =>
      queries.setQueryData<DayView>(
        ["day", day],
        (v) => v && { ...v, document: { ...v.document, ticked: ticked(v.document.ticked) } },
      ),
    [queries, day],
  );
  const send = useCallback(
    () =>
      void flush((t, ticked) => {
        if (t.day === day && waiting().length === 0) show(() => ticked);
      }),
    [day, show],
  );
  useEffect(() => send(), [send]);
  return useCallback(
    (item: string, on: boolean) => {
      localStorage.setItem(place, JSON.stringify([...waiting(), { day, item, on }]));
      show((was) =>
        on ? [...was.filter((x) => x !== item), item] : was.filter((x) => x !== item),
      );
      send();
    },
    [day, show, send],
  );
}
