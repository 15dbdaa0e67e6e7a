import { fixingsInSheet, type SheetDimensions } from "../../assemblies";
import type { SheetPiece } from "../../drawing/piece";
import { boundsOf } from "../../geometry";
import { areaOfRing, type XY } from "../../geometry/skeleton";
import { type Span, withoutSpans } from "../../joists/chords";
import { shiftToJoists } from "../../joists/lines";
import { type Nanometres, NM_PER_MM } from "../../units";
import { nestPieces } from "../sheets";
import { type Box, boxRound, isWithin, layInCourses } from "../sheets/overOutline";
import type { CutJoist } from "./cutJoists";
import type { FloorPlan } from "./floorPlan";
import { cornersUV, uprightOver } from "./stick";

export const FLOOR_PANEL = "floor-panel";

/** Where panels begin: short by so much along a row, and by so much of the first row. */
export type PanelStart = {
  readonly shiftNm: Nanometres;
  readonly rowNm: Nanometres;
  readonly corner: FloorPlan["choices"]["panelCorner"];
};

export type FloorPanels = {
  readonly pieces: readonly SheetPiece[];
  readonly bought: number;
  readonly coverM2: number;
  /** Of the sheets bought, what is cut off and not used. */
  readonly offcutM2: number;
  /** Ends of panels that lie on no joist. */
  readonly looseJoints: number;
  readonly fixings: (edgeNm: Nanometres, fieldNm: Nanometres) => number;
};

const MM2_PER_M2 = 1e6;
const THICK_NM = 18_000_000;
const CLEAR_NM = 2_000_000;
const STAGGER: Readonly<Record<string, (course: number, alongMm: number) => number>> = {
  half: (course, alongMm) => (course % 2) * (alongMm / 2),
  third: (course, alongMm) => (course % 3) * (alongMm / 3),
  none: () => 0,
};

/** As they are asked for: the part's own figures where somebody typed them; else so that ends of panels fall on the layout. */
export const panelStart = ({ part, choices }: FloorPlan): PanelStart => ({
  shiftNm: part.panelShift.valueNm ?? shiftToJoists(part, choices),
  rowNm: part.rowShift.valueNm ?? 0,
  corner: choices.panelCorner,
});

/** Of a whole panel, what it covers: along its row, and across it less its tongue. */
const coveredBy = (size: SheetDimensions, { panelTongue }: FloorPlan["choices"]) => ({
  alongMm: Math.max(size.widthNm, size.heightNm) / NM_PER_MM,
  upMm: Math.max(1, Math.min(size.widthNm, size.heightNm) - panelTongue) / NM_PER_MM,
});

/** Panels in rows across the joists over the outline, less its openings; each with its place along `v` and along `u`, in millimetres. */
function layRows(
  plan: FloorPlan,
  size: SheetDimensions,
  { shiftNm, rowNm, corner }: PanelStart,
): readonly (readonly XY[])[] {
  const { reach, shape, openings, choices } = plan;
  const [fromEnd, fromFar] = [corner.startsWith("end"), corner.endsWith("far")];
  // Laid from another corner it is the same outline mirrored.
  const mirrored = ([x, y]: XY): XY => [
    fromEnd ? (reach.v0 + reach.v1) / NM_PER_MM - x : x,
    fromFar ? (reach.u0 + reach.u1) / NM_PER_MM - y : y,
  ];
  const toXY = ({ u, v }: { readonly u: number; readonly v: number }): XY => mirrored([v / NM_PER_MM, u / NM_PER_MM]);
  const ring = shape.ring.map(toXY);
  const holes = openings.map(({ area }) => cornersUV(area).map(toXY));
  const sheet = coveredBy(size, choices);
  const box = boxRound(ring);
  const shift = STAGGER[choices.panelStagger];
  return layInCourses(
    [ring],
    holes,
    {
      fromMm: box.left - ((shiftNm / NM_PER_MM) % sheet.alongMm),
      footMm: box.low - ((rowNm / NM_PER_MM) % sheet.upMm),
      shiftMm: (course) => shift?.(course, sheet.alongMm) ?? 0,
    },
    sheet,
  ).map(({ corners }) => holes.reduce<readonly XY[]>(withHole, corners).map(mirrored));
}

/** A hole that lies within one panel is sawn out of it: round the panel, in to the hole, round it, and back. */
function withHole(ring: readonly XY[], hole: readonly XY[]): readonly XY[] {
  const [outer, inner] = [boxRound(ring), boxRound(hole)];
  const [corner, begins] = [ring[0], hole[0]];
  const boxed =
    inner.left > outer.left && inner.right < outer.right && inner.low > outer.low && inner.high < outer.high;
  // One that touches the outline was cut out of it before, and its middle lies in the panel no more.
  const middle: XY = [(inner.left + inner.right) / 2, (inner.low + inner.high) / 2];
  if (!boxed || !isWithin(ring, middle) || !corner || !begins) return ring;
  const other = Math.sign(areaOfRing(ring)) === Math.sign(areaOfRing(hole)) ? hole.toReversed() : hole;
  const start = other.indexOf(begins);
  return [...ring, corner, ...other.slice(start), ...other.slice(0, start), begins];
}

/** Rims and headers, which panels lie on as well, are so thick at most. */
const RIM_NM = 100_000_000;

