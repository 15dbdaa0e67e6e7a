import type { Drawing } from "../drawing/drawing";
import type { OpenPoint } from "../kinds";
import type { ComparedCount, PanelFacts, Piece } from "../layouts";
import type { Problem } from "../problems/problem";
import type { CountLine } from "./countLine";

/** All that counting one part gives. Pieces and lines share ids within the part. */
export type PartCount = {
  readonly partId: string;
  readonly partName: string;
  /** Whether it waits for a measurement before it can be counted. */
  readonly waits: boolean;
  readonly lines: readonly CountLine[];
  /** What the quote says of it. */
  readonly scope: readonly string[];
  readonly pieces: readonly Piece[];
  /** What comes out by either of two ways of counting, for parts that have two. */
  readonly compared: readonly ComparedCount[];
  /** What sheets come to that are laid from a start somebody can move. */
  readonly panels?: PanelFacts | undefined;
  readonly drawing: Drawing;
  readonly problems: readonly Problem[];
  readonly openPoints: readonly OpenPoint[];
};

/** The same count with other lines; what is made when it is read is still made then. */
export function withLines(count: PartCount, lines: PartCount["lines"]): PartCount {
  const copy: PartCount = Object.create(Object.getPrototypeOf(count), Object.getOwnPropertyDescriptors(count));
  return Object.defineProperty(copy, "lines", { value: lines, enumerable: true });
}
