import { PART_KINDS, type StudWall } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const studWallFace: KindFace<StudWall> = {
  group: "Walls",
  starts: [
    {
      label: "Stud wall by itself",
      words: "One wall, without a room",
      noun: "Wall",
      make: PART_KINDS["stud-wall"].defaults,
      figure: "length",
    },
  ],
  Screen: lazy(() => import("./StudWallScreen")),
};
