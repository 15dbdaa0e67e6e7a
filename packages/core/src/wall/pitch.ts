import { measured } from "../parts/dimension";
import type { FigureSlot } from "../parts/figure";
import { STEEPEST } from "../units";
import type { Wall } from "./schema";

export const PITCH_PATH = "shape.pitch";

/** How far a slope runs, and what it rises from and to, as far as it was measured; undefined for a top without one slope. */
function slopeOfTop({ shape, height, length }: Wall) {
  if (shape.how === "slope") return { low: height, high: shape.highHeight, runNm: length.valueNm };
  if (shape.how === "gable") return { low: height, high: shape.peakHeight, runNm: shape.peakAt.valueNm };
  return undefined;
}

/** The pitch of a wall's top, which says its higher end: of a gable, that of its left side. Nothing until its run is known. */
export function pitchFigures(wall: Wall): readonly FigureSlot[] {
  const top = slopeOfTop(wall);
  const lowNm = top?.low.valueNm;
  if (!top || wall.plan?.underCeiling || lowNm == null || !top.runNm || top.runNm <= 0) return [];
  const { valueNm, assumed } = top.high;
  const value = valueNm === null ? null : (valueNm - lowNm) / top.runNm;
  const label = wall.shape.how === "gable" ? "Pitch, left side" : "Pitch";
  const figure = { value, typed: "", assumed };
  return [{ path: PITCH_PATH, label, of: "", measure: "pitch", figure, most: STEEPEST, keepsRefused: true }];
}

/** The wall with its higher end where a pitch puts it. */
export function withPitch<W extends Wall>(wall: W, pitch: number, typed: string): W {
  const top = slopeOfTop(wall);
  if (!top) throw new Error(`withPitch: the top of "${wall.shape.how}" has no one pitch`);
  const high = measured((top.low.valueNm ?? 0) + Math.round(pitch * (top.runNm ?? 0)), typed);
  if (wall.shape.how === "slope") return { ...wall, shape: { ...wall.shape, highHeight: high } };
  return wall.shape.how === "gable" ? { ...wall, shape: { ...wall.shape, peakHeight: high } } : wall;
}
