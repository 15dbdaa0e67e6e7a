import { type CountLine, quantityText } from "../count";
import { type Problem, problem } from "../problems/problem";
import { formatLength, formatRunningLength, type MeasuringSystem, NM_PER_M, wholePacks } from "../units";
import { hireCharges, leastWords, unitsCharged } from "./hireCharges";
import type { OrderLine } from "./orderLine";
import type { PriceItem } from "./priceItem";
import { cheapestLengths, type StockLength } from "./runLengths";
import { wasteOf } from "./toCut";
import { loadsWords, partLoadCharge, truckLoads } from "./truckLoads";
import type { Way } from "./waysOfBuying";

const countedOf = (lines: readonly CountLine[]): number => lines.reduce((sum, line) => sum + line.quantity, 0);
const boughtOf = (line: CountLine): number => line.ordered ?? line.quantity;
const withWaste = (lines: readonly CountLine[], item: PriceItem): number =>
  lines.reduce((sum, line) => sum + boughtOf(line) * (1 + wasteOf(line, item) / 100), 0);

/** The share that is added for waste, in words: one where it is the same on all lines. */
function wasteWords(lines: readonly CountLine[], item: PriceItem): string {
  const shares = [...new Set(lines.map((line) => wasteOf(line, item)))].filter((share) => share > 0);
  if (shares.length === 0) return "";
  return shares.length === 1 ? `${shares[0]} % waste` : "waste by line";
}

/** Lines of one item that are bought in one way. */
type Counted = { readonly item: PriceItem; readonly lines: readonly CountLine[]; readonly system: MeasuringSystem };

export type Ordered = { readonly lines: readonly OrderLine[]; readonly problems: readonly Problem[] };

const shared = ({ item, lines, system }: Counted) => ({
  itemCode: item.code,
  countLineIds: lines.map((line) => line.id),
  need: quantityText(countedOf(lines), lines[0]?.unit ?? "piece", system),
  waste: wasteWords(lines, item),
});

/** What offcuts of one part spare on another. */
function sparedWords(lines: readonly CountLine[]): string {
  const spared = Math.round(lines.reduce((sum, line) => sum + line.quantity - boughtOf(line), 0));
  return spared > 0 ? `${spared} spared by cutting over the whole job` : "";
}

const noteOf = (need: string, waste: string, packs: string): string =>
  [need + (waste ? ` + ${waste}` : ""), packs].filter(Boolean).join(", ");

const UNIT_WORDS = {
  count: "by the piece",
  length: "as a length",
  area: "as an area",
  volume: "as a volume",
  liquid: "as a volume",
  weight: "by weight",
  hour: "in hours",
} as const;

/** What is bought by the piece, the pack or the roll. `first` is false for a second unit that the item is counted in. */
export function orderPacks(counted: Counted, { unit, alone }: Extract<Way, { by: "pack" }>, first: boolean): Ordered {
  const { item, lines } = counted;
  const { buying } = item;
  const id = first ? item.code : `${item.code}/${unit}`;
  const own =
    alone === undefined ? { ...shared(counted), id } : { ...shared(counted), id: `${id}/alone/${alone}`, alone };
  const told = (message: string) => [problem("unit-mismatch", item.code, message)];
  const said = `${item.name} is counted ${UNIT_WORDS[unit]}`;
  if (buying.by === "length") {
    const note = "Not ordered: counted in another unit than it is sold by";
    const line = { ...own, description: item.name, quantity: countedOf(lines), unitName: unit, unitPrice: null, note };
    return {
      lines: [line],
      problems: told(`${said} and sold by the length: it has no price until one of them changes.`),
    };
  }
  const holds = buying.by === "pack" ? buying.packSize : buying.by === "cover" ? buying.cover : 1;
  const unitName = buying.by === "each" ? "each" : buying.packName;
  const packs = buying.by === "pack" ? `${buying.packSize} to a ${unitName}` : "";
  const needed = withWaste(lines, item);
  const whole = wholePacks(unitsCharged(needed, item), holds);
  const loads = item.loads ? truckLoads(whole, item.loads, buying.price) : undefined;
  const line: OrderLine = {
    ...own,
    description: item.name,
    quantity: loads?.bought ?? whole,
    unitName,
    unitPrice: buying.price,
    note: [
      noteOf(own.need, own.waste, packs),
      sparedWords(lines),
      leastWords(needed, item),
      loads ? loadsWords(loads, unitName) : "",
      alone === undefined ? "" : `for ${lines[0]?.partName ?? "one part"} alone`,
    ]
      .filter(Boolean)
      .join(", "),
  };
  const ordered = [
    line,
    ...hireCharges(item, line, wholePacks(needed, holds)),
    ...(loads ? partLoadCharge(item, line, loads) : []),
  ];
  if (!first) return { lines: ordered, problems: told(`${said} too. That does not add up, so it is ordered apart.`) };
  if (unit === "count" || buying.by === "cover") return { lines: ordered, problems: [] };
  const each = buying.by === "each" ? "one by one" : "in packs of pieces";
  return { lines: ordered, problems: told(`${said} and sold ${each}: ${line.quantity} are ordered for ${own.need}.`) };
}

