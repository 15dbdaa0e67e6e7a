import { type Part, type Room, rectangleDefaults, type StoreyPart, storeyKind } from "../kinds";
import { measured } from "../parts/dimension";
import { contexts, wallOf } from "../testing/library";
import { entered } from "../testing/rooms";
import { feet, inches, metres, millimetres } from "../units";
import { storeyLevels } from "./levels";
import { planJob } from "./storeyPlan";

const context = contexts.metric;
const room = (storey: string, ceiling: string): Room => ({
  ...entered(rectangleDefaults(storey, storey, context), {
    "runs.a.length": "4 m",
    "runs.b.length": "3 m",
    "ceiling.height": ceiling,
  }),
  storey,
});
const storey = (name: string, level: number, changes: Partial<StoreyPart> = {}): StoreyPart => ({
  ...storeyKind.defaults(`s/${name}`, name, context),
  level,
  ...changes,
});
const levelsOf = (parts: readonly Part[]) => {
  const levels = storeyLevels(planJob(parts));
  return Object.fromEntries(
    [...levels].map(([name, { floorNm, toNextNm, by }]) => [name, [floorNm / 1e6, toNextNm / 1e6, by]]),
  );
};

/** Arithmetic, in millimetres. */
describe("floor levels", () => {
  it("are over the highest ceiling below and the floor's thickness: 2400 and 300 where nobody measured it", () => {
    const parts = [storey("Ground", 0), room("Ground", "2.4 m"), storey("Upper", 1), room("Upper", "2.3 m")];
    expect(levelsOf(parts)).toEqual({ Ground: [0, 2700, "rooms"], Upper: [2700, 2600, "rooms"] });
    const thick = storey("Upper", 1, { floorBuildUp: measured(millimetres(380), "") });
    expect(levelsOf([storey("Ground", 0), room("Ground", "2.4 m"), thick])).toMatchObject({
      Upper: [2780, 3000, "usual"],
    });
  });

  it("are as measured where somebody did, whatever the rooms say", () => {
    const ground = storey("Ground", 0, { floorToFloor: measured(millimetres(2950), "") });
    const parts = [ground, room("Ground", "2.4 m"), storey("Upper", 1), storey("Attic", 2)];
    expect(levelsOf(parts)).toEqual({
      Ground: [0, 2950, "measured"],
      Upper: [2950, 3000, "usual"],
      Attic: [5950, 3000, "usual"],
    });
  });

  it("go down from the ground: a cellar of 2.1 m lies 2.4 m below it", () => {
    const parts = [storey("Cellar", -1), room("Cellar", "2.1 m"), storey("Ground", 0), room("Ground", "2.4 m")];
    expect(levelsOf(parts)).toMatchObject({ Cellar: [-2400, 2400, "rooms"], Ground: [0, 2700, "rooms"] });
  });

  it("are the same for storeys of one level, by the higher; storeys without a record stand on each other", () => {
    const beside = [
      storey("House", 0),
      room("House", "2.4 m"),
      storey("Store", 0),
      room("Store", "3.1 m"),
      storey("Loft", 1),
    ];
    expect(levelsOf(beside)).toEqual({
      House: [0, 3400, "rooms"],
      Store: [0, 3400, "rooms"],
      Loft: [3400, 3000, "usual"],
    });
    expect(levelsOf([room("One", "2.4 m"), room("Two", "2.4 m")])).toMatchObject({
      One: [0, 2700, "rooms"],
      Two: [2700, 2700, "rooms"],
    });
  });

  it("are by walls where no room says, and never minus nothing", () => {
    const wall = { ...wallOf("imperial", { lengthNm: feet(10), heightNm: inches(97.125) }), storey: "Ground" };
    const levels = storeyLevels(planJob([wall, storey("Upper", 1)]));
    expect(levels.get("Upper")?.floorNm).toBe(Math.round(inches(97.125)) + millimetres(300));
    expect(Object.is(levels.get("Ground")?.floorNm, 0)).toBe(true);
  });

  it("cannot be typed as nothing, or as more than a house has", () => {
    const said = (path: "floorToFloor" | "floorBuildUp", valueNm: number) =>
      storeyKind
        .problems(storeyKind.withDimension(storey("G", 0), path, valueNm, "", context), context)
        .map((each) => each.message);
    expect(said("floorToFloor", 0)).toEqual(["A storey is more than zero."]);
    expect(said("floorToFloor", metres(31)).join()).toContain("30");
    expect(said("floorBuildUp", metres(4)).join()).toContain("A floor");
    expect(said("floorBuildUp", millimetres(300))).toEqual([]);
  });
});
