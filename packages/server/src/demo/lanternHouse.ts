import {
  enterDimension,
  feet,
  inches,
  measured,
  newOpening,
  type Opening,
  type Part,
  type PartContext,
  type Room,
  type StudWall,
  storeyKind,
  studWallKind,
  type WallOnPlan,
} from "@wide-porch/core";
import { type DemoRoof, demoRoof } from "./roofs";
import { type DemoRoom, demoRooms } from "./rooms";

const EXISTING = "6 1/2";
/** A 2 x 6 frame, sheathed outside and boarded inside. */
const NEW_OUTSIDE = "6 1/2";

/**
 * Lantern House, invented: an old kitchen and hall, a new boot room with a drying cupboard built on to them, and the storey
 * above the old part.
 */
const ROOMS: DemoRoom[] = [
  {
    key: "kitchen",
    name: "Kitchen",
    storey: "Ground",
    walk: [["14'2"], ["12'11"], ["6'", -90], ["1'3", 90], ["8'2", -90], ["11'8", -90]],
    height: "8'1 1/8",
    thickness: EXISTING,
    openings: [
      { in: "run-e", kind: "window", position: "1'8", width: "4'10", height: "3'6", sill: "3'6" },
      { in: "run-f", kind: "window", position: "5'", width: "3'", height: "4'", sill: "2'10" },
    ],
  },
  {
    key: "boot-room",
    name: "Boot room",
    storey: "Ground",
    walk: [["15'5"], ["10'4"]],
    height: "8'1 1/8",
    thickness: NEW_OUTSIDE,
    joined: { run: "d", to: "kitchen", toRun: "run-b", offset: "0" },
    openings: [
      { in: "a", kind: "window", position: "2'3", width: "3'2 1/2", height: "4'1", sill: "2'9" },
      { in: "a", kind: "door", name: "Garden door", position: "9'8", width: "3'2", height: "6'10 1/2" },
      { in: "b", kind: "window", position: "3'6", width: "3'2 1/2", height: "4'1", sill: "2'9" },
      { in: "c", kind: "window", position: "2'4", width: "5'2", height: "4'1", sill: "2'9" },
      { in: "d", kind: "door", name: "Door to the kitchen", position: "1'6", width: "2'8", height: "6'10 1/2" },
    ],
  },
  {
    key: "cupboard",
    name: "Drying cupboard",
    storey: "Ground",
    walk: [["6'5"], ["2'4"]],
    height: "8'1 1/8",
    belongsTo: "boot-room",
    joined: { run: "a", to: "boot-room", toRun: "c", offset: "9'" },
    openings: [
      { in: "a", kind: "plain", name: "Cupboard opening", position: "1'2 1/2", width: "4'0", height: "6'10 1/2" },
    ],
  },
  {
    key: "hall",
    name: "Hall",
    storey: "Ground",
    walk: [["14'2"], ["7'6"]],
    height: "8'1 1/8",
    thickness: EXISTING,
    joined: { run: "c", to: "kitchen", toRun: "a", offset: "0" },
    features: [
      { in: "d", kind: "recess", name: "Coat recess", position: "8", width: "4'2", depth: "1'6", thickness: "4" },
    ],
    openings: [
      { in: "a", kind: "door", name: "Front door", position: "5'3", width: "3'4", height: "6'11" },
      { in: "c", kind: "arch", name: "Arch to the kitchen", position: "1'6", width: "2'10", height: "7'2", rise: "11" },
    ],
  },
  {
    key: "landing",
    name: "Landing",
    storey: "Upper",
    walk: [["14'2"], ["7'6"]],
    height: "7'10",
    thickness: EXISTING,
  },
  {
    key: "bedroom",
    name: "Small bedroom",
    storey: "Upper",
    walk: [["9'6"], ["11'8"]],
    height: "7'10",
    thickness: EXISTING,
    joined: { run: "a", to: "landing", toRun: "c", offset: "4'8" },
    openings: [
      { in: "a", kind: "door", position: "5'8", width: "2'6", height: "6'8" },
      { in: "d", kind: "window", position: "4'2", width: "3'", height: "3'9", sill: "2'8" },
    ],
  },
  {
    key: "closet",
    name: "Closet",
    storey: "Upper",
    walk: [["3'10"], ["11'8"]],
    height: "7'10",
    belongsTo: "bedroom",
    joined: { run: "d", to: "bedroom", toRun: "b", offset: "0" },
    openings: [{ in: "d", kind: "door", position: "4'", width: "2'4", height: "6'8" }],
  },
];

