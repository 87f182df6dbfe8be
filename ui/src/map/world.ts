import { geoPath, geoProjection, type GeoPermissibleObjects, type GeoProjection } from "d3-geo";
import { feature } from "topojson-client";
import type { GeometryCollection, Topology } from "topojson-specification";
import shapesUrl from "world-atlas/countries-50m.json?url";

/** A country as it is drawn: the outline in the units of the drawing, and its bounds. */
export interface Outline {
  code: string;
  d: string;
  box: [[number, number], [number, number]];
}

export const size = { width: 960, height: 470 };

/**
 * Our own projection: meridians draw together towards the poles, less than on a globe,
 * and the far north and south are pressed flat, where nobody cooks.
 */
export function tableCloth(lambda: number, phi: number): [number, number] {
  return [lambda * (0.62 + 0.38 * Math.cos(phi)), Math.sin(phi * 0.92) * 1.28];
}

function projection(): GeoProjection {
  return geoProjection(tableCloth).rotate([-11, 0]);
}

/** Draws the countries of a topology, each by its ISO 3166-1 number. */
export function outlines(topology: Topology): Outline[] {
  const countries = topology.objects["countries"] as GeometryCollection | undefined;
  if (!countries) return [];
  const all = feature(topology, countries);
  const shown = all.features.filter((f) => f.id !== "010"); // the ice of the south
  const fitted = projection().fitSize([size.width, size.height], {
    type: "FeatureCollection",
    features: shown,
  } as unknown as Parameters<GeoProjection["fitSize"]>[1]);
  const path = geoPath(fitted);
  const drawn = new Map<string, Outline>();
  for (const f of shown) {
    const shape = f as unknown as GeoPermissibleObjects;
    const d = path(shape);
    const code = f.id === undefined ? "" : String(f.id).padStart(3, "0");
    if (!d || !code) continue;
    const box = path.bounds(shape);
    const had = drawn.get(code);
    if (!had) drawn.set(code, { code, d, box });
    else had.d += d;
  }
  return [...drawn.values()];
}

/** The shapes, which come with the program and are fetched when the map is opened. */
export async function fetchOutlines(): Promise<Outline[]> {
  const answer = await fetch(shapesUrl);
  return outlines((await answer.json()) as Topology);
}

/** The part of the drawing in which some countries lie, with air around, as a viewBox. */
export function around(of: Outline[]): string {
  if (of.length === 0) return `0 0 ${size.width} ${size.height}`;
  // A country across the date line is as wide as the drawing; it does not count.
  const near = of.filter((o) => o.box[1][0] - o.box[0][0] < size.width / 2);
  const boxes = near.length > 0 ? near : of;
  const left = Math.min(...boxes.map((o) => o.box[0][0]));
  const right = Math.max(...boxes.map((o) => o.box[1][0]));
  const top = Math.min(...boxes.map((o) => o.box[0][1]));
  const bottom = Math.max(...boxes.map((o) => o.box[1][1]));
  const air = 12;
  const wide = Math.max(right - left + 2 * air, 90);
  const high = Math.max(bottom - top + 2 * air, 60);
  return `${((left + right - wide) / 2).toFixed(1)} ${((top + bottom - high) / 2).toFixed(1)} ${wide.toFixed(1)} ${high.toFixed(1)}`;
}

export type Stage = "nothing" | "original" | "adapting" | "settled";

/** How far the dishes of a country have come: the furthest counts. */
export function furthest(counts: Record<string, number> | undefined): Stage {
  if (!counts) return "nothing";
  if (counts["settled"]) return "settled";
  if (counts["adapting"] || counts["decided"] || counts["tried"]) return "adapting";
  return counts["original"] ? "original" : "nothing";
}
