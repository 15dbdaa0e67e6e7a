import { countPart } from "../../count";
import { isFraming, type Piece } from "../../drawing/piece";
import { tape } from "../../testing/ground";
import { flatRoofOf } from "../../testing/joists";
import { contexts, library } from "../../testing/library";
import type { MeasuringSystem } from "../../units";
import { flatRoofKind, withSide } from "./index";
import type { FlatRoof } from "./schema";

const counted = (roof: FlatRoof, system: MeasuringSystem = "metric") => countPart(roof, system, library);
const quantity = (roof: FlatRoof, rule: string, system: MeasuringSystem = "metric") =>
  counted(roof, system).lines.find((line) => line.rule === rule)?.quantity;
const codes = (roof: FlatRoof, system: MeasuringSystem = "metric") =>
  counted(roof, system).problems.map(({ code, path }) => [code, path]);

/** How many of each length of a role there are, longest first. */
function cut(pieces: readonly Piece[], role: string): (readonly [number, number])[] {
  const many = new Map<number, number>();
  for (const piece of pieces.filter(isFraming))
    if (piece.role === role) many.set(piece.cutLengthNm, (many.get(piece.cutLengthNm) ?? 0) + 1);
  return [...many].toSorted(([a], [b]) => b - a).map(([nm, count]) => [count, nm] as const);
}
const mm = (...lengths: readonly (readonly [number, number])[]) =>
  lengths.map(([count, of]) => [count, of * 1_000_000] as const);
const heights = (pieces: readonly Piece[]) =>
  pieces
    .filter(isFraming)
    .flatMap(({ heightsNm }) => (heightsNm ? [[heightsNm.lowNm / 1e6, heightsNm.highNm / 1e6]] : []));

/** Against a wall along Edge A, open along the others. */
const three = {
  "edges.a.length": "5.1 m",
  "edges.b.length": "4.2 m",
  "edges.b.overhang": "0.3 m",
  "edges.c.overhang": "0.3 m",
  "edges.d.overhang": "0.3 m",
};

