import { fixingsInSheet } from "../../../assemblies";
import { type CountLine, countPart } from "../../../count";
import { assemblyOf, library, openingOf, wallOf } from "../../../testing/library";
import { feet, inches } from "../../../units";
import type { FramingChoices, StudWall } from "../..";

const choose = (wall: StudWall, choices: Partial<FramingChoices>): StudWall => ({
  ...wall,
  choices: { ...wall.choices, ...choices },
});
const framedBy = (wall: StudWall, id: string): StudWall => ({
  ...wall,
  assembly: { id, version: assemblyOf("imperial", id).version },
});
const lineOf = (wall: StudWall, rule: string): CountLine => {
  const lines = countPart(wall, "imperial", library).lines;
  const found = lines.find((line) => line.rule === rule);
  if (!found) throw new Error(`no line of ${rule} among ${lines.map((line) => line.rule).join(", ")}`);
  return found;
};

describe("fixings in a sheet", () => {
  // IRC Table R602.3(1): 6 in at the edges, 12 in in the field. 24 ft round at 6 in is 48; two studs inside, 7 each: 62.
  it("of 4 by 8 ft on studs at 16 in are 62, and of half as wide on one stud 47", () => {
    const sheet = { widthNm: feet(4), heightNm: feet(8) };
    expect(fixingsInSheet(sheet, 2, inches(6), inches(12))).toBe(62);
    // 20 ft round at 6 in is 40, and 7 on the stud inside.
    expect(fixingsInSheet({ ...sheet, widthNm: feet(2) }, 1, inches(6), inches(12))).toBe(47);
  });

  it("of a strip lower than the field spacing are its edges alone", () => {
    expect(fixingsInSheet({ widthNm: feet(4), heightNm: inches(6) }, 2, inches(6), inches(12))).toBe(18);
  });
});

describe("the working of sheets", () => {
  const wall = framedBy(
    wallOf("imperial", { lengthNm: feet(12), heightNm: inches(97.125), sheathed: true }),
    "outside-wall",
  );

  it("says the pieces by their sizes and how many sheets they come out of", () => {
    // Three whole sheets, and three strips of 1 1/8 in ripped from a fourth.
    const { working, quantity, pieceIds } = lineOf(wall, "sheathing");
    expect(quantity).toBe(4);
    expect(pieceIds).toHaveLength(6);
    expect(working.withNumbers).toBe("6 pieces out of 4 sheets");
    expect(working.steps).toEqual([
      { label: "pieces of 4' 0\" × 8' 0\"", value: "3" },
      { label: 'pieces of 4\' 0" × 1 1/8"', value: "3" },
    ]);
    expect(working.from.map((each) => each.label)).toContain("Sheathing outside");
  });

  it("says how often a wall is built that is built more than once", () => {
    const { working, quantity } = lineOf({ ...wall, repeats: 3 }, "sheathing");
    expect(quantity).toBe(12);
    expect(working.withNumbers).toBe("(6 pieces out of 4 sheets) × 3 walls = 12 sheets");
  });
});

describe("boards of a party wall", () => {
  // 8 ft by 8 ft, two layers a side: two boards of 4 by 8 in each layer, four layers (arithmetic).
  const wall = choose(framedBy(wallOf("imperial", { lengthNm: feet(8), heightNm: feet(8) }), "party-wall"), {
    boardsNear: 2,
    boardsFar: 2,
  });

  it("are as many in every layer, on both sides", () => {
    const boards = lineOf({ ...wall, choices: { boardSheet: "board-4x8" } }, "boards");
    expect(boards.quantity).toBe(8);
    const pieces = countPart({ ...wall, choices: { boardSheet: "board-4x8" } }, "imperial", library).pieces;
    const layers = pieces.flatMap((piece) => ("layer" in piece ? [`${piece.role} ${piece.layer}`] : []));
    const tally = Object.fromEntries(
      [...new Set(layers)].map((each) => [each, layers.filter((one) => one === each).length]),
    );
    expect(tally).toEqual({ "board-near 1": 2, "board-near 2": 2, "board-far 1": 2, "board-far 2": 2 });
  });

  it("leave out what a door takes whole, and use the piece over it", () => {
    const door = openingOf("door", "d", { positionNm: feet(4), widthNm: feet(4), heightNm: feet(7) });
    const within = { ...wall, length: { valueNm: feet(12), typed: "", assumed: false }, openings: [door] };
    const pieces = countPart({ ...within, choices: { boardSheet: "board-4x8" } }, "imperial", library).pieces;
    const over = pieces.filter((piece) => piece.role === "board-near" && piece.xNm === feet(4));
    expect(over.map((piece) => [piece.yNm, piece.heightNm])).toEqual([
      [feet(7), feet(1)],
      [feet(7), feet(1)],
    ]);
  });
});
