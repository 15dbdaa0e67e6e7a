import { priceItemSchema, withoutPrices } from "@wide-porch/core";
import type { DataSource } from "typeorm";
import { z } from "zod";
import { userEntity } from "../companies/entity";
import { requireQuota } from "../companies/usage";
import type { Config } from "../config";
import { isKnown } from "../database/lifted";
import { type Endpoint, endpoint, seesCosts } from "../http/endpoint";
import { HttpProblem, notFound } from "../http/problemDetails";
import { changeOnce } from "../jobs/commands";
import { priceItemEntity, priceItemVersionEntity } from "./entity";
import { saveItems } from "./save";

const answerSchema = z.object({ revision: z.int(), item: priceItemSchema }).meta({ id: "PriceItemRevision" });

const changeSchema = z.object({ baseRevision: z.int().min(1), item: priceItemSchema }).meta({ id: "PriceItemChange" });

const versionSchema = z
  .object({ revision: z.int(), at: z.iso.datetime(), by: z.string(), item: priceItemSchema })
  .meta({ id: "PriceItemVersion" });
const MOST_VERSIONS = 200;

export const priceListEndpoints = (dataSource: DataSource, { quotas }: Pick<Config, "quotas">): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/price-list",
    access: "signed-in",
    summary: "The company's price list; crew get it without prices",
    status: 200,
    lane: "records",
    answer: z.object({ at: z.iso.datetime(), items: z.array(answerSchema) }),
    handle: async ({ user }) => {
      // Before it is read: what changes meanwhile is later than this.
      const at = new Date().toISOString();
      const where = { companyId: user.companyId };
      const rows = await dataSource.getRepository(priceItemEntity).find({ where, order: { code: "ASC" } });
      // What this program cannot read, it cannot take the prices out of either.
      const shown = seesCosts(user.role)
        ? rows
        : rows.filter(isKnown).map((row) => ({ ...row, data: withoutPrices(row.data) }));
      return { at, items: shown.map((row) => ({ revision: row.revision, item: row.data })) };
    },
  }),
  endpoint({
    method: "put",
    path: "/price-list/:code",
    access: "sees-costs",
    summary: "Change one item of the price list",
    status: 200,
    body: changeSchema,
    answer: answerSchema,
    handle: ({ user, param, body, received }) =>
      changeOnce(dataSource, { user, received }, "change-item", async (manager) => {
        const { companyId } = user;
        const row = await manager.getRepository(priceItemEntity).findOneBy({ companyId, code: param("code") });
        if (!row) throw notFound("item in the price list");
        if (body.item.code !== row.code) {
          const message = "An item keeps its code.";
          throw new HttpProblem(422, {
            detail: message,
            problems: [{ code: "code-changed", path: "item.code", message }],
          });
        }
        const saver = { companyId, userId: user.id, batchId: null, at: new Date() };
        const [saved] = await saveItems(manager, [body], saver);
        return { revision: saved?.revision ?? body.baseRevision + 1, item: body.item };
      }),
  }),
  endpoint({
    method: "post",
    path: "/price-list",
    access: "sees-costs",
    summary: "Make an item of the price list; 409 where there is one of its code",
    status: 201,
    body: z.object({ item: priceItemSchema }).meta({ id: "PriceItemToMake" }),
    answer: answerSchema,
    handle: ({ user, body, received }) =>
      changeOnce(dataSource, { user, received }, "make-item", async (manager) => {
        await requireQuota(manager, user.companyId, quotas, "items", 1);
        const saver = { companyId: user.companyId, userId: user.id, batchId: null, at: new Date() };
        await saveItems(manager, [{ baseRevision: 0, item: body.item }], saver);
        return { revision: 1, item: body.item };
      }),
  }),
  endpoint({
    method: "get",
    path: "/price-list/:code/history",
    access: "sees-costs",
    summary: "What an item was, newest first",
    status: 200,
    lane: "records",
    answer: z.object({ items: z.array(versionSchema) }),
    handle: async ({ user, param }) => {
      const { companyId } = user;
      const where = { companyId, code: param("code") };
      const versions = dataSource.getRepository(priceItemVersionEntity);
      const rows = await versions.find({ where, order: { revision: "DESC" }, take: MOST_VERSIONS });
      const users = await dataSource.getRepository(userEntity).findBy({ companyId });
      const names = new Map(users.map(({ id, name }) => [id, name]));
      return {
        items: rows.filter(isKnown).map(({ revision, at, byUserId, data }) => ({
          revision,
          at: at.toISOString(),
          by: names.get(byUserId ?? "") ?? "",
          item: data,
        })),
      };
    },
  }),
];
