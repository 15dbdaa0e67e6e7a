import type { Table } from "@wide-porch/core";
import writeXlsxFile from "write-excel-file/browser";

/** Wide enough for the longest of the first rows; a spreadsheet's columns are in characters. */
const widthOf = ({ headings, rows }: Table, index: number): number => {
  const texts = [headings[index] ?? "", ...rows.slice(0, 200).map((row) => String(row[index] ?? ""))];
  return Math.min(60, Math.max(8, ...texts.map((text) => text.length + 2)));
};

/** A table as a spreadsheet: figures as figures, headings that stay in sight. */
export async function tableToXlsx(table: Table): Promise<Blob> {
  const headings = table.headings.map((value) => ({ value, fontWeight: "bold" as const }));
  const rows = table.rows.map((row) => row.map((value) => ({ value })));
  return writeXlsxFile([headings, ...rows], {
    sheet: table.name,
    columns: table.headings.map((_, index) => ({ width: widthOf(table, index) })),
    stickyRowsCount: 1,
  }).toBlob();
}
