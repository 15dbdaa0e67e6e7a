import { randomUUID } from "node:crypto";
import { type PriceItem, priceItemSchema } from "@wide-porch/core";
import { type DataSource, type EntityManager, In } from "typeorm";
import { z } from "zod";
import { userEntity } from "../companies/entity";
import { requireQuota } from "../companies/usage";
import type { Config } from "../config";
import { type Endpoint, endpoint } from "../http/endpoint";
import { HttpProblem, notFound } from "../http/problemDetails";
import type { Received } from "../http/received";
import { changeOnce } from "../jobs/commands";
import { type PriceBatchRow, priceBatchEntity, priceItemVersionEntity } from "./entity";
import { type ItemChange, lockItems, saveItems } from "./save";

const MOST_AT_ONCE = 50_000;
const LATEST = 50;

const batchSchema = z
  .object({
    id: z.string(),
    fromWhere: z.string(),
    at: z.iso.datetime(),
    by: z.string(),
    itemCount: z.int(),
    undoneAt: z.iso.datetime().nullable(),
  })
  .meta({ id: "PriceBatch" });

const takeSchema = z
  .object({
    fromWhere: z.string().trim().min(1).max(200),
    changes: z
      .array(z.object({ baseRevision: z.int().min(0), item: priceItemSchema }))
      .min(1)
      .max(MOST_AT_ONCE),
  })
  .refine(({ changes }) => new Set(changes.map(({ item }) => item.code)).size === changes.length, "Each item once.")
  .meta({ id: "PriceBatchToTake" });

const shown = (row: PriceBatchRow, names: ReadonlyMap<string, string>) => ({
  id: row.id,
  fromWhere: row.fromWhere,
  at: row.at.toISOString(),
  by: names.get(row.byUserId) ?? "",
  itemCount: row.itemCount,
  undoneAt: row.undoneAt?.toISOString() ?? null,
});

async function namesOf(source: DataSource | EntityManager, companyId: string): Promise<ReadonlyMap<string, string>> {
  const users = await source.getRepository(userEntity).findBy({ companyId });
  return new Map(users.map(({ id, name }) => [id, name]));
}

export const priceBatchEndpoints = (dataSource: DataSource, { quotas }: Pick<Config, "quotas">): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/price-batches",
    access: "sees-costs",
    summary: "What was taken out of files and from suppliers, newest first",
    status: 200,
    answer: z.object({ items: z.array(batchSchema) }),
    handle: async ({ user }) => {
      const { companyId } = user;
      const rows = await dataSource
        .getRepository(priceBatchEntity)
        .find({ where: { companyId }, order: { at: "DESC", id: "ASC" }, take: LATEST });
      const names = await namesOf(dataSource, companyId);
      return { items: rows.map((row) => shown(row, names)) };
    },
  }),
  endpoint({
    method: "post",
    path: "/price-batches",
    access: "sees-costs",
    summary: "Take items of a file or a supplier together: all of them, or none where one has changed meanwhile",
    status: 201,
    lane: "reckoning",
    bodyOf: "large-json",
    // Tens of thousands of items, each written twice.
    longestMs: 90_000,
    body: takeSchema,
    noted: { what: "prices-taken", about: aboutBatch },
    answer: batchSchema,
    handle: ({ user, body, received }) =>
      changeOnce(dataSource, { user, received }, "take-prices", async (manager) => {
        const { companyId } = user;
        const batch: PriceBatchRow = {
          id: randomUUID(),
          companyId,
          fromWhere: body.fromWhere,
          at: new Date(),
          byUserId: user.id,
          itemCount: body.changes.length,
          undoneAt: null,
        };
        const fresh = body.changes.filter(({ baseRevision }) => baseRevision === 0).length;
        await requireQuota(manager, companyId, quotas, "items", fresh);
        await saveItems(manager, body.changes, { companyId, userId: user.id, batchId: batch.id, at: batch.at });
        await manager.getRepository(priceBatchEntity).insert(batch);
        return shown(batch, new Map([[user.id, user.name]]));
      }),
  }),
  endpoint({
    method: "post",
    path: "/price-batches/:id/undo",
    access: "sees-costs",
    summary: "Put items back to what they were before a batch; those changed since stay, and are named",
    status: 200,
    lane: "reckoning",
    noted: { what: "prices-taken-back", about: aboutBatch },
    answer: z.object({ batch: batchSchema, left: z.array(z.string()) }),
    handle: ({ user, param, received }) =>
      changeOnce(dataSource, { user, received }, "undo-prices", async (manager) => {
        const { companyId } = user;
        const batches = manager.getRepository(priceBatchEntity);
        const where = { id: param("id"), companyId };
        const batch = await batches.findOne({ where, lock: { mode: "pessimistic_write" } });
        if (!batch) throw notFound("batch of prices");
        if (batch.undoneAt) throw new HttpProblem(409, { detail: "It has been taken back already." });
        const at = new Date();
        const { back, left } = await changesBack(manager, batch);
        if (back.length > 0) await saveItems(manager, back, { companyId, userId: user.id, batchId: null, at });
        await batches.update(where, { undoneAt: at });
        return { batch: shown({ ...batch, undoneAt: at }, await namesOf(manager, companyId)), left };
      }),
  }),
];

/** The batch that a request was about, or the one that it has just made: where from, and how many items. */
async function aboutBatch({ params, signedIn }: Received, source: DataSource): Promise<string> {
  if (!signedIn) return "";
  const { companyId, id: byUserId } = signedIn.user;
  const where = params.id === undefined ? { companyId, byUserId } : { companyId, id: params.id };
  const [batch] = await source.getRepository(priceBatchEntity).find({ where, order: { at: "DESC" }, take: 1 });
  return batch ? `${batch.fromWhere}, items: ${batch.itemCount}` : "";
}

type Back = { readonly back: ItemChange[]; readonly left: string[] };

/** What puts a batch's items back. What was new with it is retired: a job may use it by now. */
async function changesBack(manager: EntityManager, { id, companyId }: PriceBatchRow): Promise<Back> {
  const versions = manager.getRepository(priceItemVersionEntity);
  const taken = await versions.findBy({ companyId, batchId: id });
  const codes = taken.map(({ code }) => code);
  const rows = new Map((await lockItems(manager, companyId, codes)).map((row) => [row.code, row]));
  const before = await versionsBefore(manager, companyId, codes);
  const back: ItemChange[] = [];
  const left: string[] = [];
  for (const { code, revision, data } of taken) {
    if (rows.get(code)?.revision !== revision) {
      left.push(code);
      continue;
    }
    const item = before.get(`${code}/${revision - 1}`) ?? { ...data, retired: true };
    back.push({ baseRevision: revision, item });
  }
  return { back, left };
}

async function versionsBefore(
  manager: EntityManager,
  companyId: string,
  codes: readonly string[],
): Promise<Map<string, PriceItem>> {
  const found = new Map<string, PriceItem>();
  for (let start = 0; start < codes.length; start += 500) {
    const code = In(codes.slice(start, start + 500));
    const rows = await manager.getRepository(priceItemVersionEntity).findBy({ companyId, code });
    for (const row of rows) found.set(`${row.code}/${row.revision}`, row.data);
  }
  return found;
}
