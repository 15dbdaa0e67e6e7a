import { countPart } from "../../count/countPart";
import { library } from "../../testing/library";
import { rectangle, roofOf, said, type TestEdge } from "../../testing/roofs";
import { metres, millimetres } from "../../units";
import type { Roof } from "./schema";
import { ROOF_SHAPES, withShape } from "./starts";

const edge = (length: number, turn = 90): TestEdge => ({ lengthNm: metres(length), end: "eave", turn });
/** Two wings 5 m long with a yard between them that is so wide. */
const yardOf = (wide: number, overhang: number) =>
  roofOf("metric", [edge(8 + wide), edge(9), edge(4), edge(5, -90), edge(wide, -90), edge(5), edge(4), edge(9)], {
    pitch: 0.7,
    overhangNm: millimetres(overhang),
  });
const messages = (roof: Roof) =>
  countPart(roof, "metric", library)
    .problems.filter(({ code }) => code === "overhangs-meet")
    .map(({ message }) => message);

describe("overhangs across a narrow yard", () => {
  it("that come over each other are told, with how much: 2 × 500 mm in 900 over 5 m", () => {
    expect(messages(yardOf(0.9, 500)).join()).toContain("0.5 m² is counted twice");
    expect(messages(yardOf(1.2, 500))).toEqual([]);
  });

  it.each(ROOF_SHAPES)("are none on a plain %s", (shape) => {
    const sides = rectangle(metres(12), metres(9), ["eave", "eave", "eave", "eave"]);
    const roof = roofOf("metric", sides, { pitch: 0.8, overhangNm: millimetres(900), rakeNm: millimetres(600) });
    expect(messages(withShape(roof, shape, "metric"))).toEqual([]);
  });
});

describe("a height above the top of the roof", () => {
  const plain = roofOf("metric", rectangle(metres(12), metres(8), ["eave", "half-hip", "eave", "gable"]), {
    pitch: 0.5,
  });
  const said2m = said(metres(2));
  const told = (roof: Roof) => countPart(roof, "metric", library).problems.filter(({ code }) => code === "above-top");

  it("is told beside what it is, and the roof is counted all the same", () => {
    // Its ridge is 8 / 2 × 0.5 = 2 m up.
    const edges = plain.edges.map((each) => ({ ...each, hipFrom: said2m }));
    const roof: Roof = { ...plain, edges, flatHeight: said(metres(3)) };
    expect(told(roof).map(({ path }) => path)).toEqual(["flatHeight", "edges.b.hipFrom"]);
    expect(countPart(roof, "metric", library).lines.length).toBeGreaterThan(10);
  });

  it("is nothing to tell below it", () => {
    const edges = plain.edges.map((each) => ({ ...each, hipFrom: said(metres(1)) }));
    expect(told({ ...plain, edges, flatHeight: said(millimetres(1500)) })).toEqual([]);
  });
});
