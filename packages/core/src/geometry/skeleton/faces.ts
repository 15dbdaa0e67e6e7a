import { crossOf, dotOf, type MovingLine, type XY, type XYZ } from "./plane";

/** A face's boundary in pieces, each with the face on its left. `against` is the face beyond, or -1 for none. */
export type FaceStretch = { readonly from: XYZ; readonly to: XYZ; readonly face: number; readonly against: number };

/** Where a face rises from: an edge and which of its steps; a `cheek` stands between edges in one line that slope differently. */
export type FaceOrigin = { readonly line: MovingLine; readonly step: number; readonly cheek: boolean };

/** A side of a face and the face beyond it, -1 for none: an eave, or the rim of a flat. */
export type FaceSide = { readonly from: XYZ; readonly to: XYZ; readonly against: number };

/** A plane of the form, or a part of it where something else lies between. Its corners go against the clock seen from above. */
export type FormFace = FaceOrigin & { readonly index: number; readonly rings: readonly (readonly FaceSide[])[] };

/** A stretch shorter than this is a place. */
const NO_LENGTH_MM = 1e-6;

const keyOf = ([x, y, z]: XYZ): string => `${x}/${y}/${z}`;

/** In the face's own plane: along its edge, and inwards or, where it stands, up. */
const flat = ({ line }: FaceOrigin, [x, y, z]: XYZ): XY => [dotOf(line.along, [x, y]), dotOf(line.normal, [x, y]) + z];

/** Two ways over the same stretch of the same face are none. */
function withoutSeams(stretches: readonly FaceStretch[]): FaceStretch[] {
  const open = new Map<string, FaceStretch[]>();
  const gone = new Set<FaceStretch>();
  for (const each of stretches) {
    const back = open.get(`${keyOf(each.to)}>${keyOf(each.from)}`)?.pop();
    if (back) gone.add(back).add(each);
    else {
      const key = `${keyOf(each.from)}>${keyOf(each.to)}`;
      open.set(key, [...(open.get(key) ?? []), each]);
    }
  }
  return stretches.filter((each) => !gone.has(each));
}

function ringsOf(stretches: readonly FaceStretch[], origin: FaceOrigin): FaceSide[][] | undefined {
  const left = new Set(stretches);
  const leaving = new Map<string, FaceStretch[]>();
  for (const each of stretches) leaving.set(keyOf(each.from), [...(leaving.get(keyOf(each.from)) ?? []), each]);
  const rings: FaceSide[][] = [];
  for (const first of stretches) {
    if (!left.has(first)) continue;
    const ring: FaceStretch[] = [];
    let now = first;
    while (left.has(now)) {
      left.delete(now);
      ring.push(now);
      const ways = (leaving.get(keyOf(now.to)) ?? []).filter((each) => left.has(each) || each === first);
      const next = ways.length < 2 ? ways[0] : leftmost(now, ways, origin);
      if (!next) return undefined;
      now = next;
    }
    rings.push(ring.map(({ from, to, against }) => ({ from, to, against })));
  }
  return rings;
}

function leftmost(now: FaceStretch, ways: readonly FaceStretch[], origin: FaceOrigin): FaceStretch | undefined {
  const heading = (from: XYZ, to: XYZ): XY => {
    const [a, b] = [flat(origin, from), flat(origin, to)];
    return [b[0] - a[0], b[1] - a[1]];
  };
  const back = heading(now.to, now.from);
  const turn = (each: FaceStretch): number => {
    const out = heading(each.from, each.to);
    const angle = Math.atan2(crossOf(out, back), dotOf(out, back));
    return angle <= 1e-12 ? angle + 2 * Math.PI : angle;
  };
  return ways.toSorted((a, b) => turn(a) - turn(b))[0];
}

const lengthOf = ({ from, to }: FaceSide): number => Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2]);

/** Sides in one line beside the same face are one: what happened elsewhere at a height leaves no corner here. */
function straightened(ring: readonly FaceSide[]): FaceSide[] {
  const joined: FaceSide[] = [];
  for (const side of ring) {
    if (lengthOf(side) <= NO_LENGTH_MM) continue;
    const before = joined[joined.length - 1];
    if (before && goesOn(before, side)) joined[joined.length - 1] = { ...before, to: side.to };
    else joined.push(side);
  }
  const [first] = joined;
  const last = joined[joined.length - 1];
  if (joined.length < 3 || !first || !last || !goesOn(last, first)) return joined;
  return [{ ...first, from: last.from }, ...joined.slice(1, -1)];
}

/** Off the line by less than this, in millimetres, is in line. */
const IN_LINE_MM = 0.01;

function goesOn(before: FaceSide, after: FaceSide): boolean {
  if (before.against !== after.against) return false;
  const [a, b] = [before, after].map(({ from, to }) => [to[0] - from[0], to[1] - from[1], to[2] - from[2]] as const);
  if (!a || !b) return false;
  const across = Math.hypot(a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]);
  const forward = a[0] * b[0] + a[1] * b[1] + a[2] * b[2] > 0;
  return forward && across <= IN_LINE_MM * Math.max(lengthOf(before), lengthOf(after));
}

/** The area of a ring in its face's own plane; above zero against the clock. */
export function ringArea(ring: readonly FaceSide[], origin: FaceOrigin): number {
  return ring.reduce((sum, { from, to }) => sum + crossOf(flat(origin, from), flat(origin, to)), 0) / 2;
}

/** Puts the stretches of each face together; `undefined` where one does not close, or turns inside out. */
export function assembleFaces(
  stretches: readonly FaceStretch[],
  origins: readonly FaceOrigin[],
): FormFace[] | undefined {
  const byFace = new Map<number, FaceStretch[]>();
  for (const each of stretches) {
    const own = byFace.get(each.face);
    if (own) own.push(each);
    else byFace.set(each.face, [each]);
  }
  const faces: FormFace[] = [];
  for (const [index, origin] of origins.entries()) {
    const rings = ringsOf(withoutSeams(byFace.get(index) ?? []), origin);
    if (!rings) return undefined;
    const real = rings.map(straightened).filter((ring) => ring.length > 2 && Math.abs(ringArea(ring, origin)) > 1e-3);
    if (real.some((ring) => ringArea(ring, origin) < 0)) return undefined;
    if (real.length > 0) faces.push({ ...origin, index, rings: real });
  }
  return faces;
}
