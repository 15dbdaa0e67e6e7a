import Big from "big.js";
import type { CountLine } from "../count/records";
import { type PriceItem, wasteOf, wayOf } from "../order";
import { type MeasuringSystem, type Money, type Nanometres, NM_PER_M, toMoney } from "../units";
import { saidQuantity } from "./saidQuantity";

/** Finer than money: a nail costs less than a cent. */
const placesOf = (rate: Big): number => (rate.gte(1) ? 4 : 6);

export type OwnMaterial = {
  readonly quantity: string;
  readonly unitName: string;
  readonly rate: string | null;
  readonly cost: Money;
};

type Stock = Extract<PriceItem["buying"], { by: "length" }>["stock"];

/** The least that a metre costs among lengths that hold so much; of all lengths where none does. Null where a price is not known. */
function leastByMetre(stock: Stock, holdsNm: Nanometres): Big | null {
  const holding = stock.filter(({ lengthNm }) => lengthNm >= holdsNm);
  const rates = (holding.length > 0 ? holding : stock).map(({ lengthNm, price }) =>
    price === null ? null : new Big(price).times(NM_PER_M).div(lengthNm),
  );
  return rates.reduce(
    (least, rate) => (least === null || rate === null ? null : rate.lt(least) ? rate : least),
    rates[0] ?? null,
  );
}

/** What pieces would cost by the metre each at the cheapest length that it can be cut from. */
function cutCost({ cutLengthsNm }: CountLine, stock: Stock): Big | null {
  const times = new Map<Nanometres, number>();
  for (const lengthNm of cutLengthsNm) times.set(lengthNm, (times.get(lengthNm) ?? 0) + 1);
  let sum = new Big(0);
  for (const [lengthNm, count] of times) {
    const rate = leastByMetre(stock, lengthNm);
    if (rate === null) return null;
    sum = sum.plus(rate.times(lengthNm).times(count).div(NM_PER_M));
  }
  return sum;
}

/** For one base unit or piece of what is sold otherwise than by the length; null where it has no price. */
function byThePack({ buying }: PriceItem): Big | null {
  if (buying.by === "length" || buying.price === null) return null;
  const holds = buying.by === "pack" ? buying.packSize : buying.by === "cover" ? buying.cover : 1;
  return new Big(buying.price).div(holds);
}

/** `3.40`, and `0.046` where cents are too coarse. */
const rateText = (rate: Big): string => {
  const text = rate.toFixed();
  return /\.\d{2,}$/.test(text) ? text : rate.toFixed(2);
};

function rateOf(line: CountLine, item: PriceItem): Big | null {
  const { buying } = item;
  if (buying.by !== "length") return byThePack(item);
  const way = wayOf(line, item);
  if (way.by === "run") return leastByMetre(buying.stock, 0);
  const longest = buying.stock.toSorted((a, b) => b.lengthNm - a.lengthNm)[0];
  return way.by === "lengths" && longest && longest.price !== null ? new Big(longest.price) : null;
}

/**
 * What one line uses, waste included, by the item's own price and nothing else of the job: a line costs the same whatever is beside it.
 * What packs and lengths come to beyond that is a line of its own.
 */
export function ownMaterial(line: CountLine, item: PriceItem, system: MeasuringSystem): OwnMaterial {
  const said = saidQuantity(line, system);
  const withWaste = new Big(wasteOf(line, item)).div(100).plus(1);
  const quantity = { quantity: said.figure, unitName: said.unitName };
  if (wayOf(line, item).by === "cut" && item.buying.by === "length") {
    const cost = cutCost(line, item.buying.stock);
    return { ...quantity, rate: null, cost: cost === null ? "0.00" : toMoney(cost.times(withWaste)) };
  }
  const exact = rateOf(line, item)?.times(withWaste).times(said.base);
  const rate = exact?.round(placesOf(exact), Big.roundHalfUp);
  if (!rate) return { ...quantity, rate: null, cost: "0.00" };
  return { ...quantity, rate: rateText(rate), cost: toMoney(rate.times(said.figure)) };
}
