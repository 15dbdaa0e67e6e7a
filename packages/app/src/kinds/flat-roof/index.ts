import { type FlatRoof, PART_KINDS } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const flatRoofFace: KindFace<FlatRoof> = {
  group: "Roofs",
  starts: [
    {
      label: "Flat roof",
      words: "Two figures are enough: joists, ladders, firrings, deck, covering, trims",
      noun: "Flat roof",
      make: PART_KINDS["flat-roof"].defaults,
      figure: "edges.a.length",
    },
  ],
  Screen: lazy(() => import("./FlatRoofScreen")),
};
