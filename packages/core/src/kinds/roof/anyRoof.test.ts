import { starterPriceList } from "@wide-porch/library";
import fc from "fast-check";
import { isCounted } from "../../count/countLine";
import { countPart } from "../../count/countPart";
import { isFraming } from "../../drawing/piece";
import { withLongestSold } from "../../order/longestSold";
import { contexts, library } from "../../testing/library";
import { rectangle, roofOf, said, type TestEdge } from "../../testing/roofs";
import { feet, millimetres } from "../../units";
import { withCourtyard } from "./courtyards";
import { FEATURE_KINDS, type RoofFeature } from "./features/schema";
import { newFeature } from "./features/starts";
import { formOf } from "./form";
import { roofKind } from "./index";
import { outlineOfRoof } from "./outline";
import { roofQuantities } from "./quantities";
import { EDGE_ENDS, type Roof } from "./schema";
import { ROOF_SHAPES, withShape } from "./starts";

const anyEnd = fc.constantFrom(...EDGE_ENDS);
const anyLength = fc.integer({ min: 1, max: 60_000 });

/** Roofs over square-cornered outlines, with ends, pitches, overhangs and features as they come. */
const anyRoof: fc.Arbitrary<Roof> = fc
  .record({
    shape: fc.constantFrom(...ROOF_SHAPES),
    wide: anyLength,
    deep: anyLength,
    ends: fc.array(anyEnd, { minLength: 8, maxLength: 8 }),
    keepEnds: fc.boolean(),
    pitches: fc.array(fc.option(fc.double({ min: 0.01, max: 5, noNaN: true })), { minLength: 8, maxLength: 8 }),
    pitch: fc.double({ min: 0.01, max: 5, noNaN: true }),
    overhang: fc.integer({ min: 0, max: 2500 }),
    rake: fc.integer({ min: 0, max: 2500 }),
    along: fc.boolean(),
    features: fc.array(fc.tuple(fc.constantFrom(...FEATURE_KINDS), fc.nat({ max: 7 })), { maxLength: 4 }),
    breakAt: fc.option(fc.integer({ min: 1, max: 9000 })),
    flatAt: fc.option(fc.integer({ min: 1, max: 9000 })),
    ties: fc.boolean(),
    trusses: fc.boolean(),
    court: fc.boolean(),
    purlinRows: fc.integer({ min: 0, max: 3 }),
    hipWidth: fc.option(fc.integer({ min: 1, max: 6000 })),
  })
  .map((of) => {
    const outlined: TestEdge[] = [of.wide, of.deep, of.wide, of.deep].map((mm) => ({
      lengthNm: millimetres(mm),
      end: "eave",
    }));
    const plain = roofOf("metric", outlined, {
      pitch: of.pitch,
      overhangNm: millimetres(of.overhang),
      rakeNm: millimetres(of.rake),
      choices: {
        ...(of.ties ? { ceilingJoists: true, collarEvery: 1 } : {}),
        framedWith: of.trusses ? "trusses" : "rafters",
        purlinRows: of.purlinRows,
      },
    });
    const shaped = withShape(plain, of.shape, "metric");
    const roof: Roof = {
      ...shaped,
      edges: shaped.edges.map((edge, index) => {
        const end = of.keepEnds ? edge.end : (of.ends[index] ?? edge.end);
        const pitch = of.pitches[index] ?? null;
        return {
          ...edge,
          end,
          pitch: { value: pitch, typed: "", assumed: false },
          hipFrom: end === "half-hip" ? said(millimetres(900)) : edge.hipFrom,
          hipWidth: end === "half-hip" && of.hipWidth !== null ? said(millimetres(of.hipWidth)) : edge.hipWidth,
        };
      }),
      overhangMeasured: of.along ? "slope" : "level",
      breakHeight: of.breakAt === null ? shaped.breakHeight : said(millimetres(of.breakAt)),
      upperPitch: of.breakAt === null ? shaped.upperPitch : { value: of.pitch / 2 + 0.01, typed: "", assumed: false },
      flatHeight: of.flatAt === null ? shaped.flatHeight : said(millimetres(of.flatAt)),
    };
    const outline = outlineOfRoof(roof);
    const courted = of.court && outline.ok ? withCourtyard(roof, "court", outline, "metric") : roof;
    const features: RoofFeature[] = [];
    for (const [index, [kind, at]] of of.features.entries()) {
      const edge = roof.edges[at % roof.edges.length];
      const feature = edge && newFeature({ ...roof, features }, kind, edge.id, `f${index}`, "metric");
      if (feature) features.push(feature);
    }
    return { ...courted, features };
  });

