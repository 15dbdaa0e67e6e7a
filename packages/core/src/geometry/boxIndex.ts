import RBush from "rbush";
import type { Bounds } from "./polygon";

type Indexed = {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
  readonly order: number;
};

/**
 * Finds among many things those whose boxes touch a box, without asking them all: of n things in about log n. They come in the order they were
 * given in. A thing without a box is never found.
 */
export function indexBoxes<T>(
  items: readonly T[],
  boxOf: (item: T, index: number) => Bounds | undefined,
): (box: Bounds) => T[] {
  const tree = new RBush<Indexed>();
  tree.load(
    items.flatMap((item, order): Indexed[] => {
      const box = boxOf(item, order);
      return box ? [{ ...sidesOf(box), order }] : [];
    }),
  );
  return (box) =>
    tree
      .search(sidesOf(box))
      .map(({ order }) => order)
      .toSorted((a, b) => a - b)
      .flatMap((order) => items.slice(order, order + 1));
}

const sidesOf = ({ min, max }: Bounds) => ({ minX: min.xNm, minY: min.yNm, maxX: max.xNm, maxY: max.yNm });

/** A box with so much more round it. */
export const widened = ({ min, max }: Bounds, byNm: number): Bounds => ({
  min: { xNm: min.xNm - byNm, yNm: min.yNm - byNm },
  max: { xNm: max.xNm + byNm, yNm: max.yNm + byNm },
});
