import type { DataSource, EntityManager } from "typeorm";
import { IsNull, MoreThan } from "typeorm";
import { isKnown, whyNotKnown } from "../database/lifted";
import { HttpProblem, notFound } from "../http/problemDetails";
import { type PartRow, partEntity } from "../parts/entity";
import { type JobRow, jobEntity } from "./entity";

type Source = DataSource | EntityManager;

/** Every look-up names the company: another company's job is no job. Throws 404. */
export async function jobOf(source: Source, companyId: string, jobId: string): Promise<JobRow> {
  const row = await source.getRepository(jobEntity).findOneBy({ id: jobId, companyId });
  return requireKnown(row);
}

/** Locks the job's row until the transaction ends. Throws 404. */
export async function lockJob(manager: EntityManager, companyId: string, jobId: string): Promise<JobRow> {
  const row = await manager
    .getRepository(jobEntity)
    .findOne({ where: { id: jobId, companyId }, lock: { mode: "pessimistic_write" } });
  return requireKnown(row);
}

/** So long a deleted job can be brought back. */
export const BIN_DAYS = 30;

/** A job that was deleted is there for nobody until it is brought back. */
function inBin(): HttpProblem {
  const message = `This job was deleted. It can be restored from the bin of the list of jobs for ${BIN_DAYS} days.`;
  return new HttpProblem(404, { detail: message, problems: [{ code: "job-deleted", path: "job", message }] });
}

function requireKnown(row: JobRow | null): JobRow {
  if (!row) throw notFound("job");
  if (row.binnedAt) throw inBin();
  const why = whyNotKnown(row.data);
  if (why === undefined) return row;
  const message = `This job is kept as it is: ${why}`;
  throw new HttpProblem(422, { detail: message, problems: [{ code: "not-known", path: "job", message }] });
}

/** Every part of a job, those of a kind or version that this program does not know among them. */
export const allPartsOf = (source: Source, companyId: string, jobId: string): Promise<PartRow[]> =>
  source
    .getRepository(partEntity)
    .find({ where: { companyId, jobId, binnedAt: IsNull() }, order: { place: "ASC", id: "ASC" } });

/** The parts that can be counted. */
export const partsOf = async (source: Source, companyId: string, jobId: string): Promise<PartRow[]> =>
  (await allPartsOf(source, companyId, jobId)).filter(isKnown);

export const touchJob = (manager: EntityManager, companyId: string, jobId: string, at: Date) =>
  manager.getRepository(jobEntity).update({ id: jobId, companyId }, { updatedAt: at });

/** Counts a change of the job, whose row is locked, and gives its number. */
export async function nextChange(manager: EntityManager, companyId: string, jobId: string, at: Date): Promise<number> {
  const jobs = manager.getRepository(jobEntity);
  const where = { id: jobId, companyId };
  await jobs.update(where, { updatedAt: at, changeNumber: () => "changeNumber + 1" });
  return changeNumberOf(manager, companyId, jobId);
}

/** The number of the job's last change, without reading the job. Throws 404. */
export async function changeNumberOf(source: Source, companyId: string, jobId: string): Promise<number> {
  const where = { id: jobId, companyId };
  const select = { id: true, changeNumber: true, binnedAt: true } as const;
  const row = await source.getRepository(jobEntity).findOne({ where, select });
  if (!row) throw notFound("job");
  if (row.binnedAt) throw inBin();
  return row.changeNumber;
}

/** Parts changed after a change of the job, those in the bin among them. */
export const partsSince = (source: Source, companyId: string, jobId: string, since: number): Promise<PartRow[]> =>
  source.getRepository(partEntity).find({
    where: { companyId, jobId, changeNumber: MoreThan(since) },
    order: { place: "ASC", id: "ASC" },
  });

/** What a price follows from, without reading the job: its last change, and whether it keeps its prices. Throws 404. */
export async function changeAndPrices(
  source: DataSource,
  companyId: string,
  jobId: string,
): Promise<{ readonly changeNumber: number; readonly keepsPrices: boolean }> {
  const [row]: { changeNumber: number; at: string | null; binnedAt: Date | null }[] = await source.query(
    "SELECT changeNumber, binnedAt, JSON_VALUE(data, '$.prices.at') AS at FROM job WHERE id = ? AND companyId = ?",
    [jobId, companyId],
  );
  if (!row) throw notFound("job");
  if (row.binnedAt) throw inBin();
  return { changeNumber: row.changeNumber, keepsPrices: row.at !== null };
}
