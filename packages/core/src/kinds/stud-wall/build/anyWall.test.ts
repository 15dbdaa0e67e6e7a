import fc from "fast-check";
import { overlaps } from "../../../geometry/rectangle";
import { arbitraryWall } from "../../../testing/arbitraryWall";
import { contexts, framingRulesOf } from "../../../testing/library";
import { feet, inches } from "../../../units";
import { framingOf, heightAt, profileOf, type StudWall } from "../..";
import { layoutStudWall } from "./index";

const layOut = (wall: StudWall) => layoutStudWall(wall, framingRulesOf("imperial"), contexts.imperial);
/** A hair for rounding to whole nanometres along a slope. */
const HAIR_NM = 10;

describe("any wall, by any of the choices", () => {
  it("has no two sticks in one place but plies of one header, unless its top slopes", () => {
    fc.assert(
      fc.property(arbitraryWall, (wall) => {
        if (wall.shape.how !== "level") return;
        const single = layOut(wall).pieces.filter((piece) => piece.behind === undefined);
        for (const [index, piece] of single.entries()) {
          const clash = single.slice(index + 1).find((other) => overlaps(piece, other));
          if (clash) throw new Error(`${piece.id} and ${clash.id} overlap`);
        }
      }),
      { numRuns: 150 },
    );
  });

  it("keeps every stick within its length and under its top", () => {
    fc.assert(
      fc.property(arbitraryWall, (wall) => {
        const profile = profileOf(wall);
        const lengthNm = wall.length.valueNm ?? 0;
        for (const { id, xNm, yNm, widthNm, heightNm, points } of layOut(wall).pieces) {
          if (xNm < 0 || xNm + widthNm > lengthNm + HAIR_NM || yNm < 0) throw new Error(`${id} is outside the wall`);
          const corners = points ?? [
            { xNm, yNm: yNm + heightNm },
            { xNm: xNm + widthNm, yNm: yNm + heightNm },
          ];
          const over = corners.find((corner) => corner.yNm > heightAt(profile, corner.xNm) + HAIR_NM);
          if (over) throw new Error(`${id} stands over the top of the wall`);
        }
      }),
      { numRuns: 150 },
    );
  });

  it("has ids that no two pieces share, and lengths above nothing", () => {
    fc.assert(
      fc.property(arbitraryWall, (wall) => {
        const { pieces, hardware } = layOut(wall);
        const ids = [...pieces, ...hardware].map((piece) => piece.id);
        expect(new Set(ids).size).toBe(ids.length);
        expect(pieces.every((piece) => piece.cutLengthNm > 0)).toBe(true);
      }),
      { numRuns: 100 },
    );
  });

  it("tallies its studs: layout positions, less those taken, and those under breaks", () => {
    fc.assert(
      fc.property(arbitraryWall, (wall) => {
        const { pieces, tally } = layOut(wall);
        const { layoutPositions, onEndStud, atOpenings, atCorners, atBreaks } = tally;
        const studs = pieces.filter((piece) => piece.role === "stud").length;
        expect(studs).toBe(layoutPositions - onEndStud - atOpenings - atCorners + atBreaks);
      }),
      { numRuns: 100 },
    );
  });

  it("is never framed with more than a stud for each foot and its corners, jambs and blocking (common practice)", () => {
    fc.assert(
      fc.property(arbitraryWall, (wall) => {
        if (framingOf(wall, "imperial").spacing < inches(16)) return;
        const studs = layOut(wall).pieces.filter((piece) => piece.role === "stud").length;
        expect(studs).toBeLessThanOrEqual((wall.length.valueNm ?? 0) / feet(1) + 3);
      }),
      { numRuns: 60 },
    );
  });
});
