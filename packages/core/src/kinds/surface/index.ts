import { z } from "zod";
import type { ElevationDrawing } from "../../drawing/drawing";
import { perimeterNm } from "../../geometry";
import { newBase, partBase } from "../../parts/base";
import { noDrawing } from "../../parts/looseDrawing";
import type { Measure, PartContext, PartKind } from "../../parts/partKind";
import { areaQuantity, lengthQuantity, type QuantityValues } from "../../parts/quantity";
import { netAreaOfSurface, type Surface } from "../../parts/surface";
import { formatArea, formatLength, toMetres } from "../../units";
import { WALL_ROWS } from "../../wall/quantities";

/** One surface of a room that something is done to which is not done to the others. Its figures are the room's. */
export const surfaceSchema = z.object({
  kind: z.literal("surface"),
  schemaVersion: z.literal(1),
  ...partBase,
  roomId: z.string().max(40),
  /** Which of the room's: `wall/a`, `floor`, `ceiling`, `reveal/d`. */
  surfaceId: z.string().max(160),
});
export type SurfacePart = z.infer<typeof surfaceSchema> & {
  /** The surface as the plan has it. Never stored. */
  readonly found?: Surface;
};

function quantities({ found }: SurfacePart): QuantityValues {
  if (!found) return {};
  const net = netAreaOfSurface(found);
  return {
    area: found.areaM2,
    openingArea: found.areaM2 - net,
    netArea: net,
    width: toMetres(found.widthNm),
    height: toMetres(found.heightNm),
    edge: toMetres(Math.round(perimeterNm(found.outline))),
  };
}

function measures({ name, found }: SurfacePart, { system }: PartContext): Measure[] {
  if (!found) return [];
  const net = netAreaOfSurface(found);
  const [gross, less, left] = [found.areaM2, found.areaM2 - net, net].map((area) => formatArea(area, system));
  const steps = found.openings.map((opening) => ({ label: opening.name, value: formatArea(opening.areaM2, system) }));
  const of = (id: string, label: string, text: string, formula: string, withNumbers: string): Measure => {
    const working = { sentence: `${label} of ${name}.`, formula, withNumbers, steps: id === "net-area" ? steps : [] };
    return { id, name: label, of: "", text, working, shapeIds: ["outline"] };
  };
  return [
    of("area", "Area", gross ?? "", "as the room has it", gross ?? ""),
    of("net-area", "Area less openings", left ?? "", "area − openings", `${gross} − ${less} = ${left}`),
    of("behind", "What lies behind", found.behind, "by the plan", found.behind),
  ];
}

/** Square on, as seen from the room; a floor from above. */
function draw({ found }: SurfacePart, { system }: PartContext): ElevationDrawing | ReturnType<typeof noDrawing> {
  if (!found) return noDrawing();
  const [leastX, leastY] = [0, 1].map((axis) =>
    Math.min(...found.outline.map((point) => (axis === 0 ? point.xNm : point.yNm))),
  );
  const points = found.outline.map(({ xNm, yNm }) => ({ xNm: xNm - (leastX ?? 0), yNm: yNm - (leastY ?? 0) }));
  const { widthNm, heightNm } = found;
  const box = { xNm: 0, yNm: 0, widthNm, heightNm };
  const say = (nm: number) => formatLength(nm, system);
  return {
    kind: "elevation",
    widthNm,
    heightNm,
    rectangles: [
      { ...box, id: "outline", role: "outline", points },
      ...found.openings.map(({ id, xNm, yNm, widthNm: wideNm, heightNm: highNm }) => ({
        id,
        role: "opening",
        xNm,
        yNm,
        widthNm: wideNm,
        heightNm: highNm,
      })),
    ],
    dimensions: [
      { id: "width", direction: "along", fromNm: 0, toNm: widthNm, row: 1, text: say(widthNm) },
      { id: "height", direction: "up", fromNm: 0, toNm: heightNm, row: 1, text: say(heightNm) },
    ],
  };
}

const noFigure = (path: string): never => {
  throw new Error(`surface: "${path}" is not one of its figures`);
};

export const surfaceKind: PartKind<SurfacePart> = {
  kind: "surface",
  label: "Surface of a room",
  plural: "Surfaces",
  order: 1,
  schema: surfaceSchema,
  migrations: [],
  defaults: (id, name) => ({ kind: "surface", schemaVersion: 1, ...newBase(id, name), roomId: "", surfaceId: "" }),
  measures,
  quantityNames: [
    areaQuantity("area", "Area"),
    areaQuantity("openingArea", "Area of openings"),
    areaQuantity("netArea", "Area less openings"),
    lengthQuantity("width", "Width"),
    lengthQuantity("height", "Height"),
    lengthQuantity("edge", "All round its edge"),
  ],
  quantities,
  rows: WALL_ROWS,
  rowsOf: ({ found }) => ({
    openings: (found?.openings ?? []).map(({ kind, widthNm, heightNm, yNm, areaM2 }) => ({
      width: toMetres(widthNm),
      height: toMetres(heightNm),
      sill: toMetres(yNm),
      head: toMetres(yNm + heightNm),
      area: areaM2,
      kind,
    })),
  }),
  roles: [],
  functions: [],
  outline: ({ found }) => ({ xNm: 0, yNm: 0, widthNm: found?.widthNm ?? 0, heightNm: found?.heightNm ?? 0 }),
  draw,
  problems: () => [],
  openPoints: ({ found }) =>
    found
      ? []
      : [
          {
            path: "surface",
            kind: "missing",
            message: "Its room is gone, not closed, or has no such surface any more",
          },
        ],
  dimensions: () => [],
  withDimension: (_part, path) => noFigure(path),
  withRefused: (_part, path) => noFigure(path),
  nameOfItem: ({ found }, id) => found?.openings.find((each) => each.id === id)?.name,
  withReferences: (part, renamed) => ({ ...part, roomId: part.roomId === "" ? "" : renamed(part.roomId) }),
};
