import { type Footing, newPlateEdge, type Plate, unmeasured } from "../kinds";
import { onPlan } from "../parts/walkedOutline";
import { degreesOf, edgesOverRing, outsideRing } from "./outsideRing";
import type { StoreyPlan } from "./storeyPlan";

/**
 * A slab or a raft under the outside of a storey, where it lies on the plan. An edge that lay along the same side before keeps its toe. The same
 * one where the storey has no outside yet.
 */
export function plateUnderStorey<P extends Plate>(plate: P, storey: StoreyPlan): P {
  const ring = outsideRing(storey);
  const [first] = ring;
  if (!first) return plate;
  const edges = edgesOverRing(ring, plate.edges, onPlan(plate.edges, plate.place), newPlateEdge);
  return { ...plate, storey: storey.name, edges, place: { ...first.from, turnDegrees: degreesOf(first) } };
}

/** A footing under the outside walls of a storey; steps stay with the side they are on. */
export function footingUnderStorey(footing: Footing, storey: StoreyPlan): Footing {
  const ring = outsideRing(storey);
  const [first] = ring;
  if (!first) return footing;
  const fresh = (id: string) => ({ id, length: unmeasured, turnDegrees: 90 });
  const before = footing.closed ? onPlan(footing.edges, footing.place) : [];
  return {
    ...footing,
    storey: storey.name,
    closed: true,
    measuredAlong: "outside",
    edges: edgesOverRing(ring, footing.edges, before, fresh),
    place: { ...first.from, turnDegrees: degreesOf(first) },
  };
}
