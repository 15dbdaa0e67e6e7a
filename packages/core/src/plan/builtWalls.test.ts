import { settlePart } from "../assemblies";
import { countPart } from "../count";
import {
  buildableWalls,
  type Feature,
  framingOf,
  kindOf,
  measured,
  newFeature,
  newRoomOpening,
  type Room,
  rectangleDefaults,
  type StudWall,
  studWallKind,
  type WallOnPlan,
} from "../kinds";
import { isAssumed } from "../parts/choicesSlot";
import { contexts, library } from "../testing/library";
import { entered } from "../testing/rooms";
import { feet, inches } from "../units";
import { beyondOf, newWallOnPlan } from "./newWall";
import { planPoints } from "./points";
import { resolveParts } from "./resolve";
import { standingWall } from "./standing";
import { planJob } from "./storeyPlan";

const context = contexts.imperial;
const PARTITION = inches(4.5);
const room = (id: string, a: string, b: string): Room =>
  entered(rectangleDefaults(id, id, context), { "runs.a.length": a, "runs.b.length": b });

const withFeature = (each: Room, kind: Feature["kind"], entries: Record<string, string>): Room => {
  const feature = newFeature(each, "a", kind, "f", context);
  if (!feature) throw new Error("no room for it");
  const paths = Object.fromEntries(Object.entries(entries).map(([field, typed]) => [`features.f.${field}`, typed]));
  return entered({ ...each, features: [feature] }, paths);
};
const withDoor = (each: Room, id: string, position: string): Room => {
  const door = newRoomOpening(each, "a", "door", id, context);
  if (!door) throw new Error("no room for a door");
  const named = { ...door, name: id };
  return entered({ ...each, openings: [...each.openings, named] }, { [`openings.${id}.position`]: position });
};
const wallOn = (hostId: string, stretch: WallOnPlan["stretch"] = { how: "whole" }, id = `w/${hostId}`): StudWall => ({
  ...studWallKind.defaults(id, id, context),
  plan: { roomId: "hall", hostId, stretch },
});
const part = (fromFt: number, toFt: number): WallOnPlan["stretch"] => ({
  how: "part",
  from: measured(feet(fromFt), ""),
  to: measured(feet(toFt), ""),
});

// Wall A of the hall is 24 ft long, with a closet 6 ft wide and 3 ft deep from 9 to 15 ft; a door on both sides of it.
const closet = withFeature(room("hall", "24'", "12'"), "recess", {
  position: "9'",
  width: "6'",
  depth: "3'",
  thickness: '4 1/2"',
});
const hall = withDoor(withDoor(closet, "Near", "3'"), "Far", "18'");

const resolved = (wall: StudWall, walls: readonly StudWall[] = []): StudWall => {
  const parts = [hall, wall, ...walls];
  const found = resolveParts(parts, planJob(parts))[1];
  if (found?.kind !== "stud-wall") throw new Error("no wall");
  return found;
};
const points = (...walls: StudWall[]) =>
  planPoints([hall, ...walls], planJob([hall, ...walls]), context)
    .filter(({ point }) => point.path.startsWith("plan."))
    .map(({ point }) => point.message);

