import type { FaceSide, FormFace, MovingLine, XY, XYZ } from "../../../geometry/skeleton";
import type { PlacedFeature, RoofFace, StandingFace } from "../formTypes";
import type { PlainSide, RoofSide, SideKind } from "../overhang";

/** How far a dormer hangs over its front and, where it has eaves at its sides, over those. Level, millimetres. */
export type DormerOverhang = { readonly eaveMm: number; readonly rakeMm: number };

type Dormer = { readonly faces: readonly RoofFace[]; readonly standing: readonly StandingFace[] };

const MM2_PER_M2 = 1e6;

const planArea = (ring: readonly { readonly from: XYZ }[]): number =>
  ring.reduce((sum, { from: [x, y] }, index) => {
    const [nextX, nextY] = ring[(index + 1) % ring.length]?.from ?? [0, 0];
    return sum + (x * nextY - nextX * y) / 2;
  }, 0) / MM2_PER_M2;

/** A corner in the dormer's own axes with its height, and what the side from it to the next is, with the face beyond. */
type Corner = readonly [u: number, d: number, z: number, kind: SideKind, against?: number];

type Plane = {
  readonly index: number;
  readonly id: string;
  /** On plan, with the plane rising to the left of it; the line has the height of the plate. */
  readonly along: XY;
  readonly from: XY;
  readonly heightMm: number;
  readonly pitch: number;
};

const sidesOf = (placed: PlacedFeature, corners: readonly Corner[]): PlainSide[] =>
  corners.map(([u, d, z, kind, against = -1], index) => {
    const [nextU, nextD, nextZ] = corners[(index + 1) % corners.length] ?? [u, d, z];
    const place = (a: number, b: number, height: number): XYZ => [...placed.at(a, b), height];
    return { from: place(u, d, z), to: place(nextU, nextD, nextZ), kind, against };
  });

function faceOf(placed: PlacedFeature, plane: Plane, wall: readonly Corner[], out: readonly Corner[]): RoofFace {
  const { along, from, heightMm, pitch, index, id } = plane;
  const normal: XY = [-along[1], along[0]];
  const line: MovingLine = {
    face: index,
    edge: -1,
    along,
    normal,
    offsetMm: normal[0] * from[0] + normal[1] * from[1],
    fromHeightMm: heightMm,
    runPerRise: 1 / pitch,
  };
  const wallSides = sidesOf(placed, wall);
  const sides: RoofSide[] = sidesOf(placed, out);
  const ring: FaceSide[] = wallSides.map((side) => ({ from: side.from, to: side.to, against: side.against }));
  const form: FormFace = { line, step: 0, cheek: false, index, rings: [ring] };
  const planAreaM2 = planArea(sides);
  return {
    id,
    edgeId: placed.feature.id,
    dormerId: placed.feature.id,
    form,
    pitch,
    wallSides,
    sides,
    holes: [],
    carried: [],
    covered: [],
    planAreaM2,
    areaM2: planAreaM2 * Math.hypot(1, pitch),
  };
}

/** A wall of a dormer, upright over a line on plan; `outline` along it and up from the plate of the roof. */
function wallOf(
  placed: PlacedFeature,
  id: string,
  index: number,
  [from, to]: readonly [XY, XY],
  outline: readonly XY[],
): StandingFace {
  const lengthMm = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const along: XY = [(to[0] - from[0]) / lengthMm, (to[1] - from[1]) / lengthMm];
  const normal: XY = [-along[1], along[0]];
  const place = ([a, z]: XY): XYZ => [from[0] + along[0] * a, from[1] + along[1] * a, z];
  const ring = outline.map((corner, nth): FaceSide => {
    return { from: place(corner), to: place(outline[(nth + 1) % outline.length] ?? corner), against: -1 };
  });
  const areaM2 =
    outline.reduce((sum, [a, z], nth) => {
      const [nextA, nextZ] = outline[(nth + 1) % outline.length] ?? [0, 0];
      return sum + (a * nextZ - nextA * z) / 2;
    }, 0) / MM2_PER_M2;
  const line: MovingLine = {
    face: index,
    edge: -1,
    along,
    normal,
    offsetMm: normal[0] * from[0] + normal[1] * from[1],
    fromHeightMm: 0,
    runPerRise: 0,
  };
  const form: FormFace = { line, step: 0, cheek: false, index, rings: [ring] };
  return { id, edgeId: placed.feature.id, dormerId: placed.feature.id, form, areaM2: Math.abs(areaM2) };
}

/**
 * A dormer with a ridge square to the eave. The slope it stands in rises by m for each mm in from the wall: its plate meets that
 * slope at plate/m, its ridge at ridge/m, and from the one to the other run its valleys. Arithmetic.
 */
