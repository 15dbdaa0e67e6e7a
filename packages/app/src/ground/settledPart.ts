import { type MeasuringSystem, type Part, settlePart } from "@wide-porch/core";
import type { Rules } from "../worker/reckon.worker";

/** A part as it is built: with what nobody chose as the house and its assembly have it. */
export const settledPart = <P extends Part>(part: P, system: MeasuringSystem, rules: Rules): P =>
  settlePart(part, system, rules) as P;
