import type { Library } from "../assemblies";
import type { Part, Surroundings } from "../kinds";
import type { MeasuringSystem } from "../units";
import { countPart } from "./countPart";
import type { PartCount } from "./partCount";

/** Every part's count. `around` says what the plan knows of a part. */
export const countJob = (
  parts: readonly Part[],
  system: MeasuringSystem,
  library: Library,
  around?: (partId: string) => Surroundings,
): PartCount[] => parts.map((part) => countPart(part, system, library, around?.(part.id)));
