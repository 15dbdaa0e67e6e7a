import type { Drawing, PlanDrawing, PlanFigure, PlanLabel, PlanRole, PlanShape } from "../../drawing/drawing";
import { along, headingFrom, type Point, rightOf } from "../../geometry";
import type { XYZ } from "../../geometry/skeleton";
import type { PartContext } from "../../parts/partKind";
import { formatLength, NM_PER_MM, pitchWays } from "../../units";
import { isDormer } from "./features/schema";
import { formOf, type RoofFace, type RoofForm } from "./form";
import { edgeName, outlineOfRoof, slopeOf, walkedCorners } from "./outline";
import type { SideKind } from "./overhang";
import type { Roof } from "./schema";

export const pointOf = ([x, y]: XYZ | readonly [number, number]): Point => ({
  xNm: Math.round(x * NM_PER_MM),
  yNm: Math.round(y * NM_PER_MM),
});

const LINE_ROLES: Partial<Record<SideKind, PlanRole>> = {
  ridge: "ridge",
  hip: "ridge",
  break: "ridge",
  valley: "valley",
  "wall-top": "footprint",
  "wall-side": "footprint",
  cheek: "valley",
};

const slopeShape = (face: RoofFace): PlanShape => ({
  id: face.id,
  role: "slope",
  points: face.sides.map(({ from }) => pointOf(from)),
  closed: true,
});

const ringShape = (id: string, role: PlanRole, ring: readonly { readonly from: XYZ }[]): PlanShape => ({
  id,
  role,
  points: ring.map(({ from }) => pointOf(from)),
  closed: true,
});

const carriedShapes = (face: RoofFace): PlanShape[] =>
  face.carried.map(({ ring }, index) => ringShape(`${face.id}/carried-${index + 1}`, "slope", ring));

/** What another roof lies over. */
const coveredShapes = (face: RoofFace): PlanShape[] =>
  face.covered.flatMap(({ by, rings }, index) =>
    rings.map((points, nth): PlanShape => {
      return { id: `covered/${face.id}/${by}/${index}-${nth}`, role: "wall-line", points, closed: true };
    }),
  );
/** Openings in slopes by their own figures: a notch is not drawn out past the eave that it takes away. */
const featureShapes = ({ features }: RoofForm): PlanShape[] =>
  features
    .filter(({ feature }) => !isDormer(feature) && feature.kind !== "carried-eave")
    .map(({ feature, fromU, toU, fromD, toD, at }) => ({
      id: feature.id,
      role: feature.kind === "roof-window" ? "plain" : "opening",
      points: [at(fromU, fromD), at(toU, fromD), at(toU, toD), at(fromU, toD)].map(pointOf),
      closed: true,
    }));

function lineShapes({ lines }: RoofForm): PlanShape[] {
  return lines.flatMap(({ id, kind, from, to }): PlanShape[] => {
    const role = LINE_ROLES[kind];
    return role ? [{ id, role, points: [pointOf(from), pointOf(to)], closed: false }] : [];
  });
}

/** The pitch in the middle of the lower part of a slope, where there is room. */
function pitchLabel(face: RoofFace, system: PartContext["system"]): PlanLabel {
  const corners = face.sides.map(({ from }) => from);
  const middle = (axis: 0 | 1) => corners.reduce((sum, corner) => sum + corner[axis], 0) / corners.length;
  const extent = (axis: 0 | 1) => Math.max(...corners.map((c) => c[axis])) - Math.min(...corners.map((c) => c[axis]));
  return {
    id: face.id,
    at: pointOf([middle(0), middle(1)]),
    lines: [pitchWays(face.pitch, system)[0] ?? ""],
    widthNm: Math.round(extent(0) * NM_PER_MM * 0.6),
    heightNm: Math.round(extent(1) * NM_PER_MM * 0.6),
  };
}

function figures(roof: Roof, { system }: PartContext): PlanFigure[] {
  const outline = outlineOfRoof(roof);
  if (!outline.ok) return [];
  return outline.edges.flatMap(({ edge, from, to }): PlanFigure[] => {
    const heading = headingFrom(from, to);
    if (!heading) return [];
    const { x, y } = rightOf(heading);
    // Beyond the overhang, so that the figure does not lie over its line.
    const { overhangNm } = slopeOf(roof, edge);
    const beyond = (point: Point): Point => along(point, { x, y }, overhangNm);
    return [
      {
        id: edge.id,
        from: beyond(from),
        to: beyond(to),
        towards: { x, y },
        side: "outside",
        text: formatLength(edge.length.valueNm ?? 0, system),
        name: `${edgeName(roof, edge.id)}, length`,
        path: `edges.${edge.id}.length`,
      },
    ];
  });
}

/** Seen from above: slopes with their overhangs, ridges, hips and valleys, and the line of the walls with its figures. */
export function drawRoof(roof: Roof, context: PartContext): Drawing {
  const outline = outlineOfRoof(roof);
  const formed = formOf(roof);
  if (!outline.ok) {
    const points = walkedCorners(roof.edges);
    const shape: PlanShape = { id: "walk", role: "walk", points, closed: false };
    return points.length > 2 && !roof.edges.every(({ length }) => length.valueNm === null)
      ? { kind: "plan", shapes: [shape], figures: [], labels: [] }
      : { kind: "none" };
  }
  const walls: PlanShape = { id: "outline", role: "wall-line", points: outline.polygon, closed: true };
  const courts = outline.courts.map((ring, index): PlanShape => {
    const points = ring.map(({ from }) => from);
    return { id: `courtyard-${index + 1}`, role: "wall-line", points, closed: true };
  });
  const others = (roof.meets?.neighbours ?? [])
    .filter(({ what }) => what === "slopes")
    .map(({ id, outline: points }): PlanShape => ({ id: `other-${id}`, role: "wall-line", points, closed: true }));
  const shapes = formed.ok
    ? [
        ...others,
        ...formed.form.faces.flatMap(carriedShapes),
        ...formed.form.faces.map(slopeShape),
        ...featureShapes(formed.form),
        ...formed.form.faces.flatMap(coveredShapes),
        ...lineShapes(formed.form),
        walls,
        ...courts,
      ]
    : [walls, ...courts];
  const drawing: PlanDrawing = {
    kind: "plan",
    shapes,
    figures: figures(roof, context),
    labels: formed.ok ? formed.form.faces.map((face) => pitchLabel(face, context.system)) : [],
  };
  return drawing;
}
