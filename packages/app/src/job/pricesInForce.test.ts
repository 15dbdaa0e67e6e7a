import { newPriceItem } from "@wide-porch/core";
import { pricesInForce } from "./pricesInForce";

const AT = "2026-11-02T08:00:00.000Z";
const record = (code: string, revision: number) => ({
  revision,
  item: newPriceItem(code, "metric", { by: "each", price: `${revision}.00` }),
});
const newest = [record("a", 3), record("b", 2), record("c", 1)];
const kept = { prices: { at: AT, taken: {} }, kept: [record("a", 1), record("b", 1)] };
const prices = (of: Parameters<typeof pricesInForce>[1], job: Parameters<typeof pricesInForce>[2]) =>
  pricesInForce(newest, of, job).map(({ buying }) => (buying.by === "each" ? buying.price : ""));

describe("the prices of a job on the device", () => {
  it("are the newest, with what is kept in its place", () => {
    expect(prices(kept, { at: AT, taken: {} })).toEqual(["1.00", "1.00", "1.00"]);
    expect(prices(undefined, { at: AT, taken: {} })).toEqual(["3.00", "2.00", "1.00"]);
  });

  it("are at once those that were taken, before the server has said so", () => {
    expect(prices(kept, { at: AT, taken: { a: 3 } })).toEqual(["3.00", "1.00", "1.00"]);
    expect(prices(kept, { at: "2026-11-20T08:00:00.000Z", taken: {} })).toEqual(["3.00", "2.00", "1.00"]);
    expect(prices(kept, { at: null, taken: {} })).toEqual(["3.00", "2.00", "1.00"]);
  });

  it("of a revision that was taken and is the newest no longer are what the server says", () => {
    expect(prices(kept, { at: AT, taken: { a: 2 } })).toEqual(["1.00", "1.00", "1.00"]);
  });
});
