import { choicePoints } from "../../parts/choicePoints";
import { assumedDimension, unmeasured } from "../../parts/dimension";
import { gapPoint } from "../../parts/gapPoint";
import { figurePoints } from "../../parts/openPointsOf";
import type { PartContext, PartKind } from "../../parts/partKind";
import type { SlotParameter } from "../../parts/slot";
import { edgeLetter, extentOf } from "../../parts/walkedOutline";
import { inches, millimetres } from "../../units";
import { type GroundChoices, groundSlot, usualGround } from "../choices";
import { GROUND_FUNCTIONS } from "../functions";
import { GROUND_ROLES } from "../roles";
import { drawPlate } from "./draw";
import { plateDimensions, plateSetters, ribName } from "./figures";
import { plateProblems } from "./problems";
import { PLATE_QUANTITIES, plateMeasures, plateQuantities } from "./quantities";
import type { Plate, PlateEdge } from "./schema";

export const newPlateEdge = (id: string): PlateEdge => ({ id, length: unmeasured, turnDegrees: 90, toe: false });

/** What a new one begins with: a rectangle whose sides wait for a tape. Sizes are common practice, and assumed. */
export const newPlate = ({ system }: PartContext) => {
  const imperial = system === "imperial";
  const of = (inch: number, mm: number) => assumedDimension(imperial ? inches(inch) : millimetres(mm));
  return {
    edges: ["a", "b", "c", "d"].map(newPlateEdge),
    place: { xNm: 0, yNm: 0, turnDegrees: 0 },
    top: of(6, 150),
    thickness: of(4, 150),
    beamWidth: of(12, 450),
    beamDepth: of(16, 450),
    toeWidth: of(6, 150),
    toeDepth: of(8, 200),
    choices: {},
  };
};

/** What slabs and rafts answer alike; what differs is their schema, their name and the choices they offer. */
export function plateKindFields<P extends Plate>(
  parameters: readonly SlotParameter[],
  moreWords: string,
): Omit<PartKind<P>, "kind" | "label" | "plural" | "schema" | "migrations" | "defaults"> {
  return {
    order: 1,
    measures: plateMeasures,
    quantityNames: PLATE_QUANTITIES,
    quantities: plateQuantities,
    roles: GROUND_ROLES,
    functions: GROUND_FUNCTIONS,
    slot: groundSlot<P & { readonly settled?: { choices: GroundChoices; assumed: ReadonlySet<string> } }>(
      parameters,
      moreWords,
    ),
    outline: ({ edges }) => extentOf(edges),
    draw: drawPlate,
    depthOf: () => ({ nearNm: 0, deepNm: millimetres(1) }),
    // The floor of its storey is the top of the slab.
    placeOf: ({ place, top }) => ({ ...place, heightNm: -(top.valueNm ?? 0) }),
    problems: plateProblems,
    openPoints: (plate, context) => [
      ...figurePoints(plateDimensions(plate), context.system),
      ...choicePoints(plate, parameters, usualGround(context.system)),
      ...gapPoint(plate.edges, context.system),
    ],
    dimensions: plateDimensions,
    ...plateSetters<P>(),
    nameOfItem: (plate, id) => {
      if (plate.ribs.some((rib) => rib.id === id)) return ribName(plate, id);
      return plate.edges.some((edge) => edge.id === id) ? `Edge ${edgeLetter(plate.edges, id)}` : undefined;
    },
  };
}
