import { choicesSlot, type WithChoices } from "../../parts/choicesSlot";
import { ROOF_PARAMETERS, type RoofChoices, roofChoicesSchema, usualRoof } from "./parameters";

/** What builds a roof, drawn or by totals. */
export const roofSlot = <P extends WithChoices<RoofChoices>>() =>
  choicesSlot<RoofChoices, P>({
    id: "roof",
    question: "What is this roof built of?",
    words: "Built by this assembly",
    changeWords: "Change the assembly that builds it",
    moreWords: "ridge, hips, ties, lookouts",
    parameters: ROOF_PARAMETERS,
    read: (values) => roofChoicesSchema.parse(values),
    usual: usualRoof,
  });
