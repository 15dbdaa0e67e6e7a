import fc from "fast-check";
import { type Assembly, type AssemblyRule, blankAssembly, type Library } from "../assemblies";
import { measured, PART_KINDS, type Part, type SpotsPart, type StudWall, type WallTotals } from "../kinds";
import { orderJob } from "../order";
import { assemblyOf, contexts, library, openingOf, starterPriceList, wallOf } from "../testing/library";
import { feet, inches, metres, millimetres, priceTimes, sumMoney } from "../units";
import { type CountLine, compareCounts, countJob, countPart, marksOf, quantityText, runExamples } from "./index";

const context = contexts.imperial;
const wall = wallOf("imperial", { lengthNm: feet(12), heightNm: inches(97.125) });
const find = (lines: readonly CountLine[], rule: string): CountLine => {
  const found = lines.find((line) => line.rule === rule);
  if (!found) throw new Error(`no line of ${rule} among ${lines.map((line) => line.rule).join(", ")}`);
  return found;
};
const applied = (part: Part, assembly: Assembly, choices = {}): Part => ({
  ...part,
  uses: [{ id: "u", assembly: { id: assembly.id, version: assembly.version }, choices }],
});
const spotsOf = (count: number): SpotsPart => ({
  ...PART_KINDS.spots.defaults("s", "Doors", context),
  what: "door",
  count,
});
const countBy = (part: Part, assembly: Assembly) =>
  countPart(part, "imperial", { ...library, assemblies: [...library.assemblies, assembly] });
const custom = (...rules: Partial<AssemblyRule>[]): Assembly => ({
  ...blankAssembly("custom", "Custom", "imperial", "stud-wall"),
  rules: rules.map((rule, index) => ({
    name: `r${index}`,
    label: `Rule ${index}`,
    trade: "Framing",
    phase: "",
    formula: "openings",
    unit: "piece",
    item: "nail/16d",
    buying: "whole",
    sentence: "So many.",
    ...rule,
  })),
});

describe("boards and compound by the area (common practice)", () => {
  // 49 sheets of 4 x 10 ft are 1960 sq ft (arithmetic); general compound at 850 sq ft a pail: three pails.
  const byArea: Assembly = {
    ...blankAssembly("boards", "Boards", "imperial", "area"),
    rules: [
      { name: "sheets", formula: "ceil(area / 40 sqft)", unit: "sheet", item: "sheet/board-4x10" },
      { name: "pails", formula: "ceil(area / 850 sqft)", unit: "pail", item: "board/compound" },
    ].map((rule) => ({ ...custom({}).rules[0], ...rule, label: rule.name }) as AssemblyRule),
  };
  const areaOf = (squareFeet: number): Part => {
    const side = measured(Math.round(Math.sqrt(squareFeet) * feet(1)), "");
    return { ...PART_KINDS.area.defaults("a", "Ceiling", context), length: side, width: side };
  };
  const quantities = (squareFeet: number) =>
    countBy(applied(areaOf(squareFeet), byArea), byArea).lines.map((line) => line.quantity);

  it("1960 sq ft are 49 sheets and three pails; a hair less is no fewer, a foot more is one sheet more", () => {
    expect(quantities(1960)).toEqual([49, 3]);
    expect(quantities(1959.9)).toEqual([49, 3]);
    expect(quantities(1961)).toEqual([50, 3]);
    expect(quantities(1700.1)[1]).toBe(3);
    expect(quantities(1699)[1]).toBe(2);
  });
});

describe("a door set (common practice: 1 leaf, 1 frame, 3 hinges, 33 ft of casing, half an hour)", () => {
  const { lines } = countPart(applied(spotsOf(7), assemblyOf("imperial", "door-set")), "imperial", library);

  it("seven sets are 21 hinges, 231 ft and 3.5 hours", () => {
    expect(find(lines, "hingesInAll").quantity).toBe(21);
    expect(quantityText(find(lines, "casingRun").quantity, "length", "imperial")).toBe("231 ft");
    expect(find(lines, "hanging").quantity).toBe(3.5);
  });

  it("shows its working with the numbers put in, and what it comes from", () => {
    const { working } = find(lines, "hingesInAll");
    expect(working).toMatchObject({ formula: "count × hinges", withNumbers: "7 × 3 = 21 hinges" });
    expect(working.from.map((each) => each.label)).toEqual(["Count", "Hinges a door"]);
  });

  it("five sets cost 1298.70 at these prices (arithmetic)", () => {
    // 118.40 + 64.25 + 3 × 6.15 + 33 × 1.08 + 0.5 × 46 = 259.74; five are 1298.70.
    const one = [
      priceTimes("118.40", 1),
      priceTimes("64.25", 1),
      priceTimes("6.15", 3),
      priceTimes("1.08", 33),
      priceTimes("46", "0.5"),
    ];
    expect(sumMoney(one)).toBe("259.74");
    expect(priceTimes(sumMoney(one), 5)).toBe("1298.70");
  });

  it("buys casing end to end: 231 ft is sixteen lengths of 14 ft and one of 7 ft", () => {
    const bought = orderJob(lines, starterPriceList, "imperial").lines.filter(
      (line) => line.itemCode === "trim/casing",
    );
    expect(bought.map((line) => [line.stockNm, line.quantity])).toEqual([
      [feet(14), 16],
      [feet(7), 1],
    ]);
  });
});

