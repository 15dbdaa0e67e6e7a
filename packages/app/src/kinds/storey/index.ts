import type { StoreyPart } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

/** A storey's record begins by itself, with its plan. */
export const storeyFace: KindFace<StoreyPart> = {
  group: "Rooms",
  starts: [],
  Screen: lazy(() => import("../../measure/LoosePartScreen")),
};
