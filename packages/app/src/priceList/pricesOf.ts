import { formatLength, type PriceItem } from "@wide-porch/core";

/** One price of an item, and the item with another in its place. */
export type PriceEntry = {
  readonly label: string;
  readonly price: string | null;
  readonly withPrice: (price: string) => PriceItem;
};

export function pricesOf(item: PriceItem): PriceEntry[] {
  const { buying } = item;
  if (buying.by !== "length")
    return [
      { label: soldBy(buying), price: buying.price, withPrice: (price) => ({ ...item, buying: { ...buying, price } }) },
    ];
  return buying.stock.map((stock) => ({
    label: formatLength(stock.lengthNm, item.system),
    price: stock.price,
    withPrice: (price) => ({
      ...item,
      buying: { ...buying, stock: buying.stock.map((each) => (each === stock ? { ...each, price } : each)) },
    }),
  }));
}

function soldBy(buying: Exclude<PriceItem["buying"], { by: "length" }>): string {
  if (buying.by === "each") return "Each";
  return buying.by === "pack" ? `A ${buying.packName} of ${buying.packSize}` : `A ${buying.packName}`;
}

/** Prices older than this are marked: common practice is a quarter. */
export const OLD_AFTER_DAYS = 90;
const DAY_MS = 86_400_000;

/** How many days ago a price was said; nothing where nobody knows. */
export function ageOfPrice({ priceDate }: PriceItem, todayMs: number): number | undefined {
  if (priceDate === null) return undefined;
  return Math.max(0, Math.floor((todayMs - Date.parse(`${priceDate}T00:00:00Z`)) / DAY_MS));
}

/** The date of today by the device's own clock. */
export const todayText = (): string => {
  const now = new Date();
  return [now.getFullYear(), now.getMonth() + 1, now.getDate()].map((part) => String(part).padStart(2, "0")).join("-");
};
