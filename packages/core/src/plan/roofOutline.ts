import { assumedDimension, newRoofEdge, type Roof, roofOutlineOnPlan, withoutBeside } from "../kinds";
import { ceilingOf } from "./levels";
import { degreesOf, edgesOverRing, outsideRing } from "./outsideRing";
import type { StoreyPlan } from "./storeyPlan";

/** Where nobody measured the plate it is as high as the storey's highest level ceiling. */
function plateOver(roof: Roof, storey: StoreyPlan): Roof["plate"] {
  const ceilings = storey.rooms.flatMap(({ room }) => ceilingOf(room));
  return roof.plate.assumed && ceilings.length > 0 ? assumedDimension(Math.max(...ceilings)) : roof.plate;
}

/**
 * The roof over the outside of a storey, on that storey and where it lies on the plan. An edge that lay along the same side before keeps how it ends, its
 * pitch and its overhang; the others are eaves. The same roof where the storey has no outside yet.
 */
export function roofOverStorey(roof: Roof, storey: StoreyPlan): Roof {
  const ring = outsideRing(storey);
  const [first] = ring;
  if (!first) return roof;
  const edges = edgesOverRing(ring, roof.edges, roofOutlineOnPlan(roof), (id) => newRoofEdge(id, "eave"));
  return {
    ...withoutBeside(roof),
    storey: storey.name,
    plate: plateOver(roof, storey),
    meetsOthers: true,
    edges,
    place: { ...first.from, turnDegrees: degreesOf(first) },
  };
}
