import { type Parsed, parsed, refused } from "../problems/problem";

type PlainRecord = Record<string, unknown>;

/** Lifts a record from version `to - 1` to `to`. Records carry their version in `schemaVersion`. */
export type Migration = { readonly to: number; readonly up: (record: PlainRecord) => PlainRecord };

const isRecord = (value: unknown): value is PlainRecord =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** Brings an old record up to date, step by step. A record newer than this program is refused, not guessed at. */
export function migrate(record: unknown, migrations: readonly Migration[]): Parsed<unknown> {
  if (!isRecord(record)) return parsed(record);
  const newest = migrations.reduce((highest, migration) => Math.max(highest, migration.to), 1);
  const version = typeof record.schemaVersion === "number" ? record.schemaVersion : 1;
  if (version > newest) {
    return refused("too-new", `This was made by a newer version (${version}; here ${newest}).`, "schemaVersion");
  }
  const steps = migrations.filter((step) => step.to > version).toSorted((a, b) => a.to - b.to);
  return parsed(steps.reduce((current, step) => ({ ...step.up(current), schemaVersion: step.to }), record));
}
