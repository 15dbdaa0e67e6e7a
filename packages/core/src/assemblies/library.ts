import { type AssemblyRef, assembliesOf, type Part, type PartContext, type SectionBook, type UnitBook } from "../kinds";
import type { MeasuringSystem, Nanometres } from "../units";
import { type Assembled, assembledFrom } from "./basedOn";
import type { Assembly } from "./schema";
import type { SheetBook } from "./sheet";
import type { HouseStandard } from "./standard";
import { withTables } from "./table";

/** Sizes that ship with the product, by their ids. */
export type Books = {
  readonly sections: SectionBook;
  readonly sheets: SheetBook;
  readonly units: UnitBook;
};

/** The data that counting stands on: timber, sheets, assemblies in every version in use, and how the house builds. */
export type Library = Books & {
  readonly assemblies: readonly Assembly[];
  readonly standard?: HouseStandard | undefined;
  /** The longest length that each item is sold in, by its code: as long as a plate can be. Absent while nobody sells. */
  readonly longestSold?: ReadonlyMap<string, Nanometres> | undefined;
};

/** The assembly in the version named, with all that it builds on and the tables of the company; undefined where the library lacks it. */
export const findAssembled = (
  ref: AssemblyRef,
  system: MeasuringSystem,
  { assemblies, standard }: Pick<Library, "assemblies" | "standard">,
): Assembled | undefined => {
  const found = assemblies.find((each) => each.id === ref.id && each.version === ref.version && each.system === system);
  if (!found) return undefined;
  const { assembly, problems } = assembledFrom(found, assemblies);
  return { assembly: withTables(assembly, standard?.tables), problems };
};

/** The same without what could not be had of it. */
export const findAssembly = (
  ref: AssemblyRef,
  system: MeasuringSystem,
  library: Pick<Library, "assemblies" | "standard">,
): Assembly | undefined => findAssembled(ref, system, library)?.assembly;

/** Every assembly that parts are counted with, each version once. */
export function usedAssemblies(parts: readonly Part[]): AssemblyRef[] {
  const refs = new Map<string, AssemblyRef>();
  for (const part of parts) {
    for (const ref of assembliesOf(part)) refs.set(`${ref.id}@${ref.version}`, ref);
  }
  return [...refs.values()];
}

/** The newest version of each assembly of a system. */
export function newestAssemblies(system: MeasuringSystem, assemblies: readonly Assembly[]): Assembly[] {
  const newest = new Map<string, Assembly>();
  for (const each of assemblies) {
    if (each.system === system && each.version > (newest.get(each.id)?.version ?? 0)) newest.set(each.id, each);
  }
  return [...newest.values()];
}

export const partContext = (
  system: MeasuringSystem,
  { sections, units }: Pick<Library, "sections" | "units">,
): PartContext => ({ system, sections, units });

/** The same, each with all that it builds on: what it asks for is what its base asks for as well. */
export const newestAssembled = (system: MeasuringSystem, assemblies: readonly Assembly[]): Assembly[] =>
  newestAssemblies(system, assemblies).map((each) => assembledFrom(each, assemblies).assembly);
