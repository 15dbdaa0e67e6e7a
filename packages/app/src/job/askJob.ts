import { ask, NoAnswer } from "../api/client";
import { type FullJob, fullJobSchema, type JobChanges, jobChangesSchema, type PartRecord } from "../api/records";
import { askKept, keepAnswer } from "../device/kept";
import { jobKey } from "../sync/outboxInstance";
import { assemblyKey } from "./rules";

type Changed = NonNullable<JobChanges["changed"]>;

/** The later of two states of a part: an answer may have been on its way while a newer one came. */
const laterOf = (known: PartRecord | undefined, came: PartRecord): PartRecord =>
  known && known.revision >= came.revision ? known : came;

/** A job with what has changed of it since. */
export function withChanges(
  before: FullJob,
  change: number,
  { job, parts, unknownParts, binned, ...rest }: Changed,
): FullJob {
  const came = new Map(parts.map((part) => [part.id, part]));
  const known = new Set(before.parts.map((part) => part.id));
  const gone = new Map(binned.map(({ id, revision }) => [id, revision]));
  const unknown = new Set(unknownParts.map((part) => part.id));
  const stays = ({ id, revision }: PartRecord) => !unknown.has(id) && (gone.get(id) ?? -1) < revision;
  const updated = before.parts.map((part) => laterOf(part, came.get(part.id) ?? part));
  return {
    change,
    job: job.revision > before.job.revision ? job : before.job,
    parts: [...updated, ...parts.filter((part) => !known.has(part.id))].filter(stays),
    unknownParts: [
      ...before.unknownParts.filter(({ id }) => !unknown.has(id) && !came.has(id) && !gone.has(id)),
      ...unknownParts,
    ],
    assemblies: withKnown(rest.assemblies, before.assemblies),
    standard: rest.standard,
  };
}

type Assemblies = FullJob["assemblies"];

/** A version of an assembly never changes: what the device has of them is not sent again. */
const withKnown = (came: Assemblies, known: Assemblies): Assemblies => [
  ...new Map([...known, ...came].map((each) => [assemblyKey(each), each])).values(),
];

/** An address takes no more; those that are not named are sent again. */
const MOST_NAMED = 100;

const namesOf = ({ assemblies }: FullJob): string =>
  encodeURIComponent(
    assemblies
      .slice(-MOST_NAMED)
      .map(({ id, version }) => `${id}@${version}`)
      .join(","),
  );

const askWhole = (jobId: string): Promise<FullJob> =>
  askKept(fullJobSchema, `/jobs/${jobId}`, jobKey(jobId), {
    query: (known) => `?known=${namesOf(known)}`,
    merge: (came, known) => ({ ...came, assemblies: withKnown(came.assemblies, known.assemblies) }),
  });

/**
 * The job as the server has it. What the device has of it is only brought up to date; the same object while nothing has
 * changed. Without signal it stays as it is. Throws what asking throws, where the device has nothing.
 */
export async function askJob(jobId: string, before: FullJob | undefined): Promise<FullJob> {
  if (before?.change === undefined) return askWhole(jobId);
  try {
    const path = `/jobs/${jobId}/changes?since=${before.change}&known=${namesOf(before)}`;
    const { change, changed } = await ask(jobChangesSchema, "GET", path);
    if (!changed) return before;
    // The server has gone back to an earlier state, from a copy of its database: what there is now is asked for whole.
    if (change < before.change) return askWhole(jobId);
    const now = withChanges(before, change, changed);
    keepAnswer(`/jobs/${jobId}`, now);
    return now;
  } catch (error) {
    if (error instanceof NoAnswer) return before;
    throw error;
  }
}
