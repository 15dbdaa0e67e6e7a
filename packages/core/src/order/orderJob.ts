import type { CountLine } from "../count";
import { type Problem, problem } from "../problems/problem";
import type { MeasuringSystem } from "../units";
import { cutQuickly } from "./cutting";
import { type CuttingSettings, usualCutting } from "./cuttingSettings";
import { type Cutter, orderCut } from "./orderCut";
import { mergeLines, orderLengths, orderPacks, orderRun } from "./orderItem";
import type { ItemCut, Order, OrderLine } from "./orderLine";
import type { PriceItem } from "./priceItem";
import { suppliedLines } from "./supplied";
import { byWay, type Way } from "./waysOfBuying";

export type { Cutter } from "./orderCut";

type ItemOrder = {
  readonly lines: readonly OrderLine[];
  readonly cut?: ItemCut;
  readonly problems: readonly Problem[];
};

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
    if (line.itemCode === "" || line.quantity === 0 || line.supply) continue;
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
    supplied: suppliedLines(countLines, system),
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

/** One item's lines, each bought in its own way; what comes to the same length of stock is one line of the order. */
function orderItem(
  item: PriceItem,
  all: readonly CountLine[],
  system: MeasuringSystem,
  cutting: CuttingSettings,
  cut: Cutter,
): ItemOrder {
  const ways = byWay(all, item);
  const orders = ways.map(({ way, lines }, index) => {
    const counted = { item, lines, system };
    if (way.by === "cut") return orderCut(item, lines, system, cutting, cut);
    const packed = ways.slice(0, index).find((before) => before.way.by === "pack");
    return otherWay(counted, way, packed?.way.by !== "pack" || (way.by === "pack" && packed.way.unit === way.unit));
  });
  const found = orders.find((each): each is ReturnType<typeof orderCut> => "cut" in each);
  return {
    lines: mergeLines(orders.flatMap((each) => each.lines)),
    problems: orders.flatMap((each) => each.problems),
    ...(found ? { cut: found.cut } : {}),
  };
}

function otherWay(counted: Parameters<typeof orderRun>[0], way: Exclude<Way, { by: "cut" }>, first: boolean) {
  if (way.by === "run") return orderRun(counted);
  return way.by === "lengths" ? orderLengths(counted) : orderPacks(counted, way, first);
}
