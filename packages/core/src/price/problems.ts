import Big from "big.js";
import type { PartCount } from "../count";
import type { LedgerLine } from "../ledger";
import type { Order, PriceItem } from "../order";
import { type Problem, problem } from "../problems/problem";
import { type Money, plural, toMoney } from "../units";
import type { Pricing } from "./pricing";

type Reckoned = {
  readonly counts: readonly PartCount[];
  readonly order: Order;
  readonly priceList: readonly PriceItem[];
  readonly pricing: Pricing;
  readonly ledger: readonly LedgerLine[];
};

/** What a person should know of a price. Nothing here stops it. */
export const problemsOf = (reckoned: Reckoned, profitMade: Money, price: Money): Problem[] => [
  ...reckoned.order.problems,
  ...missingPrices(reckoned.order),
  ...missingTasks(reckoned.counts, reckoned.pricing),
  ...belowCost(profitMade, price),
  ...steepTax(reckoned.pricing),
  ...setOfGone(reckoned.ledger, reckoned.pricing),
  ...forNothing(reckoned),
  ...idleSettings(reckoned),
  ...retiredInUse(reckoned.order, reckoned.priceList),
];

/** Whether another problem says already that a line has no price. Others of the same item do not. */
const saysNoPrice = ({ code, path }: Problem, line: Order["lines"][number]): boolean =>
  path === line.itemCode && (code === "no-price-item" || code === "unit-mismatch");

const missingPrices = (order: Order): Problem[] =>
  order.lines
    .filter((line) => line.unitPrice === null && !order.problems.some((each) => saysNoPrice(each, line)))
    .map((line) => problem("no-price", line.itemCode, `${line.description} has no price in the price list.`));

function missingTasks(counts: readonly PartCount[], pricing: Pricing): Problem[] {
  const known = new Set(pricing.tasks.map((task) => task.id));
  const used = new Set<string>();
  for (const { lines } of counts)
    for (const { unit, labourTask } of lines) if (unit !== "hour" && labourTask !== undefined) used.add(labourTask);
  return [...used]
    .filter((task) => !known.has(task))
    .map((task) => problem("no-labour-task", `tasks.${task}`, `No hours are set for the labour task “${task}”.`));
}

/** Allowed, and said: discounts and typed prices can come to less than the job costs. */
const belowCost = (profitMade: Money, price: Money): Problem[] =>
  new Big(profitMade).lt(0) && price !== "0.00"
    ? [problem("below-cost", "adjust", `The price is ${toMoney(new Big(profitMade).abs())} less than the job costs.`)]
    : [];

/** No tax is more than the price: it is reckoned as entered, and said. */
const steepTax = ({ tax }: Pricing): Problem[] =>
  [tax.percent, tax.reducedPercent]
    .filter((percent) => Number(percent) > 100)
    .map((percent) => problem("steep-tax", "tax", `${tax.name} is ${percent} %. Check it.`));

/** Nothing is what it costs, as entered: it may be meant, and is said. */
function forNothing({ ledger, pricing }: Reckoned): Problem[] {
  const typed = pricing.extras
    .filter(({ cost, minutes, quantity }) => Number(quantity) === 0 || (Number(cost) === 0 && Number(minutes) === 0))
    .map(({ id, description }) =>
      problem("costs-nothing", `extras.${id}`, `“${description}” was typed in and costs nothing yet.`),
    );
  const timeless = pricing.conditions
    .filter(({ percent }) => Number(percent) === 0)
    .map(({ name }) => problem("costs-nothing", "conditions", `“${name}” makes work take no time at all.`));
  const unpaid = ledger.filter(({ kind, rate, hours }) => kind === "labour" && Number(hours) > 0 && Number(rate) === 0);
  const crews = [...new Set(unpaid.map(({ crew }) => crew))];
  return [
    ...typed,
    ...timeless,
    ...crews.map((crew) =>
      problem("unpaid-work", "ratePerHour", `Work is reckoned at a rate of nothing${crew === "" ? "" : `: ${crew}`}.`),
    ),
  ];
}

/** Set for what is not in the job: kept, of no effect, and said. */
function idleSettings({ counts, pricing, ledger }: Reckoned): Problem[] {
  const tasks = new Map(pricing.tasks.map(({ id, name }) => [id, name]));
  const { taskHours, markupByTrade } = pricing;
  const worked = new Set(Object.keys(taskHours).length === 0 ? [] : ledger.map(({ task }) => task));
  const trades = new Set(markupByTrade.length === 0 ? [] : ledger.map(({ trade }) => trade));
  const parts = new Set(counts.map(({ partId }) => partId));
  return [
    ...Object.keys(taskHours)
      .filter((task) => !worked.has(task))
      .map((task) =>
        problem(
          "idle-task-hours",
          `taskHours.${task}`,
          `Hours are set for “${tasks.get(task) ?? task}”, which nothing in the job takes.`,
        ),
      ),
    ...markupByTrade
      .filter(({ trade }) => !trades.has(trade))
      .map(({ trade }) =>
        problem("idle-markup", "markupByTrade", `“${trade}” has a markup, and nothing in the job is of that trade.`),
      ),
    ...pricing.conditions
      .filter(({ partId }) => partId !== null && !parts.has(partId))
      .map(({ name }) =>
        problem("idle-condition", "conditions", `“${name}” is for a part that is in the job no longer.`),
      ),
  ];
}

/** Kept, of no effect, and said. */
function setOfGone(ledger: readonly LedgerLine[], { linesSet }: Pricing): Problem[] {
  const set = Object.keys(linesSet);
  if (set.length === 0) return [];
  const ids = new Set(ledger.map(({ id }) => id));
  const gone = set.filter((id) => !ids.has(id)).length;
  if (gone === 0) return [];
  const which = plural(
    gone,
    "What was set by hand for one line is for one",
    `What was set by hand for ${gone} lines is for lines`,
  );
  return [problem("set-of-gone-lines", "linesSet", `${which} counted no longer.`)];
}

/** It goes on being counted and priced; somebody may not be able to buy it. */
function retiredInUse({ lines }: Order, priceList: readonly PriceItem[]): Problem[] {
  const used = new Set(lines.map(({ itemCode }) => itemCode));
  return priceList
    .filter(({ retired, code }) => retired && used.has(code))
    .map(({ code, name }) => problem("retired-item", code, `${name} is offered no longer, and this job needs it.`));
}
