import "./dishes.css";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Input, Select } from "antd";
import { useEffect, useState } from "react";
import { useNavigate } from "react-router";

import { api } from "../api/client";
import { ProblemNote } from "../shared/ProblemNote";
import { measures } from "../shared/measures";
import { worded } from "../texts/worded";

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
        <h1>{worded("dishes.newDish")}</h1>
        <Input.TextArea
          value={text}
          onChange={(e) => setText(e.target.value)}
          rows={22}
          autoFocus
          aria-label={worded("dishes.recipeText")}
          placeholder={worded("dishes.pasteTheTraditionalRecipeHereDrop")}
        />
        {tooLong && (
          <p role="status" className="state open" style={{ whiteSpace: "normal" }}>
            {worded("dishes.thisTextIsLongerThan2")}
          </p>
        )}
        {read.error && <ProblemNote error={read.error} />}
      </section>
      <aside>
        <h2>{worded("dishes.whoseCupsAndSpoons")}</h2>
        <Select
          value={system}
          onChange={setSystem}
          options={measures}
          aria-label={worded("dishes.measuresOfTheRecipe")}
          style={{ width: "100%" }}
        />
        <p className="quiet small">
          {worded("dishes.aRecipeThatNamesItsOwn", {
            which: chosen === "" ? worded("dishes.asTheKitchenHasIt") : "",
          })}
        </p>
        <h2>{worded("dishes.whereItIsFrom")}</h2>
        <Input
          value={place}
          onChange={(e) => setPlace(e.target.value)}
          placeholder={worded("dishes.southAfrica")}
          aria-label={worded("dishes.place")}
        />
        <p className="quiet small">{worded("dishes.theRecipeStaysAsItCame")}</p>
        <Button
          type="primary"
          size="large"
          block
          loading={read.isPending}
          disabled={tooLong}
          onClick={() => read.mutate()}
        >
          {worded("dishes.readRecipe")}
        </Button>
      </aside>
    </main>
  );
}
