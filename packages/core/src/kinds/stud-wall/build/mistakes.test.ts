import { type CountLine, countPart, type PartCount } from "../../../count";
import { assemblyOf, library, openingOf, wallOf } from "../../../testing/library";
import { feet, inches, metres, millimetres } from "../../../units";
import { measured, type OpenPoint, type StudWall } from "../..";
import { MOST_WALL_PIECES } from "./tooManyPieces";

const count = (wall: StudWall, lib = library): PartCount => countPart(wall, "imperial", lib);
const quantity = ({ lines }: PartCount, rule: string): number =>
  lines.filter((line) => line.rule === rule).reduce((sum, line) => sum + line.quantity, 0);
const said = ({ openPoints }: PartCount): string => openPoints.map((point: OpenPoint) => point.message).join(" ");
const FT2 = 0.3048 ** 2;

describe("an opening that leaves no room for any header", () => {
  // Plates of a wall 97 1/8 in high begin at 94 1/8 in.
  const reaching = openingOf("door", "Way through", {
    positionNm: feet(4),
    widthNm: feet(3),
    heightNm: inches(94.125),
  });
  const wall = (bearing: boolean) =>
    wallOf("imperial", { lengthNm: feet(12), heightNm: inches(97.125), bearing, openings: [reaching] });

  it("is an open point of a bearing wall", () => {
    const counted = count(wall(true));
    expect(quantity(counted, "headers")).toBe(0);
    expect(said(counted)).toContain("Way through reaches the plates of a wall that carries load");
  });

  it("is right where the wall carries nothing", () => {
    expect(said(count(wall(false)))).not.toContain("Way through");
  });
});

describe("blocking under a top that is not level", () => {
  const gable = (peakFt: number): StudWall => ({
    ...wallOf("imperial", {
      lengthNm: feet(16),
      heightNm: feet(8),
      choices: { blockingEvery: feet(4) },
    }),
    shape: { how: "gable", peakHeight: measured(feet(peakFt), ""), peakAt: measured(feet(8), "") },
  });
  const rows = (wall: StudWall) => {
    const blocks = count(wall).pieces.filter((piece) => piece.role === "blocking");
    return [...new Set(blocks.map((block) => block.yNm))]
      .toSorted((a, b) => a - b)
      .map((yNm) => blocks.filter((block) => block.yNm === yNm).length);
  };

  it("goes on above the low plate wherever a bay is tall enough, in ever fewer bays", () => {
    // 16 ft at the peak less three plates, one of them along a slope of 1 in 1: under 16 ft, so three rows.
    const perRow = rows(gable(16));
    expect(perRow).toHaveLength(3);
    // 16 ft at 16 in are 12 bays; the low row is in all of them.
    expect(perRow[0]).toBe(12);
    // The second, at half the tallest stud, is higher than the bays at the ends.
    expect(perRow[1]).toBe(10);
    expect(perRow[2]).toBeGreaterThan(0);
    expect(perRow[2]).toBeLessThan(10);
  });

  it("never comes through the plates", () => {
    const wall = gable(14);
    const { pieces } = count(wall);
    const topAt = (xNm: number) => feet(8) + (feet(6) * Math.min(xNm, feet(16) - xNm)) / feet(8);
    for (const block of pieces.filter((piece) => piece.role === "blocking")) {
      const under = Math.min(topAt(block.xNm), topAt(block.xNm + block.widthNm)) - 2 * inches(1.5);
      expect(block.yNm + block.heightNm).toBeLessThanOrEqual(under);
    }
  });
});

describe("the membrane of a sloped wall", () => {
  it("covers it up to its high end", () => {
    const wall: StudWall = {
      ...wallOf("imperial", {
        lengthNm: feet(12),
        heightNm: feet(8),
        assemblyId: "outside-wall",
        choices: { membrane: true },
      }),
      shape: { how: "slope", up: "right", highHeight: measured(feet(12), "") },
    };
    // A roll of 9 ft with a lap of 6 in: 12 ft of it below, and 9 ft where the wall goes on above that.
    expect(quantity(count(wall), "membraneCover")).toBeCloseTo(9 * (12 + 9) * FT2, 6);
  });
});

