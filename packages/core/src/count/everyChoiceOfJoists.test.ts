import { deckKind, flatRoofKind, floorKind, measured } from "../kinds";
import { deckOf, flatRoofOf, floorOf, floorOpeningOf, stairOf, supportOf } from "../testing/joists";
import { type Choices, withoutEffect } from "../testing/withoutEffect";
import { metres, millimetres } from "../units";

describe("every choice there is reaches the count", () => {
  it.each(["imperial", "metric"] as const)("of a floor, %s", (system) => {
    const floor = floorOf(
      system,
      { "edges.a.length": "7.1 m", "edges.b.length": "9.4 m", standing: "2.7 m" },
      {
        openings: [
          floorOpeningOf(
            system,
            { along: "1.5 m", off: "1 m", length: "1 m", width: "2.8 m" },
            { measuredAs: "clear" },
          ),
          floorOpeningOf(system, { along: "4 m", off: "6 m", length: "2 m", width: "1 m" }, { id: "p" }),
        ],
        supports: [supportOf(system, "beam", "5 m")],
        bears: { c: "hangers" },
      },
    );
    const found = { supports: [], doubled: [{ name: "Wall", atNm: metres(2.9) }], short: [], apart: 0, missing: 0 };
    const others: Choices[] = [
      {},
      { overSupport: "lapped" },
      { edgesBear: "built-in" },
      { edgesBear: "built-in", strapSpacing: metres(2) },
      { blocking: "two" },
      { panelsBy: "by-area" },
      { labourBy: "area" },
      { closeJoists: "merge", joistSpacing: millimetres(390) },
    ];
    const part = { ...floor, found, firstJoist: measured(millimetres(70), "") };
    const dead = withoutEffect(floorKind, { system, part, assemblyIds: ["floor"], others });
    // What somebody looked up, and what panels are made for, are held beside the spans, and move no count.
    expect(dead).toEqual(["tableSpan", "panelSpan"]);
  });

  it.each(["imperial", "metric"] as const)("of a flat roof, %s", (system) => {
    const roof = flatRoofOf(
      system,
      {
        "edges.a.length": "7.1 m",
        "edges.b.length": "4.7 m",
        "edges.b.overhang": "0.33 m",
        "edges.c.overhang": "0.4 m",
        firstJoist: "70 mm",
      },
      { walls: ["a", "d"] },
    );
    const openings = [
      floorOpeningOf(
        system,
        { along: "1.5 m", off: "1 m", length: "1 m", width: "2.1 m" },
        { kind: "hatch", measuredAs: "clear" },
      ),
    ];
    const part = { ...roof, openings, kerbOn: ["b"] };
    const others: Choices[] = [
      {},
      { edgesBear: "hangers" },
      { edgesBear: "built-in" },
      { edgesBear: "ledger" },
      { panelsBy: "by-area" },
      { labourBy: "area" },
      { closeJoists: "merge", joistSpacing: millimetres(390), edgesBear: "hangers" },
      { vents: millimetres(900) },
    ];
    const dead = withoutEffect(flatRoofKind, { system, part, assemblyIds: ["flat-roof"], others });
    // The least height of firrings is on their pieces; they are ordered by their length, and the quote says the fall.
    expect(dead).toEqual(["leastFirring", "tableSpan", "panelSpan"]);
  });

  it.each(["imperial", "metric"] as const)("of a deck, %s", (system) => {
    const deck = deckOf(
      system,
      { "edges.a.length": "7.1 m", "edges.b.length": "4.7 m", rise: "1.3 m", firstJoist: "70 mm" },
      {
        stairs: [
          stairOf(system, { along: "1 m", width: "1.3 m" }),
          stairOf(system, { along: "4 m", width: "0.95 m", rise: "0.6 m" }, { id: "low" }),
        ],
        openings: [
          floorOpeningOf(
            system,
            { along: "1.5 m", off: "1 m", length: "1 m", width: "0.6 m" },
            { kind: "hatch", measuredAs: "clear" },
          ),
        ],
        supports: [supportOf(system, "beam", "2.9 m")],
      },
    );
    const others: Choices[] = [
      {},
      { edgesBear: "hangers" },
      { edgesBear: "built-in" },
      { overSupport: "lapped" },
      { blocking: "two" },
      { labourBy: "area" },
      { lastBoard: "opened" },
      { joistTape: true },
      { closeJoists: "merge", joistSpacing: millimetres(390) },
      { handrails: "both" },
    ];
    const dead = withoutEffect(deckKind, { system, part: deck, assemblyIds: ["deck"], others });
    // What is held beside the spans and the boards, and told, moves no count.
    expect(dead).toEqual(["tableSpan", "leastRip", "mostGap", "boardSpan"]);
  });
});
