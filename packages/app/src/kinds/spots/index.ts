import { PART_KINDS, type SpotsPart } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

const load = () => import("./SpotsScreen");

export const spotsFace: KindFace<SpotsPart> = {
  starts: [
    {
      label: "Counted spots",
      words: "Posts, hold-downs, sockets",
      noun: "Spots",
      make: PART_KINDS.spots.defaults,
      figure: "",
    },
  ],
  load,
  Screen: lazy(load),
};
