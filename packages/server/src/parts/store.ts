import type { Part } from "@wide-porch/core";
import type { EntityManager } from "typeorm";
import { whyNotKnown } from "../database/lifted";
import { HttpProblem, notFound, unfit } from "../http/problemDetails";
import { type PartAnswer, partAnswer } from "../jobs/answers";
import type { JobRow } from "../jobs/entity";
import { nextChange } from "../jobs/store";
import { type PartRow, partEntity, partVersionEntity, type VersionWay } from "./entity";

const MOST_PARTS = 2000;

/** Who makes a change, and when they made it. */
export type Author = { readonly userId: string; readonly at: Date };

export const findPart = (
  manager: EntityManager,
  companyId: string,
  jobId: string,
  id: string,
): Promise<PartRow | null> => manager.getRepository(partEntity).findOneBy({ id, companyId, jobId });

/** Refuses a change made on another revision than the newest, with the newest beside it. */
export function requireRevision(row: PartRow, baseRevision: number): void {
  if (row.revision !== baseRevision) throw new HttpProblem(409, { current: partAnswer(row) });
}

/** A part of a kind or version that this program does not know is nothing to write over. */
export function requireKnown(row: PartRow): void {
  const why = whyNotKnown(row.data);
  if (why === undefined) return;
  const message = `This part is kept as it is: ${why}`;
  throw new HttpProblem(422, { detail: message, problems: [{ code: "not-known", path: "part", message }] });
}

export async function noteVersion(
  manager: EntityManager,
  row: Pick<PartRow, "id" | "companyId" | "jobId" | "revision">,
  how: VersionWay,
  data: Part,
  { userId, at }: Author,
): Promise<void> {
  const { id: partId, companyId, jobId, revision } = row;
  const version = { companyId, jobId, partId, revision, how, data, at, byUserId: userId };
  await manager.getRepository(partVersionEntity).insert(version);
}

/** A part under the id of its row; one of an unknown kind keeps in its record the id it came with. */
export type NewPart = { readonly id: string; readonly data: Part };

export async function insertPart(
  manager: EntityManager,
  job: JobRow,
  { id, data }: NewPart,
  author: Author,
): Promise<PartAnswer> {
  const parts = manager.getRepository(partEntity);
  if (await parts.existsBy({ id })) throw notFound("part");
  const { companyId, id: jobId } = job;
  const place = ((await parts.maximum("place", { companyId, jobId })) ?? 0) + 1;
  if (place > MOST_PARTS) {
    throw unfit([{ code: "too-many", path: "part", message: `A job has at most ${MOST_PARTS} parts.` }]);
  }
  const updatedAt = new Date();
  const changeNumber = await nextChange(manager, companyId, jobId, updatedAt);
  const row: PartRow = {
    id,
    changeNumber,
    companyId,
    jobId,
    revision: 1,
    place,
    data,
    updatedAt,
    updatedBy: author.userId,
    binnedAt: null,
  };
  await parts.insert(row);
  await noteVersion(manager, row, "saved", data, author);
  return partAnswer(row);
}

export async function savePart(manager: EntityManager, row: PartRow, author: Author): Promise<PartAnswer> {
  const updatedAt = new Date();
  const changeNumber = await nextChange(manager, row.companyId, row.jobId, updatedAt);
  const saved = { ...row, revision: row.revision + 1, changeNumber, updatedAt, updatedBy: author.userId };
  await manager.getRepository(partEntity).save(saved);
  await noteVersion(manager, saved, saved.binnedAt ? "binned" : "saved", saved.data, author);
  return partAnswer(saved);
}
