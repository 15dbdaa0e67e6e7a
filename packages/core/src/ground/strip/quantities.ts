import { distance, polygonArea } from "../../geometry";
import type { Measure, PartContext } from "../../parts/partKind";
import { lengthQuantity, type Quantity, type QuantityValues, volumeQuantity } from "../../parts/quantity";
import { formatRunningLength, formatVolume, NM_PER_M, toMetres } from "../../units";
import { usualGround } from "../choices";
import { volumeOf } from "../prism";
import { stripPrisms } from "./prisms";
import type { StripFigures } from "./schema";
import { bandOf, innerBands, reachOf, stripOutline } from "./shape";

export const STRIP_QUANTITIES: readonly Quantity[] = [
  lengthQuantity("centreLine", "Length on the centre line"),
  lengthQuantity("wallLine", "Length of the wall on its centre line"),
  lengthQuantity("footingWidth", "Width of the footing", "width"),
  lengthQuantity("footingThickness", "Thickness of the footing", "thickness"),
  lengthQuantity("belowGround", "Underside below the ground", "below"),
  lengthQuantity("stemWidth", "Thickness of the wall on it", "stemWidth"),
  lengthQuantity("stemHeight", "Height of the stem wall", "stemHeight"),
  volumeQuantity("concrete", "Concrete"),
];

/** The middle of a band so wide: as long as its area over its width, which is exact at every corner. Metres. */
export function centreLineM(strip: StripFigures, widthNm: number): number {
  const outline = stripOutline(strip);
  if (!outline || widthNm <= 0) return 0;
  const band = bandOf(outline, reachOf(strip, widthNm));
  const along = band.quads.reduce((sum, { outer, inner }) => {
    return sum + toMetres((distance(outer.from, outer.to) + distance(inner.from, inner.to)) / 2);
  }, 0);
  const within = innerBands(strip, outline, band.within, widthNm).reduce(
    (sum, { rings }) => sum + rings.reduce((area, ring) => area + polygonArea(ring), 0) / toMetres(widthNm),
    0,
  );
  return along + within;
}

/** Concrete by what it is, from the figures alone. Cubic metres. */
export function stripConcrete(strip: StripFigures): { readonly footing: number; readonly stem: number } {
  // Where it lies in the ground changes none of it.
  const prisms = stripPrisms(strip, { ...usualGround("metric"), workingSpace: 0, batter: 0, fill: 0, blinding: 0 });
  const of = (role: string) => prisms.reduce((sum, each) => sum + (each.role === role ? volumeOf(each) : 0), 0);
  return { footing: of("footing-concrete"), stem: of("stem-wall") };
}

export function stripQuantities(strip: StripFigures): QuantityValues {
  if (!stripOutline(strip)) return {};
  const { footing, stem } = stripConcrete(strip);
  return {
    centreLine: centreLineM(strip, strip.width.valueNm ?? 0),
    wallLine: centreLineM(strip, strip.stemWidth.valueNm ?? 0),
    footingWidth: toMetres(strip.width.valueNm ?? 0),
    footingThickness: toMetres(strip.thickness.valueNm ?? 0),
    belowGround: toMetres(strip.below.valueNm ?? 0),
    stemWidth: toMetres(strip.stemWidth.valueNm ?? 0),
    stemHeight: strip.stem ? toMetres(strip.stemHeight.valueNm ?? 0) : 0,
    concrete: footing + stem,
  };
}

/** The centre line and the concrete, with how they came about. */
export function stripMeasures(strip: StripFigures & { readonly name: string }, { system }: PartContext): Measure[] {
  const outline = stripOutline(strip);
  if (!outline) return [];
  const { footing, stem } = stripConcrete(strip);
  const lineNm = Math.round(centreLineM(strip, strip.width.valueNm ?? 0) * NM_PER_M);
  const line = formatRunningLength(lineNm, system);
  const measuredNm = outline.lines.reduce((sum, { from, to }) => sum + distance(from, to), 0);
  const say = (volume: number) => formatVolume(volume, system);
  const parts = [["footing", footing] as const, ...(stem > 0 ? [["stem wall", stem] as const] : [])];
  return [
    {
      id: "centreLine",
      name: "Length on the centre line",
      of: "",
      text: line,
      working: {
        sentence: `The middle of ${strip.name}: each outside corner takes off what each inside corner adds.`,
        formula: "area on plan over its width",
        withNumbers: line,
        steps: [{ label: "As measured", value: formatRunningLength(Math.round(measuredNm), system) }],
      },
      shapeIds: outline.lines.map(({ edge }) => `footing-${edge.id}`),
    },
    {
      id: "concrete",
      name: "Concrete",
      of: "",
      text: say(footing + stem),
      working: {
        sentence: `Concrete of ${strip.name} as it stands, without waste; corners, crossings and steps once.`,
        formula: parts.map(([name]) => name).join(" + "),
        withNumbers: `${parts.map(([, volume]) => say(volume)).join(" + ")} = ${say(footing + stem)}`,
        steps: parts.map(([label, volume]) => ({
          label: label.replace(/^./, (l) => l.toUpperCase()),
          value: say(volume),
        })),
      },
      shapeIds: outline.lines.map(({ edge }) => `footing-${edge.id}`),
    },
  ];
}
