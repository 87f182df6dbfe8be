import { useQuery } from "@tanstack/react-query";

import { api } from "../api/client";
import { ProblemNote } from "../shared/ProblemNote";
import { worded } from "../texts/worded";

interface Props {
  dish: string;
  /** Trials, "now", or "dish:" and the id of another. */
  a: string;
  b: string;
  title: string;
}

/** What changed from one version to another, and how the tables judged both. */
export function Between({ dish, a, b, title }: Props) {
  const between = useQuery({
    queryKey: ["between", dish, a, b],
    queryFn: () => api.between(dish, a, b),
  });
  if (between.error) return <ProblemNote error={between.error} />;
  if (!between.data) return null;
  const { lines, steps, traits, say } = between.data;
  const parts: [string, string[]][] = [
    ["Lines", lines],
    ["Steps", steps],
    [worded("trials.traitsAsForeseen"), traits],
    [worded("trials.theTables"), say],
  ];
  return (
    <section className="between" aria-label={title}>
      <h3>{title}</h3>
      {parts.every(([, list]) => list.length === 0) && (
        <p className="quiet">{worded("trials.nothingOnTheCard")}</p>
      )}
      {parts.map(
        ([name, list]) =>
          list.length > 0 && (
            <div key={name}>
              <h4>{name}</h4>
              <ul>
                {list.map((text) => (
                  <li key={text}>{text}</li>
                ))}
              </ul>
            </div>
          ),
      )}
    </section>
  );
}
