import { PART_KINDS, type Slab } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const slabFace: KindFace<Slab> = {
  group: "In the ground",
  starts: [
    {
      label: "Slab",
      words: "On the ground, as thick all over or thickened at its edges",
      noun: "Slab",
      make: PART_KINDS.slab.defaults,
      figure: "edges.a.length",
    },
  ],
  Screen: lazy(() => import("./SlabScreen")),
};
