import { priceItemSchema, withoutPrices } from "@wide-porch/core";
import type { DataSource } from "typeorm";
import { z } from "zod";
import { inTransaction } from "../database/dataSource";
import { isKnown } from "../database/lifted";
import { type Endpoint, endpoint, seesCosts } from "../http/endpoint";
import { HttpProblem, notFound } from "../http/problemDetails";
import { priceItemEntity } from "./entity";

const answerSchema = z.object({ revision: z.int(), item: priceItemSchema }).meta({ id: "PriceItemRevision" });

const changeSchema = z.object({ baseRevision: z.int().min(1), item: priceItemSchema }).meta({ id: "PriceItemChange" });

export const priceListEndpoints = (dataSource: DataSource): Endpoint[] => [
  endpoint({
    method: "get",
    path: "/price-list",
    access: "signed-in",
    summary: "The company's price list; crew get it without prices",
    status: 200,
    answer: z.object({ items: z.array(answerSchema) }),
    handle: async ({ user }) => {
      const where = { companyId: user.companyId };
      const rows = await dataSource.getRepository(priceItemEntity).find({ where, order: { code: "ASC" } });
      // What this program cannot read, it cannot take the prices out of either.
      const shown = seesCosts(user.role)
        ? rows
        : rows.filter(isKnown).map((row) => ({ ...row, data: withoutPrices(row.data) }));
      return { items: shown.map((row) => ({ revision: row.revision, item: row.data })) };
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
    handle: ({ user, param, body }) =>
      inTransaction(dataSource, async (manager) => {
        const items = manager.getRepository(priceItemEntity);
        const where = { companyId: user.companyId, code: param("code") };
        const row = await items.findOne({ where, lock: { mode: "pessimistic_write" } });
        if (!row) throw notFound("item in the price list");
        if (body.item.code !== row.code) {
          const message = "An item keeps its code.";
          throw new HttpProblem(422, {
            detail: message,
            problems: [{ code: "code-changed", path: "item.code", message }],
          });
        }
        if (row.revision !== body.baseRevision) {
          throw new HttpProblem(409, { current: { revision: row.revision, item: row.data } });
        }
        await items.save({ ...row, revision: row.revision + 1, data: body.item });
        return { revision: row.revision + 1, item: body.item };
      }),
  }),
];
