import { type MasonryWall, PART_KINDS, type PartContext } from "@wide-porch/core";
import { lazy } from "react";
import type { KindFace, Start } from "../kindFace";

const startWith =
  (assemblyId: string) =>
  (id: string, name: string, context: PartContext): MasonryWall => ({
    ...PART_KINDS["masonry-wall"].defaults(id, name, context),
    assembly: { id: assemblyId, version: 1 },
  });

const start = (label: string, words: string, assemblyId: string): Start => ({
  label,
  words,
  noun: "Masonry wall",
  make: startWith(assemblyId),
  figure: "length",
});

export const masonryWallFace: KindFace<MasonryWall> = {
  group: "Walls",
  starts: [
    start("Brick or block wall", "One leaf, a bonded wall, or a veneer", "brick-wall"),
    start("Cavity wall", "Two leaves, tied", "cavity-wall"),
    start("Stone wall", "Length, height and openings give a price", "stone-wall"),
  ],
  Screen: lazy(() => import("./MasonryWallScreen")),
};
