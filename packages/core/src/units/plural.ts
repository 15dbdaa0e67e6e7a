const RULES = new Intl.PluralRules("en");

/**
 * What so many are called: `plural(2, "length", "lengths")`. The count is of what is there, and may be no whole number.
 *
 * @example plural(1.5, "hour is", "hours are") === "hours are"
 */
export const plural = (count: number, one: string, many: string): string =>
  RULES.select(count) === "one" ? one : many;

/** The same with the count before it: `3 lengths`. */
export const soMany = (count: number, one: string, many: string): string => `${count} ${plural(count, one, many)}`;

/** One of what words are for many of: `common trusses` are each a `common truss`, `collar ties` a `collar tie`. */
export const singular = (words: string): string => words.replace(/(?:(ss|x|ch|sh)es|s)$/, "$1");

/** Many of a thing by its word for one, as units of a count are: `3 boxes`. */
export function pluralOf(word: string): string {
  if (/(^|\s)foot$/.test(word)) return `${word.slice(0, -4)}feet`;
  if (word.endsWith("leaf")) return `${word.slice(0, -1)}ves`;
  return /(s|x|ch|sh)$/.test(word) ? `${word}es` : `${word}s`;
}
