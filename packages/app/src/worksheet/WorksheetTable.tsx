import { type ColumnDef, flexRender, getCoreRowModel, type Header, useReactTable } from "@tanstack/react-table";
import { useVirtualizer } from "@tanstack/react-virtual";
import type { LedgerColumn, WorksheetLayout } from "@wide-porch/core";
import {
  type KeyboardEvent,
  type MouseEvent,
  memo,
  type RefObject,
  useCallback,
  useMemo,
  useRef,
  useState,
} from "react";
import { Cell } from "./Cell";
import type { Mark } from "./lookedAt";
import type { Items, SheetRow } from "./rowsOf";
import { isNumeric } from "./rowsOf";
import { COLUMN_WORDS } from "./words";

export type TableProps = {
  readonly rows: readonly SheetRow[];
  readonly layout: WorksheetLayout;
  readonly items: Items;
  readonly currency: string;
  /** Lines that changed since somebody looked. */
  readonly marks: ReadonlyMap<string, Mark>;
  /** What all of it costs, for shares of it. */
  readonly wholeCost: number;
  readonly chosenId: string | undefined;
  readonly onChange: (change: (before: WorksheetLayout) => WorksheetLayout) => void;
  readonly onTurn: (groupId: string) => void;
  readonly onOpen: (row: SheetRow) => void;
};

const ROW_PX = 40;
type At = { readonly row: number; readonly column: number };

/** The ledger as a table: only the rows in sight are drawn. Cells are reached by the arrow keys, columns sized by their edges. */
export function WorksheetTable(props: TableProps) {
  const { rows, layout, onChange, onTurn, onOpen } = props;
  const shown = useMemo(() => layout.columns.filter((column) => column.shown), [layout.columns]);
  const columns = useMemo<ColumnDef<SheetRow>[]>(
    () =>
      shown.map(({ id, widthPx, name }) => ({
        id,
        size: widthPx,
        minSize: 60,
        maxSize: 800,
        header: name || COLUMN_WORDS[id],
      })),
    [shown],
  );
  const table = useReactTable<SheetRow>({
    data: rows as SheetRow[],
    columns,
    getCoreRowModel: getCoreRowModel(),
    columnResizeMode: "onEnd",
    onColumnSizingChange: (update) => {
      const sizes = typeof update === "function" ? update({}) : update;
      onChange((before) => ({
        ...before,
        columns: before.columns.map((column) => {
          const sized = Object.hasOwn(sizes, column.id) ? sizes[column.id] : undefined;
          return sized === undefined ? column : { ...column, widthPx: Math.round(Math.min(800, Math.max(60, sized))) };
        }),
      }));
    },
  });
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PX,
    overscan: 12,
  });
  const [at, setAt] = useState<At>({ row: 0, column: 0 });
  const go = useCallback(
    (next: At) => {
      const row = Math.max(0, Math.min(rows.length - 1, next.row));
      const column = Math.max(0, Math.min(shown.length - 1, next.column));
      setAt({ row, column });
      virtual.scrollToIndex(row);
      // The row may not be drawn yet.
      requestAnimationFrame(() => cellAt(scroller, row, column)?.focus());
    },
    [rows.length, shown.length, virtual],
  );
  const cellOf = (target: EventTarget): HTMLElement | null =>
    target instanceof Element ? target.closest<HTMLElement>("[data-row]") : null;
  const act = (row: SheetRow) => (row.is === "group" ? onTurn(row.id) : onOpen(row));
  const pressed = (event: KeyboardEvent) => {
    // Headings have keys of their own.
    if (!cellOf(event.target)) return;
    const step = STEPS[event.key];
    const row = rows[at.row];
    if (step) go({ row: at.row + step.row, column: at.column + step.column });
    else if (event.key === "Home") go({ row: event.ctrlKey ? 0 : at.row, column: 0 });
    else if (event.key === "End") go({ row: event.ctrlKey ? rows.length - 1 : at.row, column: shown.length - 1 });
    else if ((event.key === "Enter" || event.key === " ") && row) act(row);
    else return;
    event.preventDefault();
  };
  const clicked = ({ target }: MouseEvent) => {
    const row = rows[Number(cellOf(target)?.dataset.row)];
    if (row) act(row);
  };
  const widthPx = shown.reduce((sum, column) => sum + column.widthPx, 0);
  return (
    <div
      ref={scroller}
      role="treegrid"
      aria-label="Worksheet"
      aria-rowcount={rows.length + 1}
      tabIndex={-1}
      onKeyDown={pressed}
      onClick={clicked}
      className="min-h-0 flex-1 overflow-auto border border-rule bg-sheet"
      style={{ position: "relative" }}
    >
      <div
        role="row"
        aria-rowindex={1}
        className="sticky top-0 z-10 flex border-b-2 border-ink bg-paper"
        style={{ width: widthPx, minWidth: "100%", display: "flex", position: "sticky", top: 0 }}
      >
        {table.getFlatHeaders().map((header) => (
          <Heading key={header.id} header={header} {...props} />
        ))}
      </div>
      <div
        role="rowgroup"
        style={{ height: virtual.getTotalSize(), position: "relative", width: widthPx, minWidth: "100%" }}
      >
        {virtual.getVirtualItems().map(({ index, start }) => {
          const row = rows[index];
          if (!row) return null;
          return (
            <Row
              key={row.id}
              {...props}
              row={row}
              index={index}
              startPx={start}
              columns={shown}
              focused={at.row === index ? at.column : undefined}
              chosen={row.id === props.chosenId}
              onFocus={setAt}
            />
          );
        })}
      </div>
    </div>
  );
}

