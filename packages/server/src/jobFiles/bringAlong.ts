import { isDeepStrictEqual } from "node:util";
import { type Assembly, type AssemblyRef, type Job, type JobFile, type Part, withAssemblies } from "@wide-porch/core";
import type { EntityManager, EntitySchema } from "typeorm";
import { type AssemblyRow, assemblyEntity, type StandardRow, standardEntity } from "../assemblies/entity";
import { resultsOf } from "../assemblies/results";

type Row = AssemblyRow | StandardRow;
type Versioned = Row["data"];

/**
 * The assemblies and the house standard of a job's file, for the company that takes it in. A version that the company has,
 * and that says the same, is its own; one that says something else comes in under an id of its own.
 */
export async function bringAlong(
  manager: EntityManager,
  companyId: string,
  userId: string,
  file: JobFile,
): Promise<{ readonly job: Job; readonly part: (part: Part) => Part }> {
  const assemblies = await bringIn(manager, assemblyEntity, companyId, userId, file.assemblies);
  const standards = await bringIn(manager, standardEntity, companyId, userId, file.standards);
  const renamed = (ref: AssemblyRef, names: ReadonlyMap<string, AssemblyRef>) =>
    names.get(`${ref.id}@${ref.version}`) ?? ref;
  const { job } = file;
  return {
    job: { ...job, standard: job.standard && renamed(job.standard, standards) },
    part: (part) => withAssemblies(part, (ref) => renamed(ref, assemblies)),
  };
}

/** What each comes in as, by `id@version`. */
async function bringIn<R extends Row>(
  manager: EntityManager,
  entity: EntitySchema<R>,
  companyId: string,
  userId: string,
  items: readonly Versioned[],
): Promise<Map<string, AssemblyRef>> {
  // TypeORM's types cannot follow a union of entities.
  const rows = manager.getRepository(entity as unknown as EntitySchema<Row>);
  const names = new Map<string, AssemblyRef>();
  for (const given of basesFirst(items)) {
    const item = onItsBase(given, names);
    const { id, version, system } = item;
    const known = await rows.findOneBy({ companyId, system, id, version });
    if (known && isDeepStrictEqual(known.data, item)) continue;
    const taken = await rows.findOneBy({ companyId, system, id });
    const fresh = taken ? { id: await freeId(rows, companyId, system, id), version: 1 } : { id, version };
    const results = "rules" in item ? { results: resultsOf(item, items.filter(isAssembly)) } : {};
    const row = {
      ...results,
      companyId,
      system,
      ...fresh,
      data: { ...item, ...fresh },
      retired: false,
      createdAt: new Date(),
      createdBy: userId,
    };
    await rows.insert(row as Row);
    names.set(`${id}@${version}`, fresh);
  }
  return names;
}

const isAssembly = (item: Versioned): item is Assembly => "rules" in item;

/** Those that others build on before them, so that their names are known. */
function basesFirst(items: readonly Versioned[]): Versioned[] {
  const ordered: Versioned[] = [];
  const visit = (item: Versioned, above: readonly Versioned[]): void => {
    if (ordered.includes(item) || above.includes(item)) return;
    const { id, version } = (isAssembly(item) && item.basedOn) || { id: "", version: 0 };
    const base = items.find((each) => each.id === id && each.version === version && each.system === item.system);
    if (base) visit(base, [...above, item]);
    ordered.push(item);
  };
  for (const item of items) visit(item, []);
  return ordered;
}

/** Built on its base under the name that this has here. */
function onItsBase(item: Versioned, names: ReadonlyMap<string, AssemblyRef>): Versioned {
  if (!isAssembly(item) || !item.basedOn) return item;
  const fresh = names.get(`${item.basedOn.id}@${item.basedOn.version}`);
  return fresh ? { ...item, basedOn: fresh } : item;
}

async function freeId(
  rows: { findOneBy: (where: { companyId: string; system: string; id: string }) => Promise<unknown> },
  companyId: string,
  system: string,
  id: string,
): Promise<string> {
  for (let number = 2; ; number += 1) {
    const candidate = `${id.slice(0, 50)}-${number}`;
    if (!(await rows.findOneBy({ companyId, system, id: candidate }))) return candidate;
  }
}
