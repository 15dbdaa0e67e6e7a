import { useVirtualizer } from "@tanstack/react-virtual";
import { formatMoney, soMany } from "@wide-porch/core";
import { memo, useRef } from "react";
import { Pressable, View } from "react-native";
import { Body, Faint, Figure, Strong } from "../components/Text";
import { type Mark, wasText } from "./lookedAt";
import { Portion } from "./Portion";
import type { SheetRow } from "./rowsOf";
import type { TableProps } from "./WorksheetTable";
import { groupWords } from "./words";

const LINE_PX = 64;

/** The same rows as the table has, one under another for the thumb. */
export function WorksheetList({
  rows,
  items,
  currency,
  marks,
  wholeCost,
  onTurn,
  onOpen,
}: Omit<TableProps, "layout" | "onChange">) {
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => LINE_PX,
    overscan: 8,
  });
  return (
    <div
      ref={scroller}
      role="region"
      aria-label="Worksheet"
      tabIndex={0}
      className="min-h-0 flex-1 overflow-auto"
      style={{ position: "relative" }}
    >
      <div style={{ height: virtual.getTotalSize(), position: "relative" }}>
        {virtual.getVirtualItems().map(({ index, start }) => {
          const row = rows[index];
          if (!row) return null;
          return (
            <div
              key={row.id}
              style={{
                position: "absolute",
                top: 0,
                left: 0,
                right: 0,
                height: LINE_PX,
                transform: `translateY(${start}px)`,
              }}
            >
              {row.is === "group" ? (
                <GroupRow
                  row={row}
                  name={groupWords(row.group, items)}
                  currency={currency}
                  wholeCost={wholeCost}
                  onTurn={onTurn}
                />
              ) : (
                <LineRow row={row} mark={marks.get(row.line.id)} currency={currency} onOpen={onOpen} />
              )}
            </div>
          );
        })}
      </div>
    </div>
  );
}

type GroupProps = Pick<TableProps, "currency" | "wholeCost" | "onTurn"> & {
  readonly row: Extract<SheetRow, { is: "group" }>;
  readonly name: string;
};

const GroupRow = memo(function GroupRow({ row, name, currency, wholeCost, onTurn }: GroupProps) {
  const { group, open, depth } = row;
  const lines = `${soMany(group.count, "line", "lines")}${group.hours === "0" ? "" : `, ${group.hours} h`}`;
  return (
    <Pressable
      role="button"
      aria-expanded={open}
      aria-label={`${name}: ${formatMoney(group.cost, currency)}, ${lines}`}
      onPress={() => onTurn(row.id)}
      className="h-full w-full flex-row items-center gap-2 border-b border-rule bg-paper pr-4 active:bg-pine-wash"
      style={{ paddingLeft: 16 + depth * 14 }}
    >
      <View className="min-w-0 flex-1">
        <Strong numberOfLines={1}>{`${open ? "▾" : "▸"} ${name}`}</Strong>
        <Faint numberOfLines={1}>{lines}</Faint>
      </View>
      <View className="items-end">
        <Figure>{formatMoney(group.cost, currency)}</Figure>
        {wholeCost === 0 ? null : <Portion share={Number(group.cost) / wholeCost} />}
      </View>
    </Pressable>
  );
});

type LineProps = Pick<TableProps, "currency" | "onOpen"> & {
  readonly row: Extract<SheetRow, { is: "line" }>;
  readonly mark: Mark | undefined;
};

const LineRow = memo(function LineRow({ row, mark, currency, onOpen }: LineProps) {
  const { line, depth } = row;
  const rate = line.rate === null ? "" : ` at ${line.rate}`;
  return (
    <Pressable
      role="button"
      onPress={() => onOpen(row)}
      className="h-full w-full flex-row items-center gap-2 border-b border-rule bg-sheet pr-4 active:bg-pine-wash"
      style={{ paddingLeft: 16 + depth * 14 }}
    >
      <View className="min-w-0 flex-1">
        <Body numberOfLines={1}>{line.what}</Body>
        <Faint numberOfLines={1} className={mark ? "figures text-clay" : "figures"}>
          {[`${line.quantity} ${line.unitName}${rate}`, mark ? wasText(mark) : line.partName]
            .filter(Boolean)
            .join(", ")}
        </Faint>
      </View>
      <Figure className="text-base">{formatMoney(line.cost, currency)}</Figure>
    </Pressable>
  );
});
