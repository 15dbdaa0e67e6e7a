import type { SurfacePart } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace } from "../kindFace";

/** Begun from its room, where one sees which it is. */
export const surfaceFace: KindFace<SurfacePart> = {
  group: "Rooms",
  starts: [],
  Screen: lazy(() => import("./SurfaceScreen")),
};
