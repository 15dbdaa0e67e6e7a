import Big from "big.js";
import type { CountLine } from "../count/records";
import { allowanceOf, type Order, type PriceItem, wayOf } from "../order";
import { allocateMoney, lessMoney, type MeasuringSystem, type Money, priceTimes, sumMoney, toMoney } from "../units";
import { common } from "./common";
import { type BareLine, type LineShare, OF_NO_PART } from "./ledgerLine";
import { type OwnMaterial, ownMaterial } from "./ownMaterial";
import { saidQuantity } from "./saidQuantity";

/** What every line that was counted says of itself. */
export const asCounted = (
  line: CountLine,
): Omit<BareLine, "kind" | "quantity" | "unitName" | "rate" | "cost" | "shares"> => ({
  id: line.id,
  source: line.byHand === undefined ? "counted" : "set-by-hand",
  what: line.description,
  itemCode: line.itemCode,
  task: "",
  crew: "",
  hours: "0",
  partId: line.partId,
  partName: line.partName,
  storey: line.storey,
  location: line.location,
  trade: line.trade,
  phase: line.phase,
  assembly: line.assembly.name,
  rule: line.rule,
  supplier: "",
  supply: "ours",
  option: line.option?.name ?? "",
  section: "",
  countLineIds: [line.id],
});

export const shareOf = ({ partId, partName, storey, location }: CountLine, cost: Money): LineShare[] => [
  { partId, partName, storey, location, cost },
];

type Known = { readonly item: PriceItem; readonly system: MeasuringSystem; readonly ledger: BareLine };
const known = new WeakMap<CountLine, Known>();

/** A count line as a cost. The same line at the same price is not worked out twice. */
function materialLine(line: CountLine, item: PriceItem, system: MeasuringSystem): BareLine {
  const before = known.get(line);
  if (before?.item === item && before.system === system) return before.ledger;
  const own: OwnMaterial = ownMaterial(line, item, system);
  const ledger: BareLine = {
    ...asCounted(line),
    ...own,
    id: `material/${line.id}`,
    kind: item.kind,
    supplier: item.supplier,
    shares: shareOf(line, own.cost),
  };
  known.set(line, { item, system, ledger });
  return ledger;
}

/** What the price list has not: counted, and nothing is known of what it costs. */
const unknownLine = (line: CountLine, system: MeasuringSystem): BareLine => {
  const { figure, unitName } = saidQuantity(line, system);
  return {
    ...asCounted(line),
    id: `material/${line.id}`,
    kind: "material",
    quantity: figure,
    unitName,
    rate: null,
    cost: "0.00",
    shares: shareOf(line, "0.00"),
  };
};

/** What the customer supplies costs nothing here; what is allowed for costs its rate. */
function suppliedLine(line: CountLine, supply: NonNullable<CountLine["supply"]>, system: MeasuringSystem): BareLine {
  const { figure, unitName } = saidQuantity(line, system);
  const rate = supply.by === "allowance" ? supply.rate : null;
  const cost = rate === null ? "0.00" : allowanceOf(rate, line.quantity, line.unit, system);
  return {
    ...asCounted(line),
    id: `material/${line.id}`,
    kind: rate === null ? "material" : "allowance",
    supply: supply.by,
    quantity: figure,
    unitName,
    rate,
    cost,
    shares: shareOf(line, cost),
  };
}

type Rest = Pick<BareLine, "id" | "kind" | "itemCode" | "supplier" | "trade" | "phase" | "countLineIds"> & {
  readonly name: string;
  readonly whole: Money;
  readonly own: readonly BareLine[];
};

/** A cost over the parts that lines are for, by what each of them uses. Adds up to it. */
function sharedBy(own: readonly BareLine[], cost: Money): LineShare[] {
  const byPart = new Map<string, { readonly line: BareLine; weight: number }>();
  for (const line of own) {
    const before = byPart.get(line.partId);
    if (before) before.weight += Number(line.cost);
    else byPart.set(line.partId, { line, weight: Number(line.cost) });
  }
  const parts = [...byPart.values()];
  const costs = allocateMoney(
    cost,
    parts.map(({ weight }) => weight),
  );
  return parts.map(({ line: { partId, partName, storey, location } }, index) => ({
    partId,
    partName,
    storey,
    location,
    cost: costs[index] ?? "0.00",
  }));
}

/** What is bought, or allowed, beyond what lines use by themselves: shared by those that use it. Less than nothing where cutting together spared some. */
function restOf({ name, whole, own, ...line }: Rest): BareLine[] {
  const cost = lessMoney(whole, sumMoney(own.map((each) => each.cost)));
  if (cost === "0.00") return [];
  const shares = sharedBy(own, cost);
  const spared = cost.startsWith("-");
  return [
    {
      ...OF_NO_PART,
      ...line,
      source: "rest",
      what: spared ? `Spared over the job: ${name}` : `Rest of packs and lengths: ${name}`,
      quantity: "1",
      unitName: "sum",
      rate: cost,
      cost,
      shares,
    },
  ];
}

