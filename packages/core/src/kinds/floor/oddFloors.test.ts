import { settlePart } from "../../assemblies";
import { countPart } from "../../count";
import { bestPanelsOf } from "../../count/bestPanels";
import { joistChoicesOf, movedFirst, movedOpening } from "../../joists";
import { withLongestSold } from "../../order";
import { tape } from "../../testing/ground";
import { floorOf, floorOpeningOf, supportOf } from "../../testing/joists";
import { contexts, library, starterPriceList } from "../../testing/library";
import { floorKind } from "./index";
import type { Floor } from "./schema";

const sold = withLongestSold(library, starterPriceList);
const counted = (floor: Floor) => countPart(floor, "imperial", sold);
const told = (floor: Floor) => counted(floor).problems.map(({ code, path }) => [code, path]);
const quantity = (floor: Floor, rule: string) => counted(floor).lines.find((line) => line.rule === rule)?.quantity;
const sides = { "edges.a.length": "16'", "edges.b.length": "12'" };
const inch = (text: string) => tape(text, "imperial");
const stair = (placed: Parameters<typeof floorOpeningOf>[1], more?: Parameters<typeof floorOpeningOf>[2]) =>
  floorOpeningOf("imperial", placed, more);

describe("what is odd about a floor is said beside its figure, and the rest is counted", () => {
  it("an opening outside, past the edge, over another, over what carries", () => {
    const outside = floorOf("imperial", sides, {
      openings: [stair({ along: "20'", off: "2'", length: "3'", width: "3'" })],
    });
    expect(told(outside)).toEqual([["opening-outside", "openings.o.along"]]);
    expect(quantity(outside, "joists")).toBe(11);
    const past = floorOf("imperial", sides, {
      openings: [stair({ along: "14'", off: "2'", length: "3'", width: "3'" })],
    });
    expect(told(past)).toContainEqual(["opening-past-edge", "openings.o.length"]);
    const both = floorOf("imperial", sides, {
      openings: [
        stair({ along: "4'", off: "2'", length: "3'", width: "3'" }),
        stair({ along: "5'", off: "3'", length: "3'", width: "3'" }, { id: "p" }),
      ],
    });
    expect(told(both)).toContainEqual(["openings-overlap", "openings.p.along"]);
    const over = floorOf("imperial", sides, {
      openings: [stair({ along: "4'", off: "4'", length: "3'", width: "4'" })],
      supports: [supportOf("imperial", "wall", "6'")],
    });
    expect(told(over)).toContainEqual(["opening-over-support", "openings.o.off"]);
  });

  it("joists longer than any sold with nothing between; with something, they are cut there", () => {
    const long = floorOf(
      "imperial",
      { "edges.a.length": "16'", "edges.b.length": "26'" },
      { choices: { decked: false } },
    );
    expect(told(long)).toEqual([["past-stock", "choices.joistSection"]]);
    const borne = floorOf(
      "imperial",
      { "edges.a.length": "16'", "edges.b.length": "26'" },
      { supports: [supportOf("imperial", "wall", "13'")], choices: { decked: false, overSupport: "in-line" } },
    );
    expect(told(borne)).toEqual([]);
    expect(quantity(borne, "splices")).toBe(13);
  });

  it("a support outside the floor, or nowhere; joists with nothing under an end", () => {
    const supports = [supportOf("imperial", "wall", "30'"), supportOf("imperial", "beam", undefined, "t")];
    const floor = floorOf("imperial", { ...sides, standing: "9'" }, { supports });
    expect(told(floor)).toEqual([
      ["support-unplaced", "supports.t.at"],
      ["support-outside", "supports.s.at"],
    ]);
    const loose = floorOf("imperial", sides, { bears: { c: "open" } });
    expect(told(loose)).toEqual([["joist-unborne", "choices.edgesBear"]]);
    expect(quantity(loose, "joists")).toBe(11);
  });

  it("a span past the row that somebody looked up, and nothing where nobody did", () => {
    expect(told(floorOf("imperial", sides, { choices: { tableSpan: inch("11'") } }))).toEqual([
      ["span-past-row", "choices.tableSpan"],
    ]);
    expect(told(floorOf("imperial", sides, { choices: { tableSpan: inch("12'") } }))).toEqual([]);
  });

  it("a joist nearer to another than a hammer is wide is moved off or left out, as chosen", () => {
    // The last line lies 1 in off the joist at the far edge: 192 − 1 1/2 − 1 − 3/4.
    const near = { ...sides, firstJoist: "12 3/4 in" };
    const moved = floorOf("imperial", near);
    expect(told(moved)).toEqual([["joists-close", "firstJoist"]]);
    expect(quantity(moved, "joists")).toBe(12);
    const merged = floorOf("imperial", near, { choices: { closeJoists: "merge" } });
    expect(told(merged)).toContainEqual(["joists-close", "firstJoist"]);
    expect(quantity(merged, "joists")).toBe(11);
  });

  it("spacing that a panel's length is no whole number of: its ends lie on no joist", () => {
    const codes = told(floorOf("imperial", sides, { choices: { joistSpacing: inch("14 in") } }));
    expect(codes).toEqual([["joints-off-joists", "choices.joistSpacing"]]);
    expect(
      told(floorOf("imperial", sides, { choices: { joistSpacing: inch("19.2 in"), panelStagger: "none" } })),
    ).toEqual([]);
  });

  it("beams that reach the ground leave no room for posts", () => {
    const low = floorOf(
      "imperial",
      { ...sides, standing: "12 in" },
      { supports: [supportOf("imperial", "beam", "6'")], choices: { decked: false } },
    );
    expect(told(low)).toEqual([["no-room-for-posts", "standing"]]);
    expect(quantity(low, "beams")).toBe(3);
  });

  it("a slip of the unit is told before millions are laid", () => {
    const huge = floorOf(
      "imperial",
      { "edges.a.length": "3000'", "edges.b.length": "3000'" },
      { choices: { joistSpacing: inch("4 in") } },
    );
    expect(counted(huge).problems.map(({ code }) => code)).toEqual(["too-many-pieces"]);
    // Few joists, and panels without end.
    const sparse = floorOf(
      "imperial",
      { "edges.a.length": "3000'", "edges.b.length": "3000'" },
      { choices: { joistSpacing: inch("6'"), blockAtSupports: false } },
    );
    expect(counted(sparse).problems.map(({ code }) => code)).toContain("too-many-pieces");
    expect(quantity(sparse, "panels")).toBeUndefined();
    expect([huge, sparse].map((each) => bestPanelsOf(each, "imperial", library))).toEqual([undefined, undefined]);
  });

  it("a ledger along an edge that runs with the joists, which nothing hangs on", () => {
    const floor = floorOf("imperial", sides, { bears: { b: "ledger" } });
    expect(told(floor)).toEqual([["edge-beside-joists", "edges.b.length"]]);
    expect([quantity(floor, "ledgers"), quantity(floor, "edgeJoists")]).toEqual([undefined, 2]);
  });

  it("an outline that crosses itself or does not close is not laid at all", () => {
    const open = {
      ...floorOf("imperial", sides),
      edges: floorOf("imperial", sides).edges.map((edge) =>
        edge.id === "c" ? { ...edge, length: { valueNm: inch("15'"), typed: "15'", assumed: false } } : edge,
      ),
    };
    expect(counted(open).waits).toBe(true);
    expect(counted(open).openPoints.some(({ kind }) => kind === "conflict")).toBe(true);
  });
});

