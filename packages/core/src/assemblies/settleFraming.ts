import { FRAMING_PARAMETERS, type FramingParameters, framingParametersSchema, type Scalar } from "../parts";
import type { Assembly } from "./schema";
import { type HouseStandard, standardValue } from "./standard";

type Default = { readonly key: keyof FramingParameters; readonly value: Scalar };
type Defaults = { readonly standard: HouseStandard | undefined; readonly all: readonly Default[] };

const known = new WeakMap<Assembly, Defaults>();

/** What the assembly and the house say of framing; what cannot stand there is passed over. Worked out once for many walls. */
function defaultsOf(assembly: Assembly, standard: HouseStandard | undefined): readonly Default[] {
  const before = known.get(assembly);
  if (before && before.standard === standard) return before.all;
  const all = FRAMING_PARAMETERS.flatMap(({ key, name }): Default[] => {
    const value =
      standardValue(standard, assembly.id, name) ?? assembly.parameters.find((each) => each.name === name)?.default;
    if (value === undefined) return [];
    return framingParametersSchema.shape[key].safeParse({ value, assumed: true }).success ? [{ key, value }] : [];
  });
  known.set(assembly, { standard, all });
  return all;
}

type Framed = { readonly parameters: FramingParameters; readonly assembly: { readonly id: string } };

/**
 * A wall with its assumed choices as its assembly and the house have them. What a person confirmed stays. The same wall
 * where nothing differs.
 */
export function settleFraming<P extends Framed>(part: P, assembly: Assembly, standard: HouseStandard | undefined): P {
  const differing = defaultsOf(assembly, standard).filter(({ key, value }) => {
    const now = part.parameters[key];
    return now.assumed && now.value !== value;
  });
  if (differing.length === 0) return part;
  const changed = Object.fromEntries(differing.map(({ key, value }) => [key, { value, assumed: true }]));
  // Each was checked against its own schema when the defaults were read.
  return { ...part, parameters: { ...part.parameters, ...changed } as FramingParameters };
}
