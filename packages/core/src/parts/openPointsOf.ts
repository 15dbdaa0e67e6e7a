import { type FigureMeasure, formatFigure, type MeasuringSystem } from "../units";
import type { DimensionSlot } from "./dimension";
import type { FigureSlot } from "./figure";
import type { OpenPoint } from "./partKind";

type Named = Pick<FigureSlot, "path" | "label" | "of" | "typedOn" | "follows">;
type Entered = { readonly value: number | null; readonly assumed: boolean; readonly refused?: string | undefined };

/** What is missing, refused or assumed among lengths, in the order they are typed. Those typed elsewhere count there. */
export const figurePoints = (slots: readonly DimensionSlot[], system: MeasuringSystem): OpenPoint[] =>
  slots.flatMap((slot) => {
    const { valueNm: value, assumed, refused } = slot.dimension;
    // Of most lengths there is nothing to say.
    return value !== null && !assumed && refused === undefined
      ? []
      : pointsOf(slot, "length", { value, assumed, refused }, system);
  });

/** The same among figures of any measure. */
export const pointsOfFigures = (slots: readonly FigureSlot[], system: MeasuringSystem): OpenPoint[] =>
  slots.flatMap((slot) => pointsOf(slot, slot.measure, slot.figure, system));

function pointsOf(
  { path, label, of, typedOn, follows }: Named,
  measure: FigureMeasure,
  { value, assumed, refused }: Entered,
  system: MeasuringSystem,
): OpenPoint[] {
  if (typedOn) return [];
  const name = of ? `${of}: ${label.toLowerCase()}` : label;
  if (refused !== undefined) return [{ path, kind: "refused", message: `${name}: “${refused}” could not be used` }];
  if (value === null) return [{ path, kind: "missing", message: `${name} is not measured yet` }];
  if (!assumed || follows || path.endsWith(".head")) return [];
  const said = `is assumed: ${formatFigure(measure, value, system)}`;
  return [{ path, kind: "assumed", message: `${name} ${said}`, alike: `${label} ${said}` }];
}
