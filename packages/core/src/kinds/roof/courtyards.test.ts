import { countPart } from "../../count/countPart";
import { contexts, library } from "../../testing/library";
import { rectangle, roofOf, said } from "../../testing/roofs";
import { feet, metres } from "../../units";
import { withCourtyard, withoutCourtyard } from "./courtyards";
import { formOf } from "./form";
import { outlineOfRoof } from "./outline";
import { roofProblems } from "./problems";
import { linesOfKind, roofQuantities } from "./quantities";
import type { Roof } from "./schema";

const SQ_FT = 0.09290304;
const square = roofOf("imperial", rectangle(feet(60), feet(60), ["eave", "eave", "eave", "eave"]), { pitch: 0.5 });
const court = (along: number, into: number, width: number, depth: number, id = "c") => ({
  id,
  along: said(feet(along)),
  into: said(feet(into)),
  width: said(feet(width)),
  depth: said(feet(depth)),
});
const withCourts = (...courtyards: Roof["courtyards"]): Roof => ({ ...square, courtyards });
const lengthsOf = (roof: Roof, kind: "ridge" | "hip" | "valley"): number[] => {
  const formed = formOf(roof);
  return formed.ok ? linesOfKind(formed.form, kind).map(({ lengthMm }) => lengthMm / 304.8) : [];
};
const told = (roof: Roof): string[] => roofProblems(roof, contexts.imperial).map(({ message }) => message);

/** 60 ft square with a court of 20 ft square in its middle, 6 in 12: a ring of 20 ft, its ridge 10 ft in and 5 ft up. Worked by hand. */
describe("a roof round a courtyard", () => {
  const ring = withCourts(court(20, 20, 20, 20));

  it("covers the outline without it", () => {
    const { area = 0, outlineArea = 0, eaves = 0 } = roofQuantities(ring);
    expect(outlineArea / SQ_FT).toBeCloseTo(3200, 4);
    expect(area / SQ_FT).toBeCloseTo(3200 * Math.sqrt(1.25), 4);
    expect(eaves / 0.3048).toBeCloseTo(4 * 60 + 4 * 20, 4);
  });

  it("has a ridge all round, hips at its outer and valleys at its inner corners, each 15 ft", () => {
    expect(lengthsOf(ring, "ridge")).toEqual([40, 40, 40, 40].map((each) => expect.closeTo(each, 4)));
    expect(lengthsOf(ring, "hip")).toEqual([15, 15, 15, 15].map((each) => expect.closeTo(each, 4)));
    expect(lengthsOf(ring, "valley")).toEqual([15, 15, 15, 15].map((each) => expect.closeTo(each, 4)));
  });

  it("is framed all round it, with overhangs into it", () => {
    const out = { ...ring, overhang: said(feet(1)) };
    const { planArea = 0 } = roofQuantities(out);
    // 62 ft square without 18 ft square.
    expect(planArea / SQ_FT).toBeCloseTo(62 * 62 - 18 * 18, 3);
    const count = countPart(out, "imperial", library);
    expect(count.problems).toEqual([]);
    expect(count.lines.find(({ rule }) => rule === "valleyRafters")?.quantity).toBe(4);
  });

  it("walked the other way round is the same", () => {
    const mirrored = { ...ring, edges: ring.edges.map((edge) => ({ ...edge, turnDegrees: -edge.turnDegrees })) };
    expect(roofQuantities(mirrored).area).toBeCloseTo(roofQuantities(ring).area ?? 0, 6);
    expect(told(mirrored)).toEqual([]);
  });

  it("cannot have one outside the outline, through it, or in another", () => {
    expect(told(withCourts(court(70, 20, 10, 10)))).toEqual(["Courtyard 1 is not within the outline."]);
    expect(told(withCourts(court(50, 20, 20, 10)))).toEqual(["Courtyard 1 is not within the outline."]);
    expect(told(withCourts(court(20, 20, 10, 10), court(25, 25, 10, 10, "d")))).toEqual([
      "Courtyard 2 comes into another one.",
    ]);
    expect(told(withCourts(court(20, 20, 10, 10), court(22, 22, 2, 2, "d")))).toEqual([
      "Courtyard 2 comes into another one.",
    ]);
    expect(told(withCourts(court(22, 22, 2, 2), court(20, 20, 10, 10, "d")))).toHaveLength(1);
    expect(told(withCourts(court(20, 20, 0, 10)))[0]).toContain("Courtyard 1");
  });

  it("lies as far along as the longest edge may be", () => {
    const long = roofOf("metric", rectangle(metres(150), metres(60), ["eave", "eave", "eave", "eave"]), { pitch: 0.5 });
    const far = {
      id: "c",
      along: said(metres(90)),
      into: said(metres(20)),
      width: said(metres(12)),
      depth: said(metres(9)),
    };
    expect(roofProblems({ ...long, courtyards: [far] }, contexts.metric)).toEqual([]);
    expect(roofProblems({ ...long, courtyards: [{ ...far, along: said(metres(300)) }] }, contexts.metric)).toHaveLength(
      1,
    );
  });

  it("is put where there is most room, and taken out again", () => {
    const outline = outlineOfRoof(square);
    if (!outline.ok) throw new Error("no outline");
    const put = withCourtyard(square, "new", outline, "imperial");
    expect(put.courtyards.map(({ width }) => width)).toEqual([{ valueNm: feet(15), typed: "", assumed: true }]);
    expect(told(put)).toEqual([]);
    expect(withoutCourtyard(put, "new").courtyards).toEqual([]);
  });
});
