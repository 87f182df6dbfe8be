import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button, Input } from "antd";
import { useState } from "react";

import { api } from "../api/client";
import type { TrialView } from "../api/types";
import { useOpenDish } from "../dish/useDish";
import { ProblemNote } from "../shared/ProblemNote";
import { dayOf } from "./words";
import { worded } from "../texts/worded";

interface Props {
  trials: TrialView[];
  laid: (id: string) => void;
}

const mostTraits = 6;

/** What is served, to whom, and what is asked. */
export function LayTable({ trials, laid }: Props) {
  const { dish } = useOpenDish();
  const queries = useQueryClient();
  const [served, setServed] = useState<string[]>([]);
  const [kind, setKind] = useState<"blind" | "open" | "triangle">("blind");
  const [guests, setGuests] = useState("");
  /** Null leaves the choice to the program. */
  const [traits, setTraits] = useState<string[] | null>(null);
  const lay = useMutation({
    mutationFn: () =>
      api.makeTasting(dish.id, {
        name: "",
        trials: served,
        traits: kind === "triangle" ? [] : (traits ?? []),
        open: kind === "open",
        triangle: kind === "triangle",
        guests: guests.split(/[,\n]/).map((g) => g.trim()),
      }),
    onSuccess: (t) => {
      void queries.invalidateQueries({ queryKey: ["tastings", dish.id] });
      laid(t.id);
      setServed([]);
    },
  });
  const things: [string, string][] = [
    ...trials.map((t, i): [string, string] => [
      t.id,
      worded("trials.trial2", { i: i + 1, dayOf: dayOf(t.kept) }),
    ]),
    ["original", worded("trials.theOriginalFromASidePot")],
  ];
  const known = [...new Set(dish.adaptation.traits.map((t) => t.trait))];
  const ready = kind === "triangle" ? served.length === 2 : served.length > 0;
  const tick = (list: string[], name: string, on: boolean) =>
    on ? [...list, name] : list.filter((x) => x !== name);
  return (
    <div className="lay">
      <fieldset>
        <legend>{worded("trials.whatIsServed")}</legend>
        {things.map(([id, name]) => (
          <label key={id}>
            <input
              type="checkbox"
              checked={served.includes(id)}
              onChange={(e) => setServed(tick(served, id, e.target.checked))}
            />{" "}
            {name}
          </label>
        ))}
      </fieldset>
      <fieldset>
        <legend>{worded("trials.how")}</legend>
        {(
          [
            ["blind", worded("trials.blindTastersSeeLettersOnly")],
            ["open", worded("trials.openTastersSeeWhatIsWhat")],
            ["triangle", worded("trials.triangleThreeCupsTwoAlikeWho")],
          ] as const
        ).map(([value, name]) => (
          <label key={value}>
            <input
              type="radio"
              name="how-it-is-tasted"
              checked={kind === value}
              onChange={() => setKind(value)}
            />{" "}
            {name}
          </label>
        ))}
      </fieldset>
      {kind !== "triangle" && (
        <fieldset>
          <legend>{worded("trials.whatTheSheetsAsk")}</legend>
          {traits === null ? (
            <p>
              {worded("trials.whatYouPinnedThenWhatIs")}{" "}
              <Button
                size="small"
                onClick={() => setTraits(dish.document.decisions.pins.slice(0, mostTraits))}
              >
                {worded("trials.chooseMyself")}
              </Button>
            </p>
          ) : (
            <div className="trait-ticks">
              {known.map((trait) => (
                <label key={trait}>
                  <input
                    type="checkbox"
                    checked={traits.includes(trait)}
                    disabled={!traits.includes(trait) && traits.length >= mostTraits}
                    onChange={(e) => setTraits(tick(traits, trait, e.target.checked))}
                  />{" "}
                  {trait}
                </label>
              ))}
              <Button size="small" onClick={() => setTraits(null)}>
                {worded("trials.leaveItToTheProgram")}
              </Button>
            </div>
          )}
        </fieldset>
      )}
      <label>
        {worded("trials.whoTastesNamesOrNicknamesWith")}
        <Input
          value={guests}
          maxLength={2000}
          placeholder={worded("trials.guest1Guest2")}
          onChange={(e) => setGuests(e.target.value)}
        />
      </label>
      <Button disabled={!ready} loading={lay.isPending} onClick={() => lay.mutate()}>
        {worded("trials.layTheTable")}
      </Button>
      {kind === "triangle" && served.length !== 2 && (
        <p className="quiet">{worded("trials.aTriangleNeedsTwoThingsTo")}</p>
      )}
      {lay.error && <ProblemNote error={lay.error} />}
    </div>
  );
}
