import {
  ALONE,
  assumedDimension,
  measured,
  newRoomOpening,
  type Part,
  type Room,
  rectangleDefaults,
  roomKind,
  type StudWall,
  storeyKind,
  studWallKind,
  type WallOnPlan,
} from "../kinds";
import { contexts } from "../testing/library";
import { entered, measureText, walkedRoom } from "../testing/rooms";
import { feet, inches, type Nanometres } from "../units";
import { copyStorey, storeyRecord } from "./copyStorey";
import { drawStorey } from "./draw";
import { roomGroups, storeyMeasures } from "./measures";
import { placedAt, placedRun } from "./place";
import { outsideChecks, planPoints } from "./points";
import { resolveParts, resolveWall } from "./resolve";
import { freed, joinable, snapRoom } from "./snap";
import { type JobPlan, placeBeside, planJob, type StoreyPlan, surroundingsOf } from "./storeyPlan";

const context = contexts.imperial;
const PARTITION = inches(4.5);

const room = (id: string, a: string, b: string): Room => ({
  ...entered(rectangleDefaults(id, id, context), { "runs.a.length": a, "runs.b.length": b }),
});

const joined = (each: Room, runId: string, toRoomId: string, toRunId: string, offsetNm: Nanometres): Room => ({
  ...each,
  place: { how: "joined", toRoomId, toRunId, runId, offset: measured(offsetNm, "") },
});

const storey = (plan: JobPlan): StoreyPlan => {
  const [first] = plan.storeys;
  if (!first) throw new Error("no storey");
  return first;
};

const withOpening = (each: Room, hostId: string, id: string, entries: Record<string, string>): Room => {
  const opening = newRoomOpening(each, hostId, "door", id, context);
  if (!opening) throw new Error("no room for a door");
  const paths = Object.fromEntries(Object.entries(entries).map(([field, typed]) => [`openings.${id}.${field}`, typed]));
  return entered({ ...each, openings: [...each.openings, opening] }, paths);
};

const wallOn = (id: string, roomId: string, hostId: string, stretch: WallOnPlan["stretch"]): StudWall => ({
  ...studWallKind.defaults(id, id, context),
  plan: { roomId, hostId, stretch },
});

// Hall 12 by 10 ft, walked with the clock from its upper left corner: wall a above, b at the right. The den, 8 by 10 ft, is
// joined by its left wall (d) to the hall's right one, so that their upper walls are in line.
const hall = room("hall", "12'", "10'");
const den = joined(room("den", "8'", "10'"), "d", "hall", "b", 0);

