import type { Library } from "../assemblies";
import type { Nanometres } from "../units";
import type { PriceItem } from "./priceItem";

type Known = { readonly key: string; readonly library: Library };
const known = new WeakMap<Library, Known>();

/**
 * The library with the longest length that each item is sold in: plates are spliced by what can be had. The same object for
 * as long as the lengths are the same, so that counts made by it stay good.
 */
export function withLongestSold(library: Library, priceList: readonly PriceItem[]): Library {
  const longest = priceList.flatMap(({ code, buying }): [string, Nanometres][] =>
    buying.by === "length" ? [[code, Math.max(...buying.stock.map((each) => each.lengthNm))]] : [],
  );
  const key = JSON.stringify(longest);
  const before = known.get(library);
  if (before?.key === key) return before.library;
  const fresh: Library = { ...library, longestSold: new Map(longest) };
  known.set(library, { key, library: fresh });
  return fresh;
}
