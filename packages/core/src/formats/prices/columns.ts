import { z } from "zod";

/** What a price file can say of an item, and the headings it is usually under. */
export const PRICE_FIELDS = [
  { field: "code", label: "Code", guesses: ["code", "item code", "sku", "ref", "reference"] },
  { field: "name", label: "Name", guesses: ["name", "item", "description", "product"] },
  { field: "price", label: "Price", guesses: ["price", "unit price", "cost", "net price", "net"] },
  { field: "length", label: "Stock length", guesses: ["length", "stock length"] },
  { field: "holds", label: "A pack holds", guesses: ["pack size", "pack", "a pack holds", "cover", "covers"] },
  { field: "packName", label: "Sold by the", guesses: ["sold by the", "sold by", "pack name", "unit"] },
  { field: "kind", label: "Kind", guesses: ["kind", "type"] },
  { field: "category", label: "Category", guesses: ["category", "group"] },
  { field: "supplier", label: "Supplier", guesses: ["supplier", "merchant"] },
  { field: "supplierCode", label: "Supplier's code", guesses: ["supplier's code", "supplier code", "their code"] },
  { field: "waste", label: "Waste, percent", guesses: ["waste", "waste, percent", "waste %"] },
  { field: "date", label: "Date of the price", guesses: ["date", "date of the price", "price date"] },
] as const;
export type PriceField = (typeof PRICE_FIELDS)[number]["field"];

/** Columns by what they say; what a file has not is left as it is. */
export const priceMatchSchema = z.partialRecord(z.enum(PRICE_FIELDS.map(({ field }) => field)), z.string().max(200));
export type PriceMatch = z.infer<typeof priceMatchSchema>;

/** Read by its headings, until somebody says otherwise. */
export function guessPriceMatch(columns: readonly string[]): PriceMatch {
  const match: PriceMatch = {};
  const taken = new Set<string>();
  for (const { field, guesses } of PRICE_FIELDS) {
    const found = guesses.flatMap((guess) => columns.filter((column) => column.trim().toLowerCase() === guess));
    const column = found.find((each) => !taken.has(each));
    if (column === undefined) continue;
    match[field] = column;
    taken.add(column);
  }
  return match;
}