const STEPS: Readonly<Record<string, At | undefined>> = {
  ArrowDown: { row: 1, column: 0 },
  ArrowUp: { row: -1, column: 0 },
  ArrowLeft: { row: 0, column: -1 },
  ArrowRight: { row: 0, column: 1 },
  PageDown: { row: 15, column: 0 },
  PageUp: { row: -15, column: 0 },
};

const cellAt = (scroller: RefObject<HTMLDivElement | null>, row: number, column: number): HTMLElement | null =>
  scroller.current?.querySelector<HTMLElement>(`[data-row="${row}"][data-column="${column}"]`) ?? null;

type HeadingProps = TableProps & { readonly header: Header<SheetRow, unknown> };

function Heading({ header, layout, onChange }: HeadingProps) {
  const column = layout.columns.find(({ id }) => id === header.column.id);
  if (!column) return null;
  const { sort } = layout;
  const sorted = sort?.id === column.id ? (sort.descending ? "descending" : "ascending") : "none";
  const turn = () => onChange((before) => ({ ...before, sort: nextSort(before.sort, column.id) }));
  return (
    <div
      role="columnheader"
      aria-sort={sorted}
      className="relative"
      style={{ width: column.widthPx, flex: "none", position: "relative" }}
    >
      <button
        type="button"
        onClick={turn}
        className={`h-12 w-full truncate px-2 font-strong text-base text-ink ${isNumeric(column.id) ? "text-right" : "text-left"}`}
      >
        {flexRender(header.column.columnDef.header, header.getContext())}
        {sorted === "none" ? "" : sorted === "ascending" ? " ↑" : " ↓"}
      </button>
      <div
        aria-hidden
        onMouseDown={header.getResizeHandler()}
        onTouchStart={header.getResizeHandler()}
        className="absolute inset-y-0 right-0 w-2 cursor-col-resize border-r border-rule"
        style={{ position: "absolute", top: 0, bottom: 0, right: 0, touchAction: "none" }}
      />
    </div>
  );
}

/** Up, down, and as they come. */
function nextSort(sort: WorksheetLayout["sort"], id: LedgerColumn): WorksheetLayout["sort"] {
  if (sort?.id !== id) return { id, descending: isNumeric(id) };
  return sort.descending === isNumeric(id) ? { id, descending: !sort.descending } : null;
}

type RowProps = TableProps & {
  readonly row: SheetRow;
  readonly index: number;
  readonly startPx: number;
  readonly columns: WorksheetLayout["columns"];
  /** The column that the keyboard is at; undefined where it is in another row. */
  readonly focused: number | undefined;
  readonly chosen: boolean;
  readonly onFocus: (at: At) => void;
};

const Row = memo(function Row({
  row,
  index,
  startPx,
  columns,
  focused,
  chosen,
  onFocus,
  items,
  currency,
  marks,
  wholeCost,
}: RowProps) {
  const mark = row.is === "line" ? marks.get(row.line.id) : undefined;
  const look = chosen ? "bg-pine-wash" : row.is === "group" ? "bg-paper" : "bg-sheet";
  return (
    <div
      role="row"
      aria-rowindex={index + 2}
      aria-level={row.depth + 1}
      {...(row.is === "group" ? { "aria-expanded": row.open } : {})}
      className={`border-b border-rule ${look}`}
      style={{
        position: "absolute",
        top: 0,
        left: 0,
        right: 0,
        height: ROW_PX,
        display: "flex",
        transform: `translateY(${startPx}px)`,
      }}
    >
      {columns.map(({ id, widthPx }, column) => (
        <div
          key={id}
          role="gridcell"
          data-row={index}
          data-column={column}
          tabIndex={focused === column || (focused === undefined && index === 0 && column === 0) ? 0 : -1}
          onFocus={() => onFocus({ row: index, column })}
          className={`truncate px-2 leading-[40px] ${isNumeric(id) ? "text-right" : ""}`}
          style={{ width: widthPx, flex: "none", overflow: "hidden", whiteSpace: "nowrap", textOverflow: "ellipsis" }}
        >
          <Cell
            row={row}
            column={id}
            first={column === 0}
            mark={mark}
            items={items}
            currency={currency}
            wholeCost={wholeCost}
          />
        </div>
      ))}
    </div>
  );
});