describe("anchor bolts of a plate too short for two", () => {
  it("are one, and an open point", () => {
    const door = openingOf("door", "d", { positionNm: inches(9), widthNm: feet(3), heightNm: inches(82.5) });
    const wall = wallOf("imperial", {
      lengthNm: feet(12),
      heightNm: inches(97.125),
      openings: [door],
      choices: { anchorBolts: true },
    });
    const counted = count(wall);
    // 9 in of plate takes one; 8 ft 3 in takes one within 12 in of each end, and one between as they are over 6 ft apart.
    expect(quantity(counted, "anchorBoltsPlaced")).toBe(1 + 3);
    expect(said(counted)).toContain("no room for two bolts");
  });
});

describe("a sheet that cannot stand", () => {
  const wall = (boardSheet?: string): StudWall => {
    const plain = wallOf("imperial", { lengthNm: feet(12), heightNm: feet(8), choices: { boardsNear: 1 } });
    return { ...plain, choices: { ...plain.choices, ...(boardSheet === undefined ? {} : { boardSheet }) } };
  };
  const boards = (lines: readonly CountLine[]) =>
    lines.filter((line) => line.rule === "boards").map((line) => [line.itemCode, line.quantity]);

  it.each([
    ["that is none", "board-5x7"],
    ["of the other measuring system", "board-1200x2400"],
    ["called like a member of every object", "constructor"],
  ])("%s: the next in line is laid out and bought, as it says", (_, boardSheet) => {
    const counted = count(wall(boardSheet));
    expect(boards(counted.lines)).toEqual([["sheet/board-4x8", 3]]);
    expect(said(counted)).toContain("The next in line is used.");
  });

  it("the house standard's is laid out as well as bought", () => {
    const standard = {
      schemaVersion: 2 as const,
      id: "s",
      version: 1,
      name: "S",
      system: "imperial" as const,
      parameters: [{ assemblyId: "", name: "boardSheet", value: "board-4x12" }],
      waste: [],
      productivity: [],
      tables: [],
    };
    // 12 ft by 8 ft: three boards of 4 x 12 ft cut to 8 ft, upright.
    const counted = count(wall(), { ...library, standard });
    expect(boards(counted.lines)).toEqual([["sheet/board-4x12", 3]]);
    const placed = counted.pieces.filter((piece) => piece.role === "board-near");
    expect(placed.every((piece) => piece.widthNm === feet(4) && piece.heightNm === feet(8))).toBe(true);
  });
});

describe("plates", () => {
  const wall = wallOf("imperial", { lengthNm: feet(40), heightNm: feet(8), studSize: "2x6" });
  const plates = (longestFt: number | undefined) => {
    const longestSold = longestFt === undefined ? undefined : new Map([["timber/2x6", feet(longestFt)]]);
    const { pieces } = count(wall, { ...library, longestSold });
    return pieces.filter((piece) => piece.role === "bottom-plate").map((piece) => piece.widthNm / feet(1));
  };

  it.each([
    ["20 ft", 20, 2],
    ["12 ft", 12, 4],
    ["nobody knows what: by the assembly's own 16 ft", undefined, 3],
  ])("are spliced at what is sold: %s", (_, longest, pieces) => {
    expect(plates(longest)).toHaveLength(pieces);
    expect(Math.max(...plates(longest))).toBeLessThanOrEqual(longest ?? 16);
    expect(plates(longest).reduce((sum, each) => sum + each, 0)).toBeCloseTo(40, 6);
  });
});