describe("walls by totals", () => {
  const totals = (more: Partial<WallTotals> = {}): WallTotals => ({
    ...PART_KINDS["wall-totals"].defaults("t", "Outside walls", context),
    length: measured(feet(118), "118'"),
    height: measured(feet(9), "9'"),
    corners: 8,
    meetings: 5,
    openings: 11,
    ...more,
  });
  const count = countPart(totals(), "imperial", library);

  it("118 ft, 8 corners, 5 meeting walls, 11 openings: 90 studs and two more for each place", () => {
    // 1416 / 16 = 88.5: 89 spaces, 90 studs. Two extra for each corner, meeting wall and opening (common practice).
    expect(find(count.lines, "studs").quantity).toBe(90);
    expect(find(count.lines, "cornerStuds").quantity).toBe(16);
    expect(find(count.lines, "meetingStuds").quantity).toBe(10);
    expect(find(count.lines, "kings").quantity).toBe(22);
  });

  it("35 such places take 70 studs (common practice)", () => {
    const lines = countPart(totals({ corners: 8, meetings: 5, openings: 22 }), "imperial", library).lines;
    const extra = ["cornerStuds", "meetingStuds", "kings"].map((rule) => find(lines, rule).quantity);
    expect(extra.reduce((sum, each) => sum + each, 0)).toBe(70);
  });

  it("is within the band of one stud for each foot of wall that covers corners and openings (common practice)", () => {
    const studs = ["studs", "cornerStuds", "meetingStuds", "kings"].map((rule) => find(count.lines, rule).quantity);
    const all = studs.reduce((sum, each) => sum + each, 0);
    expect(all / 118).toBeGreaterThan(0.9);
    expect(all / 118).toBeLessThan(1.3);
  });

  it("is marked as reckoned, draws nothing, and says so among the open points", () => {
    expect(new Set(count.lines.map((line) => line.basis))).toEqual(new Set(["reckoned"]));
    expect(count.pieces).toEqual([]);
    expect(count.openPoints.some((point) => point.message.startsWith("Reckoned from totals"))).toBe(true);
  });

  it("76 m at 450 mm has 76 m each of bottom plate and top plate (common practice)", () => {
    const start = PART_KINDS["wall-totals"].defaults("m", "Walls", contexts.metric);
    const metric: WallTotals = {
      ...start,
      length: measured(metres(76), "76 m"),
      choices: { ...start.choices, spacing: millimetres(450) },
    };
    const { lines } = countPart(metric, "metric", library);
    for (const rule of ["bottomPlateRuns", "topPlateRuns", "capPlateRuns"]) {
      expect(find(lines, rule).cutLengthsNm.reduce((sum, nm) => sum + nm, 0)).toBe(metres(76));
    }
    expect(find(lines, "studs").quantity).toBe(170);
  });
});

