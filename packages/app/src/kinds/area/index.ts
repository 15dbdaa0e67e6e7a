import { type AreaPart, PART_KINDS } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const areaFace: KindFace<AreaPart> = {
  group: "By length, area or number",
  starts: [
    {
      label: "Area",
      words: "A deck, a patch of paving",
      noun: "Area",
      make: PART_KINDS.area.defaults,
      figure: "length",
    },
  ],
  Screen: lazy(() => import("../../measure/LoosePartScreen")),
};
