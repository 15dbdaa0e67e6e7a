import type { CountLine } from "../count";
import { type Problem, problem } from "../problems/problem";
import { formatLength, type MeasuringSystem } from "../units";
import { type CutList, cutQuickly, type Stock } from "./cutting";
import { barsFromKept, type CuttingSettings, usualCutting } from "./cuttingSettings";
import { neededPieces } from "./neededPieces";
import { orderRun, orderWhole } from "./orderItem";
import type { ItemCut, Order, OrderLine } from "./orderLine";
import type { PriceItem } from "./priceItem";
import { piecesToCut, stockOf } from "./toCut";

type ItemOrder = {
  readonly lines: readonly OrderLine[];
  readonly cut?: ItemCut;
  readonly problems: readonly Problem[];
};

/** Cuts pieces from stock; a caller that remembers earlier lists passes its own. */
export type Cutter = typeof cutQuickly;

/** Everything to buy for the job: the count lines of all parts together, so that offcuts and part packs are shared. */
export function orderJob(
  countLines: readonly CountLine[],
  priceList: readonly PriceItem[],
  system: MeasuringSystem,
  cutting: CuttingSettings = usualCutting,
  cut: Cutter = cutQuickly,
): Order {
  const byCode = new Map<string, CountLine[]>();
  for (const line of countLines) {
    if (line.itemCode === "" || line.quantity === 0) continue;
    const same = byCode.get(line.itemCode);
    if (same) same.push(line);
    else byCode.set(line.itemCode, [line]);
  }
  const items = new Map(priceList.map((item) => [item.code, item]));
  const ordered = [...byCode].map(([code, lines]): ItemOrder => {
    const item = items.get(code);
    return item ? orderItem(item, lines, system, cutting, cut) : unknownItem(code, lines);
  });
  return {
    lines: ordered.flatMap((each) => each.lines),
    cuts: ordered.flatMap((each) => each.cut ?? []),
    problems: ordered.flatMap((each) => each.problems),
  };
}

function unknownItem(code: string, lines: readonly CountLine[]): ItemOrder {
  const names = [...new Set(lines.map((line) => line.description.toLowerCase()))];
  const message = `The price list has no “${code}”, needed for ${names.join(", ")}.`;
  const line: OrderLine = {
    id: code,
    itemCode: code,
    description: code,
    quantity: lines.reduce((sum, each) => sum + each.quantity, 0),
    unitName: lines[0]?.unit ?? "piece",
    unitPrice: null,
    countLineIds: lines.map((each) => each.id),
    need: "",
    waste: "",
    note: "Not in the price list",
  };
  return { lines: [line], problems: [problem("no-price-item", code, message)] };
}

function orderItem(
  item: PriceItem,
  lines: readonly CountLine[],
  system: MeasuringSystem,
  cutting: CuttingSettings,
  cut: Cutter,
): ItemOrder {
  const cuts = lines.filter((line) => line.buying === "cut");
  if (cuts.length > 0 && item.buying.by === "length") return orderCut(item, cuts, system, cutting, cut);
  const [first] = lines;
  const orderLines =
    first?.buying === "run" ? orderRun({ item, lines, system }) : [orderWhole({ item, lines, system })];
  return { lines: orderLines, problems: [] };
}

function orderCut(
  item: PriceItem,
  lines: readonly CountLine[],
  system: MeasuringSystem,
  cutting: CuttingSettings,
  cut: Cutter,
): ItemOrder {
  const pieces = piecesToCut(item, lines);
  const stock = stockOf(item, cutting);
  const kept = cutting.kept[item.code];
  const keptBars = kept && barsFromKept(kept, pieces);
  const quick = keptBars ? undefined : cut(pieces, stock, cutting);
  const list: CutList = quick ?? keptList(keptBars ?? [], stock);
  const spare = pieces.length - neededPieces(lines).length;
  return {
    lines: barLines(item, lines, list, spare, system),
    cut: { ...list, itemCode: item.code, name: item.name, kept: keptBars !== undefined },
    problems: tooLongProblems(item, list, system),
  };
}

function keptList(bars: CutList["bars"], stock: readonly Stock[]): CutList {
  const bought = bars.filter((bar) => !bar.fromYard);
  const costs = new Map(stock.filter((each) => each.count === undefined).map((each) => [each.lengthNm, each.cost]));
  return {
    bars,
    tooLong: [],
    cost: bought.reduce((sum, bar) => sum + (costs.get(bar.stockNm) ?? 0), 0),
    boughtNm: bought.reduce((sum, bar) => sum + bar.stockNm, 0),
    bound: 0,
  };
}

function barLines(
  item: PriceItem,
  lines: readonly CountLine[],
  list: CutList,
  spare: number,
  system: MeasuringSystem,
): OrderLine[] {
  if (item.buying.by !== "length") return [];
  const needed = lines.reduce((sum, line) => sum + line.cutLengthsNm.length, 0);
  const waste = spare === 0 ? "" : `${spare} ${spare === 1 ? "piece" : "pieces"} to spare`;
  return item.buying.stock.flatMap(({ lengthNm, price }): OrderLine[] => {
    const ofLength = list.bars.filter((bar) => bar.stockNm === lengthNm && !bar.fromYard);
    if (ofLength.length === 0) return [];
    const pieceCount = ofLength.reduce((sum, bar) => sum + bar.pieces.length, 0);
    return [
      {
        id: `${item.code}/${lengthNm}`,
        itemCode: item.code,
        description: `${item.name}, ${formatLength(lengthNm, system)}`,
        quantity: ofLength.length,
        unitName: "length",
        stockNm: lengthNm,
        unitPrice: price,
        countLineIds: lines.map((line) => line.id),
        need: `${needed} pieces`,
        waste,
        note: `${pieceCount} ${pieceCount === 1 ? "piece" : "pieces"} cut from ${ofLength.length}`,
      },
    ];
  });
}

/** One for each length that no stock reaches. */
function tooLongProblems(item: PriceItem, { tooLong }: CutList, system: MeasuringSystem): Problem[] {
  const lengths = [...new Set(tooLong.map((piece) => piece.lengthNm))];
  return lengths.map((lengthNm) => {
    const count = tooLong.filter((piece) => piece.lengthNm === lengthNm).length;
    const pieces = count === 1 ? "A piece" : `${count} pieces`;
    const message = `${pieces} of ${item.name} ${count === 1 ? "is" : "are"} ${formatLength(lengthNm, system)}, longer than any stock. Use an engineered section.`;
    return problem("longer-than-stock", item.code, message);
  });
}
