import { PART_KINDS, type Pier } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

const load = () => import("./PierScreen");

export const pierFace: KindFace<Pier> = {
  starts: [
    {
      label: "Pier",
      words: "Brick or block, solid or hollow",
      noun: "Pier",
      make: PART_KINDS.pier.defaults,
      figure: "length",
    },
  ],
  load,
  Screen: lazy(load),
};