/** Each worked by hand, piece by piece; a joist is 38 mm thick, an imperial one 1 1/2 in. Arithmetic, unless a source is named. */
describe("flat roofs worked by hand", () => {
  it("5.1 m overall with ladders of 0.3 m at both ends, at 400 mm: a bay of 4.5 m, 13 joists", () => {
    const { pieces, problems } = counted(flatRoofOf("metric", three, { choices: { edgesBear: "hangers" } }));
    expect(problems).toEqual([]);
    // 11.25 spaces of 400 mm: 11 lines between the two at the ends of the bay. From the wall to the outside of the overhang.
    expect(cut(pieces, "joist")).toEqual(mm([11, 4200]));
    expect(cut(pieces, "edge-joist")).toEqual(mm([2, 4200]));
    expect(cut(pieces, "ladder-joist")).toEqual(mm([2, 4200]));
    // From the outer joist's inner face to the bay joist: 300 − 38. At both ends and every 400 mm of 4.2 m: 12 on each side.
    expect(cut(pieces, "ladder-nogging")).toEqual(mm([24, 262]));
    // Rows at 2 m in 4.2 m: two, across each of twelve gaps.
    const noggings = cut(pieces, "roof-nogging");
    expect(noggings.reduce((sum, [count]) => sum + count, 0)).toBe(24);
    // 400 − 38; the first from an edge 400 − 38 − 19; the last what is left of 4.5 m: 4500 − 4400 − 19 − 38.
    expect(noggings).toEqual(mm([20, 362], [2, 343], [2, 43]));
    // The plate under the overhang, as long as the bay.
    expect(cut(pieces, "roof-plate")).toEqual(mm([1, 4500]));
    expect(pieces.filter(({ role }) => role === "wall-hanger")).toHaveLength(13);
  });

  it("a fall of 1 in 40 over 4.2 m: each firring from 25 to 130 mm, one a joist", () => {
    const { pieces, lines } = counted(flatRoofOf("metric", three, { choices: { edgesBear: "hangers" } }));
    // 4200 / 40 = 105 mm over the least of 25. On thirteen joists and two of ladders.
    expect(heights(pieces)).toEqual(Array.from({ length: 15 }, () => [25, 130]));
    const line = lines.find(({ rule }) => rule === "firringsNeeded");
    expect(line?.quantity).toBe(15);
    expect(JSON.stringify(line?.working)).toContain("4200 mm, from 25 mm to 130 mm high");
  });

  it("falling across the joists: level firrings, each as high as its place is far from the low side", () => {
    const roof = { ...flatRoofOf("metric", three, { choices: { edgesBear: "hangers" } }), fallsTo: "d" };
    const all = heights(counted(roof).pieces);
    expect(all.every(([low, high]) => low === high)).toBe(true);
    // The ladder joist at the low side lies 19 mm in, the one at the far side 5081: 25 + 19/40 and 25 + 5081/40.
    expect(Math.min(...all.map(([low = 0]) => low))).toBeCloseTo(25.475, 3);
    expect(Math.max(...all.map(([low = 0]) => low))).toBeCloseTo(152.025, 3);
  });

  it("in a corner of two walls: a ladder on one side only, fascia on the two open sides", () => {
    const roof = flatRoofOf(
      "metric",
      {
        "edges.a.length": "5.1 m",
        "edges.b.length": "4.2 m",
        "edges.b.overhang": "0.3 m",
        "edges.c.overhang": "0.3 m",
      },
      { walls: ["a", "d"], choices: { edgesBear: "hangers" } },
    );
    const { pieces, problems } = counted(roof);
    expect(problems).toEqual([]);
    expect(cut(pieces, "ladder-joist")).toEqual(mm([1, 4200]));
    // Edge D is on the left: 50 mm clear of its wall. 4800 mm at 400: 11 lines between the joist there and the bay's end at 4.8 m.
    expect([...cut(pieces, "edge-joist"), ...cut(pieces, "joist")]).toEqual(mm([2, 4200], [11, 4200]));
    expect(quantity(roof, "fasciaBoards")).toBeCloseTo(9.3, 9);
    expect(quantity(roof, "dripRun")).toBeCloseTo(9.3, 9);
    // Flashing along two walls: 9.3 m in pieces of 1.5 m that lap by 100 mm: (9.3 − 0.1) / 1.4 = 6.57.
    expect(quantity(roof, "flashingRun")).toBeCloseTo(7 * 1.5, 9);
    expect(quantity(roof, "gutterRun")).toBeCloseTo(5.1, 9);
    // Two noggings in 5.2 m at 2 m, one in 3 m, common practice for straps: rows are the length over the spacing rounded up, less one.
    expect(quantity({ ...roof, choices: { ...roof.choices, noggingEvery: 0 } }, "noggings")).toBeUndefined();
  });

  it("imperial, on a ledger: twelve joists in a bay of 14 ft, in hangers", () => {
    const roof = flatRoofOf(
      "imperial",
      {
        "edges.a.length": "16'",
        "edges.b.length": "12'",
        "edges.b.overhang": '12"',
        "edges.c.overhang": '12"',
        "edges.d.overhang": '12"',
      },
      { choices: { edgesBear: "ledger" } },
    );
    const { pieces, problems } = counted(roof, "imperial");
    // The last panel ends 4 in short of the outside, over the ladder, where no joist lies.
    expect(problems.map(({ code }) => code)).toEqual(["joints-off-joists"]);
    const of = (count: number, text: string) => [count, tape(text, "imperial")] as const;
    // 10.5 spaces of 16 in. 12 ft less the ledger of 1 1/2 in.
    expect(cut(pieces, "joist")).toEqual([of(10, "11'10 1/2")]);
    expect(cut(pieces, "joist-ledger")).toEqual([of(1, "16'")]);
    expect(pieces.filter(({ role }) => role === "joist-hanger")).toHaveLength(12);
    expect(cut(pieces, "ladder-nogging")).toEqual([of(20, "10 1/2 in")]);
    // 16 x 12 ft in panels of 4 x 8: rows of two, every other begun by half: 6 sheets.
    expect(quantity(roof, "panels", "imperial")).toBe(6);
  });

  it("noggings: two rows at straps of 2 m in 5.2 m, one in 3 m", () => {
    const rows = (long: string) => {
      const { pieces } = counted(
        flatRoofOf("metric", { ...three, "edges.b.length": long }, { choices: { edgesBear: "hangers" } }),
      );
      return pieces.filter(({ role }) => role === "roof-nogging").length / 12;
    };
    expect([rows("5.2 m"), rows("3 m")]).toEqual([2, 1]);
  });
});

