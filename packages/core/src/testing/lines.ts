import type { CountLine } from "../count";
import { newPriceItem, type PriceItem } from "../order";
import type { Nanometres } from "../units";

let made = 0;

/** A count line for a test; what is not given is of no matter to what is bought. */
export function lineOf(given: Partial<CountLine> & Pick<CountLine, "itemCode" | "buying" | "unit">): CountLine {
  made += 1;
  const { cutLengthsNm = [], quantity = cutLengthsNm.length } = given;
  const key = `line-${made}`;
  return {
    id: `part/${key}`,
    key,
    partId: "part",
    partName: "Part",
    storey: "Ground",
    location: "",
    assembly: { id: "own", version: 1, name: "Own" },
    rule: key,
    trade: "Framing",
    phase: "",
    description: key,
    computed: quantity,
    basis: "formula",
    pieceIds: [],
    working: { sentence: "", formula: "", withNumbers: "", steps: [], from: [] },
    ...given,
    quantity,
    cutLengthsNm,
  };
}

export const times = <T>(count: number, value: T): T[] => Array.from({ length: count }, () => value);

type Stock = readonly (readonly [lengthNm: Nanometres, price: string | null])[];

/** Something sold, for a test. */
export const itemOf = (code: string, buying: PriceItem["buying"], more: Partial<PriceItem> = {}): PriceItem => ({
  ...newPriceItem(code, "imperial", buying),
  name: code,
  ...more,
});

/** Something sold by stock lengths. */
export const soldByLength = (code: string, stock: Stock): PriceItem =>
  itemOf(code, { by: "length", stock: stock.map(([lengthNm, price]) => ({ lengthNm, price })) });
