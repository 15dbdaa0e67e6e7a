import { type Parsed, type RecordKind, readStored } from "@wide-porch/core";
import type { ValueTransformer } from "typeorm";

/** Records of a kind or version that this program does not know, as they came from the database. */
const notKnown = new WeakMap<object, string>();

/** Why a stored record cannot be read here; undefined for one that can. It is passed on as it is, and nothing is made of it. */
export const whyNotKnown = (data: object | null): string | undefined =>
  data === null ? undefined : notKnown.get(data);

export const isKnown = (row: { readonly data: object | null }): boolean => whyNotKnown(row.data) === undefined;

/**
 * Brings records up to date as they are read, one by one: never whole tables at start. What is stored stays as it is until
 * it is saved again.
 */
export function liftedBy<T>(read: (stored: unknown) => Parsed<T>): ValueTransformer {
  return {
    to: (value: unknown) => value,
    from: (stored: unknown) => {
      if (stored === null || stored === undefined) return stored;
      const found = read(stored);
      if (found.ok) return found.value;
      // A bare word or number, as nothing here ever stored: kept beside its own words, so that it is a record like any other unknown one.
      const kept: object = typeof stored === "object" ? stored : { kind: "broken", stored };
      notKnown.set(kept, found.problem.message);
      return kept;
    },
  };
}

export const liftedTo = <T>(kind: RecordKind<T>): ValueTransformer => liftedBy((stored) => readStored(kind, stored));
