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
import { FRAMING_PARAMETERS, type FramingChoices, type FramingRole, type Scalar } from "../..";

const known = new WeakMap<FramingChoices, ReadonlyMap<string, Value>>();

/** What a wall is framed by, under the names formulas use. */
export function framingChoices(framing: FramingChoices): ReadonlyMap<string, Value> {
  const before = known.get(framing);
  if (before) return before;
  const chosen = new Map<string, Scalar>(Object.entries(framing));
  const values = new Map<string, Value>();
  for (const { name, kind } of FRAMING_PARAMETERS) {
    const value = chosen.get(name);
    if (value !== undefined) values.set(name, formulaValue(kind, value));
  }
  known.set(framing, values);
  return values;
}

type Framed = { readonly choices: Readonly<Record<string, Scalar>> };

/** What laying out asks beyond framing itself, by the same settled choices that the rules are worked out with. */
export type SettledFraming = {
  /** Which sheet a parameter stands for. */
  readonly sheetOf: (parameter: string) => string;
  /** The longest piece that plates of a role can be: what they are cut from is sold so long; else the assembly's own. */
  readonly longestPlate: (role: FramingRole) => Nanometres;
};

export function settledFraming(
  part: Framed,
  choices: FramingChoices,
  assembly: Assembly,
  library: Library,
): SettledFraming {
  const framing = framingChoices(choices);
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
