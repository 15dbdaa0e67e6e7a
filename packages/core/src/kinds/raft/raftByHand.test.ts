import { countPart } from "../../count/countPart";
import { isBar } from "../../drawing/piece";
import { BAR_IDS, BAR_SIZES, barSchedule, lappedLengths, linkLengthNm } from "../../ground";
import { raftOf, ribOf, slabOf } from "../../testing/ground";
import { assemblyOf, library, starterCompanySettings, starterPriceList } from "../../testing/library";
import { BARE, counted, PLAIN } from "../../testing/plainRaft";
import { feet, inches, metres, millimetres, NM_PER_M, toMetres } from "../../units";

const CUBIC_YARD = 0.764554857984;
describe("a raft of 7.2 x 4.8 m, slab 200 mm, beams 450 x 600 mm", () => {
  it("plain round its edges: 6.912 + 9.99 m² x 0.4 = 10.908 m³ (arithmetic)", () => {
    expect(counted(raftOf("metric", PLAIN)).of("placed")).toBeCloseTo(10.908, 9);
  });

  it("with one rib along it, 300 mm wide: 0.756 m³ more, 11.664 in all; links 25, 17 and 22 (arithmetic)", () => {
    const raft = raftOf("metric", PLAIN, { ribs: [ribOf("metric", "r", "along", "300 mm", "600 mm")] });
    const { of, pieces } = counted(raft);
    expect(of("placed")).toBeCloseTo(11.664, 9);
    const links = pieces.filter(({ role }) => role === "link").filter(isBar);
    const on = (member: string) => links.filter((link) => link.of === member).length;
    expect(["Beam A", "Beam B", "Beam C", "Beam D", "Rib 1"].map(on)).toEqual([25, 17, 25, 17, 22]);
    expect(of("links")).toBe(106);
  });

  it("with a toe of 200 x 150 mm along its front: 7.2 x 0.2 x 0.15 = 0.216 m³ more (arithmetic)", () => {
    const figures = { ...PLAIN, toeWidth: "200 mm", toeDepth: "150 mm" };
    const raft = raftOf("metric", figures, {
      edgeForm: "toe",
      toes: ["a"],
      choices: { toeBars: 2, toeCrossSpacing: millimetres(300) },
    });
    const { of } = counted(raft);
    expect(of("placed")).toBeCloseTo(10.908 + 0.216, 9);
    // Along it 7.2 m less cover at both ends, in lengths of 6 m that lap 480 mm: two for each of two. Across it 24 spaces, so 25.
    expect(of("toeBarsCut")).toBe(4);
    expect(of("toeCrossBars")).toBe(25);
  });

  it("with toes round a corner: the corner's square once, 0.2 x 0.2 x 0.15 (arithmetic)", () => {
    const figures = { ...PLAIN, toeWidth: "200 mm", toeDepth: "150 mm" };
    const raft = raftOf("metric", figures, { edgeForm: "toe", toes: ["a", "b"] });
    expect(counted(raft).of("placed")).toBeCloseTo(10.908 + (7.2 + 4.8 + 0.2) * 0.2 * 0.15, 9);
  });

  it("is dug down to its formation and no further: nothing twice where beams lie lower (arithmetic)", () => {
    const raft = raftOf(
      "metric",
      { ...PLAIN, top: "150 mm" },
      { choices: { fill: millimetres(150), blinding: millimetres(50) } },
    );
    // Field 6.3 x 3.9 m to 150 - 200 - 50 - 150 = 250 mm below; beams 9.99 m² to 150 - 600 - 50 = 500 mm below.
    expect(counted(raft).of("digByMachine")).toBeCloseTo(6.3 * 3.9 * 0.25 + 9.99 * 0.5, 9);
    // Fill lies between the beams alone; blinding under all of it.
    expect(counted(raft).of("fillLaid")).toBeCloseTo(6.3 * 3.9 * 0.15, 9);
    expect(counted(raft).of("blindingLaid")).toBeCloseTo(34.56, 9);
  });

  it("with a working space of 300 mm all round is dug and filled in as much more (arithmetic)", () => {
    const choices = { ...BARE, workingSpace: millimetres(300) };
    const [without, wide] = [BARE, choices].map((each) =>
      counted(raftOf("metric", { ...PLAIN, top: "200 mm" }, { choices: each })),
    );
    // A ring of 2 x (7.8 + 5.4) x 0.3 - 4 x 0.3² is 7.56 m², down to 400 mm.
    const ring = 7.8 * 5.4 - 7.2 * 4.8;
    expect((wide?.of("digByMachine") ?? 0) - (without?.of("digByMachine") ?? 0)).toBeCloseTo(ring * 0.4, 9);
    expect(wide?.of("backfilled")).toBeCloseTo(ring * 0.4, 9);
  });

  it("takes spoil with its bulking in skips: 14.2 m³ dug are 17.75 loose, 2.91 of 6.1 m³, three when alone (arithmetic)", () => {
    const slab = slabOf(
      "metric",
      { "edges.a.length": "14.2 m", "edges.b.length": "2 m", thickness: "500 mm", top: "0" },
      { choices: BARE },
    );
    const { of, scope } = counted(slab);
    expect(of("digByMachine")).toBeCloseTo(14.2, 9);
    expect(of("loadByMachine")).toBeCloseTo(17.75, 9);
    expect(of("skips")).toBeCloseTo(17.75 / 6.1, 9);
    expect(scope.join(" ")).toContain("take away about 17.75 m³ of spoil in 3 skips");
  });
});

