import type { DimensionSlot } from "./dimension";
import type { FigureSlot } from "./figure";
import type { PartContext, PartKind } from "./partKind";

const lengthSlot = ({ dimension, ...slot }: DimensionSlot): FigureSlot => {
  const { valueNm, ...entry } = dimension;
  return { ...slot, measure: "length", figure: { ...entry, value: valueNm }, keepsRefused: true };
};

/** All that can be typed on a part: its lengths in the order a tape goes, then the rest. */
export const figureSlots = <P>(
  kind: Pick<PartKind<P>, "dimensions" | "figures">,
  part: P,
  context: PartContext,
): readonly FigureSlot[] => [...kind.dimensions(part, context).map(lengthSlot), ...(kind.figures?.(part) ?? [])];
