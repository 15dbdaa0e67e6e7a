import type { FramingPiece } from "../../../drawing/piece";
import type { XY, XYZ } from "../../../geometry/skeleton";
import type { Section } from "../../../kinds";
import { NM_PER_MM } from "../../../units";
import type { RoofFace, RoofForm } from "../form";
import { type BearingRafter, overPlateMm } from "../heights";
import { jointsOf, type RidgeStock } from "./lines";
import { inFace } from "./rafters";
import { levelStick, uprightStick } from "./sticks";

export type Purlins = {
  readonly rafter: BearingRafter;
  readonly purlin: Section;
  readonly strut: Section;
  /** Of every slope; 0 for none. */
  readonly rows: number;
  /** Apart along a purlin; 0 for none. */
  readonly strutsMm: number;
  readonly stock: RidgeStock;
};

/** A purlin shorter than this lies between two jacks in a corner: they carry each other. */
const SHORTEST_MM = 300;

const mm = (nm: number): number => nm / NM_PER_MM;

type Bounding = { readonly from: XYZ; readonly to: XYZ };

/** Stretches of a level line on a slope, so far in from its foot, that lie within some sides. */
function stretchesAt(face: RoofFace, sides: readonly Bounding[], inMm: number): (readonly [number, number])[] {
  const places = sides
    .flatMap(({ from, to }): number[] => {
      const [a, b] = [inFace(face, from), inFace(face, to)];
      if (a[1] > inMm === b[1] > inMm) return [];
      return [a[0] + ((inMm - a[1]) / (b[1] - a[1])) * (b[0] - a[0])];
    })
    .toSorted((a, b) => a - b);
  return places.flatMap((from, index) => {
    const to = places[index + 1];
    return index % 2 === 0 && to !== undefined ? [[from, to] as const] : [];
  });
}

/** Without what openings take out of a stretch. */
const clearOf = (
  stretch: readonly [number, number],
  gaps: readonly (readonly [number, number])[],
): (readonly [number, number])[] =>
  gaps.reduce(
    (left, [low, high]) =>
      left.flatMap(([from, to]) => {
        if (high <= from || low >= to) return [[from, to] as const];
        return [...(low > from ? [[from, low] as const] : []), ...(high < to ? [[high, to] as const] : [])];
      }),
    [stretch],
  );

type Row = { readonly face: RoofFace; readonly id: string; readonly inMm: number; readonly topMm: number };

/** The rows of a slope part it evenly between its foot and its top; they lie under its rafters. */
function rowsOf(face: RoofFace, { rafter, rows }: Purlins): Row[] {
  const reaches = face.wallSides.map(({ from }) => inFace(face, from)[1]);
  const [foot, top] = [Math.min(...reaches), Math.max(...reaches)];
  const secant = Math.hypot(1, face.pitch);
  const { fromHeightMm, runPerRise } = face.form.line;
  return Array.from({ length: rows }, (_, index): Row => {
    const inMm = foot + ((top - foot) * (index + 1)) / (rows + 1);
    const underMm = overPlateMm(rafter, face.pitch) - mm(rafter.depthNm) * secant;
    const topMm = fromHeightMm + inMm / runPerRise + underMm;
    return { face, id: `purlin-${face.id}-${index + 1}`, inMm, topMm };
  });
}

const placeOf = ({ form: { line } }: RoofFace, along: number, inMm: number): XY => [
  line.along[0] * along + line.normal[0] * (line.offsetMm + inMm),
  line.along[1] * along + line.normal[1] * (line.offsetMm + inMm),
];

function purlinPieces({ face, id, inMm, topMm }: Row, from: number, to: number, of: Purlins): FramingPiece[] {
  const ends = [from, ...jointsOf(to - from, of.stock).map((at) => from + at), to];
  const purlins = ends.slice(1).map((end, index) => {
    const named = { id: index === 0 ? id : `${id}.${index + 1}`, role: "purlin", section: of.purlin };
    return levelStick(named, placeOf(face, ends[index] ?? from, inMm), placeOf(face, end, inMm), { topMm });
  });
  return [...purlins, ...strutsOf({ face, id, inMm, topMm }, from, to, of)];
}

/** Upright under a purlin at the spacing and at both of its ends, from the level of the plate. */
function strutsOf({ face, id, inMm, topMm }: Row, from: number, to: number, of: Purlins): FramingPiece[] {
  const highMm = topMm - mm(of.purlin.depthNm);
  if (of.strutsMm === 0 || highMm < mm(of.strut.depthNm)) return [];
  const spaces = Math.max(1, Math.ceil((to - from) / of.strutsMm - 1e-9));
  const halfMm = mm(of.strut.thicknessNm) / 2;
  return Array.from({ length: spaces + 1 }, (_, index) => {
    const at = Math.min(to - halfMm, Math.max(from + halfMm, from + ((to - from) * index) / spaces));
    const named = { id: `${id}-strut-${index + 1}`, role: "purlin-strut", section: of.strut };
    return uprightStick(named, placeOf(face, at, inMm), face.form.line.along, { footMm: 0, topMm: highMm });
  });
}

/** Purlins under the slopes of a roof, with the struts they stand on; none under dormers. */
export function layPurlins(form: RoofForm, of: Purlins): FramingPiece[] {
  if (of.rows === 0) return [];
  return form.faces
    .filter(({ dormerId, wallSides }) => dormerId === undefined && wallSides.length > 0)
    .flatMap((face) => rowsOf(face, of))
    .flatMap((row) => {
      const { face, inMm } = row;
      const gaps = face.holes.flatMap(({ ring }) => stretchesAt(face, ring, inMm));
      const clear = stretchesAt(face, face.wallSides, inMm)
        .flatMap((stretch) => clearOf(stretch, gaps))
        .filter(([from, to]) => to - from >= SHORTEST_MM);
      return clear.flatMap(([from, to], index) =>
        purlinPieces(index === 0 ? row : { ...row, id: `${row.id}/${index + 1}` }, from, to, of),
      );
    });
}
