import type { Drawing, PlanFigure, PlanLabel, PlanShape } from "../drawing/drawing";
import { boundsOf, headingFrom, rightOf } from "../geometry";
import type { PartContext } from "../parts/partKind";
import { cornersOf, edgeLetter } from "../parts/walkedOutline";
import { formatLength, metres, millimetres } from "../units";
import { joistChoicesOf } from "./choices";
import { floorOpeningName, spotName } from "./figures";
import type { FloorOpening, Joisted } from "./schema";
import { type Area, cornersOfArea, type JoistShape, joistShape, openingArea, spotPlace } from "./shape";

function edgeFigures(part: Joisted, shape: JoistShape, { system }: PartContext): PlanFigure[] {
  return shape.placed.flatMap(({ edge, from, to }): PlanFigure[] => {
    const heading = headingFrom(from, to);
    if (!heading) return [];
    return [
      {
        id: edge.id,
        from,
        to,
        towards: rightOf(heading),
        side: "outside",
        text: `${edgeLetter(part.edges, edge.id)}  ${formatLength(edge.length.valueNm ?? 0, system)}`,
        name: `Edge ${edgeLetter(part.edges, edge.id)}, length`,
        path: `edges.${edge.id}.length`,
      },
    ];
  });
}

const drawnOpenings = (part: Joisted, context: PartContext): { opening: FloorOpening; area: Area }[] =>
  part.openings.flatMap((opening) => {
    const area = openingArea(opening, part, joistChoicesOf(part, context.system));
    return area ? [{ opening, area }] : [];
  });

function openingLabels(part: Joisted, shape: JoistShape, context: PartContext): PlanLabel[] {
  return drawnOpenings(part, context).flatMap(({ opening, area }): PlanLabel[] => {
    const bounds = boundsOf(cornersOfArea(area, shape));
    if (!bounds) return [];
    const { min, max } = bounds;
    const [widthNm, heightNm] = [max.xNm - min.xNm, max.yNm - min.yNm];
    const at = { xNm: min.xNm + widthNm / 2, yNm: min.yNm + heightNm / 2 };
    return [{ id: `name-${opening.id}`, at, lines: [floorOpeningName(part, opening.id) ?? ""], widthNm, heightNm }];
  });
}

/** What a spot is called is written beside it, in so much room. */
const SPOT_LABEL = { widthNm: metres(1.2), heightNm: millimetres(400) };

/** What stands at places of its own, by its kind. */
const spotLabels = (part: Joisted, { fromUV }: JoistShape): PlanLabel[] =>
  part.spots.flatMap((spot): PlanLabel[] => {
    const place = spotPlace(spot, part);
    if (!place) return [];
    const { xNm, yNm } = fromUV(place);
    // Above it, so that it is seen itself.
    const at = { xNm, yNm: yNm + SPOT_LABEL.heightNm / 2 };
    return [{ id: `name-${spot.id}`, at, lines: [spotName(part, spot.id) ?? ""], ...SPOT_LABEL }];
  });

/** Seen from above: the outline with its openings and figures; a walk while it does not close. */
export function drawJoisted(part: Joisted, context: PartContext): Drawing {
  const shape = joistShape(part);
  if (!shape) {
    const points = cornersOf(part.edges);
    const walked = points.length > 2 && part.edges.some(({ length }) => length.valueNm !== null);
    const walk: PlanShape = { id: "walk", role: "walk", points, closed: false };
    return walked ? { kind: "plan", shapes: [walk], figures: [], labels: [] } : { kind: "none" };
  }
  const openings = drawnOpenings(part, context).map(({ opening, area }): PlanShape => {
    return { id: opening.id, role: "opening", points: cornersOfArea(area, shape), closed: true };
  });
  return {
    kind: "plan",
    shapes: [{ id: "floor", role: "slope", points: shape.polygon, closed: true }, ...openings],
    figures: edgeFigures(part, shape, context),
    labels: [...openingLabels(part, shape, context), ...spotLabels(part, shape)],
  };
}
