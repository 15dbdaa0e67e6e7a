import { newBase } from "../../parts/base";
import { isAssumed } from "../../parts/choicesSlot";
import { type DimensionSlot, unmeasured } from "../../parts/dimension";
import { countSlot, type Figure, type FigureSlot, noFigure } from "../../parts/figure";
import { figureSetters } from "../../parts/figures";
import { atMost } from "../../parts/limits";
import { noOutline } from "../../parts/looseDrawing";
import { figurePoints, pointsOfFigures } from "../../parts/openPointsOf";
import type { Measure, OpenPoint, PartContext, PartKind } from "../../parts/partKind";
import { areaQuantity, countQuantity, lengthQuantity, type QuantityValues } from "../../parts/quantity";
import { type Problem, problem } from "../../problems/problem";
import { formatArea, formatLength, metres } from "../../units";
import { dryAmounts, SUMP_M2 } from "./amounts";
import { drawWaterproofing } from "./draw";
import { WATERPROOFING_PARAMETERS, waterproofingSlot } from "./parameters";
import { DRY_PIECES, MOST_FITTINGS, type Waterproofing, waterproofingSchema } from "./schema";

const LARGEST_AREA_M2 = 10_000;

const dimensions = ({ roomId, wallHeight, channelLength }: Waterproofing): DimensionSlot[] => [
  ...(roomId === "" ? [{ path: "wallHeight", label: "Height of the walls", of: "", dimension: wallHeight }] : []),
  { path: "channelLength", label: "Channel, where it is not all round", of: "", dimension: channelLength },
];

const areaSlots = ({ roomId, wallArea, floorArea }: Waterproofing): FigureSlot[] => {
  if (roomId !== "") return [];
  const slot = (path: string, label: string, figure: Figure): FigureSlot => {
    return { path, label, of: "", measure: "area", figure, least: 0, most: LARGEST_AREA_M2 };
  };
  return [
    slot("wallArea", "Walls, area less openings", wallArea),
    slot("floorArea", "Floor, area less the sump", floorArea),
  ];
};

const figures = (part: Waterproofing): FigureSlot[] => [
  ...areaSlots(part),
  ...(part.roomId === ""
    ? [countSlot("channelCorners", "Corners of the channel", part.channelCorners, { most: MOST_FITTINGS })]
    : []),
  ...DRY_PIECES.map(([name, label]) => countSlot(name, label, part[name], { most: MOST_FITTINGS })),
];

function problems(part: Waterproofing, { system }: PartContext): Problem[] {
  const lengths = dimensions(part).flatMap(({ path, label, dimension }): Problem[] => {
    if (dimension.valueNm !== null && dimension.valueNm <= 0)
      return [problem("not-positive", path, `${label} is more than zero.`)];
    return atMost(path, label, dimension, path === "wallHeight" ? metres(15) : metres(2000), system);
  });
  const areas = areaSlots(part).flatMap(({ path, label, figure }): Problem[] => {
    const value = figure.value ?? 0;
    if (value < 0) return [problem("negative", path, `${label} is zero or more.`)];
    return value > LARGEST_AREA_M2 ? [problem("too-large", path, `${label} is too large. Check the unit.`)] : [];
  });
  return [...lengths, ...areas];
}

function openPoints(part: Waterproofing, { system }: PartContext): OpenPoint[] {
  const followed = dimensions(part).filter(
    ({ dimension }) => dimension.valueNm !== null || dimension.refused !== undefined,
  );
  const values = new Map(Object.entries(part.settled?.choices ?? {}));
  return [
    ...(part.roomId !== "" && !part.found
      ? [{ path: "roomId", kind: "missing" as const, message: "Its room is gone, is not closed, or has no height yet" }]
      : []),
    ...pointsOfFigures(areaSlots(part), system),
    ...figurePoints(followed, system),
    ...(part.roomId === "" && part.wallHeight.valueNm === null && (part.wallArea.value ?? 0) > 0
      ? [
          {
            path: "wallHeight",
            kind: "assumed" as const,
            message: "Height of the walls is not known: plugs and drops are reckoned without it",
          },
        ]
      : []),
    ...WATERPROOFING_PARAMETERS.filter(
      ({ name, asked, applies }) => asked && isAssumed(part, name) && (applies?.(values) ?? true),
    ).map(({ path, label }): OpenPoint => ({ path, kind: "assumed", message: `${label} is assumed` })),
  ];
}

