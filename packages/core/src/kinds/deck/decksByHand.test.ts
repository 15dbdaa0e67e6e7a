import { countPart } from "../../count";
import { isFraming, type Piece } from "../../drawing/piece";
import { tape } from "../../testing/ground";
import { deckOf, spotOf, stairOf, supportOf } from "../../testing/joists";
import { library } from "../../testing/library";
import type { MeasuringSystem } from "../../units";
import type { Deck } from "./schema";

const counted = (deck: Deck, system: MeasuringSystem = "imperial") => countPart(deck, system, library);
const quantity = (deck: Deck, rule: string, system: MeasuringSystem = "imperial") =>
  counted(deck, system).lines.find((line) => line.rule === rule)?.quantity;

/** How many of each length of a role there are, longest first, to a hundredth of an inch or a tenth of a millimetre. */
function cut(pieces: readonly Piece[], role: string, unitNm: number): (readonly [number, number])[] {
  const many = new Map<number, number>();
  for (const piece of pieces.filter(isFraming)) {
    if (piece.role !== role) continue;
    const long = Math.round((piece.cutLengthNm / unitNm) * 100) / 100;
    many.set(long, (many.get(long) ?? 0) + 1);
  }
  return [...many].toSorted(([a], [b]) => b - a).map(([long, count]) => [count, long] as const);
}
const IN = 25_400_000;
const MM = 1_000_000;
const inchesOf = (pieces: readonly Piece[], role: string) => cut(pieces, role, IN);
const mmOf = (pieces: readonly Piece[], role: string) => cut(pieces, role, MM);
const many = (pieces: readonly Piece[], role: string) => pieces.filter((piece) => piece.role === role).length;

/**
 * 16 x 8 ft against a house, 3 ft above the ground, with a stair 4 ft wide, 2 ft along its far side. Joists of 2x8, a beam of two 2x10 and
 * boards of 5 1/2 in with gaps of 1/4 in. Every figure is worked by hand in inches: arithmetic, unless a source is named.
 */
const porch = deckOf(
  "imperial",
  { "edges.a.length": "16'", "edges.b.length": "8'", rise: "3'" },
  { stairs: [stairOf("imperial", { along: "2'", width: "4'" })] },
);

