import {
  type Assembly,
  type FramedPart,
  findAssembly,
  framingDefaultProblems,
  isFramed,
  type Library,
  NOTHING_LAID_OUT,
  partContext,
  settlePart,
} from "../assemblies";
import type { Drawing } from "../drawing/drawing";
import {
  ALONE,
  type AssemblyRef,
  kindOf,
  type OpenPoint,
  type Part,
  type PartContext,
  type Surroundings,
  settleOpenings,
} from "../parts";
import { type Problem, problem } from "../problems/problem";
import { ownValue } from "../records/ownValue";
import type { MeasuringSystem } from "../units";
import { countAssembly } from "./countAssembly";
import { withHandSet } from "./handSet";
import type { LaidPart } from "./laidPart";
import type { PartCount } from "./partCount";
import { layOutStudWall } from "./stud-wall";
import { reckonWallTotals } from "./wall-totals";

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
  const frame = isFramed(entered) ? findAssembly(entered.assembly, system, library) : undefined;
  const framed = settlePart(entered, system, library);
  const part = framed.kind === "stud-wall" ? settleOpenings(framed) : framed;
  const kind = kindOf(part);
  const problems = kind.problems(part, context);
  // Of the figures as they were entered: a unit's width, not the hole's.
  const openPoints = kind.openPoints(framed, context);
  const waits = isFramed(part) ? part.length.valueNm === null : openPoints.some((point) => keepsWaiting(point));
  const named = { partId: part.id, partName: part.name, waits };
  if (problems.length > 0 || waits) {
    const drawing = kind.draw(part, context, around);
    return { ...named, lines: [], scope: [], pieces: [], drawing, problems, openPoints };
  }

  const laidPart = layOut(part, frame, library, context, around);
  const quantities = kind.quantities(part, around);
  const counted = usesOf(part, frame, system, library).map((use) => {
    if (!use.assembly) return { lines: [], scope: () => [], problems: [use.missing] };
    const { assembly, useId, choices } = use;
    return countAssembly({ part, assembly, useId, choices, laidPart, quantities, library, context });
  });
  const lines = counted.flatMap((each) => each.lines);
  const found = [
    ...(frame ? framingDefaultProblems(frame, library.standard) : []),
    ...laidPart.problems,
    ...counted.flatMap((each) => each.problems),
  ];
  const byHand = withHandSet(lines, part);
  return withLater(
    {
      ...named,
      lines: byHand.lines,
      pieces: laidPart.pieces,
      problems: found,
      openPoints: [...openPoints, ...found.map(asOpenPoint), ...byHand.openPoints],
    },
    laidPart,
    counted.map((each) => each.scope),
  );
}

/** With its drawing and its sentences, which are made when they are first read. */
function withLater(
  count: Omit<PartCount, "drawing" | "scope">,
  { draw, repeats }: LaidPart,
  sentences: readonly (() => readonly string[])[],
): PartCount {
  let drawing: Drawing | undefined;
  let scope: readonly string[] | undefined;
  const times = repeats > 1 ? [`This is built ${repeats} times.`] : [];
  return {
    ...count,
    get drawing() {
      drawing ??= draw();
      return drawing;
    },
    get scope() {
      scope ??= [...sentences.flatMap((say) => say()), ...times];
      return scope;
    },
  };
}

/** A figure that is missing, or a walk that does not close. One that was refused leaves the last good one in force. */
const keepsWaiting = ({ kind }: OpenPoint): boolean => kind === "missing" || kind === "conflict";

const asOpenPoint = ({ path, message }: Problem): OpenPoint => ({ path, kind: "missing", message });

function layOut(
  part: Part,
  frame: Assembly | undefined,
  library: Library,
  context: PartContext,
  around: Surroundings,
): LaidPart {
  if (part.kind === "stud-wall" && frame) return layOutStudWall(part, frame, library, context);
  if (part.kind === "wall-totals" && frame) return reckonWallTotals(part, frame, library, context);
  return {
    pieces: [],
    draw: () => kindOf(part).draw(part, context, around),
    laid: {
      ...NOTHING_LAID_OUT,
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

type Use = { readonly useId: string; readonly choices: CountLineChoices } & (
  | { readonly assembly: Assembly }
  | { readonly assembly: undefined; readonly missing: Problem }
);
type CountLineChoices = FramedPart["choices"];

/** What frames the part first, then the other assemblies that apply to it. */
function usesOf(part: Part, frame: Assembly | undefined, system: MeasuringSystem, library: Library): Use[] {
  const lacking = (ref: AssemblyRef, path: string): Problem =>
    problem(
      "assembly-missing",
      path,
      `The assembly “${ref.id}”, version ${ref.version}, is not there: it is not counted.`,
    );
  const used = part.uses.map(({ id: useId, assembly: ref, choices }, index): Use => {
    const assembly = findAssembly(ref, system, library);
    const shared = { useId, choices };
    if (!assembly) return { ...shared, assembly, missing: lacking(ref, `uses.${index}`) };
    const wanted = part.kind === "wall-totals" ? "stud-wall" : part.kind;
    if (assembly.appliesTo === wanted) return { ...shared, assembly };
    const message = `“${assembly.name}” is for another kind of part.`;
    return { ...shared, assembly: undefined, missing: problem("wrong-kind", `uses.${index}`, message) };
  });
  if (!isFramed(part)) return used;
  const own: Use = frame
    ? { useId: "", choices: part.choices, assembly: frame }
    : { useId: "", choices: part.choices, assembly: undefined, missing: lacking(part.assembly, "assembly") };
  return [own, ...used];
}
