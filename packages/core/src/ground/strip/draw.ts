import type { Drawing, ElevationDrawing, PlanFigure, PlanLabel, PlanShape } from "../../drawing/drawing";
import { between, boundsOf, headingFrom, leftOf, rightOf } from "../../geometry";
import type { PartContext } from "../../parts/partKind";
import { cornersOf } from "../../parts/walkedOutline";
import { formatLength, millimetres, type Nanometres } from "../../units";
import { type GroundChoices, groundChoicesOf } from "../choices";
import { sectionThrough } from "../section";
import { lineLetter } from "./figures";
import { stripPrisms } from "./prisms";
import type { StripFigures } from "./schema";
import { reachOf, stripOutline } from "./shape";

type Strip = StripFigures & Parameters<typeof groundChoicesOf>[0];

/** Seen from above: the footings with the wall on them, and the figures of the lines; a walk while it is not whole. */
export function drawStrip(strip: Strip, context: PartContext): Drawing {
  const outline = stripOutline(strip);
  if (!outline) {
    const points = cornersOf(strip.edges);
    const walk: PlanShape = { id: "walk", role: "walk", points, closed: false };
    const walked = points.length > 2 && strip.edges.some(({ length }) => length.valueNm !== null);
    return walked ? { kind: "plan", shapes: [walk], figures: [], labels: [] } : { kind: "none" };
  }
  const prisms = stripPrisms(strip, groundChoicesOf(strip, context.system));
  const shapesOf = (role: string, as: PlanShape["role"]) =>
    prisms
      .filter((prism) => prism.role === role)
      .map(({ id, ring }): PlanShape => ({ id, role: as, points: ring, closed: true }));
  const figures = outline.lines.flatMap(({ edge, from, to }): PlanFigure[] => {
    const heading = headingFrom(from, to);
    if (!heading) return [];
    const text = formatLength(edge.length.valueNm ?? 0, context.system);
    const name = `${lineLetter(strip, edge.id)}, length`;
    return [
      {
        id: edge.id,
        from,
        to,
        towards: rightOf(heading),
        side: "outside",
        text,
        name,
        path: `edges.${edge.id}.length`,
      },
    ];
  });
  return {
    kind: "plan",
    shapes: [...shapesOf("footing-concrete", "concrete"), ...shapesOf("stem-wall", "beam")],
    figures,
    labels: label(strip, context),
  };
}

function label(strip: Strip, { system }: PartContext): PlanLabel[] {
  const bounds = boundsOf(cornersOf(strip.edges));
  if (!bounds || !strip.closed) return [];
  const say = (nm: Nanometres | null) => formatLength(nm ?? 0, system);
  const { min, max } = bounds;
  const lines = [
    `footing ${say(strip.width.valueNm)} × ${say(strip.thickness.valueNm)}`,
    ...(strip.stem ? [`wall ${say(strip.stemWidth.valueNm)} × ${say(strip.stemHeight.valueNm)}`] : []),
  ];
  const at = { xNm: (min.xNm + max.xNm) / 2, yNm: (min.yNm + max.yNm) / 2 };
  return [{ id: "sizes", at, lines, widthNm: (max.xNm - min.xNm) * 0.7, heightNm: (max.yNm - min.yNm) * 0.5 }];
}

/** The first line cut through, by its figures and by what is chosen; undefined while the walk is not whole. */
export function stripSection(strip: Strip, { system }: PartContext): ElevationDrawing | undefined {
  const line = stripOutline(strip)?.lines[0];
  if (!line) return undefined;
  const choices: GroundChoices = groundChoicesOf(strip, system);
  const heading = leftOf(headingFrom(line.from, line.to) ?? { x: 1, y: 0 });
  const footing = reachOf(strip, strip.width.valueNm ?? 0);
  const wall = reachOf(strip, strip.stemWidth.valueNm ?? 0);
  const bottomNm = -(strip.below.valueNm ?? 0);
  const topNm = bottomNm + (strip.thickness.valueNm ?? 0);
  const stemTopNm = topNm + (strip.stemHeight.valueNm ?? 0);
  const beyondNm = Math.max(choices.workingSpace, millimetres(250));
  const say = (nm: Nanometres) => formatLength(nm, system);
  const up = (id: string, fromNm: Nanometres, toNm: Nanometres, row: number) => {
    return { id, path: id, direction: "up" as const, fromNm, toNm, row, text: say(toNm - fromNm) };
  };
  const across = (id: string, fromNm: Nanometres, toNm: Nanometres, row: number) => {
    return { id, path: id, direction: "along" as const, fromNm, toNm, row, text: say(toNm - fromNm) };
  };
  return sectionThrough(
    stripPrisms(strip, choices),
    { at: between(line.from, line.to), heading },
    { fromNm: -footing.outNm - beyondNm, toNm: footing.inNm + beyondNm },
    [
      across("width", -footing.outNm, footing.inNm, 1),
      up("thickness", bottomNm, topNm, 1),
      up("below", bottomNm, 0, 0),
      ...(strip.stem ? [across("stemWidth", -wall.outNm, wall.inNm, 2), up("stemHeight", topNm, stemTopNm, 1)] : []),
    ],
  );
}
