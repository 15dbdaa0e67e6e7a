import { type Library, settlePart } from "../assemblies";
import { type FigureSlot, figureSlots, kindOf, type OpenPoint, type Part, type PartContext } from "../kinds";
import { formatFigure, type MeasuringSystem } from "../units";
import type { Answer } from "./answer";

type Values = { readonly slot: FigureSlot; readonly sorted: readonly number[] };

/** What the same figure was measured as on other parts of the same kind, the least first. */
function measuredElsewhere(slot: FigureSlot, part: Part, others: readonly (readonly [Part, readonly FigureSlot[]])[]) {
  return others
    .flatMap(([other, slots]) =>
      other.kind !== part.kind
        ? []
        : slots.filter(
            ({ label, measure, figure }) => label === slot.label && measure === slot.measure && !figure.assumed,
          ),
    )
    .flatMap(({ figure }) => (figure.value === null ? [] : [figure.value]))
    .toSorted((a, b) => a - b);
}

const ENDS = [
  { words: "as the least of its like here", of: (sorted: readonly number[]) => sorted[0] },
  { words: "as the middle of its like here", of: (sorted: readonly number[]) => sorted[Math.floor(sorted.length / 2)] },
  { words: "as the most of its like here", of: (sorted: readonly number[]) => sorted.at(-1) },
] as const;

/**
 * What a part that waits may come to: its missing figures as the least, the middle and the most that their like were measured as in this
 * job. Nothing where one of them has no like, or is no figure: a walk that does not close.
 */
export function measuredAlike(
  partId: string,
  missing: readonly OpenPoint[],
  parts: readonly Part[],
  system: MeasuringSystem,
  library: Library,
  context: PartContext,
): Answer[] {
  const part = parts.find(({ id }) => id === partId);
  if (!part) return [];
  const slotsOf = (each: Part) => figureSlots(kindOf(each), settlePart(each, system, library), context);
  const others = parts.flatMap((each) => (each.id === partId ? [] : [[each, slotsOf(each)] as const]));
  const own = slotsOf(part);
  const values: Values[] = [];
  for (const { path } of missing) {
    const slot = own.find((each) => each.path === path);
    const sorted = slot ? measuredElsewhere(slot, part, others) : [];
    if (!slot || sorted.length === 0) return [];
    values.push({ slot, sorted });
  }
  const put = (now: Part, { path, measure }: FigureSlot, value: number): Part => {
    const kind = kindOf(now);
    return measure === "length"
      ? kind.withDimension(now, path, value, "", context)
      : (kind.withFigure?.(now, path, value, "") ?? now);
  };
  return ENDS.map(({ words, of }) => {
    const chosen = values.map(({ slot, sorted }) => ({ slot, value: of(sorted) ?? 0 }));
    const said = chosen.map(({ slot, value }) => formatFigure(slot.measure, value, system)).join(" by ");
    return {
      words: `${said}, ${words}`,
      change: (all) =>
        all.map((each) =>
          each.id === partId ? chosen.reduce((now, { slot, value }) => put(now, slot, value), each) : each,
        ),
    };
  });
}
