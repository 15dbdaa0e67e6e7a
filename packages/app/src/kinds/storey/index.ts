import type { StoreyPart } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

const load = () => import("../../measure/LoosePartScreen");

/** A storey's record begins by itself, with its plan. */
export const storeyFace: KindFace<StoreyPart> = {
  starts: [],
  load,
  Screen: lazy(load),
};
