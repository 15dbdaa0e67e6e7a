import { choicesSlot } from "../../parts/choicesSlot";
import { ROOF_PARAMETERS, type RoofChoices, roofChoicesSchema, usualRoof } from "./parameters";
import type { Roof } from "./schema";

export const roofSlot = choicesSlot<RoofChoices, Roof>({
  id: "roof",
  question: "What is this roof built of?",
  words: "Built by this assembly",
  changeWords: "Change the assembly that builds it",
  moreWords: "ridge, hips, ties, lookouts",
  parameters: ROOF_PARAMETERS,
  read: (values) => roofChoicesSchema.parse(values),
  usual: usualRoof,
});
