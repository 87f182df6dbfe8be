import { keepPreviousData, useQuery } from "@tanstack/react-query";

import { api } from "../api/client";
import type { DishSummary } from "../api/types";

/** Dishes to choose from by their names: those whose words fit, the first of them. */
export function useShelfNames(find: string): DishSummary[] {
  const query = new URLSearchParams(find.trim() ? { q: find.trim() } : { sort: "name" });
  const shelf = useQuery({
    queryKey: ["dishes", "names", query.toString()],
    queryFn: () => api.dishes(query),
    placeholderData: keepPreviousData,
  });
  return shelf.data?.dishes ?? [];
}
