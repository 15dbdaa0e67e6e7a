import {
  type Assembly,
  type AssemblyRule,
  blankAssembly,
  type HouseStandard,
  settlePart,
  standardProductivity,
} from "../assemblies";
import {
  enterDimension,
  kindOf,
  PART_KINDS,
  type Part,
  rectangleDefaults,
  type StudWall,
  studWallKind,
} from "../kinds";
import { orderJob } from "../order";
import { buildUpJob } from "../price";
import {
  assemblyOf,
  contexts,
  library,
  openingOf,
  starterCompanySettings,
  starterPriceList,
  wallOf,
} from "../testing/library";
import { entered } from "../testing/rooms";
import { feet, inches } from "../units";
import { countPart, runExamples } from "./index";

const context = contexts.imperial;
const { pricing } = starterCompanySettings;
const rule = (name: string, formula: string, more: Partial<AssemblyRule> = {}): AssemblyRule => ({
  name,
  label: name,
  trade: "Joinery",
  phase: "",
  formula,
  unit: "piece",
  item: "",
  buying: "whole",
  sentence: "So many.",
  ...more,
});
const standardWith = (productivity: HouseStandard["productivity"]): HouseStandard => ({
  schemaVersion: 2,
  id: "s",
  version: 1,
  name: "S",
  system: "imperial",
  parameters: [],
  waste: [],
  productivity,
  tables: [],
});

/** What three spots cost in labour by an assembly of such rules. */
function labourOf(rules: AssemblyRule[], productivity: HouseStandard["productivity"] = []) {
  const assembly: Assembly = { ...blankAssembly("own", "Own", "imperial", "spots"), rules };
  const standard = standardWith(productivity);
  const spots: Part = {
    ...PART_KINDS.spots.defaults("p", "Posts", context),
    count: 3,
    uses: [{ id: "u", assembly: { id: "own", version: 1 }, choices: {} }],
  };
  const count = countPart(spots, "imperial", { ...library, assemblies: [assembly], standard });
  const order = orderJob(count.lines, starterPriceList, "imperial");
  const built = buildUpJob({
    counts: [count],
    order,
    priceList: starterPriceList,
    pricing,
    productivity: (task) => standardProductivity(standard, task),
    system: "imperial",
  });
  return {
    hours: built.labourHours,
    cost: built.kinds.find((each) => each.kind === "labour")?.cost,
    byPart: built.byPart,
    said: built.lines.filter((line) => line.kind === "labour").map((line) => line.description),
  };
}

describe("labour of a rule", () => {
  it("says how many, how long each takes, and a pace that is not the usual", () => {
    const headers = rule("fit", "count", { task: "headers" });
    expect(labourOf([headers]).said).toEqual(["Make up and fix headers and flat plates: 3 × 0.4 h"]);
    expect(labourOf([headers], [{ task: "", percent: 101 }]).said).toEqual([
      "Make up and fix headers and flat plates: 3 × 0.4 h × 101 %",
    ]);
    expect(labourOf([headers], [{ task: "headers", percent: 100 }]).said).toEqual([
      "Make up and fix headers and flat plates: 3 × 0.4 h",
    ]);
  });

  it("with a task and no item is counted: three at 0.4 h are 1.2 h", () => {
    expect(labourOf([rule("fit", "count", { task: "headers" })])).toMatchObject({ hours: "1.2", cost: "55.20" });
  });

  it("given in hours goes at the house's pace for all tasks, and for its own", () => {
    const fit = rule("fit", "count * 1 hour", { unit: "hour" });
    expect(labourOf([fit]).hours).toBe("3");
    expect(labourOf([fit], [{ task: "", percent: 125 }]).hours).toBe("3.75");
    const boarding = { ...fit, task: "boarding" };
    expect(
      labourOf(
        [boarding],
        [
          { task: "boarding", percent: 150 },
          { task: "", percent: 125 },
        ],
      ).hours,
    ).toBe("4.5");
    // Its hours are the rule's own: the task's hours a sheet do not come on top.
    expect(labourOf([boarding]).hours).toBe("3");
  });
});

