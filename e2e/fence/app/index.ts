import { PART_KINDS, type Part } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

export type Fence = Extract<Part, { readonly kind: "fence" }>;

export const fenceFace: KindFace<Fence> = {
  group: "Walls",
  starts: [
    {
      label: "Fence",
      words: "Posts, rails and boards",
      noun: "Fence",
      make: PART_KINDS.fence.defaults,
      figure: "length",
    },
  ],
  Screen: lazy(() => import("./FenceScreen")),
};
