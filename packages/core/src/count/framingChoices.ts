import { formulaValue, type Value } from "../assemblies";
import { FRAMING_PARAMETERS, type FramingParameters } from "../parts";

/** What a wall is framed by, under the names formulas use. */
export function framingChoices(parameters: FramingParameters): Map<string, Value> {
  const values = new Map<string, Value>();
  for (const { key, name, kind } of FRAMING_PARAMETERS) values.set(name, formulaValue(kind, parameters[key].value));
  return values;
}
