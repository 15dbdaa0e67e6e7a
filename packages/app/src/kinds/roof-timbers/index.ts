import { PART_KINDS, type RoofTimbers } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const roofTimbersFace: KindFace<RoofTimbers> = {
  group: "Roofs",
  starts: [
    {
      label: "Roof timbers",
      words: "Rafters by their lengths on plan, a pitch, and how many",
      noun: "Roof timbers",
      make: PART_KINDS["roof-timbers"].defaults,
      figure: "pitch",
    },
  ],
  Screen: lazy(() => import("./RoofTimbersScreen")),
};
