import fc from "fast-check";
import { countPart } from "../count/countPart";
import { isFraming } from "../drawing/piece";
import { type Polygon, perimeterNm, polygonArea, signedArea, union } from "../geometry";
import {
  ALONE,
  formOf,
  isRoof,
  type Part,
  ROOF_SHAPES,
  type Roof,
  type RoofForm,
  type Room,
  rectangleDefaults,
  renameParts,
  roofKind,
  roofOutlineOnPlan,
  type StoreyPart,
  storeyKind,
  withShape,
} from "../kinds";
import { linesOfKind } from "../kinds/roof/quantities";
import { contexts, library } from "../testing/library";
import { rectangle, roofOf, said } from "../testing/roofs";
import { entered } from "../testing/rooms";
import { feet } from "../units";
import { outsideOf } from "./footprint";
import { resolveParts } from "./resolve";
import { planJob } from "./storeyPlan";

const SIX = 6 / 12;
const SQ_FT_PER_M2 = 10.763910416709722;
const sqFt = (m2: number): number => m2 * SQ_FT_PER_M2;
const feetOf = (mm: number): number => mm / 304.8;

/** A gable of 40 by 24 ft, its eaves A and C; all at 6 in 12. */
const main: Roof = {
  ...roofOf("imperial", rectangle(feet(40), feet(24), ["eave", "gable", "eave", "gable"]), { pitch: SIX }),
  id: "main",
  name: "Main roof",
  meetsOthers: true,
};

/** A wing 16 ft wide that runs 10 ft out from the middle of the main roof's edge A, its ridge square to it. */
const wing: Roof = {
  ...roofOf("imperial", rectangle(feet(16), feet(10), ["roof", "eave", "gable", "eave"]), { pitch: SIX }),
  id: "wing",
  name: "Wing",
  meetsOthers: true,
  beside: { roofId: "main", theirEdgeId: "a", ownEdgeId: "a", along: said(feet(12)) },
};

function inHouse(...roofs: readonly Roof[]): Map<string, RoofForm> {
  const forms = resolveParts(roofs, planJob(roofs))
    .filter(isRoof)
    .map((part): [string, RoofForm] => {
      const formed = formOf(part);
      if (!formed.ok) throw new Error(`${part.id}: ${formed.why}`);
      return [part.id, formed.form];
    });
  return new Map(forms);
}

const formIn = (forms: Map<string, RoofForm>, id: string): RoofForm => {
  const form = forms.get(id);
  if (!form) throw new Error(`no form of ${id}`);
  return form;
};
const areaOf = (form: RoofForm): number => sqFt(form.faces.reduce((sum, face) => sum + face.areaM2, 0));

describe("a wing that runs into the slope of a main roof of the same pitch", () => {
  const forms = inHouse(main, wing);
  const [whole, low] = [formIn(forms, "main"), formIn(forms, "wing")];

  it("has two valleys, 8 ft in on plan and 4 ft up: each 12 ft", () => {
    const valleys = linesOfKind(low, "valley");
    expect(valleys.map(({ lengthMm }) => feetOf(lengthMm))).toEqual([expect.closeTo(12, 4), expect.closeTo(12, 4)]);
    expect(valleys.every(({ cutBy }) => cutBy === "main")).toBe(true);
  });

  it("has a ridge of 18 ft, of which 8 lie over the main roof", () => {
    expect(linesOfKind(low, "ridge").map(({ lengthMm }) => feetOf(lengthMm))).toEqual([expect.closeTo(18, 4)]);
  });

  it("covers what it has outside, and a triangle on the main roof: 160 and 64 sq ft on plan", () => {
    expect(areaOf(low)).toBeCloseTo((160 + 64) * Math.hypot(1, SIX), 2);
    expect(areaOf(whole)).toBeCloseTo((960 - 64) * Math.hypot(1, SIX), 2);
  });

  it("leaves the main roof's boards whole below it, its rafters as well", () => {
    const [resolved] = resolveParts([main, wing], planJob([main, wing])).filter(isRoof);
    const quantities = resolved ? roofKind.quantities(resolved, ALONE) : {};
    expect(sqFt(Number(quantities.deckArea))).toBeCloseTo(960 * Math.hypot(1, SIX), 2);
  });

  it("has no gable where it runs in", () => {
    expect(low.standing.map(({ edgeId }) => edgeId)).toEqual(["c"]);
    expect(low.met).toEqual({ intoNothing: [], standingOut: [], lostFeatures: [], partlyThrough: [] });
  });
});

