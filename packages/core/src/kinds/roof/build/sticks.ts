import type { FramingPiece } from "../../../drawing/piece";
import type { PieceCut } from "../../../drawing/pieceCut";
import type { SpaceFigure } from "../../../drawing/spaceFigure";
import type { XY, XYZ } from "../../../geometry/skeleton";
import type { Section } from "../../../kinds";
import { NM_PER_MM } from "../../../units";
import type { StandingFace } from "../form";
import { type BearingRafter, heelMm } from "../heights";

const MM_PER_M = 1000;
const nm = (mm: number): number => Math.round(mm * NM_PER_MM);
const degrees = (tangent: number): number => (Math.atan(tangent) * 180) / Math.PI;

/** From the roof's own plan, in millimetres with heights up, to space in metres. */
const inSpace = ([x, y, z]: XYZ) => [x / MM_PER_M, z / MM_PER_M, -y / MM_PER_M] as const;

type Named = { readonly id: string; readonly role: string; readonly section: Section };

/** The face of a stick as it is seen from above: as wide as the timber is thick. */
function planOf(
  from: XY,
  to: XY,
  widthMm: number,
): Pick<FramingPiece, "xNm" | "yNm" | "widthNm" | "heightNm" | "points"> {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
  const [x, y] = [((to[1] - from[1]) / length) * (widthMm / 2), (-(to[0] - from[0]) / length) * (widthMm / 2)];
  const corners: XY[] = [
    [from[0] + x, from[1] + y],
    [to[0] + x, to[1] + y],
    [to[0] - x, to[1] - y],
    [from[0] - x, from[1] - y],
  ];
  const points = corners.map((corner) => ({ xNm: nm(corner[0]), yNm: nm(corner[1]) }));
  const xs = points.map(({ xNm }) => xNm);
  const ys = points.map(({ yNm }) => yNm);
  const [xNm, yNm] = [Math.min(...xs), Math.min(...ys)];
  return {
    xNm,
    yNm,
    widthNm: Math.max(1, Math.max(...xs) - xNm),
    heightNm: Math.max(1, Math.max(...ys) - yNm),
    points,
  };
}

export type Sloped = Named & {
  /** Where its line starts at the plate, the middle of a valley or a ridge's end; the height is the line's there. */
  readonly foot: XYZ;
  /** On plan, up the slope. */
  readonly direction: XY;
  readonly pitch: number;
  /** On plan from the foot: where the timber begins (below 0 for a tail) and ends, cuts taken off. */
  readonly fromMm: number;
  readonly toMm: number;
  /** How far the timber's top lies over its line, plumb. */
  readonly overMm: number;
  readonly notch?: Notch | undefined;
  readonly cut: PieceCut;
};

/** Seat and heel of a notch in millimetres. */
export type Notch = { readonly seatMm: number; readonly heelMm: number };

export function notchOf(rafter: BearingRafter, pitch: number): Notch {
  const heel = heelMm(rafter, pitch);
  return { seatMm: heel / pitch, heelMm: heel };
}

/** A stick on edge along a slope: rafter, jack, hip or valley, with its notch over the plate. */
export function slopedStick(stick: Sloped): FramingPiece {
  const { id, role, section, foot, direction, pitch, fromMm, toMm, overMm, cut } = stick;
  const secant = Math.hypot(1, pitch);
  const depthMm = (section.depthNm / NM_PER_MM) * secant;
  const { seatMm, heelMm: heel } = stick.notch ?? { seatMm: 0, heelMm: 0 };
  const at = (along: number): XY => [foot[0] + direction[0] * along, foot[1] + direction[1] * along];
  const top = (along: number) => [along / MM_PER_M, (along * pitch + overMm) / MM_PER_M] as const;
  const bottom = (along: number) => [along / MM_PER_M, (along * pitch + overMm - depthMm) / MM_PER_M] as const;
  const hasNotch = seatMm > 0 && seatMm < toMm - 1 && fromMm <= 0;
  const notch = hasNotch ? [[0, -heel / MM_PER_M] as const, [0, 0] as const, [seatMm / MM_PER_M, 0] as const] : [];
  const tail = fromMm < -0.5 || !hasNotch ? [bottom(fromMm)] : [];
  const outline = [top(toMm), top(fromMm), ...tail, ...notch, bottom(toMm)];
  const figure: SpaceFigure = {
    frame: { origin: inSpace(foot), along: [direction[0], 0, -direction[1]], up: [0, 1, 0] },
    outline: outline.toReversed(),
    nearM: -section.thicknessNm / NM_PER_MM / MM_PER_M / 2,
    depthM: section.thicknessNm / NM_PER_MM / MM_PER_M,
  };
  return {
    id,
    role,
    sectionId: section.id,
    ...planOf(at(fromMm), at(toMm), section.thicknessNm / NM_PER_MM),
    cutLengthNm: nm((toMm - fromMm) * secant),
    angleDegrees: degrees(pitch),
    inSpace: figure,
    cut,
  };
}

