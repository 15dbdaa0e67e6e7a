import type { PartCount } from "../count";
import type { Order } from "../order";
import type { BuildUp } from "../price";

/** What a job comes to: what is needed, what is bought for it, and what that costs. */
export type Reckoning = {
  readonly counts: readonly PartCount[];
  readonly order: Order;
  readonly buildUp: BuildUp;
};

export type Quantities = Pick<Reckoning, "counts" | "order">;
