import {
  type Assembly,
  type AssemblyExample,
  assembledFrom,
  type Library,
  partContext,
  settlePart,
} from "../assemblies";
import {
  enterFigure,
  figureSlots,
  isWallPart,
  kindOf,
  type Opening,
  PART_KINDS,
  type Part,
  type PartContext,
  type WallPart,
} from "../kinds";
import { parseLength } from "../units";
import { countPart } from "./countPart";
import { exampleChoices } from "./exampleChoices";

export type ExampleResult = {
  readonly name: string;
  readonly source: string;
  readonly passes: boolean;
  /** What differs, or why it cannot be worked. */
  readonly failures: readonly string[];
};

/** A figure is compared to a ten-thousandth: lengths and areas are sums of metres. */
const NEAR = 1e-4;

/** Works an assembly's examples again, with what it builds on from the library. One that fails says by how much. */
export function runExamples(assembly: Assembly, library: Library): ExampleResult[] {
  const { assembly: whole } = assembledFrom(assembly, library.assemblies);
  return assembly.examples.map((example) => runExample(whole, example, library));
}

function runExample(assembly: Assembly, example: AssemblyExample, library: Library): ExampleResult {
  const { name, source } = example;
  const own: Library = { ...library, standard: undefined, assemblies: [assembly] };
  const built = examplePart(assembly, example, own);
  if (typeof built === "string") return { name, source, passes: false, failures: [built] };
  const count = countPart(built, assembly.system, own);
  const [wrong] = count.problems;
  if (count.lines.length === 0 && wrong) return { name, source, passes: false, failures: [wrong.message] };
  const failures = example.expected.flatMap(({ rule, quantity }) => {
    const lines = count.lines.filter((line) => line.rule === rule);
    const got = lines.reduce((sum, line) => sum + line.quantity, 0);
    if (Math.abs(got - quantity) <= NEAR) return [];
    const label = assembly.rules.find((each) => each.name === rule)?.label ?? rule;
    const missing = lines.find((line) => line.missing !== undefined)?.missing;
    return [`${label}: ${Number(got.toFixed(4))}, expected ${quantity}${missing ? ` (${missing})` : ""}`];
  });
  return { name, source, passes: failures.length === 0, failures };
}

/** The part an example describes; a sentence where it describes none. */
function examplePart(assembly: Assembly, example: AssemblyExample, library: Library): Part | string {
  const context = partContext(assembly.system, library);
  const ref = { id: assembly.id, version: assembly.version };
  const start: Part = PART_KINDS[assembly.appliesTo].defaults("example", example.name, context);
  const choices = exampleChoices(assembly, example.choices, library);
  if (typeof choices === "string") return choices;
  const counted = withCounts(start, example.counts);
  if (typeof counted === "string") return counted;
  const { slot } = kindOf(counted);
  const applied: Part =
    slot && assembly.slot === slot.id
      ? slot.choose(slot.fill(counted, ref), choices)
      : { ...counted, uses: [{ id: "example", assembly: ref, choices }] };
  const figured = withFigures(applied, example.figures, context, library);
  if (typeof figured === "string" || !isWallPart(figured)) return figured;
  return withOpenings(figured, example, context);
}

/** With counts that are no figures: of spots. */
function withCounts(part: Part, counts: Readonly<Record<string, number>>): Part | string {
  const { withCount } = kindOf(part);
  let counted = part;
  for (const [name, count] of Object.entries(counts)) {
    const changed = withCount?.(counted, name, count);
    if (!changed) return `There is no count “${name}” here.`;
    counted = changed;
  }
  return counted;
}

function withFigures(
  part: Part,
  figures: Readonly<Record<string, string>>,
  context: PartContext,
  library: Library,
): Part | string {
  const settle = (each: Part) => settlePart(each, context.system, library);
  let built = part;
  for (const [path, typed] of Object.entries(figures)) {
    const known = figureSlots(kindOf(built), built, context).some((slot) => slot.path === path);
    if (!known) return `There is no figure “${path}”.`;
    const entered = enterFigure(kindOf(built), built, path, typed, context, settle);
    if (entered.problem) return `${path}: ${entered.problem.message}`;
    built = entered.part;
  }
  return built;
}

function withOpenings(wall: WallPart, { openings }: AssemblyExample, context: PartContext): WallPart | string {
  const read: Opening[] = [];
  for (const [index, given] of openings.entries()) {
    const id = `opening-${index + 1}`;
    const fields = { position: given.position, width: given.width, height: given.height, sill: given.sill };
    const figures: Record<string, Opening["width"]> = {};
    for (const [field, typed] of Object.entries(fields)) {
      const parsed = parseLength(typed, context.system);
      if (!parsed.ok) return `Opening ${index + 1}, ${field}: ${parsed.problem.message}`;
      figures[field] = { valueNm: parsed.value, typed, assumed: false };
    }
    const { position, width, height, sill } = figures;
    if (!position || !width || !height || !sill) return `Opening ${index + 1} is not whole.`;
    const { kind } = given;
    const name = `Opening ${index + 1}`;
    read.push({ id, kind, name, measuredAs: "rough", along: "from-left", position, width, height, sill });
  }
  return { ...wall, openings: read };
}
