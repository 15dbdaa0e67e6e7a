import { LEDGER_COLUMNS, type WorksheetLayout } from "@wide-porch/core";
import { useState } from "react";
import { View } from "react-native";
import { Button } from "../components/Button";
import { Faint } from "../components/Text";
import { Copy } from "../icons";
import { cellText, type Items, type SheetRow } from "./rowsOf";
import { COLUMN_WORDS, groupWords } from "./words";

type Props = { readonly rows: readonly SheetRow[]; readonly layout: WorksheetLayout; readonly items: Items };

const clean = (text: string): string => text.replace(/[\t\r\n]+/g, " ");

/** Rows as they are shown, with tabs between cells, as spreadsheets take them. */
export function tableText({ rows, layout, items }: Props): string {
  const columns = layout.columns.filter(({ id, shown }) => shown && id !== "portion" && LEDGER_COLUMNS.includes(id));
  const heading = columns.map(({ id, name }) => name || COLUMN_WORDS[id]);
  const lines = rows.map((row) =>
    columns.map(({ id }, index) => {
      if (row.is === "line") return cellText(row.line, id, items);
      if (index === 0) return groupWords(row.group, items);
      return id === "cost" ? row.group.cost : id === "hours" ? row.group.hours : "";
    }),
  );
  return [heading, ...lines].map((cells) => cells.map(clean).join("\t")).join("\n");
}

export function CopyTable(props: Props) {
  const [said, setSaid] = useState("");
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(tableText(props));
      setSaid(`${props.rows.length} rows copied`);
    } catch {
      setSaid("This browser does not let it be copied: take it as CSV.");
    }
  };
  return (
    <View className="flex-row items-center gap-2">
      <Button label="Copy" kind="plain" icon={Copy} name="Copy the rows shown as a table" onPress={() => void copy()} />
      <Faint role="status">{said}</Faint>
    </View>
  );
}
