import { starterPriceList } from "@wide-porch/library";
import { countPart } from "../../../count/countPart";
import { withLongestSold } from "../../../order/longestSold";
import { library } from "../../../testing/library";
import { rectangle, roofOf, said } from "../../../testing/roofs";
import { feet, inches, type MeasuringSystem, metres } from "../../../units";
import type { RoofFeature } from "../features/schema";
import { newFeature } from "../features/starts";
import type { Roof } from "../schema";

const sold = withLongestSold(library, starterPriceList);
const codes = new Set(starterPriceList.map(({ code }) => code));

/** Hipped at one end, gabled at the other, with one of each feature and overhangs wide enough for lookouts. */
function full(system: MeasuringSystem, choices: Roof["choices"]): Roof {
  const [long, deep] = system === "imperial" ? [feet(50), feet(40)] : [metres(15), metres(12)];
  const roof: Roof = {
    ...roofOf(system, rectangle(long, deep, ["eave", "eave", "eave", "gable"]), {
      pitch: 0.8,
      overhangNm: inches(16),
      rakeNm: inches(20),
      choices,
    }),
    flatHeight: said(metres(4.5)),
  };
  const features: RoofFeature[] = [];
  for (const [kind, edgeId] of [
    ["gable-dormer", "a"],
    ["chimney", "c"],
    ["roof-window", "c"],
  ] as const) {
    const feature = newFeature({ ...roof, features }, kind, edgeId, kind, system);
    if (feature) features.push(feature);
  }
  return { ...roof, features };
}

/** Told of a roof with a flat at its top, whose slopes meet over no ridge. */
const BESIDE = ["past-stock", "flat-frame", "untied"];

describe.each(["imperial", "metric"] as const)("everything that a roof counts, %s", (system) => {
  it.each(["shingles", "tiles", "sheets", "none"])("is in the price list, covered with %s", (covering) => {
    for (const soffit of ["none", "vented", "plain"]) {
      const roof = full(system, {
        covering,
        soffit,
        ceilingJoists: true,
        collarEvery: 1,
        ridgeVent: true,
        iceBarrier: true,
      });
      const { lines, problems } = countPart(roof, system, sold);
      expect(problems.filter(({ code }) => !BESIDE.includes(code))).toEqual([]);
      expect(lines.length).toBeGreaterThan(15);
      const missing = lines.filter(({ itemCode }) => itemCode !== "" && !codes.has(itemCode));
      expect(missing.map(({ rule, itemCode }) => [rule, itemCode])).toEqual([]);
    }
  });
});

/** 26 by 38 ft at 7 in 12 with 14 in of overhang: 988 sq ft within the walls, whatever hangs over them. Arithmetic. */
it("lines the slopes within the walls from below, less what is cut out, and everything of it has a price", () => {
  for (const system of ["imperial", "metric"] as const) {
    const plain = roofOf(system, rectangle(feet(38), feet(26), ["eave", "gable", "eave", "gable"]), {
      pitch: 7 / 12,
      overhangNm: inches(14),
      rakeNm: inches(10),
    });
    const use = { id: "lining", assembly: { id: "slope-lining", version: 1 }, choices: {} };
    const count = countPart({ ...plain, uses: [use] }, system, library);
    const inner = 988 * Math.hypot(1, 7 / 12) * 0.09290304;
    const insulation = count.lines.find(({ rule }) => rule === "insulation");
    expect(insulation?.quantity).toBeCloseTo(inner * 0.9, 4);
    const bought = count.lines.map(({ itemCode }) => itemCode).filter((code) => code !== "");
    expect(bought.filter((code) => !codes.has(code))).toEqual([]);
    const window = newFeature(plain, "roof-window", "a", "window", system);
    const lit = countPart({ ...plain, uses: [use], features: window ? [window] : [] }, system, library);
    const less = (window?.width.valueNm ?? 0) * (window?.depth.valueNm ?? 0) * 1e-18;
    expect(lit.lines.find(({ rule }) => rule === "insulation")?.quantity).toBeCloseTo((inner - less) * 0.9, 4);
  }
});
