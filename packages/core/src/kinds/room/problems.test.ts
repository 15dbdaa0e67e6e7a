import { contexts } from "../../testing/library";
import { feet, inches, metres, type Nanometres } from "../../units";
import { roomKind } from "../index";
import { newFeature, newRoomOpening, rectangleDefaults } from "./defaults";
import type { Room } from "./schema";

const context = contexts.imperial;
const figure = (valueNm: Nanometres) => ({ valueNm, typed: "", assumed: false });
const LENGTHS: Record<string, Nanometres> = { a: feet(12), b: feet(10), c: feet(12), d: feet(10) };
const start = rectangleDefaults("den", "Den", context);
const den: Room = { ...start, runs: start.runs.map((run) => ({ ...run, length: figure(LENGTHS[run.id] ?? 0) })) };
const told = (room: Room) => roomKind.problems(room, context).map(({ code, path }) => `${code} ${path}`);

describe("what a room cannot be", () => {
  const ceiling = (changes: Partial<Room["ceiling"]>): Room => ({ ...den, ceiling: { ...den.ceiling, ...changes } });

  it("is lower than nothing or higher than 30 m, or lower at its highest", () => {
    expect(told(den)).toEqual([]);
    expect(told(ceiling({ height: figure(metres(30)) }))).toEqual([]);
    expect(told(ceiling({ height: figure(metres(30) + 1) }))).toEqual(["too-high ceiling.height"]);
    expect(told(ceiling({ height: figure(0) }))).toEqual(["not-positive ceiling.height"]);
    const sloped = (highNm: Nanometres) =>
      told(
        ceiling({ shape: { value: "sloped", assumed: false }, height: figure(feet(8)), highHeight: figure(highNm) }),
      );
    expect(sloped(feet(8) + 1)).toEqual([]);
    expect(sloped(feet(8))).toEqual(["high-below-low ceiling.highHeight"]);
    expect(told(ceiling({ height: figure(feet(8)), highHeight: figure(feet(7)) }))).toEqual([]);
  });

  it("has a wall longer than 200 m, of no length, or thinner than nothing", () => {
    const wallA = (lengthNm: Nanometres, thicknessNm = inches(4.5)): Room => ({
      ...den,
      runs: den.runs.map((run) =>
        run.id === "a" ? { ...run, length: figure(lengthNm), thickness: figure(thicknessNm) } : run,
      ),
    });
    expect(told(wallA(metres(200))).filter((each) => each.includes("runs.a"))).toEqual([]);
    expect(told(wallA(metres(200) + 1))).toContain("too-long runs.a.length");
    expect(told(wallA(0))).toContain("not-positive runs.a.length");
    expect(told(wallA(feet(12), 0))).toEqual([]);
    expect(told(wallA(feet(12), -1))).toContain("negative runs.a.thickness");
  });

  it("has two things of one id", () => {
    const [first] = den.runs;
    if (!first) throw new Error("a room begins with a wall");
    expect(told({ ...den, runs: [...den.runs, first] })).toContain("duplicate-id ");
  });
});

describe("what cannot be in a wall of a room", () => {
  const door = newRoomOpening(den, "a", "door", "o", context);
  const recess = newFeature(den, "a", "recess", "f", context);
  if (!door || !recess) throw new Error("no room in 12 ft");
  const withDoor = (changes: Partial<typeof door>): string[] => told({ ...den, openings: [{ ...door, ...changes }] });
  const withRecess = (changes: Partial<typeof recess>): string[] =>
    told({ ...den, features: [{ ...recess, ...changes }] });

  it("is a door past its corner, above the ceiling, off the floor, or in a wall that is not there", () => {
    const at = (positionNm: Nanometres) => withDoor({ position: figure(positionNm), width: figure(feet(3)) });
    expect(at(feet(9))).toEqual([]);
    expect(at(feet(9) + 1)).toEqual(["across-corner openings.o.position"]);
    expect(at(0)).toEqual([]);
    expect(at(-1)).toEqual(["negative openings.o.position"]);
    expect(withDoor({ height: figure(feet(8)) })).toEqual([]);
    expect(withDoor({ height: figure(feet(8) + 1) })).toHaveLength(1);
    expect(withDoor({ sill: figure(1) })).toContain("door-with-sill openings.o.sill");
    expect(withDoor({ hostId: "none" })).toEqual(["no-wall openings.o.position"]);
    expect(withDoor({ width: figure(0) })).toEqual(["not-positive openings.o.width"]);
  });

  it("is a recess past its corner, of no size, or in a wall that is not there", () => {
    const wide = { width: figure(feet(4)) };
    expect(withRecess({ ...wide, position: figure(feet(8)) })).toEqual([]);
    expect(withRecess({ ...wide, position: figure(feet(8) + 1) })).toContain("past-corner features.f.width");
    expect(withRecess({ depth: figure(0) })).toContain("not-positive features.f.depth");
    expect(withRecess({ runId: "none" })).toContain("no-wall features.f.position");
  });
});
