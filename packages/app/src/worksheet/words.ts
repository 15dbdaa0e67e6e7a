import type { LedgerColumn, LedgerGroup, LedgerKey } from "@wide-porch/core";
import { KIND_WORDS } from "../price/kindWords";
import { TAX_WORDS } from "../price/taxWords";

export const COLUMN_WORDS: Readonly<Record<LedgerColumn, string>> = {
  what: "What",
  quantity: "Quantity",
  unit: "Unit",
  rate: "Rate",
  cost: "Cost",
  portion: "Of the whole",
  hours: "Hours",
  kind: "Kind of cost",
  trade: "Trade",
  phase: "Phase",
  part: "Part",
  storey: "Storey",
  location: "Location",
  assembly: "Assembly",
  item: "Item",
  supplier: "Supplier",
  supply: "Supplied by",
  crew: "Crew",
  option: "Option",
  section: "Section",
  source: "Comes from",
  markup: "Markup",
  tax: "Tax",
};

const NONE_WORDS: Readonly<Record<LedgerKey, string>> = {
  kind: "Of no kind",
  trade: "Of no one trade",
  phase: "Of no one phase",
  part: "For the whole job",
  storey: "On no one storey",
  location: "At no one location",
  assembly: "Of no assembly",
  item: "No item",
  supplier: "No supplier",
  supply: "Supplied by nobody",
  crew: "At the usual rate",
  option: "Of no option",
  section: "In no section",
  source: "From nowhere",
  markup: "Not marked up",
  tax: "Not taxed",
};

const SOURCE_WORDS: Readonly<Record<string, string>> = {
  counted: "Counted",
  "set-by-hand": "Set by hand",
  typed: "Typed in",
  rest: "Bought for several",
  "task-hours": "Hours set for the job",
};
const SUPPLY_WORDS: Readonly<Record<string, string>> = {
  ours: "Us",
  customer: "The customer",
  allowance: "Allowed for",
};

const own = (words: Readonly<Record<string, string>>, value: string): string =>
  Object.hasOwn(words, value) ? (words[value] ?? value) : value;

/** A line's or a group's value of a key, in words; `items` are the names of the price list by code. */
export function valueWords(key: LedgerKey, value: string, items: ReadonlyMap<string, string>): string {
  if (value === "") return NONE_WORDS[key];
  if (key === "kind") return own(KIND_WORDS, value);
  if (key === "source") return own(SOURCE_WORDS, value);
  if (key === "supply") return own(SUPPLY_WORDS, value);
  if (key === "tax") return own(TAX_WORDS, value);
  if (key === "markup") return `${value} %`;
  return key === "item" ? (items.get(value) ?? value) : value;
}

export const groupWords = ({ key, value }: LedgerGroup, items: ReadonlyMap<string, string>): string =>
  valueWords(key, value, items);
