import type { Slot, SlotDefault, SlotParameter } from "../../parts/slot";
import type { AssemblyRef, Scalar } from "../../parts/use";
import type { MeasuringSystem } from "../../units";
import { MASONRY_PARAMETERS, type MasonryChoices, masonryChoicesSchema, usualMasonry } from "./parameters";
import type { SettledMasonry } from "./schema";

/** What a wall and a pier of masonry have alike. */
export type Built = {
  readonly assembly: AssemblyRef;
  readonly choices: Readonly<Record<string, Scalar>>;
  readonly settled?: SettledMasonry;
};

const PARAMETERS = new Map(MASONRY_PARAMETERS.map((each) => [each.name, each]));

function settledOf(choices: Built["choices"], defaults: readonly SlotDefault[]): SettledMasonry {
  // What such a part does not ask for is of no account to it, in either system.
  const values: Record<string, unknown> = { ...usualMasonry("metric") };
  const assumed = new Set<string>();
  for (const { name, value, decided } of defaults) {
    values[name] = value;
    if (!decided) assumed.add(name);
  }
  const asked = new Set(defaults.map((each) => each.name));
  for (const [name, value] of Object.entries(choices)) {
    if (!asked.has(name) || !PARAMETERS.get(name)?.stands(value)) continue;
    values[name] = value;
    assumed.delete(name);
  }
  // Each default was checked when it was read, each choice just now.
  return { choices: masonryChoicesSchema.parse(values), assumed };
}

/** The choices in force; the usual ones while nothing has been settled. */
export const choicesOf = ({ settled, choices }: Built, system: MeasuringSystem): MasonryChoices =>
  settled?.choices ?? { ...usualMasonry(system), ...masonryChoicesSchema.partial().safeParse(choices).data };

const sameDefaults = new WeakMap<readonly SlotDefault[], WeakMap<Built["choices"], SettledMasonry>>();

/** Settling is remembered: the same choices by the same defaults are the same object. */
function remembered(choices: Built["choices"], defaults: readonly SlotDefault[]): SettledMasonry {
  const byChoices = sameDefaults.get(defaults) ?? new WeakMap<Built["choices"], SettledMasonry>();
  sameDefaults.set(defaults, byChoices);
  const known = byChoices.get(choices) ?? settledOf(choices, defaults);
  byChoices.set(choices, known);
  return known;
}

/** What a wall or a pier is built of, with the choices that come to something on it. */
export const masonrySlot = <P extends Built>(parameters: readonly SlotParameter[], moreWords: string): Slot<P> => ({
  id: "masonry",
  question: "What is this built of?",
  words: "Built by this assembly",
  changeWords: "Change the assembly that builds it",
  moreWords,
  parameters,
  of: ({ assembly, choices }) => ({ assembly, choices }),
  fill: (part, assembly) => ({ ...part, assembly }),
  choose: (part, choices) => ({ ...part, choices }),
  settle: (part, defaults) => ({ ...part, settled: remembered(part.choices, defaults) }),
  assumed: ({ settled }) => settled?.assumed ?? new Set(parameters.map((each) => each.name)),
  same: (a, b) => a.assembly === b.assembly && a.choices === b.choices,
  values: ({ settled }) => new Map(Object.entries(settled?.choices ?? {})),
});
