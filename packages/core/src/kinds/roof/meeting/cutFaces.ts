import { isInside, type Point, type Polygon, polygonArea, signedArea } from "../../../geometry";
import { intersect, intersectArea, without } from "../../../geometry/grid";
import { NM_PER_MM } from "../../../units";
import type { Carried, Hole, RoofFace } from "../formTypes";
import type { PlainSide } from "../overhang";
import { liesIn, whereOver } from "./clip";
import { boxesMeet, leftOf, liesAlong, type NewSide, sidesOf } from "./cutRing";
import { type Gradient, gradientOf, heightAt, polygonOf, ringsOf } from "./planes";
import type { Meets, Neighbour, PlaneOver } from "./types";

/** Heights this close together are one: where two slopes meet. */
const MEETS_MM = 1;

/** What is gone of a slope: where it lies below a neighbour, within the line of that one's walls. */
function goneOf(face: RoofFace, polygon: Polygon, neighbours: readonly Neighbour[], own: Polygon): Polygon[] {
  const plane = gradientOf(face.form);
  return neighbours.flatMap(({ outline, tops, over, comesFirst }) => {
    const inside = boxesMeet(polygon, outline)
      ? tops
          .filter(({ ring }) => boxesMeet(polygon, ring))
          .flatMap((top) => (comesFirst && liesIn(top.ring, top, plane) ? [top.ring] : whereOver(top.ring, top, plane)))
      : [];
    // An overhang ends where something of another roof stands higher in its way; within the walls that lies over it.
    const beside = over
      .filter(({ ring }) => boxesMeet(polygon, ring))
      .flatMap((top) => whereOver(top.ring, top, plane))
      .flatMap((ring) => without(ring, [own]));
    return [...inside, ...beside];
  });
}

/** Where an overhang comes into that of another roof at a corner: above the line in which they meet it is the other's. */
function cornersOfOverhangs(
  face: RoofFace,
  polygon: Polygon,
  neighbours: readonly Neighbour[],
  own: Polygon,
): Polygon[] {
  const plane = gradientOf(face.form);
  const others = neighbours.flatMap(({ overhangs }) => overhangs.filter(({ ring }) => boxesMeet(polygon, ring)));
  if (others.length === 0) return [];
  return without(polygon, [own]).flatMap((overhang) =>
    others.flatMap((other) =>
      intersect(overhang, other.ring).flatMap((ring) => {
        const over = whereOver(ring, other, plane);
        // One high above the other leaves both as they are.
        return whereOver(ring, plane, other).length > 0 ? over : [];
      }),
    ),
  );
}

const isMet = (top: PlaneOver, plane: Gradient, from: Point, to: Point): boolean =>
  [from, to].every((end) => Math.abs(heightAt(top, end) - heightAt(plane, end)) < MEETS_MM) &&
  isBeside(top.ring, from, to);

/** What a new side of a slope is by what lies beyond it. */
function newSides(face: RoofFace, neighbours: readonly Neighbour[]): NewSide {
  const plane = gradientOf(face.form);
  const { normal } = face.form.line;
  return (from, to) => {
    const [low, high] = [heightAt(plane, from), heightAt(plane, to)];
    const level = Math.abs(high - low) < 0.1;
    for (const { id, tops } of neighbours) {
      const met = tops.find((top) => isMet(top, plane, from, to));
      if (!met) continue;
      if (liesIn(met.ring, met, plane)) return { kind: "seam" };
      // Water of a slope that runs level into another of the same way goes on over it.
      const sameWay = level && met.gradX * normal[0] + met.gradY * normal[1] > 0 && isHead(face, from, to);
      return { kind: sameWay ? "break" : "valley", cutBy: id };
    }
    const hangs = neighbours.find(({ overhangs }) => overhangs.some((top) => isMet(top, plane, from, to)));
    // Counted once, by the later of the two.
    if (hangs) return hangs.comesFirst ? { kind: "valley", cutBy: hangs.id } : { kind: "seam" };
    const along = neighbours.find(({ outline }) => liesAlong(outline, from, to));
    if (along) return { kind: level ? "wall-top" : "wall-side", cutBy: along.id };
    return { kind: "seam" };
  };
}

/** The slope lies below the side, which its outline has on the left. */
function isHead({ form: { line } }: RoofFace, from: Point, to: Point): boolean {
  return (to.xNm - from.xNm) * line.along[0] + (to.yNm - from.yNm) * line.along[1] < 0;
}

