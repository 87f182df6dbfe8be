import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";

import { api } from "../api/client";
import { State } from "../dishes/ShelfList";
import { TodoList } from "./TodoList";
import { worded } from "../texts/worded";

/** The dishes of a country: those of this kitchen, and those still to do. */
export function CountryPanel({ country, name }: { country: string; name: string }) {
  const query = new URLSearchParams({ country, sort: "name" });
  const own = useQuery({
    queryKey: ["dishes", "of", country],
    queryFn: () => api.dishes(query),
  });
  return (
    <>
      <h2>{name}</h2>
      {own.data && own.data.all > 0 && (
        <ul className="own-dishes">
          {own.data.dishes.map((d) => (
            <li key={d.id}>
              <Link to={`/dishes/${d.id}/original`}>{d.name}</Link> <State dish={d} />
            </li>
          ))}
        </ul>
      )}
      {own.data && own.data.all > own.data.dishes.length && (
        <p>
          <Link to={`/dishes?country=${country}`}>
            {worded("map.allOnTheShelf", { all: own.data.all })}
          </Link>
        </p>
      )}
      <TodoList
        under={2}
        title={worded("map.stillToDo")}
        query={{ country }}
        empty={worded("map.nothingIsListedHere")}
      />
    </>
  );
}
