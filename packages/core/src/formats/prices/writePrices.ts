import type { PriceItem } from "../../order/priceItem";
import { formatLength } from "../../units";
import type { Cell, Table } from "../tables";
import { PRICE_FIELDS, type PriceField } from "./columns";

type Said = Partial<Record<PriceField, Cell>>;

const amount = (price: string | null): Cell => (price === null ? "" : Number(price));

function soldRows({ buying, system }: PriceItem): Said[] {
  switch (buying.by) {
    case "length":
      return buying.stock.map(({ lengthNm, price }) => ({
        length: formatLength(lengthNm, system),
        price: amount(price),
      }));
    case "pack":
      return [{ holds: buying.packSize, packName: buying.packName, price: amount(buying.price) }];
    case "cover":
      return [{ holds: buying.cover, packName: buying.packName, price: amount(buying.price) }];
    default:
      return [{ price: amount(buying.price) }];
  }
}

/** A price list as a file that can be read back: a row for each price. */
export const priceTable = (items: readonly PriceItem[]): Table => ({
  name: "Price list",
  headings: PRICE_FIELDS.map(({ label }) => label),
  rows: items.flatMap((item) =>
    soldRows(item).map((sold) => {
      const { code, name, kind, category, supplier, supplierCode, wastePercent, priceDate } = item;
      const said: Said = {
        code,
        name,
        kind,
        category,
        supplier,
        supplierCode,
        waste: wastePercent,
        date: priceDate ?? "",
        ...sold,
      };
      return PRICE_FIELDS.map(({ field }) => said[field] ?? "");
    }),
  ),
});
