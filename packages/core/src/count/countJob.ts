import type { Library } from "../assemblies";
import type { Part, StudWall } from "../parts";
import type { MeasuringSystem } from "../units";
import { countNothing } from "./countNothing";
import type { PartCount } from "./partCount";
import { countStudWall } from "./stud-wall";

type Counter<P extends Part> = (part: P, system: MeasuringSystem, library: Library) => PartCount;
type Counters = { readonly [K in Part["kind"]]: Counter<Extract<Part, { kind: K }>> };

/** Every kind of part and how it is counted. A new kind is a folder here and a line. */
const COUNTERS: Counters = {
  "stud-wall": countStudWall satisfies Counter<StudWall>,
  room: countNothing,
  length: countNothing,
  area: countNothing,
  spots: countNothing,
  storey: countNothing,
};

/** The part as it stands on the plan; see `resolveParts`. */
export function countPart<P extends Part>(part: P, system: MeasuringSystem, library: Library): PartCount {
  // The registry is keyed by the literal that `part.kind` is; the compiler cannot follow that through a union.
  const count = COUNTERS[part.kind] as unknown as Counter<P>;
  return count(part, system, library);
}

export const countJob = (parts: readonly Part[], system: MeasuringSystem, library: Library): PartCount[] =>
  parts.map((part) => countPart(part, system, library));
