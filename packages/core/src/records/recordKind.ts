import type { z } from "zod";
import { type Migration, migrate, newestVersion, versionOf } from "../migrations/migrate";
import { type Parsed, parsed, problem, refused } from "../problems/problem";

/** A kind of record that is stored and sent: what it is called, its shape, and the way there from earlier shapes. */
export type RecordKind<T> = {
  readonly name: string;
  readonly schema: z.ZodType<T>;
  readonly migrations: readonly Migration[];
  /** Records of other kinds in its fields, each with a version of its own. */
  readonly within?: Readonly<Record<string, { readonly migrations: readonly Migration[] }>>;
};

type PlainRecord = Readonly<Record<string, unknown>>;
const isRecord = (value: unknown): value is PlainRecord =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** The record and those within it brought up to date; not checked against its schema. */
function lift(
  { migrations, within = {} }: Omit<RecordKind<unknown>, "name" | "schema">,
  stored: unknown,
): Parsed<unknown> {
  const own = migrate(stored, migrations);
  if (!own.ok || !isRecord(own.value)) return own;
  let lifted = own.value;
  for (const [field, kind] of Object.entries(within)) {
    if (!isRecord(lifted[field])) continue;
    const inner = migrate(lifted[field], kind.migrations);
    if (!inner.ok) return inner;
    lifted = { ...lifted, [field]: inner.value };
  }
  return parsed(lifted);
}

/** Whether a record is of this program's own version, those within it too. */
function isCurrent(
  { migrations, within = {} }: Omit<RecordKind<unknown>, "name" | "schema">,
  stored: unknown,
): boolean {
  if (!isRecord(stored) || versionOf(stored) !== newestVersion(migrations)) return false;
  return Object.entries(within).every(
    ([field, kind]) => !isRecord(stored[field]) || versionOf(stored[field]) === newestVersion(kind.migrations),
  );
}

/** Reads a record of any version up to this program's: lifted, and checked. What does not fit is a problem, never thrown. */
export function readRecord<T>(kind: RecordKind<T>, stored: unknown): Parsed<T> {
  const lifted = lift(kind, stored);
  if (!lifted.ok) return lifted;
  const result = kind.schema.safeParse(lifted.value);
  if (result.success) return parsed(result.data);
  const [issue] = result.error.issues;
  const path = issue?.path.map(String).join(".") ?? "";
  return { ok: false, problem: problem(issue?.code ?? "unfit", path, `${kind.name}: ${issue?.message ?? "unfit"}`) };
}

/** Like `readRecord`, for what this program itself stored: of its own version it was checked then, and is taken as it is. */
export function readStored<T>(kind: RecordKind<T>, stored: unknown): Parsed<T> {
  if (stored === null || stored === undefined) return refused("missing", `${kind.name}: nothing is stored.`);
  // Checked when it was stored.
  return isCurrent(kind, stored) ? parsed(stored as T) : readRecord(kind, stored);
}
