import type { CountLine } from "../count";
import { type Problem, problem } from "../problems/problem";
import { formatLength, type MeasuringSystem, type Nanometres, NM_PER_INCH, wholePacks } from "../units";
import { type Bar, cutBars } from "./cutBars";
import type { Order, OrderLine } from "./orderLine";
import type { PriceItem } from "./priceItem";

/** A circular saw's cut, 1/8 in (3.175 mm): common practice. */
const KERF_NM: Nanometres = NM_PER_INCH / 8;

type ItemOrder = { lines: OrderLine[]; bars: Bar[]; problems: Problem[] };

/** Everything to buy for the job: the count lines of all parts together, so that offcuts and part packs are shared. */
export function orderJob(
  countLines: readonly CountLine[],
  priceList: readonly PriceItem[],
  system: MeasuringSystem,
): Order {
  const codes = [...new Set(countLines.map((line) => line.itemCode))];
  const items = new Map(priceList.map((item) => [item.code, item]));
  const ordered = codes.map((code) => {
    const lines = countLines.filter((line) => line.itemCode === code);
    const item = items.get(code);
    return [code, item ? orderItem(item, lines, system) : unknownItem(code, lines)] as const;
  });
  return {
    lines: ordered.flatMap(([, order]) => order.lines),
    bars: Object.fromEntries(
      ordered.filter(([, order]) => order.bars.length > 0).map(([code, order]) => [code, order.bars]),
    ),
    problems: ordered.flatMap(([, order]) => order.problems),
  };
}

function unknownItem(code: string, lines: readonly CountLine[]): ItemOrder {
  const message = `The price list has no “${code}”, needed for ${lines.map((line) => line.description.toLowerCase()).join(", ")}.`;
  const line: OrderLine = {
    id: code,
    itemCode: code,
    description: code,
    quantity: lines.reduce((sum, each) => sum + each.quantity, 0),
    unitName: lines[0]?.unit ?? "piece",
    unitPrice: null,
    countLineIds: lines.map((each) => each.id),
    note: "Not in the price list",
  };
  return { lines: [line], bars: [], problems: [problem("no-price-item", code, message)] };
}

function orderItem(item: PriceItem, lines: readonly CountLine[], system: MeasuringSystem): ItemOrder {
  if (item.buying.by === "length") return orderLengths(item, item.buying.stock, lines, system);
  const quantity = lines.reduce((sum, line) => sum + line.quantity, 0);
  const needed = quantity * (1 + item.wastePercent / 100);
  const packSize = item.buying.by === "pack" ? item.buying.packSize : 1;
  const unitName = item.buying.by === "pack" ? item.buying.packName : "each";
  const waste = item.wastePercent > 0 ? ` + ${item.wastePercent} % waste` : "";
  const packs = item.buying.by === "pack" ? `, ${packSize} to a ${unitName}` : "";
  const line: OrderLine = {
    id: item.code,
    itemCode: item.code,
    description: item.name,
    quantity: wholePacks(needed, packSize),
    unitName,
    unitPrice: item.buying.price,
    countLineIds: lines.map((each) => each.id),
    note: `${quantity} counted${waste}${packs}`,
  };
  return { lines: [line], bars: [], problems: [] };
}

function orderLengths(
  item: PriceItem,
  stock: readonly { lengthNm: Nanometres; price: string | null }[],
  lines: readonly CountLine[],
  system: MeasuringSystem,
): ItemOrder {
  const pieces = lines.flatMap((line) =>
    line.cutLengthsNm.map((lengthNm, index) => ({ id: `${line.partId}/${line.pieceIds[index] ?? index}`, lengthNm })),
  );
  const { bars, tooLong } = cutBars(
    pieces,
    stock.map((each) => each.lengthNm),
    KERF_NM,
  );
  const orderLines = stock.flatMap(({ lengthNm, price }): OrderLine[] => {
    const ofLength = bars.filter((bar) => bar.stockNm === lengthNm);
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
        note: `${pieceCount} ${pieceCount === 1 ? "piece" : "pieces"} cut from ${ofLength.length}`,
      },
    ];
  });
  const problems = tooLong.map((piece) => {
    const message = `A piece of ${item.name} is ${formatLength(piece.lengthNm, system)}, longer than any stock. Use an engineered section.`;
    return problem("longer-than-stock", item.code, message);
  });
  return { lines: orderLines, bars, problems };
}