describe("a porch deck worked by hand, piece by piece", () => {
  const { pieces, problems } = counted(porch);

  it("joists on a ledger and over a beam, with nothing odd about it", () => {
    expect(problems).toEqual([]);
    // 192 / 16 = 12 spaces. 96 less the ledger and the rim of 1 1/2 each.
    expect(inchesOf(pieces, "joist")).toEqual([[11, 93]]);
    expect(inchesOf(pieces, "edge-joist")).toEqual([[2, 93]]);
    expect(inchesOf(pieces, "joist-ledger")).toEqual([[1, 192]]);
    expect(inchesOf(pieces, "rim-joist")).toEqual([[1, 192]]);
    expect(inchesOf(pieces, "floor-beam")).toEqual([[2, 192]]);
    expect(many(pieces, "joist-hanger")).toBe(13);
  });

  it("posts on footings: 36 less boards of 1, joists of 7 1/4 and a beam of 9 1/4", () => {
    // 192 less a post of 5 1/2 in: two stretches of at most 96.
    expect(inchesOf(pieces, "floor-post")).toEqual([[3, 18.5]]);
    expect([many(pieces, "post-cap"), many(pieces, "post-base")]).toEqual([3, 3]);
    // Three holes of 12 x 36 in: 3 x 0.7854 x 1 x 1 x 3 = 7.07 cu ft, with a twentieth, in bags of 0.6: 12.4.
    expect(quantity(porch, "footingConcrete")).toBe(13);
  });

  it("boards: out by 1 in over the rim, a frame along three sides, rows within it", () => {
    // Over the rim 194 x 97. Mitred at both outer corners; square at the house.
    expect(inchesOf(pieces, "frame-board")).toEqual([
      [1, 194],
      [2, 97],
    ]);
    // Within the frame 194 - 2 x 5 3/4 wide and 97 - 5 3/4 deep: (91 1/4 + 1/4) / 5 3/4 = 15.9: 15 and one of 5 in.
    expect(inchesOf(pieces, "deck-board")).toEqual([[16, 182.5]]);
    // Under the frame beside the joists: 96 / 16 - 1 blocks a side, from the edge joist to the next: 16 - 3/4 - 1 1/2.
    expect(inchesOf(pieces, "frame-block")).toEqual([[10, 13.75]]);
  });

  it("the guard, past 30 in, with gaps that a ball of 4 in does not pass: IRC R312.1 (from memory)", () => {
    // Beside the house: from half a post out to the corner 94 1/4: 92 1/2 in two bays. At the stair: 20 1/2 in one, 116 1/2 in two.
    expect(inchesOf(pieces, "guard-post")).toEqual([[9, 44.25]]);
    expect(inchesOf(pieces, "guard-rail")).toEqual([
      [4, 54.75],
      [8, 42.75],
      [2, 17],
    ]);
    // (42 3/4 - 4) / 5 1/2 = 7.05: 8; (17 - 4) / 5 1/2: 3; (54 3/4 - 4) / 5 1/2: 10. 36 less 2 beneath and two rails of 3 1/2.
    expect(inchesOf(pieces, "baluster")).toEqual([[4 * 8 + 3 + 2 * 10, 27]]);
  });

  it("the stair: 36 / 7 3/4 = 4.6, five risers of 7.2 and four treads of 10 1/2: IRC R311.7.5 (from memory)", () => {
    // From nose to nose the root of 7.2² + 10.5² = 12.7315; one for every riser.
    expect(inchesOf(pieces, "stringer")).toEqual([[4, 63.66]]);
    // 10 1/2 and a nosing of 3/4 are two boards with their gap. 7.2 less a tread of 1 is one board of 7 1/4.
    expect(inchesOf(pieces, "stair-tread")).toEqual([[8, 48]]);
    expect(inchesOf(pieces, "stair-riser")).toEqual([[5, 48]]);
    // Between posts 42 less 3 1/2, along the slope; (38 1/2 - 4 3/8) / 5 7/8 = 5.8: 6 on each side. Posts at its head are the guard's.
    expect(inchesOf(pieces, "stair-rail")).toEqual([[4, 46.68]]);
    expect(many(pieces, "stair-baluster")).toBe(12);
    expect(many(pieces, "stair-post")).toBe(2);
    // Four risers or more: a handrail along one side, over four treads: IRC R311.7.8 (from memory).
    expect(inchesOf(pieces, "handrail")).toEqual([[1, 50.93]]);
  });

  it("the ledger: lag screws every 23 in for joists of up to 8 ft: IRC Table R507.9.1.3(1) (from memory)", () => {
    expect(quantity(porch, "ledgerScrews")).toBe(Math.ceil(192 / 23) + 1);
    expect(quantity({ ...porch, choices: { ledgerFixings: "bolt" } }, "ledgerScrews")).toBe(Math.ceil(192 / 36) + 1);
  });
});

