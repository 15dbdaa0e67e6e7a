import { assumedDimension } from "../parts/dimension";
import type { Opening } from "../parts/opening";
import { feet, inches, type MeasuringSystem, millimetres, type Nanometres } from "../units";
import { roomForOpening } from "./openings";
import type { Wall } from "./schema";

/** Rough openings to start from. A 6 ft 8 in door unit plus 2 in and 2 1/2 in: common practice. */
export const OPENING_SIZES: Record<
  MeasuringSystem,
  Record<Opening["kind"], { widthNm: number; heightNm: number; sillNm: number }>
> = {
  imperial: {
    door: { widthNm: inches(38), heightNm: inches(82.5), sillNm: 0 },
    window: { widthNm: feet(3), heightNm: feet(4), sillNm: inches(34) },
    plain: { widthNm: feet(3), heightNm: inches(82.5), sillNm: 0 },
  },
  metric: {
    door: { widthNm: millimetres(890), heightNm: millimetres(2070), sillNm: 0 },
    window: { widthNm: millimetres(900), heightNm: millimetres(1050), sillNm: millimetres(1000) },
    plain: { widthNm: millimetres(900), heightNm: millimetres(2070), sillNm: 0 },
  },
};

const OPENING_WORDS: Record<Opening["kind"], string> = { door: "Door", window: "Window", plain: "Opening" };

/**
 * A new opening of a kind, sized by default and put in the middle of the widest free stretch, all assumed.
 * Undefined when the wall has no length yet or no room for it.
 */
export function newOpening(
  wall: Pick<Wall, "length" | "openings">,
  kind: Opening["kind"],
  id: string,
  system: MeasuringSystem,
  besideNm: Nanometres,
): Opening | undefined {
  const size = OPENING_SIZES[system][kind];
  const number = wall.openings.filter((opening) => opening.kind === kind).length + 1;
  const positionNm = roomForOpening(wall, size.widthNm, besideNm, system);
  if (positionNm === undefined) return undefined;
  return {
    id,
    kind,
    name: `${OPENING_WORDS[kind]} ${number}`,
    measuredAs: "rough",
    along: "from-left",
    width: assumedDimension(size.widthNm),
    height: assumedDimension(size.heightNm),
    sill: assumedDimension(size.sillNm),
    position: assumedDimension(positionNm),
  };
}
