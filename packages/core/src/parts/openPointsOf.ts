import { formatLength, type MeasuringSystem } from "../units";
import type { DimensionSlot, OpenPoint } from "./partKind";

const nameOf = ({ of, label }: DimensionSlot): string => (of ? `${of}: ${label.toLowerCase()}` : label);

/** What is missing, refused or assumed among figures, in the order they are typed. Those typed elsewhere count there. */
export function figurePoints(slots: readonly DimensionSlot[], system: MeasuringSystem): OpenPoint[] {
  return slots.flatMap((slot): OpenPoint[] => {
    const { path, dimension } = slot;
    if (slot.typedOn) return [];
    const name = nameOf(slot);
    if (dimension.refused !== undefined) {
      return [{ path, kind: "refused", message: `${name}: “${dimension.refused}” could not be used` }];
    }
    if (dimension.valueNm === null) return [{ path, kind: "missing", message: `${name} is not measured yet` }];
    if (!dimension.assumed || path.endsWith(".head")) return [];
    const said = `is assumed: ${formatLength(dimension.valueNm, system)}`;
    return [{ path, kind: "assumed", message: `${name} ${said}`, alike: `${slot.label} ${said}` }];
  });
}
