import { readFileSync } from "node:fs";
import { createRequire } from "node:module";

import { geoPath, geoProjection, type GeoPermissibleObjects, type GeoProjection } from "d3-geo";
import { feature } from "topojson-client";
import type { GeometryCollection, Topology } from "topojson-specification";

// The outlines of the countries are drawn when the program is built, so that the page
// that shows them only has to show them.

/** A country as it is drawn: the outline in the units of the drawing, and its bounds. */
export interface Outline {
  code: string;
  d: string;
  box: [number, number, number, number];
}

export const size = { width: 960, height: 470 };

/** The ice of the south, where nobody cooks. */
const antarctica = "010";

/** How near points of an outline are drawn as one. */
const near = 0.4;

/**
 * Our own projection: meridians draw together towards the poles, less than on a globe,
 * and the far north and south are pressed flat.
 */
export function tableCloth(lambda: number, phi: number): [number, number] {
  return [lambda * (0.62 + 0.38 * Math.cos(phi)), Math.sin(phi * 0.92) * 1.28];
}

/** A ring without the points that nobody could tell apart; of one that is all such, its four corners. */
function sparse(ring: [number, number][]): [number, number][] {
  const out: [number, number][] = [];
  for (const p of ring) {
    const last = out.at(-1);
    if (!last || Math.hypot(p[0] - last[0], p[1] - last[1]) >= near) out.push(p);
  }
  if (out.length >= 4) return out;
  const xs = ring.map((p) => p[0]);
  const ys = ring.map((p) => p[1]);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [top, bottom] = [Math.min(...ys), Math.max(...ys)];
  return [
    [left, top],
    [right, top],
    [right, bottom],
    [left, bottom],
  ];
}

/** Draws the countries of a topology, each by its ISO 3166-1 number. */
export function outlines(topology: Topology): Outline[] {
  const countries = topology.objects["countries"] as GeometryCollection | undefined;
  if (!countries) return [];
  const shown = feature(topology, countries).features.filter((f) => f.id !== antarctica);
  const fitted = geoProjection(tableCloth)
    .rotate([-11, 0])
    .fitSize([size.width, size.height], {
      type: "FeatureCollection",
      features: shown,
    } as unknown as Parameters<GeoProjection["fitSize"]>[1]);
  const drawn = new Map<string, Outline>();
  for (const f of shown) {
    if (f.id === undefined) continue;
    const rings: [number, number][][] = [];
    geoPath(fitted, {
      beginPath: () => undefined,
      arc: () => undefined,
      closePath: () => undefined,
      moveTo: (x: number, y: number) => void rings.push([[x, y]]),
      lineTo: (x: number, y: number) => void rings.at(-1)?.push([x, y]),
    } as unknown as CanvasRenderingContext2D)(f as unknown as GeoPermissibleObjects);
    if (rings.length === 0) continue;
    const code = String(f.id).padStart(3, "0");
    const said: Outline = drawn.get(code) ?? { code, d: "", box: [1e9, 1e9, -1e9, -1e9] };
    for (const [x, y] of rings.flat()) {
      said.box[0] = Math.min(said.box[0], x);
      said.box[1] = Math.min(said.box[1], y);
      said.box[2] = Math.max(said.box[2], x);
      said.box[3] = Math.max(said.box[3], y);
    }
    for (const ring of rings) {
      said.d += `M${sparse(ring)
        .map((p) => `${p[0].toFixed(1)} ${p[1].toFixed(1)}`)
        .join("L")}Z`;
    }
    drawn.set(code, said);
  }
  return [...drawn.values()];
}

/** All countries of the world, from the shapes that the package world-atlas holds. */
export function world(): Outline[] {
  const path = createRequire(import.meta.url).resolve("world-atlas/countries-50m.json");
  return outlines(JSON.parse(readFileSync(path, "utf8")) as Topology);
}
