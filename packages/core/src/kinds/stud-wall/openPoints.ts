import { isAssumed } from "../../parts/choicesSlot";
import { choiceText } from "../../parts/choiceText";
import { figurePoints } from "../../parts/openPointsOf";
import type { OpenPoint, PartContext } from "../../parts/partKind";
import type { Scalar } from "../../parts/use";
import { studWallDimensions } from "./figures";
import { FRAMING_PARAMETERS } from "./parameters";
import type { StudWall } from "./schema";
import { framingOf } from "./slot";

/** What is missing, refused or assumed on this wall, in the order to settle it. */
export function studWallOpenPoints(wall: StudWall, context: PartContext): readonly OpenPoint[] {
  const figures = figurePoints(studWallDimensions(wall, context), context.system).filter(
    ({ path, kind }) => !(path === "height" && kind === "assumed" && wall.plan?.heightFollows),
  );
  const framing = new Map<string, Scalar>(Object.entries(framingOf(wall, context.system)));
  const open = FRAMING_PARAMETERS.filter(({ name, asked }) => asked && isAssumed(wall, name));
  const choices = open.map((parameter): OpenPoint => {
    const { label, path, name } = parameter;
    const text = choiceText(parameter, framing.get(name) ?? "", context);
    return { path, kind: "assumed", message: `${label} ${label.endsWith("s") ? "are" : "is"} assumed: ${text}` };
  });
  return [...figures, ...choices];
}
