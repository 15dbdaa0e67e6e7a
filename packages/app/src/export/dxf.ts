import { DxfWriter, point2d, point3d, Units } from "@tarikjabiri/dxf";
import type { ElevationDrawing, MeasuringSystem, PlanDrawing } from "@wide-porch/core";

/** DXF colour numbers; each role is a layer of its own, so that whoever opens it can switch it off. */
const COLOURS: Readonly<Record<string, number>> = { outline: 7, opening: 8, header: 30, "treated-plate": 94 };
const OTHERS = 42;

type Scale = { readonly nmPerUnit: number; readonly units: Units };

const scaleOf = (system: MeasuringSystem): Scale =>
  system === "imperial"
    ? { nmPerUnit: 25_400_000, units: Units.Inches }
    : { nmPerUnit: 1_000_000, units: Units.Millimeters };

type Corner = { readonly xNm: number; readonly yNm: number };

function writer({ units }: Scale): DxfWriter {
  const dxf = new DxfWriter();
  dxf.setUnits(units);
  return dxf;
}

function addRing(
  dxf: DxfWriter,
  layer: string,
  corners: readonly Corner[],
  { nmPerUnit }: Scale,
  closed: boolean,
): void {
  const vertices = corners.map(({ xNm, yNm }) => ({ point: point2d(xNm / nmPerUnit, yNm / nmPerUnit) }));
  dxf.addLWPolyline(vertices, { layerName: layer, flags: closed ? 1 : 0 });
}

function layerFor(dxf: DxfWriter, known: Set<string>, name: string, colour: number): string {
  if (!known.has(name)) dxf.addLayer(name, colour, "CONTINUOUS");
  known.add(name);
  return name;
}

/** A wall seen square on, in inches or millimetres from its lower left corner: a closed polyline for each piece. */
export function elevationToDxf(drawing: ElevationDrawing, system: MeasuringSystem): string {
  const scale = scaleOf(system);
  const dxf = writer(scale);
  const layers = new Set<string>();
  for (const shape of drawing.rectangles) {
    const { xNm, yNm, widthNm, heightNm, role } = shape;
    const corners = shape.points ?? [
      { xNm, yNm },
      { xNm: xNm + widthNm, yNm },
      { xNm: xNm + widthNm, yNm: yNm + heightNm },
      { xNm, yNm: yNm + heightNm },
    ];
    addRing(dxf, layerFor(dxf, layers, role, COLOURS[role] ?? OTHERS), corners, scale, true);
  }
  return dxf.stringify();
}

/** A storey seen from above, with its names. */
export function planToDxf(drawing: PlanDrawing, system: MeasuringSystem): string {
  const scale = scaleOf(system);
  const dxf = writer(scale);
  const layers = new Set<string>();
  for (const { role, points, closed } of drawing.shapes) {
    if (points.length > 1) addRing(dxf, layerFor(dxf, layers, role, 7), points, scale, closed);
  }
  const letters = layerFor(dxf, layers, "names", 8);
  const height = system === "imperial" ? 6 : 150;
  for (const { at, lines } of drawing.labels) {
    const place = point3d(at.xNm / scale.nmPerUnit, at.yNm / scale.nmPerUnit, 0);
    dxf.addText(place, height, lines.join(", "), { layerName: letters });
  }
  return dxf.stringify();
}
