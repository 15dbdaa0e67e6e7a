import type { PartCount } from "../count/partCount";
import type { Across, Piece } from "../drawing/piece";
import type { SpaceFigure } from "../drawing/spaceFigure";
import { isWallPart, kindOf, type Part, type PartContext, roleOf } from "../kinds";
import { type JobPlan, type StoreyLevel, standingWall, storeyLevels, stretchOn } from "../plan";
import { feet, metres, type Nanometres, toMetres } from "../units";
import { roomSolids } from "./roomSolids";
import type { Frame, Solid, Space } from "./solid";

const BESIDE_NM = feet(3);

/** A frame square on to something that stands at a place of the plan and runs so many degrees from across the page. */
function standing(xNm: Nanometres, yNm: Nanometres, degrees: number, floorNm: Nanometres): Frame {
  const radians = (degrees * Math.PI) / 180;
  return {
    origin: [toMetres(xNm), toMetres(floorNm), -toMetres(yNm)],
    along: [Math.cos(radians), 0, -Math.sin(radians)],
    up: [0, 1, 0],
  };
}

/** A figure of a part's own space, in the frame that the part stands in; both are upright. */
function placedIn({ origin, along }: Frame, own: Frame): Frame {
  const turned = ([x, y, z]: Space): Space => [x * along[0] - z * along[2], y, x * along[2] + z * along[0]];
  const [x, y, z] = turned(own.origin);
  return { origin: [origin[0] + x, origin[1] + y, origin[2] + z], along: turned(own.along), up: turned(own.up) };
}

/** Where each counted part stands: on the plan, or one behind the other beside the house. */
function framesOf(
  parts: readonly Part[],
  plan: JobPlan,
  floorOf: (storey: string) => Nanometres,
): ReadonlyMap<string, Frame> {
  const frames = new Map<string, Frame>();
  let looseNm = 0;
  for (const part of parts) {
    const { depthOf, placeOf } = kindOf(part);
    if (!depthOf) continue;
    const floorNm = floorOf(part.storey);
    if (placeOf) {
      const { xNm, yNm, turnDegrees, heightNm } = placeOf(part);
      frames.set(part.id, standing(xNm, yNm, turnDegrees, floorNm + heightNm));
      continue;
    }
    const found = isWallPart(part) ? standingWall(part, plan) : undefined;
    if (!found) {
      looseNm += BESIDE_NM;
      frames.set(part.id, standing(0, -looseNm - metres(1), 0, floorNm));
      continue;
    }
    const { wall, fromNm, toNm, leftIsFrom } = found;
    const startNm = leftIsFrom ? fromNm : toNm;
    const { direction, normal, centreNm } = wall;
    const degrees = (Math.atan2(direction.y, direction.x) * 180) / Math.PI + (leftIsFrom ? 0 : 180);
    const [xNm, yNm] = [direction.x * startNm + normal.x * centreNm, direction.y * startNm + normal.y * centreNm];
    frames.set(part.id, standing(xNm, yNm, degrees, floorNm));
  }
  return frames;
}

function outlineOf(piece: Piece): Solid["outline"] {
  const { xNm, yNm, widthNm, heightNm } = piece;
  const corners = ("points" in piece ? piece.points : undefined) ?? [
    { xNm, yNm },
    { xNm: xNm + widthNm, yNm },
    { xNm: xNm + widthNm, yNm: yNm + heightNm },
    { xNm, yNm: yNm + heightNm },
  ];
  return corners.map((corner) => [toMetres(corner.xNm), toMetres(corner.yNm)]);
}

type Shape = Pick<Solid, "frame" | "outline" | "nearM" | "depthM">;

/** Where a piece lies: by itself in space, or flat in the elevation of its part. */
function shapeOf(piece: Piece, frame: Frame, across: () => Across): Shape {
  const own: SpaceFigure | undefined = "inSpace" in piece ? piece.inSpace : undefined;
  if (own) return { ...own, frame: placedIn(frame, own.frame) };
  const { nearNm, deepNm } = across();
  return { frame, outline: outlineOf(piece), nearM: toMetres(nearNm), depthM: toMetres(deepNm) };
}

/** Faces of rooms, by room and face, most of which a counted wall is built along. */
function builtFaces(parts: readonly Part[], plan: JobPlan, counted: ReadonlySet<string>): ReadonlySet<string> {
  const built = new Set<string>();
  for (const part of parts) {
    const found = isWallPart(part) && counted.has(part.id) ? standingWall(part, plan) : undefined;
    if (!found) continue;
    for (const each of found.wall.faces) {
      const span = stretchOn(found.wall, each, each.face.startNm, each.face.endNm);
      const alongNm = Math.min(span.toNm, found.toNm) - Math.max(span.fromNm, found.fromNm);
      if (2 * alongNm > span.toNm - span.fromNm) built.add(`${each.roomId}/${each.face.id}`);
    }
  }
  return built;
}

function roomsOf(parts: readonly Part[], plan: JobPlan, counted: ReadonlySet<string>): Solid[] {
  const levels = storeyLevels(plan);
  const built = builtFaces(parts, plan, counted);
  return plan.storeys.flatMap((storey) => {
    const level = levels.get(storey.name);
    return level ? storey.rooms.flatMap((placed) => roomSolids(placed, storey, level, built)) : [];
  });
}

/** What surfaces of parts are shown and hidden as. */
export const SURFACES_GROUP = "Roof surfaces";

function skinsOf(parts: readonly Part[], frames: ReadonlyMap<string, Frame>, context: PartContext): Solid[] {
  return parts.flatMap((part) => {
    const frame = frames.get(part.id);
    if (!frame) return [];
    return (kindOf(part).skin?.(part, context) ?? []).map(({ id, role, tone, figure, holes = [] }): Solid => {
      const named = { id: `${part.id}/${id}`, partId: part.id, role, tone, group: SURFACES_GROUP, storey: part.storey };
      return { ...named, ...figure, frame: placedIn(frame, figure.frame), holes };
    });
  });
}

const floorIn =
  (levels: ReadonlyMap<string, StoreyLevel>) =>
  (storey: string): Nanometres =>
    levels.get(storey)?.floorNm ?? 0;

/**
 * The job as solids in space: every placed piece where it stands, rooms as thin floors and walls, storeys at their levels.
 * `parts` as they stand on the plan.
 */
export function modelOf(
  counts: readonly PartCount[],
  parts: readonly Part[],
  plan: JobPlan,
  context: PartContext,
): Solid[] {
  const frames = framesOf(parts, plan, floorIn(storeyLevels(plan)));
  const byId = new Map(parts.map((part) => [part.id, part]));
  const pieces = counts.flatMap((count) => {
    const part = byId.get(count.partId);
    const frame = frames.get(count.partId);
    const across = part && kindOf(part).depthOf;
    if (!part || !frame || !across) return [];
    return count.pieces.map(
      (piece): Solid => ({
        id: `${count.partId}/${piece.id}`,
        partId: count.partId,
        role: piece.role,
        group: roleOf(piece.role)?.group ?? "",
        ...("tone" in piece ? { tone: piece.tone } : {}),
        storey: part.storey,
        holes: [],
        ...shapeOf(piece, frame, () => across(part, piece, context)),
      }),
    );
  });
  const counted = new Set(counts.filter((count) => count.pieces.length > 0).map((count) => count.partId));
  return [...pieces, ...skinsOf(parts, frames, context), ...roomsOf(parts, plan, counted)];
}
