import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useNavigate } from "react-router";

import { api } from "../api/client";
import { ProblemNote } from "../shared/ProblemNote";

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
      <h1>No dish yet</h1>
      <ol>
        <li>
          <h2>Paste somebody’s recipe</h2>
          <p>Any language of kitchens: the list, the steps, the yield. It is read line by line.</p>
        </li>
        <li>
          <h2>Say what the dish lives from</h2>
          <p>Smoke, or chew, or a set top. What you pin is kept before all else.</p>
        </li>
        <li>
          <h2>Choose what stands in, and cook</h2>
          <p>Four ways are worked out whole. The card is what you cook from.</p>
        </li>
      </ol>
      <p>
        <Button type="primary" onClick={() => go("/dishes/new")}>
          Paste a recipe
        </Button>{" "}
        <Button onClick={() => go("/map")}>Choose a dish from the map</Button>{" "}
        <Button loading={offer.isPending} onClick={() => offer.mutate()}>
          Lay out twelve dishes to look at
        </Button>
      </p>
      {offer.error && <ProblemNote error={offer.error} />}
    </main>
  );
}
