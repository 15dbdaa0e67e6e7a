import type { Slot, SlotDefault, SlotParameter } from "../../parts/slot";
import type { AssemblyRef, Scalar } from "../../parts/use";
import { FRAMING_PARAMETERS, type FramingParameters, framingChoicesOf, standsForFraming } from "./parameters";

type Framed = {
  readonly assembly: AssemblyRef;
  readonly parameters: FramingParameters;
  readonly choices: Readonly<Record<string, Scalar>>;
};

const slotParameters: readonly SlotParameter[] = FRAMING_PARAMETERS.map(({ key, name, label, kind, asked }) => ({
  name,
  label,
  kind,
  asked,
  among: framingChoicesOf(key),
  stands: (value) => standsForFraming(key, value),
  path: `parameters.${key}`,
}));

const keyOf = new Map(FRAMING_PARAMETERS.map(({ key, name }) => [name, key]));

function settle<P extends Framed>(part: P, defaults: readonly SlotDefault[]): P {
  const differing = defaults.flatMap(({ name, value, decided }) => {
    const key = keyOf.get(name);
    const now = key && part.parameters[key];
    return key && now?.assumed && (now.value !== value || decided)
      ? [[key, { value, assumed: !decided }] as const]
      : [];
  });
  if (differing.length === 0) return part;
  // Each was checked against its own schema when the defaults were read.
  return { ...part, parameters: { ...part.parameters, ...Object.fromEntries(differing) } as FramingParameters };
}

function choose<P extends Framed>(part: P, choices: Readonly<Record<string, Scalar>>): P {
  const parameters: Record<string, unknown> = { ...part.parameters };
  const others: Record<string, Scalar> = {};
  for (const [name, value] of Object.entries(choices)) {
    const key = keyOf.get(name);
    if (key) parameters[key] = { value, assumed: false };
    else others[name] = value;
  }
  // Each value was checked against its parameter's own schema.
  return { ...part, parameters: parameters as FramingParameters, choices: others };
}

/** What frames a wall, drawn or by its totals. */
export const framingSlot = <P extends Framed>(): Slot<P> => ({
  id: "frame",
  question: "What frames this wall?",
  words: "Framed by this assembly",
  changeWords: "Change the assembly that frames it",
  moreWords: "plates, corners, jambs, blocking, boards, hardware",
  parameters: slotParameters,
  of: ({ assembly, choices }) => ({ assembly, choices }),
  fill: (part, assembly) => ({ ...part, assembly }),
  choose,
  settle,
  assumed: ({ parameters }) =>
    new Set(FRAMING_PARAMETERS.filter(({ key }) => parameters[key].assumed).map(({ name }) => name)),
  same: (a, b) => a.assembly === b.assembly && a.parameters === b.parameters && a.choices === b.choices,
  values: ({ parameters }) => new Map(FRAMING_PARAMETERS.map(({ key, name }) => [name, parameters[key].value])),
});
