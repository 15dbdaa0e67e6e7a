import { countPart } from "../../../count";
import type { FramingPiece } from "../../../drawing/piece";
import { isFraming } from "../../../drawing/piece";
import { library } from "../../../testing/library";
import { rectangle, roofOf } from "../../../testing/roofs";
import { feet, inches, toInches } from "../../../units";

const HIPPED = ["eave", "eave", "eave", "eave"] as const;
const PLATE = 3.5;
const CHOICES = { rafterSection: "2x8", hipSection: "2x10", gableStudSection: "2x4", rafterSpacing: inches(16) };

function piecesOf(pitch: number, otherPitch = pitch): FramingPiece[] {
  const edges = rectangle(feet(36), feet(24), HIPPED).map((edge, index) => ({
    ...edge,
    pitch: index % 2 === 0 ? pitch : otherPitch,
  }));
  return countPart(roofOf("imperial", edges, { pitch, choices: CHOICES }), "imperial", library).pieces.filter(
    isFraming,
  );
}
const first = (pieces: readonly FramingPiece[], role: string) => pieces.find((piece) => piece.role === role)?.cut;

/** A third of a 7 1/4 in rafter at most, and no wider than the plate (common practice); by Pythagoras. */
describe.each([3 / 12, 6 / 12, 12 / 12, 18 / 12])("at %d the notch of a rafter", (pitch) => {
  const secant = Math.hypot(1, pitch);
  const heel = Math.min((7.25 / 3) * secant, PLATE * pitch);
  const overPlate = 7.25 * secant - heel;
  it("is as wide as the plate at most", () => {
    const cut = first(piecesOf(pitch), "common-rafter");
    expect(toInches(cut?.heelNm ?? 0)).toBeCloseTo(heel, 3);
    expect(toInches(cut?.seatNm ?? 0)).toBeCloseTo(heel / pitch, 3);
    expect(toInches(cut?.seatNm ?? 0)).toBeLessThanOrEqual(PLATE + 1e-6);
  });

  it("leaves a deeper hip as high over the plate", () => {
    const cut = first(piecesOf(pitch), "hip-rafter");
    const hipSecant = Math.hypot(1, pitch / Math.SQRT2);
    expect(9.25 * hipSecant - toInches(cut?.heelNm ?? 0)).toBeCloseTo(overPlate, 3);
    expect(toInches(cut?.seatNm ?? 0)).toBeLessThanOrEqual(PLATE * Math.SQRT2 + 1e-6);
  });
});

it("a hip between unequal pitches is planed at two angles, each the slope's own", () => {
  const [steep, flat] = [Math.tan((48 * Math.PI) / 180), Math.tan((32 * Math.PI) / 180)];
  const backing = first(piecesOf(flat, steep), "hip-rafter")?.backingDegrees ?? [];
  // The dihedral angle of two planes from their normals: arithmetic. What the two sides are planed by is what it lacks of straight.
  const cosine = 1 / Math.hypot(1, steep) / Math.hypot(1, flat);
  const dihedral = 180 - (Math.acos(cosine) * 180) / Math.PI;
  expect(backing[0]).not.toBeCloseTo(backing[1] ?? 0, 1);
  expect((backing[0] ?? 0) + (backing[1] ?? 0)).toBeCloseTo(180 - dihedral, 6);
});
