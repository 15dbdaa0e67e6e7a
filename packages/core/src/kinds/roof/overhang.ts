import { type NormalLine, whereLinesMeet } from "../../geometry";
import type { FaceSide, FormFace, XY, XYZ } from "../../geometry/skeleton";

/** What bounds a face: an eave, a gable's rake, a wall, or another face. */
export type SideKind =
  | "eave"
  | "rake"
  | "wall-top"
  | "wall-side"
  | "open"
  | "ridge"
  | "hip"
  | "valley"
  | "break"
  | "seam"
  | "cheek"
  | "flat"
  // Of what is cut out of a slope: rafters end at a header, and run along a trimmer.
  | "header"
  | "trim";

export type RoofSide = {
  readonly from: XYZ;
  readonly to: XYZ;
  readonly kind: SideKind;
  /** The face beyond, where there is one. */
  readonly against: number;
  /** What stands there and cuts the roof off: another roof, or a room of a storey above. */
  readonly cutBy?: string;
};

/** How far a side goes out beyond where it is on the form, level and square to it, in millimetres. */
export type Outwards = (side: FaceSide) => number;

function lineOfSide({ from, to }: FaceSide, outMm: number): NormalLine | undefined {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  if (length < 1e-9) return undefined;
  // The face lies on the left: its outside is on the right.
  const normal: XY = [(to[1] - from[1]) / length, -(to[0] - from[0]) / length];
  return { normal, offset: normal[0] * from[0] + normal[1] * from[1] + outMm };
}

/** A height on a face's plane, anywhere on plan. */
export const heightOn = ({ line }: Pick<FormFace, "line">, [x, y]: XY): number =>
  line.fromHeightMm + (line.normal[0] * x + line.normal[1] * y - line.offsetMm) / line.runPerRise;

export type PlainSide = FaceSide & { readonly kind: SideKind; readonly cutBy?: string };

const cornerOf = (line: NormalLine, next: NormalLine, place: XYZ): XY =>
  whereLinesMeet(line, next) ?? [place[0], place[1]];

const near = (a: XYZ, b: XYZ): boolean => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]) < 0.01;

/** How far a place on a line from a corner is past another line; the line itself is where it is 0. */
const past = ({ normal, offset }: NormalLine, [x, y]: XY): number => normal[0] * x + normal[1] * y - offset;

/**
 * A face carried down over its overhangs: each side moved out by its own, hips and valleys run on in their own line. Where the
 * neighbour's eave is met first, because its overhang comes down less far, the face is cut along that eave.
 */
export function carriedOut(
  face: FormFace,
  ring: readonly PlainSide[],
  outwards: Outwards,
  /** The side of a face beyond that meets this corner and goes out too. */
  outerBeside: (against: number, corner: XYZ) => { readonly side: FaceSide; readonly outMm: number } | undefined,
): RoofSide[] {
  const lines = ring.map((side) => lineOfSide(side, outwards(side)));
  const at = (place: XY): XYZ => [place[0], place[1], heightOn(face, place)];
  type Corner = { readonly before: XYZ; readonly after: XYZ };
  const corners = ring.map((side, index): Corner => {
    const previous = (index + ring.length - 1) % ring.length;
    const [a, b] = [lines[previous], lines[index]];
    const before = ring[previous];
    if (!a || !b || !before) return { before: side.from, after: side.from };
    const plain = cornerOf(a, b, side.from);
    const moved = outwards(side) > 0 || outwards(before) > 0;
    if (!moved) return { before: side.from, after: side.from };
    // One side goes out, the other is a hip or valley: is the eave beyond it met first?
    const inner = outwards(side) > 0 ? before : side;
    const outer = outwards(side) > 0 ? b : a;
    const beside = outwards(inner) > 0 ? undefined : outerBeside(inner.against, side.from);
    const other = beside && lineOfSide(beside.side, beside.outMm);
    const inLine = outwards(side) > 0 ? a : b;
    if (!other || past(other, plain) <= 0.01) return { before: at(plain), after: at(plain) };
    const first = whereLinesMeet(inLine, other);
    const second = whereLinesMeet(outer, other);
    if (!first || !second) return { before: at(plain), after: at(plain) };
    return outwards(side) > 0 ? { before: at(first), after: at(second) } : { before: at(second), after: at(first) };
  });
  return ring.flatMap((side, index): RoofSide[] => {
    const here = corners[index];
    const next = corners[(index + 1) % corners.length];
    if (!here || !next) return [];
    const own = { from: here.after, to: next.before, kind: side.kind, against: side.against };
    if (near(here.before, here.after)) return [own];
    return [{ from: here.before, to: here.after, kind: "eave", against: -1 }, own];
  });
}