it("a copy of both under other names lies along its own copy", () => {
  const copies = renameParts([main, wing], (id) => `${id}-copy`).filter(isRoof);
  expect(copies.map(({ id, beside }) => [id, beside?.roofId])).toEqual([
    ["main-copy", undefined],
    ["wing-copy", "main-copy"],
  ]);
});

it("lies where it last was, and says so, once the roof it lay along is gone", () => {
  const [left = wing] = resolveParts([wing], planJob([wing])).filter(isRoof);
  expect(left.place).toEqual(wing.place);
  expect(countPart(left, "imperial", library).problems.map(({ code }) => code)).toContain("adrift");
  // Two that lie along each other go round in a circle: both stay.
  const round: Roof = { ...main, beside: { roofId: "wing", theirEdgeId: "a", ownEdgeId: "a", along: said(0) } };
  expect(resolveParts([round, wing], planJob([round, wing])).filter(isRoof)).toHaveLength(2);
});

it("an overhang of the main roof ends where the wing stands in its way", () => {
  const out = { ...main, overhang: said(feet(2)) };
  const forms = inHouse(out, { ...wing, overhang: said(0) });
  const eaves = linesOfKind(formIn(forms, "main"), "eave").reduce((sum, { lengthMm }) => sum + feetOf(lengthMm), 0);
  expect(eaves).toBeCloseTo(40 + 40 - 16, 3);
});

it("overhangs of both meet in the corner: valleys run out to the fascias, and nothing there is covered twice", () => {
  const forms = inHouse({ ...main, overhang: said(feet(2)) }, { ...wing, overhang: said(feet(2)) });
  const [whole, low] = [formIn(forms, "main"), formIn(forms, "wing")];
  // (8 + 2) ft on plan: 10 × √2, and 5 ft up.
  const valley = Math.hypot(10, 10, 5);
  expect(linesOfKind(low, "valley").map(({ lengthMm }) => feetOf(lengthMm))).toEqual([
    expect.closeTo(valley, 3),
    expect.closeTo(valley, 3),
  ]);
  expect(linesOfKind(whole, "valley")).toEqual([]);
  expect(linesOfKind(whole, "wall-side")).toEqual([]);
  // On plan the two overhangs come round the outline: 2 ft along 12 + 12 + 40 and 10 + 10 ft, less the square of each inner corner once.
  const plan = [whole, low].reduce(
    (sum, form) => sum + form.faces.reduce((area, face) => area + face.planAreaM2, 0),
    0,
  );
  expect(sqFt(plan)).toBeCloseTo(960 + 160 + 2 * (12 + 12 + 40 + 10 + 10) - 2 * 4, 1);
});

it("an overhang high above a lower roof leaves both as they are", () => {
  const high = { ...main, overhang: said(feet(2)), plate: said(feet(8)) };
  const forms = inHouse(high, {
    ...wing,
    overhang: said(feet(2)),
    edges: wing.edges.map((edge) => ({ ...edge, end: edge.id === "a" ? ("gable" as const) : edge.end })),
  });
  const eaves = linesOfKind(formIn(forms, "main"), "eave").reduce((sum, { lengthMm }) => sum + feetOf(lengthMm), 0);
  expect(eaves).toBeCloseTo(80, 3);
});

it("two roofs over each other's walls are cut by each other alike, whichever way round they are", () => {
  const cross: Roof = {
    ...roofOf("imperial", rectangle(feet(16), feet(24), ["gable", "eave", "gable", "eave"]), { pitch: SIX }),
    id: "cross",
    name: "Cross",
    meetsOthers: true,
    place: { xNm: feet(12), yNm: 0, turnDegrees: 0 },
  };
  const forms = inHouse(main, cross);
  // All of the 40 × 24 is covered once: what one loses, the other has.
  const area = [...forms.values()].reduce((sum, form) => sum + areaOf(form), 0);
  expect(area).toBeCloseTo(960 * Math.hypot(1, SIX), 1);
});

it("a roof that lies under another everywhere is told to have nothing left", () => {
  const under: Roof = { ...main, id: "under", name: "Under", pitch: { value: 0.2, typed: "", assumed: false } };
  const [, left = under] = resolveParts([main, under], planJob([main, under])).filter(isRoof);
  expect(formOf(left)).toEqual({ ok: false, why: "cut-away" });
});

it("an edge that runs into no roof, or out of one that is lower, is told", () => {
  expect(formIn(inHouse(wing), "wing").met.intoNothing).toEqual(["a"]);
  const steep: Roof = { ...wing, pitch: { value: 2, typed: "", assumed: false } };
  expect(formIn(inHouse(main, steep), "wing").met.standingOut).toEqual(["a"]);
});

