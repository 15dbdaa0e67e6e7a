import { z } from "zod";
import {
  amountSchema,
  ITEM_KINDS,
  type ItemKind,
  newPriceItem,
  type PriceItem,
  priceItemSchema,
} from "../../order/priceItem";
import { formatLength, type MeasuringSystem, parseLength } from "../../units";
import type { PriceField, PriceMatch } from "./columns";
import { readCount, readDate, readPrice } from "./readFigure";

export type PriceRows = { readonly columns: readonly string[]; readonly rows: readonly (readonly string[])[] };

/** What a file would change of one item, or why a row of it is not read. */
export type PriceChange = {
  readonly code: string;
  readonly name: string;
  /** Rows of the file, the first under the headings being 1. */
  readonly rows: readonly number[];
  /** `asked`: so different that somebody should look first. */
  readonly status: "new" | "changed" | "same" | "asked" | "refused";
  readonly before?: PriceItem;
  readonly after?: PriceItem;
  /** What changes, or what is wrong, in words. */
  readonly words: readonly string[];
  /** The new price over the old one where both are there. */
  readonly times?: number;
};

/** A price so many times another, or so small a share of it, is more likely a slip than news. */
const MANY_TIMES = 2.5;
export const MOST_PRICE_ROWS = 50_000;

type Row = { readonly number: number; readonly get: (field: PriceField) => string };
type Refusal = { readonly row: number; readonly code: string; readonly why: string };
type Sold = PriceItem["buying"];

const isKind = (text: string): text is ItemKind => ITEM_KINDS.some((kind) => kind === text);

function rowsOf({ columns, rows }: PriceRows, match: PriceMatch): Row[] {
  const places = new Map(columns.map((column, index) => [column, index]));
  return rows.map((cells, index) => ({
    number: index + 1,
    get: (field) => {
      const column = match[field];
      const place = column === undefined ? undefined : places.get(column);
      return place === undefined ? "" : (cells[place] ?? "").trim();
    },
  }));
}

type Reading = { readonly price: string; readonly currency: string };
type ReadRow = { readonly row: Row; readonly code: string; readonly priced: Reading | undefined };

/** The currency that most prices of a file are in; empty for none said. */
function mainCurrency(read: readonly ReadRow[]): string {
  const times = new Map<string, number>();
  for (const { priced } of read)
    if (priced?.currency) times.set(priced.currency, (times.get(priced.currency) ?? 0) + 1);
  return [...times].toSorted(([, a], [, b]) => b - a)[0]?.[0] ?? "";
}

/** How something that is not on the list yet is sold, by what its row says. */
function soldAs(row: Row, price: string): Sold {
  const holds = readCount(row.get("holds"));
  const packName = row.get("packName") || "pack";
  if (holds === undefined) return { by: "each", price };
  return Number.isInteger(holds)
    ? { by: "pack", packSize: holds, packName, price }
    : { by: "cover", cover: holds, packName, price };
}

const stockWith = (stock: Extract<Sold, { by: "length" }>["stock"], lengthNm: number, price: string) =>
  [...stock.filter((each) => each.lengthNm !== lengthNm), { lengthNm, price }].toSorted(
    (a, b) => a.lengthNm - b.lengthNm,
  );

/** What a pack holds, by what its row says: half the price for half a pack is no cheaper. */
function inPacksOf<S extends Exclude<Sold, { by: "length" }>>(buying: S, row: Row): S {
  const holds = readCount(row.get("holds"));
  if (holds === undefined || buying.by === "each") return buying;
  const packName = row.get("packName") || buying.packName;
  if (buying.by === "cover") return { ...buying, cover: holds, packName };
  return Number.isInteger(holds) ? { ...buying, packSize: holds, packName } : buying;
}

type Priced = { readonly ok: true; readonly buying: Sold } | { readonly ok: false; readonly why: string };

/** What is sold, with the price of a row in it; of a stock length its own price. */
function withPrice(buying: Sold | undefined, row: Row, price: string, system: MeasuringSystem): Priced {
  const length = row.get("length");
  if (length === "") {
    if (buying?.by === "length") {
      const [only, ...more] = buying.stock;
      if (!only || more.length > 0) return { ok: false, why: "it is sold in several lengths, and the row says none" };
      return { ok: true, buying: { by: "length", stock: [{ ...only, price }] } };
    }
    return { ok: true, buying: buying ? { ...inPacksOf(buying, row), price } : soldAs(row, price) };
  }
  const parsed = parseLength(length, system);
  if (!parsed.ok || parsed.value <= 0) return { ok: false, why: `“${length}” is no length` };
  if (buying && buying.by !== "length") return { ok: false, why: "it is not sold by the length" };
  return { ok: true, buying: { by: "length", stock: stockWith(buying?.stock ?? [], parsed.value, price) } };
}

