import { PART_KINDS, type Raft } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export const raftFace: KindFace<Raft> = {
  group: "In the ground",
  starts: [
    {
      label: "Raft",
      words: "A slab on beams: fill, steel, concrete, digging",
      noun: "Raft",
      make: PART_KINDS.raft.defaults,
      figure: "edges.a.length",
    },
  ],
  Screen: lazy(() => import("./RaftScreen")),
};