const STEP_NM = 2_000_000;

/** Whether a ring comes up to a stretch from either side of its middle. */
function isBeside(ring: Polygon, from: Point, to: Point): boolean {
  const length = Math.hypot(to.xNm - from.xNm, to.yNm - from.yNm) || 1;
  const [x, y] = [(-(to.yNm - from.yNm) / length) * STEP_NM, ((to.xNm - from.xNm) / length) * STEP_NM];
  const middle = { xNm: (from.xNm + to.xNm) / 2, yNm: (from.yNm + to.yNm) / 2 };
  return [1, -1].some((side) => isInside(ring, { xNm: middle.xNm + side * x, yNm: middle.yNm + side * y }));
}

type Cut = { readonly face: RoofFace; readonly neighbours: readonly Neighbour[]; readonly gone: readonly Polygon[] };

function wallSidesIn({ face, neighbours }: Cut, ring: Polygon): PlainSide[] {
  const bounds = { before: face.wallSides, corners: cornersOf(neighbours), isNew: newSides(face, neighbours) };
  return ringsOf(face.wallSides).flatMap((own) =>
    intersect(polygonOf(own), ring)
      .filter((each) => signedArea(each) > LEAST_M2)
      .flatMap((each) => sidesOf(face, each, bounds)),
  );
}

const LEAST_M2 = 1e-3;
const cornersOf = (neighbours: readonly Neighbour[]): Point[] => neighbours.flatMap(({ outline }) => outline);

/** What is cut out of a slope, as far as it lies in what is left of it. */
function holesIn({ holes }: RoofFace, ring: Polygon): Hole[] {
  return holes.flatMap((hole) => {
    const planAreaM2 = intersectArea(ring, polygonOf(hole.ring));
    return planAreaM2 > LEAST_M2 ? [{ ...hole, planAreaM2 }] : [];
  });
}

/** Stretches that an eave comes further down over, by the part of the slope that they hang from. */
function carriedBy(cut: Cut, ring: Polygon): Carried[] {
  const { face, gone, neighbours } = cut;
  return face.carried.flatMap(({ ring: own }): Carried[] => {
    const top = own[2];
    const hangs = top && isInside(ring, aboveMiddle(face, top));
    if (!hangs) return [];
    const bounds = { before: own, corners: cornersOf(neighbours), isNew: newSides(face, neighbours) };
    return leftOf(face, polygonOf(own), gone).map((each) => {
      return { ring: sidesOf(face, each, bounds), planAreaM2: polygonArea(each) };
    });
  });
}

function aboveMiddle({ form: { line } }: RoofFace, { from, to }: PlainSide): Point {
  const step = STEP_NM / NM_PER_MM;
  const [x, y] = [(from[0] + to[0]) / 2 + line.normal[0] * step, (from[1] + to[1]) / 2 + line.normal[1] * step];
  return { xNm: Math.round(x * NM_PER_MM), yNm: Math.round(y * NM_PER_MM) };
}

/** One slope as others leave it: itself where nothing meets it, several parts, or nothing. */
export function cutFace(face: RoofFace, { neighbours }: Meets, own: Polygon): readonly RoofFace[] {
  const polygon = polygonOf(face.sides);
  const gone = [...goneOf(face, polygon, neighbours, own), ...cornersOfOverhangs(face, polygon, neighbours, own)];
  if (!gone.some((ring) => intersectArea(ring, polygon) > LEAST_M2)) return [face];
  const cut = { face, neighbours, gone };
  const bounds = { before: face.sides, corners: cornersOf(neighbours), isNew: newSides(face, neighbours) };
  return leftOf(face, polygon, gone).map((ring, index): RoofFace => {
    const holes = holesIn(face, ring);
    const carried = carriedBy(cut, ring);
    const planAreaM2 =
      polygonArea(ring) -
      holes.reduce((sum, hole) => sum + hole.planAreaM2, 0) +
      carried.reduce((sum, each) => sum + each.planAreaM2, 0);
    return {
      ...face,
      id: index === 0 ? face.id : `${face.id}:${index + 1}`,
      sides: sidesOf(face, ring, bounds),
      wallSides: wallSidesIn(cut, ring),
      holes,
      carried,
      planAreaM2,
      areaM2: planAreaM2 * Math.hypot(1, face.pitch),
    };
  });
}
