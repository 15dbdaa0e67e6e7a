import { isAssumed } from "../../parts/choicesSlot";
import { choiceText } from "../../parts/choiceText";
import { figurePoints } from "../../parts/openPointsOf";
import type { OpenPoint, PartContext } from "../../parts/partKind";
import type { SlotParameter } from "../../parts/slot";
import type { Scalar } from "../../parts/use";
import { coursingPoints } from "./coursing";
import { masonryWallFigures, placedOpenings } from "./figures";
import { openingAreaPoints } from "./openingArea";
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
  const choices = new Map<string, Scalar>(Object.entries(choicesOf(built, context.system)));
  const open = parameters.filter(({ name, asked }) => asked && isAssumed(built, name));
  return open.map((parameter) => {
    const { name, label, path } = parameter;
    const said = choiceText(parameter, choices.get(name) ?? "", context);
    return { path, kind: "assumed", message: `${label} is assumed: ${said}` };
  });
}

/** What is missing, refused or assumed on this wall, and where it misses its courses. */
export function masonryWallOpenPoints(wall: MasonryWall, context: PartContext): readonly OpenPoint[] {
  const figures = figurePoints(masonryWallFigures.dimensions(wall, context), context.system).filter(
    ({ path, kind }) => !(path === "height" && kind === "assumed" && wall.plan?.heightFollows),
  );
  const coursing = unitProblems(wall, context).length > 0 ? [] : coursingPoints(placedOpenings(wall, context), context);
  return [...figures, ...openingAreaPoints(wall, context), ...choicePoints(wall, context), ...coursing];
}
