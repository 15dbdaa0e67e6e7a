import { type Nanometres, spacesIn } from "../../units";
import type { FramingPiece, HardwarePiece } from "../piece";
import type { Frame } from "./frame";

/**
 * Where bolts go in one piece of plate: one at most `fromEndNm` from each end, the others at most `spacingNm` apart, and
 * never fewer than two. Published: IRC R403.1.6.
 */
export function boltPlaces(lengthNm: Nanometres, spacingNm: Nanometres, fromEndNm: Nanometres): Nanometres[] {
  const endNm = Math.min(fromEndNm, Math.floor(lengthNm / 4));
  const betweenNm = lengthNm - 2 * endNm;
  const spaces = Math.max(1, spacesIn(betweenNm, spacingNm));
  return Array.from({ length: spaces + 1 }, (_, index) => Math.round(endNm + (index * betweenNm) / spaces));
}

function anchorBolts(frame: Frame, plates: readonly FramingPiece[]): HardwarePiece[] {
  if (!frame.wall.parameters.anchorBolts.value) return [];
  const { boltSpacingNm, boltFromEndNm } = frame.rules;
  const widthNm = Math.round(frame.thicknessNm / 3);
  const lowest = plates.filter((plate) => plate.yNm === 0);
  return lowest.flatMap((plate) =>
    boltPlaces(plate.cutLengthNm, boltSpacingNm, boltFromEndNm).map((atNm, index) => ({
      id: `bolt-${plate.id}-${index + 1}`,
      role: "anchor-bolt" as const,
      xNm: plate.xNm + atNm - Math.round(widthNm / 2),
      yNm: 0,
      widthNm,
      heightNm: Math.round(frame.thicknessNm * 1.5),
    })),
  );
}

/** One beside the stud at each end of the wall. */
function holdDowns(frame: Frame): HardwarePiece[] {
  if (!frame.wall.parameters.holdDowns.value) return [];
  const { thicknessNm: t, footNm, lengthNm } = frame;
  return [t, lengthNm - 2 * t].map((xNm, index) => ({
    id: `hold-down-${index + 1}`,
    role: "hold-down",
    xNm,
    yNm: footNm,
    widthNm: t,
    heightNm: 5 * t,
  }));
}

export const hardware = (frame: Frame, bottomPlates: readonly FramingPiece[]): HardwarePiece[] => [
  ...anchorBolts(frame, bottomPlates),
  ...holdDowns(frame),
];
