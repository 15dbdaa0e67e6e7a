import { type Assembly, type Library, parameterProblem, slotParametersOf } from "../assemblies";
import type { Scalar } from "../kinds";
import { parseLength } from "../units";

export type ReadChoices = Readonly<Record<string, Scalar>>;

/**
 * An example's choices, each checked like any value of its parameter: a length is text as a tape pad takes it (`16 in`), or
 * whole nanometres. A sentence where one cannot stand.
 */
export function exampleChoices(
  assembly: Assembly,
  choices: Readonly<Record<string, Scalar>>,
  library: Library,
): ReadChoices | string {
  const read: [string, Scalar][] = [];
  for (const [name, given] of Object.entries(choices)) {
    const value = exampleChoice(assembly, name, given, library);
    if (typeof value === "object") return `${name}: ${value.wrong}`;
    read.push([name, value]);
  }
  return Object.fromEntries(read);
}

type Wrong = { readonly wrong: string };

function exampleChoice(assembly: Assembly, name: string, given: Scalar, library: Library): Scalar | Wrong {
  const parameter = assembly.parameters.find((each) => each.name === name);
  const ofSlot = assembly.slot ? slotParametersOf(assembly.appliesTo).find((each) => each.name === name) : undefined;
  const kind = parameter?.kind ?? ofSlot?.kind;
  if (kind === undefined) return { wrong: "there is no such choice." };
  const value = kind === "length" && typeof given === "string" ? lengthIn(given, assembly) : given;
  if (typeof value === "object") return value;
  const wrong = parameter && parameterProblem(parameter, value, assembly.system, library);
  if (wrong) return { wrong };
  if (ofSlot && !ofSlot.stands(value)) return { wrong: `${String(given)} is nothing it can be built by.` };
  return value;
}

function lengthIn(text: string, { system }: Assembly): number | Wrong {
  const parsed = parseLength(text, system);
  return parsed.ok ? parsed.value : { wrong: parsed.problem.message };
}
