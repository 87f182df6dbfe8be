import { useQuery } from "@tanstack/react-query";
import { Button, InputNumber, Select } from "antd";
import { useState } from "react";

import { api } from "../api/client";
import { worded } from "../texts/worded";

/** The kitchen's own prices over the made-up ones that ship with Yembra. */
export function PriceList({
  own,
  set,
}: {
  own: Record<string, number>;
  set: (prices: Record<string, number>) => void;
}) {
  const prices = useQuery({ queryKey: ["prices", own], queryFn: api.prices });
  const [words, setWords] = useState("");
  const found = useQuery({
    queryKey: ["foods", words],
    queryFn: () => api.foods(words),
    enabled: words.trim().length > 1,
  });
  const without = (key: string) =>
    set(Object.fromEntries(Object.entries(own).filter(([k]) => k !== key)));
  return (
    <>
      <ul className="prices">
        {prices.data?.map((p) => (
          <li key={p.key}>
            <span>{p.name}</span>
            <InputNumber
              min={0}
              max={100000}
              step={0.5}
              value={p.perKg}
              aria-label={worded("kitchen.priceOfAKilogram", { pName: p.name })}
              onChange={(n) => n !== null && n !== p.perKg && set({ ...own, [p.key]: n })}
            />
            {p.own ? (
              <Button type="text" size="small" onClick={() => without(p.key)}>
                {worded("kitchen.ownBackTo", { shipped: p.shipped })}
              </Button>
            ) : (
              <span className="quiet small">{worded("kitchen.madeUp")}</span>
            )}
          </li>
        ))}
      </ul>
      <Select
        showSearch={{ filterOption: false, onSearch: setWords }}
        value={null}
        placeholder={worded("kitchen.priceOfOneFood")}
        aria-label={worded("kitchen.priceOfOneFood")}
        style={{ width: 320 }}
        options={found.data?.map((f) => ({ value: f.id, label: f.name })) ?? []}
        onSelect={(id: string | null) => id !== null && set({ ...own, [id]: own[id] ?? 5 })}
      />
    </>
  );
}
