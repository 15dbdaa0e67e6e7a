import { PART_KINDS, type Waterproofing } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const waterproofingFace: KindFace<Waterproofing> = {
  group: "In the ground",
  starts: [
    {
      label: "Waterproofing below ground",
      words: "Walls and floor of a cellar: membrane or slurry, channel, sump and pump",
      noun: "Waterproofing",
      make: PART_KINDS.waterproofing.defaults,
      figure: "wallArea",
    },
  ],
  Screen: lazy(() => import("./WaterproofingScreen")),
};