describe("what follows by itself", () => {
  it("panels begin so that their ends fall on the layout, from either side, wherever it is moved to", () => {
    for (const layoutFrom of ["start", "end"])
      for (const panelCorner of ["start-near", "end-far"])
        for (const first of ["5 in", "7 1/4 in", "16 in"]) {
          const floor = floorOf(
            "imperial",
            { ...sides, firstJoist: first },
            { choices: { layoutFrom, panelCorner, closeJoists: "merge" } },
          );
          expect(told(floor).filter(([code]) => code === "joints-off-joists")).toEqual([]);
        }
  });

  it("is shown as assumed and asked of nobody", () => {
    const floor = settlePart(floorOf("imperial", sides), "imperial", library);
    const shown = floorKind
      .dimensions(floor as Floor, contexts.imperial)
      .filter(({ path }) => path === "firstJoist" || path === "panelShift");
    expect(shown.map(({ dimension }) => [dimension.valueNm, dimension.assumed])).toEqual([
      [inch("16 in"), true],
      [0, true],
    ]);
    expect(floorKind.openPoints(floor as Floor, contexts.imperial).some(({ path }) => path === "firstJoist")).toBe(
      false,
    );
  });
});

describe("what is moved with a finger", () => {
  it("the layout stays within a spacing of its side, in steps; an opening goes where it is drawn, in steps, and not past Edge A", () => {
    const floor = floorOf("imperial", sides, {
      openings: [stair({ along: "4'", off: "2'", length: "3'", width: "3'" })],
    });
    const choices = joistChoicesOf(floor, "imperial");
    const by = (x: string, y: string) => ({ xNm: inch(x), yNm: inch(y) });
    expect(movedFirst(floor, choices, by("5.1 in", "9 in"), inch("1/4 in"))).toBe(inch("5 in"));
    expect(movedFirst(floor, choices, by("16 in", "0"), inch("1/4 in"))).toBe(inch("16 in"));
    const [opening] = floor.openings;
    if (!opening) throw new Error("there is no opening");
    const moved = movedOpening(floor, opening, { xNm: inch("6.1 in"), yNm: -inch("5'") }, inch("1/4 in"));
    expect([moved.along.valueNm, moved.off.valueNm]).toEqual([inch("4'6"), 0]);
  });
});

describe("the best start of panels", () => {
  it("is never worse than where they lie, and takes fewer where there are fewer to be had", () => {
    for (const [wide, deep] of [
      ["20'", "14'6"],
      ["17'", "11'"],
      ["23'4", "13'2"],
      ["9'", "9'"],
    ] as const) {
      const floor = floorOf("imperial", { "edges.a.length": wide, "edges.b.length": deep });
      const found = bestPanelsOf(floor, "imperial", library);
      expect(found).toBeDefined();
      if (!found) continue;
      expect(found.best.bought).toBeLessThanOrEqual(found.now.bought);
      expect(found.best.loose).toBeLessThanOrEqual(found.now.loose);
      const at = { valueNm: found.best.shiftNm, typed: "", assumed: false };
      const taken = {
        ...floor,
        panelShift: at,
        rowShift: { ...at, valueNm: found.best.rowNm },
        choices: { panelCorner: found.best.corner },
      };
      expect(quantity(taken, "panels")).toBe(found.best.bought);
    }
  });

  it("is not looked for where no panels are laid", () => {
    expect(
      bestPanelsOf(floorOf("imperial", sides, { choices: { decked: false } }), "imperial", library),
    ).toBeUndefined();
  });
});

it("timber that is in no list is said, and nothing is laid or looked for with it", () => {
  const floor = floorOf("imperial", sides, { choices: { joistSection: "nope" } });
  expect(told(floor)).toEqual([["no-section", "choices.joistSection"]]);
  expect(bestPanelsOf(floor, "imperial", library)).toBeUndefined();
});
