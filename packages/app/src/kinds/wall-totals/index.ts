import { PART_KINDS, type WallTotals } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const wallTotalsFace: KindFace<WallTotals> = {
  group: "Walls",
  starts: [
    {
      label: "Walls by totals",
      words: "So many feet of wall, so many corners and openings",
      noun: "Walls",
      make: PART_KINDS["wall-totals"].defaults,
      figure: "length",
    },
  ],
  Screen: lazy(() => import("./WallTotalsScreen")),
};
