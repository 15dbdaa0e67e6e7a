import { type Bounds, boundsOf, type Polygon, perimeterNm, signedArea, union } from "../geometry";
import { wallBacks } from "../kinds";
import type { Nanometres, SquareMetres } from "../units";
import { onStorey, type PlacedRoom } from "./place";

/** The house from outside its walls. */
export type Footprint = {
  readonly rings: readonly Polygon[];
  readonly area: SquareMetres;
  readonly perimeterNm: Nanometres;
  /** Over everything: what a tape across the outside reads. */
  readonly bounds: Bounds;
};

/** A room with the walls round it. */
export function outsideOf(placed: PlacedRoom): Polygon {
  return wallBacks(placed.outline)
    .flatMap((edge) => [edge.from, edge.to])
    .map((point) => onStorey(point, placed));
}

/** Undefined while no room closes. What lies unmeasured within the house counts as part of it. */
export function footprintOf(rooms: readonly PlacedRoom[]): Footprint | undefined {
  const closed = rooms.filter((room) => room.polygon);
  const rings = union(closed.map(outsideOf)).filter((ring) => signedArea(ring) > 0);
  const bounds = boundsOf(rings.flat());
  if (!bounds) return undefined;
  return {
    rings,
    area: rings.reduce((sum, ring) => sum + signedArea(ring), 0),
    perimeterNm: rings.reduce((sum, ring) => sum + perimeterNm(ring), 0),
    bounds,
  };
}
