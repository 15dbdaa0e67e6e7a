import { type Footing, PART_KINDS } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const footingFace: KindFace<Footing> = {
  group: "In the ground",
  starts: [
    {
      label: "Footing",
      words: "Strip, trench fill, or with a stem wall: from the plan or by lengths",
      noun: "Footing",
      make: PART_KINDS.footing.defaults,
      figure: "edges.a.length",
    },
  ],
  Screen: lazy(() => import("./FootingScreen")),
};
