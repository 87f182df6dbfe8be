import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useNavigate } from "react-router";

import { api } from "../api/client";
import { ProblemNote } from "../shared/ProblemNote";
import { worded } from "../texts/worded";

/** What an empty kitchen shows: the way in three steps, and dishes to look at. */
export function FirstUse() {
  const go = useNavigate();
  const queries = useQueryClient();
  const offer = useMutation({
    mutationFn: api.layOutExamples,
    onSuccess: () => void queries.invalidateQueries(),
  });
  return (
    <main className="page first-use">
      <h1>{worded("dishes.noDishYet")}</h1>
      <ol>
        <li>
          <h2>{worded("dishes.pasteSomebodysRecipe")}</h2>
          <p>{worded("dishes.anyLanguageOfKitchensTheList")}</p>
        </li>
        <li>
          <h2>{worded("dishes.sayWhatTheDishLivesFrom")}</h2>
          <p>{worded("dishes.smokeOrChewOrASet")}</p>
        </li>
        <li>
          <h2>{worded("dishes.chooseWhatStandsInAndCook")}</h2>
          <p>{worded("dishes.fourWaysAreWorkedOutWhole")}</p>
        </li>
      </ol>
      <p>
        <Button type="primary" onClick={() => go("/dishes/new")}>
          {worded("dishes.pasteARecipe")}
        </Button>{" "}
        <Button onClick={() => go("/map")}>{worded("dishes.chooseADishFromTheMap")}</Button>{" "}
        <Button loading={offer.isPending} onClick={() => offer.mutate()}>
          {worded("dishes.layOutTwelveDishesToLook")}
        </Button>
      </p>
      {offer.error && <ProblemNote error={offer.error} />}
    </main>
  );
}
