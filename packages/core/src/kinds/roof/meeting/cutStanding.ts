import { type Point, type Polygon, polygonArea } from "../../../geometry";
import { withoutRings } from "../../../geometry/grid";
import type { FaceSide, XYZ } from "../../../geometry/skeleton";
import { NM_PER_MM } from "../../../units";
import type { StandingFace } from "../formTypes";
import { heightAt } from "./planes";
import type { Meets, PlaneOver } from "./types";

const FAR_NM = 1e11;
const LEAST_M2 = 1e-3;

type Axis = { readonly at: (alongNm: number) => Point; readonly alongOf: (point: Point) => number };

function axisOf({ form: { line } }: StandingFace): Axis {
  const away = line.offsetMm * NM_PER_MM;
  return {
    at: (alongNm) => ({
      xNm: Math.round(line.along[0] * alongNm + line.normal[0] * away),
      yNm: Math.round(line.along[1] * alongNm + line.normal[1] * away),
    }),
    alongOf: ({ xNm, yNm }) => line.along[0] * xNm + line.along[1] * yNm,
  };
}

/** Stretches of a standing face's line that lie within a ring, a hair inside the face. */
function stretchesIn(ring: Polygon, { form: { line } }: StandingFace): [number, number][] {
  const INSIDE_NM = 1_000_000;
  const across = ({ xNm, yNm }: Point) =>
    line.normal[0] * xNm + line.normal[1] * yNm - line.offsetMm * NM_PER_MM - INSIDE_NM;
  const places = ring.flatMap((from, index) => {
    const to = ring[(index + 1) % ring.length] ?? from;
    const [a, b] = [across(from), across(to)];
    if (a > 0 === b > 0) return [];
    const share = a / (a - b);
    const x = from.xNm + share * (to.xNm - from.xNm);
    const y = from.yNm + share * (to.yNm - from.yNm);
    return [line.along[0] * x + line.along[1] * y];
  });
  places.sort((a, b) => a - b);
  return places.flatMap((place, index): [number, number][] => {
    const next = places[index + 1];
    return index % 2 === 0 && next !== undefined && next - place > 1000 ? [[place, next]] : [];
  });
}

/** Below a plane, over the stretches of the face's line: along it, and up. */
const below = (top: PlaneOver, face: StandingFace, { at }: Axis): Polygon[] =>
  stretchesIn(top.ring, face).map(([from, to]): Polygon => {
    const up = (along: number) => Math.round(heightAt(top, at(along)) * NM_PER_MM);
    return [
      { xNm: Math.round(from), yNm: -FAR_NM },
      { xNm: Math.round(to), yNm: -FAR_NM },
      { xNm: Math.round(to), yNm: up(to) },
      { xNm: Math.round(from), yNm: up(from) },
    ];
  });

/** A gable as others leave it: what of it lies within their walls, below their tops, is not there. Nothing where none is left. */
export function cutStanding(face: StandingFace, { neighbours }: Meets): StandingFace[] {
  const axis = axisOf(face);
  const gone = neighbours.flatMap(({ tops }) => tops.flatMap((top) => below(top, face, axis)));
  if (gone.length === 0) return [face];
  const flat = face.form.rings.map((ring) =>
    ring.map(({ from: [x, y, z] }) => ({
      xNm: Math.round(axis.alongOf({ xNm: x * NM_PER_MM, yNm: y * NM_PER_MM })),
      yNm: Math.round(z * NM_PER_MM),
    })),
  );
  const left = flat.flatMap((ring) => withoutRings(ring, gone)).filter((ring) => polygonArea(ring) > LEAST_M2);
  const area = (rings: readonly Polygon[]) => rings.reduce((sum, ring) => sum + polygonArea(ring), 0);
  if (Math.abs(area(left) - area(flat)) < LEAST_M2) return [face];
  if (left.length === 0) return [];
  const place = ({ xNm, yNm }: Point): XYZ => {
    const { xNm: x, yNm: y } = axis.at(xNm);
    return [x / NM_PER_MM, y / NM_PER_MM, yNm / NM_PER_MM];
  };
  const rings = left.map((ring) =>
    ring.map((from, index): FaceSide => {
      return { from: place(from), to: place(ring[(index + 1) % ring.length] ?? from), against: -1 };
    }),
  );
  return [{ ...face, form: { ...face.form, rings }, areaM2: area(left) }];
}
