import { rectangle, roofOf } from "../../testing/roofs";
import { feet, inches, metres, NM_PER_INCH, NM_PER_MM } from "../../units";
import { formOf, type RoofForm } from "./form";
import { linesOfKind } from "./quantities";
import type { Roof } from "./schema";

const inchesOf = (mm: number): number => (mm * NM_PER_MM) / NM_PER_INCH;
const squareFeet = (m2: number): number => m2 / 0.3048 ** 2;
const tangent = (angle: number): number => Math.tan((angle * Math.PI) / 180);
function formed(roof: Roof): RoofForm {
  const result = formOf(roof);
  if (!result.ok) throw new Error(result.why);
  return result.form;
}
const areaOf = (form: RoofForm): number => form.faces.reduce((sum, face) => sum + face.areaM2, 0);
const lengths = (form: RoofForm, kind: Parameters<typeof linesOfKind>[1]): number[] =>
  linesOfKind(form, kind).map((line) => inchesOf(line.lengthMm));

// Worked by arithmetic from plan area × secant and plan length × secant (common practice).
describe("the form of a roof", () => {
  it("of a gable roof 26 × 38 ft, 7 in 12, overhangs 14 in and 10 in: 1301.13 sq ft", () => {
    const form = formed(
      roofOf("imperial", rectangle(feet(38), feet(26), ["eave", "gable", "eave", "gable"]), {
        pitch: 7 / 12,
        overhangNm: inches(14),
        rakeNm: inches(10),
      }),
    );
    expect(squareFeet(areaOf(form))).toBeCloseTo(1301.13, 1);
    expect(lengths(form, "ridge")).toEqual([expect.closeTo(38 * 12 + 20)]);
    expect(lengths(form, "rake").map(Math.round)).toEqual(
      [197, 197, 197, 197].map(() => Math.round(170 * Math.hypot(1, 7 / 12))),
    );
    expect(form.standing.map((face) => squareFeet(face.areaM2))).toEqual(
      [0, 1].map(() => expect.closeTo((26 * 13 * 7) / 12 / 2)),
    );
  });

  it("of a hip roof 24 × 36 ft, 6 in 12: a ridge of 12 ft, hips of 18 ft 0 in, 965.98 sq ft", () => {
    const form = formed(
      roofOf("imperial", rectangle(feet(36), feet(24), ["eave", "eave", "eave", "eave"]), { pitch: 0.5 }),
    );
    expect(lengths(form, "ridge")).toEqual([expect.closeTo(144)]);
    expect(lengths(form, "hip")).toEqual([0, 1, 2, 3].map(() => expect.closeTo(216)));
    expect(squareFeet(areaOf(form))).toBeCloseTo(965.98, 1);
  });

  it("of the same with 18 in of overhang: hips of 20 ft 3 in, 1177.29 sq ft", () => {
    const form = formed(
      roofOf("imperial", rectangle(feet(36), feet(24), ["eave", "eave", "eave", "eave"]), {
        pitch: 0.5,
        overhangNm: inches(18),
      }),
    );
    expect(lengths(form, "hip")).toEqual([0, 1, 2, 3].map(() => expect.closeTo(243)));
    expect(squareFeet(areaOf(form))).toBeCloseTo(1177.29, 1);
    expect(lengths(form, "eave").reduce((a, b) => a + b, 0)).toBeCloseTo(2 * (39 + 27) * 12);
  });

  // tan = rise of the steep slope / rise of the flat one (arithmetic).
  it("of a square corner between 32 and 48 degrees: the hip stands 60.64 degrees off the flat eave, 28.57 degrees itself", () => {
    const edges = rectangle(metres(12), metres(8), ["eave", "eave", "eave", "eave"]).map((edge, index) => ({
      ...edge,
      pitch: tangent(index % 2 === 0 ? 32 : 48),
    }));
    const form = formed(roofOf("metric", edges, { pitch: 1 }));
    const hips = linesOfKind(form, "hip");
    expect(hips).toHaveLength(4);
    for (const { from, to, planMm } of hips) {
      const offEave = (Math.atan2(Math.abs(to[1] - from[1]), Math.abs(to[0] - from[0])) * 180) / Math.PI;
      expect(offEave).toBeCloseTo(60.64, 1);
      expect((Math.atan(Math.abs(to[2] - from[2]) / planMm) * 180) / Math.PI).toBeCloseTo(28.57, 1);
    }
  });

  it.each([
    [30, 22.21],
    [35, 26.34],
    [40, 30.68],
    [45, 35.26],
  ])("of one pitch of %d degrees has hips of %d degrees", (angle, hip) => {
    const form = formed(
      roofOf("metric", rectangle(metres(10), metres(7), ["eave", "eave", "eave", "eave"]), { pitch: tangent(angle) }),
    );
    const [{ from, to, planMm } = { from: [0, 0, 0], to: [0, 0, 0], planMm: 1 }] = linesOfKind(form, "hip");
    expect((Math.atan(Math.abs(to[2] - from[2]) / planMm) * 180) / Math.PI).toBeCloseTo(hip, 2);
  });

  it("carries unequal pitches down to fascias that meet when overhangs go by the tangents", () => {
    const [flat, steep] = [tangent(32), tangent(48)];
    const over = metres(0.5);
    const edges = rectangle(metres(12), metres(8), ["eave", "eave", "eave", "eave"]).map((edge, index) => ({
      ...edge,
      pitch: index % 2 === 0 ? flat : steep,
      overhangNm: index % 2 === 0 ? over : Math.round((over * flat) / steep),
    }));
    const form = formed(roofOf("metric", edges, { pitch: 1 }));
    const eaves = linesOfKind(form, "eave");
    expect(eaves).toHaveLength(4);
    for (const { from, to } of eaves) expect(from[2]).toBeCloseTo(to[2], 2);
  });

  it("cuts the lower fascia's slope off along the other eave where overhangs are alike and pitches are not", () => {
    const edges = rectangle(metres(12), metres(8), ["eave", "eave", "eave", "eave"]).map((edge, index) => ({
      ...edge,
      pitch: tangent(index % 2 === 0 ? 32 : 48),
    }));
    const form = formed(roofOf("metric", edges, { pitch: 1, overhangNm: metres(0.5) }));
    // On plan the roof is the rectangle of the overhangs, whichever slope lies in its corners.
    const plan = form.faces.reduce((sum, face) => sum + face.planAreaM2, 0);
    expect(plan).toBeCloseTo(13 * 9, 6);
  });

  it("of a half-hip slopes from its height", () => {
    const edges = rectangle(metres(10), metres(6), ["eave", "half-hip", "eave", "half-hip"]).map((edge) => ({
      ...edge,
      hipFromNm: metres(2),
    }));
    const form = formed(roofOf("metric", edges, { pitch: 1 }));
    // The gable is a trapezium 6 m below, 2 m above, 2 m high: 8 m². The ridge is shorter by what each hip takes: 1 m.
    expect(form.standing.map((face) => face.areaM2)).toEqual([expect.closeTo(8), expect.closeTo(8)]);
    expect(linesOfKind(form, "ridge").map((line) => line.lengthMm)).toEqual([expect.closeTo(8000)]);
    expect(linesOfKind(form, "hip")).toHaveLength(4);
  });

  it("of a lean-to comes up to its wall", () => {
    const form = formed(
      roofOf("metric", rectangle(metres(6), metres(3), ["eave", "gable", "wall", "gable"]), {
        pitch: 0.25,
        overhangNm: metres(0.4),
      }),
    );
    expect(form.faces).toHaveLength(1);
    expect(form.highestMm).toBeCloseTo(750);
    expect(linesOfKind(form, "wall-top").map((line) => line.lengthMm)).toEqual([expect.closeTo(6000)]);
    expect(areaOf(form)).toBeCloseTo(6 * 3.4 * Math.hypot(1, 0.25));
  });

  it("with two pitches breaks at the height said", () => {
    const roof: Roof = {
      ...roofOf("metric", rectangle(metres(10), metres(8), ["eave", "gable", "eave", "gable"]), { pitch: 2 }),
      breakHeight: { valueNm: metres(2), typed: "", assumed: false },
      upperPitch: { value: 0.5, typed: "", assumed: false },
    };
    const form = formed(roof);
    // 1 m in for 2 m of rise, then 3 m in for 1.5 m.
    expect(form.highestMm).toBeCloseTo(3500);
    expect(linesOfKind(form, "break")).toHaveLength(2);
    expect(areaOf(form)).toBeCloseTo(2 * 10 * (Math.hypot(1, 2) + Math.hypot(3, 1.5)));
  });

  it("of an L with gables: one valley, and slopes that are plan area × secant", () => {
    const form = formed(
      roofOf(
        "imperial",
        [
          { lengthNm: feet(40), end: "eave" },
          { lengthNm: feet(16), end: "gable" },
          { lengthNm: feet(24), end: "eave", turn: -90 },
          { lengthNm: feet(14), end: "eave" },
          { lengthNm: feet(16), end: "gable" },
          { lengthNm: feet(30), end: "eave" },
        ],
        { pitch: 0.75 },
      ),
    );
    expect(linesOfKind(form, "valley")).toHaveLength(1);
    expect(lengths(form, "valley")).toEqual([expect.closeTo(96 * Math.sqrt(2 + 0.75 ** 2))]);
    expect(squareFeet(areaOf(form))).toBeCloseTo((40 * 16 + 16 * 14) * 1.25);
  });
});
