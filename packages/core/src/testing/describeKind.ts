import type { Part } from "../kinds";
import type { PartKind } from "../parts/partKind";
import { checksOf, type Sample } from "./conformance";

/** What every kind of part does, asked of one of them. Fails where there is no sample of it. */
export function describeKind<P extends Part>(kind: PartKind<P>, samples: readonly Sample<P>[]): void {
  if (samples.length === 0) throw new Error(`describeKind: there is no sample of a ${kind.label}`);
  describe.each(samples.map((sample) => [sample.system, sample] as const))(
    `${kind.label}, %s, as any kind`,
    (_, sample) => {
      for (const { name, run } of checksOf(kind, sample)) it(name, run);
    },
  );
}
