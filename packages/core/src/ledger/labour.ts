import Big from "big.js";
import type { CountLine } from "../count/records";
import { type Money, toMoney } from "../units";
import { type Costing, crewOf, hourOfTrade, type Task } from "./costing";
import type { BareLine, Work } from "./ledgerLine";
import { asCounted, shareOf } from "./material";

/** Hours of a task in percent of the company's usual: how a house standard makes work slower or faster. */
export type Productivity = (task: string) => number;
export const AS_USUAL: Productivity = () => 100;

/** The pace of a task on a part: the standard's, made slower or faster by each condition that is there. */
function paceOf(line: CountLine, { conditions }: Costing, productivity: Productivity): number {
  const { labourTask = "", partId } = line;
  const usual = productivity(labourTask);
  const here = conditions.filter(
    (each) => (each.task === "" || each.task === labourTask) && (each.partId === null || each.partId === partId),
  );
  if (here.length === 0) return usual;
  const pace = here.reduce((percent, each) => percent.times(each.percent).div(100), new Big(usual));
  return Number(pace.round(4, Big.roundHalfUp));
}

/** What a line takes: the hours that its rule gives, or its task's for each of what is counted. Nothing where the task has none. */
function workOf(line: CountLine, tasks: ReadonlyMap<string, Task>, percent: number): Work | undefined {
  const { labourTask = "", unit } = line;
  const hoursPerUnit = unit === "hour" ? "1" : tasks.get(labourTask)?.hoursPerUnit;
  if (hoursPerUnit === undefined) return undefined;
  // What came from a drawing has figures beyond any that matter; a count has none.
  return { counted: Number(line.quantity.toFixed(4)), unit, hoursPerUnit, percent };
}

export const hoursOfWork = ({ counted, hoursPerUnit, percent }: Work): Big =>
  new Big(hoursPerUnit).times(counted).times(percent).div(100).round(4, Big.roundHalfUp);

/** The cost of so many hours, rounded at the line. */
const costOf = (hours: Big, rate: string): Money => toMoney(hours.times(rate));

type Known = {
  readonly work: Work;
  readonly rate: string;
  readonly crew: string;
  readonly what: string;
  readonly ledger: BareLine;
};
const known = new WeakMap<CountLine, Known>();

const sameWork = (a: Work, b: Work): boolean =>
  a.counted === b.counted && a.unit === b.unit && a.hoursPerUnit === b.hoursPerUnit && a.percent === b.percent;

/** The same line, worked on in the same way, is not worked out twice. */
function labourLine(line: CountLine, work: Work, rate: string, crew: string, what: string): BareLine {
  const before = known.get(line);
  if (before && before.rate === rate && before.crew === crew && before.what === what && sameWork(before.work, work))
    return before.ledger;
  const exact = hoursOfWork(work);
  const hours = exact.toString();
  const cost = costOf(exact, rate);
  const ledger: BareLine = {
    ...asCounted(line),
    id: `labour/${line.id}`,
    kind: "labour",
    itemCode: "",
    task: line.labourTask ?? "",
    crew,
    what,
    quantity: hours,
    unitName: "h",
    rate,
    cost,
    hours,
    work,
    shares: shareOf(line, cost),
  };
  known.set(line, { work, rate, crew, what, ledger });
  return ledger;
}

/** A line for each count line that somebody has to work on. */
export function labourLines(lines: readonly CountLine[], costing: Costing, productivity: Productivity): BareLine[] {
  const tasks = new Map(costing.tasks.map((task) => [task.id, task]));
  return lines.flatMap((line): BareLine[] => {
    if (line.quantity === 0 || (line.unit !== "hour" && !line.labourTask)) return [];
    const work = workOf(line, tasks, paceOf(line, costing, productivity));
    if (!work) return [];
    const task = line.unit === "hour" ? undefined : tasks.get(line.labourTask ?? "");
    const crew = crewOf(costing, line.trade);
    const rate = hourOfTrade(costing, line.trade);
    return [labourLine(line, work, rate, crew?.name ?? "", task?.name ?? line.description)];
  });
}
