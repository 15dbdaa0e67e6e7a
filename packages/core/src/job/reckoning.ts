import type { PartCount } from "../count";
import type { Order } from "../order";
import type { BuildUp } from "../price";
import type { JobOption } from "./options";

/** From cost to price, with what each option adds to it. */
export type PricedJob = BuildUp & { readonly options?: readonly JobOption[] };

/** What a job comes to: what is needed, what is bought for it, and what that costs. */
export type Reckoning = {
  readonly counts: readonly PartCount[];
  readonly order: Order;
  readonly buildUp: PricedJob;
};

export type Quantities = Pick<Reckoning, "counts" | "order">;
