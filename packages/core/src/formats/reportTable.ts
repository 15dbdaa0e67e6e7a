import Papa from "papaparse";
import type { ReportTable } from "../kinds";

export type ReadTable =
  | { readonly ok: true; readonly table: ReportTable }
  | { readonly ok: false; readonly message: string };

const MOST_CHARACTERS = 1_000_000;
const MOST_ROWS = 500;
const MOST_COLUMNS = 80;

const no = (message: string): ReadTable => ({ ok: false, message });
const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

function whole(columns: readonly string[], rows: readonly (readonly string[])[]): ReadTable {
  if (columns.length === 0 || rows.length === 0) return no("There are no measurements in this report.");
  if (columns.length > MOST_COLUMNS)
    return no(`This report has ${columns.length} columns; ${MOST_COLUMNS} can be read.`);
  if (rows.length > MOST_ROWS) return no(`This report has ${rows.length} rows; ${MOST_ROWS} can be read.`);
  const twice = columns.find((column, index) => columns.indexOf(column) !== index);
  if (twice !== undefined) return no(`Two columns of this report are both called “${twice}”.`);
  return { ok: true, table: { columns, rows } };
}

const textOf = (value: unknown): string => (value === null || value === undefined ? "" : String(value).trim());

/** A list of flat records, alone or as the only list in an object. */
function readJson(text: string): ReadTable {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    return no(`This is no JSON: ${error instanceof Error ? error.message : String(error)}`);
  }
  const lists = isRecord(data) ? Object.values(data).filter(Array.isArray) : [];
  const list = Array.isArray(data) ? data : lists.length === 1 ? lists[0] : undefined;
  if (!list) return no("A JSON report is one list of roofs.");
  const records = list.filter(isRecord);
  if (records.length !== list.length) return no("Each roof of a JSON report is a record of names and figures.");
  const columns = [...new Set(records.flatMap((record) => Object.keys(record)))];
  const deep = columns.find((column) =>
    records.some((record) => typeof record[column] === "object" && record[column] !== null),
  );
  if (deep !== undefined) return no(`“${deep}” of this report is no plain figure.`);
  return whole(
    columns,
    records.map((record) => columns.map((column) => textOf(record[column]))),
  );
}

/** Headings in the first line; commas, semicolons or tabs between (RFC 4180 with what spreadsheets make of it). */
function readCsv(text: string): ReadTable {
  const { data, errors } = Papa.parse<string[]>(text, { skipEmptyLines: "greedy" });
  const serious = errors.find(({ type }) => type === "Quotes" || type === "FieldMismatch");
  if (serious) return no(`Line ${(serious.row ?? 0) + 1} of this report cannot be read: ${serious.message}.`);
  const [headings = [], ...rows] = data;
  const columns = headings.map((each) => each.trim());
  const ragged = rows.findIndex((row) => row.length !== columns.length);
  if (ragged >= 0)
    return no(`Row ${ragged + 1} of this report has ${rows[ragged]?.length} fields under ${columns.length} headings.`);
  return whole(
    columns,
    rows.map((row) => row.map((each) => each.trim())),
  );
}

/** A measuring report as a table: CSV, or JSON as a list of flat records. */
export function readReportTable(text: string): ReadTable {
  if (text.length > MOST_CHARACTERS) return no("This report is too large to read.");
  const plain = text.replace(/^\uFEFF/, "").trim();
  if (plain === "") return no("This report is empty.");
  return plain.startsWith("{") || plain.startsWith("[") ? readJson(plain) : readCsv(plain);
}
