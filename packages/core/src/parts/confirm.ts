import { kindOf, type Part } from "./registry";
import { FRAMING_PARAMETERS, type FramingParameters } from "./stud-wall";

type Framed = Extract<Part, { readonly parameters: FramingParameters }>;
const hasParameters = (part: Part): part is Framed => "parameters" in part;

/**
 * A part with assumed figures and choices confirmed as they stand, by the paths of their open points; `settled` is the part
 * as it is counted, which says what they stand at. Paths of what cannot be confirmed change nothing.
 */
export function withConfirmed<P extends Part>(part: P, settled: Part, paths: readonly string[]): P {
  return paths.reduce<P>((now, path) => confirmOne(now, settled, path), part);
}

function confirmOne<P extends Part>(part: P, settled: Part, path: string): P {
  const slot = kindOf(part)
    .dimensions(part)
    .find((each) => each.path === path && !each.typedOn);
  if (slot?.dimension.valueNm != null && slot.dimension.assumed) {
    return kindOf(part).withDimension(part, path, slot.dimension.valueNm, slot.dimension.typed);
  }
  const framing = FRAMING_PARAMETERS.find(({ key }) => path === `parameters.${key}`);
  if (!framing || !hasParameters(part) || !hasParameters(settled)) return part;
  const { value } = settled.parameters[framing.key];
  return { ...part, parameters: { ...part.parameters, [framing.key]: { value, assumed: false } } };
}

/** Whether an open point is of something that can be confirmed as it stands. */
export const canBeConfirmed = (part: Part, path: string): boolean =>
  kindOf(part)
    .dimensions(part)
    .some((slot) => slot.path === path && slot.dimension.assumed && !slot.typedOn) ||
  (hasParameters(part) && FRAMING_PARAMETERS.some(({ key }) => path === `parameters.${key}`));
