import { perimeterNm, polygonArea } from "../../geometry";
import type { Measure, PartContext } from "../../parts/partKind";
import {
  areaQuantity,
  countQuantity,
  lengthQuantity,
  type Quantity,
  type QuantityValues,
  volumeQuantity,
} from "../../parts/quantity";
import { formatArea, formatLength, formatVolume, toMetres } from "../../units";
import { groundChoicesOf } from "../choices";
import { plateLevels, undersideNm } from "./levels";
import { hasBeams, hasToe, type Plate } from "./schema";
import { plateShape } from "./shape";

export const PLATE_QUANTITIES: readonly Quantity[] = [
  areaQuantity("netArea", "Area on plan"),
  lengthQuantity("perimeter", "Round the outside"),
  lengthQuantity("thickness", "Thickness of the slab", "thickness"),
  lengthQuantity("aboveGround", "Top above the ground", "top"),
  lengthQuantity("beamWidth", "Width of the edge beam", "beamWidth"),
  lengthQuantity("beamDepth", "Depth of the edge beam", "beamDepth"),
  countQuantity("ribCount", "Ribs"),
  lengthQuantity("toeLength", "Length of the toe"),
  volumeQuantity("concrete", "Concrete"),
];

type Volumes = { readonly slab: number; readonly beams: number; readonly ribs: number; readonly toe: number };

/** Concrete by where it is, from the figures alone: nothing of it is a choice. Cubic metres. */
export function plateConcrete(plate: Plate): Volumes | undefined {
  const shape = plateShape(plate);
  if (!shape) return undefined;
  const thicknessNm = Math.max(0, plate.thickness.valueNm ?? 0);
  const levels = { topNm: 0, slabNm: -thicknessNm, formationNm: -thicknessNm };
  const areaOf = (rings: readonly (typeof shape.polygon)[]) => rings.reduce((sum, ring) => sum + polygonArea(ring), 0);
  const below = (beams: typeof shape.ribs) =>
    beams.reduce((sum, { rings, depthNm }) => {
      return sum + areaOf(rings) * toMetres(levels.slabNm - undersideNm(levels, depthNm));
    }, 0);
  const depthNm = Math.max(thicknessNm, plate.beamDepth.valueNm ?? 0);
  const toeNm = Math.min(depthNm, Math.max(0, plate.toeDepth.valueNm ?? 0));
  return {
    slab: polygonArea(shape.polygon) * toMetres(thicknessNm),
    beams: below(shape.edgeBeams),
    ribs: below(shape.ribs),
    toe: areaOf(shape.toes.map(({ ring }) => ring)) * toMetres(toeNm),
  };
}

export function plateQuantities(plate: Plate): QuantityValues {
  const shape = plateShape(plate);
  const volumes = plateConcrete(plate);
  if (!shape || !volumes) return {};
  const beams = hasBeams(plate);
  return {
    netArea: polygonArea(shape.polygon),
    perimeter: toMetres(perimeterNm(shape.polygon)),
    thickness: toMetres(plate.thickness.valueNm ?? 0),
    aboveGround: toMetres(plate.top.valueNm ?? 0),
    beamWidth: beams ? toMetres(plate.beamWidth.valueNm ?? 0) : 0,
    beamDepth: beams ? toMetres(plate.beamDepth.valueNm ?? 0) : 0,
    ribCount: new Set(shape.ribs.map(({ name }) => name)).size,
    toeLength: hasToe(plate)
      ? shape.toes.reduce((sum, { from, to }) => sum + toMetres(Math.hypot(to.xNm - from.xNm, to.yNm - from.yNm)), 0)
      : 0,
    concrete: volumes.slab + volumes.beams + volumes.ribs + volumes.toe,
  };
}

/** The concrete with how it came about, and the area. */
export function plateMeasures(plate: Plate, { system }: PartContext): Measure[] {
  const shape = plateShape(plate);
  const volumes = plateConcrete(plate);
  if (!shape || !volumes) return [];
  const area = formatArea(polygonArea(shape.polygon), system);
  const { formationNm, slabNm } = plateLevels(plate, groundChoicesOf(plate, system));
  const level = (nm: number) => `${formatLength(Math.abs(nm), system)} ${nm > 0 ? "above" : "below"} the ground`;
  const parts = [
    ["slab", volumes.slab],
    ["edge beam below it", volumes.beams],
    ["ribs below it", volumes.ribs],
    ["toe", volumes.toe],
  ] as const;
  const there = parts.filter(([, volume]) => volume > 0);
  const say = (volume: number) => formatVolume(volume, system);
  const all = there.reduce((sum, [, volume]) => sum + volume, 0);
  return [
    {
      id: "area",
      name: "Area on plan",
      of: "",
      text: area,
      working: {
        sentence: `What ${plate.name} covers, to the outside of its concrete.`,
        formula: "inside its outline",
        withNumbers: area,
        steps: [{ label: "Round the outside", value: formatLength(perimeterNm(shape.polygon), system) }],
      },
      shapeIds: ["slab"],
    },
    {
      id: "formation",
      name: "Formation",
      of: "",
      text: level(formationNm),
      working: {
        sentence: `What is dug down to between the beams of ${plate.name}, and the fill is laid on.`,
        formula: "underside of the slab − insulation − blinding − fill",
        withNumbers: level(formationNm),
        steps: [{ label: "Underside of the slab", value: level(slabNm) }],
      },
      shapeIds: ["slab"],
    },
    {
      id: "concrete",
      name: "Concrete",
      of: "",
      text: say(all),
      working: {
        sentence: `Concrete of ${plate.name} as it stands, without waste; corners and crossings once.`,
        formula: there.map(([name]) => name).join(" + "),
        withNumbers: `${there.map(([, volume]) => say(volume)).join(" + ")} = ${say(all)}`,
        steps: there.map(([name, volume]) => ({
          label: name.replace(/^./, (letter) => letter.toUpperCase()),
          value: say(volume),
        })),
      },
      shapeIds: [
        "slab",
        ...shape.edgeBeams.map(({ id }) => `edge-beam-${id}`),
        ...shape.ribs.map(({ id }) => `rib-${id}`),
      ],
    },
  ];
}
