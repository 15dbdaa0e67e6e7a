import { countPart } from "../../count";
import { isFraming, type Piece } from "../../drawing/piece";
import { tape } from "../../testing/ground";
import { floorOf, floorOpeningOf, supportOf } from "../../testing/joists";
import { library } from "../../testing/library";
import type { MeasuringSystem } from "../../units";
import type { Floor } from "./schema";

const counted = (floor: Floor, system: MeasuringSystem) => countPart(floor, system, library);

/** How many of each length of a role there are, longest first. */
function cut(pieces: readonly Piece[], role: string): (readonly [number, number])[] {
  const many = new Map<number, number>();
  for (const piece of pieces.filter(isFraming))
    if (piece.role === role) many.set(piece.cutLengthNm, (many.get(piece.cutLengthNm) ?? 0) + 1);
  return [...many].toSorted(([a], [b]) => b - a).map(([nm, count]) => [count, nm] as const);
}
const number = (pieces: readonly Piece[], role: string) => pieces.filter((piece) => piece.role === role).length;
const of =
  (system: MeasuringSystem) =>
  (...lengths: readonly (readonly [number, string])[]) =>
    lengths.map(([count, text]) => [count, tape(text, system)] as const);
const imperial = of("imperial");
const metric = of("metric");
const sides = { "edges.a.length": "20'", "edges.b.length": "14'6" };

