import { boundsOf, type Point } from "../../geometry";
import { isAssumed } from "../../parts/choicesSlot";
import { figurePoints, pointsOfFigures } from "../../parts/openPointsOf";
import type { OpenPoint, PartContext, PartKind } from "../../parts/partKind";
import { courtyardName } from "./courtyards";
import { drawRoof } from "./draw";
import { roofDimensions, roofFigures, withRoofFigure, withRoofLength, withRoofRefused } from "./figures";
import { ROOF_FUNCTIONS } from "./functions";
import { roofMeasures } from "./measures";
import { edgeName, walkedCorners } from "./outline";
import { choicesOf, ROOF_PARAMETERS } from "./parameters";
import { outlineGap, roofProblems } from "./problems";
import { ROOF_QUANTITIES, ROOF_ROWS, roofQuantities, roofRows } from "./quantities";
import { ROOF_ROLES } from "./roles";
import { type Roof, roofSchema } from "./schema";
import { roofSkin } from "./skin";
import { roofSlot } from "./slot";
import { newRoof } from "./starts";

const SAID: Readonly<Record<string, string>> = {
  rafterSection: "The timber of the rafters is assumed",
  rafterSpacing: "The spacing of the rafters is assumed",
  gableStuds: "Whether gables are framed with the roof, or with the walls below, is assumed",
};

/** What is asked for comes to something: who frames the gables, where there are any. */
const isAsked = (roof: Roof, name: string): boolean =>
  name !== "gableStuds" || roof.edges.some(({ end }) => end === "gable" || end === "half-hip");

const choicePoints = (roof: Roof): OpenPoint[] =>
  ROOF_PARAMETERS.filter(({ asked, name }) => asked && isAssumed(roof, name) && isAsked(roof, name)).map(
    ({ name, path, label }) => ({
      path,
      kind: "assumed",
      message: SAID[name] ?? `${label} is assumed`,
    }),
  );

function extentOf(roof: Roof) {
  const bounds = boundsOf(walkedCorners(roof.edges));
  if (!bounds) return { xNm: 0, yNm: 0, widthNm: 0, heightNm: 0 };
  const size = (of: (point: Point) => number) => of(bounds.max) - of(bounds.min);
  return { ...bounds.min, widthNm: size(({ xNm }) => xNm), heightNm: size(({ yNm }) => yNm) };
}

const openPoints = (roof: Roof, context: PartContext): OpenPoint[] => [
  ...figurePoints(roofDimensions(roof), context.system),
  ...pointsOfFigures(
    roofFigures(roof).filter(({ measure }) => measure === "pitch"),
    context.system,
  ),
  ...choicePoints(roof),
  ...outlineGap(roof, context.system),
];

/** A pitched roof: an outline whose edges slope or stand. */
export const roofKind: PartKind<Roof> = {
  kind: "roof",
  // An outline of many edges, each with its own, and what is in its slopes.
  mostBytes: 256 * 1024,
  label: "Roof",
  plural: "Roofs",
  order: 1,
  schema: roofSchema,
  migrations: [
    // Eaves in one line always had a step between unequal pitches.
    { to: 2, name: "edges-in-line", up: (roof) => ({ ...roof, inLine: "step" }) },
  ],
  defaults: newRoof,
  measures: roofMeasures,
  quantityNames: ROOF_QUANTITIES,
  quantities: roofQuantities,
  rows: ROOF_ROWS,
  rowsOf: roofRows,
  roles: ROOF_ROLES,
  functions: ROOF_FUNCTIONS,
  slot: roofSlot(),
  outline: extentOf,
  draw: drawRoof,
  placeOf: ({ place, plate }) => ({ ...place, heightNm: plate.valueNm ?? 0 }),
  skin: roofSkin,
  depthOf: (roof, _piece, { sections, system }) => {
    const deepNm = sections[choicesOf(roof, system).rafterSection]?.thicknessNm ?? 1;
    return { nearNm: -deepNm / 2, deepNm };
  },
  problems: roofProblems,
  openPoints,
  dimensions: roofDimensions,
  withDimension: withRoofLength,
  withRefused: withRoofRefused,
  figures: roofFigures,
  withFigure: withRoofFigure,
  withReferences: (roof, renamed) =>
    roof.beside ? { ...roof, beside: { ...roof.beside, roofId: renamed(roof.beside.roofId) } } : roof,
  nameOfItem: (roof, id) => {
    if (roof.edges.some((edge) => edge.id === id)) return edgeName(roof, id);
    if (roof.courtyards.some((court) => court.id === id)) return courtyardName(roof, id);
    return roof.features.find((feature) => feature.id === id)?.name;
  },
};

export { betweenPoints, nearestRoofPoint, type RoofPoint, roofPoints } from "./check";
export { courtyardName, MOST_COURTYARDS, withCourtyard, withoutCourtyard } from "./courtyards";
export {
  withBeside,
  withEdgeAfter,
  withEdgeEnd,
  withEdgeOwn,
  withEdgeTurn,
  withFlat,
  withHipBy,
  withMeeting,
  withoutBeside,
  withoutBreak,
  withoutEdge,
  withoutFlat,
  withTwoPitches,
} from "./edges";
export {
  FEATURE_FIGURES as ROOF_FEATURE_FIGURES,
  FEATURE_KINDS as ROOF_FEATURE_KINDS,
  type FeatureKind as RoofFeatureKind,
  MOST_FEATURES as MOST_ROOF_FEATURES,
  type RoofFeature,
} from "./features/schema";
export { newFeature as newRoofFeature } from "./features/starts";
export { formOf, ownFormOf, toMm } from "./form";
export * from "./formTypes";
export { roofInPlaceOf } from "./fromListed";
export { type HalfHip, halfHipOf } from "./halfHip";
export { overhangsOf as overhangsOfRoof, planesOf as planesOfRoof } from "./meeting/planes";
export { reachBeyond as roofReachBeyond } from "./meeting/runOn";
export type { Meets, Neighbour, PlaneOver } from "./meeting/types";
export {
  edgeName as roofEdgeName,
  enteredPitch as enteredRoofPitch,
  inLineWith as roofEdgesInLineWith,
  outlineOfRoof,
  type RoofEdgeOnPlan as PlacedRoofEdge,
  roofOutlineOnPlan,
  slopeOf as slopeOfEdge,
} from "./outline";
export { choicesOf as roofChoicesOf } from "./parameters";
export { fasciasApart } from "./problems";
export { RAFTER_ROLES } from "./roles";
export {
  EDGE_ENDS,
  type EdgeEnd,
  IN_LINE,
  type InLine,
  MOST_EDGES,
  type Roof,
  type RoofEdge,
  runsIntoRoof,
} from "./schema";
export { newEdge as newRoofEdge, ROOF_SHAPES, type RoofShape, SHAPE_WORDS, withShape } from "./starts";
