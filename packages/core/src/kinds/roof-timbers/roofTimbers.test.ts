import { starterPriceList } from "@wide-porch/library";
import { countPart } from "../../count/countPart";
import { timberList } from "../../order/timberList";
import { measured } from "../../parts/dimension";
import { contexts, library } from "../../testing/library";
import { feet, inches, toInches } from "../../units";
import { type ListedTimber, type RoofTimbers, roofTimbersKind, withTimber } from "./index";
import { withOwnPitch } from "./rows";

const figure = (value: number) => ({ value, typed: "", assumed: false });
const empty: RoofTimbers = { ...roofTimbersKind.defaults("l", "Timbers", contexts.imperial), pitch: figure(0.5) };

function listOf(...rows: readonly (readonly [role: ListedTimber, planNm: number, count: number])[]): RoofTimbers {
  return rows.reduce((list, [role, planNm, count], index) => {
    const id = `r${index}`;
    const added = withTimber(list, id, role);
    const set = (row: RoofTimbers["rows"][number]) =>
      row.id === id ? { ...row, plan: measured(planNm, ""), count } : row;
    return { ...added, rows: added.rows.map(set) };
  }, empty);
}

/** Lengths by the rafter table of a framing square, 6 in 12: 13.42 in for each foot of run, 18.00 for each foot of a hip's common run. */
describe("roof timbers by plan length", () => {
  const list = listOf(
    ["common-rafter", feet(12), 30],
    ["hip-rafter", Math.round(feet(12) * Math.SQRT2), 4],
    ["ridge", feet(12), 1],
  );

  it("have their true lengths, and what to buy them in", () => {
    const rows = timberList(countPart(list, "imperial", library), starterPriceList);
    const shown = rows.map(({ role, count, trueNm, boughtNm }) => [
      role,
      count,
      Number(toInches(trueNm).toFixed(1)),
      boughtNm === undefined ? undefined : toInches(boughtNm) / 12,
    ]);
    // 12 × 13.42 = 161.0 in, from 14 ft; 12 × 18 = 216 in, from 20 ft; the ridge as it is, from 12 ft.
    expect(shown).toEqual([
      ["common-rafter", 30, 161, 14],
      ["hip-rafter", 4, 216, 20],
      ["ridge", 1, 144, 12],
    ]);
  });

  it("are counted by the assembly of a roof, and nothing else of it is", () => {
    const { lines, scope } = countPart(list, "imperial", library);
    expect(lines.map(({ rule, quantity }) => [rule, quantity])).toEqual([
      ["commonRafters", 30],
      ["ridgePieces", 1],
      ["hipRafters", 4],
      ["raftersFixed", 30],
      ["ridgesFixed", 5],
      ["rafterNails", 180],
    ]);
    expect(lines[0]?.basis).toBe("reckoned");
    expect(scope).toEqual(["Cut and fix the roof timbers listed, pitch 6 in 12."]);
  });

  it("can have a pitch of their own, and follow the list's again", () => {
    const own = withOwnPitch(list, "r0", true);
    const steep = roofTimbersKind.withFigure?.(own, "rows.r0.pitch", 1, "45°") ?? own;
    const lengthOf = (of: RoofTimbers) => countPart(of, "imperial", library).lines[0]?.cutLengthsNm[0] ?? 0;
    expect(toInches(lengthOf(steep))).toBeCloseTo(144 * Math.SQRT2, 3);
    expect(lengthOf(withOwnPitch(steep, "r0", false))).toBe(lengthOf(list));
  });

  it("wait for a pitch and for lengths, and refuse what cannot be", () => {
    const waiting = countPart({ ...list, pitch: { value: null, typed: "", assumed: false } }, "imperial", library);
    expect([waiting.waits, waiting.lines]).toEqual([true, []]);
    const wrong = (of: RoofTimbers) => roofTimbersKind.problems(of, contexts.imperial).map(({ path }) => path);
    expect(wrong(listOf(["hip-jack", -inches(1), 1]))).toEqual(["rows.r0.plan"]);
    expect(wrong(listOf(["hip-jack", feet(900), 1]))).toEqual(["rows.r0.plan"]);
    expect(wrong({ ...list, pitch: figure(0) })).toEqual(["pitch"]);
    expect(countPart(empty, "imperial", library).openPoints.map(({ message }) => message)).toContain(
      "No timbers are listed yet",
    );
  });
});
