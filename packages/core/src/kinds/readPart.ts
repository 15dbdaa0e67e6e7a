import type { z } from "zod";
import { type Parsed, refused } from "../problems/problem";
import { ownValue } from "../records/ownValue";
import { type RecordKind, readRecord, readStored } from "../records/recordKind";
import { PART_KINDS, type Part } from "./registry";

type PlainRecord = Readonly<Record<string, unknown>>;
const isRecord = (value: unknown): value is PlainRecord =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** A part of a kind or version that this program does not know: kept as it is, shown as such, and passed on unchanged. */
export type UnknownPart = {
  readonly id: string;
  /** What it calls itself; empty where it does not say. */
  readonly name: string;
  readonly why: string;
  readonly stored: unknown;
};

/** The record kind of a stored part, by its `kind`; undefined for a kind that this program does not know. */
function kindOfStored(stored: unknown): RecordKind<Part> | undefined {
  const kind = isRecord(stored) && typeof stored.kind === "string" ? stored.kind : "";
  const found = ownValue(PART_KINDS, kind);
  // Each kind's schema gives one of the parts; the union of them cannot be followed by its types.
  return (
    found && { name: found.label, schema: found.schema as unknown as z.ZodType<Part>, migrations: found.migrations }
  );
}

/** A word, a number or a list is no part of any program, of a newer one neither. */
const unknownKind = (stored: unknown): Parsed<never> =>
  isRecord(stored) ? ofUnknownKind(stored) : refused("no-part", "This is no part.");

const ofUnknownKind = (stored: PlainRecord): Parsed<never> =>
  refused(
    "unknown-kind",
    `There is no kind of part “${typeof stored.kind === "string" ? stored.kind.slice(0, 80) : "none"}” here.`,
    "kind",
  );

/** A part of any version up to this program's, lifted and checked. */
export function readPart(stored: unknown): Parsed<Part> {
  const kind = kindOfStored(stored);
  return kind ? readRecord(kind, stored) : unknownKind(stored);
}

/** A part that this program itself stored. */
export function readStoredPart(stored: unknown): Parsed<Part> {
  const kind = kindOfStored(stored);
  return kind ? readStored(kind, stored) : unknownKind(stored);
}

const textOf = (value: unknown): string => (typeof value === "string" ? value : "");

export const unknownPart = (stored: unknown, why: string): UnknownPart => ({
  id: isRecord(stored) ? textOf(stored.id) : "",
  name: isRecord(stored) ? textOf(stored.name).slice(0, 120) : "",
  why,
  stored,
});

/** Whether what could not be read is from a program that knows more than this one, rather than broken. */
export const isFromNewer = (code: string): boolean => code === "unknown-kind" || code === "too-new";
