import type { CountLine, PartCount } from "../count";
import type { Part } from "../kinds";
import { suppliedLines } from "../order/supplied";
import type { BuildUp } from "../price";
import { formatMoney, type MeasuringSystem } from "../units";
import type { QuoteDocument } from "./document";
import type { JobQuote } from "./settings";

export type QuoteInput = {
  readonly number: string;
  /** ISO date of issue; core has no clock. */
  readonly date: string;
  readonly company: { readonly name: string; readonly address: string };
  readonly job: {
    readonly title: string;
    readonly customerName: string;
    readonly site: string;
    readonly system: MeasuringSystem;
    readonly currency: string;
  };
  readonly settings: JobQuote;
  readonly parts: readonly Part[];
  readonly counts: readonly PartCount[];
  readonly buildUp: BuildUp;
  readonly options: QuoteDocument["options"];
};

/** Adds days to an ISO date, in UTC so that no time zone moves it. Throws for a date that is none. */
export function addDays(date: string, days: number): string {
  const time = Date.parse(`${date}T00:00:00Z`);
  if (Number.isNaN(time)) throw new RangeError(`addDays: "${date}" is not an ISO date`);
  return new Date(time + days * 86_400_000).toISOString().slice(0, 10);
}

/** The draft quote: follows the job at every change until it is issued. */
export function quoteJob(input: QuoteInput): QuoteDocument {
  const { settings, buildUp, job } = input;
  return {
    schemaVersion: 2,
    number: input.number,
    date: input.date,
    validUntil: addDays(input.date, settings.validDays),
    company: { name: input.company.name, address: input.company.address },
    customer: { name: job.customerName, site: job.site },
    title: job.title,
    currency: job.currency,
    intro: settings.intro,
    pictures: [...settings.pictures],
    sections: sectionsOf(input),
    options: [...input.options],
    priceBeforeTax: buildUp.priceBeforeTax,
    tax: { name: buildUp.taxName, percent: buildUp.taxPercent, amount: buildUp.tax },
    total: buildUp.total,
    exclusions: [...settings.exclusions],
    notes: notesOf(input),
    terms: settings.terms,
  };
}

/** What options that were taken say of a part, each sentence once. */
const takenWords = (lines: readonly CountLine[]): string[] => [
  ...new Set(lines.flatMap(({ option }) => (option?.words ? [option.words] : []))),
];

/** Who supplies what the builder does not: said to the customer with how much it is. */
function supplyWords(lines: readonly CountLine[], { system, currency }: QuoteInput["job"]): string[] {
  return suppliedLines(lines, system).map(({ description, need, rate, cost }) => {
    const what = `${description.toLowerCase()}, ${need}`;
    if (rate === null || cost === null) return `Supplied by you: ${what}.`;
    const each = `${formatMoney(cost, currency)} in all, at ${rate} for each as counted`;
    return `Allowed for ${what}: ${each}. What you choose is charged at what it costs.`;
  });
}

function sectionsOf({ parts, counts, buildUp, settings, job }: QuoteInput): QuoteDocument["sections"] {
  const shown = (partId: string): string | null => {
    if (settings.detail === "one-price") return null;
    return buildUp.byPart.find((each) => each.partId === partId)?.price ?? "0.00";
  };
  const scopes = new Map(
    counts.map(
      (count) =>
        [count.partId, [...count.scope, ...takenWords(count.lines), ...supplyWords(count.lines, job)]] as const,
    ),
  );
  const countedIds = new Set(counts.filter((count) => count.lines.length > 0).map((count) => count.partId));
  const sections = parts
    .filter((part) => countedIds.has(part.id))
    .map((part) => ({
      heading: headingOf(part),
      paragraphs: [...(scopes.get(part.id) ?? [])],
      price: shown(part.id),
    }));
  const extras = buildUp.byPart.find((each) => each.partId === "");
  const extraLines = buildUp.lines.filter((line) => line.id.startsWith("extra/")).map((line) => line.description);
  if (!extras) return sections;
  return [...sections, { heading: extras.name, paragraphs: extraLines, price: shown("") }];
}

/** Where it is and what it is called; a place that its name begins with is said once. */
function headingOf({ location, name }: Part): string {
  const begins = name.toLowerCase().startsWith(location.toLowerCase()) && !/^\w/.test(name.slice(location.length));
  return location === "" || begins ? name : `${location}: ${name}`;
}

/** What the customer should know is not settled. */
function notesOf({ counts }: QuoteInput): string[] {
  const points = counts.flatMap((count) => count.openPoints);
  const assumed = points.filter((point) => point.kind === "assumed").length;
  const unmeasured = counts.filter((count) => count.waits);
  const impossible = counts.filter((count) => !count.waits && count.lines.length === 0 && count.problems.length > 0);
  const notes: string[] = [];
  if (assumed === 1) notes.push("One figure or choice is assumed and is to be confirmed on site.");
  if (assumed > 1) notes.push(`${assumed} figures or choices are assumed and are to be confirmed on site.`);
  if (unmeasured.length > 0)
    notes.push(`Not measured yet and not in this price: ${unmeasured.map((each) => each.partName).join(", ")}.`);
  if (impossible.length > 0)
    notes.push(
      `Not in this price, as it cannot be built as measured: ${impossible.map((each) => each.partName).join(", ")}.`,
    );
  return notes;
}
