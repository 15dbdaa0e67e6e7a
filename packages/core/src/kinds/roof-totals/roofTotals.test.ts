import { starterPriceList } from "@wide-porch/library";
import { countPart } from "../../count/countPart";
import { measured } from "../../parts/dimension";
import { contexts, library } from "../../testing/library";
import { rectangle, roofOf } from "../../testing/roofs";
import { feet, inches } from "../../units";
import { roofQuantities } from "../roof/quantities";
import { type RoofTotals, roofTotalsKind } from "./index";

const figure = (value: number) => ({ value, typed: "", assumed: false });
const metresOf = (value: number | undefined) => measured(Math.round((value ?? 0) * 1e9), "");

const drawn = roofOf("imperial", rectangle(feet(38), feet(26), ["eave", "gable", "eave", "gable"]), {
  pitch: 7 / 12,
  overhangNm: inches(14),
  rakeNm: inches(10),
});
const of = roofQuantities(drawn);
const totals: RoofTotals = {
  ...roofTotalsKind.defaults("t", "Roof", contexts.imperial),
  area: figure(of.area ?? 0),
  pitch: figure(7 / 12),
  eaves: metresOf(of.eaves),
  rakes: metresOf(of.rakes),
  ridges: metresOf(of.ridges),
};
const quantityOf = (part: typeof drawn | RoofTotals, rule: string) =>
  countPart(part, "imperial", library).lines.find((line) => line.rule === rule)?.quantity;

describe("a roof by totals", () => {
  it("comes to the covering of the same roof drawn, and says that it is reckoned", () => {
    expect(quantityOf(totals, "roofPanelsByArea")).toBe(
      quantityOf({ ...drawn, choices: { panelsBy: "by-area" } }, "roofPanelsByArea"),
    );
    for (const rule of ["shingleBundles", "starter", "caps", "edgeMetal", "fasciaBoards", "gutterRun"])
      expect([rule, quantityOf(totals, rule)]).toEqual([rule, expect.closeTo(quantityOf(drawn, rule) ?? -1, 6)]);
    const { lines, openPoints } = countPart(totals, "imperial", library);
    expect(lines.find((line) => line.rule === "commonRafters")?.basis).toBe("reckoned");
    expect(openPoints.map(({ message }) => message).join()).toContain("Reckoned from totals");
  });

  it("reckons rafters along the eaves: 2 × 39 ft 8 in at 16 in, each as long as the area over the eaves", () => {
    // 952 in are 59 1/2 spaces: 60, with the short one, and one to begin with.
    expect(quantityOf(totals, "commonRafters")).toBe(61);
  });

  it("reckons trusses over half of the eaves from wall to wall, and says that they are all of one kind", () => {
    const trussed: RoofTotals = { ...totals, choices: { framedWith: "trusses" } };
    // 476 in at 24 in: 19 whole spaces and a short one.
    expect(quantityOf(trussed, "trussCommon")).toBe(21);
    expect(quantityOf(trussed, "commonRafters")).toBeUndefined();
    expect(
      countPart(trussed, "imperial", library)
        .problems.map(({ message }) => message)
        .join(),
    ).toContain("one kind");
    const leanTo: RoofTotals = { ...trussed, ridges: metresOf(0), wallTops: metresOf(of.eaves) };
    // 952 in at 24 in: 39 whole spaces and a short one.
    expect(quantityOf(leanTo, "trussMono")).toBe(41);
  });

  it("takes the hours of its timber by the piece, or by the length of all of it", () => {
    expect(quantityOf(totals, "raftersFixed")).toBe(quantityOf(totals, "commonRafters"));
    const byLength: RoofTotals = { ...totals, choices: { labourBy: "length" } };
    expect(quantityOf(byLength, "raftersFixed")).toBeUndefined();
    const each = (12 * (of.area ?? 0)) / (of.eaves ?? 1);
    expect(quantityOf(byLength, "timberFixed")).toBeCloseTo((61 * each) / 12 + (of.ridges ?? 0), 4);
  });

  it("orders everything from the price list: each line of it has a price", () => {
    const codes = new Set(starterPriceList.map(({ code }) => code));
    const full: RoofTotals = { ...totals, hips: metresOf(20), valleys: metresOf(6), wallTops: metresOf(3) };
    const lines = countPart(full, "imperial", library).lines.filter(({ itemCode }) => itemCode !== "");
    expect(lines.map(({ itemCode }) => itemCode).filter((code) => !codes.has(code))).toEqual([]);
    const timber = lines.filter(({ buying }) => buying === "cut").map(({ rule, itemCode }) => [rule, itemCode]);
    expect(timber).toEqual([
      ["commonRafters", "timber/2x8"],
      ["ridgePieces", "timber/2x10"],
      ["hipRafters", "timber/2x10"],
      ["valleyRafters", "timber/2x10"],
      ["ledgers", "timber/2x10"],
    ]);
  });

  it("takes an area on plan as well: along the slopes it is the plan × √(1 + 49/144)", () => {
    const plan: RoofTotals = { ...totals, areaTaken: "plan", area: figure(100) };
    expect(roofTotalsKind.quantities(plan, { sharedOpenings: [] }).area).toBeCloseTo(100 * Math.sqrt(1 + 49 / 144), 6);
  });

  it("says that without eaves there are no rafters, and counts the rest", () => {
    const { lines, problems } = countPart({ ...totals, eaves: measured(0, "") }, "imperial", library);
    expect(problems.map(({ path }) => path)).toEqual(["eaves"]);
    expect(lines.find(({ rule }) => rule === "roofPanelsByArea")?.quantity).toBeGreaterThan(0);
  });

  it("waits for area and pitch, and refuses what cannot be", () => {
    expect(countPart({ ...totals, pitch: { value: null, typed: "", assumed: false } }, "imperial", library).waits).toBe(
      true,
    );
    const wrong = (part: RoofTotals) => roofTotalsKind.problems(part, contexts.imperial).map(({ path }) => path);
    expect(wrong({ ...totals, eaves: measured(-1, "") })).toEqual(["eaves"]);
    expect(wrong({ ...totals, area: figure(0) })).toEqual(["area"]);
    expect(wrong({ ...totals, pitch: figure(90) })).toEqual(["pitch"]);
  });
});