describe("what follows another figure", () => {
  const roof = flatRoofOf("metric", three, { choices: { edgesBear: "hangers" } });
  const set = (part: FlatRoof, path: string, text: string) =>
    flatRoofKind.withDimension(part, path, tape(text, "metric"), text, contexts.metric);

  it("keeps following until it is set by hand, and follows again when it is given back", () => {
    expect(quantity(roof, "dripRun")).toBeCloseTo(13.5, 9);
    const longer = set(roof, "fascia", "14 m");
    expect([quantity(longer, "fasciaBoards"), quantity(longer, "dripRun")]).toEqual([14, 14]);
    const own = set(longer, "drip", "12 m");
    expect(quantity(set(own, "fascia", "15 m"), "dripRun")).toBe(12);
    const back = { ...own, drip: roof.drip };
    expect(quantity(back, "dripRun")).toBe(14);
  });

  it("goes along with its sides: a side put against a wall has no fascia, and is flashed", () => {
    const walled = flatRoofOf("metric", three, { walls: ["a", "c"], choices: { edgesBear: "hangers" } });
    expect(quantity(walled, "fasciaBoards")).toBeCloseTo(8.4, 9);
    // (10.2 − 0.1) / 1.4 = 7.2 pieces of 1.5 m.
    expect(quantity(walled, "flashingRun")).toBeCloseTo(8 * 1.5, 9);
  });

  it("a length of nothing is one: no fascia is no drip and no soffit", () => {
    const none = { ...roof, fasciaOn: [] };
    expect(["fasciaBoards", "dripRun", "soffitBoards"].map((rule) => quantity(none, rule))).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
  });
});

describe("what is odd about a flat roof is said beside its figure, and the rest is counted", () => {
  it("an overhang that leaves no roof, a fall towards a wall, nowhere to fall to, panels that do not carry", () => {
    const wide = flatRoofOf("metric", { ...three, "edges.b.overhang": "5 m" }, { choices: { edgesBear: "hangers" } });
    expect(codes(wide)).toContainEqual(["overhang-wide", "edges.b.overhang"]);
    expect(quantity(wide, "ladderJoists")).toBe(1);
    const uphill = { ...flatRoofOf("metric", three, { choices: { edgesBear: "hangers" } }), fallsTo: "a" };
    expect(codes(uphill)).toEqual([["falls-to-wall", "fallsTo"]]);
    expect(quantity(uphill, "firringPieces")).toBe(15);
    const boxed = flatRoofOf(
      "metric",
      { "edges.a.length": "4 m", "edges.b.length": "3 m" },
      { walls: ["a", "b", "c", "d"], choices: { edgesBear: "hangers" } },
    );
    expect(codes(boxed)).toEqual([["no-low-side", "fallsTo"]]);
    expect(quantity(boxed, "joists")).toBe(11);
    const sparse = flatRoofOf("metric", three, { choices: { edgesBear: "hangers", joistSpacing: 800_000_000 } });
    expect(codes(sparse)).toContainEqual(["spacing-past-panel", "choices.joistSpacing"]);
  });

  it("a fascia on a side against a wall; a side that is put against one loses its own", () => {
    const roof = flatRoofOf("metric", three, { choices: { edgesBear: "hangers" } });
    expect(codes({ ...roof, fasciaOn: ["a", "b"] })).toEqual([["fascia-at-wall", "fascia"]]);
    const walled = withSide({ ...roof, fasciaOn: ["b", "c"], gutterOn: ["b"] }, "b", false, "metric");
    expect([walled.fasciaOn, walled.gutterOn, quantity(walled, "fasciaBoards")]).toEqual([["c"], [], 5.1]);
    expect(codes(walled)).toEqual([]);
    // Opened again it hangs over as is usual.
    expect(withSide(walled, "b", true, "metric").edges[1]?.overhang).toEqual({
      valueNm: 300_000_000,
      typed: "",
      assumed: true,
    });
  });

  it("joists that hang over by more than they span behind", () => {
    const out = flatRoofOf("metric", { ...three, "edges.c.overhang": "2.5 m" }, { choices: { edgesBear: "hangers" } });
    expect(codes(out).map(([code]) => code)).toEqual(["cantilever-long"]);
  });
});
