import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useState } from "react";
import { Link } from "react-router";

import { api } from "../api/client";
import { ProblemNote } from "../shared/ProblemNote";
import { worded } from "../texts/worded";

interface Props {
  ids: string[];
  /** Which shelf they stand on. */
  on: "shelf" | "away" | "gone";
  done: () => void;
}

const said: Record<string, string> = {
  away: worded("dishes.putAway"),
  back: worded("dishes.backOnTheShelf"),
  bring: worded("dishes.backOnTheShelf"),
};
const against: Record<string, string> = { away: "back", back: "away", bring: "take" };

/** What can be done with several dishes at once, and taken back. */
export function Chosen({ ids, on, done }: Props) {
  const queries = useQueryClient();
  const [last, setLast] = useState<{ do: string; ids: string[] } | null>(null);
  const many = useMutation({
    mutationFn: (r: { do: string; ids: string[] }) => api.shelveMany(r),
    onSuccess: (_, r) => {
      setLast(r);
      void queries.invalidateQueries({ queryKey: ["dishes"] });
      void queries.invalidateQueries({ queryKey: ["shelf-facets"] });
      done();
    },
  });
  const days = new URLSearchParams(ids.map((id) => ["dish", id]));
  return (
    <>
      {ids.length > 0 && (
        <p className="with-chosen" role="status">
          <b>{worded("dishes.chosen", { ids: ids.length })}</b>
          {on === "shelf" && (
            <>
              <Link className="ant-btn" to={`/days?${days.toString()}`}>
                {worded("dishes.planADay")}
              </Link>
              <a className="ant-btn" href={`/api/shelf/cards?ids=${ids.join(",")}`} download>
                {worded("dishes.giveOutTheirCards")}
              </a>
            </>
          )}
          <Button
            loading={many.isPending}
            onClick={() =>
              many.mutate({ do: { shelf: "away", away: "back", gone: "bring" }[on], ids })
            }
          >
            {on === "shelf" ? worded("dishes.putAway2") : worded("dishes.bringBack")}
          </Button>
          <Button onClick={done}>{worded("dishes.none")}</Button>
        </p>
      )}
      {last && ids.length === 0 && (
        <p className="with-chosen" role="status">
          {said[last.do] ?? worded("dishes.takenAway")}
          <Button
            size="small"
            onClick={() => {
              many.mutate({ do: against[last.do] ?? "bring", ids: last.ids });
              setLast(null);
            }}
          >
            {worded("dishes.takeThatBack")}
          </Button>
        </p>
      )}
      {many.error && <ProblemNote error={many.error} />}
    </>
  );
}
