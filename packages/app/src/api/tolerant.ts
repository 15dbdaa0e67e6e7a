import { type RecordKind, readRecord } from "@wide-porch/core";
import { z } from "zod";

/** A field with a record of any version up to this program's: lifted, and checked. */
export const recordOf = <T>(kind: RecordKind<T>): z.ZodType<T> =>
  z.unknown().transform((stored, context): T => {
    const found = readRecord(kind, stored);
    if (found.ok) return found.value;
    context.addIssue({ code: "custom", message: found.problem.message, path: found.problem.path.split(".") });
    return z.NEVER;
  });

/** A list without what this program cannot read: one such record stops none of the others. */
export const knownOf = <T>(item: z.ZodType<T>): z.ZodType<T[]> =>
  z.array(z.unknown()).transform((list) =>
    list.flatMap((each) => {
      const read = item.safeParse(each);
      return read.success ? [read.data] : [];
    }),
  );
