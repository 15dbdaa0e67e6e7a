import {
  amountSchema,
  formatLength,
  type ItemKind,
  type MeasuringSystem,
  type PriceItem,
  parseLength,
  priceItemSchema,
} from "@wide-porch/core";
import type { Resolver } from "react-hook-form";
import { type DraftTerms, hireFrom, loadsFrom, noTerms, secondFrom, termsOf, wrongTerms } from "./itemTerms";
import { todayText } from "./pricesOf";

export type Sold = PriceItem["buying"]["by"];
export type DraftStock = { readonly id: number; readonly length: string; readonly price: string };

/** An item while it is typed: everything as text. */
export type Draft = DraftTerms & {
  readonly code: string;
  readonly name: string;
  readonly category: string;
  readonly supplier: string;
  readonly supplierCode: string;
  readonly wastePercent: string;
  readonly massKg: string;
  readonly kind: ItemKind;
  readonly system: MeasuringSystem;
  readonly by: Sold;
  readonly price: string;
  readonly holds: string;
  readonly packName: string;
  readonly stock: readonly DraftStock[];
};
type Wrong = Partial<Record<keyof Draft, string>>;

export type TextName = "code" | "name" | "category" | "supplier" | "supplierCode" | "wastePercent" | "massKg";
export const TEXTS: readonly { readonly name: TextName; readonly label: string; readonly figure: boolean }[] = [
  { name: "code", label: "Code, as assemblies name it", figure: false },
  { name: "name", label: "Name", figure: false },
  { name: "category", label: "Category", figure: false },
  { name: "supplier", label: "Supplier", figure: false },
  { name: "supplierCode", label: "Supplier's code", figure: false },
  { name: "wastePercent", label: "Waste added, percent", figure: true },
  { name: "massKg", label: "Mass of one that is bought, kg", figure: true },
];

export const newDraft = (): Draft => ({
  ...noTerms,
  code: "",
  name: "",
  category: "",
  supplier: "",
  supplierCode: "",
  wastePercent: "0",
  massKg: "",
  kind: "material",
  system: "imperial",
  by: "each",
  price: "",
  holds: "",
  packName: "",
  stock: [{ id: 0, length: "", price: "" }],
});

export function draftOf(item: PriceItem): Draft {
  const { buying } = item;
  const pack = buying.by === "pack" || buying.by === "cover" ? buying : undefined;
  return {
    ...newDraft(),
    ...termsOf(item),
    code: item.code,
    name: item.name,
    category: item.category,
    supplier: item.supplier,
    supplierCode: item.supplierCode,
    wastePercent: String(item.wastePercent),
    massKg: item.massKg === null ? "" : String(item.massKg),
    kind: item.kind,
    system: item.system,
    by: buying.by,
    price: buying.by === "length" ? "" : (buying.price ?? ""),
    holds: pack ? String(pack.by === "pack" ? pack.packSize : pack.cover) : "",
    packName: pack?.packName ?? "",
    stock:
      buying.by === "length"
        ? buying.stock.map(({ lengthNm, price }, id) => ({
            id,
            length: formatLength(lengthNm, item.system),
            price: price ?? "",
          }))
        : newDraft().stock,
  };
}

type Read = { readonly ok: true; readonly item: PriceItem } | { readonly ok: false; readonly wrong: Wrong };

const AMOUNT = "An amount like 9.84, zero or more.";
const isAmount = (text: string): boolean => text === "" || amountSchema.safeParse(text).success;
const priceOf = (text: string): string | null => (text === "" ? null : text);

