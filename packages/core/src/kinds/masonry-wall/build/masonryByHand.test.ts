import { partContext, settlePart } from "../../../assemblies";
import { library, openingOf } from "../../../testing/library";
import { counted, masonryOf, pierOf, placed, quantityOf } from "../../../testing/masonry";
import { feet, inches, metres, millimetres, toMetres } from "../../../units";
import { leavesOf } from "../leaves";

/** An opening in millimetres: from the left, width, sill, height. */
const hole = (kind: "door" | "window", x: number, width: number, sill: number, height: number) =>
  openingOf(kind, `${kind} ${x}`, {
    positionNm: millimetres(x),
    widthNm: millimetres(width),
    sillNm: millimetres(sill),
    heightNm: millimetres(height),
  });
const NO_LINTELS = { lintels: false };

// Bricks 215 x 102.5 x 65 with 10 mm joints course at 75 mm and 225 mm, four to 300: brick makers' associations; arithmetic.
describe("walls of brick worked by hand, course by course", () => {
  it("plain, 6.3 × 2.4 m: 28 bricks in 32 courses, every other with a half at both ends", () => {
    const count = counted(masonryOf("metric", { lengthNm: metres(6.3), heightNm: metres(2.4) }));
    expect([placed(count, "outer-unit"), placed(count, "outer-half"), placed(count, "outer-cut")]).toEqual([
      16 * 28 + 16 * 27,
      32,
      0,
    ]);
    expect(quantityOf(count, "outerUnits")).toBe(896);
  });

  it("with a window on its courses: halves at both jambs of every other course", () => {
    // 2.25 m of 10 bricks, ten courses; the window takes two bricks of courses 4 to 7.
    const wall = masonryOf("metric", {
      lengthNm: metres(2.25),
      heightNm: millimetres(750),
      openings: [hole("window", 900, 450, 225, 300)],
      choices: NO_LINTELS,
    });
    const count = counted(wall);
    // Even courses 10 and 8 whole; odd ones 9 and two halves, or 6 and four.
    expect([placed(count, "outer-unit"), placed(count, "outer-half"), placed(count, "outer-cut")]).toEqual([
      3 * 10 + 2 * 8 + 3 * 9 + 2 * 6,
      3 * 2 + 2 * 4,
      0,
    ]);
    expect(quantityOf(count, "outerUnits")).toBe(92);
    // (2.25 × 0.75 − 0.45 × 0.3) × 59.26
    expect(count.compared[0]?.byArea).toBeCloseTo(92, 9);
  });

  it("a gable, 0.9 m wide: whole in the middle, cut along both slopes, and nothing above them", () => {
    const gable = {
      how: "gable" as const,
      peakHeight: { valueNm: millimetres(600), typed: "", assumed: false },
      peakAt: { valueNm: millimetres(450), typed: "", assumed: false },
    };
    const count = counted(
      masonryOf("metric", { lengthNm: millimetres(900), heightNm: millimetres(300), shape: gable }),
    );
    // Four whole courses; above them 2, 1, none and none whole, and 2, 2, 2 and 1 cut.
    expect([placed(count, "outer-unit"), placed(count, "outer-half"), placed(count, "outer-cut")]).toEqual([17, 4, 7]);
    expect(quantityOf(count, "outerUnits")).toBe(17 + 2 + 7);
    // 0.9 × 0.3 + 0.9 × 0.3 / 2
    expect(count.compared[0]?.byArea).toBeCloseTo(0.405 / 0.016875, 6);
  });

  it("a soldier course over a window of 1.2 m: sixteen bricks on end, three courses high, in place of those there", () => {
    // 1.2 m less a joint over 75 mm is 15.87: sixteen, their joints evened out. 215 + 10 mm are three courses of 75.
    const wall = (soldiers: boolean) =>
      counted(
        masonryOf("metric", {
          lengthNm: metres(4.5),
          heightNm: metres(2.4),
          openings: [hole("window", 1650, 1200, 900, 1050)],
          choices: { ...NO_LINTELS, soldiers },
        }),
      );
    const [without, withThem] = [wall(false), wall(true)];
    expect(placed(withThem, "outer-soldier")).toBe(16);
    const [row] = withThem.pieces.filter((piece) => piece.role === "outer-soldier");
    expect(row).toMatchObject({ yNm: millimetres(900 + 1050 + 10), heightNm: millimetres(215) });
    // As many lying ones fewer as three courses of 1.2 m have: 5.33 each, halves and cuts among them.
    const lying = (count: typeof without) =>
      ["outer-unit", "outer-half", "outer-cut"].reduce((sum, role) => sum + placed(count, role), 0);
    expect(lying(without) - lying(withThem)).toBeGreaterThanOrEqual(12);
    expect(lying(without) - lying(withThem)).toBeLessThanOrEqual(18);
    expect(withThem.compared[0]?.byArea).toBeCloseTo(without.compared[0]?.byArea ?? 0, 9);
  });

  it("a corner of a cavity wall: each leaf turns its own corner, and none is counted twice", () => {
    const context = partContext("metric", library);
    const cavity = (lengthNm: number, left: "corner-through" | "corner-butts") =>
      settlePart(
        masonryOf("metric", {
          lengthNm,
          heightNm: metres(2.4),
          assemblyId: "cavity-wall",
          ends: { left, right: "free" },
        }),
        "metric",
        library,
      );
    const lengths = (wall: ReturnType<typeof cavity>) =>
      leavesOf(wall, context).map((leaf) => Number(toMetres(leaf.toNm - leaf.fromNm).toFixed(4)));
    // 102.5 + 100 + 100: 302.5 mm. Outside 4.5 m through the corner, and 3.0 m that butts: 2.6975 inside.
    expect(lengths(cavity(metres(4.5), "corner-through"))).toEqual([4.5, 4.2975]);
    expect(lengths(cavity(metres(3) - millimetres(302.5), "corner-butts"))).toEqual([2.8975, 2.6975]);
    // The other way round where the house turns inwards: there the outer leaf stops short and the inner one goes round.
    const inwards = (wall: ReturnType<typeof cavity>) => ({ ...wall, insideCorners: { left: true, right: false } });
    expect(lengths(inwards(cavity(metres(4.5), "corner-through")))).toEqual([4.3, 4.5]);
    expect(lengths(inwards(cavity(metres(3) - millimetres(302.5), "corner-butts")))).toEqual([2.6975, 2.9]);
    // Both outer leaves together are as long as their centre lines: 4.44875 + 2.94875.
    expect(4.5 + 2.8975).toBeCloseTo(4.5 - 0.05125 + 3 - 0.05125, 9);
  });

  it("a hollow pier of modular brick, 32 × 32 in and 6 ft high: 14 a course, 27 courses, 378 (arithmetic)", () => {
    const pier = pierOf("imperial", [inches(32), inches(32), feet(6)], { hollow: true });
    const count = counted(pier, "imperial");
    expect(new Set(count.pieces.map((piece) => piece.yNm)).size).toBe(27);
    // Every second course is turned and begins with a header (common practice: no joint over another).
    const headers = count.pieces.filter(({ id }) => id.endsWith("-header"));
    expect(headers.map((piece) => [piece.xNm, piece.widthNm])).toEqual(Array(13).fill([0, inches(3.625)]));
    expect(quantityOf(count, "outerUnits")).toBe(378);
  });

  it("a stone wall, 4.2 × 1.9 m less 1.1 m²: 132.4 stones, 143 with 8 %, 0.138 m³ of mortar (arithmetic)", () => {
    const wall = masonryOf("metric", {
      lengthNm: metres(4.2),
      heightNm: metres(1.9),
      assemblyId: "stone-wall",
      openings: [{ ...hole("window", 1000, 1100, 500, 1000), kind: "plain" }],
      choices: { ...NO_LINTELS, mortarWaste: 0 },
    });
    const count = counted(wall);
    expect(quantityOf(count, "stoneCount") / 1.08).toBeCloseTo(132.37, 2);
    expect(Math.ceil(quantityOf(count, "stoneCount"))).toBe(143);
    // From three figures, without the opening, it is the same stone and mortar.
    const { openings: _, ...undrawn } = wall;
    const typed = { value: 1.1, typed: "1.1", assumed: false };
    const three = counted({ ...undrawn, openings: [], openingArea: typed });
    for (const rule of ["stoneCount", "sand"]) expect(quantityOf(three, rule)).toBeCloseTo(quantityOf(count, rule), 9);
    // One part of cement, one of lime, six of sand, 1.3 times the wet volume, 1600 kg a cubic metre.
    expect(quantityOf(count, "sand") / 1600 / 1.3 / (6 / 8)).toBeCloseTo(0.1385, 4);
  });
});

