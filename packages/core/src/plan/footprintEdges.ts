import {
  type Bounds,
  boundsOf,
  distance,
  dot,
  headingFrom,
  indexBoxes,
  leftOf,
  type Point,
  widened,
} from "../geometry";
import { wallBacks } from "../kinds";
import { millimetres, type Nanometres } from "../units";
import { onStorey, type PlacedRoom } from "./place";
import type { StoreyPlan } from "./storeyPlan";

/**
 * One side of the house from outside. Its id is of the wall of a room that most of it stands behind, so that what was said of
 * it stays with it while other rooms change.
 */
export type FootprintEdge = {
  readonly id: string;
  readonly from: Point;
  readonly to: Point;
  readonly lengthNm: Nanometres;
  readonly roomId: string;
  readonly faceId: string;
};

type Back = { readonly roomId: string; readonly faceId: string; readonly from: Point; readonly to: Point };

const IN_LINE_NM = millimetres(2);

const backsOf = (placed: PlacedRoom): Back[] =>
  wallBacks(placed.outline).flatMap(({ from, to }, index) => {
    const face = placed.outline.faces[index];
    if (!face || !placed.polygon) return [];
    const on = { roomId: placed.room.id, faceId: face.id };
    return [{ ...on, from: onStorey(from, placed), to: onStorey(to, placed) }];
  });

/** How far a wall's back lies along an edge; nothing where it is not in line with it. */
function alongNm(back: Back, from: Point, to: Point): Nanometres {
  const heading = headingFrom(from, to);
  if (!heading) return 0;
  const across = leftOf(heading);
  const off = Math.max(...[back.from, back.to].map((point) => Math.abs(dot(point, across) - dot(from, across))));
  if (off > IN_LINE_NM) return 0;
  const ends = [dot(back.from, heading), dot(back.to, heading)];
  return Math.min(Math.max(...ends), dot(to, heading)) - Math.max(Math.min(...ends), dot(from, heading));
}

/** The walls' backs that may lie along an edge: those that touch it. */
function besideOf(from: Point, to: Point, backsNear: (box: Bounds) => Back[]): Back[] {
  const box = boundsOf([from, to]);
  return box ? backsNear(widened(box, IN_LINE_NM)) : [];
}

/** The outside of a storey side by side, each with an id that stays. Nothing while no room on it closes. */
export function footprintEdges(storey: StoreyPlan): readonly FootprintEdge[] {
  const backs = storey.rooms.flatMap(backsOf);
  const backsNear = indexBoxes(backs, ({ from, to }) => boundsOf([from, to]));
  const taken = new Map<string, number>();
  return (storey.footprint?.rings ?? []).flatMap((ring) =>
    ring.flatMap((from, index): FootprintEdge[] => {
      const to = ring[(index + 1) % ring.length] ?? from;
      const best = besideOf(from, to, backsNear)
        .map((back) => ({ back, nm: alongNm(back, from, to) }))
        .reduce<{ back: Back; nm: number } | undefined>((a, b) => (b.nm > (a?.nm ?? 0) ? b : a), undefined);
      if (!best) return [];
      const { roomId, faceId } = best.back;
      const own = `${roomId}/${faceId}`;
      const nth = (taken.get(own) ?? 0) + 1;
      taken.set(own, nth);
      const id = nth === 1 ? own : `${own}/${nth}`;
      return [{ id, from, to, lengthNm: Math.round(distance(from, to)), roomId, faceId }];
    }),
  );
}
