import { countPart } from "../../count/countPart";
import { isBar } from "../../drawing/piece";
import { raftOf, ribOf, slabOf } from "../../testing/ground";
import { contexts, library } from "../../testing/library";
import { BARE, counted, PLAIN } from "../../testing/plainRaft";
import { metres, millimetres } from "../../units";
import { type Raft, raftKind } from "./index";

describe("what is odd is said beside its figure, and the rest is counted", () => {
  const codes = (raft: Raft) => counted(raft).problems.map(({ code, path }) => [code, path]);
  const concrete = (raft: Raft) => counted(raft).of("placed");

  it("a beam shallower than the slab adds nothing", () => {
    const raft = raftOf("metric", { ...PLAIN, beamDepth: "150 mm" });
    expect(codes(raft)).toContainEqual(["beam-in-slab", "beamDepth"]);
    expect(concrete(raft)).toBeCloseTo(6.912, 9);
  });

  it("ribs that lie in each other are counted once; those that cross are meant to", () => {
    const rib = (id: string, at: string) => ribOf("metric", id, "along", "300 mm", "600 mm", at);
    const over = raftOf("metric", PLAIN, { ribs: [rib("p", "2.4 m"), rib("q", "2.5 m")] });
    expect(codes(over)).toContainEqual(["ribs-overlap", "ribs.q.width"]);
    expect(concrete(over)).toBeCloseTo(10.908 + 6.3 * 0.4 * 0.4, 9);
    const crossing = raftOf("metric", PLAIN, {
      ribs: [rib("p", "2.4 m"), ribOf("metric", "q", "across", "300 mm", "600 mm")],
    });
    expect(codes(crossing)).toEqual([]);
    expect(concrete(crossing)).toBeCloseTo(10.908 + (6.3 + 3.9 - 0.3) * 0.3 * 0.4, 9);
  });

  it("a rib outside the beams, a toe nowhere, a toe thicker than its beam", () => {
    const outside = raftOf("metric", PLAIN, { ribs: [ribOf("metric", "p", "along", "300 mm", "600 mm", "9 m")] });
    expect(codes(outside)).toContainEqual(["rib-outside", "ribs.p.at"]);
    expect(codes(raftOf("metric", PLAIN, { edgeForm: "toe" }))).toContainEqual(["no-toe", "edges"]);
    const thick = raftOf(
      "metric",
      { ...PLAIN, toeDepth: "900 mm", toeWidth: "200 mm" },
      { edgeForm: "toe", toes: ["a"] },
    );
    expect(codes(thick)).toContainEqual(["toe-over-beam", "toeDepth"]);
    expect(concrete(thick)).toBeCloseTo(10.908 + 7.2 * 0.2 * 0.6, 9);
  });

  it("cover wider than the beam leaves its steel out, and only that", () => {
    const raft = raftOf("metric", { ...PLAIN, beamWidth: "150 mm" }, { choices: { cover: millimetres(75) } });
    expect(codes(raft)).toContainEqual(["cover-wider-than-beam", "choices.cover"]);
    expect(counted(raft).of("links")).toBe(0);
    expect(concrete(raft)).toBeGreaterThan(6.9);
  });

  it("links further apart than a beam is long, and bars longer than any sold that do not lap", () => {
    const far = raftOf("metric", { ...PLAIN, "edges.b.length": "2.5 m" }, { choices: { linkSpacing: metres(3) } });
    expect(codes(far)).toContainEqual(["links-past-beam", "choices.linkSpacing"]);
    const long = raftOf("metric", PLAIN, { choices: { lapDiameters: 0 } });
    expect(codes(long)).toContainEqual(["bar-too-long", "choices.lapDiameters"]);
  });

  it("beams that meet in the middle are one block, counted once", () => {
    const raft = raftOf("metric", { ...PLAIN, beamWidth: "3 m" });
    expect(codes(raft)).toContainEqual(["beams-meet", "beamWidth"]);
    expect(concrete(raft)).toBeCloseTo(34.56 * 0.6, 9);
  });

  it("a formation above the ground is dug for nowhere", () => {
    const raft = raftOf("metric", { ...PLAIN, top: "2 m" });
    expect(codes(raft)).toContainEqual(["formation-above-ground", "top"]);
    expect(counted(raft).of("digByMachine")).toBe(0);
  });

  it("nothing is divided by: a skip, a digger and a mix of nothing are lines that say why, the others are counted", () => {
    const raft = (choices: Raft["choices"]) => counted(raftOf("metric", PLAIN, { choices }));
    const nothing = raft({ diggerOutput: 0 });
    expect(nothing.lines.find(({ rule }) => rule === "diggerDays")?.missing).toBeTruthy();
    expect(nothing.of("placed")).toBeCloseTo(10.908, 9);
    const mix = raft({ concreteBy: "site", cementParts: 0, sandParts: 0, stoneParts: 0 });
    expect(mix.lines.filter(({ missing }) => missing).map(({ rule }) => rule)).toEqual([
      "cement",
      "sharpSand",
      "stone",
    ]);
    expect(mix.of("mixed")).toBeGreaterThan(0);
  });

  it("refuses sizes of nothing and sizes past any house, and waits while a side is not measured", () => {
    const problems = (figures: Record<string, string>) =>
      raftKind.problems(raftOf("metric", { ...PLAIN, ...figures }), contexts.metric).map(({ path }) => path);
    expect(problems({ thickness: "0" })).toEqual(["thickness"]);
    expect(problems({ beamDepth: "60 m" })).toEqual(["beamDepth"]);
    expect(problems({ "edges.a.length": "2000 m" })).toContain("edges.a.length");
    expect(countPart(raftOf("metric", { thickness: "200 mm" }), "metric", library).waits).toBe(true);
    const open = raftOf("metric", { ...PLAIN, "edges.c.length": "7 m" });
    expect(countPart(open, "metric", library).openPoints.map(({ kind }) => kind)).toContain("conflict");
  });
});

