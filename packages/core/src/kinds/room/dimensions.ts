import { type Dimension, type DimensionSlot, measured } from "../../parts/dimension";
import { changeById, figureSetters } from "../../parts/figures";
import type { RoomOpening } from "../../parts/opening";
import { asked } from "../../parts/walkedOutline";
import type { Nanometres } from "../../units";
import { followRectangle, runsLikeOpposite } from "./edit";
import { runName } from "./names";
import type { Drop, Feature, Room } from "./schema";

const slot = (path: string, label: string, of: string, dimension: Dimension): DimensionSlot => ({
  path,
  label,
  of,
  dimension,
});

function openingSlots(opening: RoomOpening): DimensionSlot[] {
  const at = (field: string) => `openings.${opening.id}.${field}`;
  const { name, kind } = opening;
  const unit = opening.measuredAs === "unit";
  const headNm = (opening.sill.valueNm ?? 0) + (opening.height.valueNm ?? 0);
  return [
    slot(at("position"), "From the wall's start", name, opening.position),
    slot(at("width"), unit ? "Unit width" : "Width", name, opening.width),
    slot(at("height"), unit ? "Unit height" : "Height", name, opening.height),
    ...(kind === "window" || kind === "plain" ? [slot(at("sill"), "Sill height", name, opening.sill)] : []),
    ...(kind === "window"
      ? [slot(at("head"), "Head height", name, { valueNm: headNm, typed: "", assumed: opening.height.assumed })]
      : []),
    ...(kind === "arch" ? [slot(at("rise"), "Rise of the arch", name, opening.rise)] : []),
  ];
}

function featureSlots(feature: Feature): DimensionSlot[] {
  const at = (field: string) => `features.${feature.id}.${field}`;
  return [
    slot(at("position"), "From the wall's start", feature.name, feature.position),
    slot(at("width"), "Clear width", feature.name, feature.width),
    slot(at("depth"), "Clear depth", feature.name, feature.depth),
    slot(at("thickness"), "Its walls' thickness", feature.name, feature.thickness),
  ];
}

function dropSlots(drop: Drop): DimensionSlot[] {
  const at = (field: string) => `drops.${drop.id}.${field}`;
  return [
    slot(at("length"), "Length", drop.name, drop.length),
    slot(at("width"), "Width", drop.name, drop.width),
    slot(at("depth"), drop.kind === "bulkhead" ? "Drop" : "Rise", drop.name, drop.depth),
  ];
}

/** The order a tape goes: round the walls, up to the ceiling, then what is in the walls. */
export function roomDimensions(room: Room): readonly DimensionSlot[] {
  const { ceiling, place } = room;
  const like = runsLikeOpposite(room);
  const high =
    ceiling.shape.value === "level" || ceiling.pitchDegrees !== null
      ? []
      : [slot("ceiling.highHeight", "Highest height", "Ceiling", ceiling.highHeight)];
  return [
    ...room.runs
      .filter((run) => room.finished || run.length.valueNm !== null || run === room.runs[room.runs.length - 1])
      .map((run) => ({
        ...slot(`runs.${run.id}.length`, runName(room, run.id), "", run.length),
        ...asked(like.has(run.id)),
      })),
    slot("ceiling.height", ceiling.shape.value === "level" ? "Height" : "Lowest height", "Ceiling", ceiling.height),
    ...high,
    ...room.features.flatMap(featureSlots),
    ...room.openings.flatMap(openingSlots),
    ...ceiling.drops.flatMap(dropSlots),
    ...(place.how === "joined" ? [slot("place.offset", "Along the neighbour's wall", "Place", place.offset)] : []),
    ...room.runs.map((run) => ({
      ...slot(`runs.${run.id}.thickness`, "Thickness", runName(room, run.id), run.thickness),
      group: "Wall thickness",
      ...sharedWith(room, run.id),
    })),
    slot("tolerance", "A gap may be spread up to", "The walk", room.tolerance),
  ];
}

/** The thickness of the wall by which a room was joined is typed in the room it was joined to. */
const sharedWith = ({ place }: Room, runId: string): Pick<DimensionSlot, "typedOn"> =>
  place.how === "joined" && place.runId === runId
    ? { typedOn: { partId: place.toRoomId, path: `runs.${place.toRunId}.thickness` } }
    : {};

type Change = (now: Dimension) => Dimension;

function changeField<T extends { readonly id: string }>(
  items: readonly T[],
  id: string,
  field: string,
  to: Change,
): T[] {
  return changeById(items, id, (item) => {
    // Paths come from `roomDimensions`, whose fields are dimensions.
    const now = (item as unknown as Record<string, Dimension>)[field];
    if (!now) throw new Error(`room: "${field}" is not one of its figures`);
    return { ...item, [field]: to(now) };
  });
}

function change(room: Room, path: string, to: Change): Room {
  const [group = "", id = "", field = ""] = path.split(".");
  const { ceiling } = room;
  switch (group) {
    case "runs":
      return followRectangle({ ...room, runs: changeField(room.runs, id, field, to) });
    case "features":
      return { ...room, features: changeField(room.features, id, field, to) };
    case "openings":
      return { ...room, openings: changeField(room.openings, id, field === "head" ? "height" : field, to) };
    case "drops":
      return { ...room, ceiling: { ...ceiling, drops: changeField(ceiling.drops, id, field, to) } };
    case "ceiling":
      if (id === "height" || id === "highHeight") return { ...room, ceiling: { ...ceiling, [id]: to(ceiling[id]) } };
      break;
    case "tolerance":
      return { ...room, tolerance: to(room.tolerance) };
    case "place":
      if (room.place.how === "joined") return { ...room, place: { ...room.place, offset: to(room.place.offset) } };
  }
  throw new Error(`room: "${path}" is not one of its figures`);
}

const setters = figureSetters<Room>(change);
export const { withRefused } = setters;

/** Sets one figure. A head height sets the opening's height above its sill. Throws for a path that is no figure. */
export function withDimension(room: Room, path: string, valueNm: Nanometres, typed: string): Room {
  const id = /^openings\.([^.]+)\.head$/.exec(path)?.[1];
  if (!id) return setters.withDimension(room, path, valueNm, typed);
  const openings = changeById(room.openings, id, (opening) => ({
    ...opening,
    height: measured(valueNm - (opening.sill.valueNm ?? 0), typed),
  }));
  return { ...room, openings };
}