describe("what cannot be counted is said, and the rest is counted", () => {
  const opened: StudWall = {
    ...wall,
    openings: [openingOf("door", "d", { positionNm: feet(4), widthNm: inches(38), heightNm: inches(82.5) })],
  };

  it.each([
    ["a formula with a typo", { formula: "lenght / spacing" }, "There is no “lenght” here. Did you mean “length”?"],
    [
      "a division by nothing",
      { formula: "ceil(length / (openings - 1) / 1 m)" },
      "This divides by nothing: it is 0 here.",
    ],
    ["less than nothing", { formula: "openings - 3" }, "It comes to less than nothing: -2."],
    [
      "a unit mistake",
      { formula: "length + area" },
      "“length” is a length and “area” is an area: they cannot be added.",
    ],
  ])("%s", (_, rule, message) => {
    const assembly = custom(rule, { formula: "openings * 2" });
    const count = countBy(applied(opened, assembly), assembly);
    const [wrong, right] = count.lines.filter((line) => line.assembly.id === "custom");
    expect(wrong).toMatchObject({ quantity: 0, missing: message });
    expect(right).toMatchObject({ quantity: 2, missing: undefined });
    expect(count.openPoints.some((point) => point.message === `Rule 0: ${message}`)).toBe(true);
    expect(find(count.lines, "studs").quantity).toBeGreaterThan(0);
  });

  it("a circle of rules", () => {
    const assembly = custom({ formula: "r1 + 1" }, { formula: "r0 + 1" }, { formula: "openings" });
    const lines = countBy(applied(opened, assembly), assembly).lines.filter((line) => line.assembly.id === "custom");
    expect(lines.map((line) => [line.rule, line.quantity])).toEqual([
      ["r2", 1],
      ["r0", 0],
      ["r1", 0],
    ]);
    expect(lines[1]?.missing).toContain("go round in a circle");
  });

  it("a value the part lacks: a room without a height has no wall area", () => {
    const room = PART_KINDS.room.defaults("r", "Room", context);
    const sides = [feet(12), feet(10), feet(12), feet(10)];
    const [first] = room.runs;
    if (!first) throw new Error("a room begins with a wall");
    const runs = sides.map((nm, index) => ({ ...first, id: `w${index}`, length: measured(nm, "") }));
    const flat = { ...room, runs, finished: true, ceiling: { ...room.ceiling, height: measured(feet(8), "8'") } };
    const boards = assemblyOf("imperial", "room-board");
    const { lines } = countPart(applied(flat, boards), "imperial", library);
    // 44 ft of wall 8 ft high and 120 sq ft of ceiling are 472 sq ft; 4 x 10 ft boards cover 40: 11.8, so 12 (arithmetic).
    expect(find(lines, "boards").quantity).toBe(12);
    const assembly: Assembly = {
      ...boards,
      id: "custom",
      rules: [{ ...custom({}).rules[0], formula: "tally" } as AssemblyRule],
    };
    expect(countBy(applied(flat, assembly), assembly).lines[0]?.missing).toContain("There is no “tally” here");
  });

  it("an assembly that is not there, and one for another kind of part", () => {
    const lost = countPart({ ...wall, assembly: { id: "gone", version: 3 } }, "imperial", library);
    expect(lost.problems[0]).toMatchObject({ code: "assembly-missing" });
    expect(lost.openPoints.some((point) => point.message.includes("“gone”, version 3"))).toBe(true);
    const wrong = countPart(applied(wall, assemblyOf("imperial", "door-set")), "imperial", library);
    expect(wrong.problems[0]).toMatchObject({ code: "wrong-kind", message: "“Door set” is for another kind of part." });
    expect(find(wrong.lines, "studs").quantity).toBe(10);
  });

  it("a choice out of its limits", () => {
    const count = countPart(
      applied(spotsOf(1), assemblyOf("imperial", "door-set"), { hinges: 40 }),
      "imperial",
      library,
    );
    expect(find(count.lines, "hingesInAll").quantity).toBe(3);
    expect(count.openPoints.some((point) => point.message.includes("it is at most 5"))).toBe(true);
  });

  it("a price list with no item for a rule, and a piece longer than any stock", () => {
    const { lines } = countPart(wallOf("imperial", { lengthNm: feet(14), heightNm: feet(30) }), "imperial", library);
    const order = orderJob(
      lines,
      starterPriceList.filter((item) => item.code !== "nail/10d"),
      "imperial",
    );
    const messages = order.problems.map((each) => each.message);
    expect(messages.some((each) => each.startsWith("The price list has no “nail/10d”"))).toBe(true);
    expect(messages.some((each) => each.includes("longer than any stock. Use an engineered section."))).toBe(true);
  });
});

describe("a count set by hand", () => {
  const byHand = (quantity: number): StudWall => ({
    ...wall,
    handSet: [{ line: "studs/2x4", quantity, reason: "two are bowed" }],
  });
  const studs = (part: StudWall) => find(countPart(part, "imperial", library).lines, "studs");

  it("keeps the computed value beside it, which follows changes", () => {
    expect(studs(byHand(12))).toMatchObject({ quantity: 12, computed: 10, byHand: "two are bowed" });
    const longer = { ...byHand(12), length: measured(feet(16), "16'") };
    expect(studs(longer)).toMatchObject({ quantity: 12, computed: 13 });
    expect(studs({ ...byHand(12), handSet: [] })).toMatchObject({ quantity: 10, computed: 10, byHand: undefined });
  });

  it("is what is cut and bought", () => {
    expect(studs(byHand(12)).cutLengthsNm).toHaveLength(12);
    expect(studs(byHand(8)).cutLengthsNm).toHaveLength(8);
  });

  it("is told as an open point, and kept, once its line is gone", () => {
    const gone = { ...wall, handSet: [{ line: "headers/2x6", quantity: 4, reason: "spare" }] };
    expect(countPart(gone, "imperial", library).openPoints.some((point) => point.message.includes("headers/2x6"))).toBe(
      true,
    );
  });
});

