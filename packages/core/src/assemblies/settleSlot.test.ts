import { canBeConfirmed, PART_KINDS, withConfirmed } from "../kinds";
import { assemblyOf, contexts, library } from "../testing/library";
import { inches } from "../units";
import { settleBy, settlePart, slotDefaultProblems } from "./settleSlot";
import { type HouseStandard, standardProblems } from "./standard";

const wall = PART_KINDS["stud-wall"].defaults("w", "Wall", contexts.imperial);
const frame = assemblyOf("imperial", wall.assembly.id);
const standardOf = (name: string, value: HouseStandard["parameters"][number]["value"]): HouseStandard => ({
  schemaVersion: 1,
  id: "house",
  version: 1,
  name: "Ours",
  system: "imperial",
  parameters: [{ assemblyId: "", name, value }],
  waste: [],
  productivity: [],
});
const at24 = standardOf("spacing", inches(24));

describe("assumed choices of framing", () => {
  it("are the house's where it says something: its decision is no assumption", () => {
    const { spacingNm, topPlates } = settleBy(wall, frame, at24).parameters;
    expect(spacingNm).toEqual({ value: inches(24), assumed: false });
    expect(topPlates.assumed).toBe(true);
  });

  it("are decided as well where the house says what is assumed anyway", () => {
    const same = standardOf("spacing", wall.parameters.spacingNm.value);
    expect(settleBy(wall, frame, same).parameters.spacingNm).toEqual({
      ...wall.parameters.spacingNm,
      assumed: false,
    });
  });

  it("stay as a person confirmed them", () => {
    const confirmed = { value: inches(12), assumed: false };
    const own = { ...wall, parameters: { ...wall.parameters, spacingNm: confirmed } };
    expect(settleBy(own, frame, at24).parameters.spacingNm).toEqual(confirmed);
  });

  it("without a house are the assembly's, and still assumed", () => {
    const outside = assemblyOf("imperial", "outside-wall");
    const { bearing } = settleBy(wall, outside, undefined).parameters;
    expect(bearing).toEqual({ value: true, assumed: true });
  });

  it("go to the next in line, and it is told, where the house says what nobody can build by", () => {
    const none = standardOf("spacing", 0);
    expect(slotDefaultProblems(wall, frame, none)).toEqual([
      expect.objectContaining({ code: "out-of-limits", path: "parameters.spacingNm" }),
    ]);
    expect(settleBy(wall, frame, none).parameters.spacingNm.assumed).toBe(true);
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
    expect(wall.parameters.bearing).toEqual({ value: false, assumed: true });
    const now = withConfirmed(outside, settled, ["parameters.bearing", "height"]);
    expect(now.parameters.bearing).toEqual({ value: true, assumed: false });
    expect(now.parameters.spacingNm).toBe(outside.parameters.spacingNm);
  });

  it("changes nothing that is measured, missing, or no figure at all", () => {
    const paths = ["length", "no-such-figure", "parameters.noSuchChoice", "openings.none.width"];
    expect(withConfirmed(outside, settled, paths)).toEqual(outside);
    expect(paths.map((path) => canBeConfirmed(outside, path))).toEqual([false, false, false, false]);
    expect(canBeConfirmed(outside, "parameters.bearing")).toBe(true);
  });
});
