import type { Piece } from "../drawing/piece";
import { type JobPlan, standingWall } from "../house";
import { isWallPart, kindOf, type Part, type PartContext } from "../kinds";
import { feet, metres, type Nanometres, toMetres } from "../units";
import type { PartCount } from "./partCount";

/** A piece as a solid in space, in metres: x and z on the ground, y up. */
export type Solid = {
  /** The part's id and the piece's. */
  readonly id: string;
  readonly partId: string;
  readonly role: string;
  /** What it is coloured by, where that is not its role's. */
  readonly tone?: string | undefined;
  readonly storey: string;
  /** Corners of its face in the plane of its wall: along the wall, and up. */
  readonly outline: readonly (readonly [along: number, up: number])[];
  /** From the middle of the wall, how far its near side lies, and how deep it is. */
  readonly nearM: number;
  readonly depthM: number;
  /** Where the wall's left end stands, and which way it runs. */
  readonly atX: number;
  readonly atZ: number;
  readonly turn: number;
};

type Stand = { readonly xNm: number; readonly yNm: number; readonly degrees: number; readonly liftNm: number };

/** Floor to floor where nobody has said: storeys are only pulled apart to be looked at. */
const STOREY_NM = metres(3);
const BESIDE_NM = feet(3);

/** Where each counted wall stands: on the plan, or one behind the other beside the house. */
function standsOf(parts: readonly Part[], plan: JobPlan): ReadonlyMap<string, Stand> {
  const stands = new Map<string, Stand>();
  let looseNm = 0;
  for (const part of parts) {
    if (!kindOf(part).across) continue;
    const level = plan.storeys.findIndex((storey) => storey.name === part.storey);
    const liftNm = Math.max(0, level) * STOREY_NM;
    const standing = isWallPart(part) ? standingWall(part, plan) : undefined;
    if (!standing) {
      looseNm += BESIDE_NM;
      stands.set(part.id, { xNm: 0, yNm: -looseNm - metres(1), degrees: 0, liftNm });
      continue;
    }
    const { wall, fromNm, toNm, leftIsFrom } = standing;
    const startNm = leftIsFrom ? fromNm : toNm;
    const { direction, normal, centreNm } = wall;
    const degrees = (Math.atan2(direction.y, direction.x) * 180) / Math.PI + (leftIsFrom ? 0 : 180);
    stands.set(part.id, {
      xNm: direction.x * startNm + normal.x * centreNm,
      yNm: direction.y * startNm + normal.y * centreNm,
      degrees,
      liftNm,
    });
  }
  return stands;
}

function outlineOf(piece: Piece, liftNm: Nanometres): Solid["outline"] {
  const { xNm, yNm, widthNm, heightNm } = piece;
  const corners = ("points" in piece ? piece.points : undefined) ?? [
    { xNm, yNm },
    { xNm: xNm + widthNm, yNm },
    { xNm: xNm + widthNm, yNm: yNm + heightNm },
    { xNm, yNm: yNm + heightNm },
  ];
  return corners.map((corner) => [toMetres(corner.xNm), toMetres(corner.yNm + liftNm)]);
}

/** Every placed piece of a job as a solid where it stands. `parts` as they stand on the plan. */
export function modelOf(
  counts: readonly PartCount[],
  parts: readonly Part[],
  plan: JobPlan,
  context: PartContext,
): Solid[] {
  const stands = standsOf(parts, plan);
  const byId = new Map(parts.map((part) => [part.id, part]));
  return counts.flatMap((count) => {
    const part = byId.get(count.partId);
    const stand = stands.get(count.partId);
    const across = part && kindOf(part).across;
    if (!part || !stand || !across) return [];
    return count.pieces.map((piece): Solid => {
      const { nearNm, deepNm } = across(part, piece, context);
      return {
        id: `${count.partId}/${piece.id}`,
        partId: count.partId,
        role: piece.role,
        ...("tone" in piece ? { tone: piece.tone } : {}),
        storey: part.storey,
        outline: outlineOf(piece, stand.liftNm),
        nearM: toMetres(nearNm),
        depthM: toMetres(deepNm),
        atX: toMetres(stand.xNm),
        atZ: -toMetres(stand.yNm),
        turn: (stand.degrees * Math.PI) / 180,
      };
    });
  });
}
