import { type Dimension, type DimensionSlot, measured } from "../parts/dimension";
import { changeById, figureSetters } from "../parts/figures";
import type { Allowance, Opening } from "../parts/opening";
import type { PartContext } from "../parts/partKind";
import type { MeasuringSystem, Nanometres } from "../units";
import { headNm } from "./openings";
import { PITCH_PATH, pitchFigures, withPitch } from "./pitch";
import type { Wall, WallOnPlan, WallShape } from "./schema";

type OpeningField = "width" | "height" | "sill" | "position";

/** What the figures of walls of a material differ in. */
type Manner<W> = {
  /** What the size of a hole is called: `Rough` width. */
  readonly holeWords: string;
  readonly allowanceOf: (wall: W, opening: Opening, system: MeasuringSystem) => Allowance;
};

/** The order a tape goes: the wall, then each opening from its left. */
function wallDimensions<W extends Wall>(wall: W, manner: Manner<W>, system: MeasuringSystem): readonly DimensionSlot[] {
  if (wall.plan) return dimensionsOnPlan(wall, wall.plan, manner, system);
  return [
    { path: "length", label: "Length", of: "", dimension: wall.length },
    { path: "height", label: heightLabel(wall), of: "", dimension: wall.height },
    ...shapeSlots(wall),
    ...wall.openings.flatMap((opening) => openingSlots(wall, opening, manner, system)),
  ];
}

const heightLabel = ({ shape }: Wall): string =>
  shape.how === "level" ? "Height" : shape.how === "slope" ? "Height, low end" : "Height, left end";

function shapeSlots({ shape }: Wall): DimensionSlot[] {
  if (shape.how === "slope") {
    return [{ path: "shape.highHeight", label: "Height, high end", of: "", dimension: shape.highHeight }];
  }
  if (shape.how === "gable") {
    return [
      { path: "shape.peakHeight", label: "Peak height", of: "", dimension: shape.peakHeight },
      { path: "shape.peakAt", label: "Peak from left end", of: "", dimension: shape.peakAt },
    ];
  }
  if (shape.how === "level") return [];
  return shape.points.flatMap(({ id, at, height }, index) => [
    { path: `shape.points.${id}.at`, label: "From left end", of: `Break ${index + 1}`, dimension: at },
    { path: `shape.points.${id}.height`, label: "Height", of: `Break ${index + 1}`, dimension: height },
  ]);
}

/** The shape with one of its figures changed; undefined for a path that is none. */
function withShapeFigure(shape: WallShape, path: string, to: (now: Dimension) => Dimension): WallShape | undefined {
  if (path === PITCH_PATH) {
    return withShapeFigure(shape, shape.how === "gable" ? "shape.peakHeight" : "shape.highHeight", to);
  }
  if (shape.how === "slope" && path === "shape.highHeight") return { ...shape, highHeight: to(shape.highHeight) };
  if (shape.how === "gable" && path === "shape.peakHeight") return { ...shape, peakHeight: to(shape.peakHeight) };
  if (shape.how === "gable" && path === "shape.peakAt") return { ...shape, peakAt: to(shape.peakAt) };
  const point = /^shape\.points\.([^.]+)\.(at|height)$/.exec(path);
  if (shape.how !== "points" || !point?.[1]) return undefined;
  const field = point[2] === "at" ? "at" : "height";
  return { ...shape, points: changeById(shape.points, point[1], (each) => ({ ...each, [field]: to(each[field]) })) };
}

/** On the plan, length and openings are the room's; a stretch's ends and the height are the wall's own. */
function dimensionsOnPlan<W extends Wall>(
  wall: W,
  { roomId, hostId, stretch, underCeiling, lengthPath }: WallOnPlan,
  manner: Manner<W>,
  system: MeasuringSystem,
): readonly DimensionSlot[] {
  const own: DimensionSlot[] =
    stretch.how === "part"
      ? [
          { path: "plan.from", label: "From the start of the room's wall", of: "", dimension: stretch.from },
          { path: "plan.to", label: "To", of: "", dimension: stretch.to },
        ]
      : [];
  const typedOn = { partId: roomId, path: lengthPath ?? `runs.${hostId}.length` };
  const ofCeiling = (field: "height" | "highHeight") =>
    underCeiling ? { typedOn: { partId: roomId, path: `ceiling.${field}` } } : {};
  return [
    { path: "length", label: "Length", of: "", dimension: wall.length, typedOn },
    ...own,
    { path: "height", label: heightLabel(wall), of: "", dimension: wall.height, ...ofCeiling("height") },
    ...shapeSlots(wall).map((slot) => ({ ...slot, ...ofCeiling("highHeight") })),
    ...wall.openings
      .flatMap((opening) => openingSlots(wall, opening, manner, system))
      .map((slot) => ({ ...slot, typedOn: { partId: roomId, path: slot.path } })),
  ];
}

