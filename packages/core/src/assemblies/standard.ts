import { z } from "zod";
import { SLOT_PARAMETERS, scalarSchema } from "../kinds";
import { type Problem, problem } from "../problems/problem";
import type { RecordKind } from "../records/recordKind";
import { tableProblems } from "./lookUp";
import { tableSchema } from "./table";

/**
 * How a company builds, as a set of defaults over its assemblies. What a person confirmed on a part goes before it; it goes
 * before the assembly's own defaults.
 */
export const houseStandardSchema = z.object({
  schemaVersion: z.literal(2),
  id: z.string().min(1).max(60),
  version: z.int().positive(),
  name: z.string().trim().min(1, "Give the standard a name.").max(120),
  system: z.enum(["imperial", "metric"]),
  /** For one assembly by its id, or for every one that has the parameter where the id is empty. */
  parameters: z
    .array(z.object({ assemblyId: z.string().max(60), name: z.string().min(1).max(40), value: scalarSchema }))
    .max(200),
  /** Waste on what is bought, by the start of its code: `timber/`. The longest start that fits goes before the others. */
  waste: z.array(z.object({ item: z.string().min(1).max(120), percent: z.number().min(0).max(100) })).max(60),
  /** Hours of a task as a share of the company's usual: 125 is a quarter more. An empty task is all tasks. */
  productivity: z.array(z.object({ task: z.string().max(60), percent: z.number().min(1).max(1000) })).max(60),
  /** Looked up by every assembly; one stands in place of an assembly's own of the same name. */
  tables: z.array(tableSchema).max(40),
});
export type HouseStandard = z.infer<typeof houseStandardSchema>;

export const standardRecord: RecordKind<HouseStandard> = {
  name: "House standard",
  schema: houseStandardSchema,
  migrations: [{ to: 2, name: "tables-of-the-company", up: (standard) => ({ ...standard, tables: [] }) }],
};

/** The standard's value of a parameter of an assembly; its own line goes before the line for all. */
export function standardValue(standard: HouseStandard | undefined, assemblyId: string, name: string) {
  if (!standard) return undefined;
  const lineFor = (id: string) => standard.parameters.find((line) => line.name === name && line.assemblyId === id);
  return (lineFor(assemblyId) ?? lineFor(""))?.value;
}

/** What no wall can be built by, in the lines of a standard, and what is wrong in its tables: where, and why. */
export const standardProblems = (standard: HouseStandard): readonly Problem[] => [
  ...parameterProblems(standard),
  ...tableProblemsOf(standard),
];

function tableProblemsOf({ tables }: HouseStandard): Problem[] {
  const names = tables.map((table) => table.name);
  return tables.flatMap((table, index) => [
    ...(names.indexOf(table.name) < index
      ? [problem("name-taken", `tables.${index}.name`, `There are two tables “${table.name}”.`)]
      : []),
    ...tableProblems(table).map(({ at, message }) => problem("bad-table", `tables.${index}.${at}`, message)),
  ]);
}

const parameterProblems = (standard: HouseStandard): Problem[] =>
  standard.parameters.flatMap(({ name, value }, index): Problem[] => {
    const [first, ...others] = SLOT_PARAMETERS.filter((each) => each.name === name);
    if (!first || [first, ...others].some((each) => each.stands(value))) return [];
    const message = `${first.label}: ${String(value)} is nothing that a wall is built by.`;
    return [problem("out-of-limits", `parameters.${index}.value`, message)];
  });

/** Waste in percent that the standard sets for an item; undefined where it says nothing. */
export function standardWaste(standard: HouseStandard | undefined, itemCode: string): number | undefined {
  if (!standard) return undefined;
  const fitting = standard.waste.filter((line) => itemCode.startsWith(line.item));
  return fitting.toSorted((a, b) => b.item.length - a.item.length)[0]?.percent;
}

/** Hours of a task in percent of the company's usual. */
export function standardProductivity(standard: HouseStandard | undefined, task: string): number {
  const lines = standard?.productivity ?? [];
  return (lines.find((line) => line.task === task) ?? lines.find((line) => line.task === ""))?.percent ?? 100;
}
