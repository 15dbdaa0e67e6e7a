import { countPart } from "../../count";
import { deckOf, stairOf } from "../../testing/joists";
import { contexts, library } from "../../testing/library";
import { inches, type MeasuringSystem, millimetres } from "../../units";
import { deckKind, withHouse } from "./index";
import type { Deck } from "./schema";

const sides = { "edges.a.length": "16'", "edges.b.length": "8'" };
const told = (deck: Deck, system: MeasuringSystem = "imperial") =>
  countPart(deck, system, library).problems.map(({ code, path }) => [code, path]);
const quantity = (deck: Deck, rule: string, system: MeasuringSystem = "imperial") =>
  countPart(deck, system, library).lines.find((line) => line.rule === rule)?.quantity;
const high = deckOf("imperial", { ...sides, rise: "3'" });
const low = deckOf("imperial", { ...sides, rise: "2'" });

describe("how high a deck is", () => {
  it("is asked for; until then there is no guard, no post and no stair, and what waits is said", () => {
    const unsaid = deckOf("imperial", sides, { stairs: [stairOf("imperial", { along: "2'", width: "4'" })] });
    expect(told(unsaid)).toEqual([["stair-unmeasured", "rise"]]);
    expect(["posts", "guardPosts", "stringers"].map((rule) => quantity(unsaid, rule))).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
    const points = deckKind.openPoints(unsaid, contexts.imperial).filter(({ kind }) => kind === "missing");
    expect(points.map(({ path }) => path)).toEqual(["rise"]);
  });

  it("brings a guard past 30 in, and none at 30: IRC R312.1.1 (from memory)", () => {
    const at = (rise: string) => quantity(deckOf("imperial", { ...sides, rise }), "guardPosts");
    expect([at("30 in"), at("30 1/16 in")]).toEqual([undefined, 8]);
  });

  it("past 600 mm in the metric system: Approved Document K (from memory)", () => {
    const at = (rise: string) =>
      quantity(deckOf("metric", { "edges.a.length": "4.8 m", "edges.b.length": "3 m", rise }), "guardPosts", "metric");
    expect([at("600 mm"), at("601 mm")]).toEqual([undefined, 8]);
  });

  it("posts are as high as it, unless somebody measured what they stand on", () => {
    const cut = (deck: Deck) =>
      countPart(deck, "imperial", library).pieces.flatMap((piece) =>
        piece.role === "floor-post" && "cutLengthNm" in piece ? [piece.cutLengthNm] : [],
      );
    // 36 - 1 - 7 1/4 - 9 1/4, and 42 - 7 1/4 - 9 1/4.
    expect(new Set(cut(high))).toEqual(new Set([inches(18.5)]));
    const dug = deckKind.withDimension(high, "standing", inches(42), "42", contexts.imperial);
    expect(new Set(cut(dug))).toEqual(new Set([inches(25.5)]));
  });

  it("too low for a beam under its joists: there is no post, and it is said", () => {
    const flat = deckOf("imperial", { ...sides, rise: "12 in" });
    expect(told(flat)).toContainEqual(["no-room-for-posts", "standing"]);
    expect(quantity(flat, "posts")).toBeUndefined();
  });
});

