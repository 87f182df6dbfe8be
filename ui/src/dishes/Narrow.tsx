import { useQuery } from "@tanstack/react-query";
import { Button, Input, Select } from "antd";
import { useEffect, useState } from "react";

import { api } from "../api/client";
import type { useShelf } from "./useShelf";

export const stateNames: [string, string][] = [
  ["original", "original kept"],
  ["adapting", "being adapted"],
  ["decided", "every line decided"],
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
    <section className="narrow" aria-label="Narrow down the shelf">
      <Input
        value={words}
        allowClear
        placeholder="Words of the name, place or lines"
        aria-label="Words of the name, place or lines"
        onChange={(e) => setWords(e.target.value)}
      />
      {one("region", "Region", regions)}
      {one("country", "Country", countries)}
      {one("kitchen", "Kitchen", kitchens)}
      {one("state", "How far it has come", stateNames)}
      {many("without", "Holds no", f?.allergens ?? [])}
      {many("rules", "Keeps the rule", f?.rules ?? [])}
      {(f?.labels.length ?? 0) > 0 && many("labels", "Label", f?.labels ?? [])}
      {(f?.eaters.length ?? 0) > 0 &&
        one(
          "eater",
          "Who ate it",
          (f?.eaters ?? []).map((e) => [e, e]),
        )}
      {one("sort", "Sorted by last touched", [
        ["name", "by name"],
        ["place", "by place"],
        ["liking", "by what the table liked"],
      ])}
      <span className="ticks">
        {tick("house", "from what is in the house")}
        {tick("away", "put away")}
        {tick("gone", "taken away")}
      </span>
      {s.narrowed && (
        <Button
          size="small"
          onClick={() => {
            setWords("");
            s.clear();
          }}
        >
          Show all
        </Button>
      )}
    </section>
  );
}
