import { isFraming, isSheet, type Piece } from "../layouts/piece";
import { type Part, type PieceRole, type SectionBook, sectionOf } from "../parts";
import { type JobPlan, standingWall } from "../plan";
import { feet, metres, millimetres, type Nanometres, toMetres } from "../units";
import type { PartCount } from "./partCount";

/** A piece as a solid in space, in metres: x and z on the ground, y up. */
export type Solid = {
  /** The part's id and the piece's. */
  readonly id: string;
  readonly partId: string;
  readonly role: PieceRole;
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
const SHEET_NM: Nanometres = millimetres(12);
const BESIDE_NM = feet(3);

/** Where each counted wall stands: on the plan, or one behind the other beside the house. */
function standsOf(parts: readonly Part[], plan: JobPlan): ReadonlyMap<string, Stand> {
  const stands = new Map<string, Stand>();
  let looseNm = 0;
  for (const part of parts) {
    if (part.kind !== "stud-wall") continue;
    const level = plan.storeys.findIndex((storey) => storey.name === part.storey);
    const liftNm = Math.max(0, level) * STOREY_NM;
    const standing = standingWall(part, plan);
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

/** How a piece lies across the wall: its near side from the middle, and its depth. */
function across(piece: Piece, depthNm: Nanometres, sections: SectionBook): { nearNm: number; deepNm: number } {
  if (isSheet(piece)) {
    const outward = piece.role === "board-near" ? -1 : 1;
    const offNm = depthNm / 2 + (piece.layer - 1) * SHEET_NM;
    return { nearNm: outward > 0 ? offNm : -offNm - SHEET_NM, deepNm: SHEET_NM };
  }
  if (!isFraming(piece)) return { nearNm: -depthNm / 4, deepNm: depthNm / 2 };
  const { thicknessNm, depthNm: ownNm } = sectionOf(sections, piece.sectionId);
  if (piece.role === "header" || piece.role === "header-packing") {
    return { nearNm: -depthNm / 2 + (piece.behind ?? 0) * thicknessNm, deepNm: thicknessNm };
  }
  if (piece.flat) return { nearNm: -depthNm / 2, deepNm: thicknessNm };
  return { nearNm: -ownNm / 2, deepNm: ownNm };
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
  sections: SectionBook,
): Solid[] {
  const stands = standsOf(parts, plan);
  const walls = new Map(parts.flatMap((part) => (part.kind === "stud-wall" ? [[part.id, part] as const] : [])));
  return counts.flatMap((count) => {
    const wall = walls.get(count.partId);
    const stand = stands.get(count.partId);
    if (!wall || !stand) return [];
    const studs = sectionOf(sections, wall.parameters.studSize.value);
    return count.pieces.map((piece): Solid => {
      const { nearNm, deepNm } = across(piece, studs.depthNm, sections);
      return {
        id: `${count.partId}/${piece.id}`,
        partId: count.partId,
        role: piece.role,
        storey: wall.storey,
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