function stockOf({ stock, system }: Draft): PriceItem["buying"] | string {
  const rows = stock.filter(({ length, price }) => length.trim() !== "" || price.trim() !== "");
  if (rows.length === 0) return "At least one length.";
  const read: { lengthNm: number; price: string | null }[] = [];
  for (const { length, price } of rows) {
    const parsed = parseLength(length, system);
    if (!parsed.ok || parsed.value <= 0) return `“${length}” is no length.`;
    if (!isAmount(price.trim())) return `“${price}” is no price like 9.84.`;
    if (read.some(({ lengthNm }) => lengthNm === parsed.value)) return `“${length}” is there twice.`;
    read.push({ lengthNm: parsed.value, price: priceOf(price.trim()) });
  }
  return { by: "length", stock: read.toSorted((a, b) => a.lengthNm - b.lengthNm) };
}

function buyingOf(draft: Draft): { readonly buying?: PriceItem["buying"]; readonly wrong: Wrong } {
  const { by, packName } = draft;
  if (by === "length") {
    const stock = stockOf(draft);
    return typeof stock === "string" ? { wrong: { stock: stock } } : { buying: stock, wrong: {} };
  }
  const price = draft.price.trim();
  if (!isAmount(price)) return { wrong: { price: AMOUNT } };
  if (by === "each") return { buying: { by, price: priceOf(price) }, wrong: {} };
  const holds = Number(draft.holds);
  const whole = by === "pack";
  if (!(holds > 0) || (whole && !Number.isInteger(holds)))
    return { wrong: { holds: whole ? "A whole number above zero." : "A figure above zero." } };
  if (packName.trim() === "") return { wrong: { packName: "A box, a roll, a bag." } };
  const named = { packName: packName.trim(), price: priceOf(price) };
  return { buying: whole ? { by, packSize: holds, ...named } : { by: "cover", cover: holds, ...named }, wrong: {} };
}

const WORDS: Readonly<Record<string, string>> = {
  code: "A code of up to 80 letters.",
  name: "A name of up to 120 letters.",
  category: "At most 60 letters.",
  supplier: "At most 120 letters.",
  supplierCode: "At most 60 letters.",
  wastePercent: "From 0 to 100.",
  massKg: "Kilograms, above zero.",
};

/** The item that was typed, or what of it cannot be taken. A price that is another is of today. */
export function itemFromDraft(draft: Draft, before: PriceItem | undefined): Read {
  const { buying, wrong } = buyingOf(draft);
  const wrongOfTerms = wrongTerms(draft, draft.kind);
  if (!buying || Object.keys(wrongOfTerms).length > 0) return { ok: false, wrong: { ...wrong, ...wrongOfTerms } };
  const moved = JSON.stringify(buying) !== JSON.stringify(before?.buying);
  const read = priceItemSchema.safeParse({
    schemaVersion: 4,
    code: before?.code ?? draft.code.trim(),
    name: draft.name.trim(),
    system: before?.system ?? draft.system,
    kind: draft.kind,
    category: draft.category.trim(),
    supplier: draft.supplier.trim(),
    supplierCode: draft.supplierCode.trim(),
    priceDate: moved ? todayText() : (before?.priceDate ?? null),
    massKg: draft.massKg.trim() === "" ? null : Number(draft.massKg),
    retired: before?.retired ?? false,
    wastePercent: draft.wastePercent.trim() === "" ? 0 : Number(draft.wastePercent),
    buying,
    second: secondFrom(draft, buying, before),
    hire: hireFrom(draft, draft.kind),
    loads: draft.by === "length" ? null : loadsFrom(draft),
  });
  if (read.success) return { ok: true, item: read.data };
  const names = read.error.issues.map(({ path }) => String(path[0]));
  return { ok: false, wrong: Object.fromEntries(names.map((name) => [name, WORDS[name] ?? "This cannot be taken."])) };
}

/** What a form of an item is checked by: each problem stands beneath its field. */
export const resolverOf =
  (before: PriceItem | undefined): Resolver<Draft> =>
  (draft) => {
    const read = itemFromDraft(draft, before);
    if (read.ok) return { values: draft, errors: {} };
    const errors = Object.entries(read.wrong).map(([name, message]) => [name, { type: "typed", message }]);
    return { values: {}, errors: Object.fromEntries(errors) };
  };
