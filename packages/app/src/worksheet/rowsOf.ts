import {
  type LedgerColumn,
  type LedgerGroup,
  type LedgerLine,
  ledgerValue,
  type WorksheetLayout,
} from "@wide-porch/core";
import { groupWords, valueWords } from "./words";

/** A row of a worksheet: a group with what is under it, or a line. */
export type SheetRow =
  | {
      readonly is: "group";
      readonly id: string;
      readonly depth: number;
      readonly group: LedgerGroup;
      readonly open: boolean;
    }
  | { readonly is: "line"; readonly id: string; readonly depth: number; readonly line: LedgerLine };

export type Items = ReadonlyMap<string, string>;

const figureOf = (text: string): number => Number(text.replaceAll(",", "")) || 0;

/** What a line says in a column, as text. */
export function cellText(line: LedgerLine, column: LedgerColumn, items: Items): string {
  switch (column) {
    case "what":
      return line.what;
    case "quantity":
      return line.quantity;
    case "unit":
      return line.unitName;
    case "rate":
      return line.rate ?? "";
    case "cost":
    case "portion":
      return line.cost;
    case "hours":
      return line.hours === "0" ? "" : line.hours;
    case "supply":
      return line.supply === "ours" ? "" : valueWords("supply", line.supply, items);
    case "item":
      return line.itemCode === "" ? "" : valueWords("item", line.itemCode, items);
    default: {
      const value = ledgerValue(line, column);
      return value === "" ? "" : valueWords(column, value, items);
    }
  }
}

const NUMERIC: ReadonlySet<LedgerColumn> = new Set(["quantity", "rate", "cost", "portion", "hours"]);
export const isNumeric = (column: LedgerColumn): boolean => NUMERIC.has(column);

/** Lines that have every word that is looked for, wherever they have it. */
export function matching(lines: readonly LedgerLine[], search: string, items: Items): readonly LedgerLine[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return lines;
  return lines.filter((line) => {
    const { what, trade, phase, partName, location, storey, assembly, supplier, itemCode, crew, option } = line;
    const said = [
      what,
      trade,
      phase,
      partName,
      location,
      storey,
      assembly,
      supplier,
      itemCode,
      items.get(itemCode) ?? "",
      crew,
      option,
      line.section,
    ];
    const text = said.join(" ").toLowerCase();
    return words.every((word) => text.includes(word));
  });
}

type Sort = NonNullable<WorksheetLayout["sort"]>;
const compareTexts = new Intl.Collator("en", { numeric: true }).compare;

function sortedLines(lines: readonly LedgerLine[], sort: Sort | null, items: Items): readonly LedgerLine[] {
  if (!sort) return lines;
  const way = sort.descending ? -1 : 1;
  const keyed = lines.map((line) => ({ line, text: cellText(line, sort.id, items) }));
  const compare = isNumeric(sort.id)
    ? (a: string, b: string) => figureOf(a) - figureOf(b)
    : (a: string, b: string) => compareTexts(a, b);
  return keyed.toSorted((a, b) => way * compare(a.text, b.text)).map(({ line }) => line);
}

/** Groups by what they cost where lines are sorted by that, by their words where lines are sorted by words; as they come else. */
function sortedGroups(groups: readonly LedgerGroup[], sort: Sort | null, items: Items): readonly LedgerGroup[] {
  if (!sort) return groups;
  const way = sort.descending ? -1 : 1;
  if (sort.id === "cost" || sort.id === "portion")
    return groups.toSorted((a, b) => way * (Number(a.cost) - Number(b.cost)));
  if (sort.id === "hours") return groups.toSorted((a, b) => way * (Number(a.hours) - Number(b.hours)));
  if (sort.id !== "what" && groups[0]?.key !== sort.id) return groups;
  return groups.toSorted((a, b) => way * compareTexts(groupWords(a, items), groupWords(b, items)));
}

type Shown = {
  readonly sort: Sort | null;
  readonly isOpen: (id: string, depth: number) => boolean;
  readonly items: Items;
};

/** Groups and lines one under another, as far as they are unfolded. */
export function sheetRows(groups: readonly LedgerGroup[], shown: Shown, depth = 0): SheetRow[] {
  const { sort, isOpen, items } = shown;
  return sortedGroups(groups, sort, items).flatMap((group): SheetRow[] => {
    const open = isOpen(group.id, depth);
    const row: SheetRow = { is: "group", id: group.id, depth, group, open };
    if (!open) return [row];
    const lines = sortedLines(group.lines, sort, items).map(
      (line): SheetRow => ({ is: "line", id: `${group.id}/${line.id}`, depth: depth + 1, line }),
    );
    return [row, ...sheetRows(group.groups, shown, depth + 1), ...lines];
  });
}

export const plainRows = (lines: readonly LedgerLine[], sort: Sort | null, items: Items): SheetRow[] =>
  sortedLines(lines, sort, items).map((line) => ({ is: "line", id: line.id, depth: 0, line }));
