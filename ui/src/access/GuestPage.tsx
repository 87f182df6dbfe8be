import "./access.css";

import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useParams } from "react-router";

import { api } from "../api/client";
import type { GuestView } from "../api/types";
import { CardPage } from "../card/CardPage";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { SheetForm, readSheet } from "../trials/SheetForm";
import { worded } from "../texts/worded";

/** What a guest's link opens: a card or a day to read, a shopping list to tick. */
export default function GuestPage() {
  const { token = "" } = useParams();
  const queries = useQueryClient();
  const key = ["guest", token];
  const view = useQuery({
    queryKey: key,
    queryFn: () =>
      api.guest(token, readSheet(token).taster, queries.getQueryData(key) !== undefined),
    staleTime: Infinity,
    refetchInterval: (q) => (q.state.data?.kind === "shopping" ? 5_000 : false),
  });
  const tick = useMutation({
    scope: { id: `guest-${token}` },
    mutationFn: (t: { item: string; on: boolean }) => api.tickGuest(token, t),
    onMutate: ({ item, on }) =>
      queries.setQueryData<GuestView>(
        key,
        (v) => v && { ...v, ticked: on ? [...v.ticked, item] : v.ticked.filter((x) => x !== item) },
      ),
    onSuccess: (ticked) => queries.setQueryData<GuestView>(key, (v) => v && { ...v, ticked }),
  });
  if (view.error) {
    return (
      <main className="page">
        <ProblemNote error={view.error} />
      </main>
    );
  }
  if (!view.data) return <Loading>{worded("access.openingTheLink")}</Loading>;
  const v = view.data;
  return (
    <main className="page guest">
      {v.sheet && <SheetForm token={token} view={v.sheet} />}
      {v.card && <CardPage card={v.card} />}
      {v.kind === "day" && (
        <>
          <h1>{v.name}</h1>
          <ol className="guest-day">
            {v.tasks.map((t, i) => (
              <li key={i}>
                <b>{t.start.slice(11, 16)}</b> {t.text}
                {t.cue && <span className="quiet"> {worded("access.look", { cue: t.cue })}</span>}
              </li>
            ))}
          </ol>
        </>
      )}
      {v.shopping && (
        <>
          <h1>{worded("access.toBuy", { vName: v.name })}</h1>
          {tick.error && <ProblemNote error={tick.error} />}
          <ul className="guest-list">
            {v.shopping.items.map((i) => (
              <li key={i.key}>
                <label>
                  <input
                    type="checkbox"
                    checked={v.ticked.includes(i.key)}
                    onChange={(e) => tick.mutate({ item: i.key, on: e.target.checked })}
                  />{" "}
                  <span>
                    {i.name} <b>{i.shown}</b>
                  </span>
                </label>
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="quiet">
        {worded("access.aLinkFromTheKitchenGood", {
          value: new Date(v.until).toLocaleString("en-GB"),
        })}
      </p>
    </main>
  );
}
