import type { Part } from "@wide-porch/core";
import { type EntityManager, In, IsNull } from "typeorm";
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
  row: VersionedRow,
  how: VersionWay,
  data: Part,
  author: Author,
): Promise<void> {
  await manager.getRepository(partVersionEntity).insert(versionOf(row, how, data, author));
}

type VersionedRow = Pick<PartRow, "id" | "companyId" | "jobId" | "revision">;

const versionOf = (row: VersionedRow, how: VersionWay, data: Part, { userId, at }: Author) => {
  const { id: partId, companyId, jobId, revision } = row;
  return { companyId, jobId, partId, revision, how, data, at, byUserId: userId };
};

/** A part under the id of its row; one of an unknown kind keeps in its record the id it came with. */
export type NewPart = { readonly id: string; readonly data: Part };

export async function insertPart(
  manager: EntityManager,
  job: JobRow,
  part: NewPart,
  author: Author,
): Promise<PartAnswer> {
  const [row] = await insertParts(manager, job, [part], author);
  if (!row) throw new Error(`insertPart: ${part.id} was not put in`);
  return partAnswer(row);
}

/** What lies in the bin takes no room. */
export async function requireRoom(
  manager: EntityManager,
  { companyId, id: jobId }: JobRow,
  more: number,
): Promise<void> {
  const kept = await manager.getRepository(partEntity).countBy({ companyId, jobId, binnedAt: IsNull() });
  if (kept + more <= MOST_PARTS) return;
  throw unfit([{ code: "too-many", path: "part", message: `A job has at most ${MOST_PARTS} parts.` }]);
}

/** Rows of one statement. */
const AT_ONCE = 100;

/** New parts after those that a job has, as one change of it. */
export async function insertParts(
  manager: EntityManager,
  job: JobRow,
  added: readonly NewPart[],
  author: Author,
): Promise<PartRow[]> {
  const parts = manager.getRepository(partEntity);
  if (added.length === 0) return [];
  if (await parts.existsBy({ id: In(added.map(({ id }) => id)) })) throw notFound("part");
  const { companyId, id: jobId } = job;
  await requireRoom(manager, job, added.length);
  const last = (await parts.maximum("place", { companyId, jobId })) ?? 0;
  const updatedAt = new Date();
  const changeNumber = await nextChange(manager, companyId, jobId, updatedAt);
  const shared = { changeNumber, companyId, jobId, revision: 1, updatedAt, updatedBy: author.userId, binnedAt: null };
  const rows = added.map(({ id, data }, index): PartRow => ({ ...shared, id, data, place: last + 1 + index }));
  for (let start = 0; start < rows.length; start += AT_ONCE) {
    const chunk = rows.slice(start, start + AT_ONCE);
    await parts.insert(chunk);
    await manager
      .getRepository(partVersionEntity)
      .insert(chunk.map((row) => versionOf(row, "saved", row.data, author)));
  }
  return rows;
}

export async function savePart(manager: EntityManager, row: PartRow, author: Author): Promise<PartAnswer> {
  const updatedAt = new Date();
  const changeNumber = await nextChange(manager, row.companyId, row.jobId, updatedAt);
  const saved = { ...row, revision: row.revision + 1, changeNumber, updatedAt, updatedBy: author.userId };
  await manager.getRepository(partEntity).save(saved);
  await noteVersion(manager, saved, saved.binnedAt ? "binned" : "saved", saved.data, author);
  return partAnswer(saved);
}
