import type { SpaceFigure } from "../../drawing/spaceFigure";
import type { XYZ } from "../../geometry/skeleton";
import type { PartContext, Skin } from "../../parts/partKind";
import { formOf, type RoofFace, type StandingFace } from "./form";
import { bearingRafter, overPlateMm } from "./heights";
import { choicesOf } from "./parameters";
import type { Roof } from "./schema";

const MM_PER_M = 1000;
/** About as thick as panels, or battens, with what covers them. */
const THICK_M = 0.03;
const GABLE_M = 0.02;

const metres = ([x, y, z]: XYZ) => [x / MM_PER_M, z / MM_PER_M, -y / MM_PER_M] as const;

/** Corners in the plane of a slope: along its line, and up it. */
const flatOn = ({ form: { line }, pitch }: RoofFace, ring: readonly { readonly from: XYZ }[]): SpaceFigure["outline"] =>
  ring.map(({ from: [x, y] }) => [
    (line.along[0] * x + line.along[1] * y) / MM_PER_M,
    ((line.normal[0] * x + line.normal[1] * y - line.offsetMm) * Math.hypot(1, pitch)) / MM_PER_M,
  ]);

/** The plane of a slope: along its foot, and up along it from the line it rises from. */
export function frameOfSlope({ form: { line }, pitch }: RoofFace): SpaceFigure["frame"] {
  const { along, normal } = line;
  const secant = Math.hypot(1, pitch);
  const [cosine, sine] = [1 / secant, pitch / secant];
  const origin: XYZ = [normal[0] * line.offsetMm, normal[1] * line.offsetMm, line.fromHeightMm];
  return {
    origin: metres(origin),
    along: [along[0], 0, -along[1]],
    up: [normal[0] * cosine, sine, -normal[1] * cosine],
  };
}

/** A slope with its overhangs, lying on its rafters. */
function slopeFigure(face: RoofFace, overMm: number): SpaceFigure {
  const secant = Math.hypot(1, face.pitch);
  return {
    frame: frameOfSlope(face),
    outline: flatOn(face, face.sides),
    nearM: overMm / secant / MM_PER_M,
    depthM: THICK_M,
  };
}

/** A gable from the plate up, flush with the outside of the wall. */
function gableFigures({ form: { line, rings } }: StandingFace): SpaceFigure[] {
  const { along, normal, offsetMm } = line;
  return rings.map((ring) => ({
    frame: {
      origin: metres([normal[0] * offsetMm, normal[1] * offsetMm, 0]),
      along: [along[0], 0, -along[1]],
      up: [0, 1, 0],
    },
    outline: ring.map(({ from: [x, y, z] }) => [(along[0] * x + along[1] * y) / MM_PER_M, z / MM_PER_M]),
    nearM: -GABLE_M,
    depthM: GABLE_M,
  }));
}

/** The slopes and gables of a roof as thin solids in its own space; nothing while it has no form. */
export function roofSkin(roof: Roof, { sections, system }: PartContext): readonly Skin[] {
  const formed = formOf(roof);
  if (!formed.ok) return [];
  const rafter = bearingRafter(choicesOf(roof, system), sections);
  const overOf = (pitch: number) => (rafter ? overPlateMm(rafter, pitch) : 0);
  const slopes = formed.form.faces.map((face): Skin => {
    return {
      id: `slope-${face.id}`,
      role: "roof-slope",
      tone: "lintel",
      figure: slopeFigure(face, overOf(face.pitch)),
    };
  });
  const gables = formed.form.standing.flatMap((face) =>
    gableFigures(face).map((figure, index): Skin => {
      return { id: `gable-${face.id}-${index}`, role: "roof-gable", tone: "sheathing", figure };
    }),
  );
  return [...slopes, ...gables];
}
