import type { Nanometres } from "../../units";
import { type Dimension, measured } from "../dimension";
import type { DimensionSlot } from "../partKind";
import { headNm } from "./fit";
import type { Opening, StudWall } from "./schema";

type OpeningField = "width" | "height" | "sill" | "position";

/** The order a tape goes: the wall, then each opening from its left. */
export function studWallDimensions(wall: StudWall): readonly DimensionSlot[] {
  return [
    { path: "length", label: "Length", of: "", dimension: wall.length },
    { path: "height", label: "Height", of: "", dimension: wall.height },
    ...wall.openings.flatMap(openingSlots),
  ];
}

function openingSlots(opening: Opening): DimensionSlot[] {
  const slot = (field: string, label: string, dimension: Dimension): DimensionSlot => ({
    path: `openings.${opening.id}.${field}`,
    label,
    of: opening.name,
    dimension,
  });
  const always = [
    slot("position", "From left end", opening.position),
    slot("width", "Rough width", opening.width),
    slot("height", "Rough height", opening.height),
  ];
  if (opening.kind === "door") return always;
  const head = { valueNm: headNm(opening), typed: "", assumed: opening.height.assumed };
  return [...always, slot("sill", "Sill height", opening.sill), slot("head", "Head height", head)];
}

function changeOpening(wall: StudWall, id: string, change: (opening: Opening) => Opening): StudWall {
  return { ...wall, openings: wall.openings.map((opening) => (opening.id === id ? change(opening) : opening)) };
}

function splitPath(path: string): { id: string; field: OpeningField | "head" } | undefined {
  const match = /^openings\.([^.]+)\.(width|height|sill|position|head)$/.exec(path);
  return match?.[1] && match[2] ? { id: match[1], field: match[2] as OpeningField | "head" } : undefined;
}

/** Sets one figure. A head height sets the opening's height above its sill. Throws for a path that is no figure. */
export function withDimension(wall: StudWall, path: string, valueNm: Nanometres, typed: string): StudWall {
  if (path === "length" || path === "height") return { ...wall, [path]: measured(valueNm, typed) };
  const target = splitPath(path);
  if (!target) throw new Error(`withDimension: "${path}" is not a figure of a stud wall`);
  const { id, field } = target;
  if (field !== "head")
    return changeOpening(wall, id, (opening) => ({ ...opening, [field]: measured(valueNm, typed) }));
  return changeOpening(wall, id, (opening) => ({
    ...opening,
    height: measured(valueNm - (opening.sill.valueNm ?? 0), typed),
  }));
}

/** Keeps an entry that could not be used beside the value still in force, or clears it. */
export function withRefused(wall: StudWall, path: string, typed: string | undefined): StudWall {
  const mark = (dimension: Dimension): Dimension => {
    const { refused: _, ...rest } = dimension;
    return typed === undefined ? rest : { ...rest, refused: typed };
  };
  if (path === "length") return { ...wall, length: mark(wall.length) };
  if (path === "height") return { ...wall, height: mark(wall.height) };
  const target = splitPath(path);
  if (!target) throw new Error(`withRefused: "${path}" is not a figure of a stud wall`);
  const field = target.field === "head" ? "height" : target.field;
  return changeOpening(wall, target.id, (opening) => ({ ...opening, [field]: mark(opening[field]) }));
}
