import { type Parsed, parsed, refused } from "../problems/problem";

type PlainRecord = Record<string, unknown>;

/**
 * Lifts a record from version `to - 1` to `to`. Records carry their version in `schemaVersion`. The name says what changed,
 * for people and for the test that sees to it that each is run.
 */
export type Migration = {
  readonly to: number;
  readonly name: string;
  readonly up: (record: PlainRecord) => PlainRecord;
};

const isRecord = (value: unknown): value is PlainRecord =>
  typeof value === "object" && value !== null && !Array.isArray(value);

export const newestVersion = (migrations: readonly Migration[]): number =>
  migrations.reduce((highest, migration) => Math.max(highest, migration.to), 1);

export const versionOf = (record: unknown): number =>
  isRecord(record) && typeof record.schemaVersion === "number" ? record.schemaVersion : 1;

/** Records from before there were versions have none. */
const isVersion = (version: unknown): boolean =>
  version === undefined || (typeof version === "number" && Number.isInteger(version) && version >= 1);

/** Brings an old record up to date, step by step. A record newer than this program is refused, not guessed at. */
export function migrate(record: unknown, migrations: readonly Migration[]): Parsed<unknown> {
  if (!isRecord(record)) return parsed(record);
  const newest = newestVersion(migrations);
  const version = versionOf(record);
  if (!isVersion(record.schemaVersion)) {
    return refused("no-version", "This says no version that there could be: a whole number from 1.", "schemaVersion");
  }
  if (version > newest) {
    return refused("too-new", `This was made by a newer version (${version}; here ${newest}).`, "schemaVersion");
  }
  const steps = migrations.filter((step) => step.to > version).toSorted((a, b) => a.to - b.to);
  return parsed(steps.reduce((current, step) => ({ ...step.up(current), schemaVersion: step.to }), record));
}
