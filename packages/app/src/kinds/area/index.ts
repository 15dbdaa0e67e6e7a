import { type AreaPart, PART_KINDS } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

const load = () => import("../../measure/LoosePartScreen");

export const areaFace: KindFace<AreaPart> = {
  starts: [
    {
      label: "Area",
      words: "A deck, a patch of paving",
      noun: "Area",
      make: PART_KINDS.area.defaults,
      figure: "length",
    },
  ],
  load,
  Screen: lazy(load),
};
