import { kindOf, type Part, renameParts } from "../kinds";
import { withPartsRenamed } from "./lineChanges";
import type { Job, NewJob } from "./schema";

/** What a copy is to be: its own name and customer, all of the parts or some of them, for working on or as the start of others. */
export type CopyOf = Pick<NewJob, "title" | "customerName" | "site"> & {
  /** Null for all. */
  readonly partIds: readonly string[] | null;
  readonly shelf: Exclude<Job["shelf"], "archived">;
  /** Whether what was typed in comes along. */
  readonly typed: boolean;
};

/** Parts that a part names: the room that its wall is of, the roof that it runs into. */
function namedBy(part: Part): string[] {
  const named: string[] = [];
  kindOf(part).withReferences?.(part, (id) => {
    named.push(id);
    return id;
  });
  return named;
}

/** The chosen parts and all that these name, in their order: a wall of a room is nothing without the room. */
export function withNamed(parts: readonly Part[], chosen: readonly string[] | null): readonly Part[] {
  if (chosen === null) return parts;
  const byId = new Map(parts.map((part) => [part.id, part]));
  const kept = new Set<string>();
  const keep = (id: string): void => {
    const part = byId.get(id);
    if (!part || kept.has(id)) return;
    kept.add(id);
    for (const named of namedBy(part)) keep(named);
  };
  for (const id of chosen) keep(id);
  return parts.filter(({ id }) => kept.has(id));
}

const ofPart = (lineId: string): string => lineId.split("/")[0] ?? "";
const ofLedger = (lineId: string): string => lineId.split("/")[1] ?? "";

/** Without what was chosen for parts that stay behind. Lines of the ledger that are of no part come along. */
function withoutOthers(job: Job, all: ReadonlySet<string>, kept: ReadonlySet<string>): Job {
  const gone = (id: string | null): boolean => id !== null && all.has(id) && !kept.has(id);
  const { pricing } = job;
  const lines = <T>(record: Readonly<Record<string, T>>, partOf: (id: string) => string): Record<string, T> =>
    Object.fromEntries(Object.entries(record).filter(([id]) => !gone(partOf(id))));
  return {
    ...job,
    lineChanges: lines(job.lineChanges, ofPart),
    swaps: job.swaps.filter(({ partId }) => !gone(partId)),
    pricing: {
      ...pricing,
      linesSet: lines(pricing.linesSet, ofLedger),
      conditions: pricing.conditions.filter(({ partId }) => !gone(partId)),
      extras: pricing.extras.map((extra) => (gone(extra.measuredBy) ? { ...extra, measuredBy: null } : extra)),
    },
  };
}

/**
 * A job as the start of another: parts under new ids, counted by the same rules, at the prices of the moment `at`. Photos, timber in
 * the yard, a typed price and what became of the first stay behind. `newId` makes ids.
 */
export function copyJob(
  job: Job,
  parts: readonly Part[],
  { partIds, shelf, typed, ...named }: CopyOf,
  at: Job["prices"]["at"],
  newId: () => string,
): { readonly job: Job; readonly parts: readonly Part[] } {
  const chosen = withNamed(parts, partIds);
  const ids = new Map(chosen.map(({ id }) => [id, newId()]));
  const own = withoutOthers(job, new Set(parts.map(({ id }) => id)), new Set(ids.keys()));
  const renamed = withPartsRenamed(own, (id) => ids.get(id) ?? id);
  const { pricing, quote, cutting } = renamed;
  return {
    job: {
      ...renamed,
      ...named,
      shelf,
      stage: "pricing",
      prices: { at, taken: {} },
      pricing: { ...pricing, adjust: null, extras: typed ? pricing.extras : [] },
      quote: { ...quote, pictures: [] },
      cutting: { ...cutting, yard: [], kept: {} },
    },
    parts: renameParts(chosen, (id) => ids.get(id) ?? id).map((part) => ({ ...part, photos: [] })),
  };
}
