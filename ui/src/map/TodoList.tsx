import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { Link, useNavigate } from "react-router";

import { api } from "../api/client";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { capital } from "../shared/format";
import { worded } from "../texts/worded";

interface Props {
  title: string;
  query: Record<string, string>;
  empty: string;
  /** The heading under which it stands. */
  under: 1 | 2;
}

/** Traditional dishes to begin with, or to wish for. */
export function TodoList({ title, query, empty, under }: Props) {
  const Title = under === 1 ? "h2" : "h3";
  const Name = under === 1 ? "h3" : "h4";
  const go = useNavigate();
  const queries = useQueryClient();
  const asked = new URLSearchParams(query);
  const todo = useQuery({ queryKey: ["todo", asked.toString()], queryFn: () => api.todo(asked) });
  const begin = useMutation({
    mutationFn: (key: string) => api.beginTodo(key),
    onSuccess: (d) => {
      for (const key of ["dishes", "shelf-facets", "todo"]) {
        void queries.invalidateQueries({ queryKey: [key] });
      }
      void go(`/dishes/${d.id}/original`);
    },
  });
  const wish = useMutation({
    mutationFn: (w: { key: string; wish: boolean }) => api.wish(w.key, w.wish),
    onSuccess: () => void queries.invalidateQueries({ queryKey: ["todo"] }),
  });
  return (
    <section aria-label={title} className="todo">
      <Title>{title}</Title>
      {todo.isPending && <Loading>{worded("map.lookingItUp")}</Loading>}
      {todo.error && <ProblemNote error={todo.error} retry={() => void todo.refetch()} />}
      {begin.error && <ProblemNote error={begin.error} />}
      {wish.error && <ProblemNote error={wish.error} />}
      {todo.data?.length === 0 && <p className="quiet">{empty}</p>}
      <ul>
        {todo.data?.map((t) => (
          <li key={t.key}>
            <Name>
              {capital(t.name)} {t.place && <span className="quiet">{t.place}</span>}
            </Name>
            <p>
              {worded("map.livesFrom", {
                capital: capital(t.what),
                lives: t.lives.join(worded("map.and")),
                which:
                  t.restsOn.length > 0
                    ? worded("map.restsOn", { restsOn: t.restsOn.join(", ") })
                    : worded("map.noAnimalMatter"),
              })}{" "}
              <span className="quiet">{capital(t.when)}.</span>
            </p>
            <p className="todo-ways">
              {t.dish ? (
                <Link to={`/dishes/${t.dish}/original`}>{worded("map.begunOpenIt")}</Link>
              ) : (
                <Button
                  size="small"
                  disabled={begin.isPending}
                  onClick={() => begin.mutate(t.key)}
                  aria-label={worded("map.begin", { tName: t.name })}
                >
                  {worded("map.begin2")}
                </Button>
              )}
              <Button
                size="small"
                aria-pressed={t.wish}
                aria-label={
                  t.wish
                    ? worded("map.wishedFor", { tName: t.name })
                    : worded("map.wishFor", { tName: t.name })
                }
                onClick={() => wish.mutate({ key: t.key, wish: !t.wish })}
              >
                {t.wish ? worded("map.wishedFor2") : worded("map.wishForIt")}
              </Button>
            </p>
          </li>
        ))}
      </ul>
      {todo.data && todo.data.length > 0 && (
        <p className="quiet small">{worded("map.factsOfGeneralKnowledgeInOur")}</p>
      )}
    </section>
  );
}
