import { type CountLine, quantityText } from "../count";
import { formatLength, formatRunningLength, type MeasuringSystem, NM_PER_M, wholePacks } from "../units";
import type { OrderLine } from "./orderLine";
import type { PriceItem } from "./priceItem";
import { wasteOf } from "./toCut";

const countedOf = (lines: readonly CountLine[]): number => lines.reduce((sum, line) => sum + line.quantity, 0);
const withWaste = (lines: readonly CountLine[], item: PriceItem): number =>
  lines.reduce((sum, line) => sum + line.quantity * (1 + wasteOf(line, item) / 100), 0);

/** The share that is added for waste, in words: one where it is the same on all lines. */
function wasteWords(lines: readonly CountLine[], item: PriceItem): string {
  const shares = [...new Set(lines.map((line) => wasteOf(line, item)))].filter((share) => share > 0);
  if (shares.length === 0) return "";
  return shares.length === 1 ? `${shares[0]} % waste` : "waste by line";
}

type Counted = { readonly item: PriceItem; readonly lines: readonly CountLine[]; readonly system: MeasuringSystem };

const shared = ({ item, lines, system }: Counted) => ({
  itemCode: item.code,
  countLineIds: lines.map((line) => line.id),
  need: quantityText(countedOf(lines), lines[0]?.unit ?? "piece", system),
  waste: wasteWords(lines, item),
});

const noteOf = (need: string, waste: string, packs: string): string =>
  [need + (waste ? ` + ${waste}` : ""), packs].filter(Boolean).join(", ");

/** What is bought by the piece, the pack or the roll. */
export function orderWhole(counted: Counted): OrderLine {
  const { item, lines } = counted;
  const { buying } = item;
  const own = shared(counted);
  const needed = withWaste(lines, item);
  if (buying.by === "length") {
    const [first] = buying.stock;
    const note = noteOf(own.need, own.waste, "bought one by one");
    return {
      ...own,
      id: item.code,
      description: item.name,
      quantity: wholePacks(needed, 1),
      unitName: "length",
      unitPrice: first?.price ?? null,
      note,
    };
  }
  const holds = buying.by === "pack" ? buying.packSize : buying.by === "cover" ? buying.cover : 1;
  const unitName = buying.by === "each" ? "each" : buying.packName;
  const packs = buying.by === "pack" ? `${buying.packSize} to a ${unitName}` : "";
  return {
    ...own,
    id: item.code,
    description: item.name,
    quantity: wholePacks(needed, holds),
    unitName,
    unitPrice: buying.price,
    note: noteOf(own.need, own.waste, packs),
  };
}

/** A running length in stock lengths joined end to end: the cheapest for each metre, and one that holds the rest. */
export function orderRun(counted: Counted): OrderLine[] {
  const { item, lines, system } = counted;
  const { buying } = item;
  if (buying.by !== "length") return [orderWhole(counted)];
  const own = shared(counted);
  const neededNm = Math.ceil(withWaste(lines, item) * NM_PER_M - 1);
  const costOf = (each: (typeof buying.stock)[number]) => (each.price === null ? each.lengthNm : Number(each.price));
  const byRate = buying.stock.toSorted(
    (a, b) => costOf(a) / a.lengthNm - costOf(b) / b.lengthNm || b.lengthNm - a.lengthNm,
  );
  const [best] = byRate;
  if (!best) return [];
  const full = Math.floor(neededNm / best.lengthNm);
  const restNm = neededNm - full * best.lengthNm;
  const holding = buying.stock.filter((each) => each.lengthNm >= restNm).toSorted((a, b) => costOf(a) - costOf(b));
  const last = restNm > 0 ? (holding[0] ?? best) : undefined;
  const counts = new Map([[best, full]]);
  if (last) counts.set(last, (counts.get(last) ?? 0) + 1);
  return [...counts]
    .filter(([, quantity]) => quantity > 0)
    .map(([stock, quantity]) => ({
      ...own,
      id: `${item.code}/${stock.lengthNm}`,
      description: `${item.name}, ${formatLength(stock.lengthNm, system)}`,
      quantity,
      unitName: "length",
      stockNm: stock.lengthNm,
      unitPrice: stock.price,
      note: noteOf(formatRunningLength(neededNm, system), own.waste, "joined end to end"),
    }));
}
