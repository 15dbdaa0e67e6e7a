import { plural } from "../../../units";
import { numberWord, openingsText } from "../../../wall/openingWords";
import type { FramingChoices, StudWall } from "../..";

const PLATE_WORDS = ["no", "a single", "a double", "a triple"];

/** What the scope says of a wall that is no single value. */
export const wallWords = (wall: StudWall, framing: FramingChoices): Record<string, string> => ({
  name: wall.name,
  plates: PLATE_WORDS[framing.topPlates] ?? "",
  openingWords: openingsText(wall.openings),
  boardWords: boardWords(framing),
});

const layersText = (count: number): string => `${numberWord(count)} ${plural(count, "layer", "layers")}`;

/** `one layer on each side`, `two layers on this side and one on the far side`. */
export function boardWords({ boardsNear: near, boardsFar: far }: FramingChoices): string {
  if (near === far) return near === 0 ? "no boards" : `${layersText(near)} on each side`;
  if (far === 0) return `${layersText(near)} on this side`;
  if (near === 0) return `${layersText(far)} on the far side`;
  return `${layersText(near)} on this side and ${numberWord(far)} on the far side`;
}
