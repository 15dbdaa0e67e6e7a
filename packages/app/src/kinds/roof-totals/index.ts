import { PART_KINDS, type RoofTotals } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const roofTotalsFace: KindFace<RoofTotals> = {
  group: "Roofs",
  starts: [
    {
      label: "Roof by totals",
      words: "Area, pitch, and the lengths of its lines",
      noun: "Roof",
      make: PART_KINDS["roof-totals"].defaults,
      figure: "area",
    },
  ],
  Screen: lazy(() => import("./RoofTotalsScreen")),
};
