import { type Parsed, parsed, refused } from "../problems/problem";
import { formatArea } from "./area";
import { readEntry } from "./entryReader";
import { formatLength } from "./formatLength";
import type { MeasuringSystem } from "./length";
import { normaliseMarks } from "./lengthTokens";
import { parseArea } from "./parseArea";
import { parseLength } from "./parseLength";
import { parsePitch, pitchWays } from "./pitch";

/**
 * What a figure that is typed is a measure of. Its value is a plain number: whole nanometres, square metres, rise over run,
 * degrees, a whole count, one part to another, percent, units of money, or just a number.
 */
export const FIGURE_MEASURES = [
  "length",
  "area",
  "pitch",
  "angle",
  "count",
  "ratio",
  "percent",
  "money",
  "number",
] as const;
export type FigureMeasure = (typeof FIGURE_MEASURES)[number];

type Reader = (text: string, system: MeasuringSystem) => Parsed<number>;

/** A plain number with arithmetic, after marks that say no more than the field does. */
const plain =
  (marks: RegExp, check: (value: number) => Parsed<number>): Reader =>
  (text, system) => {
    const entry = readEntry(withPoint(normaliseMarks(text).replace(marks, " ").trim()), "bare", system);
    return entry.ok ? check(entry.value.valueOf()) : entry;
  };

/** One or two figures after a comma are a decimal, in what is never written with thousands apart. */
const withPoint = (text: string): string => text.replace(/(\d),(\d{1,2})(?!\d)/g, "$1.$2");

const angle = plain(/°|degrees?\b|deg\b/g, (degrees) =>
  Math.abs(degrees) <= 360 ? parsed(degrees) : refused("too-large", "An angle is at most 360°."),
);
const count = plain(/^$/, (value) => {
  if (!Number.isInteger(value)) return refused("not-whole", "A count is a whole number.");
  return value >= 0 ? parsed(value) : refused("negative", "A count is 0 or more.");
});
const number = plain(/^$/, (value) =>
  Math.abs(value) <= 1e9 ? parsed(value) : refused("too-large", "That is too large a number. Check the figure."),
);
const percent = plain(/%|per ?cent\b/g, (value) =>
  Math.abs(value) <= 10_000 ? parsed(value) : refused("too-large", "That is more than 10,000 %. Check the figure."),
);
const money = plain(/[$£€]/g, (value) =>
  Math.abs(value) <= 1e9 ? parsed(value) : refused("too-large", "That is more than any job costs. Check the figure."),
);

/** `1:4` is a quarter; a bare figure is so many to one. */
const ratio: Reader = (text, system) => {
  const [first = "", second, more] = normaliseMarks(text).split(/:| to /);
  if (more !== undefined) return refused("ratio", "A ratio has two parts: 1:4.");
  const [a, b] = [readEntry(first, "bare", system), readEntry(second ?? "1", "bare", system)];
  if (!a.ok) return a;
  if (!b.ok) return b;
  if (b.value.compare(0) <= 0 || a.value.compare(0) < 0)
    return refused("ratio", "Both parts of a ratio are more than 0.");
  return parsed(a.value.div(b.value).valueOf());
};

const READERS: Readonly<Record<FigureMeasure, Reader>> = {
  length: parseLength,
  area: parseArea,
  pitch: parsePitch,
  angle,
  count,
  ratio,
  percent,
  money,
  number,
};

/** Reads an entry as the measure it is typed for, with arithmetic; says in a sentence why it cannot. */
export const parseFigure = (measure: FigureMeasure, text: string, system: MeasuringSystem): Parsed<number> =>
  READERS[measure](text, system);

const rounded = (value: number, places: number): string => String(Number(value.toFixed(places)));

/** A figure in the words of the job's own system. */
export function formatFigure(measure: FigureMeasure, value: number, system: MeasuringSystem): string {
  switch (measure) {
    case "length":
      return formatLength(value, system);
    case "area":
      return formatArea(value, system);
    case "pitch":
      return pitchWays(value, system)[0] ?? "";
    case "angle":
      return `${rounded(value, 2)}°`;
    case "ratio":
      return value > 0 && value < 1 ? `1:${rounded(1 / value, 2)}` : `${rounded(value, 2)}:1`;
    case "percent":
      return `${rounded(value, 3)} %`;
    case "money":
      return value.toFixed(2);
    case "count":
    case "number":
      return rounded(value, 6);
  }
}

/** The other ways the same figure is said: a pitch has four. */
export const otherWays = (measure: FigureMeasure, value: number, system: MeasuringSystem): readonly string[] =>
  measure === "pitch" ? pitchWays(value, system).slice(1) : [];
