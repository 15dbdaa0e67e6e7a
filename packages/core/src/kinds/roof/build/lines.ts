import type { FramingPiece } from "../../../drawing/piece";
import type { XY, XYZ } from "../../../geometry/skeleton";
import type { Section } from "../../../kinds";
import { NM_PER_MM } from "../../../units";
import type { RoofFace, RoofForm, RoofLine } from "../form";
import { type BearingRafter, overPlateMm } from "../heights";
import type { Sections } from "./rafters";
import { cutOf, levelStick, type Notch, slopedStick } from "./sticks";

const halfMm = ({ thicknessNm }: Section): number => thicknessNm / NM_PER_MM / 2;
const unit = ([x, y]: XY): XY => {
  const length = Math.hypot(x, y) || 1;
  return [x / length, y / length];
};
const same = (a: XYZ, b: XYZ): boolean => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]) < 1;

/** Tops of rafters lie over the form by this, so that ridges and hips come up to them. */
const overOf = (face: RoofFace | undefined, rafter: BearingRafter): number =>
  face ? overPlateMm(rafter, face.pitch) : 0;

/** A plate is crossed at its corner: the seat of a hip is as long as the plate is wide, over the sine of a half square (common practice). */
const ACROSS_CORNER = Math.SQRT2;

/** Of a hip that bears: as deep as brings its top to where the rafters are, however much deeper the timber is. */
function hipNotch(hip: Section, pitch: number, overMm: number, rafter: BearingRafter): Notch {
  const heelMm = (hip.depthNm / NM_PER_MM) * Math.hypot(1, pitch) - overMm;
  return { heelMm, seatMm: Math.min(heelMm / pitch, (rafter.plateNm / NM_PER_MM) * ACROSS_CORNER) };
}

/** How long ridges can be had, and how far rafters are apart: joints lie between two of them. */
export type RidgeStock = { readonly longestMm: number; readonly spacingMm: number };

/** Where a ridge so long is joined: as far as the stock reaches, on a rafter where one lies within reach. */
export function jointsOf(lengthMm: number, { longestMm, spacingMm }: RidgeStock): number[] {
  const spaces = Math.floor(longestMm / spacingMm + 1e-9);
  const reachMm = spaces > 0 ? spaces * spacingMm : longestMm;
  const joints: number[] = [];
  for (let at = reachMm; lengthMm - (joints.at(-1) ?? 0) > longestMm; at += reachMm) joints.push(at);
  return joints;
}

function ridgePieces(line: RoofLine, form: RoofForm, sections: Sections, stock: RidgeStock): FramingPiece[] {
  const face = form.faces.find(({ id }) => id === line.faceIds[0]);
  const topMm = (line.from[2] + line.to[2]) / 2 + overOf(face, sections.rafter);
  const direction = unit([line.to[0] - line.from[0], line.to[1] - line.from[1]]);
  const at = (mm: number): XY => [line.from[0] + direction[0] * mm, line.from[1] + direction[1] * mm];
  const ends = [0, ...jointsOf(line.planMm, stock), line.planMm];
  return ends.slice(1).map((endMm, index) => {
    const id = index === 0 ? line.id : `${line.id}.${index + 1}`;
    return levelStick({ id, role: "ridge", section: sections.ridge }, at(ends[index] ?? 0), at(endMm), { topMm });
  });
}

/** Half of the ridge a hip or valley runs up to, level along it; nothing where it ends at a point or another hip. */
function headOffMm(line: RoofLine, head: XYZ, direction: XY, form: RoofForm, { ridge }: Sections): number {
  const met = form.lines.find(({ kind, from, to }) => kind === "ridge" && (same(from, head) || same(to, head)));
  if (!met || met.id === line.id) return 0;
  const way = unit([met.to[0] - met.from[0], met.to[1] - met.from[1]]);
  const sine = Math.abs(way[0] * direction[1] - way[1] * direction[0]);
  return halfMm(ridge) / Math.max(sine, 0.2);
}

/** How far a hip's top edge is planed to each side, so that sheathing of both slopes lies on it. */
function backingOf(face: RoofFace | undefined, direction: XY, pitch: number): number {
  if (!face) return 0;
  const { normal } = face.form.line;
  // Across the hip the slope falls off by this much, square to the hip on plan.
  const across = Math.abs(normal[0] * -direction[1] + normal[1] * direction[0]) * face.pitch;
  return (Math.atan(across / Math.hypot(1, pitch)) * 180) / Math.PI;
}

