import { distance, type Polygon, perimeterNm, polygonArea } from "../../geometry";
import {
  areaOf,
  formatArea,
  formatLength,
  formatRunningLength,
  formatVolume,
  type MeasuringSystem,
  type SquareMetres,
} from "../../units";
import type { Measure, PartContext, Surroundings } from "../partKind";
import type { MeasureWorking } from "../working";
import {
  type CeilingPlanes,
  ceilingPlanes,
  dropSideArea,
  dropVolume,
  slopedArea,
  volumeUnder,
  wallAreaUnder,
} from "./ceiling";
import { cornersOf } from "./corners";
import { withSharedThickness } from "./hosts";
import { hostName, runName } from "./names";
import { openingArea, reachesFloor, revealLengthNm, type SharedOpening } from "./openings";
import { type Face, outlineOf, type RoomOutline } from "./outline";
import type { Feature, Room, RoomOpening } from "./schema";

/** A room that closes, with all that its measures stand on. */
type Measured = {
  readonly room: Room;
  readonly system: MeasuringSystem;
  readonly outline: RoomOutline;
  readonly polygon: Polygon;
  /** Nothing while no height is known. */
  readonly planes: CeilingPlanes | undefined;
  readonly openings: readonly (RoomOpening | SharedOpening)[];
};

const measure = (
  id: string,
  name: string,
  text: string,
  working: MeasureWorking,
  shapeIds: readonly string[],
  of = "",
): Measure => ({ id, name, of, text, working, shapeIds });

const sumOf = <T>(items: readonly T[], value: (item: T) => number): number =>
  items.reduce((sum, item) => sum + value(item), 0);

const FLOOR = ["floor"];
const idsOf = (faces: readonly Face[]): string[] => faces.map((face) => face.id);

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

const nameOfOpening = (opening: RoomOpening | SharedOpening): string =>
  "sharedFrom" in opening ? `${opening.name}, from ${opening.sharedFrom.roomName}` : opening.name;

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

const grossOf = (faces: readonly Face[], planes: CeilingPlanes): SquareMetres =>
  sumOf(faces, (face) => wallAreaUnder(face.from, face.to, planes));

function wallAreas({ outline, openings, system }: Measured, planes: CeilingPlanes): Measure[] {
  const gross = grossOf(outline.faces, planes);
  const less = sumOf(openings, openingArea);
  const [grossText, lessText, netText] = [gross, less, gross - less].map((area) => formatArea(area, system));
  const shapeIds = idsOf(outline.faces);
  const steps = openings.map((opening) => ({
    label: nameOfOpening(opening),
    value: formatArea(openingArea(opening), system),
  }));
  return [
    measure(
      "wall-area",
      "Wall area",
      grossText ?? "",
      {
        sentence: "All walls, floor to ceiling, openings not taken off.",
        formula: "each wall's length × its height, added up",
        withNumbers: `${outline.faces.length} stretches = ${grossText}`,
        steps: [],
      },
      shapeIds,
    ),
    measure(
      "net-wall-area",
      "Wall area less openings",
      netText ?? "",
      {
        sentence: "All walls, openings taken off, a neighbour's in a shared wall too.",
        formula: "wall area − openings",
        withNumbers: `${grossText} − ${lessText} = ${netText}`,
        steps,
      },
      shapeIds,
    ),
  ];
}

function areasByWall({ room, outline, openings, system }: Measured, planes: CeilingPlanes): Measure[] {
  return room.runs.flatMap((run) => {
    const faces = outline.faces.filter((face) => face.runId === run.id);
    const hosts = new Set([run.id, ...faces.flatMap((face) => face.featureId ?? [])]);
    const within = openings.filter((opening) => hosts.has(opening.hostId));
    const gross = grossOf(faces, planes);
    const less = sumOf(within, openingArea);
    const [grossText, lessText, netText] = [gross, less, gross - less].map((area) => formatArea(area, system));
    const name = runName(room, run.id);
    return [
      measure(
        `wall-area/${run.id}`,
        "Area",
        grossText ?? "",
        {
          sentence: `${name}, floor to ceiling.`,
          formula: "length × height",
          withNumbers: `${faces.map((face) => formatLength(Math.round(distance(face.from, face.to)), system)).join(" + ")}, up to the ceiling = ${grossText}`,
          steps: [],
        },
        idsOf(faces),
        name,
      ),
      measure(
        `net-wall-area/${run.id}`,
        "Area less openings",
        netText ?? "",
        {
          sentence: `${name}, openings taken off.`,
          formula: "area − openings",
          withNumbers: `${grossText} − ${lessText} = ${netText}`,
          steps: within.map((opening) => ({
            label: nameOfOpening(opening),
            value: formatArea(openingArea(opening), system),
          })),
        },
        idsOf(faces),
        name,
      ),
    ];
  });
}

function reveals({ room, openings, system }: Measured): Measure[] {
  if (openings.length === 0) return [];
  const thicknessOf = (opening: RoomOpening) =>
    (
      room.runs.find((run) => run.id === opening.hostId) ??
      room.features.find((feature) => feature.id === opening.hostId)
    )?.thickness.valueNm ?? 0;
  const totalNm = sumOf(openings, revealLengthNm);
  const area = sumOf(openings, (opening) => areaOf(revealLengthNm(opening), thicknessOf(opening)));
  const text = `${formatRunningLength(totalNm, system)}, ${formatArea(area, system)}`;
  const working = {
    sentence: "The edges of the openings, through the wall: both sides, the head, and a window's sill.",
    formula: "edge lengths added up; each × its wall's thickness",
    withNumbers: text,
    steps: openings.map((opening) => ({
      label: nameOfOpening(opening),
      value: `${formatLength(revealLengthNm(opening), system)} × ${formatLength(thicknessOf(opening), system)}`,
    })),
  };
  return [
    measure(
      "reveals",
      "Reveals",
      text,
      working,
      openings.map((opening) => opening.id),
    ),
  ];
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
