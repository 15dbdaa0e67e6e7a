import { assumedDimension } from "../parts/dimension";
import { followRectangle } from "../parts/walkedOutline";
import type { Nanometres } from "../units";
import type { Joisted } from "./schema";

type Side = { readonly roomId: string; readonly side: string; readonly lengthNm: Nanometres };

/** The same part with Edge A along a side of the house, and as long as that where nobody measured it. */
export function alongSide<P extends Joisted>(part: P, { roomId, side, lengthNm }: Side): P {
  const [first, ...others] = part.edges;
  const free = first !== undefined && (first.length.valueNm === null || first.length.assumed);
  const edges = free ? [{ ...first, length: assumedDimension(lengthNm) }, ...others] : part.edges;
  return {
    ...part,
    edges: [...followRectangle(edges)],
    follows: { how: "side", roomId, side, from: assumedDimension(0) },
  };
}
