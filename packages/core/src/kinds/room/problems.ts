import type { Dimension } from "../../parts/dimension";
import { atMost, LONGEST_WALL_NM, THICKEST_NM } from "../../parts/limits";
import type { RoomOpening } from "../../parts/opening";
import type { PartContext } from "../../parts/partKind";
import { type Problem, problem } from "../../problems/problem";
import { formatLength, metres, type Nanometres } from "../../units";
import { hostLengthNm, openingSpan } from "./hosts";
import { hostName, runName } from "./names";
import { featureSpan, featuresOf } from "./outline";
import type { Feature, Room } from "./schema";

const HIGHEST_CEILING_NM = metres(30);
/** A walk that is out by more was not walked right. */
const WIDEST_GAP_NM = metres(1);

/**
 * Everything that keeps an entry from being taken. A walk that does not close, or crosses itself, is no such thing: it is
 * kept as walked, and is an open point.
 */
export function roomProblems(room: Room, context: PartContext): readonly Problem[] {
  const figures = [...runProblems(room, context), ...ceilingProblems(room, context)];
  if (figures.length > 0) return figures;
  return [
    ...duplicateIds(room),
    ...room.features.flatMap((feature) => featureProblems(room, feature, context)),
    ...room.openings.flatMap((opening) => openingProblems(room, opening, context)),
    ...neighbourProblems(room, context),
  ];
}

const positive = (path: string, name: string, dimension: Dimension): Problem[] =>
  dimension.valueNm !== null && dimension.valueNm <= 0
    ? [problem("not-positive", path, `${name} is more than zero.`)]
    : [];

const notNegative = (path: string, name: string, dimension: Dimension): Problem[] =>
  dimension.valueNm !== null && dimension.valueNm < 0 ? [problem("negative", path, `${name} is not below zero.`)] : [];

function runProblems(room: Room, { system }: PartContext): Problem[] {
  return room.runs.flatMap((run) => {
    const path = `runs.${run.id}.length`;
    const name = runName(room, run.id);
    if ((run.length.valueNm ?? 0) > LONGEST_WALL_NM) {
      const most = formatLength(LONGEST_WALL_NM, system);
      return [problem("too-long", path, `${name} is at most ${most} long. Check the unit.`)];
    }
    return [
      ...positive(path, name, run.length),
      ...notNegative(`runs.${run.id}.thickness`, `${name}'s thickness`, run.thickness),
      ...atMost(`runs.${run.id}.thickness`, `${name}'s thickness`, run.thickness, THICKEST_NM, system),
    ];
  });
}

function ceilingProblems(room: Room, { system }: PartContext): Problem[] {
  const { height, highHeight, shape, drops } = room.ceiling;
  const say = (nm: Nanometres) => formatLength(nm, system);
  const found = [
    ...positive("ceiling.height", "The ceiling's height", height),
    ...drops.flatMap((drop) =>
      (["length", "width", "depth"] as const).flatMap((field) => [
        ...positive(`drops.${drop.id}.${field}`, `${drop.name}: its ${field}`, drop[field]),
        ...atMost(`drops.${drop.id}.${field}`, `${drop.name}: its ${field}`, drop[field], LONGEST_WALL_NM, system),
      ]),
    ),
    ...notNegative("tolerance", "The gap to spread", room.tolerance),
    ...atMost("tolerance", "The gap to spread", room.tolerance, WIDEST_GAP_NM, system),
    ...atMost("ceiling.highHeight", "The highest height", highHeight, HIGHEST_CEILING_NM, system),
  ];
  if ((height.valueNm ?? 0) > HIGHEST_CEILING_NM) {
    const message = `A ceiling is at most ${say(HIGHEST_CEILING_NM)} high. Check the unit.`;
    found.push(problem("too-high", "ceiling.height", message));
  }
  if (shape.value !== "level" && highHeight.valueNm !== null && highHeight.valueNm <= (height.valueNm ?? 0)) {
    const message = `The highest height is above the lowest, ${say(height.valueNm ?? 0)}.`;
    found.push(problem("high-below-low", "ceiling.highHeight", message));
  }
  return found;
}

function duplicateIds(room: Room): Problem[] {
  const ids = [...room.runs, ...room.features, ...room.openings, ...room.ceiling.drops].map((each) => each.id);
  return ids
    .filter((id, index) => ids.indexOf(id) !== index)
    .map((id) => problem("duplicate-id", "", `Two things in this room share the id ${id}.`));
}

