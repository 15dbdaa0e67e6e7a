import type { PartContext } from "../parts/partKind";
import { kindOf, type Part } from "./registry";

/**
 * A part with assumed figures and choices confirmed as they stand, by the paths of their open points; `settled` is the part
 * as it is counted, which says what they stand at. Paths of what cannot be confirmed change nothing.
 */
export function withConfirmed<P extends Part>(
  part: P,
  settled: Part,
  paths: readonly string[],
  context: PartContext,
): P {
  return paths.reduce<P>((now, path) => confirmOne(now, settled, path, context), part);
}

function confirmOne<P extends Part>(part: P, settled: Part, path: string, context: PartContext): P {
  const figure = kindOf(part)
    .dimensions(part, context)
    .find((each) => each.path === path && !each.typedOn);
  if (figure?.dimension.valueNm != null && figure.dimension.assumed) {
    return kindOf(part).withDimension(
      part,
      path,
      figure.dimension.valueNm,
      figure.dimension.typed,
      context,
      settled as P,
    );
  }
  const { slot, figures, withFigure } = kindOf(part);
  const other = figures?.(part).find((each) => each.path === path && each.figure.assumed);
  if (other?.figure.value != null && withFigure) return withFigure(part, path, other.figure.value, other.figure.typed);
  const parameter = slot?.parameters.find((each) => each.path === path);
  const value = parameter && slot?.values(settled as P).get(parameter.name);
  if (!slot || !parameter || value === undefined) return part;
  return slot.choose(part, { ...slot.of(part).choices, [parameter.name]: value });
}

/** Whether an open point is of something that can be confirmed as it stands. */
export function canBeConfirmed(part: Part, path: string, context: PartContext): boolean {
  const { dimensions, figures, withFigure, slot } = kindOf(part);
  const isLength = dimensions(part, context).some(
    (each) => each.path === path && each.dimension.assumed && !each.typedOn,
  );
  const isFigure =
    withFigure !== undefined && figures?.(part).some((each) => each.path === path && each.figure.assumed) === true;
  return isLength || isFigure || slot?.parameters.some((each) => each.path === path) === true;
}
