import { masonryWallKind, measured, type Room, rectangleDefaults } from "../kinds";
import { contexts } from "../testing/library";
import { entered, walkedRoom } from "../testing/rooms";
import { feet, inches, metres, millimetres, type Nanometres } from "../units";
import { resolveWall } from "./resolve";
import { planJob, type StoreyPlan } from "./storeyPlan";
import type { PlanWall } from "./walls";

const imperial = contexts.imperial;
const T = inches(4.5);

const rectangle = (id: string, a: string, b: string, context = imperial): Room =>
  entered(rectangleDefaults(id, id, context), { "runs.a.length": a, "runs.b.length": b }, context);

const joined = (room: Room, runId: string, toRoomId: string, toRunId: string, offsetNm: Nanometres = 0): Room => ({
  ...room,
  place: { how: "joined", toRoomId, toRunId, runId, offset: measured(offsetNm, "") },
});

function planOf(...rooms: Room[]): StoreyPlan {
  const [storey] = planJob(rooms).storeys;
  if (!storey) throw new Error("no storey");
  return storey;
}

const across = ({ walls }: StoreyPlan): PlanWall[] => walls.filter((wall) => wall.direction.x === 1);
const up = ({ walls }: StoreyPlan): PlanWall[] => walls.filter((wall) => wall.direction.y === 1);
const framed = (wall: PlanWall): Nanometres => wall.framedToNm - wall.framedFromNm;

describe("walls of a storey, worked by hand", () => {
  it("a single room: the two longer walls run through, the two shorter butt between them", () => {
    const plan = planOf(rectangle("a", "12'", "10'"));
    expect(across(plan).map(framed)).toEqual([feet(12) + 2 * T, feet(12) + 2 * T]);
    expect(up(plan).map(framed)).toEqual([feet(10), feet(10)]);
    expect(plan.walls.every((wall) => wall.meetings.length === 0)).toBe(true);
  });

  it("a square room: at each corner one wall runs through and one butts, whichever came first", () => {
    const plan = planOf(rectangle("a", "10'", "10'"));
    const ends = plan.walls.flatMap((wall) => [wall.start, wall.end]);
    expect(ends.filter((end) => end === "corner-through")).toHaveLength(4);
    expect(ends.filter((end) => end === "corner-butts")).toHaveLength(4);
    // Each corner square of wall is framed once: the frames together are the centre line round the room.
    const total = plan.walls.reduce((sum, wall) => sum + framed(wall), 0);
    expect(total).toBe(4 * feet(10) + 4 * T);
  });

  it("four rooms round a crossing: four outer walls, and one wall through the middle each way", () => {
    const rooms = [
      rectangle("a", "12'", "10'"),
      joined(rectangle("b", "9'", "10'"), "d", "a", "b"),
      joined(rectangle("c", "12'", "8'"), "a", "a", "c"),
      joined(rectangle("d", "9'", "8'"), "d", "c", "b"),
    ];
    const plan = planOf(...rooms);
    expect(plan.overlaps).toEqual([]);
    expect(across(plan)).toHaveLength(3);
    expect(up(plan)).toHaveLength(3);
    // 12 + 9 ft and the partition between, inside; outer walls of 4 1/2 in beyond.
    for (const wall of across(plan)) expect(wall.toNm - wall.fromNm).toBe(feet(21) + T);
    const [, middle] = across(plan).toSorted((p, q) => p.centreNm - q.centreNm);
    expect(middle).toMatchObject({ start: "meets", end: "meets" });
    expect(middle?.faces).toHaveLength(4);
    expect(plan.footprint?.rings).toHaveLength(1);
    expect(plan.footprint?.perimeterNm).toBe(2 * (feet(21) + 3 * T) + 2 * (feet(18) + 3 * T));
  });

  it("a smaller room in the middle of a long wall: two walls meet it, each where its centre is", () => {
    const plan = planOf(rectangle("a", "20'", "10'"), joined(rectangle("b", "6'", "5'"), "c", "a", "a", feet(4)));
    const long = across(plan).find((wall) => wall.toNm - wall.fromNm === feet(20) && wall.faces.length === 2);
    // The closet's clear sides are 4 ft and 10 ft along; its side walls' centres half a thickness beyond.
    expect(long?.meetings.map((meeting) => meeting.atNm)).toEqual([feet(4) - T / 2, feet(10) + T / 2]);
    // Its back runs over both side walls, being the longer; the sides butt against it and meet the long wall.
    const back = across(plan).find((wall) => wall.toNm - wall.fromNm === feet(6));
    expect(back && framed(back)).toBe(feet(6) + 2 * T);
    const sides = up(plan).filter((wall) => wall.toNm - wall.fromNm === feet(5));
    expect(sides.map((wall) => [wall.start, wall.end].toSorted())).toEqual([
      ["corner-butts", "meets"],
      ["corner-butts", "meets"],
    ]);
  });

  it("a recess: its back is a wall of its own, between two short ones that meet the wall it goes out of", () => {
    const start = rectangle("a", "20'", "12'");
    const feature = {
      id: "closet",
      runId: "b",
      kind: "recess" as const,
      name: "Closet",
      position: measured(feet(3), "3'"),
      width: measured(inches(77), "6'5"),
      depth: measured(inches(28), "2'4"),
      thickness: measured(inches(4), "4"),
    };
    const plan = planOf({ ...start, features: [feature] });
    const back = up(plan).find((wall) => wall.toNm - wall.fromNm === inches(77));
    expect(back).toMatchObject({ thicknessNm: inches(4) });
    expect(plan.footprint?.bounds.max.xNm).toBe(feet(20) + inches(28) + inches(4));
    expect(plan.footprint?.rings).toHaveLength(1);
  });

  it("rooms walked to the left stand back to back with rooms walked to the right", () => {
    const left = walkedRoom(
      [
        ["8'", 90],
        ["10'", 90],
        ["8'", 90],
        ["10'", 90],
      ],
      imperial,
      "left",
    );
    const plan = planOf(rectangle("a", "12'", "10'"), joined(left, "r2", "a", "b"));
    expect(plan.overlaps).toEqual([]);
    expect(up(plan).filter((wall) => wall.faces.length === 2)).toHaveLength(1);
    expect(plan.footprint?.perimeterNm).toBe(2 * (feet(20) + 3 * T) + 2 * (feet(10) + 2 * T));
  });

  it("a bay with slanting walls: its corners are met, and the outside is larger by its walls", () => {
    // A regular hexagon of 2 m: area 3√3/2 x 4 m²; outside it grows by perimeter x t and the mitred corners' t² x 2√3.
    const sixty: [string, number] = ["2 m", -60];
    const hexagon = walkedRoom([sixty, sixty, sixty, sixty, sixty, sixty], contexts.metric, "bay");
    const plan = planOf(hexagon);
    const t = 0.115;
    expect(plan.walls).toHaveLength(6);
    for (const wall of plan.walls) expect([wall.start, wall.end].every((end) => end.startsWith("corner"))).toBe(true);
    expect(plan.footprint?.area).toBeCloseTo(6 * Math.sqrt(3) + 12 * t + 2 * Math.sqrt(3) * t * t, 4);
  });

  it("metric masonry between thin partitions keeps its own thickness", () => {
    const studio = rectangle("studio", "6 m", "4 m", contexts.metric);
    const stone = entered(studio, { "runs.b.thickness": "450" }, contexts.metric);
    const plan = planOf(stone, joined(rectangle("store", "2 m", "4 m", contexts.metric), "d", "studio", "b"));
    const party = up(plan).find((wall) => wall.faces.length === 2);
    expect(party?.thicknessNm).toBe(millimetres(450));
    expect(plan.rooms[1]?.origin.xNm).toBe(metres(6) + millimetres(450));
    expect(plan.footprint?.bounds.max.xNm).toBe(metres(8) + millimetres(450 + 115));
  });

  it("rooms that were only dropped near each other are two walls, and no overlap", () => {
    const apart: Room = {
      ...rectangle("b", "8'", "10'"),
      place: { how: "free", xNm: feet(14), yNm: 0, turnDegrees: 0 },
    };
    const plan = planOf(rectangle("a", "12'", "10'"), apart);
    expect(up(plan)).toHaveLength(4);
    expect(plan.overlaps).toEqual([]);
    expect(plan.footprint?.rings).toHaveLength(2);
  });

  it("a room that does not close has no walls yet, and keeps the others' as they are", () => {
    const open = walkedRoom([["12'"], ["10'"]], imperial, "open");
    const plan = planOf(rectangle("a", "12'", "10'"), open);
    expect(plan.walls).toHaveLength(4);
    expect(plan.rooms[1]?.polygon).toBeUndefined();
  });
});

