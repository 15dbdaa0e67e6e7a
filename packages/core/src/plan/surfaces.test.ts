import { countJob } from "../count";
import {
  measured,
  newRoomOpening,
  PART_KINDS,
  type Part,
  type Room,
  rectangleDefaults,
  type SurfacePart,
  storeyKind,
  surfaceKind,
} from "../kinds";
import { netAreaOfSurface } from "../parts/surface";
import { describeKind } from "../testing/describeKind";
import { contexts, library } from "../testing/library";
import { entered, measureText } from "../testing/rooms";
import { feet, inches } from "../units";
import { footprintEdges } from "./footprintEdges";
import { resolveStorey, resolveSurface } from "./resolve";
import { planJob } from "./storeyPlan";
import { surfacesOf } from "./surfaces";

const context = contexts.imperial;
const SQ_FT = 0.09290304;
const room = (id: string, a: string, b: string): Room =>
  entered(rectangleDefaults(id, id, context), {
    "runs.a.length": a,
    "runs.b.length": b,
    "ceiling.height": "8'",
  });
const hall = room("hall", "12'", "10'");
const den: Room = {
  ...room("den", "8'", "10'"),
  place: { how: "joined", toRoomId: "hall", toRunId: "b", runId: "d", offset: measured(0, "") },
};
const doorIn = (each: Room, hostId: string): Room => {
  const opening = newRoomOpening(each, hostId, "door", "d1", context);
  if (!opening) throw new Error("no room for a door");
  return entered({ ...each, openings: [opening] }, { "openings.d1.width": "3'", "openings.d1.height": "7'" });
};
const withDoor = doorIn(hall, "b");
const planOf = (...parts: Part[]) => planJob(parts);
const allOf = (...parts: Part[]) => planOf(...parts).storeys.flatMap(surfacesOf);
const find = (id: string, roomId: string, parts: Part[]) => {
  const found = allOf(...parts).find((each) => each.id === id && each.roomId === roomId);
  if (!found) throw new Error(`no surface ${roomId} ${id}`);
  return found;
};

describe("surfaces of a room of 12 by 10 ft, 8 ft high, worked by hand", () => {
  it("are four walls, a floor and a ceiling, and the reveal of each opening, once", () => {
    const surfaces = allOf(withDoor, den);
    expect(surfaces.filter((each) => each.roomId === "hall").map((each) => each.id)).toEqual([
      "wall/a",
      "wall/b",
      "wall/c",
      "wall/d",
      "floor",
      "ceiling",
      "reveal/d1",
    ]);
    expect(surfaces.filter(({ side }) => side === "reveal")).toHaveLength(1);
  });

  it("have their areas less openings, a neighbour's door in a shared wall too", () => {
    const net = (id: string, roomId: string) => netAreaOfSurface(find(id, roomId, [withDoor, den])) / SQ_FT;
    expect(net("wall/a", "hall")).toBeCloseTo(96, 6);
    expect(net("wall/b", "hall")).toBeCloseTo(80 - 21, 6);
    expect(net("wall/d", "den")).toBeCloseTo(80 - 21, 6);
    expect(net("floor", "hall")).toBeCloseTo(120, 6);
    // Two sides and the head, 7 + 7 + 3 ft, through the partition of 4 1/2 in.
    const thick = hall.runs.find((run) => run.id === "b")?.thickness.valueNm ?? 0;
    expect(net("reveal/d1", "hall")).toBeCloseTo((17 * thick) / feet(1), 6);
  });

  it("say what lies behind: the room beyond, or the outside", () => {
    expect(find("wall/b", "hall", [withDoor, den])).toMatchObject({ behind: "den", outside: false });
    expect(find("wall/a", "hall", [withDoor, den])).toMatchObject({ behind: "outside", outside: true });
    expect(find("wall/b", "hall", [hall])).toMatchObject({ behind: "outside", outside: true });
  });

  it("lie as they are seen from the room, the opening at its place", () => {
    const wall = find("wall/b", "hall", [withDoor]);
    const [door] = wall.openings;
    const typed = withDoor.openings[0]?.position.valueNm ?? 0;
    expect(door).toMatchObject({ xNm: typed, yNm: 0, widthNm: feet(3), heightNm: feet(7) });
    expect([wall.widthNm, wall.heightNm]).toEqual([feet(10), feet(8)]);
  });

  it("go up to a sloped ceiling, and are nothing of a room that does not close", () => {
    const sloped: Room = {
      ...hall,
      ceiling: {
        ...hall.ceiling,
        shape: { value: "sloped", assumed: false },
        fromRunId: "a",
        highHeight: measured(feet(12), ""),
      },
    };
    // From 8 ft to 12 ft over 10 ft of depth: a trapezium, and a ceiling of 12 by root(10² + 4²).
    expect(find("wall/b", "hall", [sloped]).areaM2 / SQ_FT).toBeCloseTo(100, 5);
    expect(find("ceiling", "hall", [sloped]).areaM2 / SQ_FT).toBeCloseTo(12 * Math.hypot(10, 4), 5);
    const open: Room = { ...hall, runs: hall.runs.slice(0, 3), finished: false };
    expect(allOf(open)).toEqual([]);
  });
});