/** Pieces whose lengths nobody knows: of the longest length each, so that none is too short. */
export function orderLengths(counted: Counted): Ordered {
  const { item, lines, system } = counted;
  if (item.buying.by !== "length") return { lines: [], problems: [] };
  const [longest, ...others] = item.buying.stock.toSorted((a, b) => b.lengthNm - a.lengthNm);
  if (!longest) return { lines: [], problems: [] };
  const own = shared(counted);
  const quantity = wholePacks(withWaste(lines, item), 1);
  const line = lengthLine(item, longest, quantity, system, {
    ...own,
    note: noteOf(own.need, own.waste, "one length each"),
  });
  if (others.length === 0) return { lines: [line], problems: [] };
  const message = `${own.need} of ${item.name}: nobody has said how long. A whole ${formatLength(longest.lengthNm, system)} is ordered for each.`;
  return { lines: [line], problems: [problem("length-not-known", item.code, message)] };
}

/** A running length in the stock lengths that hold it at the least cost, joined end to end. */
export function orderRun(counted: Counted): Ordered {
  const { item, lines, system } = counted;
  if (item.buying.by !== "length") return { lines: [], problems: [] };
  const own = shared(counted);
  const neededNm = Math.ceil(withWaste(lines, item) * NM_PER_M - 1);
  const note = noteOf(formatRunningLength(neededNm, system), own.waste, "joined end to end");
  const bought = cheapestLengths(neededNm, item.buying.stock);
  return {
    lines: bought.map(({ stock, quantity }) => lengthLine(item, stock, quantity, system, { ...own, note })),
    problems: [],
  };
}

type Said = Pick<OrderLine, "itemCode" | "countLineIds" | "need" | "waste" | "note">;

/** So many of one stock length. */
export const lengthLine = (
  item: PriceItem,
  { lengthNm, price }: StockLength,
  quantity: number,
  system: MeasuringSystem,
  said: Said,
): OrderLine => ({
  ...said,
  id: `${item.code}/${lengthNm}`,
  description: `${item.name}, ${formatLength(lengthNm, system)}`,
  quantity,
  unitName: "length",
  stockNm: lengthNm,
  unitPrice: price,
});

/** Lines for one and the same thing as one line: bars to cut from and lengths to join are bought together. */
export function mergeLines(lines: readonly OrderLine[]): OrderLine[] {
  const merged = new Map<string, OrderLine>();
  for (const line of lines) {
    const before = merged.get(line.id);
    merged.set(line.id, before ? mergeTwo(before, line) : line);
  }
  return [...merged.values()];
}

const mergeTwo = (a: OrderLine, b: OrderLine): OrderLine => ({
  ...a,
  quantity: a.quantity + b.quantity,
  countLineIds: [...new Set([...a.countLineIds, ...b.countLineIds])],
  need: [a.need, b.need].filter(Boolean).join(" and "),
  waste: [...new Set([a.waste, b.waste])].filter(Boolean).join("; "),
  note: [a.note, b.note].filter(Boolean).join("; "),
});
