import type { Scalar } from "../kinds";
import type { Money } from "../units";

/** One way of doing something on a part: what the job comes to by it, and what it takes on the part. */
export type WayTried = {
  readonly value: Scalar;
  readonly total: Money;
  readonly hours: string;
  readonly plant: readonly { readonly what: string; readonly quantity: string; readonly unit: string }[];
};
