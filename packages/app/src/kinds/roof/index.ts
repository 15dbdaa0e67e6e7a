import { PART_KINDS, type Roof } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const roofFace: KindFace<Roof> = {
  group: "Roofs",
  starts: [
    {
      label: "Roof",
      words: "Gable, hip, lean-to, L: from two figures, a walk, or the outside of a storey",
      noun: "Roof",
      make: PART_KINDS.roof.defaults,
      figure: "edges.a.length",
    },
  ],
  Screen: lazy(() => import("./RoofScreen")),
};
