import { JOB_SHELVES, JOB_STAGES } from "@wide-porch/core";
import type { DataSource, SelectQueryBuilder } from "typeorm";
import { z } from "zod";
import type { Config } from "../config";
import { isKnown } from "../database/lifted";
import { type Endpoint, endpoint, seesCosts } from "../http/endpoint";
import { priceStamp } from "../priceList/inForce";
import { jobAnswer, jobAnswerSchema } from "./answers";
import { type JobRow, jobEntity } from "./entity";
import { type JobTotalRow, jobTotalEntity, KEPT, shortBuild } from "./totals";

const SORTS = ["changed", "title", "customer", "total", "margin"] as const;

const pageSchema = z.object({
  page: z.coerce.number().int().min(1).max(100_000).default(1),
  perPage: z.coerce.number().int().min(1).max(100).default(50),
  /** Words that a job's name, customer or site has, each of them somewhere. */
  find: z.string().trim().max(160).default(""),
  shelf: z.enum(JOB_SHELVES).default("open"),
  stage: z.enum(JOB_STAGES).optional(),
  sort: z.enum(SORTS).default("changed"),
});
type Asked = z.infer<typeof pageSchema>;

const totalSchema = z.object({
  total: z.string(),
  marginPercent: z.string(),
  /** Whether something changed since it was reckoned. */
  old: z.boolean(),
  /** What an earlier build of the program made of it, where that was another sum. */
  former: z.string().nullable(),
});

/** What a person types is no pattern: a percent sign is one. */
const literally = (word: string): string => word.replace(/[\\%_]/g, "\\$&");
const SEARCHED =
  "CONCAT_WS(' ', JSON_VALUE(job.data, '$.title'), JSON_VALUE(job.data, '$.customerName'), JSON_VALUE(job.data, '$.site'))";
/** Jobs saved before there were shelves are on the first. */
const SHELF = "COALESCE(JSON_VALUE(job.data, '$.shelf'), 'open')";
const STAGE = "COALESCE(JSON_VALUE(job.data, '$.stage'), 'pricing')";

const ORDERS: Readonly<Record<Asked["sort"], readonly [string, "ASC" | "DESC"]>> = {
  changed: ["job.updatedAt", "DESC"],
  title: ["JSON_VALUE(job.data, '$.title') COLLATE utf8mb4_unicode_ci", "ASC"],
  customer: ["JSON_VALUE(job.data, '$.customerName') COLLATE utf8mb4_unicode_ci", "ASC"],
  total: ["(SELECT total FROM job_total WHERE job_total.jobId = job.id)", "DESC"],
  margin: ["(SELECT marginPercent FROM job_total WHERE job_total.jobId = job.id)", "DESC"],
};

function asked(
  query: SelectQueryBuilder<JobRow>,
  companyId: string,
  { find, shelf, stage }: Asked,
): SelectQueryBuilder<JobRow> {
  query.where("job.companyId = :companyId", { companyId }).andWhere("job.binnedAt IS NULL");
  query.andWhere(`${SHELF} = :shelf`, { shelf });
  if (stage !== undefined) query.andWhere(`${STAGE} = :stage`, { stage });
  for (const [index, word] of find.split(/\s+/).filter(Boolean).entries())
    query.andWhere(`${SEARCHED} COLLATE utf8mb4_unicode_ci LIKE :word${index}`, {
      [`word${index}`]: `%${literally(word)}%`,
    });
  return query;
}

/** The ids of a page in their order, and how many there are in all. */
async function page(dataSource: DataSource, companyId: string, query: Asked) {
  const { sort, page: number, perPage } = query;
  const jobs = dataSource.getRepository(jobEntity);
  const total = await asked(jobs.createQueryBuilder("job"), companyId, query).getCount();
  const [by, way] = ORDERS[sort];
  const rows = await asked(jobs.createQueryBuilder("job"), companyId, query)
    .select("job.id", "id")
    .addSelect(by, "sorted")
    .orderBy("sorted", way)
    .addOrderBy("job.id", "ASC")
    .offset((number - 1) * perPage)
    .limit(perPage)
    .getRawMany<{ id: string }>();
  return { total, ids: rows.map(({ id }) => id) };
}

/** One of a version that is not known here is nobody's to reckon. */
const keepsPrices = (job: JobRow): boolean => isKnown(job) && job.data.prices.at !== null;

function totalOf(row: JobTotalRow, job: JobRow, stamp: string, build: string) {
  const isOfNow = row.changeNumber === job.changeNumber && row.priceStamp === (keepsPrices(job) ? KEPT : stamp);
  return {
    total: row.total,
    marginPercent: row.marginPercent,
    old: !isOfNow || row.build !== build,
    former: isOfNow && row.build === build ? row.formerTotal : null,
  };
}

export const jobListEndpoints = (dataSource: DataSource, config: Pick<Config, "build">): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/jobs",
    access: "signed-in",
    summary: "The company's jobs of one shelf, last changed first where nothing else is asked; with what each came to",
    status: 200,
    lane: "records",
    query: pageSchema,
    answer: z.object({
      items: z.array(jobAnswerSchema.extend({ total: totalSchema.nullable() })),
      total: z.int(),
      page: z.int(),
      perPage: z.int(),
    }),
    handle: async ({ user, query }) => {
      const { companyId, role } = user;
      // What jobs come to is a cost, and so is their order by it.
      const sort = seesCosts(role) ? query.sort : "changed";
      const { total, ids } = await page(dataSource, companyId, { ...query, sort });
      const rows =
        ids.length === 0 ? [] : await dataSource.getRepository(jobEntity).findBy(ids.map((id) => ({ id, companyId })));
      const totals =
        !seesCosts(role) || ids.length === 0
          ? []
          : await dataSource.getRepository(jobTotalEntity).findBy(ids.map((jobId) => ({ jobId, companyId })));
      const stamp = totals.length === 0 ? "0" : await priceStamp(dataSource, companyId);
      const byId = new Map(rows.map((row) => [row.id, row]));
      const items = ids.flatMap((id) => {
        const row = byId.get(id);
        if (!row) return [];
        const own = totals.find(({ jobId }) => jobId === id);
        return [{ ...jobAnswer(row, role), total: own ? totalOf(own, row, stamp, shortBuild(config.build)) : null }];
      });
      return { items, total, page: query.page, perPage: query.perPage };
    },
  }),
];
