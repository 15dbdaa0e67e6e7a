import { areaQuantity, countQuantity, lengthQuantity, type Quantity, type QuantityValues } from "../../parts/quantity";
import { toMetres } from "../../units";
import { formOf, type RoofForm, type RoofLine } from "./form";
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
  countQuantity("slopes", "Slopes"),
  lengthQuantity("height", "Height from plate to the highest point"),
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
    slopes: form.faces.length,
    height: form.highestMm / MM_PER_M,
    pitch: roof.pitch.value ?? Math.max(...form.faces.map((face) => face.pitch)),
  };
}

export const outlineMetres = (roof: Roof): number =>
  toMetres(roof.edges.reduce((sum, { length }) => sum + (length.valueNm ?? 0), 0));
