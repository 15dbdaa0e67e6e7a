import type { PriceItem } from "@wide-porch/core";
import type { DataSource, EntityManager } from "typeorm";
import { isKnown } from "../database/lifted";
import { priceItemEntity } from "./entity";

export async function priceListOf(source: DataSource | EntityManager, companyId: string): Promise<PriceItem[]> {
  const rows = await source.getRepository(priceItemEntity).find({ where: { companyId }, order: { code: "ASC" } });
  return rows.filter(isKnown).map((row) => row.data);
}