describe("its sides", () => {
  it("at the house have no guard, no frame and no overhang; what lies on the others goes on", () => {
    const corner = withHouse(high, "b", true);
    // The far side 192 less a post, in three bays: 4 posts; the other side two more to the house.
    expect(quantity(corner, "guardPosts")).toBe(6);
    expect(quantity(corner, "frameBoardsCut")).toBe(2);
    expect(told(corner).filter(([code]) => code !== "board-sliver")).toEqual([]);
  });

  it("without a guard on a high deck are told; so is a guard that is too low, and one that lets a ball through", () => {
    expect(told({ ...high, guardOn: ["b"] })).toEqual([["guard-missing", "rise"]]);
    expect(told({ ...high, choices: { guardPast: inches(60) } })).toEqual([["guard-missing", "choices.guardPast"]]);
    expect(told({ ...high, choices: { guardHigh: inches(34) } })).toEqual([["guard-low", "choices.guardHigh"]]);
    expect(told({ ...high, choices: { balusterGap: inches(5) } })).toEqual([
      ["baluster-gap-wide", "choices.balusterGap"],
    ]);
  });

  it("all at the house leave nowhere for a guard", () => {
    const boxed = ["b", "c", "d"].reduce((deck, id) => withHouse(deck, id, true), high);
    expect(told(boxed).map(([code]) => code)).toContain("guard-nowhere");
    expect(quantity(boxed, "ledgers")).toBe(2);
  });

  it("a frame wider than the deck is left out, and said", () => {
    const narrow = deckOf("imperial", { "edges.a.length": "16'", "edges.b.length": "14 in", rise: "2'" });
    expect(told({ ...narrow, choices: { frameBoards: 3 } })).toContainEqual(["frame-wide", "choices.frameBoards"]);
  });

  it("joists wider apart than boards carry, and gaps opened too far", () => {
    expect(told({ ...low, choices: { joistSpacing: inches(24) } })).toContainEqual([
      "spacing-past-boards",
      "choices.joistSpacing",
    ]);
    expect(told({ ...low, choices: { lastBoard: "opened", mostGap: millimetres(7) } })).toContainEqual([
      "gaps-wide",
      "choices.lastBoard",
    ]);
  });
});

describe("stairs", () => {
  const withStair = (given: Parameters<typeof stairOf>[1], more: Parameters<typeof stairOf>[2] = {}) => ({
    ...high,
    stairs: [stairOf("imperial", given, more)],
  });

  it("past the end of their side, at the house, on a side that is gone, over each other", () => {
    expect(told(withStair({ along: "14'", width: "4'" }))).toEqual([["stair-past-side", "stairs.steps.along"]]);
    expect(told(withStair({ along: "2'", width: "4'" }, { edgeId: "a" }))).toEqual([
      ["stair-at-house", "stairs.steps.along"],
    ]);
    const gone = withStair({ along: "2'", width: "4'" }, { edgeId: "z" });
    expect(told(gone)).toEqual([["stair-nowhere", "stairs.steps.along"]]);
    expect(quantity(gone, "stringers")).toBeUndefined();
    const two = {
      ...high,
      stairs: [
        stairOf("imperial", { along: "2'", width: "4'" }),
        stairOf("imperial", { along: "5'", width: "4'" }, { id: "other" }),
      ],
    };
    expect(told(two)).toEqual([["stairs-overlap", "stairs.other.along"]]);
    expect(quantity(two, "treads")).toBe(16);
  });

  it("as wide as their side leave no guard along it", () => {
    const whole = withStair({ along: "0", width: "16'" });
    expect(told(whole)).toEqual([]);
    expect(quantity(whole, "guardBuilt")).toBeCloseTo(16 * 0.3048, 9);
  });

  it("against IRC R311.7 (from memory): risers over 7 3/4 in, treads under 10, 36 in wide, 12 ft 7 in without a landing", () => {
    const stair = withStair({ along: "2'", width: "3'" });
    expect(told(stair)).toEqual([]);
    expect(told({ ...stair, choices: { riserMost: inches(9) } })).toEqual([["riser-high", "choices.riserMost"]]);
    expect(told({ ...stair, choices: { treadGoing: inches(9.875) } })).toEqual([["going-short", "choices.treadGoing"]]);
    expect(told(withStair({ along: "2'", width: "2'11" }))).toEqual([["stair-narrow", "stairs.steps.width"]]);
    expect(told(withStair({ along: "2'", width: "3'", rise: "12'8" }))).toEqual([["flight-high", "stairs.steps.rise"]]);
    expect(told({ ...stair, choices: { risersBoarded: false } })).toEqual([["risers-open", "choices.risersBoarded"]]);
  });

  it("against Approved Document K (from memory): rises of 150 to 220, goings of 220 to 300, 42 degrees", () => {
    const metric = (rise: string, choices: Deck["choices"] = {}) =>
      told(
        deckOf(
          "metric",
          { "edges.a.length": "4.8 m", "edges.b.length": "3.2 m", rise: "0.59 m" },
          { stairs: [stairOf("metric", { along: "1 m", width: "0.9 m", rise })], choices },
        ),
        "metric",
      );
    expect(metric("0.57 m")).toEqual([]);
    expect(metric("0.2 m").map(([code]) => code)).toEqual(["riser-low"]);
    expect(metric("0.46 m", { riserMost: millimetres(230) }).map(([code]) => code)).toEqual([
      "riser-high",
      "stair-steep",
    ]);
    expect(metric("0.57 m", { treadGoing: millimetres(215) }).map(([code]) => code)).toEqual(["going-short"]);
    expect(metric("0.57 m", { treadGoing: millimetres(310) }).map(([code]) => code)).toEqual(["going-long"]);
    // 220 over 220 is 45 degrees.
    expect(
      metric("0.44 m", { riserMost: millimetres(220), treadGoing: millimetres(220) }).map(([code]) => code),
    ).toEqual(["stair-steep"]);
  });

  it("one step up is none, and is said", () => {
    const step = deckOf(
      "imperial",
      { ...sides, rise: "7 in" },
      { stairs: [stairOf("imperial", { along: "2'", width: "4'" })] },
    );
    expect(told(step)).toContainEqual(["one-riser", "stairs.steps.rise"]);
    expect(quantity(step, "stairsBuilt")).toBeUndefined();
  });

  it("follow the deck until they are measured, and again when that is taken back", () => {
    const stair = withStair({ along: "2'", width: "4'" });
    expect(quantity(stair, "stairsBuilt")).toBe(5);
    const own = deckKind.withDimension(stair, "stairs.steps.rise", inches(52), "52", contexts.imperial);
    expect(quantity(own, "stairsBuilt")).toBe(7);
    expect(quantity(deckKind.withDimension(stair, "rise", inches(48), "48", contexts.imperial), "stairsBuilt")).toBe(7);
  });
});

