import { type FunctionSignature, PART_KINDS, type Role, type RowsOfPart } from "../../kinds";
import type { Assembly, AssemblyPart } from "../schema";
import type { AssemblyTable } from "../table";
import type { RowsOf } from "./expression";
import { FUNCTIONS } from "./functions";
import { propertiesOf } from "./properties";
import { type FormulaType, typeOfKind } from "./types";

/** Something there are several of, and what is known of each. */
export type Rows = { readonly label: string; readonly columns: ReadonlyMap<string, FormulaType> };

/** What formulas of an assembly may use beyond names: functions, roles, rows of the part, tables, properties of choices. */
export type Language = {
  readonly functions: ReadonlyMap<string, FunctionSignature>;
  readonly roles: readonly Role[];
  readonly rows: ReadonlyMap<string, Rows>;
  readonly tables: ReadonlyMap<string, AssemblyTable>;
  /** By the parameter that names a thing, and the property of the thing. */
  readonly properties: ReadonlyMap<string, ReadonlyMap<string, FormulaType>>;
};

type Spoken = Pick<Assembly, "appliesTo" | "tables" | "parameters">;

const languages = new WeakMap<Spoken, Language>();

export function languageOf(assembly: Spoken): Language {
  const known = languages.get(assembly);
  if (known) return known;
  const language = {
    ...ofKind(assembly.appliesTo),
    tables: new Map(assembly.tables.map((table) => [table.name, table])),
    properties: new Map(assembly.parameters.map((each) => [each.name, propertiesOf(each)])),
  };
  languages.set(assembly, language);
  return language;
}

function ofKind(part: AssemblyPart): Pick<Language, "functions" | "roles" | "rows"> {
  const kind: { readonly functions: readonly FunctionSignature[]; readonly roles: readonly Role[] } = PART_KINDS[part];
  const { rows = [] }: { readonly rows?: readonly RowsOfPart[] } = PART_KINDS[part];
  return {
    functions: new Map([...FUNCTIONS, ...kind.functions].map((each) => [each.name, each])),
    roles: kind.roles,
    rows: new Map(
      rows.map(({ name, label, columns }) => [
        name,
        { label, columns: new Map(columns.map((column) => [column.name, typeOfKind(column.kind)])) },
      ]),
    ),
  };
}

/** Which names are columns within a call, for a call that goes through rows. */
export const rowsIn =
  ({ functions, rows }: Language): RowsOf =>
  ({ name, args: [first] }) => {
    if (functions.get(name)?.takes[0] !== "rows" || first?.is !== "name") return undefined;
    return new Set(rows.get(first.name)?.columns.keys());
  };
