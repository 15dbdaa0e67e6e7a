import type { FramingPiece, HardwarePiece } from "../../drawing/piece";
import type { SpaceFigure } from "../../drawing/spaceFigure";
import { boundsOf, headingFrom, type Point } from "../../geometry";
import type { Area, JoistShape, UV } from "../../joists/shape";
import type { Section } from "../../kinds";
import { type Nanometres, toMetres } from "../../units";

const rectangleRound = (points: readonly Point[]) => {
  const { min, max } = boundsOf(points) ?? { min: { xNm: 0, yNm: 0 }, max: { xNm: 0, yNm: 0 } };
  return {
    xNm: min.xNm,
    yNm: min.yNm,
    widthNm: Math.max(1, max.xNm - min.xNm),
    heightNm: Math.max(1, max.yNm - min.yNm),
  };
};

/** An outline on plan between two heights above the top of the joists. */
export const uprightOver = (points: readonly Point[], fromNm: Nanometres, toNm: Nanometres): SpaceFigure => ({
  // Up the page of the plan is away from the viewer; the depth of the figure goes up.
  frame: { origin: [0, toMetres(fromNm), 0], along: [1, 0, 0], up: [0, 0, -1] },
  outline: points.map(({ xNm, yNm }) => [toMetres(xNm), toMetres(yNm)] as const),
  nearM: 0,
  depthM: Math.max(0.001, toMetres(toNm - fromNm)),
});

/** Something thin that stands along a line of the plan, seen from its side: how far along, and how high above the top of the joists. */
export function uprightAlong(
  [from, to]: readonly [Point, Point],
  outline: readonly (readonly [alongNm: number, heightNm: number])[],
  thickNm: Nanometres,
): SpaceFigure {
  const heading = headingFrom(from, to) ?? { x: 1, y: 0 };
  return {
    frame: {
      origin: [toMetres(from.xNm), 0, -toMetres(from.yNm)],
      along: [heading.x, 0, -heading.y],
      up: [0, 1, 0],
    },
    outline: outline.map(([alongNm, heightNm]) => [toMetres(alongNm), toMetres(heightNm)] as const),
    nearM: -toMetres(thickNm) / 2,
    depthM: toMetres(thickNm),
  };
}

type Stick = {
  readonly id: string;
  readonly role: string;
  readonly section: Section;
  readonly corners: readonly UV[];
  readonly cutLengthNm: Nanometres;
  /** Its top, above the top of the joists. */
  readonly topNm?: Nanometres;
  /** How high it stands, where that is not the depth of its section. */
  readonly deepNm?: Nanometres;
  readonly openingId?: string;
};

export const cornersUV = ({ u0, u1, v0, v1 }: Area): UV[] => [
  { u: u0, v: v0 },
  { u: u1, v: v0 },
  { u: u1, v: v1 },
  { u: u0, v: v1 },
];

/** All of a plan run the same way round, so that where two lie over each other neither is cut out. No corner of a stick turns inwards. */
function againstClock(points: readonly Point[]): readonly Point[] {
  const [a, b, c] = points;
  if (!a || !b || !c) return points;
  const turn = (b.xNm - a.xNm) * (c.yNm - a.yNm) - (b.yNm - a.yNm) * (c.xNm - a.xNm);
  return turn < 0 ? points.toReversed() : points;
}

/** A stick that lies level, where it is on plan and in space. */
export function levelStick(stick: Stick, { fromUV }: Pick<JoistShape, "fromUV">): FramingPiece {
  const { id, role, section, corners, cutLengthNm, topNm = 0, deepNm = section.depthNm, openingId } = stick;
  const points = againstClock(corners.map(fromUV));
  return {
    id,
    role,
    sectionId: section.id,
    cutLengthNm: Math.round(cutLengthNm),
    ...rectangleRound(points),
    points,
    inSpace: uprightOver(points, topNm - deepNm, topNm),
    ...(openingId === undefined ? {} : { openingId }),
  };
}

/** A thing of no length, drawn as large as it can be pressed. */
const METAL_NM = 60_000_000;

export function metalAt(
  id: string,
  role: string,
  at: UV,
  { fromUV }: Pick<JoistShape, "fromUV">,
  deepNm: Nanometres,
  topNm: Nanometres = 0,
): HardwarePiece {
  const half = METAL_NM / 2;
  const points = cornersUV({ u0: at.u - half, u1: at.u + half, v0: at.v - half, v1: at.v + half }).map(fromUV);
  return { id, role, ...rectangleRound(points), inSpace: uprightOver(points, topNm - deepNm, topNm) };
}