describe("units in a square metre or foot", () => {
  const by = (system: "metric" | "imperial", unit: string, assemblyId: string) =>
    counted(
      masonryOf(system, {
        lengthNm: system === "metric" ? metres(10) : feet(10),
        heightNm: system === "metric" ? metres(1) : feet(10),
        assemblyId,
        choices: { unit, method: "by-area" },
      }),
      system,
    );
  it.each([
    // brick makers' associations.
    ["metric", "brick-215", "brick-wall", 592.6],
    // block makers' associations.
    ["metric", "block-440-100", "block-wall", 98.77],
    // BIA Technical Note 10.
    ["imperial", "brick-modular", "brick-wall", 675],
    // NCMA TEK notes.
    ["imperial", "block-8", "block-wall", 112.5],
  ] as const)("%s %s", (system, unit, assembly, wanted) => {
    expect(quantityOf(by(system, unit, assembly), "outerUnits")).toBeCloseTo(wanted, 1);
  });

  it("leave as much mortar as the leaf is more than its units: 0.0176 m³ of brick, 0.0066 of block (arithmetic)", () => {
    const mortar = (unit: string, assembly: string) =>
      quantityOf(by("metric", unit, assembly), "sand") / 1600 / 1.3 / 1.1 / (6 / 8) / 10;
    expect(mortar("brick-215", "brick-wall")).toBeCloseTo(0.0176, 4);
    expect(mortar("block-440-100", "block-wall")).toBeCloseTo(0.0066, 4);
  });

  it("of a wall with a window and a door: 11.97 m², 709.3 bricks, 745 with 5 % (arithmetic)", () => {
    const wall = masonryOf("metric", {
      lengthNm: metres(6.3),
      heightNm: metres(2.4),
      openings: [hole("window", 1000, 1200, 900, 1050), hole("door", 4000, 900, 0, 2100)],
      choices: { method: "by-area" },
    });
    const count = counted(wall);
    expect(quantityOf(count, "outerUnits")).toBeCloseTo(709.3, 1);
    expect(Math.ceil(quantityOf(count, "outerUnits") + quantityOf(count, "outerSpare"))).toBe(745);
  });

  it("are twice as many in a bonded wall, with headers in every other course of English bond", () => {
    const wall = (bond: string) =>
      counted(
        masonryOf("metric", {
          lengthNm: metres(4.5),
          heightNm: metres(1.5),
          choices: { buildUp: "bonded", bond, method: "laid-out" },
        }),
      );
    const english = wall("english");
    // Ten courses of 20 stretchers two deep; ten of headers, 4.5 m over 112.5 mm less the closer at the start.
    expect(placed(english, "outer-unit")).toBe(10 * 40);
    expect(placed(english, "outer-header")).toBe(10 * 39);
    expect(english.compared[0]?.byArea).toBeCloseTo(2 * 6.75 * 59.259, 0);
    expect(placed(wall("flemish"), "outer-header")).toBeGreaterThan(0);
  });
});

