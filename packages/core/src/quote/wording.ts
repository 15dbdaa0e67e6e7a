import type { Assembly } from "../assemblies";
import { type Opening, type PartContext, parameterText, type StudWall } from "../parts";
import { formatLengthInWords, formatRunningLength } from "../units";

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
  if (phrases.length < 2) return phrases[0] ?? "no openings";
  return `${phrases.slice(0, -1).join(", ")} and ${phrases[phrases.length - 1]}`;
}

const PLATE_WORDS = ["no", "a single", "a double", "a triple"];

/** The assembly's sentences with the wall's choices in them; a sentence whose condition does not hold is left out. */
export function scopeOf(wall: StudWall, assembly: Assembly, context: PartContext): string[] {
  if (wall.length.valueNm === null) return [];
  const holds: Record<Assembly["wording"][number]["when"], boolean> = {
    always: true,
    bearing: wall.parameters.bearing.value,
    "not-bearing": !wall.parameters.bearing.value,
    openings: wall.openings.length > 0,
    sheathed: wall.parameters.sheathed.value,
  };
  const values: Record<string, string> = {
    name: wall.name,
    length: formatRunningLength(wall.length.valueNm, context.system),
    height: formatLengthInWords(wall.height.valueNm ?? 0, context.system),
    studSize: parameterText(wall, "studSize", context),
    spacing: parameterText(wall, "spacingNm", context),
    topPlates: PLATE_WORDS[wall.parameters.topPlates.value] ?? "",
    openings: openingsText(wall.openings),
  };
  return assembly.wording
    .filter((sentence) => holds[sentence.when])
    .map((sentence) => sentence.text.replace(/\{(\w+)\}/g, (whole, name: string) => values[name] ?? whole));
}
