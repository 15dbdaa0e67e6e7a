import { type Parsed, parsed, refused } from "../problems/problem";
import { formatLength, type MeasuringSystem, parseLength } from "../units";
import { tableProblems } from "./lookUp";
import { type AssemblyTable, tableSchema } from "./table";

type Column = AssemblyTable["columns"][number];
type Head = Pick<AssemblyTable, "name" | "label" | "by">;

/** Item codes and words go between the marks as they are; a mark within them would end them. */
const MARK = ";";
const KINDS: readonly Column["kind"][] = ["length", "number", "text"];

const cell = (value: unknown, kind: Column["kind"], system: MeasuringSystem): string =>
  kind === "length" && typeof value === "number" ? formatLength(value, system) : String(value ?? "");

/** A table as lines to type in: its columns with their kinds, then a row for each limit. */
export function tableText({ by, columns, rows }: AssemblyTable, system: MeasuringSystem): string {
  const head = ["up to", ...columns.map(({ name, kind }) => `${name} (${kind})`)];
  const body = rows.map(({ upTo, values }) => [
    cell(upTo, by, system),
    ...columns.map(({ kind }, index) => cell(values[index], kind, system)),
  ]);
  return [head, ...body].map((line) => line.join(`${MARK} `)).join("\n");
}

const cells = (line: string): string[] => line.split(MARK).map((each) => each.trim());

function readColumns(line: string, before: readonly Column[]): Parsed<Column[]> {
  const columns: Column[] = [];
  for (const text of cells(line).slice(1)) {
    const found = /^([a-z][A-Za-z0-9]*)\s*(?:\((\w+)\))?$/.exec(text);
    const kind = KINDS.find((each) => each === (found?.[2] ?? "number"));
    const name = found?.[1];
    if (!name || !kind) {
      return refused(
        "bad-table",
        `Line 1: “${text}” is no column. Write a name and its kind, such as height (length).`,
      );
    }
    const label = before.find((each) => each.name === name)?.label ?? name;
    columns.push({ name, label, kind });
  }
  return columns.length > 0 ? parsed(columns) : refused("bad-table", "Line 1: name the columns after “up to”.");
}

function readCell(text: string, kind: Column["kind"], system: MeasuringSystem): Parsed<number | string> {
  if (kind === "text") return text === "" ? refused("bad-table", "there is nothing") : parsed(text);
  if (kind === "length") return parseLength(text, system);
  const value = Number(text);
  return text !== "" && Number.isFinite(value) ? parsed(value) : refused("bad-table", `“${text}” is no number.`);
}

function readRow(line: string, nth: number, by: Head["by"], columns: readonly Column[], system: MeasuringSystem) {
  const kinds = [by, ...columns.map((each) => each.kind)];
  const values = cells(line);
  if (values.length !== kinds.length) {
    return refused("bad-table", `Line ${nth}: ${values.length} values, and ${kinds.length} columns with “up to”.`);
  }
  const read = kinds.map((kind, at) => readCell(values[at] ?? "", kind, system));
  const wrong = read.findIndex((each) => !each.ok);
  const first = read[wrong];
  if (first && !first.ok) return refused("bad-table", `Line ${nth}, value ${wrong + 1}: ${first.problem.message}`);
  const [upTo, ...rest] = read.flatMap((each) => (each.ok ? [each.value] : []));
  return parsed({ upTo: Number(upTo), values: rest });
}

/** Reads a table as it was typed; says which line of it cannot be, and why. Labels of columns that stay are kept. */
export function readTable(
  text: string,
  head: Head,
  system: MeasuringSystem,
  before: readonly Column[] = [],
): Parsed<AssemblyTable> {
  const [first = "", ...lines] = text.split("\n").filter((line) => line.trim() !== "");
  const columns = readColumns(first, before);
  if (!columns.ok) return columns;
  const rows: AssemblyTable["rows"] = [];
  for (const [index, line] of lines.entries()) {
    const row = readRow(line, index + 2, head.by, columns.value, system);
    if (!row.ok) return row;
    rows.push(row.value);
  }
  const table = tableSchema.safeParse({ ...head, columns: columns.value, rows });
  if (!table.success) {
    const [issue] = table.error.issues;
    return refused("bad-table", `${issue?.path.join(" ") ?? ""}: ${issue?.message ?? "this is no table"}`);
  }
  const [problem] = tableProblems(table.data);
  return problem ? refused("bad-table", problem.message) : parsed(table.data);
}
