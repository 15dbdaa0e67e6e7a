import Big from "big.js";
import { isMeasuredUnit } from "../assemblies/records";
import { quantityText } from "../count/records";
import { type CostKind, hoursShown, type LedgerLine, taskUnit, type Work } from "../ledger/records";
import type { Order } from "../order";
import { type MeasuringSystem, type Money, priceTimes, sumMoney, toMoney } from "../units";

/** A line of the price as it is read: what is bought, who works on what, what was typed. */
export type CostLine = {
  readonly id: string;
  readonly kind: CostKind;
  readonly description: string;
  readonly quantity: string;
  readonly unitName: string;
  /** Null where the price list gives none, and where rates differ; a problem says so where there is none. */
  readonly unitCost: string | null;
  readonly cost: Money;
};

/** What is bought, as it is bought; adds up to what lines of the ledger use and the rest of it. */
function boughtLines(ledger: readonly LedgerLine[], order: Order): CostLine[] {
  const kinds = new Map(ledger.filter(({ itemCode }) => itemCode !== "").map(({ itemCode, kind }) => [itemCode, kind]));
  return order.lines.map((line) => ({
    id: `material/${line.id}`,
    kind: kinds.get(line.itemCode) ?? "material",
    description: line.description,
    quantity: String(line.quantity),
    unitName: line.unitName,
    unitCost: line.unitPrice,
    cost: line.unitPrice === null ? "0.00" : priceTimes(line.unitPrice, line.quantity),
  }));
}

const allowedLines = ({ supplied }: Order): CostLine[] =>
  supplied.flatMap(({ id, description, quantity, unitName, rate, cost }): CostLine[] =>
    cost === null
      ? []
      : [
          {
            id: `allowance/${id}`,
            kind: "allowance",
            description: `Allowance: ${description}`,
            quantity,
            unitName,
            unitCost: rate,
            cost,
          },
        ],
  );

/** `24 × 0.14 h`; `120 sq ft × 0.74 h for 100 sq ft`; `12 h × 125 %`. */
function workWords({ counted, unit, hoursPerUnit, percent }: Work, system: MeasuringSystem): string {
  const pace = percent === 100 ? "" : ` × ${percent} %`;
  if (unit === "hour") return `${counted} h${pace}`;
  if (!isMeasuredUnit(unit)) return `${counted} × ${hoursPerUnit} h${pace}`;
  const each = `${hoursShown(hoursPerUnit, unit, system)} h for ${taskUnit(unit, system).words}`;
  return `${quantityText(counted, unit, system)} × ${each}${pace}`;
}

/** Work of one kind, at one rate and pace, as one line. */
function workLines(ledger: readonly LedgerLine[], system: MeasuringSystem): CostLine[] {
  const groups = new Map<string, { readonly first: LedgerLine; readonly work: Work; readonly lines: LedgerLine[] }>();
  for (const line of ledger) {
    const { work } = line;
    if (!work) continue;
    const key = [
      line.before ? line.id : "",
      line.task,
      line.what,
      line.rate,
      work.unit,
      work.hoursPerUnit,
      work.percent,
    ].join("/");
    const group = groups.get(key);
    if (group) group.lines.push(line);
    else groups.set(key, { first: line, work, lines: [line] });
  }
  return [...groups].map(([key, { first, work, lines }]) => {
    const counted = lines.reduce((sum, line) => sum + (line.work?.counted ?? 0), 0);
    const words = workWords({ ...work, counted: Number(counted.toFixed(3)) }, system);
    const who = first.crew === "" ? "" : `, ${first.crew}`;
    return {
      id: `labour/${key}`,
      kind: "labour",
      description: first.before
        ? `${first.what}, ${first.partName}: set by hand${who}`
        : `${first.what}: ${words}${who}`,
      quantity: lines.reduce((sum, line) => sum.plus(line.hours), new Big(0)).toString(),
      unitName: "h",
      unitCost: first.rate,
      cost: sumMoney(lines.map((line) => line.cost)),
    };
  });
}

/** Hours that somebody set for a task in all. */
const taskHoursLines = (ledger: readonly LedgerLine[]): CostLine[] =>
  ledger
    .filter(({ source }) => source === "task-hours")
    .map(({ id, kind, what, crew, quantity, unitName, rate, cost }) => ({
      id,
      kind,
      description: crew === "" ? what : `${what}, ${crew}`,
      quantity,
      unitName,
      unitCost: rate,
      cost,
    }));

const typedLines = (ledger: readonly LedgerLine[]): CostLine[] =>
  ledger
    .filter(({ source }) => source === "typed")
    .map(({ id, kind, what, quantity, unitName, rate, cost }) => ({
      id,
      kind,
      description: what,
      quantity,
      unitName,
      unitCost: rate,
      cost,
    }));

/** What rates set by hand change of what is bought: the order is what it is. */
function setLines(ledger: readonly LedgerLine[]): CostLine[] {
  const set = ledger.filter(({ before, kind }) => before !== undefined && kind !== "labour");
  return set.flatMap(({ id, kind, what, partName, quantity, unitName, cost, before }): CostLine[] => {
    if (!before) return [];
    const difference = toMoney(new Big(cost).minus(before.cost));
    const description = `Rate set by hand: ${what}, ${partName}`;
    return [{ id: `set/${id}`, kind, description, quantity, unitName, unitCost: null, cost: difference }];
  });
}

/** The ledger as a price is read: every kind's lines add up to the kind. */
export const costLines = (ledger: readonly LedgerLine[], order: Order, system: MeasuringSystem): CostLine[] => [
  ...boughtLines(ledger, order),
  ...allowedLines(order),
  ...setLines(ledger),
  ...workLines(ledger, system),
  ...taskHoursLines(ledger),
  ...typedLines(ledger),
];
