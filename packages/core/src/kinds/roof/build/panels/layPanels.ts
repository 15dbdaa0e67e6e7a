import { fixingsInSheet, type SheetDimensions } from "../../../../assemblies";
import type { PlanShape } from "../../../../drawing/drawing";
import type { SheetPiece } from "../../../../drawing/piece";
import { areaOfRing, type XY, type XYZ } from "../../../../geometry/skeleton";
import { nestPieces } from "../../../../layouts";
import { layInCourses, type OutlineSheet } from "../../../../layouts/sheets/overOutline";
import { type Nanometres, NM_PER_MM, toMetres } from "../../../../units";
import type { RoofFace, RoofForm } from "../../form";
import { frameOfSlope } from "../../skin";
import { inFace, layoutStarts } from "../rafters";
import { boxed, turnedInto } from "./turned";

export const PANEL_ROLE = "roof-panel";

export type PanelOptions = {
  readonly size: SheetDimensions;
  readonly spacingMm: number;
  readonly fromEnd: boolean;
  /** The underside of panels over the plane of a slope, square to it. */
  readonly overMm: (face: RoofFace) => number;
};

/** A panel with where its rafters are counted from. */
export type LaidPanels = {
  readonly pieces: readonly SheetPiece[];
  /** Of each of them, the slope it lies on. */
  readonly slopes: readonly string[];
  /** Whole sheets that they are cut from. */
  readonly bought: number;
  readonly coverM2: number;
  readonly fixings: (edgeNm: Nanometres, fieldNm: Nanometres) => number;
};

const THICK_M = 0.018;
/** Drawn clear of the timber below, so that neither shows through the other. */
const CLEAR_M = 0.006;
const MM_PER_M = 1000;
const MM2_PER_M2 = 1e6;
const nm = (mm: number): Nanometres => Math.round(mm * NM_PER_MM);

/** A slope flattened: along its foot, and up along it from the line its plane rises from. */
function flattened(face: RoofFace, ring: readonly { readonly from: XYZ }[]): XY[] {
  const secant = Math.hypot(1, face.pitch);
  return ring.map(({ from }) => {
    const [along, into] = inFace(face, from);
    return [along, into * secant];
  });
}

type OnSlope = OutlineSheet & { readonly face: RoofFace; readonly id: string; readonly startMm: number };

/** A flat at the top is a slope of no pitch. */
function onSlopes(form: RoofForm, { size, fromEnd }: PanelOptions): OnSlope[] {
  const sheet = { alongMm: size.heightNm / NM_PER_MM, upMm: size.widthNm / NM_PER_MM };
  const startOf = layoutStarts(form, fromEnd);
  return form.faces.flatMap((face) => {
    const rings = [face.sides, ...face.carried.map(({ ring }) => ring)].map((ring) => flattened(face, ring));
    const holes = face.holes.map(({ ring }) => flattened(face, ring));
    const startMm = startOf(face);
    return layInCourses(rings, holes, { fromMm: startMm }, sheet).map((laid, index) => {
      return { ...laid, face, startMm, id: `panel-${face.id}-${index + 1}` };
    });
  });
}

function supportsInside({ corners, startMm }: OnSlope, spacingMm: number): number {
  const xs = corners.map(([x]) => x - startMm);
  const first = Math.floor(Math.min(...xs) / spacingMm + 1e-6) + 1;
  const last = Math.ceil(Math.max(...xs) / spacingMm - 1e-6) - 1;
  return Math.max(0, last - first + 1);
}

