import { randomUUID } from "node:crypto";
import { copyJob, newJobSchema } from "@wide-porch/core";
import type { DataSource } from "typeorm";
import { z } from "zod";
import { requireQuota } from "../companies/usage";
import type { Config } from "../config";
import { type Endpoint, endpoint } from "../http/endpoint";
import { insertParts } from "../parts/store";
import { jobAnswer, jobAnswerSchema } from "./answers";
import { changeOnce } from "./commands";
import { insertJob } from "./routes";
import { jobOf, partsOf } from "./store";

const copySchema = newJobSchema
  .pick({ title: true, customerName: true, site: true })
  .extend({
    partIds: z.array(z.string().max(80)).max(2000).nullable(),
    shelf: z.enum(["open", "template"]),
    typed: z.boolean(),
  })
  .meta({ id: "CopyOfJob" });

export const jobCopyEndpoints = (dataSource: DataSource, { quotas }: Pick<Config, "quotas">): Endpoint[] => [
  endpoint({
    method: "post",
    path: "/jobs/:jobId/copies",
    access: "sees-costs",
    summary:
      "A job as the start of another: all of its parts or some, at the prices of today; the first stays as it is",
    status: 201,
    lane: "reckoning",
    body: copySchema,
    answer: jobAnswerSchema,
    handle: ({ user, param, body, received }) =>
      changeOnce(dataSource, { user, received }, "copy-job", async (manager) => {
        const { companyId, id: userId } = user;
        await requireQuota(manager, companyId, quotas, "jobs", 1);
        const from = await jobOf(manager, companyId, param("jobId"));
        const parts = (await partsOf(manager, companyId, from.id)).map((part) => part.data);
        const at = new Date();
        const copy = copyJob(from.data, parts, body, at.toISOString(), randomUUID);
        const row = await insertJob(manager, companyId, copy.job);
        const added = copy.parts.map((part) => ({ id: part.id, data: part }));
        await insertParts(manager, row, added, { userId, at });
        return jobAnswer(row, user.role);
      }),
  }),
];
