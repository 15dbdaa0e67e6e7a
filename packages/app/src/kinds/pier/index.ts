import { PART_KINDS, type Pier } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const pierFace: KindFace<Pier> = {
  group: "Walls",
  starts: [
    {
      label: "Pier",
      words: "Brick or block, solid or hollow",
      noun: "Pier",
      make: PART_KINDS.pier.defaults,
      figure: "length",
    },
  ],
  Screen: lazy(() => import("./PierScreen")),
};
