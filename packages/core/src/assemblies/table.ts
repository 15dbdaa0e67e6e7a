import { z } from "zod";
import { scalarSchema } from "../kinds";

/** What formulas know something by. */
export const nameSchema = z
  .string()
  .regex(/^[a-z][A-Za-z0-9]*$/, "A name is letters and digits, begun with a small letter.")
  .max(40);

/** A table that formulas and layouts look values up in: the first row whose limit is not less is the one. */
export const tableSchema = z.object({
  name: nameSchema,
  label: z.string().min(1).max(80),
  /** What it is looked up by; limits of lengths are whole nanometres. */
  by: z.enum(["length", "number"]),
  columns: z
    .array(z.object({ name: nameSchema, label: z.string().min(1).max(80), kind: z.enum(["length", "number", "text"]) }))
    .min(1)
    .max(12),
  rows: z
    .array(z.object({ upTo: z.number().positive(), values: z.array(scalarSchema).min(1).max(12) }))
    .min(1)
    .max(60),
});
export type AssemblyTable = z.infer<typeof tableSchema>;

/** An assembly with the tables of the company: in place of its own of the same name, and beside the rest. */
export function withTables<A extends { readonly tables: readonly AssemblyTable[] }>(
  assembly: A,
  tables: readonly AssemblyTable[] | undefined,
): A {
  if (!tables || tables.length === 0) return assembly;
  const known = merged.get(assembly);
  // What was merged of an assembly is of the same type.
  if (known?.tables === tables) return known.merged as A;
  const ofCompany = new Map(tables.map((table) => [table.name, table]));
  const own = assembly.tables.map((table) => ofCompany.get(table.name) ?? table);
  const names = new Set(own.map((table) => table.name));
  const all = { ...assembly, tables: [...own, ...tables.filter((table) => !names.has(table.name))] };
  merged.set(assembly, { tables, merged: all });
  return all;
}

/** Merged once for an assembly and a company's tables: what is compiled of it then still stands. */
const merged = new WeakMap<object, { readonly tables: readonly AssemblyTable[]; readonly merged: object }>();
