import { ownValue } from "../records/ownValue";
import type { MeasuringSystem } from "../units";
import type { Slot, SlotDefault, SlotParameter } from "./slot";
import type { AssemblyRef, Scalar } from "./use";

/** Choices as they are counted, and the names of those nobody decided. Never stored. */
export type SettledChoices<C> = { readonly choices: C; readonly assumed: ReadonlySet<string> };

/** A part that keeps what people chose; all else follows the house and the assembly. */
export type WithChoices<C> = {
  readonly assembly: AssemblyRef;
  readonly choices: Readonly<Record<string, Scalar>>;
  readonly settled?: SettledChoices<C>;
};

/** Whether nobody decided a choice: neither the house nor, while it is not settled, a person. */
export const isAssumed = ({ settled, choices }: WithChoices<unknown>, name: string): boolean =>
  settled ? settled.assumed.has(name) : !Object.hasOwn(choices, name);

type Choices = Readonly<Record<string, Scalar>>;

type Words = Pick<Slot<never>, "id" | "question" | "words" | "changeWords" | "moreWords">;

export type ChoicesSlotOptions<C> = Words & {
  /** Those that are offered, and come to something on the part. */
  readonly parameters: readonly SlotParameter[];
  /** Values that are whole and right: each was checked against its parameter, in either system. */
  readonly read: (values: Choices) => C;
  /** Of all there are, offered or not. */
  readonly usual: (system: MeasuringSystem) => Choices;
};

type Settling<C> = Pick<ChoicesSlotOptions<C>, "read" | "usual"> & {
  readonly stands: (name: string, value: Scalar) => boolean;
};

function settledOf<C>(choices: Choices, defaults: readonly SlotDefault[], { read, usual, stands }: Settling<C>) {
  // What such a part does not ask for is of no account to it, in either system.
  const values: Record<string, Scalar> = { ...usual("metric") };
  const assumed = new Set<string>();
  for (const { name, value, decided } of defaults) {
    values[name] = value;
    if (!decided) assumed.add(name);
  }
  const asked = new Set(defaults.map((each) => each.name));
  for (const [name, value] of Object.entries(choices)) {
    if (!asked.has(name) || !stands(name, value)) continue;
    values[name] = value;
    assumed.delete(name);
  }
  return { choices: read(values), assumed };
}

/** A part settled by the same defaults again is the same object: what was worked out from it still holds. */
function settledOnce<P extends object>(settle: Slot<P>["settle"]): Slot<P>["settle"] {
  const known = new WeakMap<P, { readonly defaults: readonly SlotDefault[]; readonly settled: P }>();
  return (part, defaults) => {
    const before = known.get(part);
    if (before?.defaults === defaults) return before.settled;
    const settled = settle(part, defaults);
    known.set(part, { defaults, settled });
    return settled;
  };
}

/** A slot whose choices lie with the part, as they were chosen. */
export function choicesSlot<C extends object, P extends WithChoices<C>>(options: ChoicesSlotOptions<C>): Slot<P> {
  const { parameters, read, usual, ...words } = options;
  const byName = new Map(parameters.map((each) => [each.name, each]));
  const settling = { read, usual, stands: (name: string, value: Scalar) => byName.get(name)?.stands(value) ?? false };
  // Settling is remembered: the same choices by the same defaults are the same object.
  const known = new WeakMap<readonly SlotDefault[], WeakMap<Choices, SettledChoices<C>>>();
  const remembered = (choices: Choices, defaults: readonly SlotDefault[]): SettledChoices<C> => {
    const byChoices = known.get(defaults) ?? new WeakMap<Choices, SettledChoices<C>>();
    known.set(defaults, byChoices);
    const settled = byChoices.get(choices) ?? settledOf(choices, defaults, settling);
    byChoices.set(choices, settled);
    return settled;
  };
  return {
    ...words,
    parameters,
    of: ({ assembly, choices }) => ({ assembly, choices }),
    fill: (part, assembly) => ({ ...part, assembly }),
    choose: (part, choices) => ({ ...part, choices }),
    settle: settledOnce((part: P, defaults) => ({ ...part, settled: remembered(part.choices, defaults) })),
    assumed: ({ settled }) => settled?.assumed ?? new Set(parameters.map((each) => each.name)),
    same: (a, b) => a.assembly === b.assembly && a.choices === b.choices,
    values: ({ settled }) => new Map(Object.entries(settled?.choices ?? {})),
  };
}

type InForce<C> = {
  readonly parameters: readonly SlotParameter[];
  readonly usual: (system: MeasuringSystem) => C;
};

/**
 * The choices a part is built by: as it was settled, or, while it has not been, what was chosen for it over the usual of a
 * system. A chosen value that nothing can be built by is passed over, as settling does.
 */
export function choicesInForce<C extends object>({ parameters, usual }: InForce<C>) {
  const known = { imperial: new WeakMap<Choices, C>(), metric: new WeakMap<Choices, C>() };
  return ({ settled, choices }: WithChoices<C>, system: MeasuringSystem): C => {
    if (settled) return settled.choices;
    const before = known[system].get(choices);
    if (before) return before;
    const own = parameters.flatMap(({ name, stands }) => {
      const value = ownValue(choices, name);
      return value !== undefined && stands(value) ? [[name, value] as const] : [];
    });
    const inForce = { ...usual(system), ...Object.fromEntries(own) };
    known[system].set(choices, inForce);
    return inForce;
  };
}