describe("slabs", () => {
  it("24 x 32 ft, 4 in: 9.48 cu yd (arithmetic)", () => {
    const slab = slabOf("imperial", { "edges.a.length": "32'", "edges.b.length": "24'", thickness: '4"' });
    expect(counted(slab, "imperial").of("placed") / CUBIC_YARD).toBeCloseTo(9.4815, 3);
  });

  it("with a thickened edge 12 in wide and 16 deep: 108 cu ft more than its 256 (arithmetic)", () => {
    const figures = {
      "edges.a.length": "32'",
      "edges.b.length": "24'",
      thickness: '4"',
      beamWidth: '12"',
      beamDepth: '16"',
    };
    const concrete = counted(slabOf("imperial", figures, {}, true), "imperial").of("placed");
    expect(concrete / 0.3048 ** 3).toBeCloseTo(256 + (2 * (32 + 24) - 4) * 1, 6);
  });

  it("in an L, its corners once: 6 x 5 less 3 x 2 m is 24 m² (arithmetic)", () => {
    const base = slabOf("metric", { thickness: "150 mm" });
    const at = (id: string, m: number, turnDegrees: number) => ({
      id,
      length: { valueNm: metres(m), typed: "", assumed: false },
      turnDegrees,
      toe: false,
    });
    const edges = [at("a", 6, 90), at("b", 3, 90), at("c", 3, -90), at("d", 2, 90), at("e", 3, 90), at("f", 5, 90)];
    expect(counted({ ...base, edges }).of("placed")).toBeCloseTo(24 * 0.15, 9);
  });

  it("are meshed with laps: 7.1 x 4.7 m in sheets of 4.8 x 2.4 that lap 400 mm (arithmetic)", () => {
    const slab = slabOf("metric", { "edges.a.length": "7.2 m", "edges.b.length": "4.8 m", thickness: "150 mm" });
    const { pieces, of } = counted(slab);
    const widths = pieces
      .filter(({ role }) => role === "mesh")
      .map(({ widthNm, heightNm }) => [toMetres(widthNm), toMetres(heightNm)]);
    // Along: 4.8, then from 4.4 to 7.1. Up: 2.4, from 2.0 to 4.4, from 4.0 to 4.7.
    expect(widths).toEqual([
      [4.8, 2.4],
      [2.7, 2.4],
      [4.8, 2.4],
      [2.7, 2.4],
      [4.8, 0.7],
      [2.7, 0.7],
    ]);
    expect(of("meshSheets")).toBeGreaterThanOrEqual(Math.ceil((4.8 * 5.5 + 2.7 * 5.5) / 11.52));
  });
});

describe("steel", () => {
  /** Density of steel 7850 kg/m³: EN 10080 reckons the masses of its table by it. */
  it("weighs what its size of steel does, within a hundredth", () => {
    for (const id of BAR_IDS) {
      const { diameterNm, kgPerMetre } = BAR_SIZES[id];
      const d = diameterNm / NM_PER_M;
      expect([id, kgPerMetre / ((7850 * Math.PI * d * d) / 4)]).toEqual([id, expect.closeTo(1, 2)]);
    }
  });

  it("has the masses of BS 4449 and of ASTM A615, from memory", () => {
    const metric = ["8", "10", "12", "16", "20", "25"] as const;
    expect(metric.map((id) => BAR_SIZES[id].kgPerMetre)).toEqual([0.395, 0.617, 0.888, 1.579, 2.466, 3.854]);
    const pounds = (["no3", "no4", "no5", "no6"] as const).map(
      (id) => (BAR_SIZES[id].kgPerMetre * 0.3048) / 0.45359237,
    );
    expect(pounds.map((each) => Number(each.toFixed(3)))).toEqual([0.376, 0.668, 1.043, 1.502]);
  });

  it("laps what is longer than is sold by diameters: 7.1 m of 12 mm in 6 m lengths, 480 mm laps (arithmetic)", () => {
    expect(lappedLengths(metres(7.1), metres(6), millimetres(480)).map(toMetres)).toEqual([6, 1.58]);
    expect(lappedLengths(metres(6), metres(6), millimetres(480)).map(toMetres)).toEqual([6]);
    expect(lappedLengths(metres(7.1), metres(6), 0).map(toMetres)).toEqual([7.1]);
    expect(lappedLengths(metres(30), metres(6), millimetres(480)).reduce((sum, nm) => sum + nm, 0)).toBe(
      metres(30) + 5 * millimetres(480),
    );
  });

  it("cuts links by their legs: 350 x 500 mm with hooks of 100 is 1.9 m; by shape 51 of BS 8666 1.82 m (arithmetic)", () => {
    const legs = [millimetres(350), millimetres(500)] as const;
    expect(linkLengthNm(legs, millimetres(100), millimetres(8), "hooks")).toBe(millimetres(1900));
    // 2 x 950 - 2.5 x 16 - 5 x 8
    expect(linkLengthNm(legs, millimetres(100), millimetres(8), "shape-51")).toBe(millimetres(1820));
  });

  it("is scheduled under marks that add up to what is counted", () => {
    const { pieces, of } = counted(raftOf("metric", PLAIN));
    const bars = barSchedule(pieces);
    expect(bars.reduce((sum, { count }) => sum + count, 0)).toBe(of("mainBars") + of("links"));
    expect(bars.reduce((sum, { massKg }) => sum + massKg, 0)).toBeCloseTo(of("barsFixed"), 6);
    expect(new Set(bars.map(({ mark }) => mark)).size).toBe(bars.length);
    const link = bars.find(({ shape }) => shape === "link");
    expect([link?.count, link?.legsNm.map((nm) => nm / millimetres(1)), link?.cutLengthNm]).toEqual([
      84,
      [350, 500, 100],
      millimetres(1900),
    ]);
  });

  it("is cut from the lengths that are sold", () => {
    const longest = new Map(
      starterPriceList.flatMap(({ code, buying }) =>
        buying.by === "length" ? [[code, Math.max(...buying.stock.map(({ lengthNm }) => lengthNm))] as const] : [],
      ),
    );
    const raft = raftOf("metric", { ...PLAIN, "edges.a.length": "14 m" }, { choices: { mainBar: "16" } });
    const { pieces } = countPart(raft, "metric", { ...library, longestSold: longest });
    const bars = pieces.filter(isBar);
    expect(Math.max(...bars.map(({ cutLengthNm }) => cutLengthNm))).toBe(metres(12));
  });
});

