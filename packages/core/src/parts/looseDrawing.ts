import type { Drawing } from "../drawing/drawing";
import type { Rectangle } from "../geometry/rectangle";

/** For kinds that have figures but no place on a plan. */
export const noDrawing = (): Drawing => ({ kind: "none" });
export const noOutline = (): Rectangle => ({ xNm: 0, yNm: 0, widthNm: 0, heightNm: 0 });
