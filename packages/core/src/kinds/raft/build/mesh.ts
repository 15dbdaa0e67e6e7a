import type { BarPiece, HardwarePiece, SheetPiece } from "../../../drawing/piece";
import type { SpaceFigure } from "../../../drawing/spaceFigure";
import { boundsOf, isInside, overlapRings, type Polygon, polygonArea } from "../../../geometry";
import { MESH_SHEETS } from "../../../ground";
import type { GroundChoices } from "../../../ground/choices";
import { nestPieces } from "../../../layouts";
import { areaOf, inches, millimetres, type Nanometres, toMetres } from "../../../units";
import { levelBar } from "./barPiece";

/** Smaller cuttings than this are not kept (common practice). */
const LEAST_OFFCUT_NM = millimetres(300);

type Stretch = { readonly fromNm: Nanometres; readonly lengthNm: Nanometres };

/** Sheets one after the other over a length, each over the last by a lap: the last is cut to what is left. */
export function lappedOver(lengthNm: Nanometres, sheetNm: Nanometres, lapNm: Nanometres): Stretch[] {
  const stepNm = sheetNm - lapNm;
  if (lengthNm <= 0 || stepNm <= 0) return [];
  const stretches: Stretch[] = [];
  for (let fromNm = 0; fromNm === 0 || fromNm + lapNm < lengthNm; fromNm += stepNm)
    stretches.push({ fromNm, lengthNm: Math.min(sheetNm, lengthNm - fromNm) });
  return stretches;
}

/**
 * Mesh over a slab in sheets that lap, less cover on every side: cut at the edges, the cuttings used again where they are large
 * enough. Every layer alike. Lengthwise along the longer side of the slab.
 */
export function meshOver(polygon: Polygon, choices: GroundChoices, topNm: Nanometres): SheetPiece[] {
  const { meshLayers, meshSheet, meshLap, cover } = choices;
  const bounds = boundsOf(polygon);
  if (!bounds || meshLayers === 0) return [];
  const size = MESH_SHEETS[meshSheet];
  const [wideNm, highNm] = [bounds.max.xNm - bounds.min.xNm - 2 * cover, bounds.max.yNm - bounds.min.yNm - 2 * cover];
  const lies = wideNm >= highNm;
  const sheet = lies
    ? { widthNm: size.lengthNm, heightNm: size.widthNm }
    : { widthNm: size.widthNm, heightNm: size.lengthNm };
  const cells = lappedOver(highNm, sheet.heightNm, meshLap).flatMap((row) =>
    lappedOver(wideNm, sheet.widthNm, meshLap).flatMap((column) => {
      const xNm = bounds.min.xNm + cover + column.fromNm;
      const yNm = bounds.min.yNm + cover + row.fromNm;
      return cellOf(polygon, { xNm, yNm, widthNm: column.lengthNm, heightNm: row.lengthNm });
    }),
  );
  const all = Array.from({ length: meshLayers }, () => cells).flat();
  const numbers = nestPieces(all, sheet, LEAST_OFFCUT_NM);
  return all.map((cell, index): SheetPiece => {
    const layer = Math.floor(index / cells.length) + 1;
    const heightNm = meshLayers === 2 && layer === 1 ? topNm - cover - millimetres(100) : topNm - cover;
    return {
      ...cell,
      id: `mesh-${layer}-${(index % cells.length) + 1}`,
      role: "mesh",
      layer,
      sheet: { ...sheet, leastOffcutNm: LEAST_OFFCUT_NM },
      sheetNumber: numbers[index] ?? 1,
      inSpace: lying(cell, heightNm, millimetres(10)),
    };
  });
}

type Cell = {
  readonly xNm: Nanometres;
  readonly yNm: Nanometres;
  readonly widthNm: Nanometres;
  readonly heightNm: Nanometres;
};

const cornersOf = ({ xNm, yNm, widthNm, heightNm }: Cell): (readonly [number, number])[] => [
  [xNm, yNm],
  [xNm + widthNm, yNm],
  [xNm + widthNm, yNm + heightNm],
  [xNm, yNm + heightNm],
];

/** A rectangle that lies level at a height above the ground, so deep. */
const lying = (cell: Cell, heightNm: Nanometres, deepNm: Nanometres): SpaceFigure => ({
  frame: { origin: [0, toMetres(heightNm), 0], along: [1, 0, 0], up: [0, 0, -1] },
  outline: cornersOf(cell).map(([x, y]) => [toMetres(x), toMetres(y)] as const),
  nearM: 0,
  depthM: toMetres(deepNm),
});

