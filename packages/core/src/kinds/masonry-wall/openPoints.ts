import { figurePoints } from "../../parts/openPointsOf";
import type { OpenPoint, PartContext } from "../../parts/partKind";
import type { SlotParameter } from "../../parts/slot";
import { ownValue } from "../../records/ownValue";
import { masonryWords } from "./choiceWords";
import { coursingPoints } from "./coursing";
import { masonryWallFigures, placedOpenings } from "./figures";
import { MASONRY_PARAMETERS } from "./parameters";
import { unitProblems } from "./problems";
import type { MasonryWall } from "./schema";
import { type Built, choicesOf } from "./slot";

/** The choices that are asked for and that nobody decided. */
export function choicePoints(
  built: Built,
  context: PartContext,
  parameters: readonly SlotParameter[] = MASONRY_PARAMETERS,
): OpenPoint[] {
  const choices = choicesOf(built, context.system);
  const open = parameters.filter(({ name, asked }) => asked && built.settled?.assumed.has(name) !== false);
  return open.map(({ name, label, path }) => {
    const value = String(Object.entries(choices).find(([each]) => each === name)?.[1] ?? "");
    const said = ownValue(context.units, value)?.name ?? masonryWords(value);
    return { path, kind: "assumed", message: `${label} is assumed: ${said}` };
  });
}

/** What is missing, refused or assumed on this wall, and where it misses its courses. */
export function masonryWallOpenPoints(wall: MasonryWall, context: PartContext): readonly OpenPoint[] {
  const figures = figurePoints(masonryWallFigures.dimensions(wall), context.system).filter(
    ({ path, kind }) => !(path === "height" && kind === "assumed" && wall.plan?.heightFollows),
  );
  const coursing = unitProblems(wall, context).length > 0 ? [] : coursingPoints(placedOpenings(wall, context), context);
  return [...figures, ...choicePoints(wall, context), ...coursing];
}
