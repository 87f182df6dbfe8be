import "./dishes.css";

import { Button } from "antd";
import { useCallback, useState } from "react";
import { useNavigate } from "react-router";

import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { Chosen } from "./Chosen";
import { FirstUse } from "./FirstUse";
import { Narrow } from "./Narrow";
import { ShelfList } from "./ShelfList";
import { useShelf } from "./useShelf";
import { worded } from "../texts/worded";

/** The shelf of all dishes. */
export default function DishesPage() {
  const go = useNavigate();
  const s = useShelf();
  const [chosen, setChosen] = useState<string[]>([]);
  const { fetchNextPage, isFetchingNextPage } = s.shelf;
  const more = useCallback(() => {
    if (!isFetchingNextPage) void fetchNextPage();
  }, [fetchNextPage, isFetchingNextPage]);
  if (s.shelf.data && s.all === 0 && !s.narrowed) return <FirstUse />;
  const on = s.asked("gone") ? "gone" : s.asked("away") ? "away" : "shelf";
  return (
    <main className="page">
      <div className="dishes-head">
        <h1>{worded("dishes.dishes")}</h1>
        {s.shelf.data && (
          <span className="quiet" role="status">
            {s.all} {s.all === 1 ? worded("dishes.dish") : worded("dishes.dishes2")}
            {s.stale > 0 && worded("dishes.theFiguresOfAreBeingWorked", { stale: s.stale })}
          </span>
        )}
        <Button type="primary" onClick={() => go("/dishes/new")}>
          {worded("dishes.newDish")}
        </Button>
      </div>
      <Narrow shelf={s} />
      <Chosen ids={chosen} on={on} done={() => setChosen([])} />
      {s.shelf.isPending && <Loading>{worded("dishes.fetchingTheDishes")}</Loading>}
      {s.shelf.error && <ProblemNote error={s.shelf.error} retry={() => void s.shelf.refetch()} />}
      {s.shelf.data && s.all === 0 && (
        <p className="quiet">{worded("dishes.noDishIsLikeThatAsk")}</p>
      )}
      {s.dishes.length > 0 && (
        <ShelfList
          dishes={s.dishes}
          all={s.all}
          chosen={chosen}
          choose={(id, yes) =>
            setChosen((was) => (yes ? [...was, id] : was.filter((x) => x !== id)))
          }
          more={more}
        />
      )}
    </main>
  );
}
