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
