import {
  type Assembly,
  type AssemblyFileResult,
  type AssemblyProblem,
  type AssemblyTable,
  type BestPanels,
  bestPanelsOf,
  type Comparison,
  type CountLine,
  type CutList,
  type CutProgress,
  type CutSettings,
  compareEstimates,
  countAndOrder,
  countOf,
  countPart,
  cutInSteps,
  type Estimate,
  type ExampleResult,
  type HouseStandard,
  type Job,
  JobSheets,
  type Library,
  type Money,
  type NeededPiece,
  type OpenRange,
  type OpenRangeProgress,
  openRange,
  orderAndPrice,
  type Part,
  type PartCount,
  Planner,
  type PricedJob,
  type PriceItem,
  plainLine,
  priceAlone,
  problemsOf,
  type Quantities,
  type ReadTable,
  readAssemblyFile,
  readReportTable,
  resolveParts,
  runExamples,
  type Scalar,
  type Stock,
  type Surroundings,
  type WayTried,
  waysOfDoing,
  withItems,
  withTables,
} from "@wide-porch/core/reckoning";
import { book } from "@wide-porch/library/book";
import { expose } from "comlink";
import { CountCache } from "./countCache";
import { CutCache } from "./cutCache";
import { type SentCount, type SentPart, withKnownParts } from "./sent";

/** Pricing is null for people who do not see costs; there is then no build-up. */
export type DeviceJob = Omit<Job, "pricing"> & { readonly pricing: Job["pricing"] | null };
export type DeviceReckoning = Quantities & { readonly buildUp: PricedJob | undefined };

export type SentReckoning = Omit<DeviceReckoning, "counts"> & { readonly counts: readonly SentCount[] };

/** What a job is counted by: assemblies in the versions in use, and the house standard. */
export type Rules = { readonly assemblies: readonly Assembly[]; readonly standard: HouseStandard | undefined };

/** What an assembly comes to on one part, while it is being written. */
export type AssemblyTryout = {
  readonly problems: readonly AssemblyProblem[];
  readonly examples: readonly ExampleResult[];
  readonly lines: readonly CountLine[];
};

/** What a page's jobs are counted by, and priced from. */
export type ReckoningInputs = { readonly rules?: Rules; readonly priceList?: readonly PriceItem[] };

/** Everything that a price follows from, as an issued quote keeps it. */
export type PricedBy = Rules & {
  readonly job: Job;
  readonly parts: readonly Part[];
  readonly priceList: readonly PriceItem[];
};

export type PricesTried = {
  readonly now: Money;
  readonly all: Money;
  readonly each: readonly { readonly code: string; readonly total: Money }[];
};

export type PriceImpact = { readonly codes: readonly string[]; readonly before: Money; readonly after: Money };

type ReckoningSession = {
  readonly counts: CountCache;
  readonly cuts: CutCache;
  readonly sheets: JobSheets;
  readonly planner: Planner;
  library: Library;
  priceList: readonly PriceItem[];
  parts: readonly Part[];
  /** What was counted last, to be priced. */
  counted: { readonly job: DeviceJob; readonly counts: readonly PartCount[] } | undefined;
};

/** One for each job page that asks; a new page starts from nothing. */
const sessions = new Map<string, ReckoningSession>();

const libraryWith = ({ assemblies, standard }: Rules): Library => ({ ...book, assemblies, standard });

const estimateOf = ({ job, parts, priceList, ...rules }: PricedBy): Estimate => ({
  job,
  parts,
  priceList,
  library: libraryWith(rules),
});

function sessionOf(name: string): ReckoningSession {
  const session = sessions.get(name) ?? {
    counts: new CountCache(),
    cuts: new CutCache(),
    sheets: new JobSheets(),
    planner: new Planner(),
    // Nothing to build by until the page has said what its company builds by.
    library: libraryWith({ assemblies: [], standard: undefined }),
    priceList: [],
    parts: [],
    counted: undefined,
  };
  sessions.set(name, session);
  return session;
}