describe("a figure that was refused", () => {
  const boarded = (part: Part): Part => {
    const { version } = assemblyOf("imperial", "room-board");
    return { ...part, uses: [{ id: "u", assembly: { id: "room-board", version }, choices: {} }] };
  };
  const room = boarded(
    entered(rectangleDefaults("r", "Room", context), { "runs.a.length": "12'", "runs.b.length": "10'" }),
  );

  it("leaves the last good one in force for a room: count and order stay as they were", () => {
    const before = countPart(room, "imperial", library);
    const { part, problem } = enterDimension(kindOf(room), room, "ceiling.height", "-3", context);
    expect(problem).toBeDefined();
    const after = countPart(part, "imperial", library);
    expect(after.waits).toBe(false);
    expect(after.lines.map((line) => [line.key, line.quantity])).toEqual(
      before.lines.map((line) => [line.key, line.quantity]),
    );
    expect(after.openPoints.some((point) => point.kind === "refused")).toBe(true);
  });

  it("and for a length", () => {
    const skirting: Assembly = {
      ...blankAssembly("own", "Own", "imperial", "length"),
      rules: [rule("strip", "length", { unit: "length", item: "trim/casing", buying: "run" })],
    };
    const own = { ...library, assemblies: [skirting] };
    const kind = PART_KINDS.length;
    const rail = enterDimension(kind, kind.defaults("l", "Rail", context), "length", "30'", context).part;
    const used = { ...rail, uses: [{ id: "u", assembly: { id: "own", version: 1 }, choices: {} }] };
    const refused = enterDimension(kind, used, "length", "twelve", context).part;
    expect(countPart(refused, "imperial", own).lines[0]?.quantity).toBeCloseTo(9.144, 6);
  });
});

describe("an entry", () => {
  // A partition has one top plate; until it is settled two are assumed.
  const wall: StudWall = {
    ...wallOf("imperial", {
      lengthNm: feet(12),
      heightNm: inches(97.125),
      assemblyId: "partition",
      openings: [openingOf("door", "d", { positionNm: feet(4), widthNm: feet(3), heightNm: inches(80) })],
    }),
    choices: {},
  };
  const enter = (settle: (part: StudWall) => StudWall) =>
    enterDimension(studWallKind, wall, "openings.d.height", '95 1/2"', context, settle);

  it("is judged by the choices that the wall is built by: a head fits under the one top plate there is", () => {
    const settled = enter((part) => settlePart(part, "imperial", library));
    expect(settled.problem).toBeUndefined();
    expect(countPart(settled.part, "imperial", library).problems).toEqual([]);
    expect(enter((part) => part).problem?.code).toBe("head-above-plate");
  });
});

describe("an example's choices", () => {
  const assembly = assemblyOf("imperial");
  const [plain] = assembly.examples;
  const failures = (choices: Record<string, string | number | boolean>) => {
    const examples = plain ? [{ ...plain, choices: { ...plain.choices, ...choices } }] : [];
    return runExamples({ ...assembly, examples }, library)[0]?.failures;
  };

  it("are lengths where lengths belong", () => {
    expect(failures({ spacing: "16 in" })).toEqual([]);
    expect(failures({ spacing: inches(16) })).toEqual([]);
  });

  it.each([
    ["a bare number of nanometres", { spacing: 16 }, "spacing: Stud spacing"],
    ["a word", { spacing: "close" }, "spacing: "],
    ["no whole number", { spacing: 0.5 }, "spacing: Stud spacing: “0.5” is not one of its choices"],
    ["a yes where a length belongs", { spacing: true }, "is no value for it"],
    ["a choice there is not", { spaceing: "16 in" }, "there is no such choice"],
    ["a stud that is not in the library", { studSize: "toString" }, "there is no “toString”"],
  ])("%s fails the example, in words", (_, choices, message) => {
    expect(failures(choices)?.join(" ")).toContain(message);
  });
});
