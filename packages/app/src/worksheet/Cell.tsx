import { formatMoney, type LedgerColumn } from "@wide-porch/core";
import { type Mark, wasText } from "./lookedAt";
import { Portion } from "./Portion";
import { cellText, type Items, isNumeric, type SheetRow } from "./rowsOf";
import { groupWords } from "./words";

type Props = {
  readonly row: SheetRow;
  readonly column: LedgerColumn;
  /** The first of its row: it is set in by how deep the row lies, and a group is named in it. */
  readonly first: boolean;
  readonly mark: Mark | undefined;
  readonly items: Items;
  readonly currency: string;
  readonly wholeCost: number;
};

const INDENT_PX = 18;

/** What one row says in one column. */
export function Cell({ row, column, first, mark, items, currency, wholeCost }: Props) {
  const text = row.is === "group" ? groupText(row, column, items, currency) : lineText(row, column, items, currency);
  const strong = row.is === "group" ? "font-strong" : "font-text";
  const was = mark && oldText(mark, column, text, currency);
  const changed = was ? `${text}, was ${was}` : "";
  if (mark && changed !== "")
    return (
      <span className="figures font-text text-base text-clay" title={wasText(mark)}>
        {changed}
      </span>
    );
  if (first)
    return (
      <span className={`${strong} text-base text-ink`} style={{ paddingLeft: row.depth * INDENT_PX }}>
        {mark ? (
          <span className="text-clay" title={wasText(mark)}>
            {mark.was ? "● " : "● new: "}
          </span>
        ) : null}
        {row.is === "group" ? `${row.open ? "▾" : "▸"} ${groupWords(row.group, items)} (${row.group.count})` : text}
      </span>
    );
  if (column === "portion") {
    const cost = Number(row.is === "group" ? row.group.cost : row.line.cost);
    return wholeCost === 0 ? null : (
      <span style={{ display: "flex", height: "100%", alignItems: "center", justifyContent: "flex-end" }}>
        <Portion share={cost / wholeCost} />
      </span>
    );
  }
  return <span className={`${strong} text-base text-ink ${isNumeric(column) ? "figures" : ""}`}>{text}</span>;
}

function groupText(
  { group }: Extract<SheetRow, { is: "group" }>,
  column: LedgerColumn,
  items: Items,
  currency: string,
): string {
  if (column === "cost") return formatMoney(group.cost, currency);
  if (column === "hours") return group.hours === "0" ? "" : group.hours;
  return column === group.key ? groupWords(group, items) : "";
}

function lineText(
  { line }: Extract<SheetRow, { is: "line" }>,
  column: LedgerColumn,
  items: Items,
  currency: string,
): string {
  return column === "cost" ? formatMoney(line.cost, currency) : cellText(line, column, items);
}

/** What a marked line said in a column before, where that was another thing. */
function oldText({ was }: Mark, column: LedgerColumn, now: string, currency: string): string | undefined {
  if (!was || (column !== "quantity" && column !== "rate" && column !== "cost")) return undefined;
  const old = column === "cost" ? formatMoney(was.cost, currency) : (was[column] ?? "nothing");
  return old === now ? undefined : old;
}
