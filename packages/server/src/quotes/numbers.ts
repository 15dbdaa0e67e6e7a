import type { EntityManager } from "typeorm";
import { companyEntity } from "../companies/entity";
import { quoteCounterEntity, quoteEntity } from "./entity";

const numberOf = (year: number, count: number): string => `${year}-${String(count).padStart(4, "0")}`;

/**
 * The next number of a company's year. Its row is locked, so that no two quotes share one; a number that a quote from a file
 * has is passed over.
 */
export async function nextNumber(manager: EntityManager, companyId: string, date: string): Promise<string> {
  await manager.getRepository(companyEntity).findOne({ where: { id: companyId }, lock: { mode: "pessimistic_write" } });
  const year = Number(date.slice(0, 4));
  const counters = manager.getRepository(quoteCounterEntity);
  const quotes = manager.getRepository(quoteEntity);
  let count = ((await counters.findOneBy({ companyId, year }))?.last ?? 0) + 1;
  while (await quotes.existsBy({ companyId, number: numberOf(year, count) })) count += 1;
  await counters.save({ companyId, year, last: count });
  return numberOf(year, count);
}
