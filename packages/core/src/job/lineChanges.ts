import { z } from "zod";
import { CountedLine } from "../count/countedLine";
import { type CountLine, type LineSupply, type PartCount, withLines } from "../count/records";
import { amountSchema } from "../order/priceItem";
import { type Problem, problem } from "../problems/problem";
import { ownValue } from "../records/ownValue";

const itemCodeSchema = z.string().min(1).max(80);

/** What somebody chose for one counted line, in the place of what its rule says. */
export const lineChangeSchema = z.object({
  itemCode: itemCodeSchema.optional(),
  supply: z
    .discriminatedUnion("by", [
      z.object({ by: z.literal("ours") }),
      z.object({ by: z.literal("customer") }),
      z.object({ by: z.literal("allowance"), rate: amountSchema }),
    ])
    .optional(),
  note: z.string().max(500).optional(),
});
export type LineChange = z.infer<typeof lineChangeSchema>;
export const MOST_LINE_CHANGES = 2000;

/** Another item in the place of one, on a part or over the whole job. */
export const swapSchema = z.object({ from: itemCodeSchema, to: itemCodeSchema, partId: z.string().max(80).nullable() });
export type Swap = z.infer<typeof swapSchema>;
export const MOST_SWAPS = 100;

/** By the ids of count lines. */
export const lineChangesSchema = z
  .record(z.string().min(1).max(300), lineChangeSchema)
  .refine((lines) => Object.keys(lines).length <= MOST_LINE_CHANGES, `At most ${MOST_LINE_CHANGES} lines are changed.`);

export type LineChoices = {
  readonly lineChanges: Readonly<Record<string, LineChange>>;
  readonly swaps: readonly Swap[];
};

/** The line's own item goes before its part's, and that before the job's. An item that was put in is not swapped again. */
function itemOf({ itemCode, partId }: CountLine, own: LineChange | undefined, swaps: readonly Swap[]): string {
  if (own?.itemCode !== undefined) return own.itemCode;
  const of = swaps.filter(({ from }) => from === itemCode);
  const found = of.find((swap) => swap.partId === partId) ?? of.find((swap) => swap.partId === null);
  return found?.to ?? itemCode;
}

function supplyOf(line: CountLine, own: LineChange | undefined): LineSupply | undefined {
  const { supply } = own ?? {};
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
function withChoices(line: CountLine, { lineChanges, swaps }: LineChoices): CountLine {
  // Hours are nobody's to swap or supply.
  if (line.itemCode === "" && line.supply === undefined) return line;
  const own = ownValue(lineChanges, line.id);
  const itemCode = itemOf(line, own, swaps);
  const supply = supplyOf(line, own);
  if (itemCode === line.itemCode && sameSupply(supply, line.supply)) return line;
  const before = known.get(line);
  if (before?.itemCode === itemCode && sameSupply(before.supply, supply)) return before.line;
  const made = changed(line, { itemCode, supply });
  known.set(line, { itemCode, supply, line: made });
  return made;
}

/** Counts with what was chosen line by line in force. The same where nothing was. */
export function withLineChoices(counts: readonly PartCount[], choices: LineChoices): readonly PartCount[] {
  if (choices.swaps.length === 0 && Object.keys(choices.lineChanges).length === 0) return counts;
  return counts.map((count) => {
    const lines = count.lines.map((line) => withChoices(line, choices));
    return lines.every((line, index) => line === count.lines[index]) ? count : withLines(count, lines);
  });
}

/** What was chosen for lines and items that are there no longer: kept, of no effect, and said. */
export function choiceProblems(counts: readonly PartCount[], { lineChanges, swaps }: LineChoices): Problem[] {
  const lines = new Map(counts.flatMap((count) => count.lines.map((line) => [line.id, line] as const)));
  const gone = Object.keys(lineChanges).filter((id) => !lines.has(id)).length;
  const items = new Set([...lines.values()].map(({ itemCode }) => itemCode));
  const idle = swaps.filter(({ from }) => !items.has(from));
  return [
    ...(gone === 0
      ? []
      : [
          problem(
            "changes-of-gone-lines",
            "lineChanges",
            `${gone === 1 ? "One line that was changed on the worksheet is" : `${gone} lines that were changed on the worksheet are`} counted no longer.`,
          ),
        ]),
    ...idle.map(({ from, to }) =>
      problem(
        "idle-swap",
        "swaps",
        `“${to}” stands in the place of “${from}”, which nothing in the job needs any more.`,
      ),
    ),
  ];
}

/** The same without what allowances come to, for those who see no costs. */
export const withoutRates = (lineChanges: LineChoices["lineChanges"]): Record<string, LineChange> =>
  Object.fromEntries(
    Object.entries(lineChanges).map(([id, change]) => [
      id,
      change.supply?.by === "allowance" ? { ...change, supply: { by: "allowance" as const, rate: "0" } } : change,
    ]),
  );

const renamedKeys = <T>(record: Readonly<Record<string, T>>, rename: (id: string) => string): Record<string, T> =>
  Object.fromEntries(Object.entries(record).map(([id, value]) => [rename(id), value]));

type Chosen = LineChoices & { readonly pricing: { readonly linesSet: Readonly<Record<string, unknown>> } };

/** What was chosen line by line, for the same parts under other ids: a line's id begins with its part's, in the ledger after what kind of line it is. */
export function withPartsRenamed<T extends Chosen>(job: T, renamed: (partId: string) => string): T {
  const line = (id: string): string => {
    const [partId = "", ...rest] = id.split("/");
    return [renamed(partId), ...rest].join("/");
  };
  const ofLedger = (id: string): string => {
    const [kind = "", ...rest] = id.split("/");
    return [kind, line(rest.join("/"))].join("/");
  };
  return {
    ...job,
    lineChanges: renamedKeys(job.lineChanges, line),
    swaps: job.swaps.map((swap) => ({ ...swap, partId: swap.partId === null ? null : renamed(swap.partId) })),
    pricing: { ...job.pricing, linesSet: renamedKeys(job.pricing.linesSet, ofLedger) },
  };
}
