import "./dishes.css";

import { useQuery } from "@tanstack/react-query";
import { Button } from "antd";
import { Link, useNavigate } from "react-router";

import { api } from "../api/client";
import type { DishSummary } from "../api/types";
import { Loading } from "../shared/Loading";
import { Emblem } from "../shared/Emblem";
import { ProblemNote } from "../shared/ProblemNote";
import { TallyView } from "../shared/TallyView";

/** The shelf of all dishes. */
export default function DishesPage() {
  const go = useNavigate();
  const dishes = useQuery({ queryKey: ["dishes"], queryFn: () => api.dishes("") });
  return (
    <main className="page">
      <div className="dishes-head">
        <h1>Dishes</h1>
        <Button type="primary" onClick={() => go("/dishes/new")}>
          New dish
        </Button>
      </div>
      {dishes.isPending && <Loading>Fetching the dishes</Loading>}
      {dishes.error && <ProblemNote error={dishes.error} retry={() => void dishes.refetch()} />}
      {dishes.data?.length === 0 && (
        <div className="empty">
          <h2>No dish yet</h2>
          <p>Begin with somebody’s recipe: paste it, and see what in it comes from an animal.</p>
          <Button onClick={() => go("/dishes/new")}>Paste a recipe</Button>
        </div>
      )}
      {dishes.data && dishes.data.length > 0 && (
        <ul className="shelf" aria-label="Dishes">
          {dishes.data.map((d) => (
            <li key={d.id}>
              <Link to={`/dishes/${d.id}/${d.swaps > 0 ? "swaps" : "original"}`}>
                <Emblem threads={d.threads} />
                <span>
                  <h2>{d.name}</h2>
                  <span className="quiet">{d.place || "place not said"}</span>
                </span>
                {d.swaps > 0 ? (
                  <TallyView tally={d.tally} />
                ) : (
                  <span className="quiet">
                    {d.fault !== "" ? d.fault : "original kept, not adapted yet"}
                  </span>
                )}
                <State dish={d} />
              </Link>
            </li>
          ))}
        </ul>
      )}
    </main>
  );
}

function State({ dish }: { dish: DishSummary }) {
  if (dish.fault !== "") return <span className="state open">to be mended</span>;
  if (dish.open > 0) {
    return (
      <span className="state open">
        {dish.open} {dish.open === 1 ? "line" : "lines"} to decide
      </span>
    );
  }
  return <span className="state whole">every line decided</span>;
}
