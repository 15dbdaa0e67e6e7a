import {
  type Assembly,
  compileAssembly,
  fillTemplate,
  formulaValue,
  type Library,
  settleParameters,
  type Value,
} from "../../../assemblies";
import type { Nanometres } from "../../../units";
import { FRAMING_PARAMETERS, type FramingParameters, type FramingRole, type Scalar } from "../..";

/** What a wall is framed by, under the names formulas use. */
export function framingChoices(parameters: FramingParameters): Map<string, Value> {
  const values = new Map<string, Value>();
  for (const { key, name, kind } of FRAMING_PARAMETERS) values.set(name, formulaValue(kind, parameters[key].value));
  return values;
}

type Framed = { readonly parameters: FramingParameters; readonly choices: Readonly<Record<string, Scalar>> };

/** What laying out asks beyond framing itself, by the same settled choices that the rules are worked out with. */
export type SettledChoices = {
  /** Which sheet a parameter stands for. */
  readonly sheetOf: (parameter: string) => string;
  /** The longest piece that plates of a role can be: what they are cut from is sold so long; else the assembly's own. */
  readonly longestPlate: (role: FramingRole) => Nanometres;
};

export function settledChoices(part: Framed, assembly: Assembly, library: Library): SettledChoices {
  const framing = framingChoices(part.parameters);
  const { settled } = settleParameters(assembly, part.choices, library.standard, framing, library);
  const choiceOf = (name: string) => String(settled.get(name)?.value ?? framing.get(name) ?? "");
  const longest = new Map<FramingRole, Nanometres>();
  const longestPlate = (role: FramingRole): Nanometres => {
    const known = longest.get(role);
    if (known !== undefined) return known;
    const cut = compileAssembly(assembly).inOrder.find(
      (each) => each.rule.buying === "cut" && each.roles.includes(role),
    );
    const code = cut && fillTemplate(cut.item, (name) => choiceOf(name === "section" ? "studSize" : name));
    const sold = code === undefined ? undefined : library.longestSold?.get(code);
    const found = sold ?? assembly.framing?.longestPlateNm ?? Number.POSITIVE_INFINITY;
    longest.set(role, found);
    return found;
  };
  return { sheetOf: choiceOf, longestPlate };
}
