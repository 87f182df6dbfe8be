import { useQuery } from "@tanstack/react-query";
import { Button, Input, Select } from "antd";
import { useEffect, useState } from "react";

import { api } from "../api/client";
import type { useShelf } from "./useShelf";
import { worded } from "../texts/worded";

export const stateNames: [string, string][] = [
  ["original", worded("dishes.originalKept")],
  ["adapting", worded("dishes.beingAdapted")],
  ["decided", worded("dishes.everyLineDecided")],
  ["tried", "tried"],
  ["settled", "settled"],
];

/** What the shelf is narrowed down by, and its order. */
export function Narrow({ shelf: s }: { shelf: ReturnType<typeof useShelf> }) {
  const facets = useQuery({ queryKey: ["shelf-facets"], queryFn: api.facets });
  const asked = s.asked("q");
  const [words, setWords] = useState(asked);
  useEffect(() => {
    if (words === asked) return;
    const timer = window.setTimeout(() => s.set("q", words.trim()), 200);
    return () => window.clearTimeout(timer);
    // The words are what it waits for.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [words]);
  const f = facets.data;
  const many = (name: "without" | "rules" | "labels", placeholder: string, options: string[]) => (
    <Select
      mode="multiple"
      allowClear
      aria-label={placeholder}
      placeholder={placeholder}
      value={s.asked(name) ? s.asked(name).split(",") : []}
      onChange={(v: string[]) => s.set(name, v.join(","))}
      options={options.map((o) => ({ value: o, label: o }))}
    />
  );
  const one = (
    name: "country" | "region" | "kitchen" | "state" | "eater" | "sort",
    placeholder: string,
    options: [string, string][],
  ) => (
    <Select
      allowClear
      showSearch={{ optionFilterProp: "label" }}
      aria-label={placeholder}
      placeholder={placeholder}
      value={s.asked(name) || undefined}
      onChange={(v: string | undefined) => s.set(name, v ?? "")}
      options={options.map(([value, label]) => ({ value, label }))}
    />
  );
  const countries = (f?.world ?? [])
    .filter((c) => f?.countries[c.code])
    .map((c): [string, string] => [c.code, c.name]);
  const regions = Object.keys(f?.regions ?? {})
    .filter(Boolean)
    .sort()
    .map((r): [string, string] => [r, r]);
  const kitchens = Object.keys(f?.kitchens ?? {})
    .filter(Boolean)
    .sort()
    .map((k): [string, string] => [k, k]);
  const tick = (name: "house" | "away" | "gone", label: string) => (
    <label>
      <input
        type="checkbox"
        checked={s.asked(name) === "true"}
        onChange={(e) => s.set(name, e.target.checked ? "true" : "")}
      />{" "}
      {label}
    </label>
  );
  return (
    <section className="narrow" aria-label={worded("dishes.narrowDownTheShelf")}>
      <Input
        value={words}
        allowClear
        placeholder={worded("dishes.wordsOfTheNamePlaceOr")}
        aria-label={worded("dishes.wordsOfTheNamePlaceOr")}
        onChange={(e) => setWords(e.target.value)}
      />
      {one("region", "Region", regions)}
      {one("country", "Country", countries)}
      {one("kitchen", "Kitchen", kitchens)}
      {one("state", worded("dishes.howFarItHasCome"), stateNames)}
      {many("without", worded("dishes.holdsNo"), f?.allergens ?? [])}
      {many("rules", worded("dishes.keepsTheRule"), f?.rules ?? [])}
      {(f?.labels.length ?? 0) > 0 && many("labels", "Label", f?.labels ?? [])}
      {(f?.eaters.length ?? 0) > 0 &&
        one(
          "eater",
          worded("dishes.whoAteIt"),
          (f?.eaters ?? []).map((e) => [e, e]),
        )}
      {one("sort", worded("dishes.sortedByLastTouched"), [
        ["name", worded("dishes.byName")],
        ["place", worded("dishes.byPlace")],
        ["liking", worded("dishes.byWhatTheTableLiked")],
      ])}
      <span className="ticks">
        {tick("house", worded("dishes.fromWhatIsInTheHouse"))}
        {tick("away", worded("dishes.putAway3"))}
        {tick("gone", worded("dishes.takenAway2"))}
      </span>
      {s.narrowed && (
        <Button
          size="small"
          onClick={() => {
            setWords("");
            s.clear();
          }}
        >
          {worded("dishes.showAll")}
        </Button>
      )}
    </section>
  );
}
