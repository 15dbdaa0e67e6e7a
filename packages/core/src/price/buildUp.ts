import Big from "big.js";
import { isMeasuredUnit } from "../assemblies/records";
import { type CountLine, type PartCount, quantityText } from "../count";
import type { Order } from "../order";
import { type Problem, problem } from "../problems/problem";
import { allocateMoney, type MeasuringSystem, type Money, percentOf, priceTimes, sumMoney, toMoney } from "../units";
import { partWeights } from "./partWeights";
import { COST_KINDS, type CostKind, type Pricing } from "./pricing";
import { hoursShown, taskUnit } from "./taskUnits";

export type CostLine = {
  readonly id: string;
  readonly kind: CostKind;
  readonly description: string;
  readonly quantity: string;
  readonly unitName: string;
  /** Null where the price list gives none; the cost is then 0.00 and a problem says so. */
  readonly unitCost: string | null;
  readonly cost: Money;
};

export type KindTotal = {
  readonly kind: CostKind;
  readonly cost: Money;
  readonly markupPercent: string;
  readonly markup: Money;
};

export type PartPrice = { readonly partId: string; readonly name: string; readonly price: Money };

/** From cost to price, each step a figure that adds up to the next, to the cent. */
export type BuildUp = {
  readonly lines: readonly CostLine[];
  readonly kinds: readonly KindTotal[];
  readonly cost: Money;
  readonly overheadPercent: string;
  readonly overhead: Money;
  /** Cost and overhead: what markup and margin are reckoned against. */
  readonly fullCost: Money;
  readonly markup: Money;
  readonly priceBeforeTax: Money;
  readonly taxName: string;
  readonly taxPercent: string;
  readonly tax: Money;
  readonly total: Money;
  /** Profit as a share of full cost, and the same profit as a share of the price before tax. One decimal. */
  readonly markupOnCostPercent: string;
  readonly marginOnPricePercent: string;
  readonly labourHours: string;
  /** The price before tax shared over the parts; adds up to it. */
  readonly byPart: readonly PartPrice[];
  readonly problems: readonly Problem[];
};

/** margin = markup ÷ (1 + markup): 20 % on cost is 16.67 % of the price. Arithmetic. */
export const marginFromMarkup = (markupPercent: string): string => {
  const markup = new Big(markupPercent).div(100);
  return markup.div(markup.plus(1)).times(100).round(2, Big.roundHalfUp).toString();
};

export function buildUpJob(
  counts: readonly PartCount[],
  order: Order,
  pricing: Pricing,
  productivity: Productivity = AS_USUAL,
  /** What measured quantities are said in; nothing is reckoned by it. */
  system: MeasuringSystem = "metric",
): BuildUp {
  const labour = labourLines(counts, pricing, productivity, system);
  const lines = [...materialLines(order), ...allowanceLines(order), ...labour, ...extraLines(pricing)];
  const kinds = COST_KINDS.map((kind) => kindTotal(kind, lines, pricing));
  const cost = sumMoney(kinds.map((each) => each.cost));
  const overhead = percentOf(cost, pricing.overheadPercent);
  const fullCost = sumMoney([cost, overhead]);
  const markup = sumMoney(kinds.map((each) => each.markup));
  const priceBeforeTax = sumMoney([fullCost, markup]);
  const tax = percentOf(priceBeforeTax, pricing.tax.percent);
  return {
    lines,
    kinds,
    cost,
    overheadPercent: pricing.overheadPercent,
    overhead,
    fullCost,
    markup,
    priceBeforeTax,
    taxName: pricing.tax.name,
    taxPercent: pricing.tax.percent,
    tax,
    total: sumMoney([priceBeforeTax, tax]),
    markupOnCostPercent: share(markup, fullCost),
    marginOnPricePercent: share(markup, priceBeforeTax),
    labourHours: hoursOf(lines),
    byPart: pricesByPart(counts, order, pricing, priceBeforeTax, productivity),
    problems: [...order.problems, ...missingPrices(order), ...missingTasks(counts, pricing)],
  };
}

function materialLines(order: Order): CostLine[] {
  return order.lines.map((line) => ({
    id: `material/${line.id}`,
    kind: "material",
    description: line.description,
    quantity: String(line.quantity),
    unitName: line.unitName,
    unitCost: line.unitPrice,
    cost: line.unitPrice === null ? "0.00" : priceTimes(line.unitPrice, line.quantity),
  }));
}

/** What is allowed for is paid like material; what the customer supplies costs nothing here, and is in the order list. */
const allowanceLines = ({ supplied }: Order): CostLine[] =>
  supplied.flatMap(({ id, description, quantity, unitName, rate, cost }): CostLine[] =>
    cost === null
      ? []
      : [
          {
            id: `allowance/${id}`,
            kind: "material",
            description: `Allowance: ${description}`,
            quantity,
            unitName,
            unitCost: rate,
            cost,
          },
        ],
  );

/** Hours of a task in percent of the company's usual: how a house standard makes work slower or faster. */
export type Productivity = (task: string) => number;
const AS_USUAL: Productivity = () => 100;

function labourLines(
  counts: readonly PartCount[],
  pricing: Pricing,
  productivity: Productivity,
  system: MeasuringSystem,
): CostLine[] {
  const lines = counts.flatMap((count) => count.lines);
  return [...taskLines(lines, pricing, productivity, system), ...hourLines(lines, pricing, productivity)];
}

