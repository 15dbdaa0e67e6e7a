import Big from "big.js";
import type { CountLine, PartCount } from "../count";
import type { Part } from "../kinds";
import { suppliedLines } from "../order/supplied";
import type { ApartStep, BuildUp, Pricing } from "../price";
import { allocateMoney, formatMoney, lessMoney, type MeasuringSystem, type Money, sumMoney, toMoney } from "../units";
import type { QuoteDocument } from "./document";
import type { Letterhead } from "./letterhead";
import type { JobQuote } from "./settings";

export type QuoteInput = {
  readonly number: string;
  /** ISO date of issue; core has no clock. */
  readonly date: string;
  readonly company: WrittenBy;
  readonly job: {
    readonly title: string;
    readonly customerName: string;
    readonly site: string;
    readonly system: MeasuringSystem;
    readonly currency: string;
  };
  readonly settings: JobQuote;
  /** Which steps the customer reads by themselves, and whether prices have their tax in them. */
  readonly pricing: Pick<Pricing, "apart" | "tax">;
  readonly parts: readonly Part[];
  readonly counts: readonly PartCount[];
  readonly buildUp: BuildUp;
  readonly options: QuoteDocument["options"];
  readonly extras: Pricing["extras"];
  /** How many figures and choices nobody has confirmed, by the list of open points. */
  readonly assumed: number;
};

/** Adds days to an ISO date, in UTC so that no time zone moves it. Throws for a date that is none. */
export function addDays(date: string, days: number): string {
  const time = Date.parse(`${date}T00:00:00Z`);
  if (Number.isNaN(time)) throw new RangeError(`addDays: "${date}" is not an ISO date`);
  return new Date(time + days * 86_400_000).toISOString().slice(0, 10);
}

/** Who writes; what they do not say of themselves is not on the paper. */
export type WrittenBy = Pick<Letterhead, "name" | "address"> & Partial<Letterhead>;

const letterheadOf = ({ name, address, details = [], mark = null }: WrittenBy): Letterhead => ({
  name,
  address,
  details: [...details],
  mark,
});

/** The draft quote: follows the job at every change until it is issued. */
export function quoteJob(input: QuoteInput): QuoteDocument {
  const { settings, buildUp, job } = input;
  return {
    schemaVersion: 4,
    number: input.number,
    date: input.date,
    validUntil: addDays(input.date, settings.validDays),
    company: letterheadOf(input.company),
    customer: { name: job.customerName, site: job.site },
    title: job.title,
    currency: job.currency,
    intro: settings.intro,
    pictures: [...settings.pictures],
    sections: sectionsOf(input),
    options: [...input.options],
    priceBeforeTax: buildUp.priceBeforeTax,
    apart: apartOf(input),
    taxes: taxLines(buildUp),
    taxContained: contained(input),
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

const contained = ({ pricing }: QuoteInput): boolean => pricing.tax.shown === "contained";

const APART_WORDS: Readonly<Record<ApartStep, string>> = {
  contingency: "Contingency",
  discount: "Discount",
  promptPayment: "Discount for payment at once",
};

/** A discount that prices allow for is in them, and nothing that is taken off here. */
const amountApart = (step: ApartStep, buildUp: BuildUp): Money =>
  step === "promptPayment" && Number(buildUp.promptPayment.amount) > 0 ? "0.00" : buildUp[step].amount;

/** With tax in prices it is in these as well, by what each is of the price. */
function withTaxIn(amounts: readonly Money[], input: QuoteInput): readonly Money[] {
  if (!contained(input)) return amounts;
  const { priceBeforeTax, total } = input.buildUp;
  if (Number(priceBeforeTax) === 0) return amounts;
  return amounts.map((amount) => toMoney(new Big(amount).times(total).div(priceBeforeTax)));
}

function apartOf(input: QuoteInput): QuoteDocument["apart"] {
  const { pricing, buildUp } = input;
  const steps = [...new Set(pricing.apart)].filter((step) => Number(amountApart(step, buildUp)) !== 0);
  const amounts = withTaxIn(
    steps.map((step) => amountApart(step, buildUp)),
    input,
  );
  return steps.map((step, index) => ({ name: APART_WORDS[step], amount: amounts[index] ?? "0.00" }));
}

const taxLines = ({ taxName, taxes }: BuildUp): QuoteDocument["taxes"] =>
  taxes
    .filter((each) => taxes.length === 1 || Number(each.base) !== 0)
    .map(({ percent, base, amount }) => ({ name: taxName, percent, base, amount }));

/** What each part is said to cost: all of them and what is said apart add up to the price that is shown, to the cent. */
function partPricesShown(input: QuoteInput): ReadonlyMap<string, Money> {
  const { buildUp } = input;
  const whole = contained(input) ? buildUp.total : buildUp.priceBeforeTax;
  const inParts = lessMoney(whole, sumMoney(apartOf(input).map(({ amount }) => amount)));
  if (inParts === buildUp.priceBeforeTax) return new Map(buildUp.byPart.map(({ partId, price }) => [partId, price]));
  const prices = allocateMoney(
    inParts,
    buildUp.byPart.map(({ price }) => Number(price)),
  );
  return new Map(buildUp.byPart.map(({ partId }, index) => [partId, prices[index] ?? "0.00"]));
}

function sectionsOf(input: QuoteInput): QuoteDocument["sections"] {
  const { parts, counts, buildUp, settings, job } = input;
  const prices = partPricesShown(input);
  const shown = (partId: string): string | null =>
    settings.detail === "one-price" ? null : (prices.get(partId) ?? "0.00");
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
  const extraLines = extraWords(input);
  if (!extras) return sections;
  return [...sections, { heading: extras.name, paragraphs: extraLines, price: shown("") }];
}

/** What was typed, with what a subcontractor's sum covers; who quoted it is nobody else's business. */
function extraWords({ buildUp, extras }: QuoteInput): string[] {
  const covers = new Map(extras.map(({ id, covers: words }) => [`extra/${id}`, words]));
  return buildUp.lines
    .filter((line) => line.id.startsWith("extra/"))
    .map(({ id, description }) => {
      const words = covers.get(id) ?? "";
      return words === "" ? description : `${description}: ${words}`;
    });
}

/** Where it is and what it is called; a place that its name begins with is said once. */
function headingOf({ location, name }: Part): string {
  const begins = name.toLowerCase().startsWith(location.toLowerCase()) && !/^\w/.test(name.slice(location.length));
  return location === "" || begins ? name : `${location}: ${name}`;
}

/** What the customer should know is not settled. */
function notesOf({ counts, assumed }: QuoteInput): string[] {
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
