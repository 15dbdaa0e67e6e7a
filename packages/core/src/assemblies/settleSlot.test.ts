import { canBeConfirmed, type FramingChoice, framingOf, PART_KINDS, type StudWall, withConfirmed } from "../kinds";
import { isAssumed } from "../parts/choicesSlot";
import { assemblyOf, contexts, library } from "../testing/library";
import { inches, millimetres } from "../units";
import { settleBy, settlePart, slotDefaultProblems } from "./settleSlot";
import { type HouseStandard, standardProblems } from "./standard";

const wall = PART_KINDS["stud-wall"].defaults("w", "Wall", contexts.imperial);
const frame = assemblyOf("imperial", wall.assembly.id);
const standardOf = (name: string, value: HouseStandard["parameters"][number]["value"]): HouseStandard => ({
  schemaVersion: 2,
  id: "house",
  version: 1,
  name: "Ours",
  system: "imperial",
  parameters: [{ assemblyId: "", name, value }],
  waste: [],
  productivity: [],
  tables: [],
});
const at24 = standardOf("spacing", inches(24));

describe("assumed choices of framing", () => {
  const at = (part: StudWall, name: FramingChoice) => ({
    value: framingOf(part, "imperial")[name],
    assumed: isAssumed(part, name),
  });

  it("are the house's where it says something: its decision is no assumption", () => {
    const settled = settleBy(wall, frame, at24);
    expect(at(settled, "spacing")).toEqual({ value: inches(24), assumed: false });
    expect(at(settled, "topPlates").assumed).toBe(true);
  });

  it("are decided as well where the house says what is assumed anyway", () => {
    const same = standardOf("spacing", framingOf(wall, "imperial").spacing);
    expect(at(settleBy(wall, frame, same), "spacing")).toEqual({ value: inches(16), assumed: false });
  });

  it("stay as a person confirmed them", () => {
    const own = { ...wall, choices: { spacing: inches(12) } };
    expect(at(settleBy(own, frame, at24), "spacing")).toEqual({ value: inches(12), assumed: false });
  });

  it("without a house are the assembly's, and still assumed", () => {
    const outside = assemblyOf("imperial", "outside-wall");
    expect(at(settleBy(wall, outside, undefined), "bearing")).toEqual({ value: true, assumed: true });
  });

  it("go to the next in line, and it is told, where the house says what nobody can build by", () => {
    const none = standardOf("spacing", 0);
    expect(slotDefaultProblems(wall, frame, none)).toEqual([
      expect.objectContaining({ code: "out-of-limits", path: "choices.spacing" }),
    ]);
    expect(at(settleBy(wall, frame, none), "spacing").assumed).toBe(true);
  });

  it("of a wall whose assembly the library lacks are what is usual in its own system, and assumed", () => {
    const gone = {
      ...PART_KINDS["stud-wall"].defaults("w", "W", contexts.metric),
      assembly: { id: "gone", version: 9 },
    };
    const settled = settlePart(gone, "metric", library);
    expect([framingOf(settled, "imperial").doorAllowanceWidth, isAssumed(settled, "spacing")]).toEqual([
      millimetres(50),
      true,
    ]);
  });

  it("settled again by the same is the same wall, so that nothing is worked out anew", () => {
    expect(settleBy(wall, frame, at24)).toBe(settleBy(wall, frame, at24));
  });

  it("are told in the standard itself where nobody can build by them; what is no framing is the assembly's own", () => {
    const at = (name: string, value: number | string) =>
      standardProblems(standardOf(name, value)).map(({ path }) => path);
    expect(at("spacing", 0)).toEqual(["parameters.0.value"]);
    expect(at("spacing", inches(24))).toEqual([]);
    expect(at("apart", 0)).toEqual([]);
  });

  it("of a part that nothing frames are none: it is the same part", () => {
    const room = PART_KINDS.room.defaults("r", "Room", contexts.imperial);
    expect(settlePart(room, "imperial", { ...library, standard: at24 })).toBe(room);
  });
});

describe("confirming as it stands", () => {
  const outside = { ...wall, assembly: { id: "outside-wall", version: 1 } };
  const settled = settlePart(outside, "imperial", { ...library, standard: undefined });

  it("takes what the part is counted by, which its assembly can have set", () => {
    expect(framingOf(wall, "imperial").bearing).toBe(false);
    const now = withConfirmed(outside, settled, ["choices.bearing", "height"], contexts.imperial);
    expect(now.choices).toEqual({ bearing: true });
  });

  it("changes nothing that is measured, missing, or no figure at all", () => {
    const paths = ["length", "no-such-figure", "choices.noSuchChoice", "openings.none.width"];
    expect(withConfirmed(outside, settled, paths, contexts.imperial)).toEqual(outside);
    expect(paths.map((path) => canBeConfirmed(outside, path, contexts.imperial))).toEqual([false, false, false, false]);
    expect(canBeConfirmed(outside, "choices.bearing", contexts.imperial)).toBe(true);
  });
});