describe("rows of boards, worked by hand", () => {
  const plain = { boardOverhang: 0, frameBoards: 0, edgesBear: "beam" };
  const twelve = deckOf(
    "imperial",
    { "edges.a.length": "10'", "edges.b.length": "12'", rise: "2'" },
    { choices: plain },
  );

  it("12 ft of 5 1/2 in with 1/4 in between: 26, the last a sliver of 1/4 in, which is told, and whole ones are offered", () => {
    // (144 + 1/4) / 5 3/4 = 25.09.
    const { pieces, problems } = counted(twelve);
    expect(inchesOf(pieces, "deck-board")).toEqual([[26, 120]]);
    expect(problems).toEqual([
      expect.objectContaining({
        code: "board-sliver",
        path: "choices.lastBoard",
        message: expect.stringMatching(/ripped to 1\/4".*25 whole boards/),
      }),
    ]);
  });

  it("or 25 whole ones, the gaps opened to 6 1/2 / 24 = 0.271 in", () => {
    const opened = { ...twelve, choices: { ...plain, lastBoard: "opened" } };
    const { pieces, problems } = counted(opened);
    expect(problems).toEqual([]);
    expect(inchesOf(pieces, "deck-board")).toEqual([[25, 120]]);
    const rows = pieces.filter(({ role }) => role === "deck-board").map(({ yNm }) => yNm);
    const [first = 0, second = 0] = rows.toSorted((a, b) => a - b);
    expect((second - first) / IN - 5.5).toBeCloseTo(6.5 / 24, 4);
  });

  it("longer than it is sold: joints on joists, and every other row begins with a short one", () => {
    const sold = { ...library, longestSold: new Map([["deck/1x5.5", tape("16'", "imperial")]]) };
    const long = deckOf(
      "imperial",
      { "edges.a.length": "20'", "edges.b.length": "2'", rise: "2'" },
      { choices: plain },
    );
    const { pieces } = countPart(long, "imperial", sold);
    // (24 + 1/4) / 5 3/4: 4 rows and a rip. 192 lies on the joist at 192; half of it on that at 96: 96, and 144 left.
    expect(inchesOf(pieces, "deck-board")).toEqual([
      [3, 192],
      [2, 144],
      [2, 96],
      [3, 48],
    ]);
  });

  it("round an opening: rows that cross it are cut, those beside it are whole", () => {
    const hatch = {
      id: "h",
      kind: "hatch" as const,
      along: { valueNm: tape("4'", "imperial"), typed: "", assumed: false },
      off: { valueNm: tape("4'", "imperial"), typed: "", assumed: false },
      length: { valueNm: tape("2'", "imperial"), typed: "", assumed: false },
      width: { valueNm: tape("2'", "imperial"), typed: "", assumed: false },
      measuredAs: "framed" as const,
      headers: "by-rule" as const,
      runThrough: false,
    };
    const { pieces } = counted({ ...twelve, openings: [hatch] });
    // Rows from the far side: whole bands between 48 and 72 in from the house are four of 5 3/4: those that lie in it all the way are cut to 48 and 48.
    const rows = inchesOf(pieces, "deck-board");
    expect(rows).toEqual([
      [23, 120],
      [6, 48],
    ]);
  });
});

describe("metric decks worked by hand", () => {
  const low = deckOf(
    "metric",
    { "edges.a.length": "4.8 m", "edges.b.length": "3 m", rise: "0.5 m" },
    { stairs: [stairOf("metric", { along: "1 m", width: "1.2 m" })] },
  );

  it("half a metre up: no guard; three risers of 167, goings of 250: Approved Document K, private stairs (from memory)", () => {
    const { pieces, problems } = counted(low, "metric");
    expect(problems.map(({ code }) => code)).toEqual(["board-sliver"]);
    expect(mmOf(pieces, "joist")).toEqual([[11, 3000 - 76]]);
    expect(many(pieces, "guard-post")).toBe(0);
    // 4850 x 3025 over the rim; (3025 - 151 + 6) / 151 = 19.07: 19 and a sliver of 5.
    expect(mmOf(pieces, "frame-board")).toEqual([
      [1, 4850],
      [2, 3025],
    ]);
    expect(mmOf(pieces, "deck-board")).toEqual([[20, 4548]]);
    // The root of 166.667² + 250² = 300.46. (1200 - 38) / 400 = 2.9: four of them.
    expect(mmOf(pieces, "stringer")).toEqual([[4, 901.39]]);
    // 250 + 20 of nosing takes two boards of 145. Wider than 1 m: handrails along both sides, with a post at head and foot of each.
    expect(mmOf(pieces, "stair-tread")).toEqual([[4, 1200]]);
    expect(mmOf(pieces, "handrail")).toEqual([[2, 600.93]]);
    expect(many(pieces, "stair-post")).toBe(4);
    expect(many(pieces, "stair-rail")).toBe(0);
  });

  it("a metre up: a guard of 1100 mm round it, gaps under 100 mm: Approved Document K (from memory)", () => {
    const { pieces } = counted(
      deckOf("metric", { "edges.a.length": "4.8 m", "edges.b.length": "3 m", rise: "1 m" }),
      "metric",
    );
    // Sides: 3000 less a post of 89 to the corner in two bays of 1455.5: 1366.5 clear; the front 4800 - 89 in three of 1570.33: 1481.33 clear.
    expect(mmOf(pieces, "guard-rail")).toEqual([
      [6, 1481.33],
      [8, 1366.5],
    ]);
    // (1366.5 - 100) / 138 = 9.2: 10; (1481.33 - 100) / 138 = 10.01: 11. 1100 less 50.8 beneath and two rails of 89.
    expect(mmOf(pieces, "baluster")).toEqual([[4 * 10 + 3 * 11, 871.2]]);
    // 1100 with boards of 28 and joists of 184.
    expect(mmOf(pieces, "guard-post")).toEqual([[8, 1312]]);
  });

  it("on a beam within it: joists go on past it, and posts stand under it", () => {
    const out = deckOf(
      "metric",
      { "edges.a.length": "4.8 m", "edges.b.length": "3 m", rise: "1 m" },
      {
        supports: [supportOf("metric", "beam", "2.4 m")],
        edges: deckOf("metric", {}).edges.map((edge) => (edge.id === "c" ? { ...edge, bears: "open" as const } : edge)),
      },
    );
    const { pieces, problems } = counted({ ...out, ...lengths(out) }, "metric");
    expect(problems.map(({ code }) => code)).toEqual(["board-sliver"]);
    // 1000 less boards of 28, joists of 184 and a beam of 184.
    expect(mmOf(pieces, "floor-post")).toEqual([[3, 604]]);
  });
});

/** Sides of 4.8 and 3 m. */
const lengths = (deck: Deck): Pick<Deck, "edges"> => ({
  edges: deck.edges.map((edge, index) => ({
    ...edge,
    length: { valueNm: (index % 2 === 0 ? 4800 : 3000) * MM, typed: "", assumed: false },
  })),
});

describe("what lies in one place already", () => {
  it("a block of a row of blocking is the block under the frame", () => {
    // One row in a span of 96: at 48, where the third of the blocks beside each side would lie.
    const { pieces } = counted({ ...porch, choices: { blocking: "one" } });
    expect(many(pieces, "floor-block")).toBe(12);
    expect(many(pieces, "frame-block")).toBe(8);
  });
});

describe("a beam longer than it is sold", () => {
  const sold = { ...library, longestSold: new Map([["treated/2x10", tape("16'", "imperial")]]) };
  const long = deckOf("imperial", { "edges.a.length": "20'", "edges.b.length": "8'", rise: "3'" });
  const beams = (deck: Deck) => inchesOf(countPart(deck, "imperial", sold).pieces, "floor-beam");

  it("has its joints over posts, and those of two plies not side by side", () => {
    // 240 less a post of 5 1/2 in three stretches of 78.17: posts at 2 3/4, 80.92, 159.08, 237 1/4. One ply ends at the third, the other at the second.
    expect(beams(long)).toEqual([
      [2, 159.08],
      [2, 80.92],
    ]);
    const ply = (id: string) =>
      countPart(long, "imperial", sold).pieces.flatMap((piece) =>
        piece.id === id && isFraming(piece) ? [Math.round((piece.cutLengthNm / IN) * 100) / 100] : [],
      );
    expect([ply("beam-c-1-1"), ply("beam-c-2-1")]).toEqual([[159.08], [80.92]]);
  });

  it("says where no post is under a joint, and where nobody said what it stands on it is cut evenly", () => {
    const wide = { ...long, choices: { postSpacing: tape("20'", "imperial") } };
    expect(countPart(wide, "imperial", sold).problems.map(({ code }) => code)).toEqual(["beam-joint-unborne"]);
    const bare = { ...long, choices: { postSpacing: 0 } };
    expect(beams(bare)).toEqual([[4, 120]]);
    expect(countPart(bare, "imperial", sold).problems).toEqual([]);
  });
});

describe("posts, hold-downs and straps at places of their own", () => {
  it("posts alone where none stand at a spacing; each has a cap and a base", () => {
    const spots = [spotOf("imperial", "post", ["1'", "7'11"], "p1"), spotOf("imperial", "post", ["15'", "7'11"], "p2")];
    const { pieces, problems } = counted({ ...porch, spots, choices: { postSpacing: 0 } });
    expect(problems).toEqual([]);
    expect(inchesOf(pieces, "floor-post")).toEqual([[2, 18.5]]);
    expect([many(pieces, "post-cap"), many(pieces, "post-base")]).toEqual([2, 2]);
  });

  it("one where a post stands at the spacing is that post; one under no beam stands under the joists", () => {
    const spots = [spotOf("imperial", "post", ["8'", "7'11"], "p1"), spotOf("imperial", "post", ["8'", "4'"], "p2")];
    const { pieces } = counted({ ...porch, spots });
    // 36 - 1 - 7 1/4 under the joists.
    expect(inchesOf(pieces, "floor-post")).toEqual([
      [1, 27.75],
      [3, 18.5],
    ]);
  });

  it("hold-downs and straps are lines of their own; one outside is told, and not counted", () => {
    const spots = [
      spotOf("imperial", "hold-down", ["2'", "0"]),
      spotOf("imperial", "strap", ["4'", "0"]),
      spotOf("imperial", "hold-down", ["20'", "0"], "far"),
    ];
    const deck = { ...porch, spots };
    expect([quantity(deck, "holdDowns"), quantity(deck, "placedStraps")]).toEqual([1, 1]);
    expect(counted(deck).problems.map(({ code, path }) => [code, path])).toEqual([["spot-outside", "spots.far.along"]]);
  });

  it("what no line of its assembly counts is said", () => {
    const without = {
      ...library,
      assemblies: library.assemblies.map((each) =>
        each.id === "deck" ? { ...each, rules: each.rules.filter(({ name }) => name !== "handrails") } : each,
      ),
    };
    const { problems } = countPart(porch, "imperial", without);
    expect(problems.map(({ code }) => code)).toContain("pieces-uncounted");
  });
});
