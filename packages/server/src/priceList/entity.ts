import { type PriceItem, priceItemRecord } from "@wide-porch/core";
import { EntitySchema } from "typeorm";
import { liftedTo } from "../database/lifted";

export type PriceItemRow = { companyId: string; code: string; revision: number; data: PriceItem };

export const priceItemEntity = new EntitySchema<PriceItemRow>({
  name: "price_item",
  columns: {
    companyId: { type: "char", length: 36, primary: true },
    code: { type: "varchar", length: 80, primary: true },
    revision: { type: "int" },
    data: { type: "json", transformer: liftedTo(priceItemRecord) },
  },
});

/** An item as it was: no price that anybody entered is ever gone. */
export type PriceItemVersionRow = {
  id: string;
  companyId: string;
  code: string;
  revision: number;
  data: PriceItem;
  at: Date;
  /** Null for what was there before anybody changed it. */
  byUserId: string | null;
  batchId: string | null;
};

export const priceItemVersionEntity = new EntitySchema<PriceItemVersionRow>({
  name: "price_item_version",
  columns: {
    id: { type: "bigint", primary: true, generated: true },
    companyId: { type: "char", length: 36 },
    code: { type: "varchar", length: 80 },
    revision: { type: "int" },
    data: { type: "json", transformer: liftedTo(priceItemRecord) },
    at: { type: "datetime", precision: 3 },
    byUserId: { type: "char", length: 36, nullable: true },
    batchId: { type: "char", length: 36, nullable: true },
  },
});

/** Items that were changed together, out of a file or a supplier's answer. */
export type PriceBatchRow = {
  id: string;
  companyId: string;
  fromWhere: string;
  at: Date;
  byUserId: string;
  itemCount: number;
  undoneAt: Date | null;
};

export const priceBatchEntity = new EntitySchema<PriceBatchRow>({
  name: "price_batch",
  columns: {
    id: { type: "char", length: 36, primary: true },
    companyId: { type: "char", length: 36 },
    fromWhere: { type: "varchar", length: 200 },
    at: { type: "datetime", precision: 3 },
    byUserId: { type: "char", length: 36 },
    itemCount: { type: "int" },
    undoneAt: { type: "datetime", precision: 3, nullable: true },
  },
});
