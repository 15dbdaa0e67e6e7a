import { groundSlot, usualGround } from "../../ground/choices";
import { GROUND_FUNCTIONS } from "../../ground/functions";
import { GROUND_ROLES } from "../../ground/roles";
import { drawStrip } from "../../ground/strip/draw";
import { lineLetter, lineName, stepName, stripDimensions, stripSetters } from "../../ground/strip/figures";
import { stripGap, stripProblems } from "../../ground/strip/problems";
import { STRIP_QUANTITIES, stripMeasures, stripQuantities } from "../../ground/strip/quantities";
import { newBase } from "../../parts/base";
import { choicePoints } from "../../parts/choicePoints";
import { assumedDimension, unmeasured } from "../../parts/dimension";
import { figurePoints } from "../../parts/openPointsOf";
import type { PartContext, PartKind } from "../../parts/partKind";
import { extentOf } from "../../parts/walkedOutline";
import { inches, millimetres } from "../../units";
import { FOOTING_PARAMETERS, type Footing, footingSchema } from "./schema";

/** A rectangle of lines that wait for a tape. Sizes are common practice, and assumed. */
function newFooting(id: string, name: string, { system }: PartContext): Footing {
  const imperial = system === "imperial";
  const of = (inch: number, mm: number) => assumedDimension(imperial ? inches(inch) : millimetres(mm));
  return {
    kind: "footing",
    schemaVersion: 1,
    ...newBase(id, name),
    edges: ["a", "b", "c", "d"].map((each) => ({ id: each, length: unmeasured, turnDegrees: 90 })),
    closed: true,
    measuredAlong: "outside",
    place: { xNm: 0, yNm: 0, turnDegrees: 0 },
    inner: [],
    steps: [],
    stem: imperial,
    width: of(20, 600),
    thickness: of(10, 225),
    below: of(40, 1000),
    stemWidth: of(8, 300),
    stemHeight: of(36, 700),
    assembly: { id: "footing", version: 1 },
    choices: {},
  };
}

export const footingKind: PartKind<Footing> = {
  kind: "footing",
  label: "Footing",
  plural: "Footings",
  order: 1,
  schema: footingSchema,
  migrations: [],
  defaults: newFooting,
  measures: stripMeasures,
  quantityNames: STRIP_QUANTITIES,
  quantities: stripQuantities,
  roles: GROUND_ROLES,
  functions: GROUND_FUNCTIONS,
  slot: groundSlot<Footing>(FOOTING_PARAMETERS, "steel, anchors, formwork, working space, rounding"),
  outline: ({ edges }) => extentOf(edges),
  draw: drawStrip,
  depthOf: () => ({ nearNm: 0, deepNm: millimetres(1) }),
  // The floor of its storey is about the ground: what stands out of it is a figure of the wall on it.
  placeOf: ({ place }) => ({ ...place, heightNm: -millimetres(150) }),
  problems: stripProblems,
  openPoints: (footing, context) => [
    ...figurePoints(stripDimensions(footing), context.system),
    ...choicePoints(footing, FOOTING_PARAMETERS, usualGround(context.system)),
    ...stripGap(footing, context.system),
  ],
  dimensions: stripDimensions,
  ...stripSetters<Footing>(),
  nameOfItem: (footing, id) => {
    if (footing.inner.some((line) => line.id === id)) return lineName(footing, id);
    if (footing.steps.some((step) => step.id === id)) return stepName(footing, id);
    return footing.edges.some((edge) => edge.id === id) ? lineLetter(footing, id) : undefined;
  },
};

export * from "./schema";