function openingSlots<W extends Wall>(
  wall: W,
  opening: Opening,
  manner: Manner<W>,
  system: MeasuringSystem,
): DimensionSlot[] {
  const byUnit = opening.measuredAs === "unit";
  const size = byUnit ? "Unit" : manner.holeWords;
  const from = byUnit ? "From left end to the unit" : "From left end";
  const slot = (field: string, label: string, dimension: Dimension): DimensionSlot => ({
    path: `openings.${opening.id}.${field}`,
    label,
    of: opening.name,
    dimension,
  });
  const always = [
    ...(opening.along === "from-left" ? [slot("position", from, opening.position)] : []),
    slot("width", `${size} width`, opening.width),
    slot("height", `${size} height`, opening.height),
  ];
  if (opening.kind === "door") return always;
  const roughHeadNm = headNm(opening) + manner.allowanceOf(wall, opening, system).heightNm;
  const head = { valueNm: roughHeadNm, typed: "", assumed: opening.height.assumed };
  return [...always, slot("sill", "Sill height", opening.sill), slot("head", "Head height", head)];
}

function changeOpening<W extends Wall>(wall: W, id: string, change: (opening: Opening) => Opening): W {
  return { ...wall, openings: changeById(wall.openings, id, change) };
}

function splitPath(path: string): { id: string; field: OpeningField | "head" } | undefined {
  const match = /^openings\.([^.]+)\.(width|height|sill|position|head)$/.exec(path);
  return match?.[1] && match[2] ? { id: match[1], field: match[2] as OpeningField | "head" } : undefined;
}

function withFigure<W extends Wall>(wall: W, path: string, to: (now: Dimension) => Dimension): W {
  if (path === "length") return { ...wall, length: to(wall.length) };
  if (path === "height") return { ...wall, height: to(wall.height) };
  const shape = withShapeFigure(wall.shape, path, to);
  if (shape) return { ...wall, shape };
  const end = /^plan\.(from|to)$/.exec(path)?.[1];
  const { plan } = wall;
  if (plan?.stretch.how === "part" && (end === "from" || end === "to")) {
    return { ...wall, plan: { ...plan, stretch: { ...plan.stretch, [end]: to(plan.stretch[end]) } } };
  }
  const target = splitPath(path);
  if (!target) throw new Error(`withFigure: "${path}" is not one of a wall's figures`);
  const field = target.field === "head" ? "height" : target.field;
  return changeOpening(wall, target.id, (opening) => ({ ...opening, [field]: to(opening[field]) }));
}

/** What a kind of wall says of its figures. A head height sets the opening's height above its sill. */
export function wallFigures<W extends Wall>(manner: Manner<W>) {
  const { withDimension, withRefused } = figureSetters<W>(withFigure);
  return {
    dimensions: (wall: W, { system }: PartContext) => wallDimensions(wall, manner, system),
    withRefused,
    figures: (wall: W) => pitchFigures(wall),
    withFigure: (wall: W, path: string, value: number, typed: string): W => {
      if (path !== PITCH_PATH) throw new Error(`withFigure: "${path}" is not one of a wall's figures`);
      return withPitch(wall, value, typed);
    },
    withDimension: (
      wall: W,
      path: string,
      valueNm: Nanometres,
      typed: string,
      { system }: PartContext,
      settled: W = wall,
    ): W => {
      const target = splitPath(path);
      if (target?.field !== "head") return withDimension(wall, path, valueNm, typed);
      const height = (opening: Opening) =>
        measured(valueNm - (opening.sill.valueNm ?? 0) - manner.allowanceOf(settled, opening, system).heightNm, typed);
      return changeOpening(wall, target.id, (opening) => ({ ...opening, height: height(opening) }));
    },
  };
}