describe("rooms joined into a storey", () => {
  it("puts a room back to back with the wall it was joined to, a partition away", () => {
    const placed = storey(planJob([hall, den])).rooms[1];
    expect(placed?.origin).toEqual({ xNm: feet(12) + PARTITION, yNm: 0 });
    expect(placed?.turnDegrees).toBe(0);
  });

  it("turns a room to lie against any wall, and follows the one it was joined to", () => {
    // By its wall a, so a quarter turn to the right: the den's 8 ft then lie along the hall's right wall.
    const turned = joined(room("den", "8'", "10'"), "a", "hall", "b", feet(1));
    const placed = storey(planJob([hall, turned])).rooms[1];
    expect(placed?.turnDegrees).toBe(90);
    const wider = entered(hall, { "runs.a.length": "14'" });
    const moved = storey(planJob([wider, den])).rooms[1];
    expect(moved?.origin.xNm).toBe(feet(14) + PARTITION);
  });

  it("makes one wall of the partition and of walls in line, and knows where they meet", () => {
    const { walls } = storey(planJob([hall, den]));
    // Two long walls (above, below), the partition, and the two outer sides (by hand).
    expect(walls).toHaveLength(5);
    const partition = walls.find((wall) => wall.direction.y === 1 && wall.faces.length === 2);
    expect(partition).toMatchObject({ start: "meets", end: "meets", thicknessNm: PARTITION });
    const long = walls.filter((wall) => wall.direction.x === 1);
    for (const wall of long) {
      expect(wall).toMatchObject({ start: "corner-through", end: "corner-through" });
      expect(wall.meetings.map((meeting) => meeting.atNm)).toEqual([feet(12) + PARTITION / 2]);
      // 12 ft + 8 ft + the partition inside; over both outer walls outside.
      expect(wall.toNm - wall.fromNm).toBe(feet(20) + PARTITION);
      expect(wall.framedToNm - wall.framedFromNm).toBe(feet(20) + 3 * PARTITION);
    }
    const sides = walls.filter((wall) => wall.direction.y === 1 && wall.faces.length === 1);
    for (const side of sides) {
      expect(side).toMatchObject({ start: "corner-butts", end: "corner-butts" });
      expect(side.framedToNm - side.framedFromNm).toBe(feet(10));
    }
  });

  it("adds up the outside from the insides and the walls", () => {
    const { footprint } = storey(planJob([hall, den]));
    // 20 ft + 3 x 4 1/2 in by 10 ft + 2 x 4 1/2 in: 21' 1 1/2" by 10' 9" (arithmetic).
    const across = feet(20) + 3 * PARTITION;
    const up = feet(10) + 2 * PARTITION;
    expect(footprint?.rings).toHaveLength(1);
    expect(footprint?.perimeterNm).toBe(2 * (across + up));
    expect(footprint?.area).toBeCloseTo((across / 1e9) * (up / 1e9), 6);
    const measures = storeyMeasures(storey(planJob([hall, den])), context);
    expect(measureText(measures, "outside/across the page")).toBe("21' 1 1/2\"");
    expect(measureText(measures, "floor-area")).toBe("200 sq ft");
  });

  it("checks the outside against a tape reading", () => {
    const record = {
      ...storeyKind.defaults("s", "Ground", context),
      outsideAcross: measured(inches(253.5), ""),
      outsideUp: measured(feet(11), "11'"),
    };
    const plan = planJob([hall, den, record]);
    expect(outsideChecks(storey(plan)).map((check) => check.agrees)).toEqual([true, false]);
    const [point] = planPoints([hall, den, record], plan, context);
    expect(point?.point.message).toContain('11\' 0", the plan comes to 10\' 9", a difference of 3"');
  });

  it("rolls a closet up into its bedroom", () => {
    const closet: Room = { ...joined(room("closet", "4'", "2'"), "c", "hall", "a", feet(2)), belongsTo: "hall" };
    const groups = roomGroups(storey(planJob([hall, closet])));
    expect(groups.map(({ room: each, with: members }) => [each.id, members.map((other) => other.id)])).toEqual([
      ["hall", ["closet"]],
    ]);
    expect(groups[0]?.area).toBeCloseTo(128 * 0.3048 ** 2, 9);
  });

  it("keeps an L-shaped room's inner corner to the right length", () => {
    // 16'4" by 12'6" with a corner of 5'2" by 4'9" out of it; the wall at the inner corner that is longer runs through.
    const ell = walkedRoom([["16'4"], ["7'9"], ["5'2", 90], ["4'9", -90], ["11'2"], ["12'6"]], context, "ell");
    const { walls } = storey(planJob([ell]));
    const inner = walls.find((wall) => wall.direction.x === 1 && wall.toNm - wall.fromNm === inches(62));
    // Its face is 5'2" and ends at the inner corner; the outer corner lets it run through, being longer than neither.
    expect(inner?.framedToNm).toBe(inches(196) + (inner?.end === "corner-through" ? PARTITION : 0));
    const lengths = walls.map((wall) => wall.framedToNm - wall.framedFromNm);
    // Area of framing on plan by hand: outer polygon area less inner over the thickness = centre-line length.
    const outer = storey(planJob([ell])).footprint?.area ?? 0;
    const insideM2 = (196 * 150 - 62 * 57) * 0.0254 ** 2;
    const total = lengths.reduce((sum, lengthNm) => sum + lengthNm, 0);
    expect((total / 1e9) * (PARTITION / 1e9)).toBeCloseTo(outer - insideM2, 6);
  });
});