describe("the corners of a house in the shape of an L", () => {
  // 20 ft and 8 ft, in by 8 ft, up 8 ft, 12 ft and 16 ft round: the turn the other way is where the house comes in.
  const steps = [["20'"], ["8'"], ["12'", 90], ["8'"], ["8'"], ["16'"]] as const;
  const room = walkedRoom(steps.map((step) => [...step] as [string, number?]));

  it("turn inwards at one place, for both walls there and no other", () => {
    const walls = planJob([room]).storeys.flatMap((storey) => storey.walls);
    const inwards = walls.flatMap(({ insideCorners: { start, end } }) => [start, end]).filter(Boolean);
    expect(walls).toHaveLength(6);
    expect(inwards).toHaveLength(2);
  });

  it("are known to a wall that is built there, left and right as it is seen from its room", () => {
    const built = room.runs.map((run) =>
      resolveWall(
        {
          ...masonryWallKind.defaults(run.id, run.id, contexts.imperial),
          plan: { roomId: room.id, hostId: run.id, stretch: { how: "whole" } },
        },
        planJob([room]),
      ),
    );
    const turned = built.flatMap(({ insideCorners }) => [insideCorners?.left, insideCorners?.right]);
    expect(turned.filter(Boolean)).toHaveLength(2);
    expect(built.flatMap(({ ends }) => [ends.left, ends.right]).every((end) => end.startsWith("corner"))).toBe(true);
  });
});
