import { partContext } from "../../../assemblies";
import type { FramingPiece } from "../../../drawing/piece";
import { ALONE } from "../../../parts/partKind";
import { assemblyOf, library } from "../../../testing/library";
import { rectangle, roofOf } from "../../../testing/roofs";
import { feet, inches, NM_PER_INCH } from "../../../units";
import type { Roof } from "../schema";
import { layOutRoof } from "./layOut";

const inchesOf = (nm: number): number => nm / NM_PER_INCH;
const sixteenths = (nm: number): number => Math.round(inchesOf(nm) * 16) / 16;
function piecesOf(roof: Roof, role: string): FramingPiece[] {
  const context = partContext("imperial", library);
  const laid = layOutRoof(roof, assemblyOf("imperial", "rafter-roof"), { library, context, around: ALONE });
  return laid.pieces.filter((piece) => piece.role === role) as FramingPiece[];
}

describe("rafters, laid out and cut", () => {
  // Arithmetic: run × secant, less half the ridge, with the tail.
  it("of a gable roof 26 × 38 ft, 7 in 12, at 16 in: 30 pairs of 15 ft 0 5/8 in, 14 ft 11 3/4 in, 16 ft 3 15/16 in", () => {
    const roof = roofOf("imperial", rectangle(feet(38), feet(26), ["eave", "gable", "eave", "gable"]), {
      pitch: 7 / 12,
      overhangNm: inches(14),
      rakeNm: inches(10),
    });
    const rafters = piecesOf(roof, "common-rafter");
    expect(rafters).toHaveLength(60);
    for (const { cut, cutLengthNm } of rafters) {
      expect(sixteenths(cut?.lineNm ?? 0)).toBe(180.625);
      expect(sixteenths(cut?.shortenedNm ?? 0)).toBe(179.75);
      expect(sixteenths(cutLengthNm)).toBe(195.9375);
      expect(cut?.plumbDegrees).toBeCloseTo(30.26, 2);
    }
    expect(piecesOf(roof, "ridge").map(({ cutLengthNm }) => inchesOf(cutLengthNm))).toEqual([expect.closeTo(476)]);
  });

  // The rafter table stamped on a framing square: common and hip for each foot of run, difference of jacks at 16 and 24 in.
  // All but 4, 6, 7, 8, 9 and 12 in 12 from memory.
  it.each([
    [2, 12.17, 17.09, 16.22, 24.33],
    [3, 12.37, 17.23, 16.49, 24.74],
    [4, 12.65, 17.44, 16.87, 25.3],
    [5, 13.0, 17.69, 17.33, 26.0],
    [6, 13.42, 18.0, 17.89, 26.83],
    [7, 13.89, 18.36, 18.52, 27.78],
    [8, 14.42, 18.76, 19.23, 28.84],
    [9, 15.0, 19.21, 20.0, 30.0],
    [10, 15.62, 19.7, 20.83, 31.24],
    [11, 16.28, 20.22, 21.7, 32.56],
    [12, 16.97, 20.78, 22.63, 33.94],
    [13, 17.69, 21.38, 23.59, 35.38],
    [14, 18.44, 22.0, 24.59, 36.88],
    [15, 19.21, 22.65, 25.61, 38.42],
    [16, 20.0, 23.32, 26.67, 40.0],
    [17, 20.81, 24.02, 27.74, 41.62],
    [18, 21.63, 24.74, 28.84, 43.27],
  ])("at %d in 12 go by the framing square", (rise, common, hip, at16, at24) => {
    const edges = rectangle(feet(40), feet(24), ["eave", "eave", "eave", "eave"]);
    const roof = (spacing: number) =>
      roofOf("imperial", edges, { pitch: rise / 12, choices: { rafterSpacing: inches(spacing) } });
    const [first] = piecesOf(roof(16), "common-rafter");
    expect(inchesOf(first?.cut?.lineNm ?? 0) / 12).toBeCloseTo(common, 2);
    const [hipRafter] = piecesOf(roof(16), "hip-rafter");
    expect(inchesOf(hipRafter?.cut?.lineNm ?? 0) / 12).toBeCloseTo(hip, 2);
    for (const [spacing, difference] of [
      [16, at16],
      [24, at24],
    ] as const) {
      if (difference === undefined) continue;
      const jacks = piecesOf(roof(spacing), "hip-jack")
        .filter(({ id }) => id.startsWith("rafter-a-"))
        .map(({ cut }) => inchesOf(cut?.lineNm ?? 0))
        .toSorted((a, b) => a - b);
      expect((jacks[2] ?? 0) - (jacks[0] ?? 0)).toBeGreaterThan(0);
      const steps = jacks.slice(1).map((each, index) => each - (jacks[index] ?? 0));
      expect(steps.some((step) => Math.abs(step - difference) < 0.006)).toBe(true);
    }
  });

  // Half of 1 1/2 in over the sine of 45 degrees is 1 1/16 in (arithmetic).
  it("takes half the hip at its angle off a jack, and half the ridge at its angle off a hip", () => {
    const roof = roofOf("imperial", rectangle(feet(36), feet(24), ["eave", "eave", "eave", "eave"]), { pitch: 0.5 });
    const [jack] = piecesOf(roof, "hip-jack");
    expect(inchesOf(jack?.cut?.headOffNm ?? 0)).toBeCloseTo(0.75 * Math.SQRT2, 3);
    expect(jack?.cut?.headBevelDegrees).toBeCloseTo(45);
    const [hip] = piecesOf(roof, "hip-rafter");
    expect(inchesOf(hip?.cut?.headOffNm ?? 0)).toBeCloseTo(0.75 * Math.SQRT2, 3);
    expect(inchesOf(hip?.cut?.lineNm ?? 0)).toBeCloseTo(216);
  });

  it("tells jacks, cripples and commons apart in an L", () => {
    const l = roofOf(
      "imperial",
      [
        { lengthNm: feet(40), end: "eave" },
        { lengthNm: feet(16), end: "eave" },
        { lengthNm: feet(24), end: "eave", turn: -90 },
        { lengthNm: feet(14), end: "eave" },
        { lengthNm: feet(16), end: "eave" },
        { lengthNm: feet(30), end: "eave" },
      ],
      { pitch: 0.5, overhangNm: inches(12) },
    );
    const counts = ["common-rafter", "hip-jack", "valley-jack", "hip-rafter", "valley-rafter", "ridge"].map(
      (role) => piecesOf(l, role).length,
    );
    expect(counts.every((count) => count > 0)).toBe(true);
    expect(piecesOf(l, "hip-rafter")).toHaveLength(5);
    expect(piecesOf(l, "valley-rafter")).toHaveLength(1);
  });
});
