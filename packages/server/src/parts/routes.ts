import {
  kindOf,
  type Library,
  MOST_PART_BYTES,
  type Part,
  partContext,
  partSchema,
  settlePart,
} from "@wide-porch/core";
import { type DataSource, LessThan } from "typeorm";
import { z } from "zod";
import { libraryOf } from "../assemblies/store";
import { userEntity } from "../companies/entity";
import { inTransaction } from "../database/dataSource";
import { type Endpoint, endpoint } from "../http/endpoint";
import { notFound, unfit } from "../http/problemDetails";
import { partAnswerSchema } from "../jobs/answers";
import { commandOf, once } from "../jobs/commands";
import type { JobRow } from "../jobs/entity";
import { jobOf, lockJob } from "../jobs/store";
import { partVersionEntity, VERSION_WAYS } from "./entity";
import { findPart, insertPart, noteVersion, requireKnown, requireRevision, requireRoom, savePart } from "./store";

const VERSIONS_SHOWN = 50;
const OLDEST_MS = 90 * 24 * 3_600_000;

const commandFields = {
  /** Made by the client; the same command sent twice counts once. */
  commandId: z.uuid(),
  /** How long ago the change was made, by the device's own clock: whether that clock is right does not matter. */
  ageMs: z.int().min(0).default(0),
};

const putSchema = z
  .object({
    ...commandFields,
    /** The revision this change was made on; 0 for a new part. */
    baseRevision: z.int().min(0),
    part: partSchema,
  })
  .meta({ id: "PartChange" });

const binSchema = z.object({ ...commandFields, baseRevision: z.int().min(1) }).meta({ id: "PartToBin" });

const asideSchema = z.object({ ...commandFields, part: partSchema }).meta({ id: "PartSetAside" });

const versionSchema = z
  .object({
    /** What older ones are asked for by. */
    id: z.string(),
    revision: z.int(),
    how: z.enum(VERSION_WAYS),
    at: z.iso.datetime(),
    by: z.string(),
    part: partSchema,
  })
  .meta({ id: "PartVersion" });

const historySchema = z.object({
  before: z.coerce.number().int().min(1).max(Number.MAX_SAFE_INTEGER).optional(),
});

const madeAt = (ageMs: number): Date => new Date(Date.now() - Math.min(ageMs, OLDEST_MS));