const context = contexts.imperial;
const storey = (name: string, level: number): StoreyPart => ({
  ...storeyKind.defaults(`s/${name}`, name, context),
  level,
});
const roomAt = (x: number, y: number, long: string, deep: string, ceiling = "8'"): Room => ({
  ...entered(rectangleDefaults("tower", "Tower", context), {
    "runs.a.length": long,
    "runs.b.length": deep,
    "ceiling.height": ceiling,
  }),
  storey: "Upper",
  place: { how: "free", xNm: feet(x), yNm: feet(y), turnDegrees: 0 },
});
const low: Roof = { ...main, storey: "Ground", plate: said(feet(8)) };

describe("a room of the storey above that stands up through a lower roof", () => {
  const tower = roomAt(14, 11, "8'", "6'");
  const parts: Part[] = [storey("Ground", 0), storey("Upper", 1), tower, low];
  const resolved = resolveParts(parts, planJob(parts)).find(isRoof);
  if (!resolved) throw new Error("there is no roof");
  const formed = formOf(resolved);
  if (!formed.ok) throw new Error(formed.why);
  const { form } = formed;

  it("takes its outside, walls and all, off the slopes", () => {
    const box = outsideOf(placedTower(parts));
    const inside = overlapSqFt(box);
    expect(areaOf(form)).toBeCloseTo((960 - inside) * Math.hypot(1, SIX), 1);
  });

  it("leaves flashings all round it, and no seam is counted", () => {
    const round = [...linesOfKind(form, "wall-top"), ...linesOfKind(form, "wall-side")];
    const planFt = round.reduce((sum, { planMm }) => sum + feetOf(planMm), 0);
    const box = outsideOf(placedTower(parts));
    expect(planFt).toBeCloseTo(roundFt(box), 2);
  });

  it("cuts the rafters in its way into a part below and a part above it", () => {
    const laid = countPart(resolved, "imperial", library);
    const before = countPart({ ...low, meetsOthers: false }, "imperial", library);
    const plan = (count: typeof laid) =>
      count.pieces.reduce(
        (sum, piece) => sum + (isFraming(piece) && piece.role === "common-rafter" ? piece.cutLengthNm : 0),
        0,
      );
    expect(plan(laid)).toBeLessThan(plan(before));
    expect(laid.problems.map(({ message }) => message)).toEqual(before.problems.map(({ message }) => message));
  });
});

it("a room within the roof's own space does not cut it", () => {
  const attic = roomAt(14, 15, "8'", "6'", "3'");
  const parts: Part[] = [
    storey("Ground", 0),
    storey("Upper", 1),
    attic,
    { ...low, pitch: { value: 1.5, typed: "", assumed: false } },
  ];
  const resolved = resolveParts(parts, planJob(parts)).find(isRoof);
  const formed = resolved && formOf(resolved);
  expect(formed?.ok && areaOf(formed.form)).toBeCloseTo(960 * Math.hypot(1, 1.5), 1);
});

it("a room whose ceiling is over some of the roof and under the rest does not cut it, and that is said", () => {
  const tower = roomAt(14, 11, "8'", "10'");
  const steep = (pitch: number): Part[] => [
    storey("Ground", 0),
    storey("Upper", 1),
    tower,
    { ...low, pitch: { value: pitch, typed: "", assumed: false } },
  ];
  const told = (pitch: number) => {
    const resolved = resolveParts(steep(pitch), planJob(steep(pitch))).find(isRoof);
    const formed = resolved && formOf(resolved);
    if (!resolved || !formed?.ok) throw new Error("no form");
    const codes = countPart(resolved, "imperial", library).problems.map(({ code }) => code);
    return { whole: Math.abs(areaOf(formed.form) - 960 * Math.hypot(1, pitch)) < 0.1, codes };
  };
  expect(told(0.5)).toEqual({ whole: false, codes: expect.not.arrayContaining(["partly-through"]) });
  expect(told(0.9)).toEqual({ whole: true, codes: expect.arrayContaining(["partly-through"]) });
});

