import { FRAMING_PARAMETERS, type FramingParameters, framingParametersSchema, type Scalar } from "../parts";
import type { Assembly } from "./schema";
import { type HouseStandard, standardValue } from "./standard";

type Framed = { readonly parameters: FramingParameters; readonly assembly: { readonly id: string } };

/**
 * A wall with its assumed choices as its assembly and the house have them. What a person confirmed stays. The same wall
 * where nothing differs.
 */
export function settleFraming<P extends Framed>(part: P, assembly: Assembly, standard: HouseStandard | undefined): P {
  const changed: Record<string, { value: Scalar; assumed: boolean }> = {};
  for (const { key, name } of FRAMING_PARAMETERS) {
    const now = part.parameters[key];
    if (!now.assumed) continue;
    const value =
      standardValue(standard, assembly.id, name) ?? assembly.parameters.find((each) => each.name === name)?.default;
    if (value === undefined || value === now.value) continue;
    if (framingParametersSchema.shape[key].safeParse({ value, assumed: true }).success) {
      changed[key] = { value, assumed: true };
    }
  }
  if (Object.keys(changed).length === 0) return part;
  // Each was checked against its own schema above.
  return { ...part, parameters: { ...part.parameters, ...changed } as FramingParameters };
}
