import { listed } from "../../../units/listed";
import type { Opening, StudWall } from "../..";

const NUMBER_WORDS = ["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"];
const numberWord = (count: number): string => NUMBER_WORDS[count] ?? String(count);

const OPENING_NOUNS: Record<Opening["kind"], [string, string]> = {
  door: ["door opening", "door openings"],
  window: ["window opening", "window openings"],
  plain: ["plain opening", "plain openings"],
};

/** `one door opening and two window openings`. */
export function openingsText(openings: readonly Opening[]): string {
  const phrases = (["door", "window", "plain"] as const).flatMap((kind) => {
    const count = openings.filter((opening) => opening.kind === kind).length;
    const [one, many] = OPENING_NOUNS[kind];
    return count === 0 ? [] : [`${numberWord(count)} ${count === 1 ? one : many}`];
  });
  return listed(phrases) || "no openings";
}

const PLATE_WORDS = ["no", "a single", "a double", "a triple"];

/** What the scope says of a wall that is no single value. */
export const wallWords = (wall: StudWall): Record<string, string> => ({
  name: wall.name,
  plates: PLATE_WORDS[wall.parameters.topPlates.value] ?? "",
  openingWords: openingsText(wall.openings),
  boardWords: boardWords(wall.parameters),
});

const layersText = (count: number): string => `${numberWord(count)} ${count === 1 ? "layer" : "layers"}`;

/** `one layer on each side`, `two layers on this side and one on the far side`. */
export function boardWords({ boardsNear, boardsFar }: StudWall["parameters"]): string {
  const [near, far] = [boardsNear.value, boardsFar.value];
  if (near === far) return near === 0 ? "no boards" : `${layersText(near)} on each side`;
  if (far === 0) return `${layersText(near)} on this side`;
  if (near === 0) return `${layersText(far)} on the far side`;
  return `${layersText(near)} on this side and ${numberWord(far)} on the far side`;
}