/** Panels over every slope of a roof, in courses from its foot, and the sheets they are cut from. */
export function layPanels(form: RoofForm, options: PanelOptions): LaidPanels {
  const { size, spacingMm, overMm } = options;
  const onSlope = onSlopes(form, options);
  const boxes = onSlope.map(({ corners }) => boxed(corners));
  const lying = { widthNm: size.heightNm, heightNm: size.widthNm };
  const sawn = turnedInto(boxes, { wide: lying.widthNm / NM_PER_MM, high: lying.heightNm / NM_PER_MM });
  const asked = boxes.map((box, index) => {
    const how = sawn[index];
    return how?.how === "first"
      ? { widthNm: nm(how.wideMm), heightNm: nm(how.highMm) }
      : { widthNm: nm(box.wideMm), heightNm: nm(box.highMm) };
  });
  const owned = sawn.flatMap((how, index) => (how.how === "second" ? [] : [index]));
  const within = (each: { widthNm: Nanometres; heightNm: Nanometres }) => ({
    widthNm: Math.min(each.widthNm, lying.widthNm),
    heightNm: Math.min(each.heightNm, lying.heightNm),
  });
  const nested = nestPieces(
    owned.map((index) => within(asked[index] ?? lying)),
    lying,
  );
  const numbers = new Map(owned.map((index, place) => [index, nested[place] ?? 0]));
  const pieces = onSlope.map((laid, index): SheetPiece => {
    const how = sawn[index];
    const number = numbers.get(how?.how === "second" ? how.ofIndex : index) ?? 0;
    return pieceOf(
      laid,
      { ...within(asked[index] ?? lying), sheet: { ...lying, leastOffcutNm: 0 }, number, how: how?.how ?? "alone" },
      overMm(laid.face),
    );
  });
  return {
    pieces,
    slopes: onSlope.map(({ face }) => face.id),
    bought: new Set(nested).size,
    coverM2: onSlope.reduce((sum, { corners }) => sum + Math.abs(areaOfRing(corners)) / MM2_PER_M2, 0),
    fixings: (edgeNm, fieldNm) =>
      onSlope.reduce((sum, laid, index) => {
        const box = boxes[index];
        const own = { widthNm: nm(box?.wideMm ?? 0), heightNm: nm(box?.highMm ?? 0) };
        return sum + fixingsInSheet(own, supportsInside(laid, spacingMm), edgeNm, fieldNm);
      }, 0),
  };
}

type Cut = {
  readonly widthNm: Nanometres;
  readonly heightNm: Nanometres;
  readonly sheet: SheetPiece["sheet"];
  readonly number: number;
  readonly how: "alone" | "first" | "second";
};

function pieceOf(
  { corners, face, id }: OnSlope,
  { widthNm, heightNm, sheet, number, how }: Cut,
  overMm: number,
): SheetPiece {
  const points = corners.map(([x, y]) => ({ xNm: nm(x), yNm: nm(y) }));
  const [xs, ys] = [points.map(({ xNm }) => xNm), points.map(({ yNm }) => yNm)];
  const [xNm, yNm] = [Math.min(...xs), Math.min(...ys)];
  const own = { widthNm: Math.max(1, Math.max(...xs) - xNm), heightNm: Math.max(1, Math.max(...ys) - yNm) };
  return {
    id,
    role: PANEL_ROLE,
    layer: 1,
    sheet,
    sheetNumber: number,
    xNm,
    yNm,
    ...own,
    points,
    sawn: how === "alone" ? undefined : how === "second" ? "with-another" : { widthNm, heightNm },
    inSpace: {
      frame: frameOfSlope(face),
      outline: points.map((point) => [toMetres(point.xNm), toMetres(point.yNm)]),
      nearM: overMm / MM_PER_M + CLEAR_M,
      depthM: THICK_M,
    },
  };
}

/** The panels as they are seen from above. */
export function panelShapes({ faces }: RoofForm, { pieces, slopes }: LaidPanels): PlanShape[] {
  const byId = new Map(faces.map((face) => [face.id, face]));
  return pieces.flatMap(({ id, points = [] }, index): PlanShape[] => {
    const face = byId.get(slopes[index] ?? "");
    if (!face) return [];
    const { along, normal, offsetMm } = face.form.line;
    const secant = Math.hypot(1, face.pitch);
    const places = points.map(({ xNm, yNm }) => {
      const into = offsetMm * NM_PER_MM + yNm / secant;
      return {
        xNm: nm((along[0] * xNm + normal[0] * into) / NM_PER_MM),
        yNm: nm((along[1] * xNm + normal[1] * into) / NM_PER_MM),
      };
    });
    return [{ id, role: "panel", points: places, closed: true }];
  });
}
