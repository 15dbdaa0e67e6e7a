import { z } from "zod";
import { assemblyRecord, assemblySchema, houseStandardSchema, standardRecord } from "../assemblies/records";
import { jobRecord, jobSchema } from "../job/records";
import { isFromNewer, type Part, PHOTO_TYPES, partSchema, readPart, type UnknownPart, unknownPart } from "../kinds";
import { recordOf } from "../migrations/fields";
import { versionOf } from "../migrations/migrate";
import { type Parsed, type Problem, parsed, problem, refused } from "../problems/problem";
import { quoteDocumentRecord, quoteDocumentSchema } from "../quote";
import { readRecord } from "../records/recordKind";

export const JOB_FILE_FORMAT = "wide-porch/job";

/** A whole job as one file: what was measured, how it is priced, and the quotes as they were issued. */
export const jobFileSchema = z
  .object({
    format: z.literal(JOB_FILE_FORMAT),
    schemaVersion: z.literal(1),
    job: jobSchema,
    parts: z.array(partSchema).max(2000),
    /** The parts' photos, as the pictures they were kept as. Files from before there were any have none. */
    photos: z
      .array(z.object({ id: z.string().min(1).max(40), contentType: z.enum(PHOTO_TYPES), base64: z.base64() }))
      .max(5000)
      .default([]),
    /** The assemblies its parts are counted with, and the house standard. Files from before there were any have none. */
    assemblies: z.array(assemblySchema).max(500).default([]),
    standards: z.array(houseStandardSchema).max(10).default([]),
    quotes: z.array(z.object({ issuedAt: z.iso.datetime(), document: quoteDocumentSchema })).max(500),
  })
  .meta({
    title: "Wide Porch job file",
    description: "A job exported from Wide Porch. Lengths are whole nanometres; money is decimal text.",
  });
export type JobFile = z.infer<typeof jobFileSchema>;

export type JobFileResult =
  | { readonly ok: true; readonly file: JobFile; readonly unknownParts: readonly UnknownPart[] }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** The published JSON Schema, draft 2020-12, of the file as it is read. */
export const jobFileJsonSchema = (): Record<string, unknown> => ({ ...z.toJSONSchema(jobFileSchema, { io: "input" }) });

const under = (path: string, inner: string): string => (inner === "" ? path : `${path}.${inner}`);

type Found<T> = { readonly values: readonly T[]; readonly problems: readonly Problem[] };

/** A list's records, each lifted and checked by itself; what is wrong is told by its place in the list. */
function readEach<T>(list: unknown, path: string, read: (stored: unknown) => Parsed<T>): Found<T> {
  const values: T[] = [];
  const problems: Problem[] = [];
  for (const [index, stored] of (Array.isArray(list) ? list : []).entries()) {
    const found = read(stored);
    if (found.ok) values.push(found.value);
    else
      problems.push({
        ...found.problem,
        path: under(`${path}.${index}`, found.problem.path),
      });
  }
  return { values, problems };
}

/** Parts that can be read, and those of a kind or version that this program does not know, as they are. */
function readParts(list: unknown): Found<Part> & { readonly unknown: readonly UnknownPart[] } {
  const found = readEach(list, "parts", readPart);
  const stored: readonly unknown[] = Array.isArray(list) ? list : [];
  const unknown = found.problems
    .filter((each) => isFromNewer(each.code))
    .map(({ path, message }) => unknownPart(stored[Number(path.split(".")[1])], message));
  return { ...unlessNewer(found), unknown };
}

const readQuote = (stored: unknown): Parsed<JobFile["quotes"][number]> => {
  const document = readRecord(quoteDocumentRecord, recordOf(stored).document);
  if (!document.ok)
    return { ok: false, problem: { ...document.problem, path: under("document", document.problem.path) } };
  const result = jobFileSchema.shape.quotes.element.safeParse({ ...recordOf(stored), document: document.value });
  if (result.success) return parsed(result.data);
  const [issue] = result.error.issues;
  return refused(
    issue?.code ?? "unfit",
    issue?.message ?? "This is no quote.",
    issue?.path.map(String).join(".") ?? "",
  );
};

/** Ids that a list's records were given twice: which of the two another part lies on, nobody could say. */
function doubledIn(list: unknown, path: string, what: string): Problem[] {
  const seen = new Map<string, number>();
  return (Array.isArray(list) ? list : []).flatMap((each, index) => {
    const { id } = recordOf(each);
    if (typeof id !== "string") return [];
    const first = seen.get(id);
    if (first === undefined) {
      seen.set(id, index);
      return [];
    }
    const message = `This ${what} has the id of another, ${path}.${first}: one of the two is to go, or to be given its own.`;
    return [problem("doubled", `${path}.${index}.id`, message)];
  });
}

/** An assembly or standard of a newer program is left out: what is counted with it then says that it is not there. */
const unlessNewer = <T>({ values, problems }: Found<T>): Found<T> => ({
  values,
  problems: problems.filter((each) => !isFromNewer(each.code)),
});

/** Reads a job file. Nothing is taken from a file that does not fit; the problems say where it fails. */
export function readJobFile(data: unknown): JobFileResult {
  const file = recordOf(data);
  if (versionOf(file) > 1) {
    const message = "This file was made by a newer version of the program. It is not taken in, and stays as it is.";
    return { ok: false, problems: [problem("too-new", "schemaVersion", message)] };
  }
  const job = readRecord(jobRecord, file.job);
  const parts = readParts(file.parts);
  const assemblies = unlessNewer(readEach(file.assemblies, "assemblies", (each) => readRecord(assemblyRecord, each)));
  const standards = unlessNewer(readEach(file.standards, "standards", (each) => readRecord(standardRecord, each)));
  const quotes = readEach(file.quotes, "quotes", readQuote);
  const problems = [
    ...(job.ok ? [] : [{ ...job.problem, path: under("job", job.problem.path) }]),
    ...[parts, assemblies, standards, quotes].flatMap((each) => each.problems),
    ...doubledIn(file.parts, "parts", "part"),
    ...doubledIn(file.photos, "photos", "photo"),
  ];
  const whole = jobFileSchema.safeParse({
    ...file,
    ...(job.ok ? { job: job.value } : {}),
    parts: Array.isArray(file.parts) ? parts.values : file.parts,
    assemblies: assemblies.values,
    standards: standards.values,
    quotes: Array.isArray(file.quotes) ? quotes.values : file.quotes,
  });
  if (problems.length === 0 && whole.success) return { ok: true, file: whole.data, unknownParts: parts.unknown };
  const known = new Set(problems.map((each) => each.path.split(".")[0]));
  const ofWhole = (whole.error?.issues ?? [])
    .map((issue) => problem(issue.code, issue.path.map(String).join("."), issue.message))
    .filter((each) => !known.has(each.path.split(".")[0]));
  return { ok: false, problems: [...problems, ...ofWhole] };
}
