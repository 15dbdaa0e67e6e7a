import { feet, inches, toMetres } from "../../../units";
import { wallAnswers } from "./answers";

const metres = (inch: number): number => toMetres(inches(inch));
const ask = wallAnswers({
  sheets: (role) =>
    role === "sheathing" ? { bought: 3, coverM2: 8, fixings: (edgeNm) => edgeNm / inches(1) } : undefined,
  frameM2: 1.5,
  profile: [
    { xNm: 0, yNm: feet(9) },
    { xNm: feet(10), yNm: feet(9) },
  ],
});

describe("what formulas ask of a wall's frame and sheets", () => {
  it("is the frame's own face, and a roll's area with its laps", () => {
    expect(ask("frameArea", [])).toBe(1.5);
    // A roll 9 ft wide up a wall 9 ft high and 10 ft long is laid once: 90 sq ft.
    expect(ask("lapped", [metres(108), metres(6)])).toBeCloseTo(90 * 0.09290304, 9);
    expect(ask("lapped", [metres(6), metres(6)])).toBeNaN();
  });

  it("is sheets bought, covered and fixed; nothing of those that are not there", () => {
    expect([ask("sheets", ["sheathing"]), ask("cover", ["sheathing"])]).toEqual([3, 8]);
    expect(ask("sheetFixings", ["sheathing", metres(6), metres(12)])).toBe(6);
    expect([
      ask("sheets", ["board-near"]),
      ask("cover", ["board-near"]),
      ask("sheetFixings", ["board-near", 1, 1]),
    ]).toEqual([0, 0, 0]);
    expect(ask("sheetFixings", ["sheathing", 0, 1])).toBeNaN();
  });

  it("is nothing that no such wall knows", () => {
    expect(ask("toString", [])).toBeUndefined();
  });
});
