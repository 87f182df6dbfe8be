import "../dishes/dishes.css";
import "./map.css";

import { useQuery } from "@tanstack/react-query";
import { Button } from "antd";
import { useMemo, useState } from "react";
import { useSearchParams } from "react-router";

import { api } from "../api/client";
import type { ShelfFacets } from "../api/types";
import { Loading } from "../shared/Loading";
import { ProblemNote } from "../shared/ProblemNote";
import { CountryPanel } from "./CountryPanel";
import { TodoList } from "./TodoList";
import { around, furthest, shapes, size } from "./world";
import { worded } from "../texts/worded";

const stages: [string, string][] = [
  ["nothing", worded("map.nothingYet")],
  ["original", worded("map.originalKept")],
  ["adapting", worded("map.beingAdapted")],
  ["settled", "settled"],
];

/** The world, tinted by how far its dishes have come, and what is still to do. */
export default function MapPage() {
  const [asked, setAsked] = useSearchParams();
  const facets = useQuery({ queryKey: ["shelf-facets"], queryFn: api.facets });
  const [table, setTable] = useState(false);
  const region = asked.get("region") ?? "";
  const country = asked.get("country") ?? "";
  const go = (to: Record<string, string>) => setAsked(to, { replace: true });
  const f = facets.data;
  const regions = useMemo(() => [...new Set(f?.world.map((c) => c.region))].sort(), [f]);
  const here = useMemo(
    () => f?.world.filter((c) => region === "" || c.region === region) ?? [],
    [f, region],
  );
  if (facets.error) {
    return (
      <main className="page">
        <ProblemNote error={facets.error} retry={() => void facets.refetch()} />
      </main>
    );
  }
  if (!f) return <Loading>{worded("map.unfoldingTheMap")}</Loading>;
  return (
    <main className="page map-page">
      <div className="dishes-head">
        <h1>{worded("map.map")}</h1>
        <Button onClick={() => setTable(!table)}>
          {table ? worded("map.asAMap") : worded("map.asATable")}
        </Button>
      </div>
      <nav aria-label={worded("map.regions")} className="regions">
        <button aria-pressed={region === ""} onClick={() => go({})}>
          {worded("map.theWorld")}
        </button>
        {regions.map((r) => (
          <button key={r} aria-pressed={r === region} onClick={() => go({ region: r })}>
            {r}
          </button>
        ))}
      </nav>
      <div className="map-and-list">
        <div>
          {table ? (
            <WorldTable facets={f} region={region} />
          ) : (
            <World
              facets={f}
              region={region}
              country={country}
              choose={(code) => {
                const c = f.world.find((x) => x.code === code);
                if (c) go({ region: c.region, country: code });
              }}
            />
          )}
          {!table && (
            <p className="legend" aria-hidden="true">
              {stages.map(([stage, name]) => (
                <span key={stage}>
                  <i className={`tint ${stage}`} /> {name}
                </span>
              ))}
            </p>
          )}
          <label className="country-choice">
            {worded("map.country")}{" "}
            <select
              value={country}
              onChange={(e) =>
                go(
                  e.target.value
                    ? { ...(region ? { region } : {}), country: e.target.value }
                    : region
                      ? { region }
                      : {},
                )
              }
            >
              <option value="">{region || worded("map.theWholeWorld")}</option>
              {here.map((c) => (
                <option key={c.code} value={c.code}>
                  {c.name}
                </option>
              ))}
            </select>
          </label>
        </div>
        <aside>
          {country ? (
            <CountryPanel
              country={country}
              name={f.world.find((c) => c.code === country)?.name ?? worded("map.thisCountry")}
            />
          ) : (
            <TodoList
              under={1}
              title={
                region ? worded("map.stillToDoIn", { region }) : worded("map.onTheListOfWishes")
              }
              query={region ? { region } : { wishes: "true" }}
              empty={worded("map.noWishesYetChooseARegion")}
            />
          )}
        </aside>
      </div>
    </main>
  );
}

interface WorldProps {
  facets: ShelfFacets;
  region: string;
  country: string;
  choose: (code: string) => void;
}

function World({ facets, region, country, choose }: WorldProps) {
  const inside = new Set(facets.world.filter((c) => c.region === region).map((c) => c.code));
  const view = region
    ? around(shapes.filter((s) => inside.has(s.code)))
    : `0 0 ${size.width} ${size.height}`;
  return (
    <svg className="world" viewBox={view} aria-hidden="true">
      {shapes.map((s) => (
        <path
          key={s.code}
          d={s.d}
          className={`land ${furthest(facets.countries[s.code])} ${s.code === country ? "chosen" : ""}`}
          onClick={() => choose(s.code)}
        >
          <title>{facets.world.find((c) => c.code === s.code)?.name}</title>
        </path>
      ))}
    </svg>
  );
}

function WorldTable({ facets, region }: { facets: ShelfFacets; region: string }) {
  const rows = facets.world.filter((c) => region === "" || c.region === region);
  const n = (code: string, ...states: string[]) =>
    states.reduce((sum, s) => sum + (facets.countries[code]?.[s] ?? 0), 0) || "";
  return (
    <div
      className="world-table"
      tabIndex={0}
      role="region"
      aria-label={worded("map.countriesAsATable")}
    >
      <table>
        <thead>
          <tr>
            <th>{worded("map.country")}</th>
            <th>{worded("map.region")}</th>
            <th>{worded("map.originalKept2")}</th>
            <th>{worded("map.beingAdapted2")}</th>
            <th>{worded("map.settled")}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((c) => (
            <tr key={c.code}>
              <th scope="row">{c.name}</th>
              <td>{c.region}</td>
              <td>{n(c.code, "original")}</td>
              <td>{n(c.code, "adapting", "decided", "tried")}</td>
              <td>{n(c.code, "settled")}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
