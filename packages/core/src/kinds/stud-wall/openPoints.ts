import { figurePoints } from "../../parts/openPointsOf";
import type { OpenPoint, PartContext } from "../../parts/partKind";
import { ownValue } from "../../records/ownValue";
import { formatSpacing } from "../../units";
import { studWallDimensions } from "./figures";
import { FRAMING_PARAMETERS, framingParameter, type ParameterName } from "./parameters";
import type { StudWall } from "./schema";

const WORDS: Record<string, string> = {
  left: "Left end",
  right: "Right end",
  timber: "Cut from stock",
  precut: "Precut",
  "two-stud": "Two studs and clips",
  "three-stud": "Three studs",
  "four-stud": "Four studs",
  "extra-studs": "Extra studs",
  ladder: "Ladder blocking",
};

/** What a choice of a few is called. */
export const choiceWords = (value: string): string => ownValue(WORDS, value) ?? value;

export function parameterText(wall: Pick<StudWall, "parameters">, name: ParameterName, context: PartContext): string {
  const { value } = wall.parameters[name];
  if (typeof value === "boolean") return value ? "Yes" : "No";
  const { kind } = framingParameter(name);
  if (kind === "length") return value === 0 ? "None" : formatSpacing(Number(value), context.system);
  if (kind === "section") return ownValue(context.sections, String(value))?.name ?? String(value);
  return choiceWords(String(value));
}

/** What is missing, refused or assumed on this wall, in the order to settle it. */
export function studWallOpenPoints(wall: StudWall, context: PartContext): readonly OpenPoint[] {
  const figures = figurePoints(studWallDimensions(wall), context.system).filter(
    ({ path, kind }) => !(path === "height" && kind === "assumed" && wall.plan?.heightFollows),
  );
  const choices = FRAMING_PARAMETERS.filter(({ key, asked }) => asked && wall.parameters[key].assumed).map(
    ({ key, label }): OpenPoint => {
      const message = `${label} ${label.endsWith("s") ? "are" : "is"} assumed: ${parameterText(wall, key, context)}`;
      return { path: `parameters.${key}`, kind: "assumed", message };
    },
  );
  return [...figures, ...choices];
}