describe("an add-on with a parameter of the same name as the wall's", () => {
  it("goes by its own", () => {
    const sound = {
      ...assemblyOf("imperial", "wall-insulation"),
      id: "strips",
      parameters: [{ name: "spacing", label: "Strips apart", kind: "length" as const, default: feet(2) }],
      rules: [
        {
          name: "strips",
          label: "Strips",
          trade: "Framing",
          phase: "",
          formula: "ceil(length / spacing)",
          unit: "strip",
          item: "strip",
          buying: "whole" as const,
          sentence: "At their spacing.",
        },
      ],
      wording: [],
      examples: [],
    };
    const wall: StudWall = {
      ...wallOf("imperial", { lengthNm: feet(12), heightNm: feet(8) }),
      uses: [{ id: "u", assembly: { id: "strips", version: 1 }, choices: {} }],
    };
    // The studs are 16 in apart; the strips 2 ft, or 3 ft where that is chosen.
    const strips = (choices: StudWall["choices"]) => {
      const uses = wall.uses.map((use) => ({ ...use, choices }));
      return quantity(count({ ...wall, uses }, { ...library, assemblies: [...library.assemblies, sound] }), "strips");
    };
    expect(strips({})).toBe(6);
    expect(strips({ spacing: feet(3) })).toBe(4);
  });
});

describe("a wall that would be laid out in more pieces than any has", () => {
  const long = (choices: Parameters<typeof wallOf>[1]["choices"], repeats = 1): StudWall => ({
    ...wallOf("imperial", { lengthNm: metres(200), heightNm: metres(15), choices }),
    repeats,
  });

  it.each([
    ["studs every 1 mm", long({ spacing: millimetres(1) }), "Stud spacing"],
    ["blocking every 0.01 mm", long({ blockingEvery: 10_000 }), "Blocking every"],
  ])("%s: is laid out by the next in line, and says so", (_, wall, label) => {
    const counted = count(wall);
    const { [label === "Stud spacing" ? "spacing" : "blockingEvery"]: _none, ...choices } = wall.choices;
    expect(counted.lines).toEqual(count({ ...wall, choices }).lines);
    expect(said(counted)).toContain(`${label}: `);
    expect(said(counted)).toContain("is nothing that can be built by. The next in line is used.");
  });

  it("500 times the longest wall: counts nothing, at once, and says so", () => {
    const counted = count(long({ spacing: millimetres(200) }, 500));
    expect(counted.pieces).toEqual([]);
    expect(quantity(counted, "studs")).toBe(0);
    expect(said(counted)).toContain("are not laid out");
  });

  it("by bolts as near as an assembly may have them is laid out, with no more pieces than the limit", () => {
    const close = { ...assemblyOf("imperial"), id: "close" };
    const framing = close.framing && { ...close.framing, boltSpacingNm: millimetres(50) };
    const own = { ...library, assemblies: [{ ...close, framing }] };
    const wall = { ...long({ anchorBolts: true }), assembly: { id: "close", version: 1 } };
    const { pieces } = count(wall, own);
    expect(pieces.length).toBeGreaterThan(4000);
    expect(pieces.length).toBeLessThan(MOST_WALL_PIECES);
  });
});

describe("a count set by hand on a line that could not be counted", () => {
  it("is of the wall's own timber, and an open point", () => {
    const broken = assemblyOf("imperial");
    const rules = broken.rules.map((rule) => (rule.name === "studs" ? { ...rule, formula: "pieces(" } : rule));
    const own = { ...library, assemblies: [{ ...broken, rules }] };
    const wall: StudWall = {
      ...wallOf("imperial", { lengthNm: feet(12), heightNm: feet(8) }),
      handSet: [{ line: "studs", quantity: 12, reason: "counted" }],
    };
    const counted = count(wall, own);
    expect(counted.lines.find((line) => line.rule === "studs")).toMatchObject({ itemCode: "timber/2x4", quantity: 12 });
    expect(said(counted)).toContain("nobody has said how long");
  });
});

describe("framing that the house or the assembly asks for and nobody can build", () => {
  it("is passed over aloud", () => {
    const odd = assemblyOf("imperial");
    const parameters = odd.parameters.map((each) => (each.name === "spacing" ? { ...each, default: 1 } : each));
    const wall = wallOf("imperial", { lengthNm: feet(12), heightNm: feet(8) });
    const assumed: StudWall = {
      ...wall,
      choices: {},
    };
    const counted = count(assumed, { ...library, assemblies: [{ ...odd, parameters }] });
    expect(quantity(counted, "studs")).toBe(10);
    expect(said(counted)).toContain("which nobody can build by");
  });
});