const cancelled = new Set<string>();
const breathe = (): Promise<void> => new Promise((done) => setTimeout(done, 0));
/** Told of no oftener than this: drawing progress takes time as well. */
const TELL_EVERY_MS = 120;

const reckoner = {
  /** The rules and prices that the page's job is counted by from here on; those that are not named stay. */
  learn(name: string, { rules, priceList }: ReckoningInputs): void {
    const session = sessionOf(name);
    if (rules) session.library = libraryWith(rules);
    if (priceList) session.priceList = priceList;
  },
  /** Parts → count: those that came out anew. Parts that were sent before are only named. */
  count(name: string, job: DeviceJob, sent: readonly SentPart[]): SentCount[] {
    const session = sessionOf(name);
    const { counts, sheets, planner, library, priceList } = session;
    session.parts = withKnownParts(sent, session.parts);
    const counted = countOf(job, session.parts, priceList, library, { count: counts.count, sheets, planner });
    session.counted = { job, counts: counted };
    counts.settle();
    return counts.fresh(counted);
  },
  /** Count → order → price, of what was counted last, with all its counts. The same code as on the server. */
  price(name: string): SentReckoning {
    const { counted, counts, cuts, library, priceList } = sessionOf(name);
    if (!counted) throw new Error(`price: nothing was counted yet for page ${name}`);
    const priced = orderAndPrice(counted.job, counted.counts, priceList, library, { cut: cuts.cut });
    cuts.settle();
    return { ...priced, counts: counts.all(counted.counts) };
  },
  /** What any estimate comes to, and all its costs. */
  priceOf({ job, parts, priceList, ...rules }: PricedBy): Pick<PricedJob, "ledger" | "total"> {
    const library = libraryWith(rules);
    const { ledger, total } = priceAlone(job, countOf(job, parts, priceList, library), priceList, library);
    return { ledger, total };
  },
  /** What a job comes to beside what it came to by other figures, rules and prices, and why. */
  compare(from: PricedBy, to: PricedBy): Comparison {
    return compareEstimates(estimateOf(from), estimateOf(to));
  },
  /** What the job that was counted last comes to at another price list, with all of it and with each of some items by itself. */
  totalsAt(name: string, items: readonly PriceItem[]): PricesTried | undefined {
    const { counted, counts, parts, priceList, library } = sessionOf(name);
    const pricing = counted?.job.pricing;
    if (!counted || !pricing) return undefined;
    const job = { ...counted.job, pricing };
    const totalAt = (list: readonly PriceItem[]) =>
      priceAlone(job, countOf(job, parts, list, library, { count: counts.count }), list, library).total;
    const each = items.map((item) => ({ code: item.code, total: totalAt(withItems(priceList, [item])) }));
    counts.settle();
    return { now: totalAt(priceList), all: totalAt(withItems(priceList, items)), each };
  },
  /** What the job that was counted last comes to with one choice of a part made each way; nothing for those who see no costs. */
  ways(name: string, partId: string, choice: string, values: readonly Scalar[]): WayTried[] | undefined {
    const { counted, parts, priceList, library } = sessionOf(name);
    const pricing = counted?.job.pricing;
    if (!counted || !pricing) return undefined;
    // Of its own: what is tried is not what the page has counted.
    const counts = new CountCache();
    const estimate = { job: { ...counted.job, pricing }, parts, priceList, library };
    return waysOfDoing(estimate, partId, choice, values, { count: counts.count });
  },
  /** The best start of the panels over a part of the job that was counted last; nothing where none are laid out on it. */
  bestPanels(name: string, partId: string): BestPanels | undefined {
    const { parts, planner, library, counted } = sessionOf(name);
    const part = resolveParts(parts, planner.plan(parts)).find(({ id }) => id === partId);
    return part && counted && bestPanelsOf(part, counted.job.system, library);
  },
  /** What other versions of some items do to a job that is not open: which of them it uses, and its total before and after. */
  touch({ job, parts, priceList, ...rules }: PricedBy, items: readonly PriceItem[]): PriceImpact {
    const library = libraryWith(rules);
    const at = (list: readonly PriceItem[]) => {
      const counts = countOf(job, parts, list, library);
      return { counts, total: priceAlone(job, counts, list, library).total };
    };
    const before = at(priceList);
    const used = new Set(before.counts.flatMap(({ lines }) => lines.map(({ itemCode }) => itemCode)));
    const codes = items.filter(({ code }) => used.has(code)).map(({ code }) => code);
    return {
      codes,
      before: before.total,
      after: codes.length === 0 ? before.total : at(withItems(priceList, items)).total,
    };
  },
  /** A count by other rules than the page's, to compare with. */
  countBy(job: DeviceJob, parts: readonly Part[], rules: Rules): CountLine[] {
    const { counts } = countAndOrder(job, parts, [], libraryWith(rules));
    return counts.flatMap((count) => count.lines.map(plainLine));
  },
  /** An assembly's file: what it holds, or what is wrong in it and on which line. */
  readFile(text: string, others: readonly Assembly[], tables: readonly AssemblyTable[]): AssemblyFileResult {
    return readAssemblyFile(text, others, tables);
  },
  /** A measuring report's text as a table, or why it is none. */
  readReport(text: string): ReadTable {
    return readReportTable(text);
  },
  /** Checks an assembly as it is being written, works its examples, and tries it on a part. */
  tryOut(
    assembly: Assembly,
    part: Part | undefined,
    around: Surroundings | undefined,
    others: readonly Assembly[],
    tables: readonly AssemblyTable[],
  ): AssemblyTryout {
    const own = withTables(assembly, tables);
    const library = libraryWith({ assemblies: [own, ...others], standard: undefined });
    const count = part && countPart(part, assembly.system, library, around);
    return {
      problems: problemsOf(own, library.assemblies),
      examples: runExamples(own, library),
      lines: (count?.lines ?? []).map(plainLine),
    };
  },
  /** The best cut list there is time for: tells how far it is, and stops when it is told to, with the best so far. */
  async cut(
    run: string,
    pieces: readonly NeededPiece[],
    stock: readonly Stock[],
    settings: CutSettings,
    tell: (progress: CutProgress) => void,
  ): Promise<{ list: CutList; cancelled: boolean }> {
    const steps = cutInSteps(pieces, stock, settings);
    let told = 0;
    let best: CutList | undefined;
    for (;;) {
      const step = steps.next();
      if (step.done) return { list: step.value, cancelled: false };
      best = step.value.list;
      const now = performance.now();
      if (now - told > TELL_EVERY_MS) {
        told = now;
        tell(step.value);
      }
      await breathe();
      if (cancelled.delete(run)) return { list: best, cancelled: true };
    }
  },
  /** What the open points of the job that was counted last could move its price by: tells how far it is, and stops when it is told to. */
  async openRange(
    name: string,
    run: string,
    tell: (progress: OpenRangeProgress) => void,
  ): Promise<OpenRange | undefined> {
    const session = sessions.get(name);
    const pricing = session?.counted?.job.pricing;
    if (!session?.counted || !pricing) return undefined;
    const { counted, parts, priceList, library } = session;
    const counts = new CountCache();
    const cuts = new CutCache();
    const remembered = { count: counts.count, cut: cuts.cut };
    const steps = openRange({ job: { ...counted.job, pricing }, parts, priceList, library }, remembered);
    let told = 0;
    for (;;) {
      const step = steps.next();
      if (step.done) return step.value;
      const now = performance.now();
      if (now - told > TELL_EVERY_MS) {
        told = now;
        tell(step.value);
      }
      // Entries are counted in between.
      await breathe();
      if (cancelled.delete(run)) return undefined;
    }
  },
  cancel(run: string): void {
    cancelled.add(run);
  },
  /** The page is gone. */
  forget(page: string): void {
    sessions.delete(page);
  },
};

export type Reckoner = typeof reckoner;

expose(reckoner);
