import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useState } from "react";
import { Link } from "react-router";

import { api } from "../api/client";
import { ProblemNote } from "../shared/ProblemNote";

interface Props {
  ids: string[];
  /** Which shelf they stand on. */
  on: "shelf" | "away" | "gone";
  done: () => void;
}

const said: Record<string, string> = {
  away: "Put away.",
  back: "Back on the shelf.",
  bring: "Back on the shelf.",
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
          <b>{ids.length} chosen</b>
          {on === "shelf" && (
            <>
              <Link className="ant-btn" to={`/days?${days.toString()}`}>
                Plan a day
              </Link>
              <a className="ant-btn" href={`/api/shelf/cards?ids=${ids.join(",")}`} download>
                Give out their cards
              </a>
            </>
          )}
          <Button
            loading={many.isPending}
            onClick={() =>
              many.mutate({ do: { shelf: "away", away: "back", gone: "bring" }[on], ids })
            }
          >
            {on === "shelf" ? "Put away" : "Bring back"}
          </Button>
          <Button onClick={done}>None</Button>
        </p>
      )}
      {last && ids.length === 0 && (
        <p className="with-chosen" role="status">
          {said[last.do] ?? "Taken away."}
          <Button
            size="small"
            onClick={() => {
              many.mutate({ do: against[last.do] ?? "bring", ids: last.ids });
              setLast(null);
            }}
          >
            Take that back
          </Button>
        </p>
      )}
      {many.error && <ProblemNote error={many.error} />}
    </>
  );
}
