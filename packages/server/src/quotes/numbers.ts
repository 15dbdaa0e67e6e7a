import { quoteNumber } from "@wide-porch/core";
import type { EntityManager } from "typeorm";
import { lockCompany } from "../companies/entity";
import { quoteCounterEntity, quoteEntity } from "./entity";

/** Under which numbers are counted that go on over the years. */
const EVERY_YEAR = 0;

/**
 * A company's next number, in the form that it numbers by. Its row is locked, so that no two quotes share one; a number that a quote
 * has already, from a file or from another form, is passed over.
 */
export async function nextNumber(manager: EntityManager, companyId: string, date: string): Promise<string> {
  const company = await lockCompany(manager, companyId);
  const { numbering } = company.settings.profile;
  const year = Number(date.slice(0, 4));
  const counted = numbering.byYear ? year : EVERY_YEAR;
  const counters = manager.getRepository(quoteCounterEntity);
  const quotes = manager.getRepository(quoteEntity);
  const last = (await counters.findOneBy({ companyId, year: counted }))?.last ?? 0;
  let count = Math.max(last + 1, numbering.firstNumber);
  while (await quotes.existsBy({ companyId, number: quoteNumber(numbering, year, count) })) count += 1;
  await counters.save({ companyId, year: counted, last: count });
  return quoteNumber(numbering, year, count);
}