it("measures in feet: a raft 24 x 16 ft, slab 6 in, beams 16 x 24 in (arithmetic)", () => {
  const raft = raftOf("imperial", {
    "edges.a.length": "24'",
    "edges.b.length": "16'",
    thickness: '6"',
    beamWidth: '16"',
    beamDepth: '24"',
  });
  // 384 x 0.5, and a ring of 384 - 21 1/3 x 13 1/3 by 1.5.
  const cubicFeet = 192 + (384 - (24 - 32 / 12) * (16 - 32 / 12)) * 1.5;
  expect(counted(raft, "imperial").of("placed") / 0.3048 ** 3).toBeCloseTo(cubicFeet, 5);
  expect(feet(1)).toBe(inches(12));
});

describe("what the trade and its tables say", () => {
  const item = (code: string) => starterPriceList.find((each) => each.code === code);

  it("mesh weighs 2.22, 3.02, 3.95 and 6.16 kg a m²: BS 4483, from memory", () => {
    const masses = ["a142", "a193", "a252", "a393"].map(
      (id) => (item(`mesh/${id}-sheet-4.8x2.4`)?.massKg ?? 0) / 11.52,
    );
    expect(masses.map((each) => Number(each.toFixed(2)))).toEqual([2.22, 3.02, 3.95, 6.16]);
  });

  it("1:2:4 takes 1.54 of dry materials, 50 kg of cement to 0.0347 m³: 317 kg to a m³ (common practice)", () => {
    const site = raftOf("metric", PLAIN, { choices: { concreteBy: "site", concreteWaste: 0 } });
    const { of } = counted(site);
    expect(of("cement") / of("placed")).toBeCloseTo(((1.54 / 7) * 50) / 0.0347, 6);
    expect(of("readyMix")).toBe(0);
  });

  it("firm ground takes 2 to 3 hours a m³ by hand, and a 1.5 t machine digs 3 to 5 m³ an hour (common practice)", () => {
    const byHand = Number(starterCompanySettings.pricing.tasks.find(({ id }) => id === "dig-by-hand")?.hoursPerUnit);
    expect([byHand >= 2, byHand <= 3]).toEqual([true, true]);
    const anHour =
      (assemblyOf("metric", "raft").parameters.find(({ name }) => name === "diggerOutput")?.default as number) / 8;
    expect([anHour >= 3, anHour <= 5]).toEqual([true, true]);
  });

  it("a membrane is lapped 6 in (IRC R506.2.3, from memory): 24 x 32 ft in rolls of 20 ft is one lap 32 ft long", () => {
    const slab = slabOf("imperial", { "edges.a.length": "32'", "edges.b.length": "24'", thickness: '4"' });
    expect(counted(slab, "imperial").of("membraneNeeded") / 0.3048 ** 2).toBeCloseTo(24 * 32 + 0.5 * 32, 6);
  });

  it("spoil is in words that a customer understands, with amounts", () => {
    const words = counted(
      raftOf("metric", PLAIN, { choices: { spoilBy: "lorry", digBy: "hand", loadBy: "hand" } }),
    ).scope.join(" ");
    expect(words).toMatch(
      /Excavate about [\d.]+ m³ by hand, load by hand and take away about [\d.]+ m³ of spoil in \d lorry loads\./,
    );
    expect(words).toContain("ready-mixed concrete, C25/30");
  });
});