/** Whether an end of a panel lies on a joist all along it, but for what an opening takes of it. */
function isBorne(atNm: Nanometres, along: Span, joists: readonly CutJoist[], { openings }: FloorPlan): boolean {
  const open = openings
    .filter(({ area }) => area.v0 < atNm && area.v1 > atNm)
    .map(({ area }) => ({ from: area.u0, to: area.u1 }));
  const under = joists
    .filter(({ v0, v1 }) => atNm >= v0 - 1000 && atNm <= v1 + 1000)
    .map(({ u0, u1 }) => ({ from: u0, to: u1 }));
  return withoutSpans(withoutSpans([along], open), under).every(({ from, to }) => to - from <= RIM_NM);
}

/** Ends of panels within the floor, joint by joint, that lie on no joist. */
function looseJoints(boxes: readonly Box[], joists: readonly CutJoist[], plan: FloorPlan): number {
  const nm = (mm: number) => Math.round(mm * NM_PER_MM);
  // Those that begin at a place, to a hundredth of a millimetre: a panel meets few others.
  const at = (mm: number) => Math.round(mm * 100);
  const byLeft = new Map<number, Box[]>();
  for (const box of boxes) {
    const alike = byLeft.get(at(box.left));
    if (alike) alike.push(box);
    else byLeft.set(at(box.left), [box]);
  }
  return boxes.filter((box) => {
    const beside = (byLeft.get(at(box.right)) ?? []).filter((other) => other.low < box.high && box.low < other.high);
    return beside.some(({ low, high }) => {
      const along = { from: nm(Math.max(low, box.low)), to: nm(Math.min(high, box.high)) };
      return !isBorne(nm(box.right), along, joists, plan);
    });
  }).length;
}

/** How many whole panels pieces of these boxes are cut from: each from a new one or from what is left of another. */
function sheetNumbers(
  boxes: readonly Box[],
  sheet: { readonly widthNm: Nanometres; readonly heightNm: Nanometres },
): number[] {
  const asked = boxes.map(({ left, right, low, high }) => ({
    widthNm: Math.min(Math.round((right - left) * NM_PER_MM), sheet.widthNm),
    heightNm: Math.min(Math.round((high - low) * NM_PER_MM), sheet.heightNm),
  }));
  return nestPieces(asked, sheet);
}

/** What a start comes to, before any panel is drawn: panels bought, and joints off a joist. */
export function triedStart(plan: FloorPlan, joists: readonly CutJoist[], size: SheetDimensions, start: PanelStart) {
  const boxes = layRows(plan, size, start).map(boxRound);
  const covered = coveredBy(size, plan.choices);
  const sheet = { widthNm: Math.round(covered.alongMm * NM_PER_MM), heightNm: Math.round(covered.upMm * NM_PER_MM) };
  return { bought: new Set(sheetNumbers(boxes, sheet)).size, loose: looseJoints(boxes, joists, plan) };
}

/** Panels over the joists, cut at the outline and at openings, and the sheets that they are cut from. */
export function layFloorPanels(
  plan: FloorPlan,
  joists: readonly CutJoist[],
  size: SheetDimensions,
  start: PanelStart = panelStart(plan),
): FloorPanels {
  const corners = layRows(plan, size, start);
  const boxes = corners.map(boxRound);
  const covered = coveredBy(size, plan.choices);
  const sheet = { widthNm: Math.round(covered.alongMm * NM_PER_MM), heightNm: Math.round(covered.upMm * NM_PER_MM) };
  const numbers = sheetNumbers(boxes, sheet);
  const bought = new Set(numbers).size;
  const coverM2 = corners.reduce((sum, ring) => sum + Math.abs(areaOfRing(ring)) / MM2_PER_M2, 0);
  const spacing = plan.choices.joistSpacing / NM_PER_MM;
  return {
    pieces: corners.map((ring, index) => panelPiece(plan, ring, index, sheet, numbers[index] ?? 0)),
    bought,
    coverM2,
    offcutM2: Math.max(0, (bought * covered.alongMm * covered.upMm) / MM2_PER_M2 - coverM2),
    looseJoints: looseJoints(boxes, joists, plan),
    fixings: (edgeNm, fieldNm) =>
      boxes.reduce((sum, { left, right, low, high }) => {
        const own = { widthNm: Math.round((right - left) * NM_PER_MM), heightNm: Math.round((high - low) * NM_PER_MM) };
        return sum + fixingsInSheet(own, Math.max(0, Math.ceil((right - left) / spacing - 1e-6) - 1), edgeNm, fieldNm);
      }, 0),
  };
}

function panelPiece(
  { shape }: FloorPlan,
  ring: readonly XY[],
  index: number,
  sheet: { readonly widthNm: Nanometres; readonly heightNm: Nanometres },
  sheetNumber: number,
): SheetPiece {
  const points = ring.map(([v, u]) => shape.fromUV({ u: Math.round(u * NM_PER_MM), v: Math.round(v * NM_PER_MM) }));
  const { min, max } = boundsOf(points) ?? { min: { xNm: 0, yNm: 0 }, max: { xNm: 0, yNm: 0 } };
  const { left, right, low, high } = boxRound(ring);
  return {
    id: `panel-${index + 1}`,
    role: FLOOR_PANEL,
    ...min,
    widthNm: Math.max(1, max.xNm - min.xNm),
    heightNm: Math.max(1, max.yNm - min.yNm),
    points,
    layer: 1,
    sheet: { ...sheet, leastOffcutNm: 0 },
    sheetNumber,
    sawn: { widthNm: Math.round((right - left) * NM_PER_MM), heightNm: Math.round((high - low) * NM_PER_MM) },
    inSpace: uprightOver(points, CLEAR_NM, CLEAR_NM + THICK_NM),
  };
}
