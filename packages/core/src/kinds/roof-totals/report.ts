import { z } from "zod";
import { measured } from "../../parts/dimension";
import { ownValue } from "../../records/ownValue";
import { type MeasuringSystem, NM_PER_M, parseArea, parseLength, parsePitch } from "../../units";
import { ROOF_TOTALS, type RoofTotals } from "./schema";

/** What a measuring report says, before anything is made of it. */
export type ReportTable = { readonly columns: readonly string[]; readonly rows: readonly (readonly string[])[] };

type Measure = "area" | "pitch" | "length";
export type ReportField = { readonly field: string; readonly label: string; readonly measure: Measure };

/** What of a roof by totals can be read from a report. */
export const REPORT_FIELDS: readonly ReportField[] = [
  { field: "area", label: "Area along the slopes", measure: "area" },
  { field: "pitch", label: "Pitch", measure: "pitch" },
  ...ROOF_TOTALS.filter(({ field }) => field !== "plate").map(
    ({ field, label }): ReportField => ({ field, label, measure: "length" }),
  ),
];

const SQ_M_PER_SQ_FT = 0.09290304;

/** The units a column can be in; `written` reads each entry as it would be typed. */
export const REPORT_UNITS: Readonly<Record<Measure, readonly { readonly unit: string; readonly label: string }[]>> = {
  area: [
    { unit: "sqft", label: "Square feet" },
    { unit: "square", label: "Squares of 100 sq ft" },
    { unit: "m2", label: "Square metres" },
    { unit: "written", label: "As written" },
  ],
  pitch: [
    { unit: "in12", label: "Rise in 12" },
    { unit: "degrees", label: "Degrees" },
    { unit: "percent", label: "Percent" },
    { unit: "written", label: "As written" },
  ],
  length: [
    { unit: "ft", label: "Feet" },
    { unit: "in", label: "Inches" },
    { unit: "m", label: "Metres" },
    { unit: "mm", label: "Millimetres" },
    { unit: "written", label: "As written" },
  ],
};

const FACTORS: Readonly<Record<string, number>> = {
  sqft: SQ_M_PER_SQ_FT,
  square: 100 * SQ_M_PER_SQ_FT,
  m2: 1,
  ft: 0.3048,
  in: 0.0254,
  m: 1,
  mm: 0.001,
};

const matchedSchema = z.object({ column: z.string().min(1).max(200), unit: z.string().min(1).max(20) });
/** More than there are figures: what is kept with a company stays small. */
const MOST_MATCHED = 20;
/** Which column of a report is which figure, and in what unit. By the figure; what is not there is not read. */
export const reportMatchSchema = z
  .record(z.string().min(1).max(40), matchedSchema)
  .refine((match) => Object.keys(match).length <= MOST_MATCHED, `At most ${MOST_MATCHED} columns are matched.`);
export type ReportMatch = z.infer<typeof reportMatchSchema>;

/** Reports with the same columns, in any order, are matched alike. */
export const reportShape = ({ columns }: ReportTable): string =>
  columns
    .map((each) => each.toLowerCase())
    .toSorted()
    .join("|")
    .slice(0, 2000);

const GUESSES: Readonly<Record<string, RegExp>> = {
  area: /area/,
  pitch: /pitch|slope(?!d)/,
  eaves: /eave/,
  rakes: /rake|verge/,
  ridges: /ridge/,
  hips: /hip/,
  valleys: /valley/,
  wallTops: /head.?wall|wall.*top|top.*wall/,
  wallSides: /side.?wall|step|wall.*side/,
};
const UNIT_GUESSES: readonly (readonly [RegExp, string])[] = [
  [/sq\.? ?ft|sqft|square f/, "sqft"],
  [/m2|m²|sq\.? ?m|sqm/, "m2"],
  [/squares/, "square"],
  [/in.?12|\/ ?12/, "in12"],
  [/deg|°/, "degrees"],
  [/percent|%/, "percent"],
  [/\bmm\b|millim/, "mm"],
  [/\bft\b|feet|_ft/, "ft"],
  [/\binch|\bin\b/, "in"],
  [/\bm\b|metre|_m$/, "m"],
];