type DemoWall = {
  readonly name: string;
  readonly location: string;
  readonly studSize: "2x4" | "2x6";
  readonly bearing: boolean;
  readonly sheathed: boolean;
  readonly room: string;
  readonly host: string;
  readonly stretch: WallOnPlan["stretch"];
  readonly assembly: string;
};

const WHOLE = { how: "whole" } as const;
const ROOM = { how: "room" } as const;

/** The new walls, which take their figures from the rooms. */
const WALLS: DemoWall[] = [
  {
    name: "Garden side",
    location: "Boot room",
    studSize: "2x6",
    bearing: true,
    sheathed: true,
    room: "Boot room",
    host: "a",
    stretch: ROOM,
    assembly: "outside-wall",
  },
  {
    name: "Gable end",
    location: "Boot room",
    studSize: "2x6",
    bearing: false,
    sheathed: true,
    room: "Boot room",
    host: "b",
    stretch: WHOLE,
    assembly: "outside-wall",
  },
  {
    name: "Lane side",
    location: "Boot room",
    studSize: "2x6",
    bearing: true,
    sheathed: true,
    room: "Boot room",
    host: "c",
    stretch: WHOLE,
    assembly: "outside-wall",
  },
  {
    name: "Drying cupboard",
    location: "Boot room",
    studSize: "2x4",
    bearing: false,
    sheathed: true,
    room: "Drying cupboard",
    host: "c",
    stretch: WHOLE,
    assembly: "outside-wall",
  },
  {
    name: "Closet partition",
    location: "Small bedroom",
    studSize: "2x4",
    bearing: false,
    sheathed: false,
    room: "Small bedroom",
    host: "b",
    stretch: WHOLE,
    assembly: "partition",
  },
];

function onPlan(demo: DemoWall, rooms: readonly Room[], newId: () => string, context: PartContext): StudWall {
  const room = rooms.find((each) => each.name === demo.room);
  if (!room) throw new Error(`lanternHouse: there is no room "${demo.room}"`);
  const start = studWallKind.defaults(newId(), demo.name, context);
  return {
    ...start,
    storey: room.storey,
    location: demo.location,
    plan: { roomId: room.id, hostId: demo.host, stretch: demo.stretch },
    assembly: { id: demo.assembly, version: 1 },
    choices: choicesOf(demo),
  };
}

const choicesOf = ({
  studSize,
  bearing,
  sheathed,
}: Pick<DemoWall, "studSize" | "bearing" | "sheathed">): StudWall["choices"] => ({
  studSize,
  bearing,
  sheathed,
  ...(bearing ? { topPlates: 2 } : {}),
});

type LoneOpening = {
  kind: Opening["kind"];
  name?: string;
  position: string;
  width: string;
  height: string;
  sill: string;
};

/** The inner wall of the porch, measured by itself. */
const HOUSE_WALL: readonly LoneOpening[] = [
  { kind: "window", position: "3'0", width: "4'0 1/2", height: "4'6", sill: "3'0" },
  { kind: "plain", name: "Folding doors", position: "9'6", width: "8'0", height: "6'10 1/2", sill: "0" },
  { kind: "window", position: "19'3", width: "3'0 1/2", height: "4'6", sill: "3'0" },
];

function enter(wall: StudWall, path: string, typed: string, context: PartContext): StudWall {
  const result = enterDimension(studWallKind, wall, path, typed, context);
  if (result.problem) throw new Error(`lanternHouse: ${wall.name}, ${path}: ${result.problem.message}`);
  return result.part;
}

function houseWall(newId: () => string, context: PartContext): StudWall {
  const start = studWallKind.defaults(newId(), "House wall", context);
  const choices = choicesOf({ studSize: "2x6", bearing: false, sheathed: true });
  const wall: StudWall = {
    ...start,
    location: "Wrap-around porch",
    assembly: { id: "outside-wall", version: 1 },
    choices,
  };
  const sized = enter(enter(wall, "length", "24'", context), "height", "9'1 1/8", context);
  return HOUSE_WALL.reduce((current, demo, index) => withLoneOpening(current, demo, index, context), sized);
}

