import { enterFigure, kindOf, type Part, type PartContext } from "@wide-porch/core";

/** Makes entries as a person would, by their paths. Throws when one is refused. */
export function entered<P extends Part>(part: P, figures: Readonly<Record<string, string>>, context: PartContext): P {
  return Object.entries(figures).reduce<P>((now, [path, typed]) => {
    const result = enterFigure(kindOf(now), now, path, typed, context);
    if (result.problem) throw new Error(`demo: ${part.name}, ${path} ${typed}: ${result.problem.message}`);
    return result.part;
  }, part);
}