function gabled(placed: PlacedFeature, index: number, { eaveMm, rakeMm }: DormerOverhang): Dormer {
  const { fromU, toU, fromD, toD, wallMm, pitch, at, face, feature } = placed;
  const m = face.pitch;
  const half = (toU - fromU) / 2;
  const middle = (fromU + toU) / 2;
  const plate = m * fromD + wallMm;
  const ridge = plate + pitch * half;
  const eave = plate - pitch * eaveMm;
  const front = fromD - rakeMm;
  const left: Plane = {
    index,
    id: `${feature.id}-left`,
    along: direction(at(fromU, 1), at(fromU, 0)),
    from: at(fromU, 0),
    heightMm: plate,
    pitch,
  };
  const right: Plane = {
    index: index + 1,
    id: `${feature.id}-right`,
    along: direction(at(toU, 0), at(toU, 1)),
    from: at(toU, 0),
    heightMm: plate,
    pitch,
  };
  const ring = (side: -1 | 1, out: number, low: number, frontD: number): Corner[] => {
    const edge = middle + side * (half + out);
    const against = side < 0 ? index + 1 : index;
    return side < 0
      ? [
          [edge, low / m, low, "eave"],
          [edge, frontD, low, "rake"],
          [middle, frontD, ridge, "ridge", against],
          [middle, toD, ridge, "valley"],
        ]
      : [
          [edge, frontD, low, "eave"],
          [edge, low / m, low, "valley"],
          [middle, toD, ridge, "ridge", against],
          [middle, frontD, ridge, "rake"],
        ];
  };
  const foot = m * fromD;
  return {
    faces: [
      faceOf(placed, left, ring(-1, 0, plate, fromD), ring(-1, eaveMm, eave, front)),
      faceOf(placed, right, ring(1, 0, plate, fromD), ring(1, eaveMm, eave, front)),
    ],
    standing: [
      wallOf(
        placed,
        `${feature.id}-front`,
        index + 2,
        [at(fromU, fromD), at(toU, fromD)],
        [
          [0, foot],
          [2 * half, foot],
          [2 * half, plate],
          [half, ridge],
          [0, plate],
        ],
      ),
      ...cheeksOf(placed, index + 3, plate / m, plate),
    ],
  };
}

/** Triangles from the front back to where the dormer's eave, or its one slope, meets the roof. */
function cheeksOf(placed: PlacedFeature, index: number, backD: number, plate: number): StandingFace[] {
  const { fromU, toU, fromD, at, face, feature } = placed;
  const foot = face.pitch * fromD;
  const end = backD - fromD;
  const outline: XY[] = [
    [0, foot],
    [end, face.pitch * backD],
    [0, plate],
  ];
  return [
    wallOf(placed, `${feature.id}-cheek-left`, index, [at(fromU, fromD), at(fromU, backD)], outline),
    wallOf(placed, `${feature.id}-cheek-right`, index + 1, [at(toU, fromD), at(toU, backD)], outline),
  ];
}

/** A dormer with one slope, flatter than the roof's, that runs back into it. */
function shed(placed: PlacedFeature, index: number, { eaveMm, rakeMm }: DormerOverhang): Dormer {
  const { fromU, toU, fromD, toD, wallMm, pitch, at, face, feature } = placed;
  const plate = face.pitch * fromD + wallMm;
  const top = face.pitch * toD;
  const plane: Plane = {
    index,
    id: `${feature.id}-slope`,
    along: direction(at(fromU, 0), at(toU, 0)),
    from: at(fromU, fromD),
    heightMm: plate,
    pitch,
  };
  const ring = (side: number, front: number): Corner[] => [
    [fromU - side, fromD - front, plate - pitch * front, "eave"],
    [toU + side, fromD - front, plate - pitch * front, "rake"],
    [toU + side, toD, top, "break"],
    [fromU - side, toD, top, "rake"],
  ];
  const width = toU - fromU;
  return {
    faces: [faceOf(placed, plane, ring(0, 0), ring(rakeMm, eaveMm))],
    standing: [
      wallOf(
        placed,
        `${feature.id}-front`,
        index + 2,
        [at(fromU, fromD), at(toU, fromD)],
        [
          [0, face.pitch * fromD],
          [width, face.pitch * fromD],
          [width, plate],
          [0, plate],
        ],
      ),
      ...cheeksOf(placed, index + 3, toD, plate),
    ],
  };
}

function direction(from: XY, to: XY): XY {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
  return [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
}

/** The slopes and walls of a dormer; `index` is free for them and the nine after it. */
export const dormerOf = (placed: PlacedFeature, index: number, overhang: DormerOverhang): Dormer =>
  placed.feature.kind === "gable-dormer" ? gabled(placed, index, overhang) : shed(placed, index, overhang);
