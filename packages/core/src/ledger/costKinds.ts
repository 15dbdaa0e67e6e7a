import { ITEM_KINDS } from "../order/priceItem";

/** What a cost is for: what is bought, by its kind in the price list, work, and what is allowed for. Each has a markup of its own. */
export const COST_KINDS = [...ITEM_KINDS, "labour", "allowance"] as const;
export type CostKind = (typeof COST_KINDS)[number];