function quantities(part: Waterproofing): QuantityValues {
  const amounts = dryAmounts(part);
  if (!amounts) return {};
  return { ...amounts, ...Object.fromEntries(DRY_PIECES.map(([name]) => [name, part[name]])) };
}

function measures(part: Waterproofing, { system }: PartContext): Measure[] {
  const amounts = dryAmounts(part);
  if (!amounts) return [];
  const from = part.found ? `of ${part.found.name}, less its openings` : "as it was typed";
  const sumps = part.found && part.sumps > 0 ? [{ label: "Less each sump", value: formatArea(SUMP_M2, system) }] : [];
  const of = (id: string, name: string, text: string): Measure => {
    const steps = id === "floor" ? sumps : [];
    const working = { sentence: `${name} ${from}.`, formula: "as measured", withNumbers: text, steps };
    return { id, name, of: "", text, working, shapeIds: [] };
  };
  return [
    of("walls", "Walls kept dry", formatArea(amounts.wallArea, system)),
    of("floor", "Floor kept dry", formatArea(amounts.floorArea, system)),
    of("channel", "Channel", formatLength(metres(amounts.channelLength), system)),
  ];
}

/** Keeping water out below ground: walls and floor each by a way of its own, drained. */
export const waterproofingKind: PartKind<Waterproofing> = {
  kind: "waterproofing",
  label: "Waterproofing below ground",
  plural: "Waterproofing below ground",
  order: 1,
  schema: waterproofingSchema,
  migrations: [],
  defaults: (id, name) => ({
    kind: "waterproofing",
    schemaVersion: 1,
    ...newBase(id, name),
    roomId: "",
    wallArea: noFigure,
    floorArea: noFigure,
    wallHeight: unmeasured,
    channelLength: unmeasured,
    channelCorners: 4,
    outlets: 0,
    inspections: 0,
    flushings: 0,
    sumps: 0,
    pumps: 0,
    batteries: 0,
    alarms: 0,
    assembly: { id: "waterproofing", version: 1 },
    choices: {},
  }),
  measures,
  quantityNames: [
    areaQuantity("wallArea", "Area of walls", "wallArea"),
    lengthQuantity("wallHeight", "Height of walls", "wallHeight"),
    lengthQuantity("wallLength", "Length of walls"),
    areaQuantity("floorArea", "Area of floor", "floorArea"),
    lengthQuantity("channelLength", "Length of the channel", "channelLength"),
    countQuantity("channelCorners", "Corners of the channel"),
    ...DRY_PIECES.map(([name, label]) => countQuantity(name, label)),
  ],
  quantities,
  roles: [],
  functions: [],
  slot: waterproofingSlot<Waterproofing>(),
  outline: noOutline,
  draw: drawWaterproofing,
  problems,
  openPoints,
  waits: (part) => dryAmounts(part) === undefined,
  dimensions,
  figures,
  withFigure: (part, path, value, typed) => {
    if (path === "wallArea" || path === "floorArea") return { ...part, [path]: { value, typed, assumed: false } };
    if (path === "channelCorners" || DRY_PIECES.some(([name]) => name === path)) return { ...part, [path]: value };
    throw new Error(`waterproofing: "${path}" is not one of its figures`);
  },
  ...figureSetters<Waterproofing>((part, path, to) => {
    if (path !== "wallHeight" && path !== "channelLength")
      throw new Error(`waterproofing: "${path}" is not one of its figures`);
    return { ...part, [path]: to(part[path]) };
  }),
  withReferences: (part, renamed) => (part.roomId === "" ? part : { ...part, roomId: renamed(part.roomId) }),
};

export { type DryWay, WATERPROOFING_PARAMETERS } from "./parameters";
export { DRY_PIECES, type RoomBelow, type Waterproofing } from "./schema";