/** What the columns of a report most likely are, by their headings; whoever reads it has the last word. */
export function guessMatch({ columns }: ReportTable, system: MeasuringSystem): ReportMatch {
  const usual: Record<Measure, string> =
    system === "imperial"
      ? { area: "sqft", pitch: "in12", length: "ft" }
      : { area: "m2", pitch: "degrees", length: "m" };
  const taken = new Set<string>();
  return Object.fromEntries(
    REPORT_FIELDS.flatMap(({ field, measure }) => {
      const column = columns.find((each) => !taken.has(each) && GUESSES[field]?.test(each.toLowerCase()));
      if (column === undefined) return [];
      taken.add(column);
      const units = REPORT_UNITS[measure].map(({ unit }) => unit);
      const words = column.toLowerCase().replaceAll("_", " ");
      const guessed = UNIT_GUESSES.find(([pattern, unit]) => units.includes(unit) && pattern.test(words))?.[1];
      return [[field, { column, unit: guessed ?? usual[measure] }]];
    }),
  );
}

/** A plain number, with or without commas between thousands. */
const NUMBER = /^-?(\d+|\d{1,3}(,\d{3})+)(\.\d+)?$/;

type ReadValue = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly message: string };

function written(text: string, measure: Measure, system: MeasuringSystem): ReadValue {
  if (measure === "length") {
    const parsed = parseLength(text, system);
    return parsed.ok ? { ok: true, value: parsed.value / NM_PER_M } : { ok: false, message: parsed.problem.message };
  }
  const parsed = measure === "area" ? parseArea(text, system) : parsePitch(text, system);
  return parsed.ok ? { ok: true, value: parsed.value } : { ok: false, message: parsed.problem.message };
}

function valueIn(text: string, unit: string, measure: Measure, system: MeasuringSystem): ReadValue {
  if (unit === "written") return written(text, measure, system);
  if (!NUMBER.test(text)) return { ok: false, message: `“${text}” is no number.` };
  const number = Number(text.replaceAll(",", ""));
  if (number < 0) return { ok: false, message: `“${text}” is less than nothing.` };
  if (unit === "in12" || unit === "percent") return { ok: true, value: number / (unit === "in12" ? 12 : 100) };
  if (unit === "degrees") return { ok: true, value: Math.tan((number * Math.PI) / 180) };
  const factor = FACTORS[unit];
  return factor === undefined ? { ok: false, message: `“${unit}” is no unit.` } : { ok: true, value: number * factor };
}

/** A figure of a report: metres, square metres, or rise over run; or why it cannot be read. */
export type ReportFigure = ReportField & { readonly column: string; readonly text: string } & ReadValue;

/** One roof of a report by the columns that were matched; what it leaves empty is not there. */
export function readReport(
  table: ReportTable,
  row: number,
  match: ReportMatch,
  system: MeasuringSystem,
): readonly ReportFigure[] {
  return REPORT_FIELDS.flatMap((of): ReportFigure[] => {
    const matched = ownValue(match, of.field);
    const index = matched ? table.columns.indexOf(matched.column) : -1;
    const text = table.rows[row]?.[index] ?? "";
    if (!matched || index < 0 || text === "") return [];
    return [{ ...of, column: matched.column, text, ...valueIn(text, matched.unit, of.measure, system) }];
  });
}

/** A roof by totals with the figures of a report, all of them measured; what the report does not say stays. Area is along the slopes. */
export function withReport(part: RoofTotals, figures: readonly ReportFigure[]): RoofTotals {
  const changed: Record<string, unknown> = {};
  for (const figure of figures) {
    if (!figure.ok) continue;
    const isFigure = figure.measure !== "length";
    changed[figure.field] = isFigure
      ? { value: figure.value, typed: "", assumed: false }
      : measured(Math.round(figure.value * NM_PER_M), "");
    if (figure.field === "area") changed.areaTaken = "slope";
  }
  return { ...part, ...changed };
}
