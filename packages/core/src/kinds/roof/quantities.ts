import {
  areaQuantity,
  countQuantity,
  lengthQuantity,
  type Quantity,
  type QuantityValues,
  type RowsOfPart,
  type RowValues,
} from "../../parts/quantity";
import { toMetres } from "../../units";
import { formOf, type RoofFace, type RoofForm, type RoofLine } from "./form";
import type { SideKind } from "./overhang";
import type { Roof } from "./schema";

const MM_PER_M = 1000;

/** Metres of lines of some kinds, along them. */
export const lineMetres = ({ lines }: RoofForm, ...kinds: readonly SideKind[]): number =>
  lines.reduce((sum, line) => sum + (kinds.includes(line.kind) ? line.lengthMm : 0), 0) / MM_PER_M;

export const linesOfKind = ({ lines }: RoofForm, ...kinds: readonly SideKind[]): readonly RoofLine[] =>
  lines.filter((line) => kinds.includes(line.kind));

export const ROOF_QUANTITIES: readonly Quantity[] = [
  areaQuantity("area", "Area along the slopes"),
  areaQuantity("planArea", "Area on plan, with overhangs"),
  areaQuantity("outlineArea", "Area on plan, within the walls"),
  areaQuantity("soffitArea", "Area of the overhangs on plan"),
  areaQuantity("gableArea", "Area of gables above the plate"),
  areaQuantity("flatArea", "Area of the flat at the top"),
  lengthQuantity("eaves", "Length of eaves"),
  lengthQuantity("rakes", "Length of rakes"),
  lengthQuantity("ridges", "Length of ridges"),
  lengthQuantity("hips", "Length of hips"),
  lengthQuantity("valleys", "Length of valleys"),
  lengthQuantity("breaks", "Length where the pitch changes"),
  lengthQuantity("wallTops", "Length against walls at the top"),
  lengthQuantity("wallSides", "Length against walls at the sides"),
  countQuantity("slopeCount", "Slopes"),
  lengthQuantity("height", "Height from plate to the highest point"),
  lengthQuantity("plateHeight", "Top of the plate above the floor", "plate"),
  countQuantity("pitch", "Pitch, rise over run"),
];

/** Areas and lengths of a roof's form; nothing while it has none. */
export function roofQuantities(roof: Roof): QuantityValues {
  const formed = formOf(roof);
  if (!formed.ok) return {};
  const { form } = formed;
  const planArea = form.faces.reduce((sum, face) => sum + face.planAreaM2, 0) + form.flatAreaM2;
  return {
    area: form.faces.reduce((sum, face) => sum + face.areaM2, 0),
    planArea,
    outlineArea: form.outlineAreaM2,
    soffitArea: Math.max(0, planArea - form.outlineAreaM2),
    gableArea: form.standing.reduce((sum, face) => sum + face.areaM2, 0),
    flatArea: form.flatAreaM2,
    eaves: lineMetres(form, "eave"),
    rakes: lineMetres(form, "rake", "open"),
    ridges: lineMetres(form, "ridge"),
    hips: lineMetres(form, "hip"),
    valleys: lineMetres(form, "valley"),
    breaks: lineMetres(form, "break"),
    wallTops: lineMetres(form, "wall-top"),
    wallSides: lineMetres(form, "wall-side", "cheek"),
    slopeCount: form.faces.length,
    height: form.highestMm / MM_PER_M,
    plateHeight: toMetres(roof.plate.valueNm ?? 0),
    pitch: roof.pitch.value ?? Math.max(...form.faces.map((face) => face.pitch)),
  };
}

export const ROOF_ROWS: readonly RowsOfPart[] = [
  {
    name: "slopes",
    label: "Each slope",
    columns: [
      areaQuantity("area", "Its area along the slope"),
      areaQuantity("planArea", "Its area on plan"),
      countQuantity("pitch", "Its pitch, rise over run"),
      lengthQuantity("slopeLength", "Its length from eave to top, where it is longest"),
      lengthQuantity("slopeWidth", "Its width along the eave, where it is widest"),
      lengthQuantity("eave", "Its length of eaves"),
    ],
  },
];

/** How far a face reaches in a direction of its plan, in millimetres. */
function reachMm({ sides }: RoofFace, [x, y]: readonly [number, number]): number {
  const along = sides.map(({ from }) => from[0] * x + from[1] * y);
  return Math.max(...along) - Math.min(...along);
}

const slopeRow = (face: RoofFace): RowValues => ({
  area: face.areaM2,
  planArea: face.planAreaM2,
  pitch: face.pitch,
  slopeLength: (reachMm(face, face.form.line.normal) * Math.hypot(1, face.pitch)) / MM_PER_M,
  slopeWidth: reachMm(face, face.form.line.along) / MM_PER_M,
  eave: face.sides.reduce((sum, side) => sum + (side.kind === "eave" ? planMm(side) : 0), 0) / MM_PER_M,
});

const planMm = ({ from, to }: RoofFace["sides"][number]): number => Math.hypot(to[0] - from[0], to[1] - from[1]);

/** Each slope by itself: tiles and sheets are laid slope by slope. */
export function roofRows(roof: Roof): Readonly<Record<string, readonly RowValues[]>> {
  const formed = formOf(roof);
  return { slopes: formed.ok ? formed.form.faces.map(slopeRow) : [] };
}
