import type { Polygon } from "../geometry";
import type { Nanometres, SquareMetres } from "../units";

export const SURFACE_SIDES = ["wall", "floor", "ceiling", "reveal"] as const;
export type SurfaceSide = (typeof SURFACE_SIDES)[number];

/** An opening in a surface, at its place from the surface's left and foot. */
export type SurfaceOpening = {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly xNm: Nanometres;
  readonly yNm: Nanometres;
  readonly widthNm: Nanometres;
  readonly heightNm: Nanometres;
  readonly areaM2: SquareMetres;
};

/** One face of a wall, a floor, a ceiling or the edge of an opening: what can carry finishes, and what lies behind it. */
export type Surface = {
  /** Within its room, and the same as long as the wall or opening is: `wall/a`, `floor`, `reveal/d`. */
  readonly id: string;
  readonly side: SurfaceSide;
  readonly roomId: string;
  readonly roomName: string;
  readonly storey: string;
  /** `Wall B`, `Floor`, `Reveal of Window 1`. */
  readonly name: string;
  /** In its own plane, a wall as seen from the room with its left and foot at nothing. */
  readonly outline: Polygon;
  /** With openings; a sloped ceiling along its slope. */
  readonly areaM2: SquareMetres;
  readonly openings: readonly SurfaceOpening[];
  /** Of a wall along its foot and to its highest; of a reveal all round and through the wall. */
  readonly widthNm: Nanometres;
  readonly heightNm: Nanometres;
  /** What lies behind, in words: `outside`, `Hall`, `the storey below`. */
  readonly behind: string;
  readonly outside: boolean;
};

export const netAreaOfSurface = ({ areaM2, openings }: Surface): SquareMetres =>
  areaM2 - openings.reduce((sum, opening) => sum + opening.areaM2, 0);

/** What a storey comes to on the plan. Areas in square metres, lengths in metres. */
export type StoreyTotals = {
  readonly floorArea: number;
  readonly ceilingArea: number;
  readonly wallArea: number;
  readonly netWallArea: number;
  readonly footprintArea: number;
  readonly outsidePerimeter: number;
  readonly floorToFloor: number;
  readonly surfaces: readonly Surface[];
};