/** A stick that lies level on edge, its top or its foot at a height. */
export function levelStick(
  { id, role, section }: Named,
  from: XY,
  to: XY,
  { topMm, footMm }: { readonly topMm?: number; readonly footMm?: number },
): FramingPiece {
  const lengthMm = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const depthMm = section.depthNm / NM_PER_MM;
  const low = footMm ?? (topMm ?? 0) - depthMm;
  const high = low + depthMm;
  const outline: XY[] = [
    [0, low],
    [lengthMm, low],
    [lengthMm, high],
    [0, high],
  ];
  return flatStick({ id, role, section }, from, to, outline);
}

/** What is made up flat and stands on edge from one place to another: its outline along that and up from the plate. As long as it is on plan. */
export function flatStick({ id, role, section }: Named, from: XY, to: XY, outline: readonly XY[]): FramingPiece {
  const lengthMm = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const direction: XY = [(to[0] - from[0]) / (lengthMm || 1), (to[1] - from[1]) / (lengthMm || 1)];
  const thickM = section.thicknessNm / NM_PER_MM / MM_PER_M;
  return {
    id,
    role,
    sectionId: section.id,
    ...planOf(from, to, section.thicknessNm / NM_PER_MM),
    cutLengthNm: Math.max(1, nm(lengthMm)),
    inSpace: {
      frame: { origin: inSpace([from[0], from[1], 0]), along: [direction[0], 0, -direction[1]], up: [0, 1, 0] },
      outline: outline.map(([along, up]) => [along / MM_PER_M, up / MM_PER_M]),
      nearM: -thickM / 2,
      depthM: thickM,
    },
  };
}

/** A stick that stands upright, its thickness along a direction on plan. */
export function uprightStick(
  { id, role, section }: Named,
  at: XY,
  direction: XY,
  { footMm, topMm }: { readonly footMm: number; readonly topMm: number },
): FramingPiece {
  const half = section.thicknessNm / NM_PER_MM / 2;
  const deepM = section.depthNm / NM_PER_MM / MM_PER_M;
  const end = (by: number): XY => [at[0] + direction[0] * by, at[1] + direction[1] * by];
  const [low, high, out] = [footMm / MM_PER_M, topMm / MM_PER_M, half / MM_PER_M];
  return {
    id,
    role,
    sectionId: section.id,
    ...planOf(end(-half), end(half), section.depthNm / NM_PER_MM),
    cutLengthNm: Math.max(1, nm(topMm - footMm)),
    inSpace: {
      frame: { origin: inSpace([at[0], at[1], 0]), along: [direction[0], 0, -direction[1]], up: [0, 1, 0] },
      outline: [
        [-out, low],
        [out, low],
        [out, high],
        [-out, high],
      ],
      nearM: -deepM / 2,
      depthM: deepM,
    },
  };
}

/** A stick in the plane of an upright face, its outline along the face's foot and up from the plate; millimetres. */
export function wallStick(
  { id, role, section }: Named,
  { form: { line } }: StandingFace,
  outline: readonly XY[],
  lengthMm: number,
): FramingPiece {
  const deepMm = section.depthNm / NM_PER_MM;
  const { along, normal, offsetMm } = line;
  const places = outline.map(([a]) => a);
  const at = (a: number): XY => [along[0] * a + normal[0] * offsetMm, along[1] * a + normal[1] * offsetMm];
  return {
    id,
    role,
    sectionId: section.id,
    ...planOf(at(Math.min(...places)), at(Math.max(...places)), deepMm),
    cutLengthNm: Math.max(1, nm(lengthMm)),
    inSpace: {
      frame: { origin: inSpace([...at(0), 0]), along: [along[0], 0, -along[1]], up: [0, 1, 0] },
      outline: outline.map(([a, z]) => [a / MM_PER_M, z / MM_PER_M]),
      nearM: -deepMm / MM_PER_M / 2,
      depthM: deepMm / MM_PER_M,
    },
  };
}

/** The cut of a sloping piece from its lengths on plan. */
export function cutOf(of: {
  readonly pitch: number;
  readonly runMm: number;
  readonly headOffMm: number;
  readonly footOffMm: number;
  readonly tailMm: number;
  readonly headBevelDegrees?: number;
  readonly footBevelDegrees?: number;
  readonly notch?: Notch | undefined;
  readonly backingDegrees?: readonly number[];
}): PieceCut {
  const secant = Math.hypot(1, of.pitch);
  const plumbDegrees = degrees(of.pitch);
  return {
    pitch: of.pitch,
    runNm: nm(of.runMm),
    lineNm: nm(of.runMm * secant),
    shortenedNm: nm((of.runMm - of.headOffMm - of.footOffMm) * secant),
    headOffNm: nm(of.headOffMm),
    footOffNm: nm(of.footOffMm),
    tailNm: nm(of.tailMm * secant),
    plumbDegrees,
    seatDegrees: 90 - plumbDegrees,
    headBevelDegrees: of.headBevelDegrees ?? 0,
    footBevelDegrees: of.footBevelDegrees ?? 0,
    seatNm: nm(of.notch?.seatMm ?? 0),
    heelNm: nm(of.notch?.heelMm ?? 0),
    backingDegrees: of.backingDegrees ?? [],
  };
}
