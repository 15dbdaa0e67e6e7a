import { isFraming, partContext, reckonJob, startJob, toInches } from "@wide-porch/core/reckoning";
import { library, starterCompanySettings, starterPriceList } from "@wide-porch/library";
import { skylark } from "./skylark";

let made = 0;

describe("Skylark loft", () => {
  it("has a roof of two pitches that is counted, and everything in it has a price", () => {
    const start = { title: "T", customerName: "C", site: "", system: "imperial", currency: "USD" } as const;
    const parts = skylark(() => `part-${++made}`, partContext("imperial", library));
    const job = startJob(start, starterCompanySettings);
    const { counts, order, buildUp } = reckonJob(job, parts, starterPriceList, library);
    const roof = counts.find(({ partName }) => partName === "Main roof");
    expect(roof?.waits).toBe(false);
    const quantity = (rule: string) => roof?.lines.find((line) => line.rule === rule)?.quantity;
    // Two at the front and the back of each of the window and the shed dormer, two at the front of the gabled one.
    expect([quantity("openingHeaders"), quantity("trimmers"), quantity("windows")]).toEqual([10, 12, 1]);
    expect(quantity("slopeBoards")).toBeGreaterThan(20);
    // 14 in of level overhang are 10 1/2 in of fall at 9 in 12 and 8 1/6 at 7: told, with the cure.
    expect(roof?.problems.map(({ code }) => code)).toContain("fascias-apart");
    // The stair's roof is 8 ft wide at the same pitch: its valleys reach 4 ft and the overhang of 14 in in and out, 0.75 in 1 up.
    const stair = counts.find(({ partName }) => partName === "Stair roof");
    expect(stair?.problems).toEqual([]);
    const boards = stair?.pieces.filter(isFraming).filter(({ role }) => role === "valley-board") ?? [];
    const reachIn = 48 + 14;
    expect(boards.map(({ cutLengthNm }) => toInches(cutLengthNm))).toEqual(
      Array(2).fill(expect.closeTo(Math.hypot(reachIn, reachIn, reachIn * 0.75), 1)),
    );
    expect(order.lines.filter((line) => line.unitPrice === null).map((line) => line.itemCode)).toEqual([]);
    expect(Number(buildUp.total)).toBeGreaterThan(10_000);
  });
});
