import type { FigureSlot, Roof } from "@wide-porch/core";

/** Changes of a roof; other kinds are left alone. */
export type RoofChange = (roof: Roof) => Roof;

/** What every panel of a roof's screen is given: the roof, its figures with the one that is typed, and the ways to change them. */
export type PanelProps = {
  readonly roof: Roof;
  readonly slots: readonly FigureSlot[];
  readonly active: string | undefined;
  /** Says whether it was taken. */
  readonly onChange: (change: RoofChange) => boolean;
  readonly onFigure: (path: string) => void;
};
