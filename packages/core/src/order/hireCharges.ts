import Big from "big.js";
import type { OrderLine } from "./orderLine";
import type { Hire, PriceItem } from "./priceItem";

/** How many units of a hire are charged: no fewer than the least. */
export const unitsCharged = (needed: number, { hire }: Pick<PriceItem, "hire">): number =>
  needed > 0 ? Math.max(needed, hire?.least ?? 0) : needed;

/** What is said where more is charged than is needed. */
export const leastWords = (needed: number, { hire }: Pick<PriceItem, "hire">): string =>
  hire && needed > 0 && needed < hire.least ? `${hire.least} at least are charged` : "";

const deliveryOf = ({ delivery, collection }: Hire): string => new Big(delivery).plus(collection).toString();

/** What comes with a hire: bringing and fetching it once for the job, and fuel for the units it works, which may be fewer than are charged. */
export function hireCharges(item: PriceItem, hired: OrderLine, worked: number): OrderLine[] {
  const { hire, name } = item;
  if (!hire || hired.quantity === 0) return [];
  const alone = hired.alone === undefined ? {} : { alone: hired.alone };
  const said = { itemCode: item.code, countLineIds: hired.countLineIds, need: "", waste: "", note: "", ...alone };
  const delivery: OrderLine = {
    ...said,
    id: `${hired.id}/delivery`,
    description: `Delivery and collection: ${name}`,
    quantity: 1,
    unitName: "sum",
    unitPrice: deliveryOf(hire),
    charge: "delivery",
  };
  const fuel: OrderLine = {
    ...said,
    id: `${hired.id}/fuel`,
    description: `Fuel: ${name}`,
    quantity: worked,
    unitName: hired.unitName,
    unitPrice: hire.fuel,
    charge: "fuel",
  };
  return [delivery, fuel].filter(({ unitPrice }) => Number(unitPrice) !== 0);
}
