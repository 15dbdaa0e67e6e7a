import Big from "big.js";
import { ownValue } from "../records/ownValue";
import { allocateMoney, type Money, sumMoney, toMoney } from "../units";
import { common } from "./common";
import type { Costing } from "./costing";
import { type BareLine, type LineShare, OF_NO_PART } from "./ledgerLine";

const RATE_PLACES = 2;

/** What the hours cost where lines are done at several rates: so much of each as it would have taken. Where it would have taken none, all at the first. */
function costOf(hours: Big, lines: readonly BareLine[]): Money {
  const exact = lines.reduce((sum, line) => sum.plus(line.hours), new Big(0));
  const worth = lines.reduce((sum, { rate, hours: own }) => sum.plus(new Big(rate ?? 0).times(own)), new Big(0));
  return toMoney(exact.eq(0) ? hours.times(lines[0]?.rate ?? 0) : hours.times(worth).div(exact));
}

/** What the task takes of each part, by its cost before. Adds up to the cost. */
function sharesOf(lines: readonly BareLine[], cost: Money): LineShare[] {
  const shares = lines.flatMap((line) => line.shares);
  const byPart = new Map<string, LineShare[]>();
  for (const share of shares) byPart.set(share.partId, [...(byPart.get(share.partId) ?? []), share]);
  const parts = [...byPart.values()];
  const costs = allocateMoney(
    cost,
    parts.map((own) => Number(sumMoney(own.map((each) => each.cost)))),
  );
  return parts.flatMap(([first], index) => (first ? [{ ...first, cost: costs[index] ?? "0.00" }] : []));
}

function inAll(task: string, hours: string, lines: readonly BareLine[]): BareLine {
  const cost = costOf(new Big(hours), lines);
  const rate =
    common(lines, "rate") ??
    (Number(hours) === 0 ? null : new Big(cost).div(hours).toFixed(RATE_PLACES, Big.roundHalfUp));
  return {
    ...OF_NO_PART,
    id: `task-hours/${task}`,
    kind: "labour",
    source: "task-hours",
    task,
    crew: common(lines, "crew") ?? "",
    trade: common(lines, "trade") ?? "",
    phase: common(lines, "phase") ?? "",
    what: `${common(lines, "what") ?? task}: hours set for the job`,
    quantity: hours,
    unitName: "h",
    rate,
    cost,
    hours,
    shares: sharesOf(lines, cost),
    countLineIds: lines.flatMap(({ countLineIds }) => countLineIds),
  };
}

/** Tasks whose hours somebody set for the job are one line each, shared by the parts that need them; the others stay as they are. */
export function withTaskHours(labour: readonly BareLine[], { taskHours }: Pick<Costing, "taskHours">): BareLine[] {
  if (Object.keys(taskHours).length === 0) return [...labour];
  const byTask = new Map<string, BareLine[]>();
  const others: BareLine[] = [];
  for (const line of labour) {
    if (ownValue(taskHours, line.task) === undefined) others.push(line);
    else byTask.set(line.task, [...(byTask.get(line.task) ?? []), line]);
  }
  const set = [...byTask].map(([task, lines]) => inAll(task, ownValue(taskHours, task) ?? "0", lines));
  return [...others, ...set];
}