describe("openings typed once", () => {
  // In the den's left wall (d goes up the page): 2 ft from its foot, 3 ft wide.
  const withDoor = withOpening(den, "d", "door-1", { position: "2'", width: "3'" });
  const plan = planJob([hall, withDoor]);

  it("are seen from both sides of the wall", () => {
    const [shared] = surroundingsOf(plan, "hall").sharedOpenings;
    // The hall's wall b goes down the page: 10 ft less 2 ft less 3 ft from its start (arithmetic).
    expect(shared).toMatchObject({ hostId: "b", sharedFrom: { roomId: "den" }, position: { valueNm: feet(5) } });
    expect(surroundingsOf(plan, "den").sharedOpenings).toEqual([]);
  });

  it("go through a wall as thick as the neighbour says it is", () => {
    const thick = entered(hall, { "runs.b.thickness": "9" });
    const joint = planJob([thick, withDoor]);
    const around = surroundingsOf(joint, "den");
    expect(around.sharedThickness).toMatchObject({ runId: "d", thickness: { valueNm: inches(9) } });
    // Door 3 ft by 6 ft 10 1/2 in: 201 in of edge, 9 in deep: 12.56 sq ft (arithmetic).
    expect(measureText(roomKind.measures(withDoor, context, around), "reveals")).toBe("16.8 ft, 12.56 sq ft");
    const slot = roomKind.dimensions(withDoor, context).find((each) => each.path === "runs.d.thickness");
    expect(slot?.typedOn).toEqual({ partId: "hall", path: "runs.b.thickness" });
    expect(storey(joint).rooms[1]?.origin.xNm).toBe(feet(12) + inches(9));
  });

  it("are taken off both rooms' walls and skirting", () => {
    const net = (each: Room) =>
      measureText(roomKind.measures(each, context, surroundingsOf(plan, each.id)), "net-perimeter");
    expect(net(hall)).toBe("41' 0\"");
    expect(net(withDoor)).toBe("33' 0\"");
  });

  it("typed twice in one place are an open point", () => {
    const twice = withOpening(hall, "b", "door-2", { position: "6'", width: "3'" });
    const both = planJob([twice, withDoor]);
    const points = planPoints([twice, withDoor], both, context);
    expect(points.map((each) => each.point.message)).toEqual([
      expect.stringContaining("a shared wall's opening is typed once"),
    ]);
  });
});

describe("stud walls that stand on the plan", () => {
  const withDoor = withOpening(den, "d", "door-1", { position: "2'", width: "3'" });
  const plan = planJob([hall, withDoor]);
  const resolved = (wall: StudWall) => resolveWall(wall, plan);

  it("take length, openings, height and ends from it", () => {
    const partition = resolved(wallOn("w", "hall", "b", { how: "whole" }));
    expect(partition.length.valueNm).toBe(feet(10));
    expect(partition.height).toMatchObject({ valueNm: feet(8), assumed: true });
    expect(partition.ends).toEqual({ left: "meets", right: "meets" });
    // Seen from the hall its left end is up the page: the door is 5 ft from it.
    expect(partition.openings).toMatchObject([
      { id: "door-1", position: { valueNm: feet(5) }, width: { valueNm: feet(3) } },
    ]);
    expect(studWallKind.problems(partition, context)).toEqual([]);
    // Seen from the den, 2 ft.
    expect(resolved(wallOn("w", "den", "d", { how: "whole" })).openings[0]?.position.valueNm).toBe(feet(2));
  });

  it("go the whole wall, one room's side, or a stretch of it", () => {
    const whole = resolved(wallOn("w", "hall", "a", { how: "whole" }));
    expect(whole.length.valueNm).toBe(feet(20) + 3 * PARTITION);
    expect(whole.meetings).toEqual([
      { positionNm: feet(12) + 1.5 * PARTITION, thicknessNm: PARTITION, withName: "hall and den" },
    ]);
    const side = resolved(wallOn("w", "hall", "a", { how: "room" }));
    expect(side.length.valueNm).toBe(feet(12) + PARTITION);
    expect(side.ends).toEqual({ left: "corner-through", right: "meets" });
    const part = resolved(
      wallOn("w", "den", "a", { how: "part", from: measured(feet(1), ""), to: measured(feet(4), "") }),
    );
    expect(part.length.valueNm).toBe(feet(3));
  });

  it("follow the plan when a room changes, and keep their own height once it is measured", () => {
    const wall = { ...wallOn("w", "hall", "b", { how: "whole" }), height: measured(feet(9), "9'") };
    const longer = entered(hall, { "runs.b.length": "11'" });
    const [, , moved] = resolveParts([longer, withDoor, wall], planJob([longer, withDoor, wall]));
    expect(moved).toMatchObject({ length: { valueNm: feet(11) }, height: { valueNm: feet(9) } });
  });

  it("say so when the ceiling over them slopes, nobody knows how, until their height is measured", () => {
    const shape = { value: "sloped" as const, assumed: false };
    const sloped = (pitchDegrees: number | null) => ({ ...hall, ceiling: { ...hall.ceiling, shape, pitchDegrees } });
    const paths = (room: Room, wall: StudWall) =>
      planPoints([room, wall], planJob([room, wall]), context).flatMap(({ point }) =>
        point.path === "height" ? [point.kind] : [],
      );
    const wall = wallOn("w", "hall", "b", { how: "whole" });
    expect(paths(sloped(null), wall)).toEqual(["assumed"]);
    expect(paths(sloped(null), { ...wall, height: measured(feet(9), "9'") })).toEqual([]);
    // It follows a slope that is known.
    expect(paths(sloped(30), wall)).toEqual([]);
  });

  it("wait, and say why, while their room does not close or is gone", () => {
    const wall = wallOn("w", "hall", "b", { how: "whole" });
    const open = walkedRoom([["12'"], ["10'"]], context, "hall");
    expect(resolveWall(wall, planJob([open, wall])).length.valueNm).toBeNull();
    const points = (parts: Part[]) => planPoints(parts, planJob(parts), context).map((each) => each.point.message);
    expect(points([open, wall])[0]).toContain("The walk has not come back to its start yet");
    expect(points([wall])[0]).toContain("its room is in the bin");
  });
});

