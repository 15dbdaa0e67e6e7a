import { ALONE } from "../../parts/partKind";
import { openingOf, wallOf } from "../../testing/library";
import { feet, inches } from "../../units";
import { studWallKind } from "./index";

describe("what is measured of a wall", () => {
  const at = (positionIn: number, widthIn: number, heightIn: number, sillIn = 0) => ({
    positionNm: inches(positionIn),
    widthNm: inches(widthIn),
    heightNm: inches(heightIn),
    sillNm: inches(sillIn),
  });
  const openings = [
    openingOf("door", "d1", at(12, 36, 80)),
    openingOf("door", "d2", at(72, 32, 80)),
    openingOf("window", "w", at(144, 48, 40, 36)),
  ];
  const wall = wallOf("imperial", { lengthNm: feet(20), heightNm: feet(9), openings });
  const quantities = studWallKind.quantities(wall, ALONE);
  const inch = 0.0254;

  it("is its length, height, face, and its openings by number and width (arithmetic)", () => {
    const opened = (36 * 80 + 32 * 80 + 48 * 40) * inch * inch;
    const expected = {
      length: 20 * 0.3048,
      height: 9 * 0.3048,
      area: 180 * 0.09290304,
      openingArea: opened,
      netArea: 180 * 0.09290304 - opened,
      openings: 3,
      doors: 2,
      windows: 1,
      openingWidths: (36 + 32 + 48) * inch,
      // Head and both sides of each.
      casingRun: (36 + 160 + 32 + 160 + 48 + 80) * inch,
      corners: 0,
      meetings: 0,
    };
    for (const [name, value] of Object.entries(expected))
      expect([name, quantities[name]]).toEqual([name, expect.closeTo(value, 9)]);
  });

  it("is no door and no window of a wall that has none", () => {
    expect(studWallKind.quantities({ ...wall, openings: [] }, ALONE)).toMatchObject({
      openings: 0,
      doors: 0,
      windows: 0,
      openingWidths: 0,
      openingArea: 0,
    });
  });
});
