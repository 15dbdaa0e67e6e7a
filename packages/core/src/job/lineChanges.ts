import { z } from "zod";
import { CountedLine } from "../count/countedLine";
import { type CountLine, type LineSupply, type PartCount, withLines } from "../count/records";
import type { Condition, Extra } from "../ledger/records";
import { amountSchema } from "../order/priceItem";
import { type Problem, problem } from "../problems/problem";
import { ownValue } from "../records/ownValue";
import { plural } from "../units";

const itemCodeSchema = z.string().min(1).max(80);

/** Who supplies a thing: the builder, the customer, or the customer later within a rate that is allowed. */
const supplySchema = z.discriminatedUnion("by", [
  z.object({ by: z.literal("ours") }),
  z.object({ by: z.literal("customer") }),
  z.object({ by: z.literal("allowance"), rate: amountSchema }),
]);
type SupplyChoice = z.infer<typeof supplySchema>;

/** What somebody chose for one counted line, in the place of what its rule says. */
export const lineChangeSchema = z.object({
  itemCode: itemCodeSchema.optional(),
  supply: supplySchema.optional(),
  note: z.string().max(500).optional(),
});
export type LineChange = z.infer<typeof lineChangeSchema>;
export const MOST_LINE_CHANGES = 2000;

/** Another item in the place of one, on a part or over the whole job. */
export const swapSchema = z.object({ from: itemCodeSchema, to: itemCodeSchema, partId: z.string().max(80).nullable() });
export type Swap = z.infer<typeof swapSchema>;
export const MOST_SWAPS = 100;

/** Who supplies an item, or all that an assembly needs, over the whole job. */
export const supplyOfManySchema = z.object({
  of: z.enum(["item", "assembly"]),
  id: z.string().min(1).max(80),
  supply: supplySchema,
});
export type SupplyOfMany = z.infer<typeof supplyOfManySchema>;
export const MOST_SUPPLIES = 200;

/** By the ids of count lines. */
export const lineChangesSchema = z
  .record(z.string().min(1).max(300), lineChangeSchema)
  .refine((lines) => Object.keys(lines).length <= MOST_LINE_CHANGES, `At most ${MOST_LINE_CHANGES} lines are changed.`);

export type LineChoices = {
  readonly lineChanges: Readonly<Record<string, LineChange>>;
  readonly swaps: readonly Swap[];
  readonly supplies: readonly SupplyOfMany[];
};

/** The line's own item goes before its part's, and that before the job's. An item that was put in is not swapped again. */
function itemOf({ itemCode, partId }: CountLine, own: LineChange | undefined, swaps: readonly Swap[]): string {
  if (own?.itemCode !== undefined) return own.itemCode;
  const of = swaps.filter(({ from }) => from === itemCode);
  const found = of.find((swap) => swap.partId === partId) ?? of.find((swap) => swap.partId === null);
  return found?.to ?? itemCode;
}

const supplyFor = (supplies: readonly SupplyOfMany[], of: SupplyOfMany["of"], id: string): SupplyChoice | undefined =>
  supplies.find((each) => each.of === of && each.id === id)?.supply;

/** What is said of the line goes before what is said of its item, and that before its assembly; else it is as its rule says. */
function supplyOf(
  line: CountLine,
  itemCode: string,
  own: LineChange | undefined,
  supplies: readonly SupplyOfMany[],
): LineSupply | undefined {
  const supply =
    own?.supply ?? supplyFor(supplies, "item", itemCode) ?? supplyFor(supplies, "assembly", line.assembly.id);
  if (!supply) return line.supply;
  return supply.by === "ours" ? undefined : supply;
}

const sameSupply = (a: LineSupply | undefined, b: LineSupply | undefined): boolean =>
  a?.by === b?.by && (a?.by !== "allowance" || b?.by !== "allowance" || a.rate === b.rate);

const changed = (line: CountLine, changes: Pick<CountLine, "itemCode" | "supply">): CountLine =>
  line instanceof CountedLine
    ? line.with(changes)
    : { ...line, pieceIds: line.pieceIds, working: line.working, ...changes };

type Known = { readonly itemCode: string; readonly supply: LineSupply | undefined; readonly line: CountLine };
const known = new WeakMap<CountLine, Known>();

/** The same object while neither the line nor what is chosen for it changes: what is worked out from it is kept by it. */
function withChoices(line: CountLine, { lineChanges, swaps, supplies }: LineChoices): CountLine {
  // Hours are nobody's to swap or supply.
  if (line.itemCode === "" && line.supply === undefined) return line;
  const own = ownValue(lineChanges, line.id);
  const itemCode = itemOf(line, own, swaps);
  const supply = supplyOf(line, itemCode, own, supplies);
  if (itemCode === line.itemCode && sameSupply(supply, line.supply)) return line;
  const before = known.get(line);
  if (before?.itemCode === itemCode && sameSupply(before.supply, supply)) return before.line;
  const made = changed(line, { itemCode, supply });
  known.set(line, { itemCode, supply, line: made });
  return made;
}

