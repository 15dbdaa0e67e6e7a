import { kindOf, type Part, type SlotDefault, type SlotParameter } from "../kinds";
import { type Problem, problem } from "../problems/problem";
import { ownValue } from "../records/ownValue";
import type { MeasuringSystem } from "../units";
import { findAssembly, type Library } from "./library";
import type { Assembly } from "./schema";
import { type HouseStandard, standardValue } from "./standard";

type Defaults = {
  readonly standard: HouseStandard | undefined;
  readonly all: readonly SlotDefault[];
  readonly problems: readonly Problem[];
};

const known = new WeakMap<Assembly, Defaults>();

/** What the assembly and the house say of a slot's choices; what cannot stand there is told. Worked out once for many parts. */
function defaultsOf(
  assembly: Assembly,
  standard: HouseStandard | undefined,
  parameters: readonly SlotParameter[],
): Defaults {
  const before = known.get(assembly);
  if (before && before.standard === standard) return before;
  const problems: Problem[] = [];
  const all = parameters.flatMap(({ name, label, stands, path, usual }): SlotDefault[] => {
    const line = [
      { from: standard?.name ?? "", decided: true, value: standardValue(standard, assembly.id, name) },
      { from: assembly.name, decided: false, value: assembly.parameters.find((each) => each.name === name)?.default },
      { from: assembly.name, decided: false, value: usual?.[assembly.system] },
    ];
    for (const { from, value, decided } of line) {
      if (value === undefined) continue;
      if (stands(value)) return [{ name, value, decided }];
      const message = `${label}: “${from}” says ${String(value)}, which nobody can build by. The next in line is used.`;
      problems.push(problem("out-of-limits", path, message));
    }
    return [];
  });
  const defaults = { standard, all, problems };
  known.set(assembly, defaults);
  return defaults;
}

/** What a person chose for a part that nobody can build by: the next in line is used, and it is told. */
function choiceProblems(part: Part): Problem[] {
  const { slot } = kindOf(part);
  const { choices = {} } = slot?.of(part) ?? {};
  return (slot?.parameters ?? []).flatMap(({ name, label, stands, path }) => {
    const value = ownValue(choices, name);
    if (value === undefined || stands(value)) return [];
    const message = `${label}: “${String(value)}” is nothing that can be built by. The next in line is used.`;
    return [problem("out-of-limits", path, message)];
  });
}

/** What a person, the house or the assembly says of a part's own choices and cannot be built by. */
export function slotDefaultProblems(
  part: Part,
  assembly: Assembly,
  standard: HouseStandard | undefined,
): readonly Problem[] {
  const { slot } = kindOf(part);
  return slot ? [...choiceProblems(part), ...defaultsOf(assembly, standard, slot.parameters).problems] : [];
}

/**
 * A part with its assumed choices as its assembly and the house have them; what the house says is decided. What a person
 * confirmed stays. The same part where nothing differs, or where nothing builds it.
 */
export function settleBy<P extends Part>(part: P, assembly: Assembly, standard: HouseStandard | undefined): P {
  const { slot } = kindOf(part);
  return slot ? slot.settle(part, defaultsOf(assembly, standard, slot.parameters).all) : part;
}

const usual = new WeakMap<readonly SlotParameter[], Partial<Record<MeasuringSystem, readonly SlotDefault[]>>>();

function usualDefaults(parameters: readonly SlotParameter[], system: MeasuringSystem): readonly SlotDefault[] {
  const known = usual.get(parameters) ?? {};
  const defaults =
    known[system] ??
    parameters.flatMap(({ name, usual: all }) => (all ? [{ name, value: all[system], decided: false }] : []));
  usual.set(parameters, { ...known, [system]: defaults });
  return defaults;
}

type SlotLibrary = Pick<Library, "assemblies" | "standard">;

/** The assembly that builds a part; undefined where nothing builds such parts, or the library lacks it. */
export function builderOf(part: Part, system: MeasuringSystem, library: SlotLibrary): Assembly | undefined {
  const { slot } = kindOf(part);
  return slot && findAssembly(slot.of(part).assembly, system, library);
}

/** A part with its assumed choices settled, as it is counted. */
export function settlePart<P extends Part>(part: P, system: MeasuringSystem, library: SlotLibrary): P {
  const builder = builderOf(part, system, library);
  if (builder) return settleBy(part, builder, library.standard);
  // Nothing says how it is built, and it is told elsewhere; what is asked of it meanwhile is as usual in its own system.
  const { slot } = kindOf(part);
  return slot ? slot.settle(part, usualDefaults(slot.parameters, system)) : part;
}
