import type { CountLine } from "../count/countLine";
import type { Stock } from "./cutting/cutProblem";
import type { CuttingSettings } from "./cuttingSettings";
import { neededPieces, sparePieces } from "./neededPieces";
import type { PriceItem } from "./priceItem";

/** What the line says of waste goes before what the item says. */
export const wasteOf = (line: CountLine, item: PriceItem): number => line.wastePercent ?? item.wastePercent;

/** What a list is cut from: the lengths sold, and what lies in the yard. */
export function stockOf(item: PriceItem, cutting: CuttingSettings): Stock[] {
  if (item.buying.by !== "length") return [];
  const { stock } = item.buying;
  const priced = stock.every((each) => each.price !== null);
  const yard = cutting.yard.filter((each) => each.itemCode === item.code);
  return [
    ...stock.map(({ lengthNm, price }) => ({ lengthNm, cost: priced ? Number(price) : lengthNm })),
    ...yard.map(({ lengthNm, count }) => ({ lengthNm, count, cost: 0 })),
  ];
}

/** Every piece of an item that is cut in the job, those to spare included. */
export const piecesToCut = (item: PriceItem, lines: readonly CountLine[]) => [
  ...neededPieces(lines),
  ...sparePieces(lines, (line) => wasteOf(line, item)),
];