describe("walls of a room with a recess, built new", () => {
  it("are all that the plan draws, by names a builder knows", () => {
    expect(buildableWalls(hall).map((each) => each.name)).toEqual([
      "Wall A, to Recess 1",
      "Recess 1, first side",
      "Recess 1, back",
      "Recess 1, second side",
      "Wall A, from Recess 1",
      "Wall B",
      "Wall C",
      "Wall D",
    ]);
  });

  it("each has its length, and is counted; the doors are in the stretches they are in", () => {
    const walls = buildableWalls(hall).map(({ id }) => wallOn(id));
    const all = walls.map((wall) =>
      resolved(
        wall,
        walls.filter((each) => each !== wall),
      ),
    );
    for (const wall of all) {
      expect(wall.length.valueNm).toBeGreaterThan(feet(2.5));
      expect(countPart(wall, "imperial", library).lines.length).toBeGreaterThan(5);
    }
    expect(all.map((wall) => wall.openings.map((each) => each.name).join())).toEqual([
      "Near",
      "",
      "",
      "",
      "Far",
      "",
      "",
      "",
    ]);
    // The sides butt against the walls at both their ends: 3 ft less a partition.
    expect(all[1]?.length.valueNm).toBe(feet(3) - PARTITION);
    // Between the faces of the walls it ends at, the back is as long as the closet is wide.
    expect(all[2]?.length.valueNm).toBeGreaterThanOrEqual(feet(6));
    expect(points(...walls)).toEqual([]);
  });

  it("a whole run is told to go on past the recess, with what is in it, until that is built too", () => {
    const near = wallOn("a");
    expect(resolved(near).openings.map((each) => each.name)).toEqual(["Near"]);
    expect(points(near)[0]).toMatch(/goes on past a recess or bump: 9' 0" of it with Far is not built by this wall/);
    const [, , , , far] = buildableWalls(hall);
    expect(points(near, wallOn(far?.id ?? ""))).toEqual([]);
  });

  it("a stretch beyond the recess has its doors", () => {
    const stretch = resolved(wallOn("a", part(16, 23)));
    expect(stretch.length.valueNm).toBe(feet(7));
    expect(stretch.openings.map((each) => [each.name, each.position.valueNm])).toEqual([["Far", feet(2)]]);
  });

  it("a stretch that ends in a door says that the door is not framed in it", () => {
    const cut = wallOn("a", part(16, 19));
    expect(resolved(cut).openings).toEqual([]);
    expect(points(cut)[0]).toContain("Far lies across the end");
  });

  it("their lengths open the figures of the room that they are read as", () => {
    const slotOf = (hostId: string) =>
      kindOf(resolved(wallOn(hostId))).dimensions(resolved(wallOn(hostId)), context)[0];
    const paths = ["a", "f", "a/f/first-side", "a/1"].map((id) => slotOf(id)?.typedOn?.path);
    expect(paths).toEqual(["runs.a.length", "features.f.width", "features.f.depth", "runs.a.length"]);
  });

  it("and so with a bump", () => {
    const bumped = withFeature(room("hall", "24'", "12'"), "bump", {
      position: "9'",
      width: "6'",
      depth: "3'",
      thickness: '4 1/2"',
    });
    const names = buildableWalls(bumped).map((each) => each.name);
    expect(names.slice(0, 5)).toEqual([
      "Wall A, to Bump 1",
      "Bump 1, first side",
      "Bump 1, front",
      "Bump 1, second side",
      "Wall A, from Bump 1",
    ]);
    for (const { id } of buildableWalls(bumped)) {
      const parts = [bumped, wallOn(id)];
      expect(resolveParts(parts, planJob(parts))[1]).toMatchObject({ length: { valueNm: expect.any(Number) } });
    }
  });
});

describe("a new wall of a room", () => {
  const den: Room = {
    ...room("den", "8'", "12'"),
    place: { how: "joined", toRoomId: "hall", toRunId: "b", runId: "d", offset: measured(0, "") },
  };
  const newest = (id: string) => ({ id, version: 3 });
  const settledBearing = (wall: StudWall) => {
    const settled = settlePart({ ...wall, assembly: { ...wall.assembly, version: 1 } }, "imperial", library);
    return { value: framingOf(settled, "imperial").bearing, assumed: isAssumed(settled, "bearing") };
  };
  const make = (hostId: string, rooms: readonly Room[], from: Room = hall) =>
    newWallOnPlan(studWallKind, { id: "w", name: "New", room: from, hostId }, planJob(rooms), context, newest);

  it("starts as the outside wall, assumed to carry load, where nothing lies beyond it", () => {
    const wall = make("b", [hall]);
    expect(wall.assembly).toEqual({ id: "outside-wall", version: 3 });
    expect(settledBearing(wall)).toEqual({ value: true, assumed: true });
    const told = planPoints([hall, wall], planJob([hall, wall]), context).map(({ point }) => point.message);
    expect(told).toEqual(["Taken for an outside wall: nothing lies beyond it on the plan"]);
    const confirmed = { ...wall, choices: { ...wall.choices, bearing: true } };
    expect(planPoints([hall, confirmed], planJob([hall, confirmed]), context)).toEqual([]);
  });

  it("is counted in 2x6 with headers over its openings", () => {
    const wall = make("a/0", [hall]);
    const starters = { ...wall, assembly: { ...wall.assembly, version: 1 } };
    const [, inPlace] = resolveParts([hall, starters], planJob([hall, starters]));
    const lines = inPlace ? countPart(inPlace, "imperial", library).lines : [];
    const studs = lines.find((line) => line.rule === "studs");
    expect(studs?.itemCode).toBe("timber/2x6");
    expect(lines.some((line) => line.rule === "headers" && line.quantity > 0)).toBe(true);
    expect(lines.some((line) => line.rule === "sheathing" && line.quantity > 0)).toBe(true);
  });

  it("starts as the inside wall between rooms", () => {
    const wall = make("b", [hall, den]);
    expect(wall.assembly.id).toBe("inside-wall");
    expect(settledBearing(wall)).toEqual({ value: false, assumed: true });
    expect(planPoints([hall, den, wall], planJob([hall, den, wall]), context)).toEqual([]);
  });

  it("of which a part has nothing beyond it says so", () => {
    const shorter: Room = { ...den, ...entered(den, { "runs.b.length": "6'" }) };
    const wall = make("b", [hall, shorter]);
    const standing = standingWall(wall, planJob([hall, shorter, wall]));
    expect(standing && beyondOf(standing)).toBe("part");
    const told = planPoints([hall, shorter, wall], planJob([hall, shorter, wall]), context).map(
      ({ point }) => point.message,
    );
    expect(told).toEqual(["Part of it has nothing beyond it on the plan: check what it is built as"]);
  });

  it("past several rooms on one side only has nothing beyond it", () => {
    expect(make("a", [room("hall", "24'", "12'"), den]).assembly.id).toBe("outside-wall");
  });

  it("an inside wall that ends up outside is told", () => {
    const wall = { ...make("b", [hall, den]), name: "Old" };
    const told = planPoints([hall, wall], planJob([hall, wall]), context).map(({ point }) => point.message);
    expect(told).toEqual(["Nothing lies beyond it on the plan, and it is not built as an outside wall"]);
  });

  it("between rooms a partition apart counts as inside, whatever the tape slips", () => {
    expect(PARTITION).toBeLessThan(feet(1));
    const slipped: Room = {
      ...den,
      place: { how: "free", xNm: feet(24) + PARTITION + inches(1), yNm: 0, turnDegrees: 0 },
    };
    expect(make("b", [room("hall", "24'", "12'"), slipped]).assembly.id).toBe("inside-wall");
  });
});
