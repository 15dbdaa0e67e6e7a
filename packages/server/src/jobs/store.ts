import type { DataSource, EntityManager } from "typeorm";
import { IsNull } from "typeorm";
import { notFound } from "../http/problemDetails";
import { type PartRow, partEntity } from "../parts/entity";
import { type JobRow, jobEntity } from "./entity";

type Source = DataSource | EntityManager;

/** Every look-up names the company: another company's job is no job. Throws 404. */
export async function jobOf(source: Source, companyId: string, jobId: string): Promise<JobRow> {
  const row = await source.getRepository(jobEntity).findOneBy({ id: jobId, companyId });
  if (!row) throw notFound("job");
  return row;
}

/** Locks the job's row until the transaction ends. Throws 404. */
export async function lockJob(manager: EntityManager, companyId: string, jobId: string): Promise<JobRow> {
  const row = await manager
    .getRepository(jobEntity)
    .findOne({ where: { id: jobId, companyId }, lock: { mode: "pessimistic_write" } });
  if (!row) throw notFound("job");
  return row;
}

export const partsOf = (source: Source, companyId: string, jobId: string): Promise<PartRow[]> =>
  source
    .getRepository(partEntity)
    .find({ where: { companyId, jobId, binnedAt: IsNull() }, order: { place: "ASC", id: "ASC" } });

export const touchJob = (manager: EntityManager, companyId: string, jobId: string, at: Date) =>
  manager.getRepository(jobEntity).update({ id: jobId, companyId }, { updatedAt: at });
