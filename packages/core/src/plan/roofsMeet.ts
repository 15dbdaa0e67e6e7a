import { minus, type Point, type Polygon, turned } from "../geometry";
import {
  formOf,
  type Meets,
  type Neighbour,
  outlineOfRoof,
  overhangsOfRoof,
  ownFormOf,
  type PlaneOver,
  planesOfRoof,
  type Roof,
  roofReachBeyond,
  runsIntoRoof,
} from "../kinds";
import { type Nanometres, NM_PER_MM } from "../units";
import { outsideOf } from "./footprint";
import { storeyLevels } from "./levels";
import { placeOfRoof, type RoofPlace } from "./roofPlaces";
import type { JobPlan } from "./storeyPlan";

/** A roof where it stands: its place on the plan, and its plate over the house's lowest floor. */
type Standing = { readonly roof: Roof; readonly place: RoofPlace; readonly plateNm: Nanometres };

/** From the plan of one roof, or of the house, to that of another. */
type Transform = { readonly turnDegrees: number; readonly shift: Point; readonly riseMm: number };

function between(from: RoofPlace, fromNm: Nanometres, to: Standing): Transform {
  return {
    turnDegrees: from.turnDegrees - to.place.turnDegrees,
    shift: turned(minus(from, to.place), -to.place.turnDegrees),
    riseMm: (fromNm - to.plateNm) / NM_PER_MM,
  };
}

const moved = (polygon: Polygon, { turnDegrees, shift }: Transform): Polygon =>
  polygon.map((point) => {
    const { xNm, yNm } = turned(point, turnDegrees);
    return { xNm: xNm + shift.xNm, yNm: yNm + shift.yNm };
  });

function movedPlane({ ring, gradX, gradY, cMm }: PlaneOver, transform: Transform): PlaneOver {
  const radians = (transform.turnDegrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(radians), Math.sin(radians)];
  const [x, y] = [gradX * cos - gradY * sin, gradX * sin + gradY * cos];
  const { xNm, yNm } = transform.shift;
  return {
    ring: moved(ring, transform),
    gradX: x,
    gradY: y,
    cMm: cMm + transform.riseMm - (x * xNm + y * yNm) / NM_PER_MM,
  };
}

/** Rooms of the storeys above a roof's own: each as high as its ceiling, where that is level. */
function roomsOver(own: Standing, plan: JobPlan): Neighbour[] {
  const levels = storeyLevels(plan);
  const floorNm = levels.get(own.roof.storey)?.floorNm ?? 0;
  return plan.storeys.flatMap((storey) => {
    const level = levels.get(storey.name);
    if (!level || level.floorNm <= floorNm) return [];
    return storey.rooms.flatMap((placed): Neighbour[] => {
      const { room, polygon } = placed;
      const { height, shape } = room.ceiling;
      if (!polygon || shape.value !== "level" || height.valueNm === null) return [];
      const house = { xNm: 0, yNm: 0, turnDegrees: 0 };
      const transform = between(house, level.floorNm + height.valueNm, own);
      const outline = moved(outsideOf(placed), transform);
      const top = { ring: outline, gradX: 0, gradY: 0, cMm: transform.riseMm };
      return [
        {
          id: room.id,
          name: room.name,
          what: "walls",
          comesFirst: true,
          outline,
          tops: [top],
          overhangs: [],
          over: [],
        },
      ];
    });
  });
}

/** Another roof as it is by itself, on the plan of this one. */
function roofBeside(other: Standing, own: Standing): Neighbour | undefined {
  const outline = outlineOfRoof(other.roof);
  const formed = ownFormOf(other.roof);
  if (!outline.ok || !formed.ok) return undefined;
  const transform = between(other.place, other.plateNm, own);
  return {
    id: other.roof.id,
    name: other.roof.name,
    what: "slopes",
    comesFirst: false,
    outline: moved(outline.polygon, transform),
    tops: planesOfRoof(formed.form).map((plane) => movedPlane(plane, transform)),
    overhangs: overhangsOfRoof(formed.form, outline.polygon).map((plane) => movedPlane(plane, transform)),
    over: [],
  };
}