/** Bringing, fetching and fuel of a hire: shared by those that need it. */
function chargesOf(item: PriceItem, own: readonly BareLine[], bought: Order["lines"]): BareLine[] {
  return bought.flatMap(({ id, charge, description, quantity, unitName, unitPrice, countLineIds }) => {
    if (!charge || unitPrice === null) return [];
    const cost = priceTimes(unitPrice, quantity);
    const line: BareLine = {
      ...OF_NO_PART,
      id: `hire/${id}`,
      kind: item.kind,
      source: "rest",
      what: description,
      itemCode: item.code,
      supplier: item.supplier,
      trade: common(own, "trade") ?? "",
      phase: common(own, "phase") ?? "",
      countLineIds,
      quantity: String(quantity),
      unitName,
      rate: unitPrice,
      cost,
      shares: sharedBy(own, cost),
    };
    return [line];
  });
}

/** Lines of one item that are bought together; `alone` is the part that buys by itself. */
type Together = { readonly item: PriceItem; readonly alone: string; readonly own: BareLine[] };

const aloneOf = (line: CountLine, item: PriceItem): string => {
  const way = wayOf(line, item);
  return way.by === "pack" ? (way.alone ?? "") : "";
};

function restOfItem({ item, alone, own }: Together, all: Order["lines"]): BareLine[] {
  const bought = all.filter(({ charge }) => charge === undefined);
  const whole = bought.reduce(
    (sum, { unitPrice, quantity }) => sum.plus(new Big(unitPrice ?? 0).times(quantity)),
    new Big(0),
  );
  const rest = restOf({
    id: alone === "" ? `rest/${item.code}` : `rest/${item.code}/alone/${alone}`,
    kind: item.kind,
    itemCode: item.code,
    supplier: item.supplier,
    trade: common(own, "trade") ?? "",
    phase: common(own, "phase") ?? "",
    countLineIds: own.flatMap(({ countLineIds }) => countLineIds),
    name: item.name,
    whole: toMoney(whole),
    own,
  });
  return [...rest, ...chargesOf(item, own, all)];
}

/** Rates times what is allowed in all is what is said to the customer: cents between that and its lines are theirs together. */
function restsOfAllowances(order: Order, byLine: ReadonlyMap<string, BareLine>): BareLine[] {
  return order.supplied.flatMap(({ id, description, cost, countLineIds }) => {
    if (cost === null) return [];
    const own = countLineIds.flatMap((each) => byLine.get(each) ?? []);
    return restOf({
      id: `rest/allowance/${id}`,
      kind: "allowance",
      itemCode: own[0]?.itemCode ?? "",
      supplier: "",
      trade: common(own, "trade") ?? "",
      phase: common(own, "phase") ?? "",
      countLineIds,
      name: description,
      whole: cost,
      own,
    });
  });
}

/** Everything counted that is bought, supplied or allowed for, and what the job as a whole buys beyond it. Together what is ordered. */
export function materialLines(
  lines: readonly CountLine[],
  order: Order,
  priceList: readonly PriceItem[],
  system: MeasuringSystem,
): BareLine[] {
  const items = new Map(priceList.map((item) => [item.code, item]));
  const ledger: BareLine[] = [];
  const together = new Map<string, Together>();
  const supplied = new Map<string, BareLine>();
  for (const line of lines) {
    if (line.quantity === 0) continue;
    if (line.supply) {
      const made = suppliedLine(line, line.supply, system);
      supplied.set(line.id, made);
      ledger.push(made);
      continue;
    }
    if (line.itemCode === "") continue;
    const item = items.get(line.itemCode);
    const made = item ? materialLine(line, item, system) : unknownLine(line, system);
    ledger.push(made);
    if (!item) continue;
    const alone = aloneOf(line, item);
    const key = `${alone} ${item.code}`;
    const same = together.get(key);
    if (same) same.own.push(made);
    else together.set(key, { item, alone, own: [made] });
  }
  const bought = new Map<string, Order["lines"][number][]>();
  for (const line of order.lines) {
    const key = `${line.alone ?? ""} ${line.itemCode}`;
    bought.set(key, [...(bought.get(key) ?? []), line]);
  }
  return [
    ...ledger,
    ...[...together].flatMap(([key, each]) => restOfItem(each, bought.get(key) ?? [])),
    ...restsOfAllowances(order, supplied),
  ];
}
