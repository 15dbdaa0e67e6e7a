import type { PriceRows } from "@wide-porch/core";
import Papa from "papaparse";

export type ReadFile =
  | { readonly ok: true; readonly table: PriceRows }
  | { readonly ok: false; readonly message: string };

const no = (message: string): ReadFile => ({ ok: false, message });
const MOST_ROWS = 50_000;
const LARGEST_BYTES = 20_000_000;

/** Cells of a spreadsheet as they would be typed: a date is its day. */
const textOf = (cell: unknown): string => {
  if (cell === null || cell === undefined) return "";
  return cell instanceof Date ? cell.toISOString().slice(0, 10) : String(cell).trim();
};

function wholeTable(cells: readonly (readonly string[])[]): ReadFile {
  const [headings = [], ...rows] = cells.filter((row) => row.some((cell) => cell !== ""));
  const columns = headings.map((each) => each.trim());
  if (columns.length === 0 || rows.length === 0) return no("There are no rows under headings in this file.");
  if (rows.length > MOST_ROWS) return no(`This file has ${rows.length} rows; ${MOST_ROWS} can be read.`);
  const twice = columns.find((column, index) => column !== "" && columns.indexOf(column) !== index);
  if (twice !== undefined) return no(`Two columns of this file are both called “${twice}”.`);
  return { ok: true, table: { columns, rows } };
}

async function readXlsx(file: File): Promise<ReadFile> {
  const { readSheet } = await import("read-excel-file/browser");
  const rows = await readSheet(file);
  return wholeTable(rows.map((row) => row.map(textOf)));
}

async function readCsv(file: File): Promise<ReadFile> {
  const { data, errors } = Papa.parse<string[]>((await file.text()).replace(/^\uFEFF/, ""), {
    skipEmptyLines: "greedy",
  });
  const serious = errors.find(({ type }) => type === "Quotes");
  if (serious) return no(`Line ${(serious.row ?? 0) + 1} of this file cannot be read: ${serious.message}.`);
  return wholeTable(data.map((row) => row.map((cell) => cell.trim())));
}

/** A price file as rows under headings: CSV by RFC 4180 and what spreadsheets make of it, or the first sheet of an XLSX file. */
export async function readPriceFile(file: File): Promise<ReadFile> {
  if (file.size > LARGEST_BYTES) return no("This file is too large to read: 20 MB are the most.");
  try {
    return /\.xlsx$/i.test(file.name) ? await readXlsx(file) : await readCsv(file);
  } catch (error) {
    return no(`This file cannot be read: ${error instanceof Error ? error.message : String(error)}.`);
  }
}
