import Big from "big.js";
import fc from "fast-check";
import { reckonJob, startJob } from "../job";
import { newExtra } from "../ledger";
import { library, openingOf, starterCompanySettings, starterPriceList, wallOf } from "../testing/library";
import { feet, inches, percentOf, sumMoney } from "../units";
import { type BuildUp, buildUpJob, marginFromMarkup, type Pricing } from "./index";

const start = { title: "T", customerName: "C", site: "", system: "imperial", currency: "USD" } as const;
const job = startJob(start, starterCompanySettings);
const wall = (id: string, lengthNm: number, bearing: boolean) => ({
  ...wallOf("imperial", {
    lengthNm,
    heightNm: inches(97.125),
    bearing,
    sheathed: true,
    openings: [openingOf("door", "d", { positionNm: inches(12), widthNm: inches(38), heightNm: inches(82.5) })],
  }),
  id,
});
const walls = [wall("a", feet(12), true), wall("b", feet(17), false)];

function expectToAddUp(up: BuildUp): void {
  for (const kind of up.kinds) {
    const of = <T extends { kind: string; cost: string }>(lines: readonly T[]) =>
      sumMoney(lines.filter((line) => line.kind === kind.kind).map((line) => line.cost));
    expect([of(up.ledger), of(up.lines)]).toEqual([kind.cost, kind.cost]);
    expect(sumMoney(kind.markups.map(({ base }) => base))).toBe(sumMoney([kind.cost, kind.escalation]));
    for (const { percent, base, amount } of kind.markups) expect(amount).toBe(percentOf(base, percent));
  }
  const { cost, escalation, overhead, contingency, fullCost, markup, profit, discount, promptPayment } = up;
  expect(cost).toBe(sumMoney(up.ledger.map((line) => line.cost)));
  expect(fullCost).toBe(sumMoney([cost, escalation, overhead.amount, contingency.amount]));
  const steps = [fullCost, markup, profit.amount, discount.amount, promptPayment.amount];
  expect(up.priceBeforeTax).toBe(sumMoney([...steps, up.adjusted?.difference ?? "0"]));
  expect(sumMoney([fullCost, up.profitMade])).toBe(up.priceBeforeTax);
  expect(up.total).toBe(sumMoney([up.priceBeforeTax, up.tax]));
  expect(sumMoney(up.byPart.map((part) => part.price))).toBe(up.priceBeforeTax);
  for (const { own, shared, adjusted, price } of up.byPart) expect(sumMoney([own, shared, adjusted])).toBe(price);
}

describe("markup and margin", () => {
  // Arithmetic: margin = markup / (1 + markup).
  it.each([
    ["20", "16.67"],
    ["25", "20"],
    ["50", "33.33"],
  ])("%s %% on cost is %s %% of the price", (markup, margin) => {
    expect(marginFromMarkup(markup)).toBe(margin);
  });

  it("are both shown of the same profit", () => {
    const all = { material: "25", labour: "25", plant: "25", subcontract: "25", sundry: "25", allowance: "25" };
    const pricing: Pricing = { ...job.pricing, overhead: { percent: "0", on: "cost" }, markupPercent: all };
    const { buildUp } = reckonJob({ ...job, pricing }, walls, starterPriceList, library);
    expect([buildUp.markupOnCostPercent, buildUp.marginOnPricePercent]).toEqual(["25.0", "20.0"]);
  });
});

describe("the build-up", () => {
  it("adds up to the cent, kind by kind and part by part", () => {
    expectToAddUp(reckonJob(job, walls, starterPriceList, library).buildUp);
  });

  it("adds up for any percentages", () => {
    const percent = fc.integer({ min: 0, max: 99_999 }).map((thousandths) => new Big(thousandths).div(1000).toFixed(3));
    const on = fc.constantFrom("cost" as const, "before" as const);
    const cents = fc.integer({ min: 0, max: 2_000_000 });
    fc.assert(
      fc.property(percent, percent, percent, percent, on, cents, (material, labour, each, tax, base, wanted) => {
        const step = { percent: each, on: base };
        const pricing: Pricing = {
          ...job.pricing,
          markupPercent: { ...job.pricing.markupPercent, material, labour },
          overhead: step,
          contingency: step,
          profit: step,
          discountPercent: "7.5",
          promptPayment: { percent: "2.5", how: wanted % 2 === 0 ? "taken-off" : "allowed-for" },
          adjust:
            wanted % 3 === 0 ? { of: "total", amount: new Big(wanted).div(100).toFixed(2), over: ["labour"] } : null,
          tax: { ...job.pricing.tax, percent: tax },
        };
        expectToAddUp(reckonJob({ ...job, pricing }, walls, starterPriceList, library).buildUp);
      }),
      { numRuns: 40 },
    );
  });

  it("prices labour by task: 46 pieces at half an hour are 23 h (arithmetic)", () => {
    const { counts, order } = reckonJob(job, walls, starterPriceList, library);
    const [first] = counts;
    const [line] = first?.lines ?? [];
    if (!first || !line) throw new Error("nothing counted");
    const lines = [{ ...line, itemCode: "", labourTask: "sets", quantity: 46 }];
    const tasks = [{ id: "sets", name: "Sets", unit: "piece", hoursPerUnit: "0.5" }];
    const up = buildUpJob({
      counts: [{ ...first, lines }],
      order: { ...order, lines: [], supplied: [], problems: [] },
      priceList: [],
      pricing: { ...job.pricing, ratePerHour: "46", tasks },
      system: "imperial",
    });
    expect(up.labourHours).toBe("23");
    expect(up.cost).toBe("1058.00");
  });

  it("counts typed-in costs by their kind and shares them as a part of their own", () => {
    const extras = [newExtra("x", "plant", "Crane", "400")];
    const { buildUp } = reckonJob({ ...job, pricing: { ...job.pricing, extras } }, walls, starterPriceList, library);
    expect(buildUp.kinds.find((kind) => kind.kind === "plant")).toMatchObject({ cost: "400.00", markup: "40.00" });
    expect(buildUp.byPart.at(-1)?.name).toBe("Plant, subcontract and other items");
    expectToAddUp(buildUp);
  });

  it("says what has no price and no hours, and prices the rest", () => {
    const noPrices = starterPriceList.map((item) =>
      item.code === "nail/8d" && item.buying.by === "pack"
        ? { ...item, buying: { ...item.buying, price: null } }
        : item,
    );
    const pricing = { ...job.pricing, tasks: job.pricing.tasks.filter((task) => task.id !== "studs") };
    const { buildUp } = reckonJob({ ...job, pricing }, walls, noPrices, library);
    expect(buildUp.problems.map((each) => each.code)).toEqual(["no-price", "no-labour-task"]);
    expectToAddUp(buildUp);
  });

  it("says which items are retired, and prices them as before", () => {
    const retired = starterPriceList.map((item) => (item.code === "nail/8d" ? { ...item, retired: true } : item));
    const { buildUp } = reckonJob(job, walls, retired, library);
    expect(buildUp.problems.map((each) => [each.code, each.path])).toEqual([["retired-item", "nail/8d"]]);
    expect(buildUp.total).toBe(reckonJob(job, walls, starterPriceList, library).buildUp.total);
  });

  it("of an empty job is zero throughout", () => {
    const { buildUp } = reckonJob(job, [], starterPriceList, library);
    expect(buildUp).toMatchObject({ cost: "0.00", total: "0.00", marginOnPricePercent: "0.0" });
  });
});
