import { newPriceItem } from "../order";
import { type ItemVersion, versionInForce, withItems } from "./pricesKept";

const at = (day: number): string => `2026-11-${String(day).padStart(2, "0")}T08:00:00.000Z`;
const version = (revision: number, day: number): ItemVersion => ({
  revision,
  at: at(day),
  item: newPriceItem("nail", "metric", { by: "each", price: `${revision}.00` }),
});
const versions = [version(1, 2), version(2, 9), version(3, 20)];
const inForce = (prices: Parameters<typeof versionInForce>[1], all = versions) => versionInForce(all, prices)?.revision;

describe("prices that a job keeps", () => {
  it.each([
    [null, 3],
    [at(25), 3],
    [at(20), 3],
    [at(19), 2],
    [at(9), 2],
    [at(3), 1],
  ])("of %s are those of the last change until then", (moment, revision) => {
    expect(inForce({ at: moment, taken: {} })).toBe(revision);
  });

  it("of an item that was made since are its first: there is none before", () => {
    expect(inForce({ at: at(1), taken: {} })).toBe(1);
    expect(inForce({ at: at(1), taken: {} }, [])).toBeUndefined();
  });

  it("that were taken one by one go before the moment; a revision that never was does not", () => {
    expect(inForce({ at: at(3), taken: { nail: 3 } })).toBe(3);
    expect(inForce({ at: at(25), taken: { nail: 1 } })).toBe(1);
    expect(inForce({ at: at(3), taken: { nail: 9 } })).toBe(1);
    expect(inForce({ at: at(3), taken: { toString: 3 } })).toBe(1);
  });

  it("stand in the list in the place of the newest", () => {
    const list = [newPriceItem("a", "metric"), newPriceItem("nail", "metric")];
    const old = { ...newPriceItem("nail", "metric"), name: "Old" };
    expect(withItems(list, [old, newPriceItem("gone", "metric")]).map(({ name }) => name)).toEqual(["", "Old"]);
    expect(withItems(list, [])).toBe(list);
  });
});
