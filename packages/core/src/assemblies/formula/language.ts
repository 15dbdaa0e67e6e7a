import { type FunctionSignature, PART_KINDS, type Role } from "../../kinds";
import type { AssemblyPart } from "../schema";
import { FUNCTIONS } from "./functions";

/** The functions a formula may use and the roles it may name: those of the language itself, and those of a kind of part. */
export type Language = {
  readonly functions: ReadonlyMap<string, FunctionSignature>;
  readonly roles: readonly Role[];
};

const languages = new Map<AssemblyPart, Language>();

export function languageOf(part: AssemblyPart): Language {
  const known = languages.get(part);
  if (known) return known;
  const { functions, roles } = PART_KINDS[part];
  const all: readonly FunctionSignature[] = [...FUNCTIONS, ...functions];
  const language = { functions: new Map(all.map((each) => [each.name, each])), roles };
  languages.set(part, language);
  return language;
}
