import {
  FRAMING_PARAMETERS,
  type FramingParameters,
  type Part,
  type Scalar,
  type StudWall,
  standsForFraming,
  type WallTotals,
} from "../parts";
import { type Problem, problem } from "../problems/problem";
import type { MeasuringSystem } from "../units";
import { findAssembly, type Library } from "./library";
import type { Assembly } from "./schema";
import { type HouseStandard, standardValue } from "./standard";

/** `decided`: by the house, whose decision is no assumption. */
type Default = { readonly key: keyof FramingParameters; readonly value: Scalar; readonly decided: boolean };
type Defaults = {
  readonly standard: HouseStandard | undefined;
  readonly all: readonly Default[];
  readonly problems: readonly Problem[];
};

const known = new WeakMap<Assembly, Defaults>();

/** What the assembly and the house say of framing; what cannot stand there is told. Worked out once for many walls. */
function defaultsOf(assembly: Assembly, standard: HouseStandard | undefined): Defaults {
  const before = known.get(assembly);
  if (before && before.standard === standard) return before;
  const problems: Problem[] = [];
  const all = FRAMING_PARAMETERS.flatMap(({ key, name, label }): Default[] => {
    const line = [
      { from: standard?.name ?? "", decided: true, value: standardValue(standard, assembly.id, name) },
      { from: assembly.name, decided: false, value: assembly.parameters.find((each) => each.name === name)?.default },
    ];
    for (const { from, value, decided } of line) {
      if (value === undefined) continue;
      if (standsForFraming(key, value)) return [{ key, value, decided }];
      const message = `${label}: “${from}” says ${String(value)}, which nobody can build by. The next in line is used.`;
      problems.push(problem("out-of-limits", `parameters.${key}`, message));
    }
    return [];
  });
  const defaults = { standard, all, problems };
  known.set(assembly, defaults);
  return defaults;
}

/** What the house or the assembly says of framing and cannot be built by. */
export const framingDefaultProblems = (assembly: Assembly, standard: HouseStandard | undefined): readonly Problem[] =>
  defaultsOf(assembly, standard).problems;

type Framed = { readonly parameters: FramingParameters; readonly assembly: { readonly id: string } };

/**
 * A wall with its assumed choices as its assembly and the house have them; what the house says is decided. What a person
 * confirmed stays. The same wall where nothing differs.
 */
export function settleFraming<P extends Framed>(part: P, assembly: Assembly, standard: HouseStandard | undefined): P {
  const differing = defaultsOf(assembly, standard).all.filter(({ key, value, decided }) => {
    const now = part.parameters[key];
    return now.assumed && (now.value !== value || decided);
  });
  if (differing.length === 0) return part;
  const changed = Object.fromEntries(differing.map(({ key, value, decided }) => [key, { value, assumed: !decided }]));
  // Each was checked against its own schema when the defaults were read.
  return { ...part, parameters: { ...part.parameters, ...changed } as FramingParameters };
}

/** A part that an assembly frames. */
export type FramedPart = StudWall | WallTotals;
export const isFramed = (part: Part): part is FramedPart => part.kind === "stud-wall" || part.kind === "wall-totals";

type FramingLibrary = Pick<Library, "assemblies" | "standard">;

/** A part with its assumed choices settled, as it is counted; any part that nothing frames is as it is. */
export function settlePart<P extends Part>(part: P, system: MeasuringSystem, library: FramingLibrary): P {
  if (!isFramed(part)) return part;
  const frame = findAssembly(part.assembly, system, library);
  return frame ? settleFraming(part, frame, library.standard) : part;
}
