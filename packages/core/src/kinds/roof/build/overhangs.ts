import type { FramingPiece } from "../../../drawing/piece";
import type { XY, XYZ } from "../../../geometry/skeleton";
import { feet } from "../../../units";
import { type RoofFace, type RoofForm, toMm } from "../form";
import { type BearingRafter, overPlateMm } from "../heights";
import { slopeOf } from "../outline";
import type { Roof } from "../schema";
import { cutOf, levelStick, slopedStick } from "./sticks";

/** A gable's overhang up to this hangs from the sheathing and the barge; beyond, lookouts carry it. Common practice. */
const LOOKOUTS_FROM_NM = feet(1);

type Options = {
  readonly section: BearingRafter;
  readonly spacingMm: number;
  readonly rafterSpacingMm: number;
  /** How long a barge can be had; a longer one is joined over a lookout. */
  readonly longestMm: number;
};

/** A barge rafter along each rake that hangs over, and lookouts from the second rafter out to it. */
export function layOverhangs(roof: Roof, form: RoofForm, options: Options): FramingPiece[] {
  return form.lines
    .filter(({ kind }) => kind === "rake")
    .flatMap((line) => {
      const face = form.faces.find(({ id }) => id === line.faceIds[0]);
      const gable = form.standing.find(({ form: { index } }) => index === sideOf(face, line.from, line.to));
      const edge = roof.edges.find(({ id }) => id === gable?.edgeId);
      if (!face || !edge) return [];
      const { overhangNm } = slopeOf(roof, edge);
      if (overhangNm === 0) return [];
      return [...bargeOf(face, line, options), ...lookoutsOf(face, line, toMm(overhangNm), overhangNm, options)];
    });
}

/** The standing face beyond the side of a face that a rake is the outer line of. */
function sideOf(face: RoofFace | undefined, from: XYZ, to: XYZ): number | undefined {
  return face?.sides.find((side) => side.from === from && side.to === to)?.against;
}

type Line = { readonly id: string; readonly from: XYZ; readonly to: XYZ; readonly planMm: number };

function upward({ from, to, planMm }: Line): { low: XYZ; way: XY; pitch: number } {
  const [low, high] = from[2] <= to[2] ? [from, to] : [to, from];
  const way: XY = [(high[0] - low[0]) / planMm, (high[1] - low[1]) / planMm];
  return { low, way, pitch: (high[2] - low[2]) / planMm };
}

function bargeOf(face: RoofFace, line: Line, { section, longestMm }: Options): FramingPiece[] {
  const { low, way, pitch } = upward(line);
  if (pitch < 1e-4) return [];
  const reachMm = longestMm / Math.hypot(1, pitch);
  const count = Math.max(1, Math.ceil(line.planMm / reachMm - 1e-9));
  return Array.from({ length: count }, (_, index) => {
    const fromMm = index === 0 ? 0 : index * reachMm;
    const toMm = index === count - 1 ? line.planMm : (index + 1) * reachMm;
    return slopedStick({
      id: index === 0 ? `barge-${line.id}` : `barge-${line.id}.${index + 1}`,
      role: "barge-rafter",
      section,
      foot: low,
      direction: way,
      pitch,
      fromMm,
      toMm,
      overMm: overPlateMm(section, face.pitch),
      cut: cutOf({ pitch, runMm: toMm - fromMm, headOffMm: 0, footOffMm: 0, tailMm: 0 }),
    });
  });
}

function lookoutsOf(face: RoofFace, line: Line, outMm: number, overhangNm: number, options: Options): FramingPiece[] {
  if (overhangNm <= LOOKOUTS_FROM_NM) return [];
  const { low, way, pitch } = upward(line);
  // Along the high edge of a lean-to its own rafters hang over.
  if (pitch < 1e-4) return [];
  const count = Math.floor(line.planMm / options.spacingMm) + 1;
  const lengthMm = outMm + options.rafterSpacingMm;
  const { along } = face.form.line;
  // From the barge towards the middle of the face, level.
  const middle =
    face.sides.reduce((sum, { from }) => sum + from[0] * along[0] + from[1] * along[1], 0) / face.sides.length;
  const inwards = middle > low[0] * along[0] + low[1] * along[1] ? 1 : -1;
  return Array.from({ length: count }, (_, index) => {
    const at = Math.min(index * options.spacingMm, line.planMm);
    const from: XY = [low[0] + way[0] * at, low[1] + way[1] * at];
    const to: XY = [from[0] + along[0] * inwards * lengthMm, from[1] + along[1] * inwards * lengthMm];
    const topMm = low[2] + at * pitch + overPlateMm(options.section, face.pitch);
    return levelStick({ id: `lookout-${line.id}-${index + 1}`, role: "lookout", section: options.section }, from, to, {
      topMm,
    });
  });
}
