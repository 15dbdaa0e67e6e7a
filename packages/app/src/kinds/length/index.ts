import { type LengthPart, PART_KINDS } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const lengthFace: KindFace<LengthPart> = {
  group: "By length, area or number",
  starts: [
    {
      label: "Length",
      words: "A fence, a rail, a gutter",
      noun: "Length",
      make: PART_KINDS.length.defaults,
      figure: "length",
    },
  ],
  Screen: lazy(() => import("../../measure/LoosePartScreen")),
};
