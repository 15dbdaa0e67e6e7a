import {
  confirmedChoice,
  enterDimension,
  newOpening,
  type Opening,
  type PartContext,
  type StudWall,
  studWallKind,
} from "@wide-porch/core";

type DemoOpening = {
  kind: Opening["kind"];
  name?: string;
  position: string;
  width: string;
  height: string;
  sill?: string;
};

type DemoWall = {
  name: string;
  location: string;
  length: string;
  height: string;
  studSize: "2x4" | "2x6";
  bearing: boolean;
  sheathed: boolean;
  openings: DemoOpening[];
};

/** Lantern House: the walls of the boot room, and the inner wall of the porch. Invented. */
const WALLS: DemoWall[] = [
  {
    name: "Garden side",
    location: "Boot room",
    length: "16'4 1/2",
    height: "8'1 1/8",
    studSize: "2x6",
    bearing: true,
    sheathed: true,
    openings: [
      { kind: "window", position: "2'3", width: "3'2 1/2", height: "4'1", sill: "2'9" },
      { kind: "door", name: "Garden door", position: "9'8", width: "3'2", height: "6'10 1/2" },
    ],
  },
  {
    name: "Lane side",
    location: "Boot room",
    length: "16'4 1/2",
    height: "8'1 1/8",
    studSize: "2x6",
    bearing: true,
    sheathed: true,
    openings: [{ kind: "window", position: "5'4", width: "5'8", height: "4'1", sill: "2'9" }],
  },
  {
    name: "Gable end",
    location: "Boot room",
    length: "11'3 - 11",
    height: "8'1 1/8",
    studSize: "2x6",
    bearing: false,
    sheathed: true,
    openings: [{ kind: "window", position: "3'6", width: "3'2 1/2", height: "4'1", sill: "2'9" }],
  },
  {
    name: "Wall to the kitchen",
    location: "Boot room",
    length: "10'4",
    height: "8'1 1/8",
    studSize: "2x4",
    bearing: false,
    sheathed: false,
    openings: [{ kind: "door", position: "6'1", width: "2'8", height: "6'10 1/2" }],
  },
  {
    name: "Drying cupboard",
    location: "Boot room",
    length: "6'5 + 2'4",
    height: "8'1 1/8",
    studSize: "2x4",
    bearing: false,
    sheathed: false,
    openings: [{ kind: "plain", name: "Cupboard opening", position: "2'6", width: "4'0", height: "6'10 1/2" }],
  },
  {
    name: "House wall",
    location: "Wrap-around porch",
    length: "24'",
    height: "9'1 1/8",
    studSize: "2x6",
    bearing: false,
    sheathed: true,
    openings: [
      { kind: "window", position: "3'0", width: "4'0 1/2", height: "4'6", sill: "3'0" },
      { kind: "plain", name: "Folding doors", position: "9'6", width: "8'0", height: "6'10 1/2" },
      { kind: "window", position: "19'3", width: "3'0 1/2", height: "4'6", sill: "3'0" },
    ],
  },
];

function enter(wall: StudWall, path: string, typed: string, context: PartContext): StudWall {
  const result = enterDimension(studWallKind, wall, path, typed, context);
  if (result.problem) throw new Error(`lanternHouse: ${wall.name}, ${path}: ${result.problem.message}`);
  return result.part;
}

function withOpening(wall: StudWall, demo: DemoOpening, index: number, context: PartContext): StudWall {
  const id = `opening-${index + 1}`;
  const start = newOpening(wall, demo.kind, id, context);
  if (!start) throw new Error(`lanternHouse: ${wall.name} has no room for ${demo.kind}`);
  const opening = { ...start, name: demo.name ?? start.name };
  const entries: [string, string | undefined][] = [
    ["position", demo.position],
    ["sill", demo.sill],
    ["height", demo.height],
    ["width", demo.width],
  ];
  return entries.reduce(
    (current, [field, typed]) =>
      typed === undefined ? current : enter(current, `openings.${id}.${field}`, typed, context),
    { ...wall, openings: [...wall.openings, opening] },
  );
}

export function lanternHouseWalls(newId: () => string, context: PartContext): StudWall[] {
  return WALLS.map((demo) => {
    const start = studWallKind.defaults(newId(), demo.name, context);
    const named: StudWall = {
      ...start,
      location: demo.location,
      parameters: {
        ...start.parameters,
        studSize: confirmedChoice<string>(demo.studSize),
        bearing: confirmedChoice(demo.bearing),
        sheathed: confirmedChoice(demo.sheathed),
        topPlates: confirmedChoice(demo.bearing ? 2 : start.parameters.topPlates.value),
      },
    };
    const sized = enter(enter(named, "length", demo.length, context), "height", demo.height, context);
    return demo.openings.reduce((wall, opening, index) => withOpening(wall, opening, index, context), sized);
  });
}
