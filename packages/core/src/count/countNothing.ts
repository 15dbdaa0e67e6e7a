import { type Library, partContext } from "../assemblies";
import { ALONE, kindOf, type Part } from "../parts";
import type { MeasuringSystem } from "../units";
import type { PartCount } from "./partCount";

/** For parts that are measured, and to which no assembly applies yet: no lines, and still their open points. */
export function countNothing(part: Part, system: MeasuringSystem, library: Library): PartCount {
  const context = partContext(system, library);
  const kind = kindOf(part);
  const openPoints = kind.openPoints(part, context);
  return {
    partId: part.id,
    partName: part.name,
    waits: openPoints.some((point) => point.kind !== "assumed"),
    lines: [],
    pieces: [],
    drawing: kind.draw(part, context, ALONE),
    problems: kind.problems(part, context),
    openPoints,
  };
}