describe("figures nobody would type", () => {
  it.each([
    ["boards by the mile", { "edges.a.length": "900 m", "edges.b.length": "900 m", rise: "1 m" }],
    ["a guard for ever", { "edges.a.length": "990 m", "edges.b.length": "2 m", rise: "29 m" }],
  ])("%s are not laid, and it is said", (_, figures) => {
    expect(told(deckOf("metric", figures), "metric").map(([code]) => code)).toContain("too-many-pieces");
  });

  it("a stair as wide as a field is not laid either", () => {
    const wide = deckOf(
      "metric",
      { "edges.a.length": "4 m", "edges.b.length": "3 m", rise: "29 m" },
      {
        stairs: [stairOf("metric", { along: "0", width: "990 m" })],
        choices: { stringerSpacing: millimetres(200), riserMost: millimetres(100), treadGoing: millimetres(600) },
      },
    );
    expect(told(wide, "metric").length).toBeGreaterThan(0);
  });

  it.each(["boardSection", "railSection", "joistSection", "guardPostSection", "riserSection", "beamSection"])(
    "timber that is in no list is said, and nothing is laid of it: %s",
    (name) => {
      const deck = { ...high, choices: { [name]: "nope" } };
      expect(told(deck)).toEqual([["no-section", `choices.${name}`]]);
      expect(() => deckKind.dimensions(deck, contexts.imperial)).not.toThrow();
    },
  );

  it("figures that keep it from being one are refused: a height of nothing, a stair below zero", () => {
    const deck = { ...high, stairs: [stairOf("imperial", { along: "2'", width: "4'" })] };
    const after = (path: string, nm: number) =>
      deckKind
        .problems(deckKind.withDimension(deck, path, nm, "", contexts.imperial), contexts.imperial)
        .map(({ code }) => code);
    expect(after("rise", 0)).toEqual(["not-positive"]);
    expect(after("rise", millimetres(31_000))).toEqual(["too-large"]);
    expect(after("stairs.steps.along", -1)).toEqual(["not-positive"]);
    expect(after("stairs.steps.along", 0)).toEqual([]);
    expect(after("stairs.steps.width", 0)).toEqual(["not-positive"]);
    expect(() => deckKind.withDimension(deck, "stairs.gone.width", 1, "", contexts.imperial)).toThrow("deck:");
  });
});
