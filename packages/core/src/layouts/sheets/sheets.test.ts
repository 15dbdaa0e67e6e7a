import type { Rectangle } from "../../geometry/rectangle";
import { feet, inches } from "../../units";
import { layoutSheets, nestPieces, sheetPieces } from "./index";

const SHEET = { widthNm: feet(4), heightNm: feet(8) };
const lay = (area: Rectangle, openings: readonly Rectangle[]) =>
  sheetPieces("sheathing", layoutSheets({ area, openings }, { layers: 1, sheet: SHEET, leastOffcutNm: 0 }));
const sheetsUsed = (pieces: readonly { sheetNumber: number }[]) =>
  new Set(pieces.map((piece) => piece.sheetNumber)).size;

describe("sheets on a wall", () => {
  it("covers 24 x 8 ft with six whole sheets of 32 sq ft (arithmetic)", () => {
    const pieces = lay({ xNm: 0, yNm: 0, widthNm: feet(24), heightNm: feet(8) }, []);
    expect(pieces).toHaveLength(6);
    expect(sheetsUsed(pieces)).toBe(6);
  });

  it("rips the strips over an 8 ft course out of one sheet", () => {
    // 12 ft by 97 1/8 in: three whole sheets, and three strips 1 1/8 in high by 4 ft, all out of a fourth.
    const pieces = lay({ xNm: 0, yNm: 0, widthNm: feet(12), heightNm: inches(97.125) }, []);
    expect(pieces).toHaveLength(6);
    expect(sheetsUsed(pieces)).toBe(4);
  });

  it("leaves out what an opening takes whole, and reuses the piece above and below", () => {
    const opening = { xNm: feet(4), yNm: feet(3), widthNm: feet(4), heightNm: feet(4) };
    const pieces = lay({ xNm: 0, yNm: 0, widthNm: feet(12), heightNm: feet(8) }, [opening]);
    const between = pieces.filter((piece) => piece.xNm === feet(4));
    expect(between.map((piece) => [piece.yNm, piece.heightNm])).toEqual([
      [0, feet(3)],
      [feet(7), feet(1)],
    ]);
    expect(sheetsUsed(pieces)).toBe(3);
  });

  it("cuts two halves from one sheet", () => {
    const half = { widthNm: feet(2), heightNm: feet(8) };
    expect(nestPieces([half, half, half], SHEET)).toEqual([1, 1, 2]);
  });
});
