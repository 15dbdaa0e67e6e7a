import { countPart } from "../../count";
import { library } from "../../testing/library";
import { rectangle, roofOf, type TestEdge } from "../../testing/roofs";
import { feet, inches, millimetres } from "../../units";

const countOf = (edges: readonly TestEdge[]) =>
  countPart(roofOf("imperial", edges, { pitch: 0.5, choices: { ceilingJoists: true } }), "imperial", library);
const rolesOf = (edges: readonly TestEdge[]) => {
  const { pieces } = countOf(edges);
  return Object.fromEntries(
    ["common-rafter", "ridge", "hip-rafter", "valley-rafter", "ceiling-joist"].map((role) => [
      role,
      pieces.filter((piece) => piece.role === role).length,
    ]),
  );
};

const ENDS = ["eave", "gable", "eave", "gable"] as const;
const HIPPED = ["eave", "eave", "eave", "eave"] as const;

/** What a tape cannot tell apart is one (common practice: two readings of a sixteenth). */
describe.each([
  ["gabled", ENDS],
  ["hipped", HIPPED],
])("a %s roof whose eaves are a sixteenth of an inch out of parallel", (_, ends) => {
  const true24 = rectangle(feet(38), feet(24), ends);
  it.each([inches(1 / 16), millimetres(1), -inches(1 / 16)])("is framed as the true one, by %d nm", (moreNm) => {
    for (const which of [0, 1, 2, 3]) {
      const edges = true24.map((edge, index) =>
        index === which ? { ...edge, lengthNm: edge.lengthNm + moreNm } : edge,
      );
      expect(rolesOf(edges)).toEqual(rolesOf(true24));
    }
  });
});

it("a jog of a millimetre in an eave makes no hip and no valley, and is said", () => {
  const jogged: TestEdge[] = [
    { lengthNm: feet(20), end: "eave" },
    { lengthNm: millimetres(1), end: "eave", turn: -90 },
    { lengthNm: feet(18), end: "eave" },
    { lengthNm: feet(24) - millimetres(1), end: "gable" },
    { lengthNm: feet(38), end: "eave" },
    { lengthNm: feet(24), end: "gable" },
  ];
  expect(rolesOf(jogged)).toEqual(rolesOf(rectangle(feet(38), feet(24), ENDS)));
  const slanted = rectangle(feet(38), feet(24), ENDS).map((edge, index) =>
    index === 0 ? { ...edge, lengthNm: edge.lengthNm + millimetres(1.9) } : edge,
  );
  expect(countOf(slanted).problems.map(({ code }) => code)).toContain("straightened");
});

describe("ties that are chosen and cannot be", () => {
  const told = (edges: readonly TestEdge[], more: object = {}) => {
    const roof = {
      ...roofOf("imperial", edges, { pitch: 0.5, choices: { ceilingJoists: true, collarEvery: 2 } }),
      ...more,
    };
    return countPart(roof, "imperial", library).problems.find(({ code }) => code === "untied")?.message ?? "";
  };
  it("are said by the slope that has none: hip ends, a lean-to, a pyramid, a gambrel", () => {
    expect(told(rectangle(feet(38), feet(24), ENDS))).toBe("");
    expect(told(rectangle(feet(38), feet(24), HIPPED))).toMatch(
      /^Edge B, Edge D: no ceiling joists or collar ties under these slopes/,
    );
    expect(told(rectangle(feet(20), feet(10), ["eave", "gable", "wall", "gable"]))).toMatch(/^Edge A: /);
    expect(told(rectangle(feet(24), feet(24), HIPPED))).not.toBe("");
    const measured = { valueNm: feet(8), typed: "", assumed: false };
    const gambrel = { breakHeight: measured, upperPitch: { value: 0.3, typed: "", assumed: false } };
    expect(told(rectangle(feet(38), feet(40), ENDS), gambrel)).toMatch(/^Edge A, Edge C: /);
  });
});
