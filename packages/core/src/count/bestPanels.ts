import { builderOf, type Library, partContext, settlePart, slotValues } from "../assemblies";
import { ALONE, isJoistedPart, JOIST_PARAMETERS, joistChoicesOf, kindOf, type Part } from "../kinds";
import { manyPanels, panelSize } from "../kinds/floor/build/laidOnJoists";
import { longestSold } from "../kinds/roof/build/longest";
import { bestStart, expectedPieces, layJoists, MOST_JOIST_PIECES, type TriedStart } from "../layouts/joists";
import type { MeasuringSystem } from "../units";

/** Where panels begin as they lie, and where they take the fewest. */
export type BestPanels = { readonly now: TriedStart; readonly best: TriedStart };

/** The best start of the panels over a part, which stands as the plan has it; undefined where none are laid out on it. */
export function bestPanelsOf(entered: Part, system: MeasuringSystem, library: Library): BestPanels | undefined {
  const part = settlePart(entered, system, library);
  const assembly = builderOf(entered, system, library);
  if (!isJoistedPart(part) || !assembly) return undefined;
  const context = partContext(system, library);
  // What cannot be counted has no panels either.
  if (kindOf(part).problems(part, context).length > 0) return undefined;
  const choices = joistChoicesOf(part, system);
  if (expectedPieces(part, choices) > MOST_JOIST_PIECES) return undefined;
  const laid = layJoists(part, choices, context, longestSold(assembly, library));
  if (!laid || choices.panelsBy !== "laid-out") return undefined;
  const site = { library, context, around: ALONE };
  const { size } = panelSize(laid, assembly, slotValues(JOIST_PARAMETERS, choices), site);
  return size && !manyPanels(laid, size) ? bestStart(laid, size) : undefined;
}
