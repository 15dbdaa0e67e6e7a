import { rectangle, roofOf } from "../../testing/roofs";
import { feet, inches, toInches } from "../../units";
import { betweenPoints, nearestRoofPoint, roofPoints } from "./check";
import { formOf } from "./form";

/** 24 by 36 ft, 6 in 12, hipped: hips of 18 ft, a ridge of 12 ft, 6 ft up (the note's check values). */
describe("a dimension between two corners of a roof", () => {
  const formed = formOf(
    roofOf("imperial", rectangle(feet(36), feet(24), ["eave", "eave", "eave", "eave"]), { pitch: 0.5 }),
  );
  if (!formed.ok) throw new Error(formed.why);
  const { form } = formed;
  const at = (xNm: number, yNm: number) => {
    const found = nearestRoofPoint(form, { xNm, yNm });
    if (!found) throw new Error("no corner");
    return found;
  };

  it("is level, up and straight: a hip from the corner to the end of the ridge", () => {
    const { level, up, straight } = betweenPoints(at(inches(3), inches(2)), at(feet(12) + inches(5), feet(12)));
    expect([toInches(level), toInches(up), toInches(straight)].map((each) => Number(each.toFixed(2)))).toEqual([
      203.65, 72, 216,
    ]);
  });

  it("is the ridge from end to end, and nothing from a corner to itself", () => {
    const ridge = betweenPoints(at(feet(12), feet(12)), at(feet(24), feet(12)));
    expect([toInches(ridge.level), ridge.up]).toEqual([144, 0]);
    expect(betweenPoints(at(0, 0), at(0, 0))).toEqual({ level: 0, up: 0, straight: 0 });
  });

  it("knows each corner once", () => {
    expect(roofPoints(form)).toHaveLength(6);
  });
});
