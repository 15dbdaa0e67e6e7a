import { LEDGER_COLUMNS, usualLayout, wholeColumns, worksheetLayoutSchema } from "./index";

describe("a worksheet's layout", () => {
  it("as it comes can be stored, and has every column once", () => {
    expect(worksheetLayoutSchema.parse(usualLayout)).toEqual(usualLayout);
    expect(usualLayout.columns.map(({ id }) => id)).toEqual([...LEDGER_COLUMNS]);
  });

  it("that lacks columns has them at its end, not shown; one that is in it twice is in it once", () => {
    const cost = { id: "cost" as const, widthPx: 200, name: "Money", shown: true };
    const whole = wholeColumns([cost, { ...cost, widthPx: 90 }]);
    expect(whole).toHaveLength(LEDGER_COLUMNS.length);
    expect(whole[0]).toMatchObject({ id: "cost", name: "Money" });
    expect(whole.slice(1).every(({ shown }) => !shown)).toBe(true);
  });
});
