import { useInfiniteQuery } from "@tanstack/react-query";
import { useSearchParams } from "react-router";

import { api } from "../api/client";

/** What the shelf is narrowed down by; it stands in the address, so that it can be kept. */
export const narrowing = [
  "q",
  "country",
  "region",
  "kitchen",
  "state",
  "without",
  "rules",
  "labels",
  "eater",
  "house",
  "away",
  "gone",
  "sort",
] as const;

export type Narrowing = (typeof narrowing)[number];

/** The shelf as the address asks for it, page by page. */
export function useShelf() {
  const [asked, setAsked] = useSearchParams();
  const query = new URLSearchParams(
    narrowing.flatMap((n) => (asked.get(n) ? [[n, asked.get(n) ?? ""]] : [])),
  );
  const shelf = useInfiniteQuery({
    queryKey: ["dishes", query.toString()],
    queryFn: ({ pageParam }) => api.dishes(query, pageParam),
    initialPageParam: 0,
    getNextPageParam: (last) => {
      const next = last.from + last.dishes.length;
      return last.dishes.length > 0 && next < last.all ? next : undefined;
    },
  });
  const set = (name: Narrowing, value: string) =>
    setAsked(
      (was) => {
        const next = new URLSearchParams(was);
        if (value) next.set(name, value);
        else next.delete(name);
        return next;
      },
      { replace: true },
    );
  return {
    shelf,
    dishes: shelf.data?.pages.flatMap((p) => p.dishes) ?? [],
    all: shelf.data?.pages[0]?.all ?? 0,
    stale: shelf.data?.pages.at(-1)?.stale ?? 0,
    asked: (name: Narrowing) => asked.get(name) ?? "",
    set,
    narrowed: [...query.keys()].some((n) => n !== "sort"),
    clear: () => setAsked({}, { replace: true }),
  };
}