/** A king and two jacks of 1 1/2 in. */
const BESIDE_NM = inches(4.5);

function withLoneOpening(wall: StudWall, demo: LoneOpening, index: number, context: PartContext): StudWall {
  const id = `opening-${index + 1}`;
  const opening = newOpening(wall, demo.kind, id, context.system, BESIDE_NM);
  if (!opening) throw new Error(`lanternHouse: the house wall has no room for ${demo.kind}`);
  const openings = wall.openings.concat({ ...opening, name: demo.name ?? opening.name });
  return (["position", "sill", "height", "width"] as const).reduce(
    (each, field) => enter(each, `openings.${id}.${field}`, demo[field], context),
    { ...wall, openings },
  );
}

/** Boards on its walls and ceiling, in the longest sheets. */
const boarded = (id: string) => ({
  id,
  assembly: { id: "room-board", version: 1 },
  choices: { boardSheet: "board-4x12" },
});

const ROOFS: readonly DemoRoof[] = [
  {
    name: "Boot room roof",
    storey: "Ground",
    location: "Boot room",
    edges: [
      { id: "lane", length: "15'11 1/2", end: "eave" },
      { id: "gable", length: "11'5", end: "gable" },
      { id: "garden", length: "15'11 1/2", end: "eave" },
      { id: "house", length: "11'5", end: "wall" },
    ],
    pitch: "7/12",
    overhang: "14",
    rakeOverhang: "10",
    plate: "8'1 1/8",
    at: { x: "14'8 1/2", y: "-10'10 1/2", turnDegrees: 0 },
    choices: { rafterSection: "2x6", rafterSpacing: 406_400_000, ridgeSection: "2x8", gableStuds: true },
  },
  {
    name: "Porch roof",
    storey: "Ground",
    location: "Wrap-around porch",
    edges: [
      { id: "lane", length: "7'", end: "eave" },
      { id: "front", length: "15'3", end: "eave" },
      { id: "yard", length: "7'", end: "eave" },
      { id: "house", length: "15'3", end: "wall" },
    ],
    pitch: "3/12",
    overhang: "12",
    rakeOverhang: "12",
    plate: "8'",
    at: { x: "14'8 1/2", y: "8'7", turnDegrees: 90 },
    choices: { rafterSection: "2x6", rafterSpacing: 406_400_000, hipSection: "2x8" },
  },
];

/** Two storeys of rooms, the new walls on their plan, the porch's own wall, its roofs, and loose parts. */
export function lanternHouse(newId: () => string, context: PartContext): Part[] {
  const rooms = demoRooms(ROOMS, newId, context);
  const ground = { ...storeyKind.defaults(newId(), "Ground", context), northDegrees: 20 };
  const upper = { ...storeyKind.defaults(newId(), "Upper", context), level: 1, northDegrees: 20 };
  return [
    { ...ground, outsideAcross: measured(feet(32) + inches(6.25), "32'6 1/4") },
    upper,
    ...rooms.map((room) => (room.name === "Boot room" ? { ...room, uses: [boarded(newId())] } : room)),
    ...WALLS.map((wall) => onPlan(wall, rooms, newId, context)),
    houseWall(newId, context),
    ...ROOFS.map((roof) => demoRoof(roof, newId, context)),
    {
      kind: "spots",
      schemaVersion: 1,
      id: newId(),
      name: "Porch posts",
      storey: "Ground",
      location: "Wrap-around porch",
      notes: "Two at the steps are notched for the rail.",
      photos: [],
      uses: [],
      handSet: [],
      what: "post",
      count: 7,
    },
    {
      kind: "spots",
      schemaVersion: 1,
      id: newId(),
      name: "Inside doors",
      storey: "Ground",
      location: "Boot room",
      notes: "",
      photos: [],
      uses: [{ id: newId(), assembly: { id: "door-set", version: 1 }, choices: {} }],
      handSet: [],
      what: "door",
      count: 2,
    },
    {
      kind: "length",
      schemaVersion: 1,
      id: newId(),
      name: "Porch rail",
      storey: "Ground",
      location: "Wrap-around porch",
      notes: "",
      photos: [],
      uses: [],
      handSet: [],
      length: measured(feet(31) + inches(6), "31'6"),
    },
  ];
}
