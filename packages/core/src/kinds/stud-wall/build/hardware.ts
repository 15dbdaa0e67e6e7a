import type { FramingRules } from "../../../assemblies";
import type { FramingPiece, HardwarePiece } from "../../../drawing/piece";
import { type Problem, problem } from "../../../problems/problem";
import { formatLength, type Nanometres, spacesIn } from "../../../units";
import type { Frame } from "./frame";

export type BoltRules = Pick<FramingRules, "boltSpacingNm" | "boltFromEndNm" | "boltLeastFromEndNm">;

/**
 * Where bolts go in one piece of plate: one at most `boltFromEndNm` and at least `boltLeastFromEndNm` from each end, the
 * others at most `boltSpacingNm` apart, and never fewer than two. Published: IRC R403.1.6 (12 in, seven diameters, 6 ft).
 * A piece too short for two gets one in its middle.
 */
export function boltPlaces(
  lengthNm: Nanometres,
  { boltSpacingNm: spacingNm, boltFromEndNm, boltLeastFromEndNm }: BoltRules,
): Nanometres[] {
  if (tooShortForTwo(lengthNm, boltLeastFromEndNm)) return [Math.round(lengthNm / 2)];
  const endNm = Math.max(boltLeastFromEndNm, Math.min(boltFromEndNm, Math.floor(lengthNm / 4)));
  const betweenNm = lengthNm - 2 * endNm;
  const spaces = Math.max(1, spacesIn(betweenNm, spacingNm));
  return Array.from({ length: spaces + 1 }, (_, index) => Math.round(endNm + (index * betweenNm) / spaces));
}

/** Two bolts are as far from each other, at least, as each is from its end (common practice). */
const tooShortForTwo = (lengthNm: Nanometres, leastFromEndNm: Nanometres): boolean => lengthNm < 3 * leastFromEndNm;

function anchorBolts(frame: Frame, plates: readonly FramingPiece[]): HardwarePiece[] {
  if (!frame.framing.anchorBolts) return [];
  const widthNm = Math.round(frame.thicknessNm / 3);
  const lowest = plates.filter((plate) => plate.yNm === 0);
  return lowest.flatMap((plate) =>
    boltPlaces(plate.cutLengthNm, frame.rules).map((atNm, index) => ({
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
  if (!frame.framing.holdDowns) return [];
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

/** Plates that take one bolt where there ought to be two. */
export function boltProblems(frame: Frame, plates: readonly FramingPiece[]): Problem[] {
  if (!frame.framing.anchorBolts) return [];
  const { boltLeastFromEndNm } = frame.rules;
  const short = plates.filter((plate) => plate.yNm === 0 && tooShortForTwo(plate.cutLengthNm, boltLeastFromEndNm));
  return short.map(({ cutLengthNm }) => {
    const say = (nm: Nanometres) => formatLength(nm, frame.context.system);
    const message = `A bottom plate of ${say(cutLengthNm)} has no room for two bolts ${say(boltLeastFromEndNm)} from its ends: one is counted.`;
    return problem("no-room-for-bolts", "choices.anchorBolts", message);
  });
}

export const hardware = (frame: Frame, bottomPlates: readonly FramingPiece[]): HardwarePiece[] => [
  ...anchorBolts(frame, bottomPlates),
  ...holdDowns(frame),
];
