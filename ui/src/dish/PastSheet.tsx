import { useQuery } from "@tanstack/react-query";

import { api } from "../api/client";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { Sheet } from "../shared/Sheet";
import { retold } from "../texts/kept";
import { worded } from "../texts/worded";

/** What became of a dish: every change, when, and which screen made it. */
export function PastSheet({ id, close }: { id: string; close: () => void }) {
  const past = useQuery({ queryKey: ["past", id], queryFn: () => api.past(id), staleTime: 0 });
  return (
    <Sheet title={worded("dish.whatWasChanged")} close={close}>
      {past.error && <ProblemNote error={past.error} />}
      {past.isPending && <Loading>{worded("dish.lookingBack")}</Loading>}
      <ol className="past" reversed>
        {past.data?.map((p) => (
          <li key={p.number} aria-current={p.now || undefined}>
            {p.now ? <b>{retold(p.what)}</b> : retold(p.what)}{" "}
            <span className="quiet small">
              {new Date(p.made).toLocaleString("en-GB")}
              {p.screen && `, ${p.screen}`}
              {p.now && worded("dish.asItIsNow")}
            </span>
          </li>
        ))}
      </ol>
    </Sheet>
  );
}
