import fc from "fast-check";
import { heightAt, profileOf, type StudWall } from "../kinds";
import { isFraming, isSheet } from "../layouts";
import { arbitraryWall } from "../testing/arbitraryWall";
import { assemblyOf, library } from "../testing/library";
import { type CountLine, countPart, plainLine } from "./index";

const covered = fc
  .record({
    wall: arbitraryWall,
    assembly: fc.constantFrom("outside-wall", "inside-wall", "partition", "party-wall"),
    sheathed: fc.boolean(),
    boardsNear: fc.integer({ min: 0, max: 2 }),
    boardsFar: fc.integer({ min: 0, max: 2 }),
    repeats: fc.integer({ min: 1, max: 3 }),
  })
  .map(
    ({ wall, assembly, repeats, ...choices }): StudWall => ({
      ...wall,
      repeats,
      assembly: { id: assembly, version: assemblyOf("imperial", assembly).version },
      choices: { ...wall.choices, ...choices },
    }),
  );

const countOf = (wall: StudWall) => countPart(wall, "imperial", library);
const cutOnes = (lines: readonly CountLine[]) => lines.filter((line) => line.buying === "cut");

describe("the count of any wall, by any starter assembly", () => {
  it("has every stick on one line that is cut and no other, and as many lengths as it counts", () => {
    fc.assert(
      fc.property(covered, (wall) => {
        const { lines, pieces } = countOf(wall);
        const counted = cutOnes(lines).flatMap((line) => line.pieceIds);
        expect(new Set(counted).size).toBe(counted.length);
        // Packing between the plies of a header is a strip bought by its run.
        const sticks = pieces.filter(isFraming).filter((piece) => piece.role !== "header-packing");
        expect(counted.toSorted()).toEqual(sticks.map((piece) => piece.id).toSorted());
        for (const line of cutOnes(lines)) {
          expect(line.cutLengthsNm).toHaveLength(line.quantity);
          expect(line.quantity).toBe(line.pieceIds.length * wall.repeats);
        }
      }),
      { numRuns: 60 },
    );
  });

  it("grows by as often as the wall is built, and by nothing else", () => {
    fc.assert(
      fc.property(covered, (wall) => {
        const once = countOf({ ...wall, repeats: 1 }).lines;
        const often = countOf(wall).lines;
        expect(often.map((line) => line.key)).toEqual(once.map((line) => line.key));
        for (const [index, line] of often.entries()) {
          expect(line.quantity).toBeCloseTo((once[index]?.quantity ?? 0) * wall.repeats, 9);
        }
      }),
      { numRuns: 40 },
    );
  });

  it("is nothing below zero, nothing unfinished, and the same when it is sent", () => {
    fc.assert(
      fc.property(covered, (wall) => {
        const { lines } = countOf(wall);
        for (const line of lines) {
          expect([line.rule, line.missing]).toEqual([line.rule, undefined]);
          expect(line.quantity).toBeGreaterThan(0);
          expect(Number.isFinite(line.quantity)).toBe(true);
          expect(JSON.parse(JSON.stringify(line))).toEqual(JSON.parse(JSON.stringify(plainLine(line))));
          expect(line.working.withNumbers).not.toMatch(/NaN|undefined|Infinity/);
        }
      }),
      { numRuns: 40 },
    );
  });

  it("has sheets within the wall, under its top, whose pieces are never more than the sheets hold", () => {
    fc.assert(
      fc.property(covered, (wall) => {
        const sheets = countOf(wall).pieces.filter(isSheet);
        const profile = profileOf(wall);
        for (const { id, points, xNm, widthNm } of sheets) {
          if (xNm < 0 || xNm + widthNm > (wall.length.valueNm ?? 0)) throw new Error(`${id} is outside the wall`);
          // A nanometre or two of rounding along a slope.
          const over = points?.find((point) => point.yNm > heightAt(profile, point.xNm) + 10);
          if (over) throw new Error(`${id} stands over the top of the wall`);
        }
        for (const role of ["sheathing", "board-near", "board-far"] as const) {
          const own = sheets.filter((sheet) => sheet.role === role);
          const area = own.reduce((sum, sheet) => sum + (sheet.widthNm / 1e9) * (sheet.heightNm / 1e9), 0);
          const bought = new Set(own.map((sheet) => sheet.sheetNumber)).size;
          const largest = Math.max(0, ...own.map((sheet) => sheet.sheetNumber));
          expect(largest).toBe(bought);
          // The largest sheet in the library is 4 by 12 ft.
          expect(area).toBeLessThanOrEqual(bought * 48 * 0.3048 ** 2 + 1e-6);
        }
      }),
      { numRuns: 60 },
    );
  });

  it("takes no notice of where a wall stands, only of what it is", () => {
    fc.assert(
      fc.property(covered, (wall) => {
        const elsewhere = { ...wall, storey: "Upper", location: "Landing", name: "Another" };
        const [here, there] = [countOf(wall).lines, countOf(elsewhere).lines];
        expect(there.map((line) => [line.key, line.quantity])).toEqual(here.map((line) => [line.key, line.quantity]));
      }),
      { numRuns: 20 },
    );
  });
});
