import type { Drawing, PlanFigure, PlanLabel, PlanShape } from "../../drawing/drawing";
import { along, boundsOf, headingFrom, rightOf } from "../../geometry";
import type { PartContext } from "../../parts/partKind";
import { cornersOf, edgeLetter } from "../../parts/walkedOutline";
import { formatLength } from "../../units";
import { ribName } from "./figures";
import { hasBeams, type Plate } from "./schema";
import { type BeamOnPlan, type PlateShape, plateShape } from "./shape";

const beamShapes = (role: "edge-beam" | "rib", beams: readonly BeamOnPlan[]): PlanShape[] =>
  beams.flatMap(({ id, rings }) =>
    rings.map((points, index): PlanShape => {
      const suffix = rings.length > 1 ? `-${index + 1}` : "";
      return { id: `${role}-${id}${suffix}`, role: "beam", points, closed: true };
    }),
  );

function edgeFigures(plate: Plate, shape: PlateShape, { system }: PartContext): PlanFigure[] {
  return shape.edges.flatMap(({ edge, from, to }): PlanFigure[] => {
    const heading = headingFrom(from, to);
    if (!heading) return [];
    // Beyond the toe, so that the figure does not lie over it.
    const toeNm = shape.toes.some(({ edgeId }) => edgeId === edge.id) ? (plate.toeWidth.valueNm ?? 0) : 0;
    const beyond = (point: typeof from) => along(point, rightOf(heading), toeNm);
    return [
      {
        id: edge.id,
        from: beyond(from),
        to: beyond(to),
        towards: rightOf(heading),
        side: "outside",
        text: formatLength(edge.length.valueNm ?? 0, system),
        name: `Edge ${edgeLetter(plate.edges, edge.id)}, length`,
        path: `edges.${edge.id}.length`,
      },
    ];
  });
}

/** What is said on the plan: how thick the slab is, how wide and deep the beams are. */
function labels(plate: Plate, shape: PlateShape, { system }: PartContext): PlanLabel[] {
  const bounds = boundsOf(shape.polygon);
  if (!bounds) return [];
  const say = (nm: number | null) => formatLength(nm ?? 0, system);
  const [wide, high] = [bounds.max.xNm - bounds.min.xNm, bounds.max.yNm - bounds.min.yNm];
  const beams = hasBeams(plate) ? [`beams ${say(plate.beamWidth.valueNm)} × ${say(plate.beamDepth.valueNm)}`] : [];
  const ribs = plate.ribs.map(
    (rib) => `${ribName(plate, rib.id)} ${say(rib.width.valueNm)} × ${say(rib.depth.valueNm)}`,
  );
  const middle = { xNm: (bounds.min.xNm + bounds.max.xNm) / 2, yNm: bounds.min.yNm + high / 4 };
  const lines = [`slab ${say(plate.thickness.valueNm)}`, ...beams, ...ribs];
  return [{ id: "sizes", at: middle, lines, widthNm: wide * 0.7, heightNm: high * 0.45 }];
}

/** Seen from above: the concrete with its beams and its toe, and its figures; a walk while it does not close. */
export function drawPlate(plate: Plate, context: PartContext): Drawing {
  const shape = plateShape(plate);
  if (!shape) {
    const points = cornersOf(plate.edges);
    const walked = points.length > 2 && plate.edges.some(({ length }) => length.valueNm !== null);
    const walk: PlanShape = { id: "walk", role: "walk", points, closed: false };
    return walked ? { kind: "plan", shapes: [walk], figures: [], labels: [] } : { kind: "none" };
  }
  const toes = shape.toes.map(({ edgeId, ring }): PlanShape => {
    return { id: `toe-${edgeId}`, role: "concrete", points: ring, closed: true };
  });
  return {
    kind: "plan",
    shapes: [
      { id: "slab", role: "concrete", points: shape.polygon, closed: true },
      ...toes,
      ...beamShapes("edge-beam", shape.edgeBeams),
      ...beamShapes("rib", shape.ribs),
    ],
    figures: edgeFigures(plate, shape, context),
    labels: labels(plate, shape, context),
  };
}