/** The texts of a row in the place of an item's own; a column that is not in the file, or an empty cell, leaves what is there. */
function withTexts(item: PriceItem, row: Row): PriceItem {
  const kind = row.get("kind").toLowerCase();
  const waste = row.get("waste");
  const date = readDate(row.get("date"));
  return {
    ...item,
    name: row.get("name") || item.name,
    kind: isKind(kind) ? kind : item.kind,
    category: row.get("category") || item.category,
    supplier: row.get("supplier") || item.supplier,
    supplierCode: row.get("supplierCode") || item.supplierCode,
    wastePercent: waste !== "" && Number.isFinite(Number(waste)) ? Number(waste) : item.wastePercent,
    priceDate: date ?? item.priceDate,
  };
}

function rowProblem(row: Row): string | undefined {
  const kind = row.get("kind").toLowerCase();
  if (kind !== "" && !isKind(kind)) return `“${row.get("kind")}” is none of ${ITEM_KINDS.join(", ")}`;
  const waste = row.get("waste");
  if (waste !== "" && !(Number(waste) >= 0 && Number(waste) <= 100))
    return `“${waste}” is no share of waste from 0 to 100`;
  const date = row.get("date");
  if (date !== "" && readDate(date) === undefined) return `“${date}” is no date like 2026-11-30`;
  const holds = row.get("holds");
  if (holds !== "" && readCount(holds) === undefined) return `“${holds}” is nothing that a pack can hold`;
  return undefined;
}

type Made = { readonly ok: true; readonly item: PriceItem } | { readonly ok: false; readonly why: string };

/** One item out of the rows that are for it. */
function itemFrom(
  rows: readonly ReadRow[],
  before: PriceItem | undefined,
  system: MeasuringSystem,
  today: string,
): Made {
  let item: PriceItem | undefined = before;
  const [first] = rows;
  if (!first) return { ok: false, why: "there is no row" };
  for (const { row, priced } of rows) {
    if (!priced && !before) return { ok: false, why: "it is new and has no price" };
    const sold = priced ? withPrice(item?.buying, row, priced.price, before?.system ?? system) : undefined;
    if (sold && !sold.ok) return { ok: false, why: sold.why };
    const base: PriceItem = item ?? newPriceItem(first.code, system);
    item = withTexts({ ...base, buying: sold?.buying ?? base.buying, priceDate: priced ? today : base.priceDate }, row);
  }
  const checked = priceItemSchema.safeParse(item);
  if (checked.success) return { ok: true, item: checked.data };
  const [issue] = checked.error.issues;
  return {
    ok: false,
    why: issue?.path[0] === "name" ? "it is new and has no name" : (issue?.message ?? "it is no item"),
  };
}

const pricesOf = ({ buying }: PriceItem): ReadonlyMap<number, string | null> =>
  buying.by === "length"
    ? new Map(buying.stock.map(({ lengthNm, price }) => [lengthNm, price]))
    : new Map([[0, buying.price]]);

/** How much one price is for: a pack of so many, so much covered. */
const heldBy = ({ buying }: PriceItem): number =>
  buying.by === "pack" ? buying.packSize : buying.by === "cover" ? buying.cover : 1;

/** The greatest change of a price for one of what is sold, as how many times the old one the new one is. */
function timesOf(before: PriceItem, after: PriceItem): number | undefined {
  const old = pricesOf(before);
  const ratios = [...pricesOf(after)].flatMap(([length, price]) => {
    const was = old.get(length);
    return price === null || was === null || was === undefined || Number(was) === 0
      ? []
      : [(Number(price) * heldBy(before)) / (Number(was) * heldBy(after))];
  });
  return ratios.toSorted((a, b) => Math.abs(Math.log(b || 1e-9)) - Math.abs(Math.log(a || 1e-9)))[0];
}

function changesBetween(before: PriceItem, after: PriceItem): string[] {
  const old = pricesOf(before);
  const prices = [...pricesOf(after)].flatMap(([lengthNm, price]) => {
    const was = old.get(lengthNm);
    if (was === price || (was != null && price != null && Number(was) === Number(price))) return [];
    const of = lengthNm === 0 ? "" : `${formatLength(lengthNm, after.system)}: `;
    return [`${of}${was ?? "no price"} → ${price ?? "no price"}`];
  });
  const held =
    before.buying.by === after.buying.by && heldBy(before) !== heldBy(after)
      ? [`a pack of ${heldBy(before)} → of ${heldBy(after)}`]
      : [];
  const texts = (["name", "kind", "category", "supplier", "supplierCode", "wastePercent"] as const).flatMap((field) =>
    before[field] === after[field] ? [] : [`${before[field] === "" ? "nothing" : before[field]} → ${after[field]}`],
  );
  return [...prices, ...held, ...texts];
}

