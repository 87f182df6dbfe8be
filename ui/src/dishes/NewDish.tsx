import "./dishes.css";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Input, Select } from "antd";
import { useEffect, useState } from "react";
import { useNavigate } from "react-router";

import { api } from "../api/client";
import { ProblemNote } from "../shared/ProblemNote";
import { measures } from "../shared/measures";

const draftKey = "yembra-new-dish";
/** The most a request may hold. */
const mostBytes = 2 * 1024 * 1024;

/** One large field that takes pasted text, a dropped file or typing. */
export default function NewDish() {
  const go = useNavigate();
  const queries = useQueryClient();
  const [text, setText] = useState(() => sessionStorage.getItem(draftKey) ?? "");
  const kitchen = useQuery({ queryKey: ["kitchen"], queryFn: api.settings });
  const [chosen, setSystem] = useState("");
  const system = chosen || (kitchen.data?.measures ?? "metric");
  const [place, setPlace] = useState("");
  const [dropping, setDropping] = useState(false);
  const tooLong = new Blob([text]).size > mostBytes;
  useEffect(() => {
    // A draft too large for the browser's own store stays in the field only.
    try {
      sessionStorage.setItem(draftKey, text);
    } catch {
      sessionStorage.removeItem(draftKey);
    }
  }, [text]);
  const read = useMutation({
    mutationFn: () => api.create({ text, measures: system, place, name: "", country: "" }),
    onSuccess: (dish) => {
      sessionStorage.removeItem(draftKey);
      queries.setQueryData(["dish", dish.id], dish);
      void queries.invalidateQueries({ queryKey: ["dishes"] });
      void go(`/dishes/${dish.id}/original`);
    },
  });
  const drop = async (e: React.DragEvent) => {
    e.preventDefault();
    setDropping(false);
    const file = e.dataTransfer.files[0];
    if (file) setText(await file.text());
  };
  return (
    <main className="page new-dish">
      <section
        className={dropping ? "dropping" : undefined}
        onDragOver={(e) => {
          e.preventDefault();
          setDropping(true);
        }}
        onDragLeave={() => setDropping(false)}
        onDrop={(e) => void drop(e)}
      >
        <h1>New dish</h1>
        <Input.TextArea
          value={text}
          onChange={(e) => setText(e.target.value)}
          rows={22}
          autoFocus
          aria-label="Recipe text"
          placeholder="Paste the traditional recipe here, drop a text file, or type it: name, ingredients one to a line, method."
        />
        {tooLong && (
          <p role="status" className="state open" style={{ whiteSpace: "normal" }}>
            This text is longer than 2 MB, far more than a recipe. Keep the recipe and take the rest
            away; nothing is lost meanwhile.
          </p>
        )}
        {read.error && <ProblemNote error={read.error} />}
      </section>
      <aside>
        <h2>Whose cups and spoons</h2>
        <Select
          value={system}
          onChange={setSystem}
          options={measures}
          aria-label="Measures of the recipe"
          style={{ width: "100%" }}
        />
        <p className="quiet small">
          {chosen === "" ? "As the kitchen has it. " : ""}A recipe that names its own measures is
          read by those.
        </p>
        <h2>Where it is from</h2>
        <Input
          value={place}
          onChange={(e) => setPlace(e.target.value)}
          placeholder="South Africa"
          aria-label="Place"
        />
        <p className="quiet small">The recipe stays as it came, beside the adaptation, for good.</p>
        <Button
          type="primary"
          size="large"
          block
          loading={read.isPending}
          disabled={tooLong}
          onClick={() => read.mutate()}
        >
          Read recipe
        </Button>
      </aside>
    </main>
  );
}
