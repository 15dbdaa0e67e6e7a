import Big from "big.js";
import fc from "fast-check";
import { HyperFormula } from "hyperformula";
import { reckonJob, startJob } from "../job";
import { COST_KINDS } from "../ledger";
import { library, openingOf, starterCompanySettings, starterPriceList, wallOf } from "../testing/library";
import { feet, inches } from "../units";
import type { BuildUp, Pricing } from "./index";

const job = startJob(
  { title: "T", customerName: "C", site: "", system: "imperial", currency: "USD" },
  starterCompanySettings,
);
const wall = (id: string, lengthFt: number) => ({
  ...wallOf("imperial", {
    lengthNm: feet(lengthFt),
    heightNm: inches(97.125),
    sheathed: true,
    choices: { boardsNear: 1, insulated: true },
    openings: [openingOf("door", "d", { positionNm: inches(12), widthNm: inches(38), heightNm: inches(82.5) })],
  }),
  id,
});

/** Half a cent, as a plain number has it, may fall to either side. */
const isTie = (amount: Big): boolean => {
  const cents = amount.times(100);
  return cents.minus(cents.round(0, Big.roundDown)).abs().minus(0.5).abs().lt("1e-7");
};

/** The estimate as a builder would have it in a spreadsheet: a row a line, and the steps under one another. Reads its cells in cents. */
function inSpreadsheet({ ledger }: BuildUp, pricing: Pricing): readonly number[] {
  const lines = ledger.map(({ kind, quantity, rate, cost, work }) => {
    const figure = quantity.replaceAll(",", "");
    // Pieces cut from lengths, and what is bought for several, have no one rate.
    return rate === null || (!work && new Big(rate).times(figure).round(2, Big.roundHalfUp).toFixed(2) !== cost)
      ? [kind, 1, Number(cost), `=ROUND(B{}*C{},2)`]
      : [kind, Number(figure), Number(rate), `=ROUND(B{}*C{},2)`];
  });
  const rows = lines.map((cells, index) =>
    cells.map((cell) => (typeof cell === "string" ? cell.replaceAll("{}", String(index + 1)) : cell)),
  );
  const last = rows.length;
  const at = (step: number) => `D${last + step}`;
  const percent = (base: string, of: string) => `=ROUND(${base}*${of}/100,2)`;
  const kinds = COST_KINDS.map(
    (kind) => [`=SUMIF(A1:A${last},"${kind}",D1:D${last})`, pricing.markupPercent[kind]] as const,
  );
  const sheet: (string | number)[][] = [
    ...rows,
    ["", "", "", `=ROUND(SUM(D1:D${last}),2)`],
    ["", "", "", percent(at(1), pricing.overhead.percent)],
    ["", "", "", percent(`(${at(1)}+${at(2)})`, pricing.contingency.percent)],
    ["", "", "", `=${kinds.map(([sum, each]) => `ROUND(ROUND(${sum.slice(1)},2)*${each}/100,2)`).join("+")}`],
    ["", "", "", percent(`(${at(1)}+${at(2)}+${at(3)}+${at(4)})`, pricing.profit.percent)],
    ["", "", "", `=ROUND(${at(1)}+${at(2)}+${at(3)}+${at(4)}+${at(5)},2)`],
    ["", "", "", percent(at(6), pricing.tax.percent)],
    ["", "", "", `=ROUND(${at(6)}+${at(7)},2)`],
  ];
  const engine = HyperFormula.buildFromArray(sheet, { licenseKey: "gpl-v3" });
  const cents = Array.from({ length: 8 }, (_, step) =>
    Math.round(Number(engine.getCellValue({ sheet: 0, row: last + step, col: 3 })) * 100),
  );
  engine.destroy();
  return cents;
}

const stepsIn = (up: BuildUp): readonly number[] =>
  [
    up.cost,
    up.overhead.amount,
    up.contingency.amount,
    up.markup,
    up.profit.amount,
    up.priceBeforeTax,
    up.tax,
    up.total,
  ].map((amount) => Math.round(Number(amount) * 100));

// A general-purpose spreadsheet engine, from the registry.
it("the same estimate as formulas of a spreadsheet comes to the same cents at every step, but on exact ties", () => {
  const percent = fc.integer({ min: 0, max: 3000 }).map((hundredths) => (hundredths / 100).toString());
  const lengths = fc.uniqueArray(fc.integer({ min: 8, max: 30 }), { minLength: 1, maxLength: 4 });
  let compared = 0;
  fc.assert(
    fc.property(lengths, percent, percent, percent, (all, overhead, contingency, profit) => {
      const pricing: Pricing = {
        ...job.pricing,
        overhead: { percent: overhead, on: "cost" },
        contingency: { percent: contingency, on: "before" },
        profit: { percent: profit, on: "before" },
      };
      const walls = all.map((lengthFt) => wall(`w${lengthFt}`, lengthFt));
      const { buildUp } = reckonJob({ ...job, pricing }, walls, starterPriceList, library);
      const bases = [buildUp.overhead, buildUp.contingency, buildUp.profit];
      const tied = bases.some(({ base, percent: of }) => isTie(new Big(base).times(of).div(100)));
      const lineTied = buildUp.ledger.some(
        ({ rate, quantity }) => rate !== null && isTie(new Big(rate).times(quantity.replaceAll(",", ""))),
      );
      const markupTied = buildUp.kinds.some(({ markups }) =>
        markups.some(({ base, percent: of }) => isTie(new Big(base).times(of).div(100))),
      );
      if (tied || lineTied || markupTied || isTie(new Big(buildUp.priceBeforeTax).times(pricing.tax.percent).div(100)))
        return;
      compared += 1;
      expect(inSpreadsheet(buildUp, pricing)).toEqual(stepsIn(buildUp));
    }),
    { numRuns: 60, endOnFailure: true },
  );
  expect(compared).toBeGreaterThan(5);
});