function changeOf(
  code: string,
  rows: readonly ReadRow[],
  before: PriceItem | undefined,
  system: MeasuringSystem,
  today: string,
): PriceChange {
  const at = { code, rows: rows.map(({ row }) => row.number) };
  const named = before?.name ?? rows[0]?.row.get("name") ?? code;
  const made = itemFrom(rows, before, system, today);
  if (!made.ok)
    return {
      ...at,
      name: named,
      status: "refused",
      words: [`It is not read: ${made.why}.`],
      ...(before ? { before } : {}),
    };
  const after = made.item;
  if (!before)
    return { ...at, name: after.name, status: "new", after, words: [...pricesOf(after).values()].map(String) };
  const words = changesBetween(before, after);
  if (words.length === 0) return { ...at, name: after.name, status: "same", before, after, words };
  const times = timesOf(before, after);
  const zero = [...pricesOf(after).values()].some((price) => price !== null && Number(price) === 0);
  const odd = times !== undefined && (times > MANY_TIMES - 1e-9 || times < 1 / MANY_TIMES + 1e-9);
  const asked =
    odd || zero
      ? [zero ? "It would cost nothing." : `${(times ?? 0).toFixed(times && times < 1 ? 2 : 0)} times what it was.`]
      : [];
  return {
    ...at,
    name: after.name,
    status: asked.length > 0 ? "asked" : "changed",
    before,
    after,
    words: [...words, ...asked],
    ...(times === undefined ? {} : { times }),
  };
}

/** A code as we know it; where we do not, by what the supplier calls one of our items and no other. */
function codesBySupplier(
  priceList: readonly PriceItem[],
  items: ReadonlyMap<string, PriceItem>,
): (typed: string) => string {
  const bySupplier = new Map<string, string | undefined>();
  for (const { code, supplierCode } of priceList)
    if (supplierCode !== "") bySupplier.set(supplierCode, bySupplier.has(supplierCode) ? undefined : code);
  return (typed) => (items.has(typed) ? typed : (bySupplier.get(typed) ?? typed));
}

const codeSchema = z.string().min(1).max(80);

/** Rows that are read, and those that are not. */
function sortOut(
  rows: readonly Row[],
  codeOf: (typed: string) => string,
): { readonly read: ReadRow[]; readonly refused: Refusal[] } {
  const read: ReadRow[] = [];
  const refused: Refusal[] = [];
  for (const row of rows) {
    const code = codeOf(row.get("code"));
    const refuse = (why: string) => refused.push({ row: row.number, code, why });
    if (!codeSchema.safeParse(code).success) {
      refuse(code === "" ? "there is no code" : "its code is longer than 80 letters");
      continue;
    }
    const problem = rowProblem(row);
    if (problem !== undefined) {
      refuse(problem);
      continue;
    }
    const typed = row.get("price");
    const price = typed === "" ? undefined : readPrice(typed);
    if (price && !price.ok) {
      refuse(price.why);
      continue;
    }
    if (price && !amountSchema.safeParse(price.text).success) {
      refuse(`“${typed}” is no price like 9.84`);
      continue;
    }
    read.push({ row, code, priced: price && { price: price.text, currency: price.currency } });
  }
  return { read, refused };
}

/** Rows for one item twice over: the same length, or no length, in several rows with different prices. */
function isTwice(rows: readonly ReadRow[]): boolean {
  const prices = new Map<string, string>();
  return rows.some(({ row, priced }) => {
    const length = row.get("length");
    const before = prices.get(length);
    // 5.00 and 5.0 are one price.
    const price = priced ? String(Number(priced.price)) : "";
    prices.set(length, price);
    return before !== undefined && before !== price;
  });
}

type Known = { readonly priceList: readonly PriceItem[]; readonly system: MeasuringSystem; readonly today: string };

/** What a file of prices would change, item by item in the order of the file, and each row that is not read. Nothing is changed by it. */
export function readPrices(table: PriceRows, match: PriceMatch, { priceList, system, today }: Known): PriceChange[] {
  const items = new Map(priceList.map((item) => [item.code, item]));
  const codeOf = codesBySupplier(priceList, items);
  const { read, refused } = sortOut(rowsOf(table, match), codeOf);
  const currency = mainCurrency(read);
  const byCode = new Map<string, ReadRow[]>();
  for (const each of read) {
    if (each.priced && each.priced.currency !== "" && each.priced.currency !== currency) {
      const why = `its price is in ${each.priced.currency}, and the others are in ${currency}`;
      refused.push({ row: each.row.number, code: each.code, why });
      continue;
    }
    const same = byCode.get(each.code);
    if (same) same.push(each);
    else byCode.set(each.code, [each]);
  }
  const changes = [...byCode].map(([code, rows]): PriceChange => {
    const before = items.get(code);
    if (!isTwice(rows)) return changeOf(code, rows, before, system, today);
    const name = before?.name ?? rows[0]?.row.get("name") ?? code;
    const words = ["It is in the file more than once, at different prices."];
    return {
      code,
      name,
      rows: rows.map(({ row }) => row.number),
      status: "refused",
      words,
      ...(before ? { before } : {}),
    };
  });
  const unread = refused.map(
    ({ row, code, why }): PriceChange => ({
      code,
      name: items.get(code)?.name ?? code,
      rows: [row],
      status: "refused",
      words: [`Row ${row} is not read: ${why}.`],
    }),
  );
  return [...unread, ...changes];
}
