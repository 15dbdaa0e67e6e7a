import { type Assembly, type Library, parameterProblem } from "../assemblies";
import { FRAMING_PARAMETERS, type Scalar, type StudWall, standsForFraming } from "../parts";
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
  const framing = assembly.framing ? FRAMING_PARAMETERS.find((each) => each.name === name) : undefined;
  const kind = parameter?.kind ?? framing?.kind;
  if (kind === undefined) return { wrong: "there is no such choice." };
  const value = kind === "length" && typeof given === "string" ? lengthIn(given, assembly) : given;
  if (typeof value === "object") return value;
  const wrong = parameter && parameterProblem(parameter, value, assembly.system, library);
  if (wrong) return { wrong };
  if (framing && !standsForFraming(framing.key, value))
    return { wrong: `${String(given)} is nothing a wall is built by.` };
  return value;
}

function lengthIn(text: string, { system }: Assembly): number | Wrong {
  const parsed = parseLength(text, system);
  return parsed.ok ? parsed.value : { wrong: parsed.problem.message };
}

/** A wall with an example's choices: framing's own where they are, the others beside them. All have been checked. */
export function withChoices(wall: StudWall, choices: ReadChoices): StudWall {
  const parameters: Record<string, unknown> = { ...wall.parameters };
  const others: Record<string, Scalar> = {};
  for (const [name, value] of Object.entries(choices)) {
    const own = FRAMING_PARAMETERS.find((each) => each.name === name);
    if (own) parameters[own.key] = { value, assumed: false };
    else others[name] = value;
  }
  return { ...wall, parameters: parameters as StudWall["parameters"], choices: others };
}