/** Hours that rules give themselves: half an hour to a door. One line for each thing done, at the house's pace. */
function hourLines(lines: readonly CountLine[], pricing: Pricing, productivity: Productivity): CostLine[] {
  const byName = new Map<string, { name: string; percent: number; usual: Big }>();
  for (const line of lines) {
    if (line.unit !== "hour" || line.quantity === 0) continue;
    const percent = productivity(line.labourTask ?? "");
    const key = `${line.description}${percent === 100 ? "" : ` at ${percent} %`}`;
    const before = byName.get(key)?.usual ?? new Big(0);
    byName.set(key, { name: line.description, percent, usual: before.plus(line.quantity.toFixed(4)) });
  }
  return [...byName].map(([key, { name, percent, usual }]) => {
    const hours = usual.times(percent).div(100).round(4);
    return {
      id: `labour/hours/${key}`,
      kind: "labour",
      description: `${name}: ${usual.toString()} h${percent === 100 ? "" : ` × ${percent} %`}`,
      quantity: hours.toString(),
      unitName: "h",
      unitCost: pricing.ratePerHour,
      cost: priceTimes(pricing.ratePerHour, hours.toString()),
    };
  });
}

/** `24 × 0.14 h`; `120 sq ft × 0.74 h for 100 sq ft`. */
function taskWords(
  { unit, hoursPerUnit }: Pricing["tasks"][number],
  quantity: number,
  system: MeasuringSystem,
): string {
  if (!isMeasuredUnit(unit)) return `${quantity} × ${hoursPerUnit} h`;
  const said = `${hoursShown(hoursPerUnit, unit, system)} h for ${taskUnit(unit, system).words}`;
  return `${quantityText(quantity, unit, system)} × ${said}`;
}

function taskLines(
  all: readonly CountLine[],
  pricing: Pricing,
  productivity: Productivity,
  system: MeasuringSystem,
): CostLine[] {
  return pricing.tasks.flatMap((task): CostLine[] => {
    const lines = all.filter((line) => line.labourTask === task.id && line.unit !== "hour");
    const quantity = Number(lines.reduce((sum, line) => sum + line.quantity, 0).toFixed(3));
    if (quantity === 0) return [];
    const percent = productivity(task.id);
    const hours = new Big(task.hoursPerUnit).times(quantity).times(percent).div(100).round(4);
    return [
      {
        id: `labour/${task.id}`,
        kind: "labour",
        description: `${task.name}: ${taskWords(task, quantity, system)}${percent === 100 ? "" : ` × ${percent} %`}`,
        quantity: hours.toString(),
        unitName: "h",
        unitCost: pricing.ratePerHour,
        cost: priceTimes(pricing.ratePerHour, hours.toString()),
      },
    ];
  });
}

const extraLines = (pricing: Pricing): CostLine[] =>
  pricing.extras.map((extra) => ({
    id: `extra/${extra.id}`,
    kind: extra.kind,
    description: extra.description,
    quantity: "1",
    unitName: "sum",
    unitCost: extra.cost,
    cost: toMoney(new Big(extra.cost)),
  }));

function kindTotal(kind: CostKind, lines: readonly CostLine[], pricing: Pricing): KindTotal {
  const cost = sumMoney(lines.filter((line) => line.kind === kind).map((line) => line.cost));
  const markupPercent = pricing.markupPercent[kind];
  return { kind, cost, markupPercent, markup: percentOf(cost, markupPercent) };
}

function share(part: Money, whole: Money): string {
  if (new Big(whole).eq(0)) return "0.0";
  return new Big(part).div(whole).times(100).toFixed(1, Big.roundHalfUp);
}

const hoursOf = (lines: readonly CostLine[]): string =>
  lines
    .filter((line) => line.kind === "labour" && line.unitName === "h")
    .reduce((sum, line) => sum.plus(line.quantity), new Big(0))
    .round(2)
    .toString();

/** Extras belong to no part; they are shown as a line of their own when there are any. */
function pricesByPart(
  counts: readonly PartCount[],
  order: Order,
  pricing: Pricing,
  price: Money,
  productivity: Productivity,
): PartPrice[] {
  const extras = pricing.extras.reduce((sum, extra) => sum + Number(extra.cost), 0);
  const rows = [
    ...partWeights(counts, order, pricing, productivity),
    ...(extras > 0 ? [{ partId: "", name: "Plant, subcontract and other items", weight: extras }] : []),
  ];
  const shares = allocateMoney(
    price,
    rows.map((row) => row.weight),
  );
  return rows.map((row, index) => ({ partId: row.partId, name: row.name, price: shares[index] ?? "0.00" }));
}

/** Whether another problem says already that a line has no price. Others of the same item do not. */
const saysNoPrice = ({ code, path }: Problem, line: Order["lines"][number]): boolean =>
  path === line.itemCode && (code === "no-price-item" || code === "unit-mismatch");

const missingPrices = (order: Order): Problem[] =>
  order.lines
    .filter((line) => line.unitPrice === null && !order.problems.some((each) => saysNoPrice(each, line)))
    .map((line) => problem("no-price", line.itemCode, `${line.description} has no price in the price list.`));

function missingTasks(counts: readonly PartCount[], pricing: Pricing): Problem[] {
  const known = new Set(pricing.tasks.map((task) => task.id));
  const used = new Set(
    counts.flatMap(({ lines }) => lines.flatMap((line) => (line.unit === "hour" ? [] : (line.labourTask ?? [])))),
  );
  return [...used]
    .filter((task) => !known.has(task))
    .map((task) => problem("no-labour-task", `tasks.${task}`, `No hours are set for the labour task “${task}”.`));
}