/** Each worked by hand, piece by piece; a joist is 1 1/2 in thick, a metric one 38 mm. Arithmetic, unless a source is named. */
describe("floors worked by hand", () => {
  it("20 ft by 14 ft 6 in at 16 in: 16 joists of 14 ft 3 in between two rims of 20 ft", () => {
    const { pieces, problems, lines } = counted(
      floorOf("imperial", sides, { choices: { panelTongue: 0 } }),
      "imperial",
    );
    expect(problems).toEqual([]);
    expect(cut(pieces, "joist")).toEqual(imperial([14, "14'3"]));
    expect(cut(pieces, "edge-joist")).toEqual(imperial([2, "14'3"]));
    expect(cut(pieces, "rim-joist")).toEqual(imperial([2, "20'"]));
    // Rows of 8 + 8 + 4 and 4 + 8 + 8; the fourth row 2 ft 6 in wide: 5 + 3 + 2 sheets, where by area it were 9.06.
    expect(lines.find(({ rule }) => rule === "panels")?.quantity).toBe(10);
    expect(number(pieces, "joist-hanger")).toBe(0);
    // 10 in deep joists ask for no bridging: IRC R502.7.1 (from memory).
    expect(number(pieces, "floor-block")).toBe(0);
  });

  it("with an opening along the joists, 3 ft 4 in by 9 ft 6 in: headers single, trimmers doubled, since one stands 4 ft from its bearing", () => {
    const opening = floorOpeningOf("imperial", { along: "6'", off: "1'", length: "3'4", width: "9'6" });
    const { pieces, problems } = counted(floorOf("imperial", sides, { openings: [opening] }), "imperial");
    expect(problems).toEqual([]);
    // From 1 ft to 10 ft 6 in: the far header is 3 ft 10 1/2 in from the rim. IRC R502.10 (from memory).
    expect(cut(pieces, "floor-header")).toEqual(imperial([2, "3'4"]));
    expect(cut(pieces, "trimmer-joist")).toEqual(imperial([4, "14'3"]));
    // Lines at 80 and 96 in are cut; the one at 112 in is the trimmer there. 12 − 1 1/2 − 1 1/2 in, and 14 ft 4 1/2 less 10 ft 6 and 1 1/2.
    expect(cut(pieces, "tail-joist")).toEqual(imperial([2, "3'9"], [2, "9"]));
    expect(cut(pieces, "joist")).toEqual(imperial([11, "14'3"]));
    expect(number(pieces, "joist-hanger") + number(pieces, "double-hanger")).toBe(0);
  });

  it("with the same stair across the joists: headers of 9 ft 6 in are doubled and hang in hangers for two", () => {
    const opening = floorOpeningOf("imperial", { along: "5'", off: "4'", length: "9'6", width: "3'4" });
    const { pieces } = counted(floorOf("imperial", sides, { openings: [opening] }), "imperial");
    // Past 4 ft doubled, past 6 ft in hangers: IRC R502.10 (from memory).
    expect(cut(pieces, "floor-header")).toEqual(imperial([4, "9'6"]));
    expect(cut(pieces, "trimmer-joist")).toEqual(imperial([4, "14'3"]));
    expect(number(pieces, "double-hanger")).toBe(4);
    // Lines at 64, 80 to 160 in lie within 60 to 174 in; at 176 the line is too near the trimmers at 174 to 177: it is one of them.
    expect(cut(pieces, "tail-joist")).toEqual(imperial([7, "6'9 1/2"], [7, "3'7 1/2"]));
    expect(cut(pieces, "joist")).toEqual(imperial([6, "14'3"]));
  });

  it("over a beam in line, lapped: each span is by half the lap longer, and lies beside the other", () => {
    const floor = floorOf(
      "imperial",
      { "edges.a.length": "16'", "edges.b.length": "24'", standing: "9'" },
      {
        supports: [supportOf("imperial", "beam", "12'")],
        choices: { overSupport: "lapped", supportLap: tape("6 in", "imperial"), decked: false, beamSection: "2x12" },
      },
    );
    const { pieces, problems } = counted(floor, "imperial");
    expect(problems).toEqual([]);
    // 12 spaces: 13 lines in two lengths each, from the rim's inside to 3 in past the middle.
    expect([...cut(pieces, "joist"), ...cut(pieces, "edge-joist")]).toEqual(
      imperial([22, "12'1 1/2"], [4, "12'1 1/2"]),
    );
    // Three plies of 16 ft; posts at both ends and one between, for 8 ft at most.
    expect(cut(pieces, "floor-beam")).toEqual(imperial([3, "16'"]));
    // 9 ft less joist 9 1/4 in and beam 11 1/4 in.
    expect(cut(pieces, "floor-post")).toEqual(imperial([3, "7'3 1/2"]));
    expect([number(pieces, "post-cap"), number(pieces, "post-base")]).toEqual([3, 3]);
    // Over the beam a block in each of twelve gaps.
    expect(number(pieces, "floor-block")).toBe(12);
  });

  it("over a flush beam: cut on both sides of it, in hangers", () => {
    const floor = floorOf(
      "imperial",
      { "edges.a.length": "16'", "edges.b.length": "24'" },
      {
        supports: [supportOf("imperial", "flush-beam", "12'")],
        choices: { decked: false, postSpacing: 0, beamPlies: 2 },
      },
    );
    const { pieces } = counted(floor, "imperial");
    // Half of 3 in off each: 12 ft − 1 1/2 − 1 1/2.
    expect(cut(pieces, "joist")).toEqual(imperial([22, "11'9"]));
    expect(number(pieces, "joist-hanger")).toBe(26);
    expect(number(pieces, "floor-block")).toBe(0);
  });

  it("standing out over a wall: counted to its rim, and held against the span behind it", () => {
    const floor = floorOf(
      "imperial",
      { "edges.a.length": "12'", "edges.b.length": "14'" },
      { bears: { c: "open" }, supports: [supportOf("imperial", "wall", "12'")], choices: { decked: false } },
    );
    const { pieces, problems } = counted(floor, "imperial");
    expect(problems).toEqual([]);
    expect(cut(pieces, "joist")).toEqual(imperial([8, "13'9"]));
    const back = { ...floor, supports: [supportOf("imperial", "wall", "6'")] };
    expect(counted(back, "imperial").problems.map(({ code }) => code)).toEqual(["cantilever-long"]);
  });

  it("metric, built in at 400 mm: strutting by the span, straps at 2 m with noggings under them", () => {
    const floor = floorOf(
      "metric",
      { "edges.a.length": "4.8 m", "edges.b.length": "3.6 m" },
      { choices: { decked: false, blockKind: "struts" } },
    );
    const { pieces, problems } = counted(floor, "metric");
    expect(problems).toEqual([]);
    // 12 spaces of 400 mm: 11 between the two that stand 50 mm off the walls; 3.6 m and 100 mm into each.
    expect(cut(pieces, "joist")).toEqual(metric([11, "3.8 m"]));
    expect(cut(pieces, "edge-joist")).toEqual(metric([2, "3.8 m"]));
    // 3.8 m: one row in each of twelve gaps. NHBC Standards 6.4 (from memory).
    expect(number(pieces, "strut-pair")).toBe(12);
    // 3.6 m at 2 m: one strap to each of two walls, two noggings under each. Approved Document A (from memory).
    expect([number(pieces, "wall-strap"), number(pieces, "strap-nogging")]).toEqual([2, 4]);
    // 400 − 50 − 38 − 19 = 293 beside the wall, then 362.
    expect(cut(pieces, "strap-nogging")).toEqual(metric([2, "362 mm"], [2, "293 mm"]));
  });

  it("metric, an opening against a wall that joists are built into: one header, and no tail into the wall", () => {
    const opening = floorOpeningOf("metric", { along: "1.5 m", off: "0", length: "1 m", width: "2 m" });
    const floor = floorOf(
      "metric",
      { "edges.a.length": "4.8 m", "edges.b.length": "3.6 m" },
      { openings: [opening], choices: { decked: false, blocking: "none", strapSpacing: 0, openingLining: 0 } },
    );
    const { pieces, problems } = counted(floor, "metric");
    expect(problems).toEqual([]);
    expect(cut(pieces, "floor-header")).toEqual(metric([1, "1 m"]));
    // Lines at 1.6, 2 and 2.4 m lie within 1.5 to 2.5 m: from the header's back at 2.038 m to 100 mm into the far wall.
    expect(cut(pieces, "tail-joist")).toEqual(metric([3, "1.662 m"]));
  });

  it("an L on a ledger: joists hang along it, those of the arm stop at the arm", () => {
    const legs = [
      ["a", "20'"],
      ["b", "10'"],
      ["c", "8'"],
      ["d", "6'"],
      ["e", "12'"],
      ["f", "16'"],
    ] as const;
    const turns = [90, 90, -90, 90, 90, 90];
    const begun = floorOf("imperial", {});
    const floor: Floor = {
      ...begun,
      choices: { decked: false, blocking: "none" },
      edges: legs.map(([id, text], index) => ({
        id,
        length: { valueNm: tape(text, "imperial"), typed: text, assumed: false },
        turnDegrees: turns[index] ?? 90,
        bears: id === "a" ? "ledger" : null,
      })),
    };
    const { pieces, problems } = counted(floor, "imperial");
    expect(problems).toEqual([]);
    // Across Edge A: 20 ft at 16 in is 16 lines. To the arm's end 16 ft up to 12 ft along, 10 ft beyond; the edge of the step has its own.
    expect(cut(pieces, "joist-ledger")).toEqual(imperial([1, "20'"]));
    expect(cut(pieces, "edge-joist")).toEqual(imperial([2, "15'9"], [1, "9'9"]));
    // Lines at 16 to 128 in lie in the arm; the one at 144 in is where the step is: its joist lies there already.
    expect(cut(pieces, "joist")).toEqual(imperial([8, "15'9"], [5, "9'9"]));
    expect(number(pieces, "joist-hanger")).toBe(16);
  });
});
