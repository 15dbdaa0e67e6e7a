/** A text with brackets put in, and where each of its characters stood before. */
export type Grouped = { readonly text: string; readonly originOf: (at: number) => number };

const FIGURE = /"[^"]*"|(\d+(?:\.\d*)?(?:e[+-]?\d+)?|\.\d+)\s*([A-Za-zï][\wï]*)(\s*\^\s*\d+)?/gi;
/** `1/2 in`, where no sign of the same rank stands before it: a fraction as a tape reads it. */
const FRACTION_BEFORE = /(?:^|[^*/^\w.)\s])\s*(\d+(?:\.\d*)?\s*\/\s*)$/;
const NOT_UNITS: ReadonlySet<string> = new Set(["and", "or", "not"]);

/**
 * Puts brackets round each figure with its unit, so that the two are one thing: the reader would take `2 / 1 ft` for
 * `(2 / 1) ft`, whatever stands before it. Signs of one rank then go from left to right.
 */
export function groupFigures(text: string): Grouped {
  const put: { readonly at: number; readonly sign: string }[] = [];
  for (const match of text.matchAll(FIGURE)) {
    const [all, figure, unit = ""] = match;
    const before = text.slice(0, match.index);
    if (figure === undefined || NOT_UNITS.has(unit) || /[\w.ï]$/.test(before)) continue;
    const fraction = FRACTION_BEFORE.exec(before)?.[1] ?? "";
    put.push({ at: match.index - fraction.length, sign: "(" }, { at: match.index + all.length, sign: ")" });
  }
  let grouped = "";
  let from = 0;
  for (const { at, sign } of put) {
    grouped += text.slice(from, at) + sign;
    from = at;
  }
  const places = put.map(({ at }, index) => at + index);
  return {
    text: grouped + text.slice(from),
    originOf: (at) => at - places.filter((place) => place < at).length,
  };
}
