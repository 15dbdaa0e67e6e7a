import type { PlanDrawing, PlanFigure, PlanLabel, PlanShape } from "../../drawing/drawing";
import { along, boundsOf, type Direction, headingFrom, type Point } from "../../geometry";
import type { RoomOpening } from "../../parts/opening";
import type { PartContext, Surroundings } from "../../parts/partKind";
import { formatLength } from "../../units";
import { withSharedThickness } from "./hosts";
import { letterOf } from "./names";
import { type Face, floorLabel, outlineOf, outward, type RoomOutline, wallBacks } from "./outline";
import type { Room } from "./schema";
import { headings, measuredRuns } from "./walk";

const flipped = ({ x, y }: Direction): Direction => ({ x: -x, y: -y });

/** An opening as a quad through its wall. Undefined where its face is not there. */
export function openingQuad(faces: readonly Face[], clockwise: boolean, opening: RoomOpening): Point[] | undefined {
  const startNm = opening.position.valueNm ?? 0;
  const face = faces.find((each) => each.hostId === opening.hostId && startNm >= each.startNm && startNm <= each.endNm);
  const heading = face && headingFrom(face.from, face.to);
  if (!face || !heading) return undefined;
  const near = along(face.from, heading, startNm - face.startNm);
  const far = along(near, heading, opening.width.valueNm ?? 0);
  const out = outward(heading, clockwise);
  return [near, far, along(far, out, face.thicknessNm), along(near, out, face.thicknessNm)];
}

function wallShapes(outline: RoomOutline): PlanShape[] {
  const backs = wallBacks(outline);
  return outline.faces.flatMap((face, index) => {
    const back = backs[index];
    if (!back) return [];
    return [{ id: face.id, role: "wall" as const, points: [face.from, face.to, back.to, back.from], closed: true }];
  });
}

function runFigures(room: Room, outline: RoomOutline, { system }: PartContext): PlanFigure[] {
  return measuredRuns(room).flatMap((run, index): PlanFigure[] => {
    const from = outline.corners[index];
    const to = outline.corners[index + 1];
    const heading = from && to && headingFrom(from, to);
    if (!from || !to || !heading || run.length.valueNm === null) return [];
    const letter = letterOf(index);
    return [
      {
        id: `run-${run.id}`,
        from,
        to,
        towards: flipped(outward(heading, outline.clockwise)),
        side: "inside",
        text: `${letter}  ${formatLength(run.length.valueNm, system)}`,
        name: `Wall ${letter}, inside`,
        path: `runs.${run.id}.length`,
      },
    ];
  });
}

function featureFigures(room: Room, outline: RoomOutline, { system }: PartContext): PlanFigure[] {
  return room.features.flatMap((feature): PlanFigure[] => {
    const faces = outline.faces.filter((face) => face.featureId === feature.id);
    const [side, back] = faces;
    const heading = back && headingFrom(back.from, back.to);
    const sideways = side && headingFrom(side.from, side.to);
    if (!side || !back || !heading || !sideways) return [];
    const { width, depth, thickness } = feature;
    const partNm = feature.kind === "bump" ? (thickness.valueNm ?? 0) : 0;
    const figure = (field: "width" | "depth", from: Point, to: Point, towards: Direction): PlanFigure => ({
      id: `${field}-${feature.id}`,
      from,
      to,
      towards,
      side: "inside",
      text: formatLength(feature[field].valueNm ?? 0, system),
      name: `${feature.name}, clear ${field}`,
      path: `features.${feature.id}.${field}`,
    });
    const clearFrom = along(back.from, heading, partNm);
    return [
      ...(width.valueNm === null
        ? []
        : [
            figure(
              "width",
              clearFrom,
              along(clearFrom, heading, width.valueNm),
              flipped(outward(heading, outline.clockwise)),
            ),
          ]),
      ...(depth.valueNm === null ? [] : [figure("depth", side.from, side.to, heading)]),
    ];
  });
}

/** While walking: from the end of the walk to its start, and the way the next run goes. */
function walkShapes(room: Room, outline: RoomOutline): PlanShape[] {
  const end = outline.corners[outline.corners.length - 1];
  const start = outline.corners[0];
  if (!end || !start || outline.polygon) return [];
  const gap: PlanShape[] =
    outline.corners.length > 2 ? [{ id: "gap", role: "gap", points: [end, start], closed: false }] : [];
  if (room.finished) return gap;
  const ways = headings(room.runs);
  const waiting = ways[outline.corners.length - 1];
  const extent = boundsOf(outline.corners);
  const lengthNm = extent ? Math.max(1_000_000_000, (extent.max.xNm - extent.min.xNm) / 6) : 1_000_000_000;
  const radians = ((waiting ?? 0) * Math.PI) / 180;
  const tip = along(end, { x: Math.cos(radians), y: Math.sin(radians) }, lengthNm);
  return [...gap, { id: "next", role: "walk", points: [end, tip], closed: false }];
}

const insideLabel = (label: PlanLabel): PlanLabel => ({ ...label, lines: [...label.lines, "inside measure"] });

/** The room from above, its first wall along the page. Every figure is inside measure. */
export function drawRoom(entered: Room, context: PartContext, around: Surroundings): PlanDrawing {
  const room = withSharedThickness(entered, around);
  const outline = outlineOf(room);
  const { polygon, faces, clockwise } = outline;
  const openings = [...room.openings, ...around.sharedOpenings].flatMap((opening): PlanShape[] => {
    const points = openingQuad(faces, clockwise, opening);
    return points ? [{ id: opening.id, role: opening.kind, points, closed: true }] : [];
  });
  const floor: PlanShape[] = polygon ? [{ id: "floor", role: "room", points: polygon, closed: true }] : [];
  return {
    kind: "plan",
    shapes: [...floor, ...wallShapes(outline), ...openings, ...walkShapes(room, outline)],
    figures: [...runFigures(room, outline, context), ...featureFigures(room, outline, context)],
    labels: polygon ? [insideLabel(floorLabel(room, polygon, context.system))] : [],
  };
}
