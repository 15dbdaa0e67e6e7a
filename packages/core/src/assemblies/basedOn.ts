import type { AssemblyRef } from "../kinds";
import { type Problem, problem } from "../problems/problem";
import type { Assembly } from "./schema";

/** An assembly with all that it builds on, and what of that could not be had. */
export type Assembled = { readonly assembly: Assembly; readonly problems: readonly Problem[] };

/** A longer line of assemblies that build on each other is none that anybody follows. */
const MOST_STEPS = 8;

const nameOf = ({ id, version }: AssemblyRef): string => `“${id}”, version ${version}`;

type Named = { readonly name: string };

/** The base's, with those of the same name changed in their place, those left out gone, and the new ones after them. */
function mixed<T extends Named>(base: readonly T[], own: readonly T[], leftOut: readonly string[] = []): T[] {
  const changed = new Map(own.map((each) => [each.name, each]));
  const kept = base.filter(({ name }) => !leftOut.includes(name)).map((each) => changed.get(each.name) ?? each);
  const known = new Set(base.map(({ name }) => name));
  return [...kept, ...own.filter(({ name }) => !known.has(name))];
}

function leftOutProblems(assembly: Assembly, base: Assembly): Problem[] {
  const { rules = [], parameters = [] } = assembly.leavesOut ?? {};
  const lacking = [
    ...rules.filter((name) => !base.rules.some((each) => each.name === name)),
    ...parameters.filter((name) => !base.parameters.some((each) => each.name === name)),
  ];
  return lacking.map((name) =>
    problem(
      "nothing-to-leave-out",
      "leavesOut",
      `“${assembly.name}” leaves out “${name}”, which “${base.name}” does not have.`,
    ),
  );
}

function on(base: Assembly, assembly: Assembly): Assembly {
  const { basedOn: _, leavesOut, ...own } = assembly;
  return {
    ...own,
    ...((own.slot ?? base.slot) ? { slot: own.slot ?? base.slot } : {}),
    ...((own.framing ?? base.framing) ? { framing: own.framing ?? base.framing } : {}),
    tables: mixed(base.tables, own.tables),
    parameters: mixed(base.parameters, own.parameters, leavesOut?.parameters),
    rules: mixed(base.rules, own.rules, leavesOut?.rules),
    wording: own.wording.length > 0 ? own.wording : base.wording,
  };
}

function assemble(assembly: Assembly, all: readonly Assembly[], above: readonly AssemblyRef[]): Assembled {
  const { basedOn } = assembly;
  if (!basedOn) return { assembly, problems: [] };
  const path = [...above, { id: assembly.id, version: assembly.version }];
  const alone = (code: string, message: string): Assembled => {
    const { basedOn: _, leavesOut: __, ...own } = assembly;
    return { assembly: own, problems: [problem(code, "basedOn", `${message} Its own rules are counted.`)] };
  };
  if (path.some(({ id, version }) => id === basedOn.id && version === basedOn.version)) {
    return alone("built-on-itself", `“${assembly.name}” builds on itself, by way of ${nameOf(basedOn)}.`);
  }
  if (path.length > MOST_STEPS)
    return alone("built-too-high", `“${assembly.name}” builds on more than ${MOST_STEPS} others.`);
  const found = all.find(
    ({ id, version, system }) => id === basedOn.id && version === basedOn.version && system === assembly.system,
  );
  if (!found) return alone("base-missing", `“${assembly.name}” builds on ${nameOf(basedOn)}, which is not there.`);
  if (found.appliesTo !== assembly.appliesTo) {
    return alone(
      "base-of-another-kind",
      `“${assembly.name}” builds on “${found.name}”, which is for another kind of part.`,
    );
  }
  const base = assemble(found, all, path);
  return {
    assembly: on(base.assembly, assembly),
    problems: [...base.problems, ...leftOutProblems(assembly, base.assembly)],
  };
}

const known = new WeakMap<Assembly, { readonly all: readonly Assembly[]; readonly assembled: Assembled }>();

/** An assembly as it is counted by, with its base's parameters, rules, tables and words in it. Worked out once for a library. */
export function assembledFrom(assembly: Assembly, all: readonly Assembly[]): Assembled {
  if (!assembly.basedOn) return { assembly, problems: [] };
  const before = known.get(assembly);
  if (before?.all === all) return before.assembled;
  const assembled = assemble(assembly, all, []);
  known.set(assembly, { all, assembled });
  return assembled;
}

/** The bases that assemblies name and that are not among them. */
export function lackingBases(all: readonly Assembly[]): AssemblyRef[] {
  const there = new Set(all.map(({ id, version }) => `${id}@${version}`));
  return all.flatMap(({ basedOn }) => (basedOn && !there.has(`${basedOn.id}@${basedOn.version}`) ? [basedOn] : []));
}
