import type { Library } from "../assemblies";
import { JobSheets, type PartCount } from "../count";
import { countOf, priceAlone, type Remembered } from "../job/reckonJob";
import type { Job } from "../job/records";
import type { Part } from "../kinds";
import type { PriceItem } from "../order";
import { Planner } from "../plan";
import { lessMoney, type Money } from "../units";
import { type OpenPointRange, type OpenRange, type OpenRangeProgress, widthOf } from "./openPointRange";
import { type Answer, type Question, questionsOf } from "./questions";

type End = { readonly total: Money; readonly words: string };

export type OpenRangeInput = {
  readonly job: Job;
  readonly parts: readonly Part[];
  readonly priceList: readonly PriceItem[];
  readonly library: Library;
};

const NO_LIKE = "Nothing like it is measured in this job.";
const NO_ANSWER = "No other value of it is likely to be built.";

const byMoney = (a: Money, b: Money): number => Number(lessMoney(a, b));

/** Parts that are counted: an answer that leaves one of these uncounted is none that can be built. */
const countedIds = (counts: readonly PartCount[]): ReadonlySet<string> =>
  new Set(
    counts.filter(({ lines, problems }) => lines.length > 0 || problems.length === 0).map(({ partId }) => partId),
  );

class Reckoner {
  private readonly remembered: Remembered;
  private readonly job: Job;

  constructor(
    private readonly input: OpenRangeInput,
    remembered: Remembered,
  ) {
    this.remembered = { sheets: new JobSheets(), planner: new Planner(), ...remembered };
    const { pricing } = input.job;
    // A typed total is what it is whatever turns out: what is open moves the price that comes out by itself.
    this.job = { ...input.job, pricing: { ...pricing, adjust: null } };
  }

  counts(parts: readonly Part[]): readonly PartCount[] {
    const { priceList, library } = this.input;
    return countOf(this.job, parts, priceList, library, this.remembered);
  }

  total(counts: readonly PartCount[]): Money {
    const { priceList, library } = this.input;
    return priceAlone(this.job, counts, priceList, library, this.remembered).total;
  }
}

type Tried = { readonly answer: Answer; readonly total: Money };

function* tryAnswers(
  question: Question,
  { parts }: OpenRangeInput,
  counted: ReadonlySet<string>,
  reckoner: Reckoner,
): Generator<void, Tried[]> {
  const tried: Tried[] = [];
  for (const answer of question.answers) {
    const counts = reckoner.counts(answer.change(parts));
    const still = countedIds(counts);
    if ([...counted].every((id) => still.has(id))) tried.push({ answer, total: reckoner.total(counts) });
    yield;
  }
  return tried;
}

function rangeOf(question: Question, tried: readonly Tried[], now: Money): OpenPointRange {
  const { message, kind, points } = question;
  const sorted = tried.toSorted((a, b) => byMoney(a.total, b.total));
  const [least] = sorted;
  const most = sorted.at(-1);
  const open = { message, kind, points, less: "0.00", more: "0.00", lessWords: "", moreWords: "", unknown: "" };
  if (!least || !most) return { ...open, unknown: kind === "missing" ? NO_LIKE : NO_ANSWER };
  // What is missing is not in the price: it adds at least what the least of its like comes to.
  const end = ({ answer, total }: Tried): End => ({ total: lessMoney(total, now), words: answer.words });
  const [down, up] = [end(least), end(most)];
  const falls = kind === "missing" || Number(down.total) < 0;
  const rises = kind === "missing" || Number(up.total) > 0;
  return {
    ...open,
    ...(falls ? { less: down.total, lessWords: down.words } : {}),
    ...(rises ? { more: up.total, moreWords: up.words } : {}),
  };
}

/** The answers at one end of each question, all together. */
function allAt(
  parts: readonly Part[],
  all: readonly (readonly Tried[])[],
  now: Money,
  kinds: readonly Question["kind"][],
  end: "least" | "most",
): readonly Part[] {
  return all.reduce<readonly Part[]>((changed, tried, index) => {
    const sorted = tried.toSorted((a, b) => byMoney(a.total, b.total));
    const chosen = end === "least" ? sorted[0] : sorted.at(-1);
    if (!chosen) return changed;
    const moves = byMoney(chosen.total, now);
    const stays = kinds[index] === "assumed" && (end === "least" ? moves >= 0 : moves <= 0);
    return stays ? changed : chosen.answer.change(changed);
  }, parts);
}

/**
 * What each open point could move the total by, and what is open in all: the job reckoned again with each of its other likely values,
 * one after another, then with all at their least and all at their most. Yields after each, so that a caller can tell how far it is, or stop.
 */
export function* openRange(
  input: OpenRangeInput,
  remembered: Remembered = {},
): Generator<OpenRangeProgress, OpenRange> {
  const reckoner = new Reckoner(input, remembered);
  const counts = reckoner.counts(input.parts);
  const now = reckoner.total(counts);
  const questions = questionsOf(counts, { ...input, system: input.job.system });
  const of = questions.reduce((sum, { answers }) => sum + answers.length, 0) + 2;
  const counted = countedIds(counts.filter(({ waits }) => !waits));
  const all: Tried[][] = [];
  let done = 0;
  for (const question of questions) {
    const steps = tryAnswers(question, input, counted, reckoner);
    let step = steps.next();
    while (!step.done) {
      done += 1;
      yield { done, of };
      step = steps.next();
    }
    all.push(step.value);
  }
  const kinds = questions.map(({ kind }) => kind);
  const least = reckoner.total(reckoner.counts(allAt(input.parts, all, now, kinds, "least")));
  yield { done: of - 1, of };
  const most = reckoner.total(reckoner.counts(allAt(input.parts, all, now, kinds, "most")));
  const points = questions.map((question, index) => rangeOf(question, all[index] ?? [], now));
  return { total: now, least, most, points: points.toSorted(widestFirst) };
}

const widestFirst = (a: OpenPointRange, b: OpenPointRange): number =>
  Number(a.unknown !== "") - Number(b.unknown !== "") || -byMoney(widthOf(a), widthOf(b));