describe("whatever roof there is", () => {
  const sold = withLongestSold(library, starterPriceList);

  it("is counted in whole figures or told why not; nothing throws, and no piece is of no length", () => {
    let counted = 0;
    fc.assert(
      fc.property(anyRoof, (roof) => {
        const problems = roofKind.problems(roof, contexts.metric);
        const count = countPart(roof, "metric", sold);
        void count.drawing;
        void count.scope;
        for (const figure of Object.values(roofQuantities(roof))) expect(Number.isFinite(figure)).toBe(true);
        if (problems.length > 0 || count.waits) {
          expect(count.lines).toEqual([]);
          expect(problems.length + count.openPoints.length).toBeGreaterThan(0);
          return;
        }
        counted += 1;
        expect(count.lines.length).toBeGreaterThan(0);
        for (const line of count.lines.filter(isCounted))
          expect([line.rule, Number.isFinite(line.quantity) && line.quantity >= 0]).toEqual([line.rule, true]);
        for (const { id, cutLengthNm } of count.pieces.filter(isFraming))
          expect([id, cutLengthNm > 0 && Number.isSafeInteger(cutLengthNm)]).toEqual([id, true]);
        expect(new Set(count.pieces.map(({ id }) => id)).size).toBe(count.pieces.length);
      }),
      { numRuns: 150, seed: 41, endOnFailure: true },
    );
    expect(counted).toBeGreaterThan(30);
  });

  it("covers its outline on plan, overhangs beside it, when nothing hangs over and nothing is cut out", () => {
    fc.assert(
      fc.property(anyRoof, (any) => {
        const none = said(0);
        const roof: Roof = {
          ...any,
          features: [],
          overhang: none,
          rakeOverhang: none,
          edges: any.edges.map((edge) => ({ ...edge, overhang: none })),
        };
        const formed = formOf(roof);
        if (!formed.ok) return;
        const { planArea = 0, outlineArea = 0 } = roofQuantities(roof);
        expect(planArea / outlineArea).toBeCloseTo(1, 5);
      }),
      { numRuns: 100, seed: 42, endOnFailure: true },
    );
  });

  it("is counted in whole figures when a unit slipped: a house of 12 by 8 mm", () => {
    for (const shape of ROOF_SHAPES) {
      const tiny = roofOf("metric", rectangle(millimetres(12), millimetres(8), ["eave", "eave", "eave", "eave"]), {
        pitch: 0.7,
        overhangNm: millimetres(400),
        rakeNm: millimetres(300),
      });
      const count = countPart(withShape(tiny, shape, "metric"), "metric", sold);
      for (const { id, cutLengthNm } of count.pieces.filter(isFraming))
        expect([shape, id, cutLengthNm > 0 && Number.isSafeInteger(cutLengthNm)]).toEqual([shape, id, true]);
    }
  });

  it("refuses figures that nobody would type, and says which", () => {
    const roof = roofOf(
      "imperial",
      [40, 30, 40, 30].map((each) => ({ lengthNm: feet(each), end: "eave" })),
      { pitch: 0.5 },
    );
    const wrong = (changed: Partial<Roof>) =>
      roofKind.problems({ ...roof, ...changed }, contexts.imperial).map(({ path }) => path);
    const figure = (value: number) => ({ value, typed: "", assumed: false });
    expect(wrong({ pitch: figure(0) })).toEqual(["pitch"]);
    expect(wrong({ pitch: figure(Number.POSITIVE_INFINITY) })).toEqual(["pitch"]);
    expect(wrong({ overhang: said(feet(30)) })).toEqual(["overhang"]);
    expect(wrong({ plate: said(feet(1000)) })).toEqual(["plate"]);
    expect(wrong({ breakHeight: said(feet(4)) })).toEqual(["upperPitch"]);
    expect(wrong({ flatHeight: said(0) })).toEqual(["flatHeight"]);
    expect(wrong({ edges: roof.edges.map((edge) => ({ ...edge, length: said(feet(1000)) })) })).toHaveLength(4);
    expect(wrong({ edges: roof.edges.map((edge) => ({ ...edge, end: "wall" as const })) })).toEqual(["edges"]);
  });
});
