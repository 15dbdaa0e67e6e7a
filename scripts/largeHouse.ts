import {
  feet,
  inches,
  measured,
  newRun,
  type Opening,
  type Part,
  type PartContext,
  partContext,
  type Room,
  roomDefaults,
  type StudWall,
  studWallKind,
} from "@wide-porch/core";
import { library } from "@wide-porch/library";

/** A made-up house of about 2,300 sq ft: 60 walls, 14 rooms, 40 openings, about 6,000 pieces. */
export const WALLS = 60;
export const OPENINGS = 40;
const ROOMS = 14;
const context: PartContext = partContext("imperial", library);

function openingOf(index: number): Opening {
  const door = index % 3 === 0;
  return {
    id: "o",
    kind: door ? "door" : "window",
    name: door ? "Door" : "Window",
    width: measured(inches(door ? 38 : 36 + 12 * (index % 4)), ""),
    height: measured(inches(door ? 82.5 : 48), ""),
    sill: measured(door ? 0 : inches(34), ""),
    measuredAs: "rough",
    along: "from-left",
    position: measured(inches(60), ""),
  };
}

export function houseWall(index: number, lengthNm = feet(24 + (index % 9))): StudWall {
  const start = studWallKind.defaults(`wall-${index}`, `Wall ${index}`, context);
  const outside = index % 3 === 0;
  return {
    ...start,
    assembly: { id: outside ? "outside-wall" : "inside-wall", version: 1 },
    length: measured(lengthNm, ""),
    openings: index < OPENINGS ? [openingOf(index)] : [],
    ends: { left: index % 2 === 0 ? "corner-through" : "corner-butts", right: "meets" },
    meetings: index % 4 === 0 ? [{ positionNm: feet(14), thicknessNm: inches(4.5), withName: "Hall" }] : [],
    choices: {
      bearing: index % 3 === 0,
      sheathed: outside,
      boardsNear: 1,
      boardsFar: outside ? 0 : 1,
      blockingEvery: inches(index % 2 === 0 ? 32 : 48),
      anchorBolts: outside,
    },
  };
}

function houseRoom(index: number): Room {
  const start = roomDefaults(`room-${index}`, `Room ${index + 1}`, context);
  const sides = [14, 11.5, 14, 11.5];
  const runs = sides.map((side, at) => ({ ...newRun(`run-${at}`, context), length: measured(feet(side), "") }));
  return {
    ...start,
    runs,
    finished: true,
    ceiling: { ...start.ceiling, fromRunId: "run-0" },
    place: { how: "free", xNm: feet(40 * index), yNm: 0, turnDegrees: 0 },
    uses: [{ id: "boards", assembly: { id: "room-board", version: 1 }, choices: {} }],
  };
}

export const house = (walls = WALLS): Part[] => [
  ...Array.from({ length: walls }, (_, index) => houseWall(index)),
  ...Array.from({ length: ROOMS }, (_, index) => houseRoom(index)),
];
