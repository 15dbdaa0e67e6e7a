import { contexts, framingRulesOf, wallOf } from "../../../testing/library";
import { feet, inches } from "../../../units";
import { framingOf, PART_KINDS, type WallTotals } from "../..";
import { tooManyInAll, tooManyPieces } from "./tooManyPieces";

describe("more pieces than any part of a house has", () => {
  const totals = PART_KINDS["wall-totals"].defaults("t", "Walls", contexts.imperial);
  const places = (corners: number, meetings: number, openings: number) => ({
    ...totals,
    // 12 ft at 16 in are 9 spaces; each corner, meeting wall and opening has about ten pieces.
    length: { valueNm: feet(12), typed: "", assumed: false },
    height: { valueNm: feet(8), typed: "", assumed: false },
    choices: { ...totals.choices, spacing: inches(16) },
    corners,
    meetings,
    openings,
  });

  const inAll = (part: WallTotals) => tooManyInAll(part, framingOf(part, "imperial"));

  it("are told of totals by each of what they are made of", () => {
    expect(inAll(places(1333, 1333, 1333))).toBeUndefined();
    for (const part of [places(1334, 1333, 1333), places(1333, 1334, 1333), places(1333, 1333, 1334)])
      expect(inAll(part)).toMatchObject({
        code: "too-many-pieces",
        message: expect.stringMatching(/^Walls would be about 40,000 pieces; more than 40,000 are not laid out\./),
      });
  });

  it("are told of rows of blocking: at 4 ft in 8 ft there are two, and each bay has as many again", () => {
    const rows = (part: ReturnType<typeof places>) => ({
      ...part,
      choices: { ...part.choices, blockingEvery: feet(4) },
    });
    // (9 + 13320) x 3 = 39987, and with one place more 40017.
    expect(inAll(rows(places(1332, 0, 0)))).toBeUndefined();
    expect(inAll(rows(places(1333, 0, 0)))).toBeDefined();
  });

  it("are told of a wall that is built so often", () => {
    const wall = wallOf("imperial", { lengthNm: feet(12), heightNm: feet(8), choices: { anchorBolts: false } });
    const often = (repeats: number) =>
      tooManyPieces({ ...wall, repeats }, framingOf(wall, "imperial"), framingRulesOf("imperial"));
    // About 9 studs, 20 at its ends and 6 clips: 35 or so.
    expect(often(1000)).toBeUndefined();
    expect(often(2000)).toBeDefined();
  });
});
