import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Checkbox, Input, InputNumber, Select } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";

import { api, Problem } from "../api/client";
import type { Entry, FoodView } from "../api/types";
import { ProblemNote } from "../shared/ProblemNote";
import { Sheet } from "../shared/Sheet";
import { entryOf, idFor, withFigure } from "./entry";
import { nutrients } from "./nutrients";
import { worded } from "../texts/worded";

const origins = ["plant", "animal", "fungus", "mineral", "mixed"];
const classes = "meat poultry fish shellfish dairy egg honey gelatine fat insect".split(" ");
const allergens =
  "gluten crustaceans egg fish peanuts soy milk nuts celery mustard sesame sulphites lupin molluscs".split(
    " ",
  );
const options = (list: string[]) => list.map((value) => ({ value, label: value }));

interface Props {
  /** The food to correct; none to add one. */
  food?: FoodView;
  close: () => void;
}

/** Corrects a food or adds one of the cook's own. What is left out stays as it was. */
export function FoodForm({ food, close }: Props) {
  const queries = useQueryClient();
  const go = useNavigate();
  const rules = useQuery({ queryKey: ["rules"], queryFn: api.rules });
  const [e, setEntry] = useState<Entry>(() => entryOf(food));
  const set = (change: Partial<Entry>) => setEntry((before) => ({ ...before, ...change }));
  const keep = useMutation({
    mutationFn: () => {
      const id = food?.id ?? idFor(e.name);
      if (id === "") {
        throw new Problem(422, worded("larder.noNameYet"), worded("larder.aFoodOfYourOwnNeeds"));
      }
      return api.saveFood({ ...e, id }, food?.version ?? 0);
    },
    onSuccess: async (saved) => {
      await queries.invalidateQueries();
      close();
      void go(`/larder/${saved.id}`);
    },
  });
  const piece = (unit: string, grams: number | null) =>
    set({ pieces: withFigure(e.pieces, unit, grams) });
  const figure = (name: string, v: number | null) => set({ per100: withFigure(e.per100, name, v) });
  return (
    <Sheet
      title={
        food ? worded("larder.correct", { foodName: food.name }) : worded("larder.aFoodOfYourOwn")
      }
      close={close}
      wide
    >
      <form
        className="food-form"
        onSubmit={(event) => {
          event.preventDefault();
          keep.mutate();
        }}
      >
        <label>
          {worded("larder.name")}
          <Input
            value={e.name}
            placeholder={food?.name ?? worded("larder.smokedCarrot")}
            onChange={(x) => set({ name: x.target.value })}
          />
        </label>
        <label>
          {worded("larder.otherNamesBetweenCommas")}
          <Input
            value={e.aliases.join(", ")}
            onChange={(x) => set({ aliases: x.target.value.split(/,\s*/) })}
          />
        </label>
        <label>
          {worded("larder.origin")}
          <Select
            value={e.origin || undefined}
            placeholder={food?.origin ?? "choose"}
            options={options(origins)}
            onChange={(origin: string) =>
              set({ origin, animal: origin === "animal" || origin === "mixed" ? e.animal : "" })
            }
          />
        </label>
        {(e.origin === "animal" || e.origin === "mixed") && (
          <label>
            {worded("larder.classOfAnimalMatter")}
            <Select
              value={e.animal || undefined}
              options={options(classes)}
              onChange={(animal: string) => set({ animal })}
            />
          </label>
        )}
        <label>
          {worded("larder.allergens")}
          <Select
            mode="multiple"
            value={e.allergens ?? food?.allergens ?? []}
            options={options(allergens)}
            onChange={(list: string[]) => set({ allergens: list })}
          />
        </label>
        <label>
          {worded("larder.atHomeInTheseKitchensNone")}
          <Select
            mode="multiple"
            value={e.homes ?? food?.homes ?? []}
            options={options(rules.data?.kitchens ?? [])}
            onChange={(list: string[]) => set({ homes: list })}
          />
        </label>
        <Checkbox
          checked={e.checkLabel ?? food?.checkLabel ?? false}
          onChange={(x) => set({ checkLabel: x.target.checked })}
        >
          {worded("larder.theLabelHasToBeRead")}
        </Checkbox>
        <fieldset>
          <legend>{worded("larder.weightsInGrams")}</legend>
          <label>
            {worded("larder.n1Ml")}
            <InputNumber
              value={e.density ?? null}
              placeholder={food?.density ? String(food.density) : ""}
              min={0.05}
              max={1.6}
              step={0.01}
              onChange={(density) => set({ density })}
            />
          </label>
          {["piece", "small", "medium", "large", "handful", "can"].map((unit) => (
            <label key={unit}>
              1 {unit}
              <InputNumber
                value={e.pieces?.[unit] ?? null}
                placeholder={food?.pieces[unit] ? String(food.pieces[unit].low) : ""}
                min={0}
                onChange={(v) => piece(unit, v)}
              />
            </label>
          ))}
        </fieldset>
        <fieldset>
          <legend>{worded("larder.in100G")}</legend>
          {nutrients.map(([key, name, unit]) => (
            <label key={key}>
              {name}, {unit}
              <InputNumber
                value={e.per100?.[key] ?? null}
                placeholder={food?.per100[key] == null ? "" : String(food.per100[key])}
                min={0}
                onChange={(v) => figure(key, v)}
              />
            </label>
          ))}
        </fieldset>
        <label className="wide-field">
          {worded("larder.whereYouHaveItFrom")}
          <Input
            value={e.note}
            placeholder={worded("larder.weighedOnOurScaleTheLabel")}
            onChange={(x) => set({ note: x.target.value })}
          />
        </label>
        {keep.error && <ProblemNote error={keep.error} />}
        <div className="form-end">
          <Button type="primary" htmlType="submit" loading={keep.isPending}>
            {food ? worded("larder.keepTheCorrection") : worded("larder.addToTheLarder")}
          </Button>
          <span className="quiet small">{worded("larder.usedEverywhereAtOnceItCan")}</span>
        </div>
      </form>
    </Sheet>
  );
}
