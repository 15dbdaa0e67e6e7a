import {
  type Assembly,
  type AssemblyRef,
  type AssemblyTable,
  type HouseStandard,
  type Job,
  type Library,
  lackingBases,
  type Part,
  usedAssemblies,
} from "@wide-porch/core";
import { library, starterAssemblies, starterStandards } from "@wide-porch/library";
import { type DataSource, type EntityManager, type EntitySchema, In } from "typeorm";
import { isKnown } from "../database/lifted";
import { type AssemblyRow, assemblyEntity, type StandardRow, standardEntity } from "./entity";
import { resultsOf } from "./results";

type Source = DataSource | EntityManager;
type Row = AssemblyRow | StandardRow;

/** The newest version of each, in the order of their ids. */
export async function newestOf<R extends Row>(
  source: Source,
  entity: EntitySchema<R>,
  companyId: string,
): Promise<R[]> {
  const rows: Row[] = await source
    .getRepository<Row>(entity as EntitySchema<Row>)
    .find({ where: { companyId }, order: { id: "ASC", version: "ASC" } });
  const newest = new Map(rows.map((row) => [`${row.system}/${row.id}`, row]));
  // The rows are of the entity that was asked for.
  return [...newest.values()] as R[];
}

/** The versions that parts are counted with, and those that these build on. */
export async function assembliesOf(
  source: Source,
  companyId: string,
  system: string,
  refs: readonly AssemblyRef[],
): Promise<Assembly[]> {
  const found = await versionsOf(source, companyId, system, refs);
  // Bases are loaded step by step; a circle brings nothing new.
  for (let lacking = lackingBases(found); lacking.length > 0; lacking = lackingBases(found)) {
    const bases = await versionsOf(source, companyId, system, lacking);
    if (bases.length === 0) break;
    found.push(...bases);
  }
  return found;
}

async function versionsOf(
  source: Source,
  companyId: string,
  system: string,
  refs: readonly AssemblyRef[],
): Promise<Assembly[]> {
  if (refs.length === 0) return [];
  const ids = [...new Set(refs.map((ref) => ref.id))];
  const wanted = new Set(refs.map((ref) => `${ref.id}@${ref.version}`));
  const rows = await source.getRepository(assemblyEntity).find({ where: { companyId, system, id: In(ids) } });
  // One that this program cannot read is as if it were not there: what is counted with it says so.
  return rows.filter((row) => isKnown(row) && wanted.has(`${row.id}@${row.version}`)).map((row) => row.data);
}

export async function standardOf(
  source: Source,
  companyId: string,
  job: Pick<Job, "system" | "standard">,
): Promise<HouseStandard | undefined> {
  if (!job.standard) return undefined;
  const { id, version } = job.standard;
  const row = await source.getRepository(standardEntity).findOneBy({ companyId, system: job.system, id, version });
  return row && isKnown(row) ? row.data : undefined;
}

/** What assemblies of a system can look up beside their own tables: those of the standards that are not put away. */
export async function companyTables(source: Source, companyId: string, system: string): Promise<AssemblyTable[]> {
  const rows = await newestOf(source, standardEntity, companyId);
  const own = rows.filter((row) => row.system === system && !row.retired && isKnown(row));
  return own.flatMap((row) => row.data.tables);
}

/** The newest version of a standard that is not put away; null where there is none of that id. */
export async function newestStandard(
  source: Source,
  companyId: string,
  system: string,
  id: string | null,
): Promise<AssemblyRef | null> {
  if (id === null) return null;
  const where = { companyId, system, id, retired: false };
  const row = await source.getRepository(standardEntity).findOne({ where, order: { version: "DESC" } });
  return row && isKnown(row) ? { id: row.id, version: row.version } : null;
}

/** All that counting a job stands on, in the versions the job has. */
export async function libraryOf(
  source: Source,
  companyId: string,
  job: Pick<Job, "system" | "standard">,
  parts: readonly Part[],
): Promise<Library> {
  return {
    ...library,
    assemblies: await assembliesOf(source, companyId, job.system, usedAssemblies(parts)),
    standard: await standardOf(source, companyId, job),
  };
}

/** What a new company builds by until it makes its own. */
export async function insertStarters(source: Source, companyId: string): Promise<void> {
  const createdAt = new Date();
  const rowOf = <T extends { system: string; id: string; version: number }>(data: T) => ({
    companyId,
    system: data.system,
    id: data.id,
    version: data.version,
    data,
    retired: false,
    createdAt,
    createdBy: null,
  });
  const rows = starterAssemblies.map((each) => ({ ...rowOf(each), results: resultsOf(each, starterAssemblies) }));
  await source.getRepository(assemblyEntity).insert(rows);
  await source.getRepository(standardEntity).insert(starterStandards.map(rowOf));
}