function featureProblems(room: Room, feature: Feature, { system }: PartContext): Problem[] {
  const at = (field: string) => `features.${feature.id}.${field}`;
  const say = (nm: Nanometres) => formatLength(nm, system);
  const found = [
    ...positive(at("width"), `${feature.name}: its clear width`, feature.width),
    ...positive(at("depth"), `${feature.name}: its clear depth`, feature.depth),
    ...notNegative(at("thickness"), `${feature.name}: its walls' thickness`, feature.thickness),
    ...atMost(at("thickness"), `${feature.name}: its walls' thickness`, feature.thickness, THICKEST_NM, system),
    ...atMost(at("depth"), `${feature.name}: its clear depth`, feature.depth, LONGEST_WALL_NM, system),
    ...notNegative(at("position"), `${feature.name}: its place`, feature.position),
  ];
  const runNm = hostLengthNm(room, feature.runId);
  if (runNm === null) {
    const message = `${feature.name} is in a wall that is not measured.`;
    return [...found, problem("no-wall", at("position"), message)];
  }
  const pastNm = featureSpan(feature).endNm - runNm;
  if (pastNm <= 0) return found;
  const name = runName(room, feature.runId);
  return [
    ...found,
    problem("past-corner", at("width"), `${feature.name} goes ${say(pastNm)} past the end of ${name}.`),
  ];
}

function openingProblems(room: Room, opening: RoomOpening, { system }: PartContext): Problem[] {
  const at = (field: string) => `openings.${opening.id}.${field}`;
  const say = (nm: Nanometres) => formatLength(nm, system);
  const found = [
    ...positive(at("width"), `${opening.name}: its width`, opening.width),
    ...positive(at("height"), `${opening.name}: its height`, opening.height),
    ...notNegative(at("sill"), `${opening.name}: its sill`, opening.sill),
    ...atMost(at("height"), `${opening.name}: its height`, opening.height, HIGHEST_CEILING_NM, system),
    ...atMost(at("sill"), `${opening.name}: its sill`, opening.sill, HIGHEST_CEILING_NM, system),
    ...notNegative(at("position"), `${opening.name}: its place`, opening.position),
  ];
  if (opening.kind === "door" && (opening.sill.valueNm ?? 0) > 0) {
    found.push(problem("door-with-sill", at("sill"), `${opening.name}: a door stands on the floor.`));
  }
  const hostNm = hostLengthNm(room, opening.hostId);
  if (hostNm === null) {
    return [...found, problem("no-wall", at("position"), `${opening.name} is in a wall that is not measured.`)];
  }
  const pastNm = openingSpan(opening).endNm - hostNm;
  if (pastNm > 0) {
    const name = hostName(room, opening.hostId);
    const message = `${opening.name} would go ${say(pastNm)} past the corner at the end of ${name}, which is ${say(hostNm)} long.`;
    found.push(problem("across-corner", at("position"), message));
  }
  return [...found, ...headProblems(room, opening, system)];
}

function headProblems(room: Room, opening: RoomOpening, system: PartContext["system"]): Problem[] {
  const say = (nm: Nanometres) => formatLength(nm, system);
  const path = `openings.${opening.id}.height`;
  const headNm = (opening.sill.valueNm ?? 0) + (opening.height.valueNm ?? 0);
  const { ceiling } = room;
  const level = ceiling.shape.value === "level";
  const topNm = level ? ceiling.height.valueNm : ceiling.highHeight.valueNm;
  const found: Problem[] = [];
  if (topNm !== null && headNm > topNm) {
    found.push(
      problem(
        "above-ceiling",
        path,
        `${opening.name}: its head at ${say(headNm)} is above the ceiling, ${say(topNm)}.`,
      ),
    );
  }
  const riseNm = opening.rise.valueNm ?? 0;
  if (opening.kind === "arch" && (riseNm <= 0 || riseNm > (opening.height.valueNm ?? 0))) {
    const message = `${opening.name}: its rise is more than zero and at most its height.`;
    found.push(problem("rise", `openings.${opening.id}.rise`, message));
  }
  return found;
}

type Taken = { readonly name: string; readonly path: string; readonly startNm: Nanometres; readonly endNm: Nanometres };

/** Openings and features of one wall stand beside each other. */
function neighbourProblems(room: Room, { system }: PartContext): Problem[] {
  const hosts = new Set([...room.features.map((each) => each.runId), ...room.openings.map((each) => each.hostId)]);
  return [...hosts].flatMap((hostId) => {
    const taken: Taken[] = [
      ...featuresOf(room, hostId).map((each) => ({
        name: each.name,
        path: `features.${each.id}.position`,
        ...featureSpan(each),
      })),
      ...room.openings
        .filter((each) => each.hostId === hostId)
        .map((each) => ({ name: each.name, path: `openings.${each.id}.position`, ...openingSpan(each) })),
    ].toSorted((a, b) => a.startNm - b.startNm);
    return taken.flatMap((each, index) => {
      const before = taken[index - 1];
      if (!before || each.startNm >= before.endNm) return [];
      const by = formatLength(before.endNm - each.startNm, system);
      return [problem("overlap", each.path, `${each.name} overlaps ${before.name} by ${by}.`)];
    });
  });
}