describe("what goes with the leaves", () => {
  const cavity = (
    choices: Record<string, string | number | boolean> = {},
    openings = [hole("window", 3600, 1200, 900, 1050)],
  ) =>
    counted(
      masonryOf("metric", { lengthNm: metres(9), heightNm: metres(4.5), assemblyId: "cavity-wall", openings, choices }),
    );

  it("is attached piers: a brick more in each of 32 courses for each, with the mortar of a brick", () => {
    const wall = (choices: Record<string, number | boolean>) =>
      counted(
        masonryOf("metric", { lengthNm: metres(4.5), heightNm: metres(2.4), choices: { unitWaste: 0, ...choices } }),
      );
    const [plain, piers] = [wall({}), wall({ attachedPiers: 2 })];
    expect(quantityOf(piers, "attachedUnits")).toBe(2 * 32);
    expect(quantityOf(piers, "outerUnits")).toBe(quantityOf(plain, "outerUnits"));
    // 640 bricks laid out; 64 more of them take a tenth more sand.
    expect(quantityOf(piers, "sand") / quantityOf(plain, "sand")).toBeCloseTo(1 + 64 / 640, 9);
    expect(quantityOf(wall({ attachedPiers: 1, attachedPierUnits: 3 }), "attachedUnits")).toBe(3 * 32);
  });

  it("is reveals returned: a half in each course up both sides, in place of closers", () => {
    // 1.05 m is 14 courses: 28 halves, out of 14 bricks.
    const returned = cavity({ revealsReturned: true });
    expect(quantityOf(returned, "revealUnits")).toBe(14);
    expect(returned.lines.filter((line) => line.rule === "closers")).toEqual([]);
    expect(quantityOf(cavity(), "closers")).toBeGreaterThan(0);
  });

  it("is mortar that comes ready-mixed: as much as is wet, and no cement, lime, sand or mixer", () => {
    const ready = cavity({ readyMixed: true, mixerDays: 0.5 });
    const rules = ready.lines.map((line) => line.rule);
    for (const gone of ["cement", "lime", "sand", "mixerHire"]) expect(rules).not.toContain(gone);
    // Sand is six parts in eight of 1.3 times the wet volume, at 1600 kg a cubic metre.
    const wet = quantityOf(cavity(), "sand") / 1600 / (6 / 8) / 1.3;
    expect(quantityOf(ready, "readyMortar")).toBeCloseTo(wet, 9);
  });

  it("is a tie each 900 × 450 mm, 2.5 a square metre (PD 6697 / Approved Document A, from memory)", () => {
    const ties = placed(cavity({}, []), "wall-tie");
    expect(ties).toBe(100);
    expect(ties / (9 * 4.5)).toBeCloseTo(2.5, 1);
  });

  it("is ties up ends that stand free, each 300 mm, where they are asked for", () => {
    // 4.5 m at 300 mm: sixteen up each end.
    expect(placed(cavity({ tieFreeEnds: true }, []), "wall-tie")).toBe(100 + 2 * 16);
    const corner = { left: "corner-through", right: "free" } as const;
    const wall = masonryOf("metric", {
      lengthNm: metres(9),
      heightNm: metres(4.5),
      assemblyId: "cavity-wall",
      ends: corner,
      choices: { tieFreeEnds: true },
    });
    expect(placed(counted(wall), "wall-tie")).toBe(100 + 16);
  });

  it("is more ties up both sides of an opening, each 300 mm (PD 6697 / Approved Document A, from memory)", () => {
    // 1.05 m at 300 mm: five up each side. In the window's own 1.2 × 1.05 m there are none.
    const inWindow = 100 - placed(cavity({ tieAtOpenings: millimetres(900) }), "wall-tie") + 2 * 3;
    expect(placed(cavity(), "wall-tie")).toBe(100 - inWindow + 2 * 5);
    expect(inWindow).toBeGreaterThan(1);
  });

  it("is a lintel borne 150 mm at each end: 1.2 m takes one of 1.5 (NHBC Standards 6.1, from memory)", () => {
    const [line] = cavity().lines.filter((each) => each.rule === "lintelPieces");
    expect([line?.quantity, line?.itemCode]).toEqual([1, "lintel/concrete-1500"]);
    // The opening and 100 mm at each end: 1.4 m takes the same; 50 mm more takes none shorter.
    const [short] = cavity({ lintelBearing: millimetres(100) }, [hole("window", 3600, 1000, 900, 1050)]).lines.filter(
      (each) => each.rule === "lintelPieces",
    );
    expect(short?.itemCode).toBe("lintel/concrete-1200");
  });

  it("is a damp-proof course along both leaves, past a door, and closers round the openings", () => {
    const count = cavity({}, [hole("door", 3600, 900, 0, 2100)]);
    expect(quantityOf(count, "dampProofCourse")).toBeCloseTo(2 * (9 - 0.9), 9);
    expect(quantityOf(count, "closers")).toBeCloseTo(2 * 2.1, 9);
    expect(quantityOf(cavity(), "closers")).toBeCloseTo(2 * 1.05 + 1.2, 9);
    expect(quantityOf(cavity({ dampCourse: false }), "dampProofCourse")).toBe(0);
  });

  it("is insulation over the inner leaf less openings, where there is any", () => {
    expect(quantityOf(cavity(), "cavityBoard")).toBeCloseTo(9 * 4.5 - 1.2 * 1.05, 9);
    expect(quantityOf(cavity({ insulation: 0 }), "cavityBoard")).toBe(0);
  });

  it("is bed reinforcement and movement joints where they are asked for", () => {
    const wall = (choices: Record<string, number>) =>
      counted(masonryOf("metric", { lengthNm: metres(9), heightNm: metres(2.25), assemblyId: "block-wall", choices }));
    // Ten courses: above the second, fourth, sixth and eighth.
    expect(quantityOf(wall({ reinforceEvery: 2 }), "bedMesh")).toBeCloseTo(4 * 9, 9);
    // 9 m of block at most 6 m without one: one joint, 2.25 m high.
    expect(quantityOf(wall({ movementEvery: metres(6) }), "movement")).toBeCloseTo(2.25, 9);
    expect(quantityOf(wall({}), "movement")).toBe(0);
  });
});

