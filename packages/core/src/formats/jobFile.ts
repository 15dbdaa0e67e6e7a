import { z } from "zod";
import { assemblySchema, houseStandardSchema } from "../assemblies/records";
import { jobMigrations, jobSchema } from "../job/records";
import { recordOf } from "../migrations/fields";
import { migrate } from "../migrations/migrate";
import { PART_KINDS, PHOTO_TYPES, partSchema } from "../parts";
import { type Problem, problem } from "../problems/problem";
import { quoteDocumentSchema } from "../quote";

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
  | { readonly ok: true; readonly file: JobFile }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** The published JSON Schema, draft 2020-12, of the file as it is read. */
export const jobFileJsonSchema = (): Record<string, unknown> => ({ ...z.toJSONSchema(jobFileSchema, { io: "input" }) });

/** Brings the records of an older file up to date before it is checked. */
function migrateFile(data: unknown): { data: unknown; problems: Problem[] } {
  const file = recordOf(data);
  const job = migrate(file.job, jobMigrations);
  if (!job.ok) return { data, problems: [{ ...job.problem, path: "job.schemaVersion" }] };
  if (!Array.isArray(file.parts)) return { data: { ...file, job: job.value }, problems: [] };
  const problems: Problem[] = [];
  const parts = file.parts.map((part: unknown, index) => {
    const kind = String(recordOf(part).kind);
    const migrations = Object.values(PART_KINDS).find((each) => each.kind === kind)?.migrations ?? [];
    const lifted = migrate(part, migrations);
    if (lifted.ok) return lifted.value;
    problems.push({ ...lifted.problem, path: `parts.${index}.schemaVersion` });
    return part;
  });
  return { data: { ...file, job: job.value, parts }, problems };
}

/** Reads a job file. Nothing is taken from a file that does not fit; the problems say where it fails. */
export function readJobFile(data: unknown): JobFileResult {
  const migrated = migrateFile(data);
  if (migrated.problems.length > 0) return { ok: false, problems: migrated.problems };
  const result = jobFileSchema.safeParse(migrated.data);
  if (result.success) return { ok: true, file: result.data };
  const problems = result.error.issues.map((issue) =>
    problem(issue.code, issue.path.map(String).join("."), issue.message),
  );
  return { ok: false, problems };
}
