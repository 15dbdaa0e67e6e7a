import { PART_KINDS, type Pad } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const padFace: KindFace<Pad> = {
  group: "In the ground",
  starts: [
    {
      label: "Pads",
      words: "Under posts and columns, so many alike",
      noun: "Pads",
      make: PART_KINDS.pad.defaults,
      figure: "length",
    },
    {
      label: "Tube footings",
      words: "Round, in tube forms, so many alike",
      noun: "Tubes",
      make: (id, name, context) => ({ ...PART_KINDS.pad.defaults(id, name, context), form: "tube" }),
      figure: "diameter",
    },
  ],
  Screen: lazy(() => import("./PadScreen")),
};