describe("a veneer of 24 × 8 ft", () => {
  const veneer = (choices: Record<string, number> = {}) =>
    counted(
      masonryOf("imperial", { lengthNm: feet(24), heightNm: feet(8), assemblyId: "brick-veneer", choices }),
      "imperial",
    );

  it("has a tie for each 2.67 sq ft at most (IRC R703.8.4, from memory)", () => {
    expect((24 * 8) / placed(veneer(), "wall-tie")).toBeLessThanOrEqual(2.67);
    expect(veneer().problems).toEqual([]);
  });

  it("is told where they stand wider apart than that, or in rows too high", () => {
    const told = (choices: Record<string, number>) => veneer(choices).problems.map(({ path }) => path);
    expect(told({ tieAlong: inches(32) })).toEqual(["choices.tieAlong"]);
    expect(told({ tieAlong: inches(12), tieUp: inches(25) })).toEqual(["choices.tieUp"]);
    expect(told({ tieAlong: inches(32), tieUp: inches(12) })).toEqual([]);
  });
});

it("a stone wall of two faces, nobody having said how thick, is as thick as they are, with the mortar of both", () => {
  const of = (stoneFaces: number) =>
    counted(
      masonryOf("metric", {
        lengthNm: metres(4),
        heightNm: metres(2),
        assemblyId: "stone-wall",
        choices: { stoneFaces },
      }),
    );
  const mortar = (faces: number) => quantityOf(of(faces), "sand");
  expect(quantityOf(of(2), "stoneCount")).toBeCloseTo(2 * quantityOf(of(1), "stoneCount"), 6);
  expect(mortar(1)).toBeGreaterThan(0);
  expect(mortar(2)).toBeCloseTo(2 * mortar(1), 6);
});
