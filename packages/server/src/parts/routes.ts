import { kindOf, type Part, partContext, partSchema } from "@wide-porch/core";
import { library } from "@wide-porch/library";
import type { DataSource, EntityManager } from "typeorm";
import { z } from "zod";
import { inTransaction } from "../database/dataSource";
import { type Endpoint, endpoint } from "../http/endpoint";
import { HttpProblem, notFound, unfit } from "../http/problemDetails";
import { type PartAnswer, partAnswer, partAnswerSchema } from "../jobs/answers";
import { once } from "../jobs/commands";
import type { JobRow } from "../jobs/entity";
import { lockJob, touchJob } from "../jobs/store";
import { type PartRow, partEntity } from "./entity";

const MOST_PARTS = 2000;

const putSchema = z
  .object({
    /** Made by the client; the same command sent twice counts once. */
    commandId: z.uuid(),
    /** The revision this change was made on; 0 for a new part. */
    baseRevision: z.int().min(0),
    part: partSchema,
  })
  .meta({ id: "PartChange" });

const binSchema = z.object({ commandId: z.uuid(), baseRevision: z.int().min(1) }).meta({ id: "PartToBin" });

export const partEndpoints = (dataSource: DataSource): Endpoint[] => [
  endpoint({
    method: "put",
    path: "/jobs/:jobId/parts/:partId",
    access: "signed-in",
    summary:
      "Save a part; refused with the newer state when someone else changed it. Saving a binned part takes it out",
    status: 200,
    body: putSchema,
    answer: partAnswerSchema,
    handle: ({ user, param, body }) =>
      inTransaction(dataSource, async (manager) => {
        const job = await lockJob(manager, user.companyId, param("jobId"));
        const id = requireSameId(param("partId"), body.part);
        return once(manager, { companyId: user.companyId, commandId: body.commandId, target: id }, async () => {
          requireBuildable(body.part, job);
          const row = await findPart(manager, user.companyId, job.id, id);
          if (!row) return insertPart(manager, job, body, user.id);
          requireRevision(row, body.baseRevision);
          return savePart(manager, { ...row, data: body.part, binnedAt: null, updatedBy: user.id });
        });
      }),
  }),
  endpoint({
    method: "post",
    path: "/jobs/:jobId/parts/:partId/bin",
    access: "signed-in",
    summary: "Put a part in the bin; saving it again takes it out",
    status: 200,
    body: binSchema,
    answer: partAnswerSchema,
    handle: ({ user, param, body }) =>
      inTransaction(dataSource, async (manager) => {
        const job = await lockJob(manager, user.companyId, param("jobId"));
        const id = param("partId");
        return once(manager, { companyId: user.companyId, commandId: body.commandId, target: id }, async () => {
          const row = await findPart(manager, user.companyId, job.id, id);
          if (!row) throw notFound("part");
          requireRevision(row, body.baseRevision);
          return savePart(manager, { ...row, binnedAt: new Date(), updatedBy: user.id });
        });
      }),
  }),
];

function requireSameId(id: string, part: Part): string {
  if (part.id === id && z.uuid().safeParse(id).success) return id;
  throw unfit([{ code: "id", path: "part.id", message: "The part's id is the address's, and a UUID." }]);
}

/** A part with problems changes no count: the last good one stays in force. */
function requireBuildable(part: Part, job: JobRow): void {
  const problems = kindOf(part).problems(part, partContext(job.data.system, library));
  if (problems.length > 0) throw unfit(problems.map((each) => ({ ...each, path: `part.${each.path}` })));
}

function requireRevision(row: PartRow, baseRevision: number): void {
  if (row.revision !== baseRevision) throw new HttpProblem(409, { current: partAnswer(row) });
}

const findPart = (manager: EntityManager, companyId: string, jobId: string, id: string): Promise<PartRow | null> =>
  manager.getRepository(partEntity).findOneBy({ id, companyId, jobId });

async function insertPart(
  manager: EntityManager,
  job: JobRow,
  body: z.infer<typeof putSchema>,
  userId: string,
): Promise<PartAnswer> {
  const parts = manager.getRepository(partEntity);
  if (body.baseRevision !== 0 || (await parts.existsBy({ id: body.part.id }))) throw notFound("part");
  const { companyId } = job;
  const place = ((await parts.maximum("place", { companyId, jobId: job.id })) ?? 0) + 1;
  if (place > MOST_PARTS)
    throw unfit([{ code: "too-many", path: "part", message: `A job has at most ${MOST_PARTS} parts.` }]);
  const updatedAt = new Date();
  const row: PartRow = {
    id: body.part.id,
    companyId,
    jobId: job.id,
    revision: 1,
    place,
    data: body.part,
    updatedAt,
    updatedBy: userId,
    binnedAt: null,
  };
  await parts.insert(row);
  await touchJob(manager, companyId, job.id, updatedAt);
  return partAnswer(row);
}

async function savePart(manager: EntityManager, row: PartRow): Promise<PartAnswer> {
  const saved = { ...row, revision: row.revision + 1, updatedAt: new Date() };
  await manager.getRepository(partEntity).save(saved);
  await touchJob(manager, row.companyId, row.jobId, saved.updatedAt);
  return partAnswer(saved);
}
