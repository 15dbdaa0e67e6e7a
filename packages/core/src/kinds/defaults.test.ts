import { LARGEST_PHOTO_BYTES } from "../parts/base";
import { contexts } from "../testing/library";
import { feet, inches, metres, millimetres } from "../units";
import { newOpening } from "../wall";
import { PART_KINDS } from "./registry";
import { newFeature, newRoomOpening, rectangleDefaults } from "./room";
import { framingOf, studWallKind } from "./stud-wall";

// What is usual, in inches and in millimetres: common practice throughout.
const wall = (system: "imperial" | "metric") => studWallKind.defaults("w", "Wall", contexts[system]);

describe("what a new part begins with", () => {
  it("for a wall is a precut stud of 92 5/8 in and three plates, or 2400 mm; only its length is missing", () => {
    expect(wall("imperial").height).toEqual({ valueNm: inches(92.625 + 4.5), typed: "", assumed: true });
    expect(wall("metric").height.valueNm).toBe(millimetres(2400));
    expect(wall("imperial").length.valueNm).toBeNull();
    expect(wall("imperial").assembly).toEqual({ id: "inside-wall", version: 1 });
  });

  it("for its framing is a plain partition, all of it assumed", () => {
    const common = {
      bottomPlates: 1,
      topPlates: 2,
      bearing: false,
      sheathed: false,
      layoutFrom: "left",
      treatedPlate: false,
      cornerStyle: "three-stud",
      meetingStyle: "extra-studs",
      kingsPerSide: 1,
      twoJacksFrom: inches(72),
      sillPlies: 1,
      headerPacking: false,
      blockingEvery: 0,
      studsFrom: "timber",
      boardsNear: 0,
      boardsFar: 0,
      insulated: false,
      membrane: false,
      anchorBolts: false,
      holdDowns: false,
    };
    expect(framingOf(wall("imperial"), "imperial")).toEqual({
      ...common,
      studSize: "2x4",
      spacing: inches(16),
      doorAllowanceWidth: inches(2),
      doorAllowanceHeight: inches(2.5),
      windowAllowance: inches(0.5),
    });
    expect(framingOf(wall("metric"), "metric")).toEqual({
      ...common,
      studSize: "38x89",
      spacing: millimetres(600),
      doorAllowanceWidth: millimetres(50),
      doorAllowanceHeight: millimetres(65),
      windowAllowance: millimetres(12),
    });
    expect(wall("imperial").choices).toEqual({});
  });

  it("for openings in it is a 36 by 80 in door with its allowance, a window at sill height, an opening to the floor", () => {
    const long = { ...wall("imperial"), length: { valueNm: feet(20), typed: "", assumed: false } };
    const sizes = (["door", "window", "plain"] as const).map((kind) => {
      const { name, width, height, sill } = newOpening(long, kind, "o", "imperial", inches(4.5)) ?? {};
      return [name, ...[width, height, sill].map((each) => (each?.valueNm ?? 0) / inches(1))];
    });
    expect(sizes).toEqual([
      ["Door 1", 38, 82.5, 0],
      ["Window 1", 36, 48, 34],
      ["Opening 1", 36, 82.5, 0],
    ]);
    const metric = { ...wall("metric"), length: { valueNm: metres(6), typed: "", assumed: false } };
    const inMm = (["door", "window", "plain"] as const).map((kind) => {
      const { width, height, sill } = newOpening(metric, kind, "o", "metric", millimetres(114)) ?? {};
      return [width, height, sill].map((each) => (each?.valueNm ?? 0) / millimetres(1));
    });
    expect(inMm).toEqual([
      [890, 2070, 0],
      [900, 1050, 1000],
      [900, 2070, 0],
    ]);
  });

  it("for a room is boarded partitions round it, an 8 ft ceiling, and an inch that a walk may be out", () => {
    const start = (system: "imperial" | "metric") => PART_KINDS.room.defaults("r", "Room", contexts[system]);
    const figures = (system: "imperial" | "metric") => {
      const { runs, tolerance, ceiling } = start(system);
      return [runs[0]?.thickness.valueNm, tolerance.valueNm, ceiling.height.valueNm, runs[0]?.turnDegrees.value];
    };
    expect(figures("imperial")).toEqual([inches(4.5), inches(1), feet(8), -90]);
    expect(figures("metric")).toEqual([millimetres(115), millimetres(25), millimetres(2400), -90]);
  });

  it("for walls by totals is an outside wall with windows of 3 by 4 ft", () => {
    const totals = (system: "imperial" | "metric") =>
      PART_KINDS["wall-totals"].defaults("t", "Walls", contexts[system]);
    const { height, openingWidth, openingHeight, corners, meetings, openings, assembly } = totals("imperial");
    expect([height, openingWidth, openingHeight].map(({ valueNm, assumed }) => [valueNm, assumed])).toEqual([
      [feet(8), true],
      [feet(3), true],
      [feet(4), true],
    ]);
    expect([corners, meetings, openings, assembly]).toEqual([0, 0, 0, { id: "outside-wall", version: 1 }]);
    const metric = totals("metric");
    expect([metric.height, metric.openingWidth, metric.openingHeight].map(({ valueNm }) => valueNm)).toEqual(
      [2400, 900, 1200].map(millimetres),
    );
    expect(totals("imperial").length.valueNm).toBeNull();
  });

  it("for what is put in a room is named by its number, and stands where there is room", () => {
    const den = rectangleDefaults("d", "Den", contexts.imperial);
    const lengths: Record<string, number> = { a: feet(12), b: feet(10), c: feet(12), d: feet(10) };
    const room = {
      ...den,
      runs: den.runs.map((run) => ({
        ...run,
        length: { valueNm: lengths[run.id] ?? 0, typed: "", assumed: false },
      })),
    };
    const recess = newFeature(room, "a", "recess", "f", contexts.imperial);
    expect([recess?.name, recess?.width.valueNm, recess?.depth.valueNm]).toEqual(["Recess 1", feet(4), feet(2)]);
    const door = newRoomOpening(room, "a", "door", "o1", contexts.imperial);
    if (!door) throw new Error("no room for a door");
    const with1 = { ...room, openings: [door] };
    expect(newRoomOpening(with1, "a", "door", "o2", contexts.imperial)?.name).toBe("Door 2");
    expect(newRoomOpening(with1, "a", "window", "o2", contexts.imperial)?.name).toBe("Window 1");
    // A door of 38 in in the middle of 144; the next, in the longer half of what is left on either side of one at 24 in.
    expect((door.position.valueNm ?? 0) / inches(1)).toBe(53);
    const placed = { ...room, openings: [{ ...door, position: { valueNm: inches(24), typed: "", assumed: false } }] };
    const placeOf = (hostId: string) => {
      const next = newRoomOpening(placed, hostId, "door", "o2", contexts.imperial);
      return (next?.position.valueNm ?? 0) / inches(1);
    };
    // From 62 to 144 there are 82 in, of which 44 are left over; in another wall nothing is in the way: 120 in.
    expect([placeOf("a"), placeOf("b")]).toEqual([62 + 22, 41]);
    expect(newRoomOpening(room, "none", "door", "o2", contexts.imperial)).toBeUndefined();
  });
});

describe("a photo", () => {
  it("is at most 8 MiB", () => expect(LARGEST_PHOTO_BYTES).toBe(8_388_608));
});