describe("putting rooms on the plan", () => {
  it("gives a new room a place beside the others", () => {
    expect(placeBeside(undefined)).toMatchObject({ xNm: 0, yNm: 0 });
    expect(placeBeside(storey(planJob([hall]))).xNm).toBeGreaterThan(feet(12));
  });

  it("snaps a room that is put down near a wall, to its corner when that is near", () => {
    const plan = storey(planJob([hall, room("den", "8'", "10'")]));
    const near = { xNm: feet(12) + inches(9), yNm: -inches(5) };
    const snapped = snapRoom(plan, room("den", "8'", "10'"), near, inches(12), "imperial");
    expect(snapped?.room.place).toEqual({
      how: "joined",
      toRoomId: "hall",
      toRunId: "b",
      runId: "d",
      offset: assumedDimension(0),
    });
    expect(snapped?.placed.origin).toEqual({ xNm: feet(12) + PARTITION, yNm: 0 });
    expect(snapRoom(plan, room("den", "8'", "10'"), { xNm: feet(30), yNm: 0 }, inches(12), "imperial")).toBeUndefined();
  });

  it("snaps to the other corner, or to a whole step where neither is near", () => {
    const plan = storey(planJob([hall, room("den", "8'", "6'")]));
    // Along the hall's right wall, which goes down the page.
    const offsetAt = (downNm: Nanometres) => {
      const at = { xNm: feet(12) + PARTITION, yNm: -downNm };
      const place = snapRoom(plan, room("den", "8'", "6'"), at, inches(6), "imperial")?.room.place;
      return place?.how === "joined" ? place.offset.valueNm : undefined;
    };
    // The wall is 10 ft and the den's 6, so lower corners meet at 4 ft; 6 in is within reach, a hair more is not.
    expect([inches(6), -inches(6), inches(6) + 1, inches(7.4)].map(offsetAt)).toEqual([0, 0, inches(6), inches(7)]);
    const low = [feet(4) - inches(6), feet(4) + inches(6), feet(4) - inches(6) - 1].map(offsetAt);
    expect(low).toEqual([feet(4), feet(4), feet(4) - inches(6)]);
    expect(offsetAt(feet(2) + inches(0.3))).toBe(feet(2));
  });

  it("numbers storeys from the lowest up, and gives back the record of one there is", () => {
    const ground = { ...storeyKind.defaults("g", "Ground", context), level: 0 };
    const attic = { ...storeyKind.defaults("a", "Attic", context), level: 3 };
    const of = (parts: Part[], name: string) => storeyRecord(parts, name, () => "new", context);
    expect(of([ground, attic], "Attic")).toBe(attic);
    expect(of([], "Ground")).toMatchObject({ id: "new", level: 0 });
    expect(of([], "Upper")).toMatchObject({ level: 1 });
    expect(of([ground, attic, hall], "Roof")).toMatchObject({ level: 4, name: "Roof" });
  });

  it("has no place for a wall that is not measured yet, or that there is not", () => {
    const placed = placedAt(walkedRoom([["12'"]], context, "open"), { xNm: 0, yNm: 0 }, 0);
    expect(placedRun(placed, "a")).toMatchObject({
      start: { xNm: 0, yNm: 0 },
      end: { xNm: feet(12), yNm: 0 },
      degrees: 0,
    });
    expect([placedRun(placed, "r2"), placedRun(placed, "none")]).toEqual([undefined, undefined]);
  });

  it("never joins a room to one that follows it", () => {
    const plan = storey(planJob([hall, den]));
    expect(joinable(plan, "hall")).toEqual([]);
    expect(joinable(plan, "den").map((each) => each.room.id)).toEqual(["hall"]);
  });

  it("says when a room lies over another, when joins go round in a circle, and when the neighbour is gone", () => {
    const over = [hall, room("den", "8'", "10'")];
    expect(planPoints(over, planJob(over), context)[0]?.point.message).toBe(
      "den lies over hall by 80 sq ft. Move one of them on the plan",
    );
    const circle = [joined(hall, "b", "den", "d", 0), den];
    expect(planJob(circle).storeys[0]?.rooms.some((each) => each.adrift)).toBe(true);
    expect(planPoints([den], planJob([den]), context)[0]?.point.message).toContain(
      "was joined to a room that is not there",
    );
  });

  it("stands at the plan's own corner, adrift, while the room it was joined to is not there", () => {
    const [adrift] = storey(planJob([den])).rooms;
    expect(adrift).toMatchObject({ origin: { xNm: 0, yNm: 0 }, turnDegrees: 0, adrift: true });
    expect(storey(planJob([hall])).rooms[0]?.adrift).toBe(false);
  });

  it("stays where it is when it is set free", () => {
    const placed = storey(planJob([hall, den])).rooms[1];
    if (!placed) throw new Error("no den");
    const loose = freed(placed);
    expect(storey(planJob([hall, loose])).rooms[1]?.origin).toEqual(placed.origin);
  });
});