/** Counts with what was chosen line by line in force. The same where nothing was. */
export function withLineChoices(counts: readonly PartCount[], choices: LineChoices): readonly PartCount[] {
  const none = choices.swaps.length === 0 && choices.supplies.length === 0;
  if (none && Object.keys(choices.lineChanges).length === 0) return counts;
  return counts.map((count) => {
    const lines = count.lines.map((line) => withChoices(line, choices));
    return lines.every((line, index) => line === count.lines[index]) ? count : withLines(count, lines);
  });
}

/** What was chosen for lines and items that are there no longer: kept, of no effect, and said. */
export function choiceProblems(counts: readonly PartCount[], { lineChanges, swaps, supplies }: LineChoices): Problem[] {
  const lines = new Map(counts.flatMap((count) => count.lines.map((line) => [line.id, line] as const)));
  const gone = Object.keys(lineChanges).filter((id) => !lines.has(id)).length;
  const items = new Set([...lines.values()].map(({ itemCode }) => itemCode));
  const idle = swaps.filter(({ from }) => !items.has(from));
  const inForce = new Set([
    ...items,
    ...swaps.map(({ to }) => to),
    ...Object.values(lineChanges).map((each) => each.itemCode),
  ]);
  const assemblies = new Set([...lines.values()].map(({ assembly }) => assembly.id));
  const idleSupplies = supplies.filter(({ of, id }) => !(of === "item" ? inForce : assemblies).has(id));
  return [
    ...(gone === 0
      ? []
      : [
          problem(
            "changes-of-gone-lines",
            "lineChanges",
            `${plural(gone, "One line that was changed on the worksheet is", `${gone} lines that were changed on the worksheet are`)} counted no longer.`,
          ),
        ]),
    ...idle.map(({ from, to }) =>
      problem(
        "idle-swap",
        "swaps",
        `“${to}” stands in the place of “${from}”, which nothing in the job needs any more.`,
      ),
    ),
    ...idleSupplies.map(({ id }) =>
      problem("idle-supply", "supplies", `It is said who supplies “${id}”, which nothing in the job needs any more.`),
    ),
  ];
}

const noRate = (supply: SupplyChoice): SupplyChoice =>
  supply.by === "allowance" ? { by: "allowance", rate: "0" } : supply;

/** The same without what allowances come to, for those who see no costs. */
export function withoutRates<T extends Pick<LineChoices, "lineChanges" | "supplies">>(job: T): T {
  const lineChanges = Object.fromEntries(
    Object.entries(job.lineChanges).map(([id, change]) => [
      id,
      change.supply ? { ...change, supply: noRate(change.supply) } : change,
    ]),
  );
  return { ...job, lineChanges, supplies: job.supplies.map((each) => ({ ...each, supply: noRate(each.supply) })) };
}

const renamedKeys = <T>(record: Readonly<Record<string, T>>, rename: (id: string) => string): Record<string, T> =>
  Object.fromEntries(Object.entries(record).map(([id, value]) => [rename(id), value]));

type Chosen = LineChoices & {
  readonly pricing: {
    readonly linesSet: Readonly<Record<string, unknown>>;
    readonly conditions: readonly Condition[];
    readonly extras: readonly Extra[];
  };
};

/** What was chosen line by line, for the same parts under other ids: a line's id begins with its part's, in the ledger after what kind of line it is. */
export function withPartsRenamed<T extends Chosen>(job: T, renamed: (partId: string) => string): T {
  const line = (id: string): string => {
    const [partId = "", ...rest] = id.split("/");
    return [renamed(partId), ...rest].join("/");
  };
  const named = (id: string | null): string | null => (id === null ? null : renamed(id));
  const ofLedger = (id: string): string => {
    const [kind = "", ...rest] = id.split("/");
    return [kind, line(rest.join("/"))].join("/");
  };
  return {
    ...job,
    lineChanges: renamedKeys(job.lineChanges, line),
    swaps: job.swaps.map((swap) => ({ ...swap, partId: named(swap.partId) })),
    pricing: {
      ...job.pricing,
      linesSet: renamedKeys(job.pricing.linesSet, ofLedger),
      conditions: job.pricing.conditions.map((each) => ({ ...each, partId: named(each.partId) })),
      extras: job.pricing.extras.map((each) => ({ ...each, measuredBy: named(each.measuredBy) })),
    },
  };
}
