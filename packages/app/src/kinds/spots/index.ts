import { PART_KINDS, type SpotsPart } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const spotsFace: KindFace<SpotsPart> = {
  group: "By length, area or number",
  starts: [
    {
      label: "Counted spots",
      words: "Posts, hold-downs, sockets",
      noun: "Spots",
      make: PART_KINDS.spots.defaults,
      figure: "",
    },
  ],
  Screen: lazy(() => import("./SpotsScreen")),
};