function slopingPiece(line: RoofLine, form: RoofForm, sections: Sections): FramingPiece[] {
  const [low, high] = line.from[2] <= line.to[2] ? [line.from, line.to] : [line.to, line.from];
  const runMm = line.planMm;
  const rise = high[2] - low[2];
  if (runMm < 1 || rise < 1) return [];
  const pitch = rise / runMm;
  const direction = unit([high[0] - low[0], high[1] - low[1]]);
  const face = form.faces.find(({ id }) => id === line.faceIds[0]);
  const other = form.faces.find(({ id }) => id === line.faceIds[1]);
  // Where it passes the plate, on plan from its lower end.
  const tailMm = low[2] < 0 ? Math.min(runMm, -low[2] / pitch) : 0;
  const foot: XYZ = [low[0] + direction[0] * tailMm, low[1] + direction[1] * tailMm, low[2] + tailMm * pitch];
  const off = headOffMm(line, high, direction, form, sections);
  const bears = Math.abs(foot[2]) < 1;
  const overMm = overOf(face, sections.rafter);
  const notch = bears ? hipNotch(sections.hip, pitch, overMm, sections.rafter) : undefined;
  const isHip = line.kind === "hip";
  return [
    slopedStick({
      id: line.id,
      role: isHip ? "hip-rafter" : "valley-rafter",
      section: sections.hip,
      foot,
      direction,
      pitch,
      fromMm: -tailMm,
      toMm: Math.max(runMm - tailMm - off, 1 - tailMm),
      overMm,
      cut: cutOf({
        pitch,
        runMm: runMm - tailMm,
        headOffMm: off,
        footOffMm: 0,
        tailMm,
        notch,
        backingDegrees: isHip ? [face, other].map((each) => backingOf(each, direction, pitch)) : [],
      }),
    }),
  ];
}

/** Flat on the boards of the roof it runs up on, for the feet of its jacks. */
function valleyBoard(line: RoofLine, rafter: Section): FramingPiece[] {
  const [low, high] = line.from[2] <= line.to[2] ? [line.from, line.to] : [line.to, line.from];
  const pitch = (high[2] - low[2]) / line.planMm;
  const thickMm = rafter.thicknessNm / NM_PER_MM;
  const flat: Section = { ...rafter, thicknessNm: rafter.depthNm, depthNm: rafter.thicknessNm };
  const id = line.id;
  const role = "valley-board";
  const direction = unit([high[0] - low[0], high[1] - low[1]]);
  const cut = cutOf({ pitch, runMm: line.planMm, headOffMm: 0, footOffMm: 0, tailMm: 0 });
  const ends = { foot: low, direction, pitch, fromMm: 0, toMm: line.planMm, overMm: thickMm * Math.hypot(1, pitch) };
  return [slopedStick({ id, role, section: flat, ...ends, cut })];
}

/** Along the wall that a slope runs up to: its rafters hang on it. */
function ledgerPieces(line: RoofLine, form: RoofForm, sections: Sections, stock: RidgeStock): FramingPiece[] {
  const face = form.faces.find(({ id }) => id === line.faceIds[0]);
  const normal = face?.form.line.normal ?? [0, 0];
  const inMm = -halfMm(sections.ridge);
  const shifted = ([x, y, z]: XYZ): XYZ => [x + normal[0] * inMm, y + normal[1] * inMm, z];
  const placed = { ...line, from: shifted(line.from), to: shifted(line.to) };
  return ridgePieces(placed, form, sections, stock).map((piece) => ({ ...piece, role: "ledger" }));
}

/** Ridges, hips, valleys and ledgers as timber. */
export function layLines(form: RoofForm, sections: Sections, stock: RidgeStock): FramingPiece[] {
  return form.lines.flatMap((line) => {
    if (line.kind === "ridge") return ridgePieces(line, form, sections, stock);
    if (line.kind === "wall-top") return ledgerPieces(line, form, sections, stock);
    if (line.kind === "valley" && line.cutBy !== undefined) return valleyBoard(line, sections.rafter);
    return line.kind === "hip" || line.kind === "valley" ? slopingPiece(line, form, sections) : [];
  });
}
