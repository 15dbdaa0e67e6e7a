import type { XY } from "../../../../geometry/skeleton";
import type { RoofFace } from "../../form";
import { type Hit, hitsAt, inFace, pairs } from "../rafters";
import type { Sides } from "./ridges";
import type { TrussShape } from "./trussPiece";

/** What a slope does at a place along a ridge: where its foot is, and what it is there. */
type Half = { readonly foot: Hit; readonly head: Hit; readonly runMm: number; readonly footZ: number };

function halfAt(face: RoofFace, faces: readonly RoofFace[], place: XY): Half | undefined {
  const along = inFace(face, place)[0];
  const [foot, head] = pairs(hitsAt(face, face.wallSides, along)).at(-1) ?? [];
  if (!foot || !head) return undefined;
  // Below a change of pitch the slope goes on, down to the plate.
  const lower =
    foot.kind === "break"
      ? faces.find(({ edgeId, form }) => edgeId === face.edgeId && form.step < face.form.step)
      : undefined;
  const lowest = lower && pairs(hitsAt(lower, lower.wallSides, inFace(lower, place)[0])).at(-1)?.[0];
  const { fromHeightMm, runPerRise, offsetMm } = face.form.line;
  const footZ = lowest ? 0 : fromHeightMm + foot.at / runPerRise;
  const lowerAt = lowest && lower ? lower.form.line.offsetMm + lowest.at - offsetMm : foot.at;
  return { foot: lowest ?? foot, head, runMm: head.at - lowerAt, footZ };
}

/** Feet as high as this stand on the plate. */
export const LEVEL_MM = 5;

/** A truss over a place of a ridge, its feet square to it; nothing where one of the slopes is not there. */
export type Found = {
  readonly role: string;
  readonly shape: Omit<TrussShape, "id" | "chord" | "role">;
  readonly mouth: boolean;
};

export function trussAt(sides: Sides, faces: readonly RoofFace[], place: XY, topZ: number): Found | undefined {
  const halves = sides.map((face) => halfAt(face, faces, place));
  const [one, other] = halves;
  if (!one || !other) return undefined;
  const low = [one, other].map(({ footZ }) => footZ > LEVEL_MM);
  const infill = low.every(Boolean);
  const baseZ = infill ? Math.max(one.footZ, other.footZ) : 0;
  const runs = sides.map((face, index) => {
    const half = halves[index];
    // A main truss goes on to the line of its wall, over the mouth of a wing.
    if (!half || infill || half.footZ <= LEVEL_MM) return half?.runMm ?? 0;
    return half.runMm + half.footZ * face.form.line.runPerRise;
  });
  const [a = 0, b = 0] = runs;
  const heads = [one.head, other.head];
  const clipped = heads.every(({ kind }) => kind !== "ridge");
  const inAt = sides.map((face) => inFace(face, place)[1]);
  const feet = sides.map((face, index): XY => {
    const { normal } = face.form.line;
    const out = (inAt[index] ?? 0) - (heads[index]?.at ?? 0) + (runs[index] ?? 0);
    return [place[0] - normal[0] * out, place[1] - normal[1] * out];
  });
  const [from, to] = feet;
  if (!from || !to || a + b < 1) return undefined;
  const spanMm = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const flatZ = clipped ? headZ(sides[0], one.head) : topZ;
  const top: XY[] = clipped
    ? [
        [0, 0],
        [a, flatZ],
        [spanMm - b, flatZ],
        [spanMm, 0],
      ]
    : [
        [0, baseZ],
        [a, topZ],
        [spanMm, baseZ],
      ];
  const role = infill ? "truss-valley" : clipped ? "truss-hip" : "truss-common";
  return { role, shape: { from, to, top }, mouth: low.some(Boolean) && !infill };
}

const headZ = ({ form: { line } }: RoofFace, { at }: Hit): number => line.fromHeightMm + at / line.runPerRise;