describe("house standards", () => {
  const house = (value: number): Library => ({
    ...library,
    standard: {
      schemaVersion: 2,
      id: "house",
      version: 1,
      name: "House",
      system: "imperial",
      parameters: [{ assemblyId: "", name: "spacing", value }],
      waste: [{ item: "timber/", percent: 10 }],
      productivity: [],
      tables: [],
    },
  });
  const start = PART_KINDS["stud-wall"].defaults("w", "Wall", context);
  const assumed: StudWall = { ...start, length: measured(feet(12), "12'") };

  it("set what nobody confirmed, and leave what a person chose", () => {
    const wide = countPart(assumed, "imperial", house(inches(24)));
    expect(find(wide.lines, "studs").quantity).toBe(7);
    const confirmed = {
      ...assumed,
      choices: { ...assumed.choices, spacing: inches(16) },
    };
    expect(find(countPart(confirmed, "imperial", house(inches(24))).lines, "studs").quantity).toBe(10);
  });

  it("say what they would change, line by line", () => {
    const before = countPart(assumed, "imperial", library).lines;
    const changes = compareCounts(before, countPart(assumed, "imperial", house(inches(24))).lines);
    expect(changes.find((each) => each.lineId === "w/studs/2x4")).toMatchObject({ before: 10, after: 7 });
    expect(compareCounts(before, before)).toEqual([]);
  });
});

describe("the count of a job", () => {
  const arbitraryWall = fc
    .record({
      length: fc.integer({ min: 4, max: 40 }),
      bearing: fc.boolean(),
      sheathed: fc.boolean(),
      boards: fc.integer({ min: 0, max: 2 }),
    })
    .map(({ length, bearing, sheathed, boards }) =>
      wallOf("imperial", {
        lengthNm: feet(length),
        heightNm: feet(8),
        bearing,
        sheathed,
        choices: { boardsNear: boards, blockingEvery: feet(4) },
      }),
    );

  it("counts timber as many times as it is drawn, whatever the wall", () => {
    fc.assert(
      fc.property(arbitraryWall, (part) => {
        const count = countPart(part, "imperial", library);
        for (const line of count.lines.filter((each) => each.buying === "cut")) {
          expect(line.quantity).toBe(line.pieceIds.length);
          expect(line.cutLengthsNm).toHaveLength(line.quantity);
        }
      }),
      { numRuns: 60 },
    );
  });

  it("builds a wall as often as it is repeated", () => {
    const once = countPart(wall, "imperial", library).lines;
    const thrice = countPart({ ...wall, repeats: 3 }, "imperial", library).lines;
    expect(thrice.map((line) => line.quantity)).toEqual(once.map((line) => 3 * line.quantity));
    expect(find(thrice, "studs").working.withNumbers).toBe(
      "(round up(12' 0\" ÷ 16 in) + 1 − 0 − 0 = 10) × 3 walls = 30 pieces",
    );
  });

  it("lets a wall of other studs than the usual stand out", () => {
    const deep = wallOf("imperial", { lengthNm: feet(12), heightNm: feet(8), studSize: "2x6" });
    const note = "This wall has 2 × 6 studs; the usual ones are 2 × 4";
    expect(find(countPart(deep, "imperial", library).lines, "studs").note).toBe(note);
    expect(find(countPart(wall, "imperial", library).lines, "studs").note).toBeUndefined();
  });

  it("gives each stick a mark by its wall, what it is and its length", () => {
    const marks = marksOf(countJob([wall, { ...wall, id: "second" }], "imperial", library));
    expect(marks.get("wall/stud-1")).toBe("1-S1");
    expect(marks.get("second/cap-plate-2-1")).toBe("2-CP1");
  });
});

describe("worked examples", () => {
  it("that do not come out say by how much, in the rule's words", () => {
    const set = assemblyOf("imperial", "door-set");
    const slipped = {
      ...set,
      rules: set.rules.map((rule) => (rule.name === "hingesInAll" ? { ...rule, formula: "count + hinges" } : rule)),
    };
    expect(runExamples(slipped, library)[0]).toMatchObject({ passes: false, failures: ["Hinges: 10, expected 21"] });
  });

  it("that name a figure there is not say so", () => {
    const set = assemblyOf("imperial", "inside-wall");
    const [example] = set.examples;
    if (!example) throw new Error("no example");
    const wrong = { ...set, examples: [{ ...example, figures: { breadth: "3'" } }] };
    expect(runExamples(wrong, library)[0]?.failures).toEqual(["There is no figure “breadth”."]);
  });

  it("that name a count there is not say so", () => {
    const said = (id: string, counts: Record<string, number>) => {
      const set = assemblyOf("imperial", id);
      const examples = set.examples.slice(0, 1).map((example) => ({ ...example, counts }));
      return runExamples({ ...set, examples }, library)[0]?.failures;
    };
    expect(said("inside-wall", { corners: 2 })).toEqual(["There is no count “corners” here."]);
    expect(said("door-set", { leaves: 2 })).toEqual(["There is no count “leaves” here."]);
  });
});