const rectangles = new WeakMap<Polygon, boolean>();

/** Whether it fills the rectangle round it: nothing of that has to be clipped then. */
function isRectangle(polygon: Polygon): boolean {
  const known = rectangles.get(polygon);
  if (known !== undefined) return known;
  const bounds = boundsOf(polygon);
  const round = bounds ? areaOf(bounds.max.xNm - bounds.min.xNm, bounds.max.yNm - bounds.min.yNm) : 0;
  const is = Math.abs(round - polygonArea(polygon)) < 1e-9;
  rectangles.set(polygon, is);
  return is;
}

/** What of a sheet lies on the slab: cut to the rectangle round that, nothing where it misses it. */
function cellOf(polygon: Polygon, cell: Cell): Cell[] {
  if (isRectangle(polygon)) return [cell];
  const ring = cornersOf(cell).map(([xNm, yNm]) => ({ xNm, yNm }));
  const bounds = boundsOf(overlapRings(polygon, ring).flat());
  if (!bounds) return [];
  const { min, max } = bounds;
  const [widthNm, heightNm] = [max.xNm - min.xNm, max.yNm - min.yNm];
  return widthNm > 0 && heightNm > 0 ? [{ ...min, widthNm, heightNm }] : [];
}

const CHAIR_NM = inches(1);

/** Chairs that hold up the upper steel: one in the middle of each square of the spacing that lies on the slab. */
export function chairsUnder(polygon: Polygon, choices: GroundChoices, topNm: Nanometres): HardwarePiece[] {
  const { chairs, chairSpacing, meshLayers, cover } = choices;
  const bounds = boundsOf(polygon);
  if (!bounds || meshLayers === 0 || chairs !== "single") return [];
  const places = (from: Nanometres, to: Nanometres): Nanometres[] => {
    const count = Math.max(1, Math.ceil((to - from) / chairSpacing - 1e-9));
    return Array.from({ length: count }, (_, index) => from + ((to - from) * (index + 0.5)) / count);
  };
  const { min, max } = bounds;
  const whole = isRectangle(polygon);
  const rows = places(min.yNm, max.yNm);
  return places(min.xNm, max.xNm).flatMap((x, column) =>
    rows.flatMap((y, row): HardwarePiece[] => {
      const [xNm, yNm] = [Math.round(x), Math.round(y)];
      if (!whole && !isInside(polygon, { xNm, yNm })) return [];
      const cell = { xNm, yNm, widthNm: CHAIR_NM, heightNm: CHAIR_NM };
      return [
        {
          id: `chair-${column + 1}-${row + 1}`,
          role: "chair",
          ...cell,
          inSpace: lying(cell, topNm - 3 * cover, 2 * cover),
        },
      ];
    }),
  );
}

/** Chairs in rows along the slab, so far apart, as lengths. */
export function chairRows(polygon: Polygon, choices: GroundChoices, topNm: Nanometres): BarPiece[] {
  const { chairs, chairSpacing, meshLayers, cover } = choices;
  const bounds = boundsOf(polygon);
  if (!bounds || meshLayers === 0 || chairs !== "continuous") return [];
  const { min, max } = bounds;
  const count = Math.max(1, Math.ceil((max.yNm - min.yNm) / chairSpacing - 1e-9));
  const deepNm = (max.yNm - min.yNm) / count;
  return Array.from({ length: count }, (_, index) => {
    const band = {
      xNm: min.xNm,
      yNm: Math.round(min.yNm + deepNm * index),
      widthNm: max.xNm - min.xNm,
      heightNm: Math.round(deepNm),
    };
    const [cell] = cellOf(polygon, band);
    if (!cell) return [];
    const lengthNm = Math.max(0, cell.widthNm - 2 * cover);
    const from = { xNm: cell.xNm + cover, yNm: band.yNm + Math.round(deepNm / 2) };
    const bar = { id: `chairs-${index + 1}`, role: "chair-row", itemId: "8", of: "Chairs", shape: "00" as const };
    return [
      levelBar(
        { ...bar, cutLengthNm: lengthNm, legsNm: [lengthNm] },
        from,
        { x: 1, y: 0 },
        lengthNm,
        topNm - 2 * cover,
      ),
    ];
  }).flat();
}
