import { type Dimension, measured as measuredAs } from "../../kinds";
import type { Nanometres } from "../../units";

/** A figure as somebody measured it, whatever was typed. */
export const measured = (valueNm: Nanometres): Dimension => measuredAs(valueNm, "");