describe("a storey as the start of the next", () => {
  it("has the same plan with every figure to be confirmed", () => {
    let next = 0;
    const parts: Part[] = [
      hall,
      { ...den, belongsTo: "hall", notes: "damp" },
      { ...storeyKind.defaults("s", "Ground", context), northDegrees: 40 },
    ];
    const copies = copyStorey(parts, "Ground", "Upper", () => `new-${++next}`, context);
    const plan = planJob(copies);
    expect(plan.storeys.map((each) => each.name)).toEqual(["Upper"]);
    expect(storey(plan).footprint?.area).toBeCloseTo(storey(planJob(parts)).footprint?.area ?? 0, 9);
    const [record, first, second] = copies;
    expect(record).toMatchObject({ kind: "storey", level: 1, northDegrees: 40 });
    expect(second).toMatchObject({ belongsTo: first?.id, notes: "" });
    // Two walls of each rectangle: those opposite follow.
    const points = copies.flatMap((each) => (each.kind === "room" ? roomKind.openPoints(each, context) : []));
    expect(points.filter((point) => point.path.endsWith(".length"))).toHaveLength(4);
  });
});

describe("the plan's drawing", () => {
  it("says of each figure whether it is inside or outside measure, and marks new walls", () => {
    const wall = wallOn("w", "hall", "b", { how: "whole" });
    const parts = [hall, den, wall];
    const plan = planJob(parts);
    const drawing = drawStorey(storey(plan), [wall], plan, context);
    expect(drawing.figures.map((figure) => [figure.side, figure.text])).toEqual([
      ["outside", "21' 1 1/2\" outside"],
      ["outside", "10' 9\" outside"],
    ]);
    expect(drawing.shapes.filter((shape) => shape.role === "new-wall").map((shape) => shape.id)).toEqual(["w"]);
    const inside = roomKind.draw(hall, context, ALONE);
    expect(inside.kind === "plan" && inside.figures.every((figure) => figure.side === "inside" && figure.path)).toBe(
      true,
    );
  });
});
