import type { Part } from "../../kinds";
import type { PartKind } from "../../parts/partKind";
import type { MeasuringSystem } from "../../units";
import type { Sample } from "../conformance";
import { describeKind } from "../describeKind";
import { library } from "../library";
import { type Answers, answersOf, otherwise } from "./answers";

/** Samples of a kind, whatever part it is of. */
export type Sampled = {
  readonly kind: string;
  readonly of: readonly {
    readonly system: MeasuringSystem;
    readonly part: Part;
    readonly answers: () => Answers;
    readonly otherwise: () => readonly string[];
  }[];
  /** Has every one of them asked what every kind is asked. */
  readonly describe: () => void;
};

export const sampled = <P extends Part>(kind: PartKind<P>, samples: readonly Sample<P>[]): Sampled => ({
  kind: kind.kind,
  of: samples.map(({ system, part: alone, onPlan }) => {
    const part = onPlan?.(alone) ?? alone;
    return {
      system,
      part,
      answers: () => answersOf({ kind, part, system }, library),
      otherwise: () => otherwise({ kind, part, system }, library),
    };
  }),
  describe: () => describeKind(kind, samples),
});
