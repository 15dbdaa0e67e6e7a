import { type ItemVersion, type Job, type PriceItem, versionInForce, withItems } from "@wide-porch/core";
import { type DataSource, type EntityManager, In, MoreThan } from "typeorm";
import { isKnown } from "../database/lifted";
import { type PriceItemVersionRow, priceItemEntity, priceItemVersionEntity } from "./entity";
import { priceListOf } from "./store";

type Source = DataSource | EntityManager;
type Kept = { readonly revision: number; readonly item: PriceItem };

const versionOf = ({ revision, at, data }: PriceItemVersionRow): ItemVersion => ({
  revision,
  at: at.toISOString(),
  item: data,
});

/** Codes of items that may not be as they are now for a job: changed since its moment, or taken one by one. */
async function codesInQuestion(source: Source, companyId: string, { at, taken }: Job["prices"]): Promise<string[]> {
  if (at === null) return [];
  const since = await source
    .getRepository(priceItemVersionEntity)
    .createQueryBuilder("version")
    .select("DISTINCT version.code", "code")
    .where({ companyId, at: MoreThan(new Date(at)) })
    .getRawMany<{ code: string }>();
  return [...new Set([...since.map(({ code }) => code), ...Object.keys(taken)])];
}

/** The items that a job is reckoned with in another version than the list has now. */
export async function keptItems(source: Source, companyId: string, { prices }: Pick<Job, "prices">): Promise<Kept[]> {
  const codes = await codesInQuestion(source, companyId, prices);
  if (codes.length === 0) return [];
  const where = { companyId, code: In(codes) };
  const rows = await source
    .getRepository(priceItemVersionEntity)
    .find({ where, order: { code: "ASC", revision: "ASC" } });
  const now = await source.getRepository(priceItemEntity).find({ where, select: { code: true, revision: true } });
  const versions = new Map<string, ItemVersion[]>();
  for (const row of rows.filter(isKnown)) versions.set(row.code, [...(versions.get(row.code) ?? []), versionOf(row)]);
  return now.flatMap(({ code, revision }) => {
    const found = versionInForce(versions.get(code) ?? [], prices);
    return found && found.revision !== revision ? [{ revision: found.revision, item: found.item }] : [];
  });
}

/** The price list that a job is reckoned with. */
export async function pricesOfJob(
  source: Source,
  companyId: string,
  job: Pick<Job, "prices">,
): Promise<readonly PriceItem[]> {
  const [now, kept] = await Promise.all([priceListOf(source, companyId), keptItems(source, companyId, job)]);
  return withItems(
    now,
    kept.map(({ item }) => item),
  );
}

/** Goes up with each price that is changed; nothing reckoned before holds beyond it. */
export async function priceStamp(source: Source, companyId: string): Promise<string> {
  const newest = await source.getRepository(priceItemVersionEntity).findOne({
    where: { companyId },
    order: { id: "DESC" },
    select: { id: true },
  });
  return newest?.id ?? "0";
}
