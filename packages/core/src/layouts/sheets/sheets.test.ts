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

  it("leaves out what one of two openings takes whole, and is cut round the other where it lies", () => {
    const whole = { xNm: feet(4), yNm: feet(3), widthNm: feet(4), heightNm: feet(4) };
    const small = { xNm: feet(9), yNm: feet(3), widthNm: feet(2), heightNm: feet(2) };
    const pieces = lay({ xNm: 0, yNm: 0, widthNm: feet(12), heightNm: feet(8) }, [whole, small]);
    expect(pieces.map(({ xNm, yNm, heightNm }) => [xNm / feet(1), yNm / feet(1), heightNm / feet(1)])).toEqual([
      [0, 0, 8],
      [4, 0, 3],
      [4, 7, 1],
      [8, 0, 8],
    ]);
    expect(pieces.map((piece) => piece.id)).toEqual([
      "sheathing-1-1",
      "sheathing-1-2",
      "sheathing-1-3",
      "sheathing-1-4",
    ]);
  });

  it("has the corners of a peak and a valley over one piece in order", () => {
    const profile = [
      { xNm: 0, yNm: feet(6) },
      { xNm: feet(1), yNm: feet(7) },
      { xNm: feet(2), yNm: feet(6) },
      { xNm: feet(3), yNm: feet(7) },
      { xNm: feet(4), yNm: feet(6) },
    ];
    const area = { xNm: 0, yNm: 0, widthNm: feet(4), heightNm: feet(8) };
    const laid = layoutSheets({ area, openings: [], profile }, { layers: 2, sheet: SHEET, leastOffcutNm: 0 });
    const [piece, second] = sheetPieces("board-near", laid);
    expect(piece?.heightNm).toBe(feet(7));
    expect(piece?.points?.map(({ xNm, yNm }) => [xNm / feet(1), yNm / feet(1)])).toEqual([
      [0, 0],
      [4, 0],
      [4, 6],
      [3, 7],
      [2, 6],
      [1, 7],
      [0, 6],
    ]);
    expect([piece?.id, second?.id, piece?.layer, second?.layer]).toEqual(["board-near-1-1", "board-near-2-1", 1, 2]);
  });

  it("cuts a piece to the slope it lies under, and buys it as the rectangle round it", () => {
    // From 4 ft at the left to 8 ft at the right over 8 ft: half a foot a foot (arithmetic).
    const profile = [
      { xNm: 0, yNm: feet(4) },
      { xNm: feet(8), yNm: feet(8) },
    ];
    const area = { xNm: 0, yNm: 0, widthNm: feet(8), heightNm: feet(8) };
    const laid = layoutSheets({ area, openings: [], profile }, { layers: 1, sheet: SHEET, leastOffcutNm: 0 });
    const [left, right] = sheetPieces("sheathing", laid);
    expect(left).toMatchObject({ heightNm: feet(6) });
    const corners = (points: typeof left) => points?.points?.map((point) => [point.xNm, point.yNm]);
    expect(corners(left)).toEqual([
      [0, 0],
      [feet(4), 0],
      [feet(4), feet(6)],
      [0, feet(4)],
    ]);
    expect(corners(right)).toEqual([
      [feet(4), 0],
      [feet(8), 0],
      [feet(8), feet(8)],
      [feet(4), feet(6)],
    ]);
  });

  it("cuts a piece that the slope leaves through its upper edge at five corners", () => {
    const profile = [
      { xNm: 0, yNm: feet(7) },
      { xNm: feet(4), yNm: feet(9) },
    ];
    const area = { xNm: 0, yNm: 0, widthNm: feet(4), heightNm: feet(9) };
    const laid = layoutSheets({ area, openings: [], profile }, { layers: 1, sheet: SHEET, leastOffcutNm: 0 });
    const [lower, upper] = sheetPieces("board-near", laid);
    // It rises half a foot a foot, and is at 8 ft after 2 ft (arithmetic).
    expect(lower?.points).toContainEqual({ xNm: feet(2), yNm: feet(8) });
    expect(lower?.points).toHaveLength(5);
    expect(upper?.points?.every((point) => point.yNm >= feet(8))).toBe(true);
  });

  it("cuts two halves from one sheet", () => {
    const half = { widthNm: feet(2), heightNm: feet(8) };
    expect(nestPieces([half, half, half], SHEET)).toEqual([1, 1, 2]);
  });
});