/** How far each edge that runs into another roof goes on: to the far side of the nearest one that lies before it. */
function runsOn(roof: Roof, neighbours: readonly Neighbour[]): Meets["runsOnMm"] {
  const outline = outlineOfRoof(roof);
  if (!outline.ok) return {};
  return Object.fromEntries(
    outline.edges.flatMap((placed): [string, number][] => {
      if (!runsIntoRoof(placed.edge)) return [];
      const reaches = neighbours
        .filter(({ what }) => what === "slopes")
        .map((neighbour) => roofReachBeyond(placed, neighbour.outline))
        .filter((reach) => reach > 1);
      return reaches.length === 0 ? [] : [[placed.edge.id, Math.min(...reaches)]];
    }),
  );
}

/** The slopes of a roof that was cut, as they lie over another. */
function overOf(other: Standing, meets: Meets, own: Standing): readonly PlaneOver[] {
  const formed = formOf({ ...other.roof, meets });
  if (!formed.ok) return [];
  const transform = between(other.place, other.plateNm, own);
  return planesOfRoof(formed.form).map((plane) => movedPlane(plane, transform));
}

/** All that the meeting of roofs follows from: while every one of these is the same, so are the roofs. */
const causesOf = (plan: JobPlan): readonly unknown[] => [
  ...plan.roofs,
  ...plan.storeys.flatMap(({ name, entered }) => [name, ...entered]),
  ...[...storeyLevels(plan).values()].map(({ floorNm }) => floorNm),
];

let last: { readonly causes: readonly unknown[]; readonly roofs: ReadonlyMap<string, Roof> } | undefined;

/** Every roof of a job where it lies, with what it meets where it is to be cut by others. By id. */
export function roofsOf(plan: JobPlan): ReadonlyMap<string, Roof> {
  if (plan.roofs.length === 0) return NONE;
  const causes = causesOf(plan);
  if (last?.causes.length === causes.length && causes.every((each, index) => each === last?.causes[index]))
    return last.roofs;
  const roofs = resolveRoofs(plan);
  last = { causes, roofs };
  return roofs;
}

const NONE: ReadonlyMap<string, Roof> = new Map();

function resolveRoofs(plan: JobPlan): ReadonlyMap<string, Roof> {
  const levels = storeyLevels(plan);
  const standing = plan.roofs.map((roof): Standing => {
    const floorNm = levels.get(roof.storey)?.floorNm ?? 0;
    return { roof, place: placeOfRoof(roof, plan.roofs), plateNm: floorNm + (roof.plate.valueNm ?? 0) };
  });
  const meeting = standing.filter(({ roof }) => roof.meetsOthers);
  // First each is cut by the others as they are by themselves; then what is left of them lies over each other.
  const cut = meeting.map((own) => {
    const first = new Set(meeting.slice(0, meeting.indexOf(own)).map(({ roof }) => roof.id));
    const others = meeting
      .filter((other) => other !== own)
      .flatMap((other) => roofBeside(other, own) ?? [])
      .map((other) => ({ ...other, comesFirst: first.has(other.id) }));
    const neighbours = [...others, ...roomsOver(own, plan)];
    return { own, meets: { neighbours, runsOnMm: runsOn(own.roof, others) } };
  });
  const met = new Map(
    cut.map(({ own, meets }) => {
      const neighbours = meets.neighbours.map((neighbour) => {
        const other = cut.find((each) => each.own.roof.id === neighbour.id);
        return other ? { ...neighbour, over: overOf(other.own, other.meets, own) } : neighbour;
      });
      return [own.roof.id, { ...meets, neighbours }] as const;
    }),
  );
  return new Map(
    standing.map(({ roof, place }) => {
      const meets = met.get(roof.id);
      const needed = meets && (meets.neighbours.length > 0 || roof.edges.some(runsIntoRoof));
      const isWhereItWas = place === roof.place;
      if (!needed && isWhereItWas && !roof.beside) return [roof.id, roof];
      const adrift = isWhereItWas && roof.beside !== undefined;
      return [roof.id, { ...roof, place, adrift, ...(needed ? { meets } : {}) }];
    }),
  );
}