describe("outlines that nobody draws twice", () => {
  const figure = (valueNm: number) => ({ valueNm, typed: "", assumed: false });
  /** A U: two arms 3 m wide and 4 m long on a back of 12 x 3 m, walked either way round. */
  const u = (hand: 1 | -1): Raft => {
    const sides: readonly (readonly [number, number])[] = [
      [12, 90],
      [7, 90],
      [3, 90],
      [4, -90],
      [6, -90],
      [4, 90],
      [3, 90],
      [7, 90],
    ];
    const raft = raftOf("metric", PLAIN, {
      ribs: [ribOf("metric", "r", "along", "300 mm", "600 mm", "5 m")],
      choices: BARE,
    });
    const edges = sides.map(([m, turn], index) => ({
      id: "abcdefgh"[index] ?? "z",
      length: figure(metres(m)),
      turnDegrees: hand * turn,
      toe: false,
    }));
    return { ...raft, edges };
  };

  it("a rib that runs through both arms of a U is in both: two runs of 2.1 m (arithmetic)", () => {
    const { of, pieces, problems } = counted(u(1));
    const perimeter = 12 + 7 + 3 + 4 + 6 + 4 + 3 + 7;
    // Six outside corners take off what two inside ones give back: 4 squares of 450 mm fewer.
    const beams = perimeter * 0.45 - 4 * 0.45 ** 2;
    expect(of("placed")).toBeCloseTo(60 * 0.2 + beams * 0.4 + 2 * 2.1 * 0.3 * 0.4, 6);
    expect(pieces.filter(isBar).filter(({ of: member, role }) => member === "Rib 1" && role === "link")).toHaveLength(
      2 * 8,
    );
    expect(problems).toEqual([]);
  });

  it("walked the other way round it is the same", () => {
    const [left, right] = [counted(u(1)), counted(u(-1))];
    for (const rule of ["placed", "digByMachine", "mainBars", "links", "formworkMade"])
      expect(right.of(rule)).toBeCloseTo(left.of(rule), 6);
  });

  it("mesh that laps almost all of a sheet is refused in words, and the concrete counted", () => {
    const slab = slabOf(
      "imperial",
      { "edges.a.length": "320'", "edges.b.length": "240'", thickness: '4"' },
      { choices: { meshLap: millimetres(1500) } },
    );
    const { problems, of } = counted(slab, "imperial");
    expect(problems.map(({ code }) => code)).toContain("too-many-pieces");
    expect(of("placed")).toBeGreaterThan(0);
  });
});
