import type { Part, PartContext, SectionBook } from "../parts";
import type { MeasuringSystem } from "../units";
import type { Assembly } from "./schema";

/** The data that counting stands on: timber sections and assemblies. */
export type Library = {
  readonly sections: SectionBook;
  readonly assemblies: readonly Assembly[];
};

/** Throws when the library has none: a library is checked as a whole when it is loaded. */
export function assemblyFor(part: Pick<Part, "kind">, system: MeasuringSystem, library: Library): Assembly {
  const assembly = library.assemblies.find((each) => each.appliesTo === part.kind && each.system === system);
  if (!assembly) throw new Error(`assemblyFor: the library has no ${system} assembly for "${part.kind}"`);
  return assembly;
}

export const partContext = (system: MeasuringSystem, library: Library): PartContext => ({
  system,
  sections: library.sections,
});
