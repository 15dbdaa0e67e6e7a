import { choicesInForce, choicesSlot, type WithChoices } from "../../parts/choicesSlot";
import type { Slot } from "../../parts/slot";
import { FRAMING_PARAMETERS, type FramingChoices, framingChoicesSchema, usualFraming } from "./parameters";

/** What a drawn wall and walls by totals have alike. */
export type Framed = WithChoices<FramingChoices>;

/** The choices a wall is framed by; the usual ones of a system while nothing has been settled. */
export const framingOf = choicesInForce<FramingChoices>({ parameters: FRAMING_PARAMETERS, usual: usualFraming });

/** What frames a wall, drawn or by its totals. */
export const framingSlot = <P extends Framed>(): Slot<P> =>
  choicesSlot<FramingChoices, P>({
    id: "frame",
    question: "What frames this wall?",
    words: "Framed by this assembly",
    changeWords: "Change the assembly that frames it",
    moreWords: "plates, corners, jambs, blocking, boards, hardware",
    parameters: FRAMING_PARAMETERS,
    read: (values) => framingChoicesSchema.parse(values),
    usual: usualFraming,
  });