export const partEndpoints = (dataSource: DataSource): Endpoint[] => [
  endpoint({
    method: "put",
    path: "/jobs/:jobId/parts/:partId",
    access: "signed-in",
    summary:
      "Save a part; refused with the newer state when someone else changed it. Saving a binned part takes it out",
    status: 200,
    lane: "records",
    bodyOf: "record",
    body: putSchema,
    answer: partAnswerSchema,
    handle: ({ user, param, body }) =>
      inTransaction(dataSource, async (manager) => {
        const job = await lockJob(manager, user.companyId, param("jobId"));
        const id = requireSameId(param("partId"), body.part);
        requireSize(body.part);
        const author = { userId: user.id, at: madeAt(body.ageMs) };
        return once(manager, commandOf(user, "put-part", body.commandId, id), async () => {
          requireBuildable(body.part, job, await libraryOf(manager, user.companyId, job.data, [body.part]));
          const row = await findPart(manager, user.companyId, job.id, id);
          if (row) {
            requireKnown(row);
            requireRevision(row, body.baseRevision);
            if (row.binnedAt) await requireRoom(manager, job, 1);
            return savePart(manager, { ...row, data: body.part, binnedAt: null }, author);
          }
          if (body.baseRevision !== 0) throw notFound("part");
          return insertPart(manager, job, { id, data: body.part }, author);
        });
      }),
  }),
  endpoint({
    method: "post",
    path: "/jobs/:jobId/parts/:partId/bin",
    access: "signed-in",
    summary: "Put a part in the bin; saving it again takes it out",
    status: 200,
    lane: "records",
    body: binSchema,
    answer: partAnswerSchema,
    handle: ({ user, param, body }) =>
      inTransaction(dataSource, async (manager) => {
        const job = await lockJob(manager, user.companyId, param("jobId"));
        const id = param("partId");
        const author = { userId: user.id, at: madeAt(body.ageMs) };
        return once(manager, commandOf(user, "bin-part", body.commandId, id), async () => {
          const row = await findPart(manager, user.companyId, job.id, id);
          if (!row) throw notFound("part");
          requireRevision(row, body.baseRevision);
          return savePart(manager, { ...row, binnedAt: new Date() }, author);
        });
      }),
  }),
  endpoint({
    method: "post",
    path: "/jobs/:jobId/parts/:partId/set-aside",
    access: "signed-in",
    summary: "Keep a version that was not chosen in the part's history; the part itself stays as it is",
    status: 200,
    lane: "records",
    bodyOf: "record",
    body: asideSchema,
    answer: z.object({ kept: z.literal(true) }),
    handle: ({ user, param, body }) =>
      inTransaction(dataSource, async (manager) => {
        const job = await lockJob(manager, user.companyId, param("jobId"));
        const id = requireSameId(param("partId"), body.part);
        requireSize(body.part);
        return once(manager, commandOf(user, "set-aside", body.commandId, id), async () => {
          const row = await findPart(manager, user.companyId, job.id, id);
          if (!row) throw notFound("part");
          requireKnown(row);
          // What is kept can be gone back to: it is an entry like any other.
          requireBuildable(body.part, job, await libraryOf(manager, user.companyId, job.data, [body.part]));
          await noteVersion(manager, row, "set-aside", body.part, { userId: user.id, at: madeAt(body.ageMs) });
          return { kept: true as const };
        });
      }),
  }),
  endpoint({
    method: "get",
    path: "/jobs/:jobId/parts/:partId/history",
    access: "signed-in",
    summary:
      "The latest versions of a part, newest first, with who made each and when; older ones after the last of a page",
    status: 200,
    lane: "records",
    query: historySchema,
    answer: z.object({ items: z.array(versionSchema), more: z.boolean() }),
    handle: async ({ user, param, query: { before } }) => {
      const { companyId } = user;
      const job = await jobOf(dataSource, companyId, param("jobId"));
      const own = { companyId, jobId: job.id, partId: param("partId") };
      const versions = await dataSource.getRepository(partVersionEntity).find({
        where: { ...own, ...(before === undefined ? {} : { id: LessThan(String(before)) }) },
        order: { id: "DESC" },
        take: VERSIONS_SHOWN + 1,
      });
      if (versions.length === 0 && before === undefined) throw notFound("part");
      const people = await dataSource.getRepository(userEntity).findBy({ companyId });
      const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? "Someone who has left";
      const items = versions.slice(0, VERSIONS_SHOWN).map(({ id, revision, how, at, byUserId, data }) => ({
        id: String(id),
        revision,
        how,
        at: at.toISOString(),
        by: nameOf(byUserId),
        part: data,
      }));
      return { items, more: versions.length > VERSIONS_SHOWN };
    },
  }),
];

/** All that is in it together: names of choices, uses and texts have limits of their own, and there may be many. */
function requireSize(part: Part): void {
  const most = kindOf(part).mostBytes ?? MOST_PART_BYTES;
  const bytes = Buffer.byteLength(JSON.stringify(part));
  if (bytes <= most) return;
  const message = `A part's record is at most ${most / 1024} kB; this one has ${Math.ceil(bytes / 1024)}.`;
  throw unfit([{ code: "too-large", path: "part", message }]);
}

function requireSameId(id: string, part: Part): string {
  if (part.id === id && z.uuid().safeParse(id).success) return id;
  throw unfit([{ code: "id", path: "part.id", message: "The part's id is the address's, and a UUID." }]);
}

/** A part with problems changes no count: the last good one stays in force. */
function requireBuildable(part: Part, job: JobRow, library: Library): void {
  const { system } = job.data;
  // By the choices that it is counted by: its record may assume others.
  const settled = settlePart(part, system, library);
  const problems = kindOf(settled).problems(settled, partContext(system, library));
  if (problems.length > 0) throw unfit(problems.map((each) => ({ ...each, path: `part.${each.path}` })));
}
