import { polygonArea } from "../../geometry";
import { intersectArea } from "../../geometry/grid";
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
import { joinedLines } from "./assemble";
import type { FeatureKind } from "./features/schema";
import { formOf, type PlacedFeature, type RoofFace, type RoofForm, type RoofLine } from "./form";
import { polygonOf, ringsOf } from "./meeting/planes";
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
  areaQuantity("deckArea", "The same with what lies below a roof that runs up over it"),
  areaQuantity("innerArea", "Area along the slopes within the walls: what is lined from below"),
  countQuantity("laidOut", "1 where panels are laid out slope by slope, 0 where the roof is known by totals"),
  areaQuantity("planArea", "Area on plan, with overhangs"),
  areaQuantity("outlineArea", "Area on plan, within the walls"),
  areaQuantity("soffitArea", "Area of the overhangs on plan"),
  areaQuantity("gableArea", "Area of gables above the plate"),
  areaQuantity("dormerWallArea", "Area of the walls of dormers"),
  countQuantity("dormers", "Dormers"),
  countQuantity("roofWindows", "Roof windows"),
  countQuantity("chimneys", "Chimneys"),
  countQuantity("saddles", "Chimneys wide enough for a saddle"),
  lengthQuantity("openingRims", "Round roof windows and chimneys, along the slope"),
  lengthQuantity("chimneyRims", "Round chimneys, along the slope"),
  lengthQuantity("dormerRims", "Along the foot of the walls of dormers"),
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

const areaOfWalls = ({ standing }: RoofForm, ofDormers: boolean): number =>
  standing.reduce((sum, face) => sum + ((face.dormerId !== undefined) === ofDormers ? face.areaM2 : 0), 0);

/** A chimney wider than this across the slope gets a saddle behind it: 30 in, IRC R1003.20 (from memory). */
const SADDLE_FROM_MM = 762;

function featureQuantities({ features, standing }: RoofForm): QuantityValues {
  const of = (kind: FeatureKind) => features.filter(({ feature }) => feature.kind === kind);
  const rim = ({ fromU, toU, fromD, toD, face }: PlacedFeature) =>
    (2 * (toU - fromU) + 2 * (toD - fromD) * Math.hypot(1, face.pitch)) / MM_PER_M;
  const openings = [...of("roof-window"), ...of("chimney")];
  const feet = standing.flatMap(({ dormerId, form }) =>
    dormerId === undefined ? [] : (form.rings[0]?.slice(0, 1) ?? []),
  );
  return {
    dormers: of("gable-dormer").length + of("shed-dormer").length,
    roofWindows: of("roof-window").length,
    chimneys: of("chimney").length,
    saddles: of("chimney").filter(({ fromU, toU }) => toU - fromU > SADDLE_FROM_MM).length,
    openingRims: openings.reduce((sum, each) => sum + rim(each), 0),
    chimneyRims: of("chimney").reduce((sum, each) => sum + rim(each), 0),
    dormerRims:
      feet.reduce((sum, { from: a, to: b }) => sum + Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]), 0) / MM_PER_M,
  };
}

/** A slope within the line of the walls, less what is cut out of it. */
function innerM2({ wallSides, holes, pitch }: RoofFace): number {
  const rings = ringsOf(wallSides).map(polygonOf);
  const whole = rings.reduce((sum, ring) => sum + polygonArea(ring), 0);
  const out = holes.reduce((sum, hole) => {
    const cut = polygonOf(hole.ring);
    return sum + rings.reduce((area, ring) => area + intersectArea(ring, cut), 0);
  }, 0);
  return Math.max(0, whole - out) * Math.hypot(1, pitch);
}

/** Areas and lengths of a roof's form; nothing while it has none. */
export function roofQuantities(roof: Roof): QuantityValues {
  const formed = formOf(roof);
  if (!formed.ok) return {};
  const { form } = formed;
  const below = (face: RoofFace) => face.covered.reduce((sum, each) => sum + each.planAreaM2, 0);
  const planArea = form.faces.reduce((sum, face) => sum + face.planAreaM2 + below(face), 0) + form.flatAreaM2;
  return {
    area: form.faces.reduce((sum, face) => sum + face.areaM2, 0),
    deckArea: form.faces.reduce((sum, face) => sum + face.areaM2 + below(face) * Math.hypot(1, face.pitch), 0),
    innerArea: form.faces.reduce((sum, face) => sum + innerM2(face), 0),
    laidOut: 1,
    planArea,
    outlineArea: form.outlineAreaM2,
    soffitArea: Math.max(0, planArea - form.outlineAreaM2),
    gableArea: areaOfWalls(form, false),
    dormerWallArea: areaOfWalls(form, true),
    ...featureQuantities(form),
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
  {
    name: "eaveRuns",
    label: "Each eave from end to end",
    columns: [lengthQuantity("runLength", "Its length")],
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

/** Each slope by itself, as tiles and sheets are laid slope by slope; each eave, as a gutter runs and falls by itself. */
export function roofRows(roof: Roof): Readonly<Record<string, readonly RowValues[]>> {
  const formed = formOf(roof);
  if (!formed.ok) return { slopes: [], eaveRuns: [] };
  const runs = joinedLines(linesOfKind(formed.form, "eave"), "eave");
  return {
    slopes: formed.form.faces.map(slopeRow),
    eaveRuns: runs.map(({ lengthMm }) => ({ runLength: lengthMm / MM_PER_M })),
  };
}
