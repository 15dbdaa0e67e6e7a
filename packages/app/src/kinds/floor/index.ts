import { type Floor, PART_KINDS } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const floorFace: KindFace<Floor> = {
  group: "Floors and decks",
  starts: [
    {
      label: "Floor of joists",
      words: "Joists, openings, beams and posts, floor panels; over a plan or by its sides",
      noun: "Floor",
      make: PART_KINDS.floor.defaults,
      figure: "edges.a.length",
    },
  ],
  Screen: lazy(() => import("./FloorScreen")),
};
