import { countPart } from "../../count/countPart";
import { orderJob } from "../../order";
import { padOf } from "../../testing/ground";
import { contexts, library, starterPriceList } from "../../testing/library";
import { millimetres } from "../../units";
import { padKind } from "./index";

const CUBIC_FOOT = 0.3048 ** 3;
const TUBE = { diameter: '12"', height: '42"', top: "0" };
const counted = (pad: Parameters<typeof countPart>[0], system: "metric" | "imperial") => {
  const { lines, problems, scope } = countPart(pad, system, library);
  return { of: (rule: string) => lines.find((line) => line.rule === rule)?.quantity ?? 0, lines, problems, scope };
};

describe("tube footings 12 in across and 42 in deep", () => {
  const bags = (count: number, apart: boolean) => {
    const choices = { concreteBy: "bags", concreteWaste: 0, pourApart: apart };
    const { lines } = counted(padOf("imperial", "tube", count, TUBE, choices), "imperial");
    return orderJob(lines, starterPriceList, "imperial").lines.find(({ itemCode }) => itemCode === "concrete/bag-80")
      ?.quantity;
  };

  it("take 2.75 cu ft each (arithmetic)", () => {
    expect(counted(padOf("imperial", "tube", 1, TUBE), "imperial").of("placed") / CUBIC_FOOT).toBeCloseTo(2.7489, 4);
  });

  it("eight together are 37 bags of 0.60 cu ft, one by one 40 (arithmetic; ASTM C387 bags, from memory)", () => {
    expect([bags(8, false), bags(8, true)]).toEqual([37, 40]);
  });

  it("are dug as they are: a hole of their own size, and no more", () => {
    expect(
      counted(padOf("imperial", "tube", 8, TUBE, { fill: 0 }), "imperial").of("digByMachine") / CUBIC_FOOT,
    ).toBeCloseTo(8 * 2.7489, 3);
  });
});

describe("pads 600 x 600 x 300 mm, flush with the ground", () => {
  const FIGURES = { length: "600 mm", width: "600 mm", height: "300 mm", top: "0" };

  it("four of them are 0.432 m³, with four bars each way 500 mm long (arithmetic)", () => {
    const { of } = counted(padOf("metric", "pad", 4, FIGURES, { padBarsEachWay: 4 }), "metric");
    expect(of("placed")).toBeCloseTo(0.432, 9);
    expect(of("padBarsCut")).toBe(4 * 8);
    expect(of("barsFixed")).toBeCloseTo(4 * 8 * 0.5 * 0.888, 6);
  });

  it("with 200 mm of working space are dug a metre wide, and filled in round (arithmetic)", () => {
    const { of } = counted(
      padOf("metric", "pad", 1, FIGURES, { workingSpace: millimetres(200), fill: 0, blinding: 0 }),
      "metric",
    );
    expect(of("digByMachine")).toBeCloseTo(1 * 1 * 0.3, 9);
    expect(of("backfilled")).toBeCloseTo((1 - 0.36) * 0.3, 6);
  });

  it("say what is odd: cover that leaves no room, pads above the ground, pads under it", () => {
    const codes = (figures: Record<string, string>, choices = {}) =>
      counted(padOf("metric", "pad", 1, { ...FIGURES, ...figures }, choices), "metric").problems.map(
        ({ code }) => code,
      );
    expect(codes({ width: "90 mm" }, { padBarsEachWay: 2 })).toContain("cover-wider-than-pad");
    expect(codes({ top: "1 m" })).toContain("formation-above-ground");
    expect(codes({ top: "-1 m" })).toContain("below-ground");
    expect(
      padKind.problems(padOf("metric", "pad", 1, { ...FIGURES, length: "0" }), contexts.metric).map(({ path }) => path),
    ).toEqual(["length"]);
  });
});
