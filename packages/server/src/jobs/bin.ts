import { type DataSource, IsNull, Not } from "typeorm";
import { z } from "zod";
import { userEntity } from "../companies/entity";
import { inTransaction } from "../database/dataSource";
import { type Endpoint, endpoint } from "../http/endpoint";
import { notFound } from "../http/problemDetails";
import { aboutJob } from "./aboutJob";
import { commandOf, once } from "./commands";
import { type JobRow, jobEntity } from "./entity";
import { BIN_DAYS, lockJob } from "./store";

const MOST_SHOWN = 200;
const DAY_MS = 86_400_000;

const binnedSchema = z
  .object({
    id: z.string(),
    title: z.string(),
    customerName: z.string(),
    binnedAt: z.iso.datetime(),
    by: z.string(),
    /** When it is gone for good, with its photos and quotes. */
    goneAt: z.iso.datetime(),
  })
  .meta({ id: "DeletedJob" });

const commandSchema = z.object({ commandId: z.uuid() }).meta({ id: "JobToDelete" });

/** A name out of a record that may be of any version. */
const textIn = (data: object, name: string): string => {
  const value: unknown = Reflect.get(data, name);
  return typeof value === "string" ? value : "";
};

const shown = ({ id, data, binnedAt, binnedBy }: JobRow, names: ReadonlyMap<string, string>) => {
  const at = binnedAt ?? new Date(0);
  return {
    id,
    title: textIn(data, "title"),
    customerName: textIn(data, "customerName"),
    binnedAt: at.toISOString(),
    by: names.get(binnedBy ?? "") ?? "Someone who has left",
    goneAt: new Date(at.getTime() + BIN_DAYS * DAY_MS).toISOString(),
  };
};

/** Jobs that are deleted: out of everybody's sight at once, gone with all that is theirs after some weeks, and to be had back until then. */
export const jobBinEndpoints = (dataSource: DataSource): Endpoint[] => [
  endpoint({
    method: "post",
    path: "/jobs/:jobId/bin",
    access: "sees-costs",
    summary: `Delete a job: it can be restored for ${BIN_DAYS} days, and is then gone with its photos and quotes`,
    status: 200,
    noted: { what: "job-deleted", about: aboutJob },
    body: commandSchema,
    answer: z.object({ deleted: z.literal(true) }),
    handle: ({ user, param, body }) =>
      inTransaction(dataSource, async (manager) =>
        once(manager, commandOf(user, "bin-job", body.commandId, param("jobId")), async () => {
          const job = await lockJob(manager, user.companyId, param("jobId"));
          const where = { id: job.id, companyId: user.companyId };
          await manager.getRepository(jobEntity).update(where, { binnedAt: new Date(), binnedBy: user.id });
          return { deleted: true as const };
        }),
      ),
  }),
  endpoint({
    method: "post",
    path: "/jobs/:jobId/restore",
    access: "sees-costs",
    summary: "Bring a deleted job back",
    status: 200,
    noted: { what: "job-restored", about: aboutJob },
    body: commandSchema,
    answer: z.object({ restored: z.literal(true) }),
    handle: ({ user, param, body }) =>
      inTransaction(dataSource, async (manager) =>
        once(manager, commandOf(user, "restore-job", body.commandId, param("jobId")), async () => {
          const where = { id: param("jobId"), companyId: user.companyId, binnedAt: Not(IsNull()) };
          const change = { binnedAt: null, binnedBy: null };
          const { affected } = await manager.getRepository(jobEntity).update(where, change);
          if (!affected) throw notFound("deleted job");
          return { restored: true as const };
        }),
      ),
  }),
  endpoint({
    method: "get",
    path: "/deleted-jobs",
    access: "sees-costs",
    summary: "Jobs that were deleted and can be restored, the latest first",
    status: 200,
    lane: "records",
    answer: z.object({ items: z.array(binnedSchema) }),
    handle: async ({ user: { companyId } }) => {
      const where = { companyId, binnedAt: Not(IsNull()) };
      const rows = await dataSource
        .getRepository(jobEntity)
        .find({ where, order: { binnedAt: "DESC" }, take: MOST_SHOWN });
      const users = await dataSource.getRepository(userEntity).findBy({ companyId });
      const names = new Map(users.map(({ id, name }) => [id, name]));
      return { items: rows.map((row) => shown(row, names)) };
    },
  }),
];
