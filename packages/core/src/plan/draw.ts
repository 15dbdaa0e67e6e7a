import type { PlanDrawing, PlanFigure, PlanShape } from "../drawing/drawing";
import type { Point } from "../geometry";
import { floorLabel, openingQuad, type PartContext, type WallPart, wallBacks } from "../kinds";
import { formatLength } from "../units";
import { onStorey, type PlacedRoom } from "./place";
import { type StandingWall, standingWall } from "./standing";
import type { JobPlan, StoreyPlan } from "./storeyPlan";

function roomShapes(placed: PlacedRoom): PlanShape[] {
  const { room, outline, polygon } = placed;
  const at = (points: readonly Point[]) => points.map((point) => onStorey(point, placed));
  if (!polygon) {
    const walk: PlanShape = { id: `walk/${room.id}`, role: "walk", points: at(outline.corners), closed: false };
    return outline.corners.length > 1 ? [walk] : [];
  }
  const backs = wallBacks(outline);
  const walls = outline.faces.flatMap((face, index): PlanShape[] => {
    const back = backs[index];
    const points = back ? at([face.from, face.to, back.to, back.from]) : [];
    return [{ id: `${room.id}/${face.id}`, role: "wall", points, closed: true }];
  });
  return [{ id: `floor/${room.id}`, role: "room", points: polygon, closed: true }, ...walls];
}

const openingShapes = (placed: PlacedRoom): PlanShape[] =>
  placed.room.openings.flatMap((opening): PlanShape[] => {
    const quad = placed.polygon && openingQuad(placed.outline.faces, placed.outline.clockwise, opening);
    if (!quad) return [];
    return [
      {
        id: `${placed.room.id}/${opening.id}`,
        role: opening.kind,
        points: quad.map((point) => onStorey(point, placed)),
        closed: true,
      },
    ];
  });

/** A stud wall on the plan, as the rectangle that its frame takes up. */
function standingQuad({ wall, fromNm, toNm }: StandingWall): Point[] {
  const { direction, normal, centreNm, thicknessNm } = wall;
  const at = (alongNm: number, acrossNm: number): Point => ({
    xNm: direction.x * alongNm + normal.x * acrossNm,
    yNm: direction.y * alongNm + normal.y * acrossNm,
  });
  const [near, far] = [centreNm - thicknessNm / 2, centreNm + thicknessNm / 2];
  return [at(fromNm, near), at(toNm, near), at(toNm, far), at(fromNm, far)];
}

function outsideFigures({ footprint }: StoreyPlan, { system }: PartContext): PlanFigure[] {
  if (!footprint) return [];
  const { min, max } = footprint.bounds;
  const text = (nm: number) => `${formatLength(Math.round(nm), system)} outside`;
  const corner = (xNm: number, yNm: number): Point => ({ xNm, yNm });
  return [
    {
      id: "outside-across",
      from: corner(min.xNm, min.yNm),
      to: corner(max.xNm, min.yNm),
      towards: { x: 0, y: -1 },
      side: "outside",
      text: text(max.xNm - min.xNm),
      name: "Outside, across the page",
    },
    {
      id: "outside-up",
      from: corner(min.xNm, min.yNm),
      to: corner(min.xNm, max.yNm),
      towards: { x: -1, y: 0 },
      side: "outside",
      text: text(max.yNm - min.yNm),
      name: "Outside, up the page",
    },
  ];
}

/** A whole storey from above: existing walls, new ones, openings, and the outside dimensions. */
export function drawStorey(
  plan: StoreyPlan,
  walls: readonly WallPart[],
  job: JobPlan,
  context: PartContext,
): PlanDrawing {
  const newWalls = walls.flatMap((studWall): PlanShape[] => {
    const standing = standingWall(studWall, job);
    if (!standing || standing.storey !== plan) return [];
    return [{ id: studWall.id, role: "new-wall", points: standingQuad(standing), closed: true }];
  });
  const footprint = (plan.footprint?.rings ?? []).map(
    (points): PlanShape => ({ id: "footprint", role: "footprint", points, closed: true }),
  );
  const labels = plan.rooms.flatMap(({ room, polygon }) =>
    polygon ? [floorLabel(room, polygon, context.system)] : [],
  );
  return {
    kind: "plan",
    shapes: [...footprint, ...plan.rooms.flatMap(roomShapes), ...newWalls, ...plan.rooms.flatMap(openingShapes)],
    figures: outsideFigures(plan, context),
    labels,
    ...(plan.storey?.northDegrees == null ? {} : { northDegrees: plan.storey.northDegrees }),
  };
}
