import Big from "big.js";
import { isTaken, type PartCount, withLines } from "../count/records";
import { type Problem, problem } from "../problems/problem";
import { type Money, toMoney } from "../units";

/** An option of a job: what taking it adds to the total, and what the customer reads of it. */
export type JobOption = {
  readonly name: string;
  readonly taken: boolean;
  /** What the total is more by with it than without it, tax and all. */
  readonly difference: Money;
  readonly words: readonly string[];
};

/** Names of the options that a job's counts have, in the order they come. */
export const optionNames = (counts: readonly PartCount[]): readonly string[] => [
  ...new Set(counts.flatMap((count) => count.lines.flatMap(({ option }) => (option ? [option.name] : [])))),
];

/** Counts with the lines that are in the job alone: what is ordered, priced and quoted. The same where no line belongs to an option. */
export function countsInForce(counts: readonly PartCount[], taken: readonly string[]): readonly PartCount[] {
  const names = new Set(taken);
  return counts.map((count) => {
    if (count.lines.every((line) => isTaken(line, names))) return count;
    return withLines(
      count,
      count.lines.filter((line) => isTaken(line, names)),
    );
  });
}

/** What the quote says of an option: the words of its lines, each once; their descriptions where a rule has none. */
export function optionWords(counts: readonly PartCount[], name: string): string[] {
  const own = counts.flatMap((count) => count.lines.filter(({ option }) => option?.name === name));
  return [...new Set(own.map(({ option, description }) => option?.words || `${description}.`))];
}

/**
 * Every option with its price, each worked out through the whole line with it and without it, the others as they are; `totalWith` is
 * the total for a set of options taken.
 */
export function pricedOptions(
  counts: readonly PartCount[],
  taken: readonly string[],
  totalWith: (taken: readonly string[]) => Money,
): JobOption[] {
  const names = optionNames(counts).slice(0, MOST_OPTIONS);
  const all = new Set(optionNames(counts));
  const gone = [...new Set(taken)].filter((name) => !all.has(name));
  const left = gone.map((name) => ({ name, taken: true, difference: "0.00", words: [NOTHING_LEFT] }));
  const priced = names.map((name) => {
    const others = taken.filter((each) => each !== name);
    const difference = toMoney(new Big(totalWith([...others, name])).minus(totalWith(others)));
    return { name, taken: taken.includes(name), difference, words: optionWords(counts, name) };
  });
  return [...priced, ...left];
}

/** Each is priced through the whole line, at every change. */
export const MOST_OPTIONS = 20;

/** What is said where a job has more options than are priced. */
export function tooManyOptions(counts: readonly PartCount[]): Problem[] {
  const names = optionNames(counts);
  const [first, ...more] = names.slice(MOST_OPTIONS);
  if (first === undefined) return [];
  const which = more.length === 0 ? `“${first}” is` : `“${first}” and ${more.length} more are`;
  const message = `A job has at most ${MOST_OPTIONS} options with a price of their own: ${which} not priced.`;
  return [problem("too-many-options", "", message)];
}

const NOTHING_LEFT = "Nothing in the job belongs to it any more.";
