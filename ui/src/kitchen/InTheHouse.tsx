import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Select } from "antd";
import { useState } from "react";

import { api } from "../api/client";
import { worded } from "../texts/worded";

interface Props {
  house: string[];
  set: (house: string[]) => void;
}

/** The foods that are in the house, by which the shelf can be looked through. */
export function InTheHouse({ house, set }: Props) {
  const [find, setFind] = useState("");
  const foods = useQuery({
    queryKey: ["foods", find],
    queryFn: () => api.foods(find),
    enabled: find.trim() !== "",
    placeholderData: keepPreviousData,
  });
  const found = (foods.data ?? []).map((f) => ({ value: f.id, label: f.name }));
  const rest = house
    .filter((id) => !found.some((f) => f.value === id))
    .map((id) => ({ value: id, label: id.replaceAll("-", " ") }));
  return (
    <Select
      mode="multiple"
      className="in-the-house"
      aria-label={worded("kitchen.foodsInTheHouse")}
      placeholder={worded("kitchen.typeAFood")}
      value={house}
      options={[...found, ...rest]}
      showSearch={{ filterOption: false, onSearch: setFind }}
      onChange={set}
    />
  );
}
