import type { Opening } from "../parts/opening";
import { listed } from "../units";

const NUMBER_WORDS = ["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"];
export const numberWord = (count: number): string => NUMBER_WORDS[count] ?? String(count);

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
