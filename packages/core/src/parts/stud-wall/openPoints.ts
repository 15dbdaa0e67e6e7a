import { formatSpacing } from "../../units";
import { figurePoints } from "../openPointsOf";
import type { OpenPoint, PartContext } from "../partKind";
import { studWallDimensions } from "./dimensions";
import type { ParameterName, StudWall } from "./schema";

export const PARAMETER_LABELS: Record<ParameterName, string> = {
  studSize: "Stud size",
  spacingNm: "Stud spacing",
  bottomPlates: "Bottom plates",
  topPlates: "Top plates",
  bearing: "Bearing",
  sheathed: "Sheathing outside",
};

export const PARAMETER_NAMES = Object.keys(PARAMETER_LABELS) as ParameterName[];

export function parameterText(wall: StudWall, name: ParameterName, context: PartContext): string {
  const { value } = wall.parameters[name];
  if (name === "spacingNm") return formatSpacing(Number(value), context.system);
  if (name === "studSize") return context.sections[String(value)]?.name ?? String(value);
  if (typeof value === "boolean") return value ? "Yes" : "No";
  return String(value);
}

/** What is missing, refused or assumed on this wall, in the order to settle it. */
export function studWallOpenPoints(wall: StudWall, context: PartContext): readonly OpenPoint[] {
  const figures = figurePoints(studWallDimensions(wall), context.system);
  const choices = PARAMETER_NAMES.filter((name) => wall.parameters[name].assumed).map((name): OpenPoint => {
    const message = `${PARAMETER_LABELS[name]} is assumed: ${parameterText(wall, name, context)}`;
    return { path: `parameters.${name}`, kind: "assumed", message };
  });
  return [...figures, ...choices];
}
