import {
  type Assembly,
  type CompiledAssembly,
  fillTemplate,
  type Ground,
  type KnownName,
  type Value,
} from "../assemblies";
import { choiceWords, type PartContext } from "../kinds";
import { ownValue } from "../records/ownValue";
import { formatArea, formatLengthInWords, formatRunningLength, formatSpacing, formatVolume, NM_PER_M } from "../units";

type ScopeFacts = {
  readonly ground: Ground;
  readonly names: ReadonlyMap<string, KnownName>;
  readonly words: Readonly<Record<string, string>>;
  readonly context: PartContext;
  /** What its choices are called. */
  readonly assembly: Pick<Assembly, "parameters">;
};

/** Running lengths are measured; spacings and sizes are chosen. */
const RUNNING: ReadonlySet<string> = new Set(["length", "perimeter", "netPerimeter", "casingRun", "openingWidths"]);

function told(name: string, value: Value, { names, context }: ScopeFacts): string {
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value === "string") return ownValue(context.sections, value)?.name ?? choiceWords(value);
  const known = names.get(name);
  const metres = known?.type.is === "number" ? known.type.dims[0] : 0;
  if (metres === 1) {
    const lengthNm = Math.round(value * NM_PER_M);
    if (RUNNING.has(name) || known?.from === "rule") return formatRunningLength(lengthNm, context.system);
    return known?.from === "parameter"
      ? formatSpacing(lengthNm, context.system)
      : formatLengthInWords(lengthNm, context.system);
  }
  if (metres === 2) return formatArea(value, context.system);
  if (metres === 3) return formatVolume(value, context.system);
  return String(Number(value.toFixed(2)));
}

/** `{fillKindWords}` is what is chosen for `fillKind`, as the assembly calls it, in the middle of a sentence. */
function chosenLabel(name: string, { ground, assembly }: ScopeFacts): string | undefined {
  const parameter = name.endsWith("Words") ? name.slice(0, -"Words".length) : "";
  const chosen = ground.values.get(parameter);
  const label = assembly.parameters
    .find((each) => each.name === parameter)
    ?.choices?.find(({ value }) => value === chosen)?.label;
  // What begins with more than one capital, or with one and a figure, is a name: C25/30.
  return label?.replace(/^[A-Z](?=[a-z ])/, (letter) => letter.toLowerCase());
}

/** Says a name of a sentence by the part's values. */
export const sayer =
  (about: ScopeFacts) =>
  (name: string): string => {
    const words = ownValue(about.words, name);
    if (words !== undefined) return words;
    const value = about.ground.values.get(name);
    const label = value === undefined ? chosenLabel(name, about) : undefined;
    if (label !== undefined) return label;
    return value === undefined ? `{${name}}` : told(name, value, about);
  };

/**
 * An assembly's sentences with the part's values in them; a sentence whose condition does not hold is left out, and what belongs to an
 * option is said with it.
 */
export function scopeOf(compiled: CompiledAssembly, about: ScopeFacts): string[] {
  const say = sayer(about);
  const said: string[] = [];
  for (const { when, text } of compiled.wording) {
    const holds = when?.run(about.ground);
    if (!holds || (holds.ok && holds.value === true)) said.push(fillTemplate(text, say));
  }
  for (const { rule, words } of compiled.inOrder) {
    const counted = about.ground.values.get(rule.name);
    if (rule.option === undefined && words && typeof counted === "number" && counted > 0)
      said.push(fillTemplate(words, say));
  }
  return said;
}
