import type { Part, PartContext } from "@wide-porch/core";
import type { ComponentType } from "react";

/** A way to begin a part of a kind, as the list of what can be measured offers it. */
export type Start = {
  readonly label: string;
  readonly words: string;
  /** What it is called until somebody names it: `Wall 3`. */
  readonly noun: string;
  readonly make: (id: string, name: string, context: PartContext) => Part;
  /** The figure that is asked for first; empty for none. */
  readonly figure: string;
};

/** Under which heading the list of what can be measured has a kind, in this order. */
export const START_GROUPS = [
  "Rooms",
  "Walls",
  "Floors and decks",
  "Roofs",
  "In the ground",
  "By length, area or number",
] as const;
export type StartGroup = (typeof START_GROUPS)[number];

/** What the interface knows of a kind of part. Its screen comes when one is opened. */
export type KindFace<P> = {
  readonly group: StartGroup;
  readonly starts: readonly Start[];
  readonly Screen: ComponentType<{ readonly part: P }>;
};
