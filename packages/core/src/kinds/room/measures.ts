import { distance, perimeterNm, polygonArea } from "../../geometry";
import type { Measure, PartContext, Surroundings } from "../../parts/partKind";
import type { MeasureWorking } from "../../parts/working";
import { formatArea, formatLength, formatVolume, type MeasuringSystem } from "../../units";
import { type CeilingPlanes, ceilingPlanes, dropSideArea, dropVolume, slopedArea, volumeUnder } from "./ceiling";
import { cornersOf } from "./corners";
import { withSharedThickness } from "./hosts";
import { FLOOR, idsOf, type Measured, measure, nameOfOpening, sumOf } from "./measured";
import { hostName, runName } from "./names";
import { reachesFloor } from "./openings";
import { outlineOf } from "./outline";
import type { Feature, Room } from "./schema";
import { areasByWall, reveals, wallAreas } from "./wallMeasures";

/** Every measured value of a room with its working; none until its walk closes. */
export function roomMeasures(entered: Room, { system }: PartContext, around: Surroundings): readonly Measure[] {
  const room = withSharedThickness(entered, around);
  const outline = outlineOf(room);
  const { polygon } = outline;
  if (!polygon) return [];
  const planes = ceilingPlanes(room, outline);
  const all: Measured = {
    room,
    system,
    outline,
    polygon,
    planes,
    openings: [...room.openings, ...around.sharedOpenings],
  };
  return [
    floorArea(all),
    perimeter(all),
    netPerimeter(all),
    ...(planes ? [ceilingArea(all, planes), volume(all, planes), ...wallAreas(all, planes)] : []),
    ...reveals(all),
    corners(all),
    ...room.features.filter((feature) => feature.kind === "recess").flatMap((feature) => breaks(feature, system)),
    ...(planes ? areasByWall(all, planes) : []),
  ];
}

const isRectangle = ({ outline, polygon }: Measured): boolean =>
  polygon.length === 4 &&
  cornersOf(polygon).every((corner) => Math.abs(corner.insideDegrees - 90) < 1e-6) &&
  outline.faces.length === 4;

function floorArea(all: Measured): Measure {
  const { polygon, system, outline } = all;
  const text = formatArea(polygonArea(polygon), system);
  const [a, b] = outline.faces.map((face) => formatLength(Math.round(distance(face.from, face.to)), system));
  const working: MeasureWorking = isRectangle(all)
    ? { sentence: "Inside, wall to wall.", formula: "length × width", withNumbers: `${a} × ${b} = ${text}`, steps: [] }
    : {
        sentence: "Inside the walls, recesses and bumps taken into account.",
        formula: "half the sum, round the corners, of x × next y − next x × y",
        withNumbers: `over ${polygon.length} corners = ${text}`,
        steps: polygon.map(({ xNm, yNm }, index) => ({
          label: `corner ${index + 1}, from the first: along and up`,
          value: `${formatLength(xNm, system)}, ${formatLength(yNm, system)}`,
        })),
      };
  return measure("floor-area", "Floor area", text, working, FLOOR);
}

const faceSteps = ({ room, outline, system }: Measured) =>
  outline.faces.map((face) => ({
    label: face.featureId ? hostName(room, face.featureId) : runName(room, face.runId),
    value: formatLength(Math.round(distance(face.from, face.to)), system),
  }));

function perimeter(all: Measured): Measure {
  const { polygon, system, outline } = all;
  const text = formatLength(perimeterNm(polygon), system);
  const working = {
    sentence: "Inside, along the foot of every wall.",
    formula: "the walls added up",
    withNumbers: `${outline.faces.length} stretches = ${text}`,
    steps: faceSteps(all),
  };
  return measure("perimeter", "Perimeter", text, working, idsOf(outline.faces));
}

function netPerimeter(all: Measured): Measure {
  const { polygon, system, openings, outline } = all;
  const through = openings.filter(reachesFloor);
  const wholeNm = perimeterNm(polygon);
  const lessNm = sumOf(through, (opening) => opening.width.valueNm ?? 0);
  const text = formatLength(wholeNm - lessNm, system);
  const working = {
    sentence: "For skirting: the perimeter less what one walks through.",
    formula: "perimeter − widths of openings that reach the floor",
    withNumbers: `${formatLength(wholeNm, system)} − ${formatLength(lessNm, system)} = ${text}`,
    steps: through.map((opening) => ({
      label: nameOfOpening(opening),
      value: formatLength(opening.width.valueNm ?? 0, system),
    })),
  };
  return measure("net-perimeter", "Net perimeter", text, working, idsOf(outline.faces));
}

function ceilingArea({ polygon, room, system }: Measured, planes: CeilingPlanes): Measure {
  const plan = polygonArea(polygon);
  const true_ = slopedArea(plan, planes.slope);
  const sides = sumOf(room.ceiling.drops, dropSideArea);
  const text = formatArea(true_ + sides, system);
  const sloped = planes.slope !== 0;
  const working = {
    sentence: sloped ? "True area, along the slope." : "The floor's area.",
    formula: sloped
      ? "floor area × √(1 + slope²) + sides of bulkheads and trays"
      : "floor area + sides of bulkheads and trays",
    withNumbers: sloped
      ? `${formatArea(plan, system)} × √(1 + ${planes.slope.toFixed(4)}²) + ${formatArea(sides, system)} = ${text}`
      : `${formatArea(plan, system)} + ${formatArea(sides, system)} = ${text}`,
    steps: room.ceiling.drops.map((drop) => ({
      label: `sides of ${drop.name}`,
      value: formatArea(dropSideArea(drop), system),
    })),
  };
  return measure("ceiling-area", "Ceiling area", text, working, FLOOR);
}

function volume({ polygon, room, system }: Measured, planes: CeilingPlanes): Measure {
  const under = volumeUnder(polygon, planes);
  const drops = sumOf(room.ceiling.drops, dropVolume);
  const text = formatVolume(under + drops, system);
  const working = {
    sentence: "Of air, floor to ceiling.",
    formula: "floor area × mean height under the ceiling ± bulkheads and trays",
    withNumbers: `${formatVolume(under, system)} + ${formatVolume(drops, system)} = ${text}`,
    steps: [],
  };
  return measure("volume", "Volume", text, working, FLOOR);
}

function corners({ polygon, outline }: Measured): Measure {
  const all = cornersOf(polygon).filter((corner) => Math.abs(corner.insideDegrees - 180) > 1);
  const inside = all.filter((corner) => corner.insideDegrees < 180).length;
  const text = `${inside} inside, ${all.length - inside} outside`;
  const working = {
    sentence: "An inside corner is one you can stand in; an outside corner sticks into the room.",
    formula: "corners of less than 180°, and of more",
    withNumbers: text,
    steps: [],
  };
  return measure("corners", "Corners", text, working, idsOf(outline.faces));
}

/** Where a carpenter sets out the wall's break: the clear width and half the partition beside it. */
function breaks({ name, width, thickness, id }: Feature, system: MeasuringSystem): Measure[] {
  if (width.valueNm === null || thickness.valueNm === null) return [];
  const half = Math.round(thickness.valueNm / 2);
  const text = formatLength(width.valueNm + half, system);
  const working = {
    sentence: "From the centre line of its partition to where the wall breaks.",
    formula: "clear width + half the partition",
    withNumbers: `${formatLength(width.valueNm, system)} + ${formatLength(half, system)} = ${text}`,
    steps: [{ label: "partition", value: formatLength(thickness.valueNm, system) }],
  };
  return [measure(`break/${id}`, "Break from the centre line", text, working, [], name)];
}
