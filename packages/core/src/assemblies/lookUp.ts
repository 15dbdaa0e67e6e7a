import { NM_PER_M } from "../units";
import type { Value } from "./formula/layoutAnswers";
import type { AssemblyTable } from "./table";

/** Lengths come as sums of floating metres: what is over a limit but for a hair is not over it. */
const HAIR = 1e-9;

/** What a table has in the first row whose limit is not less, lengths in metres; or why there is none. */
export function lookUp(
  table: AssemblyTable,
  by: number,
  column: string | undefined,
): { readonly value: Value } | { readonly miss: string } {
  const index = column === undefined ? 0 : table.columns.findIndex((each) => each.name === column);
  const found = table.columns[index];
  if (!found) return { miss: `“${table.label}” has no column “${column}”.` };
  const scale = table.by === "length" ? NM_PER_M : 1;
  const limits = table.rows.map((row) => row.upTo / scale);
  const row = limits.findIndex((limit) => by <= limit + HAIR * Math.max(1, limit));
  const most = limits[limits.length - 1] ?? 0;
  if (!Number.isFinite(by) || row < 0) {
    const unit = table.by === "length" ? " m" : "";
    return {
      miss: `“${table.label}” goes up to ${Number(most.toFixed(3))}${unit}; ${Number(by.toFixed(3))}${unit} is beyond it.`,
    };
  }
  const value = table.rows[row]?.values[index];
  if (value === undefined) return { miss: `Row ${row + 1} of “${table.label}” has no ${found.label.toLowerCase()}.` };
  return { value: found.kind === "length" && typeof value === "number" ? value / NM_PER_M : value };
}

/** What is wrong in a table as it is written: a name twice, limits out of order, a gap, a value of another kind. */
export function tableProblems({
  label,
  columns,
  rows,
}: AssemblyTable): { readonly at: string; readonly message: string }[] {
  const found: { at: string; message: string }[] = [];
  for (const [index, row] of rows.entries()) {
    const before = rows[index - 1];
    if (before && row.upTo <= before.upTo) {
      found.push({
        at: `rows.${index}.upTo`,
        message: `Row ${index + 1} of “${label}” goes no further than the one before it.`,
      });
    }
    for (const [place, column] of columns.entries()) {
      const value = row.values[place];
      const wanted = column.kind === "text" ? "string" : "number";
      if (value === undefined) {
        found.push({
          at: `rows.${index}.values.${place}`,
          message: `Row ${index + 1} of “${label}” has no ${column.label.toLowerCase()}.`,
        });
      } else if (typeof value !== wanted) {
        found.push({
          at: `rows.${index}.values.${place}`,
          message: `Row ${index + 1} of “${label}”: “${String(value)}” is no ${column.kind}.`,
        });
      }
    }
  }
  const names = new Set(columns.map((each) => each.name));
  if (names.size < columns.length) found.push({ at: "columns", message: `Two columns of “${label}” have one name.` });
  return found;
}