/** Any two hipped roofs over each other: what is left of both covers all that either of them stood over, once, and the higher is what stays. */
it("two hipped roofs anywhere over each other leave the higher of the two everywhere", () => {
  const hip = (id: string, long: number, deep: number, pitch: number, place: Roof["place"]): Roof => ({
    ...roofOf("imperial", rectangle(feet(long), feet(deep), ["eave", "eave", "eave", "eave"]), { pitch }),
    id,
    name: id,
    meetsOthers: true,
    place,
  });
  const side = fc.integer({ min: 10, max: 40 });
  const pitch = fc.integer({ min: 3, max: 14 }).map((rise) => rise / 12);
  const shift = fc.integer({ min: -15, max: 30 });
  fc.assert(
    fc.property(side, side, pitch, side, side, pitch, shift, shift, fc.integer({ min: 0, max: 90 }), (...figures) => {
      const [a, b, p, c, d, q, x, y, turnDegrees] = figures;
      const one = hip("one", a, b, p, { xNm: 0, yNm: 0, turnDegrees: 0 });
      const other = hip("other", c, d, q, { xNm: feet(x), yNm: feet(y), turnDegrees });
      const parts = resolveParts([one, other], planJob([one, other])).filter(isRoof);
      const outlines = parts.map((roof) => roofOutlineOnPlan(roof).map(({ from }) => from));
      const covered = union(outlines).reduce((sum, ring) => sum + signedArea(ring), 0);
      const left = parts.reduce((sum, roof) => {
        const formed = formOf(roof);
        if (!formed.ok) return formed.why === "cut-away" ? sum : Number.NaN;
        return sum + formed.form.faces.reduce((area, face) => area + face.planAreaM2, 0);
      }, 0);
      expect(left).toBeCloseTo(covered, 2);
    }),
    { numRuns: 150, endOnFailure: true, examples: [[14, 21, 14 / 12, 28, 12, 14 / 12, 0, 12, 0]] },
  );
});

/** Roofs of any shape, laid anywhere over each other, some running into others: counted in whole figures, or told why not. */
it("any two roofs that meet are counted, and every piece has a length and a name of its own", () => {
  const shaped = (id: string) =>
    fc
      .record({
        shape: fc.constantFrom(...ROOF_SHAPES),
        long: fc.integer({ min: 10, max: 50 }),
        deep: fc.integer({ min: 8, max: 40 }),
        pitch: fc.integer({ min: 2, max: 18 }),
        plate: fc.integer({ min: 0, max: 10 }),
        x: fc.integer({ min: -30, max: 40 }),
        y: fc.integer({ min: -30, max: 40 }),
        turnDegrees: fc.constantFrom(0, 90, 180, 270, 30, 45, 77),
        runsOn: fc.option(fc.nat({ max: 3 })),
        trusses: fc.boolean(),
      })
      .map((of): Roof => {
        const base = roofOf("imperial", rectangle(feet(of.long), feet(of.deep), ["eave", "eave", "eave", "eave"]), {
          pitch: of.pitch / 12,
          overhangNm: feet(1),
          rakeNm: feet(1),
          choices: { framedWith: of.trusses ? "trusses" : "rafters", purlinRows: of.trusses ? 0 : 1 },
        });
        const roof = withShape(base, of.shape, "imperial");
        return {
          ...roof,
          id,
          name: id,
          meetsOthers: true,
          plate: said(feet(of.plate)),
          place: { xNm: feet(of.x), yNm: feet(of.y), turnDegrees: of.turnDegrees },
          edges: roof.edges.map((edge, index) => (index === of.runsOn ? { ...edge, end: "roof" } : edge)),
        };
      });
  let cut = 0;
  fc.assert(
    fc.property(shaped("one"), shaped("other"), (...roofs) => {
      const own = roofs.filter((roof) => roofKind.problems(roof, context).length === 0);
      for (const roof of resolveParts(own, planJob(own)).filter(isRoof)) {
        const count = countPart(roof, "imperial", library);
        const formed = formOf(roof);
        if (formed.ok && roof.meets && formed.form.lines.some(({ cutBy }) => cutBy !== undefined)) cut += 1;
        const pieces = count.pieces.filter(isFraming);
        for (const { id, cutLengthNm } of pieces)
          expect([id, cutLengthNm > 0 && Number.isSafeInteger(cutLengthNm)]).toEqual([id, true]);
        expect(new Set(count.pieces.map(({ id }) => id)).size).toBe(count.pieces.length);
        for (const value of Object.values(roofKind.quantities(roof, ALONE))) expect(Number.isFinite(value)).toBe(true);
        if (!formed.ok) expect(count.problems.length).toBeGreaterThan(0);
      }
    }),
    { numRuns: 120, seed: 7, endOnFailure: true },
  );
  expect(cut).toBeGreaterThan(30);
});

function placedTower(parts: readonly Part[]) {
  const placed = planJob(parts).storeys.flatMap(({ rooms }) => rooms)[0];
  if (!placed) throw new Error("there is no room");
  return placed;
}
const overlapSqFt = (box: Polygon): number => sqFt(polygonArea(box));
const roundFt = (box: Polygon): number => feetOf(perimeterNm(box) / 1e6);
