import { enterFigure, type FigureSlot, kindOf, type Part, settlePart } from "@wide-porch/core";
import { useJob } from "../job/JobContext";
import { type Entered, TapePad } from "./TapePad";

type Props<P extends Part> = {
  readonly part: P;
  /** The figures that are typed on this part. */
  readonly slots: readonly FigureSlot[];
  readonly path: string;
  /** Goes to another figure, or to none. */
  readonly onMove: (path: string | undefined) => void;
};

/** The tape pad over a part's figures: each entry is saved as it is made, a wrong one kept beside. */
export function PartPad<P extends Part>({ part, slots, path, onMove }: Props<P>) {
  const { context, rules, savePart, readings, noteReading } = useJob(
    "context",
    "rules",
    "savePart",
    "readings",
    "noteReading",
  );
  const enter = (at: string, typed: string): Entered => {
    // By what it is built by, not by what its record assumes: a head that fits under one top plate fits.
    const settle = (each: P) => settlePart(each, context.system, rules);
    const result = enterFigure(kindOf(part), part, at, typed, context, settle);
    savePart(result.part);
    const isLength = slots.some((slot) => slot.path === at && slot.measure === "length");
    if (!result.problem && isLength) noteReading(typed.trim());
    return { problem: result.problem };
  };
  return (
    <TapePad
      slots={slots}
      path={path}
      system={context.system}
      partName={part.name}
      readings={readings}
      onEnter={enter}
      onMove={onMove}
      onClose={() => onMove(undefined)}
    />
  );
}