describe("the sides of the house from outside", () => {
  it("keep their names while another room comes beside them", () => {
    const alone = planOf(hall).storeys.flatMap(footprintEdges);
    const both = planOf(hall, den).storeys.flatMap(footprintEdges);
    expect(alone.map(({ id }) => id).toSorted()).toEqual(["hall/a", "hall/b", "hall/c", "hall/d"]);
    // The hall and the den in line: the longer wall names a side that both stand behind.
    expect(both.map(({ id }) => id).toSorted()).toEqual(["den/b", "hall/a", "hall/c", "hall/d"]);
    const perimeter = both.reduce((sum, { lengthNm }) => sum + lengthNm, 0);
    expect(perimeter).toBe(planOf(hall, den).storeys[0]?.footprint?.perimeterNm);
  });

  it("that one room has several of are told apart", () => {
    const ids = planOf(hall, den, {
      ...room("far", "6'", "6'"),
      place: { how: "free", xNm: feet(90), yNm: 0, turnDegrees: 0 },
    })
      .storeys.flatMap(footprintEdges)
      .map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids).toHaveLength(8);
  });
});

const applied = <P extends Part>(part: P, id: string, choices = {}): P => ({
  ...part,
  uses: [{ id: "u", assembly: { id, version: 1 }, choices }],
});
const surfaceOf = (surfaceId: string, roomId = "hall"): SurfacePart => ({
  ...surfaceKind.defaults("s", "Feature wall", context),
  roomId,
  surfaceId,
});
const storeyOf = () => storeyKind.defaults("g", hall.storey, context);
/** What is boarded, in square feet: tape is 370 ft for each 1000 of it. */
function boardedSqFt(parts: readonly Part[], partId: string): number {
  const count = countJob(parts, "imperial", library).find((each) => each.partId === partId);
  const tape = count?.lines.find((each) => each.rule === "tape");
  if (!tape) throw new Error(`no tape: ${JSON.stringify([count?.problems, count?.openPoints])}`);
  return (tape.quantity / 0.3048) * (1000 / 370);
}

describe("what is counted on a surface or a storey", () => {
  it("one wall by itself: 59 sq ft of it, and it follows its room", () => {
    const wall = applied(surfaceOf("wall/b"), "surface-board");
    expect(boardedSqFt([withDoor, wall], "s")).toBeCloseTo(59, 6);
    expect(boardedSqFt([hall, wall], "s")).toBeCloseTo(80, 6);
    const longer = entered(withDoor, { "runs.b.length": "14'" });
    expect(boardedSqFt([longer, wall], "s")).toBeCloseTo(112 - 21, 6);
  });

  it("a storey: all walls less openings on both sides, or those to the outside alone", () => {
    const board = (choices: object) => applied(storeyOf(), "storey-board", { ceiling: false, ...choices });
    // Hall 12, 10, 12, 10 and den 8, 10, 8, 10 ft round, 8 ft high, a door of 21 sq ft seen from both.
    const all = boardedSqFt([withDoor, den, board({})], "g");
    expect(all).toBeCloseTo((44 + 36) * 8 - 2 * 21, 6);
    const outside = boardedSqFt([withDoor, den, board({ outsideOnly: true })], "g");
    expect(outside).toBeCloseTo((34 + 26) * 8, 6);
  });

  it("waits, and says so, while its room is gone or the surface is none of it", () => {
    for (const [surfaceId, roomId] of [
      ["wall/zz", "hall"],
      ["wall/b", "gone"],
    ] as const) {
      const wall = applied(surfaceOf(surfaceId, roomId), "surface-board");
      const [, count] = countJob([hall, wall], "imperial", library);
      expect(count?.lines).toEqual([]);
      expect(count?.openPoints.map((each) => each.message)).toEqual([
        "Its room is gone, not closed, or has no such surface any more",
      ]);
    }
    const [count] = countJob([applied(storeyOf(), "storey-board")], "imperial", library);
    expect(count).toMatchObject({ lines: [], problems: [], waits: true });
    expect(count?.openPoints.map((each) => each.message)).toEqual([
      "No room on it closes yet: what is counted for the whole storey waits",
    ]);
  });

  it("is measured: a storey by its rooms, a surface by its own", () => {
    const plan = planOf(withDoor, den);
    const wall = resolveSurface(surfaceOf("wall/b"), plan);
    expect(measureText(surfaceKind.measures(wall, context, { sharedOpenings: [] }), "net-area")).toBe("59 sq ft");
    expect(measureText(surfaceKind.measures(wall, context, { sharedOpenings: [] }), "behind")).toBe("den");
    const storey = resolveStorey(storeyOf(), plan);
    expect(measureText(storeyKind.measures(storey, context, { sharedOpenings: [] }), "floorArea")).toBe("200 sq ft");
    const across = 12 + 8 + 4.5 / 12 + (2 * (hall.runs[0]?.thickness.valueNm ?? 0)) / feet(1);
    expect(storey.found?.footprintArea).toBeGreaterThan(200 * SQ_FT);
    expect(storey.found?.outsidePerimeter).toBeGreaterThan(2 * across * 0.3048);
    expect(inches(4.5)).toBe(den.runs.find((run) => run.id === "d")?.thickness.valueNm);
  });
});

describeKind(PART_KINDS.storey, [
  { system: "imperial", part: storeyOf(), onPlan: (storey) => resolveStorey(storey, planOf(withDoor, den)) },
]);
describeKind(PART_KINDS.surface, [
  { system: "imperial", part: surfaceOf("wall/b"), onPlan: (surface) => resolveSurface(surface, planOf(withDoor)) },
]);
