import type { Drawing, PlanLabel, PlanShape } from "../../drawing/drawing";
import { boundsOf } from "../../geometry";
import { drawJoisted } from "../../joists/draw";
import { joistShape } from "../../joists/shape";
import type { PartContext } from "../../parts/partKind";
import { deckChoicesOf } from "./choices";
import type { Deck } from "./schema";
import { flightsOf } from "./stairs";

/** Seen from above: as anything of joists is drawn, with its stairs beside it. */
export function drawDeck(deck: Deck, context: PartContext): Drawing {
  const drawing = drawJoisted(deck, context);
  const shape = joistShape(deck);
  if (drawing.kind !== "plan" || !shape) return drawing;
  const flights = flightsOf(deck, deckChoicesOf(deck, context.system)).filter(({ treads }) => treads > 0);
  const drawn = flights.map(({ stair, name, side, alongNm, widthNm, runNm }) => {
    const points = [
      side.at(alongNm, 0),
      side.at(alongNm + widthNm, 0),
      side.at(alongNm + widthNm, runNm),
      side.at(alongNm, runNm),
    ].map(shape.fromUV);
    return {
      shape: { id: stair.id, role: "slope", points, closed: true } satisfies PlanShape,
      name,
      points,
      side,
      alongNm,
      widthNm,
      runNm,
    };
  });
  const labels = drawn.flatMap(({ shape: { id }, name, points, side, alongNm, widthNm: wide, runNm }): PlanLabel[] => {
    const bounds = boundsOf(points);
    if (!bounds) return [];
    const { min, max } = bounds;
    const [widthNm, heightNm] = [max.xNm - min.xNm, max.yNm - min.yNm];
    // Towards its foot: the figure of its side is written over its head.
    const at = side.at(alongNm + wide / 2, runNm * 0.7);
    return [{ id: `name-${id}`, at: shape.fromUV(at), lines: [name], widthNm, heightNm }];
  });
  return {
    ...drawing,
    shapes: [...drawing.shapes, ...drawn.map((each) => each.shape)],
    labels: [...drawing.labels, ...labels],
  };
}
