import { useMutation } from "@tanstack/react-query";
import { AutoComplete } from "antd";
import { useMemo, useState } from "react";

import { api } from "../api/client";
import type { RecipeLine } from "../api/types";
import { setLine } from "./edit";
import { useEdit } from "./useEdit";
import { kept } from "../texts/kept";
import { worded } from "../texts/worded";

/** Mends a line that was not understood: the cook names its food. */
export function Mend({
  component,
  line,
  read,
}: {
  component: number;
  line: number;
  read: RecipeLine;
}) {
  const edit = useEdit();
  const [text, setText] = useState("");
  const [options, setOptions] = useState<{ value: string; label: string }[]>([]);
  const find = useMemo(
    () => async (q: string) => {
      setText(q);
      const hits = q.trim() ? await api.foods(q) : [];
      setOptions(hits.slice(0, 8).map((h) => ({ value: h.id, label: `${h.name} (${h.origin})` })));
    },
    [],
  );
  const mend = useMutation({
    mutationFn: (food: string) => api.readLine({ text: read.text, food, measures: edit.measures }),
    onSuccess: (mended) =>
      edit(kept("original.named", { mendedName: mended.name }), (e) =>
        setLine(e, component, line, mended),
      ),
  });
  return (
    <AutoComplete
      value={text}
      options={options}
      onSearch={(q) => void find(q)}
      onSelect={(food: string) => mend.mutate(food)}
      placeholder={worded("original.nameTheFood")}
      aria-label={worded("original.nameTheFoodOf", { readText: read.text })}
      style={{ width: 200 }}
    />
  );
}
