import { z } from "zod";
import type { RecordKind } from "../records/recordKind";

/** A decimal amount as text, two to four places: `"9.84"`, `"0.0725"`. */
export const amountSchema = z.string().regex(/^\d{1,9}(\.\d{1,4})?$/, "An amount like 9.84, zero or more.");

/** Prices are null where nobody gave one, and for people who do not see costs. */
const priceSchema = amountSchema.nullable();

const buyingSchema = z.discriminatedUnion("by", [
  z.object({
    by: z.literal("length"),
    stock: z
      .array(z.object({ lengthNm: z.int().positive(), price: priceSchema }))
      .min(1)
      .max(40),
  }),
  z.object({ by: z.literal("each"), price: priceSchema }),
  z.object({
    by: z.literal("pack"),
    packSize: z.int().positive(),
    packName: z.string().min(1).max(60),
    price: priceSchema,
  }),
  /** A roll, bag or tin that covers so much: square metres, metres, cubic metres or kilograms, as it is counted. */
  z.object({
    by: z.literal("cover"),
    cover: z.number().positive(),
    packName: z.string().min(1).max(60),
    price: priceSchema,
  }),
]);

/** What is hired: how little of it can be, what bringing and fetching cost, fuel for one unit of the hire, and what it gets done in one. */
const hireSchema = z.object({
  /** In what it is hired by: days, hours. */
  least: z.number().min(0).max(10_000),
  delivery: amountSchema,
  collection: amountSchema,
  fuel: amountSchema,
  /** What one unit of the hire gets done, and in what; null where nobody knows. */
  output: z.number().positive().max(1_000_000).nullable(),
  outputUnit: z.string().max(20),
});
export type Hire = z.infer<typeof hireSchema>;
export const plainHire: Hire = { least: 0, delivery: "0", collection: "0", fuel: "0", output: null, outputUnit: "" };

/**
 * What comes by the truck: how many packs or steps a truck takes, from how many on a load costs nothing more, and what one that is short
 * costs, for itself and for each step that it lacks.
 */
const loadsSchema = z
  .object({
    most: z.int().positive().max(10_000),
    least: z.int().min(0).max(10_000),
    shortLoad: amountSchema,
    eachShort: amountSchema,
  })
  .refine(({ least, most }) => least <= most, { path: ["least"], message: "No more than a truck takes." });
export type Loads = z.infer<typeof loadsSchema>;

/** The same thing from somebody else, as they sell it. */
const secondSchema = z.object({
  supplier: z.string().min(1).max(120),
  supplierCode: z.string().max(60),
  priceDate: z.iso.date().nullable(),
  buying: buyingSchema,
});

/** What a price list sells. Labour and allowances come from elsewhere. */
export const ITEM_KINDS = ["material", "plant", "subcontract", "sundry"] as const;
export type ItemKind = (typeof ITEM_KINDS)[number];

/** Something bought: how it is counted, how it is sold, and for how much. */
export const priceItemSchema = z.object({
  schemaVersion: z.literal(4),
  code: z.string().min(1).max(80),
  name: z.string().min(1).max(120),
  system: z.enum(["imperial", "metric"]),
  kind: z.enum(ITEM_KINDS),
  /** What it is found under: a trade, a kind of goods. Empty for none. */
  category: z.string().max(60),
  supplier: z.string().max(120),
  /** What the supplier calls it; empty where nobody knows. */
  supplierCode: z.string().max(60),
  /** When its price was last said; null where nobody knows. */
  priceDate: z.iso.date().nullable(),
  /** Of one that is bought; null where nobody knows. */
  massKg: z.number().positive().max(100_000).nullable(),
  /** Offered no longer. It stays where a job uses it. */
  retired: z.boolean(),
  /** Added to the count before packs are rounded up. */
  wastePercent: z.number().min(0).max(100),
  buying: buyingSchema,
  /** Who else sells it. */
  second: secondSchema.nullable(),
  /** Null for what is not hired. */
  hire: hireSchema.nullable(),
  /** Null for what does not come by the truck. */
  loads: loadsSchema.nullable(),
});
export type PriceItem = z.infer<typeof priceItemSchema>;

/** Something of which no more is known than its code and how it is sold. */
export const newPriceItem = (
  code: string,
  system: PriceItem["system"],
  buying: PriceItem["buying"] = { by: "each", price: null },
): PriceItem => ({
  schemaVersion: 4,
  code,
  name: "",
  system,
  kind: "material",
  category: "",
  supplier: "",
  supplierCode: "",
  priceDate: null,
  massKg: null,
  retired: false,
  wastePercent: 0,
  buying,
  second: null,
  hire: null,
  loads: null,
});

export const priceItemRecord: RecordKind<PriceItem> = {
  name: "Item of the price list",
  schema: priceItemSchema,
  migrations: [
    {
      // What hires are was read from their codes alone.
      to: 2,
      name: "kinds-and-dates",
      up: (item) => ({
        ...item,
        kind: String(item.code).startsWith("plant/") ? "plant" : "material",
        category: "",
        supplierCode: "",
        priceDate: null,
        massKg: null,
        retired: false,
      }),
    },
    // Nobody else sold it, and hires had no terms.
    { to: 3, name: "second-suppliers-and-hire", up: (item) => ({ ...item, second: null, hire: null }) },
    // Nothing was known of what comes by the truck.
    { to: 4, name: "truck-loads", up: (item) => ({ ...item, loads: null }) },
  ],
};

function buyingWithoutPrices(buying: PriceItem["buying"]): PriceItem["buying"] {
  if (buying.by !== "length") return { ...buying, price: null };
  return { ...buying, stock: buying.stock.map((each) => ({ ...each, price: null })) };
}

/** The same item with nothing about money, for those who only need to know what to buy. */
export const withoutPrices = (item: PriceItem): PriceItem => ({
  ...item,
  buying: buyingWithoutPrices(item.buying),
  second: item.second && { ...item.second, buying: buyingWithoutPrices(item.second.buying) },
  hire: item.hire && { ...item.hire, delivery: "0", collection: "0", fuel: "0" },
  loads: item.loads && { ...item.loads, shortLoad: "0", eachShort: "0" },
});

/** The item bought from who was second; the first is second then. The same where there is none. */
export function fromSecond(item: PriceItem): PriceItem {
  const { second, supplier, supplierCode, priceDate, buying } = item;
  if (!second) return item;
  return { ...item, ...second, second: supplier === "" ? null : { supplier, supplierCode, priceDate, buying } };
}
