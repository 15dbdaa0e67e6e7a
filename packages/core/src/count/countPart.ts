import {
  type Assembly,
  builderOf,
  findAssembled,
  findAssembly,
  type Library,
  NOTHING_TO_ANSWER,
  partContext,
  settlePart,
  slotDefaultProblems,
} from "../assemblies";
import {
  ALONE,
  type AssemblyRef,
  assembliesOf,
  assemblyKindOf,
  kindOf,
  type OpenPoint,
  type Part,
  type Scalar,
  type Surroundings,
} from "../kinds";
import { buildOf } from "../kinds/builds";
import type { Layout, Site } from "../layouts";
import { type Problem, problem } from "../problems/problem";
import { ownValue } from "../records/ownValue";
import type { MeasuringSystem } from "../units";
import { countAssembly } from "./countAssembly";
import { withHandSet } from "./handSet";
import type { PartCount } from "./partCount";

/**
 * Counts one part as it stands on the plan (see `resolveParts`): lays out what its assembly frames, and works out the
 * rules of every assembly that applies to it. Never throws for what a person typed.
 */
export function countPart(
  entered: Part,
  system: MeasuringSystem,
  library: Library,
  around: Surroundings = ALONE,
): PartCount {
  const context = partContext(system, library);
  const builder = builderOf(entered, system, library);
  const settled = settlePart(entered, system, library);
  const kind = kindOf(settled);
  const part = kind.placed?.(settled, context) ?? settled;
  const problems = kind.problems(part, context);
  // Of the figures as they were entered: a unit's width, not the hole's.
  const openPoints = onceAsked(() => kind.openPoints(settled, context));
  const waits = kind.waits?.(part) ?? openPoints().some((point) => keepsWaiting(point));
  const named = { partId: part.id, partName: part.name, waits };
  if (problems.length > 0 || waits) {
    const drawing = kind.draw(part, context, around);
    return { ...named, lines: [], scope: [], pieces: [], compared: [], drawing, problems, openPoints: openPoints() };
  }

  const layout = layOut(part, builder, { library, context, around });
  const quantities = kind.quantities(part, around);
  const rows = kind.rowsOf?.(part, around) ?? {};
  const counted = usesOf(part, builder, system, library).map((use) => {
    if (!use.assembly) return { lines: [], scope: () => [], problems: [use.missing] };
    const { assembly, useId, choices } = use;
    return countAssembly({ part, assembly, useId, choices, layout, quantities, rows, library, context });
  });
  const lines = counted.flatMap((each) => each.lines);
  const found = [
    ...baseProblems(part, system, library),
    ...(builder ? slotDefaultProblems(part, builder, library.standard) : []),
    ...layout.problems,
    ...counted.flatMap((each) => each.problems),
  ];
  const byHand = withHandSet(lines, part);
  return withLater(
    {
      ...named,
      lines: byHand.lines,
      pieces: layout.pieces,
      compared: layout.compared ?? [],
      panels: layout.panels,
      problems: found,
    },
    () => [...openPoints(), ...found.map(asOpenPoint), ...byHand.openPoints],
    layout,
    counted.map((each) => each.scope),
  );
}

function onceAsked<T>(make: () => T): () => T {
  let made: { readonly value: T } | undefined;
  return () => {
    made ??= { value: make() };
    return made.value;
  };
}

/** With its drawing, its sentences and what is open about it, which are made when they are first read. */
function withLater(
  count: Omit<PartCount, "drawing" | "scope" | "openPoints">,
  open: () => readonly OpenPoint[],
  { draw, repeats }: Layout,
  sentences: readonly (() => readonly string[])[],
): PartCount {
  const drawing = onceAsked(draw);
  const openPoints = onceAsked(open);
  const times = repeats > 1 ? [`This is built ${repeats} times.`] : [];
  const scope = onceAsked(() => [...sentences.flatMap((say) => say()), ...times]);
  return {
    ...count,
    get drawing() {
      return drawing();
    },
    get scope() {
      return scope();
    },
    get openPoints() {
      return openPoints();
    },
  };
}

/** A figure that is missing, or a walk that does not close. One that was refused leaves the last good one in force. */
const keepsWaiting = ({ kind }: OpenPoint): boolean => kind === "missing" || kind === "conflict";

const asOpenPoint = ({ path, message }: Problem): OpenPoint => ({ path, kind: "missing", message });

/** By its kind's own way where something builds it; else there are only the measured values. */
function layOut(part: Part, builder: Assembly | undefined, site: Site): Layout {
  const build = buildOf(part);
  if (build && builder) return build(part, builder, site);
  const { library, context, around } = site;
  return {
    pieces: [],
    draw: () => kindOf(part).draw(part, context, around),
    laid: {
      ...NOTHING_TO_ANSWER,
      sheetSize: (sizeId) => ownValue(library.sheets, sizeId),
    },
    choices: new Map(),
    reckoned: false,
    repeats: 1,
    words: { name: part.name },
    workingOf: () => undefined,
    problems: [],
  };
}

/** What could not be had of assemblies that build on others. */
const baseProblems = (part: Part, system: MeasuringSystem, library: Library): Problem[] =>
  assembliesOf(part).flatMap((ref) => [...(findAssembled(ref, system, library)?.problems ?? [])]);

type Use = { readonly useId: string; readonly choices: Readonly<Record<string, Scalar>> } & (
  | { readonly assembly: Assembly }
  | { readonly assembly: undefined; readonly missing: Problem }
);

/** What builds the part first, then the other assemblies that apply to it. */
function usesOf(part: Part, builder: Assembly | undefined, system: MeasuringSystem, library: Library): Use[] {
  const lacking = (ref: AssemblyRef, path: string): Problem =>
    problem(
      "assembly-missing",
      path,
      `The assembly “${ref.id}”, version ${ref.version}, is not there: it is not counted.`,
    );
  const found = (use: Omit<Use, "assembly">, ref: AssemblyRef, assembly: Assembly | undefined, path: string): Use => {
    if (!assembly) return { ...use, assembly, missing: lacking(ref, path) };
    if (assembly.appliesTo === assemblyKindOf(part)) return { ...use, assembly };
    const message = `“${assembly.name}” is for another kind of part.`;
    return { ...use, assembly: undefined, missing: problem("wrong-kind", path, message) };
  };
  const used = part.uses.map(({ id: useId, assembly: ref, choices }, index): Use => {
    return found({ useId, choices }, ref, findAssembly(ref, system, library), `uses.${index}`);
  });
  const own = kindOf(part).slot?.of(part);
  if (!own) return used;
  return [found({ useId: "", choices: own.choices }, own.assembly, builder, "assembly"), ...used];
}
