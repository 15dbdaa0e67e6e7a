import { z } from "zod";
import { LEDGER_KEYS, type LedgerKey } from "./group";

/** What a worksheet shows of each line, beside what lines can be grouped by. */
export const FIGURE_COLUMNS = ["what", "quantity", "unit", "rate", "cost", "portion", "hours"] as const;
export const LEDGER_COLUMNS = [...FIGURE_COLUMNS, ...LEDGER_KEYS] as const;
export type LedgerColumn = (typeof LEDGER_COLUMNS)[number];

const columnSchema = z.object({
  id: z.enum(LEDGER_COLUMNS),
  widthPx: z.int().min(60).max(800),
  /** One's own word for it; empty for ours. */
  name: z.string().max(40),
  shown: z.boolean(),
});
export type LayoutColumn = z.infer<typeof columnSchema>;

/** How somebody reads a worksheet: by what it is grouped, and its columns in their order. */
export const worksheetLayoutSchema = z.object({
  name: z.string().trim().min(1).max(60),
  keys: z.array(z.enum(LEDGER_KEYS)).max(LEDGER_KEYS.length),
  columns: z.array(columnSchema).max(LEDGER_COLUMNS.length),
  sort: z.object({ id: z.enum(LEDGER_COLUMNS), descending: z.boolean() }).nullable(),
});
export type WorksheetLayout = z.infer<typeof worksheetLayoutSchema>;
export const MOST_LAYOUTS = 30;

const WIDTHS: Partial<Record<LedgerColumn, number>> = {
  what: 250,
  quantity: 90,
  unit: 80,
  rate: 100,
  cost: 120,
  portion: 150,
  hours: 80,
};
const SHOWN: ReadonlySet<LedgerColumn> = new Set(["what", "quantity", "unit", "rate", "cost", "portion", "part"]);

/** Each column once: a layout that lacks some, as those made before there were more, has them at its end, not shown. */
export function wholeColumns(columns: readonly LayoutColumn[]): LayoutColumn[] {
  const own = new Map(columns.map((column) => [column.id, column]));
  const missing = LEDGER_COLUMNS.filter((id) => !own.has(id));
  return [...own.values(), ...missing.map((id) => ({ id, widthPx: WIDTHS[id] ?? 140, name: "", shown: false }))];
}

const usualKeys: readonly LedgerKey[] = ["kind", "trade"];

export const usualLayout: WorksheetLayout = {
  name: "By kind and trade",
  keys: [...usualKeys],
  columns: LEDGER_COLUMNS.map((id) => ({ id, widthPx: WIDTHS[id] ?? 140, name: "", shown: SHOWN.has(id) })),
  sort: null,
};
