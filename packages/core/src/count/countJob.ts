import type { Library } from "../assemblies";
import type { Part } from "../parts";
import type { MeasuringSystem } from "../units";
import type { PartCount } from "./partCount";
import { countStudWall } from "./stud-wall";

/** Every kind of part and how it is counted. A new kind is a folder here and a line. */
const COUNTERS = { "stud-wall": countStudWall } as const;

export const countPart = (part: Part, system: MeasuringSystem, library: Library): PartCount =>
  COUNTERS[part.kind](part, system, library);

export const countJob = (parts: readonly Part[], system: MeasuringSystem, library: Library): PartCount[] =>
  parts.map((part) => countPart(part, system, library));
