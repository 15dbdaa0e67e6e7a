import { amountSchema, type PriceItem, plainHire } from "@wide-porch/core";
import { todayText } from "./pricesOf";

/** Who else sells an item, and on what terms it is hired, while they are typed: everything as text. */
export type DraftTerms = {
  readonly secondSupplier: string;
  readonly secondCode: string;
  readonly secondPrice: string;
  readonly least: string;
  readonly delivery: string;
  readonly collection: string;
  readonly fuel: string;
  readonly output: string;
  readonly outputUnit: string;
  readonly truckTakes: string;
  readonly truckLeast: string;
  readonly shortLoad: string;
  readonly eachShort: string;
};

export const SECOND_FIELDS = [
  ["secondSupplier", "Another supplier"],
  ["secondCode", "That supplier's code"],
  ["secondPrice", "That supplier's price"],
] as const;

export const HIRE_FIELDS = [
  ["least", "Hired for at least, in what it is hired by"],
  ["delivery", "Delivery"],
  ["collection", "Collection"],
  ["fuel", "Fuel, for one that is hired"],
  ["output", "Gets done in one"],
  ["outputUnit", "Of what: m³, m², pieces"],
] as const;

export const LOAD_FIELDS = [
  ["truckTakes", "A truck takes, in what it is sold by"],
  ["truckLeast", "A load costs nothing more from"],
  ["shortLoad", "A load that is short costs"],
  ["eachShort", "And for each one that it lacks"],
] as const;

export const noTerms: DraftTerms = {
  secondSupplier: "",
  secondCode: "",
  secondPrice: "",
  least: "0",
  delivery: "0",
  collection: "0",
  fuel: "0",
  output: "",
  outputUnit: "",
  truckTakes: "",
  truckLeast: "0",
  shortLoad: "0",
  eachShort: "0",
};

export function termsOf({ second, hire, loads }: PriceItem): DraftTerms {
  const terms = hire ?? plainHire;
  return {
    secondSupplier: second?.supplier ?? "",
    secondCode: second?.supplierCode ?? "",
    secondPrice: second && second.buying.by !== "length" ? (second.buying.price ?? "") : "",
    least: String(terms.least),
    delivery: terms.delivery,
    collection: terms.collection,
    fuel: terms.fuel,
    output: terms.output === null ? "" : String(terms.output),
    outputUnit: terms.outputUnit,
    truckTakes: loads ? String(loads.most) : "",
    truckLeast: String(loads?.least ?? 0),
    shortLoad: loads?.shortLoad ?? "0",
    eachShort: loads?.eachShort ?? "0",
  };
}

/** As they sell it: as the first does, where nothing else is known. Lengths are priced one by one once it is bought there. */
function buyingThere(buying: PriceItem["buying"], price: string, before: PriceItem | undefined): PriceItem["buying"] {
  const known = before?.second?.buying ?? buying;
  if (known.by !== "length") return { ...known, price: price.trim() === "" ? null : price.trim() };
  if (before?.second) return known;
  return { ...known, stock: known.stock.map((each) => ({ ...each, price: null })) };
}

export function secondFrom(
  { secondSupplier, secondCode, secondPrice }: DraftTerms,
  buying: PriceItem["buying"],
  before: PriceItem | undefined,
): PriceItem["second"] {
  if (secondSupplier.trim() === "") return null;
  const there = buyingThere(buying, secondPrice, before);
  const moved = JSON.stringify(there) !== JSON.stringify(before?.second?.buying);
  return {
    supplier: secondSupplier.trim(),
    supplierCode: secondCode.trim(),
    priceDate: moved ? todayText() : (before?.second?.priceDate ?? null),
    buying: there,
  };
}

const orNothing = (text: string): string => (text.trim() === "" ? "0" : text.trim());

/** Terms of what is hired; null for all else, and where there are none. */
export function hireFrom(draft: DraftTerms, kind: PriceItem["kind"]): PriceItem["hire"] {
  if (kind !== "plant") return null;
  const hire = {
    least: Number(orNothing(draft.least)),
    delivery: orNothing(draft.delivery),
    collection: orNothing(draft.collection),
    fuel: orNothing(draft.fuel),
    output: draft.output.trim() === "" ? null : Number(draft.output),
    outputUnit: draft.outputUnit.trim(),
  };
  return JSON.stringify(hire) === JSON.stringify(plainHire) ? null : hire;
}

/** How it comes by the truck; null where nobody said what a truck takes. */
export function loadsFrom(draft: DraftTerms): PriceItem["loads"] {
  if (draft.truckTakes.trim() === "") return null;
  return {
    most: Number(draft.truckTakes),
    least: Number(orNothing(draft.truckLeast)),
    shortLoad: orNothing(draft.shortLoad),
    eachShort: orNothing(draft.eachShort),
  };
}

const isWhole = (text: string, least: number): boolean =>
  Number.isInteger(Number(text)) && Number(text) >= least && Number(text) <= 10_000;

/** What of its loads cannot be taken. */
function wrongLoads(draft: DraftTerms): Partial<Record<keyof DraftTerms, string>> {
  if (draft.truckTakes.trim() === "") return {};
  const wrong: Partial<Record<keyof DraftTerms, string>> = {};
  if (!isWhole(draft.truckTakes, 1)) wrong.truckTakes = "A whole number above zero.";
  if (!isWhole(orNothing(draft.truckLeast), 0)) wrong.truckLeast = "A whole number, zero or more.";
  else if (Number(draft.truckLeast) > Number(draft.truckTakes)) wrong.truckLeast = "No more than a truck takes.";
  for (const name of ["shortLoad", "eachShort"] as const) if (!isAmount(draft[name])) wrong[name] = AMOUNT;
  return wrong;
}

const AMOUNT = "An amount like 9.84, zero or more.";
const isAmount = (text: string): boolean => text.trim() === "" || amountSchema.safeParse(text.trim()).success;
const isFigure = (text: string): boolean => text.trim() === "" || (Number(text) >= 0 && Number(text) <= 10_000);

/** What of the terms cannot be taken. */
export function wrongTerms(draft: DraftTerms, kind: PriceItem["kind"]): Partial<Record<keyof DraftTerms, string>> {
  const wrong = wrongLoads(draft);
  if (!isAmount(draft.secondPrice)) wrong.secondPrice = AMOUNT;
  if (draft.secondSupplier.trim() === "" && draft.secondPrice.trim() !== "")
    wrong.secondSupplier = "Say who sells it at that price.";
  if (draft.secondSupplier.length > 120) wrong.secondSupplier = "At most 120 letters.";
  if (draft.secondCode.length > 60) wrong.secondCode = "At most 60 letters.";
  if (kind !== "plant") return wrong;
  for (const name of ["delivery", "collection", "fuel"] as const) if (!isAmount(draft[name])) wrong[name] = AMOUNT;
  if (!isFigure(draft.least)) wrong.least = "A figure from 0 to 10,000.";
  if (draft.output.trim() !== "" && !(Number(draft.output) > 0 && Number(draft.output) <= 1_000_000))
    wrong.output = "A figure above zero.";
  if (draft.outputUnit.length > 20) wrong.outputUnit = "At most 20 letters.";
  return wrong;
}
