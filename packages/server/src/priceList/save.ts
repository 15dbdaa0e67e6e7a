import type { PriceItem } from "@wide-porch/core";
import { type EntityManager, In } from "typeorm";
import { HttpProblem } from "../http/problemDetails";
import { type PriceItemRow, priceItemEntity } from "./entity";

/** Rows of one statement: a packet has its limits. */
const AT_ONCE = 500;

export type ItemChange = { readonly baseRevision: number; readonly item: PriceItem };
export type Saver = {
  readonly companyId: string;
  readonly userId: string;
  readonly batchId: string | null;
  readonly at: Date;
};

const chunksOf = <T>(all: readonly T[]): T[][] =>
  Array.from({ length: Math.ceil(all.length / AT_ONCE) }, (_, index) =>
    all.slice(index * AT_ONCE, (index + 1) * AT_ONCE),
  );

/** The rows of those codes, locked until the transaction ends. Codes that are alike to the database are one. */
export async function lockItems(
  manager: EntityManager,
  companyId: string,
  codes: readonly string[],
): Promise<PriceItemRow[]> {
  const items = manager.getRepository(priceItemEntity);
  const found: PriceItemRow[] = [];
  for (const chunk of chunksOf(codes))
    found.push(...(await items.find({ where: { companyId, code: In(chunk) }, lock: { mode: "pessimistic_write" } })));
  return found;
}

/** Codes that the database takes for one and the same: capitals, accents and blanks at the end are no difference to it. */
export const foldedCode = (code: string): string =>
  code.normalize("NFKD").replace(/\p{M}/gu, "").toLowerCase().trimEnd();

function requireOneEach(changes: readonly ItemChange[], rows: ReadonlyMap<string, PriceItemRow>): void {
  const byFolded = new Map([...rows.keys()].map((code) => [foldedCode(code), code]));
  for (const { item } of changes) {
    const folded = foldedCode(item.code);
    const other = byFolded.get(folded);
    if (other !== undefined && other !== item.code) {
      const message = `“${item.code}” and “${other}” differ too little to be two codes.`;
      throw new HttpProblem(422, { detail: message, problems: [{ code: "code-taken", path: "item.code", message }] });
    }
    byFolded.set(folded, item.code);
  }
}

/** Refuses the whole where one of its items is not as it was when the change was made. */
function requireFresh(changes: readonly ItemChange[], rows: ReadonlyMap<string, PriceItemRow>): void {
  const stale = changes.filter(({ baseRevision, item }) => (rows.get(item.code)?.revision ?? 0) !== baseRevision);
  const [first] = stale;
  if (!first) return;
  const found = rows.get(first.item.code);
  const named = stale
    .slice(0, 3)
    .map(({ item }) => `“${item.code}”`)
    .join(", ");
  const more = stale.length > 3 ? ` and ${stale.length - 3} more` : "";
  throw new HttpProblem(409, {
    detail:
      first.baseRevision === 0
        ? `There is an item with the code ${named}${more} already. Nothing was taken.`
        : `${named}${more} changed in the meantime. Nothing was taken.`,
    ...(found ? { current: { revision: found.revision, item: found.data } } : {}),
  });
}

/** Saves items, all or none, each as its next revision, with what it was before in its history. */
export async function saveItems(
  manager: EntityManager,
  changes: readonly ItemChange[],
  saver: Saver,
): Promise<PriceItemRow[]> {
  const { companyId, at } = saver;
  const codes = changes.map(({ item }) => item.code);
  const rows = new Map((await lockItems(manager, companyId, codes)).map((row) => [row.code, row]));
  requireOneEach(changes, rows);
  requireFresh(changes, rows);
  const saved = changes.map(({ baseRevision, item }) => ({
    companyId,
    code: item.code,
    revision: baseRevision + 1,
    data: item,
  }));
  await insertBefore(manager, [...rows.values()], at);
  const [fresh, changed] = [
    saved.filter(({ revision }) => revision === 1),
    saved.filter(({ revision }) => revision > 1),
  ];
  // Somebody who makes the same item at the same moment is met, not overwritten.
  await insertItems(manager, fresh, "");
  await insertItems(manager, changed, "ON DUPLICATE KEY UPDATE revision = VALUES(revision), data = VALUES(data)");
  await copyToVersions(manager, saved, saver);
  return saved;
}

/** Many rows of one statement, written by the driver itself: tens of thousands take seconds. */
async function insertItems(manager: EntityManager, rows: readonly PriceItemRow[], otherwise: string): Promise<void> {
  for (const chunk of chunksOf(rows)) {
    const values = chunk.map(({ companyId, code, revision, data }) => [
      companyId,
      code,
      revision,
      JSON.stringify(data),
    ]);
    await manager.query(`INSERT INTO price_item (companyId, code, revision, data) VALUES ? ${otherwise}`, [values]);
  }
}

/** As they were before anybody changed them: nobody's, and kept once. */
async function insertBefore(manager: EntityManager, rows: readonly PriceItemRow[], at: Date): Promise<void> {
  for (const chunk of chunksOf(rows)) {
    const values = chunk.map(({ companyId, code, revision, data }) => [
      companyId,
      code,
      revision,
      JSON.stringify(data),
      at,
    ]);
    await manager.query("INSERT IGNORE INTO price_item_version (companyId, code, revision, data, at) VALUES ?", [
      values,
    ]);
  }
}

/** What was just saved, into the history; by the database itself, so that it is not sent twice. */
async function copyToVersions(manager: EntityManager, saved: readonly PriceItemRow[], saver: Saver): Promise<void> {
  const { companyId, userId, batchId, at } = saver;
  for (const chunk of chunksOf(saved)) {
    await manager.query(
      `INSERT INTO price_item_version (companyId, code, revision, data, at, byUserId, batchId)
       SELECT companyId, code, revision, data, ?, ?, ? FROM price_item WHERE companyId = ? AND code IN (?)`,
      [at, userId, batchId, companyId, chunk.map(({ code }) => code)],
    );
  }
}
