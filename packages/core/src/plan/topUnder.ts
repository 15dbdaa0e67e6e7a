import { dot, minus, type Point, turned } from "../geometry";
import { ceilingPlanes, measured, type Profile, ridgeBetween, type Wall } from "../kinds";
import type { PlacedRoom } from "./place";
import type { StandingWall } from "./standing";

/**
 * The top of a standing wall under the ceiling of one of the rooms along it, from the wall's left end. The ceiling's slope
 * goes on over the wall's own thickness at its ends. Undefined where the room does not say.
 */
function profileUnder({ wall, fromNm, toNm, leftIsFrom }: StandingWall, placed: PlacedRoom): Profile | undefined {
  const planes = ceilingPlanes(placed.room, placed.outline);
  const face = wall.faces.find((each) => each.roomId === placed.room.id);
  if (!planes || !face) return undefined;
  const awayNm = dot(face.from, wall.normal);
  const at = (alongNm: number): Point => {
    const onStorey = {
      xNm: wall.direction.x * alongNm + wall.normal.x * awayNm,
      yNm: wall.direction.y * alongNm + wall.normal.y * awayNm,
    };
    return turned(minus(onStorey, placed.origin), -placed.turnDegrees);
  };
  const [leftNm, rightNm] = leftIsFrom ? [fromNm, toNm] : [toNm, fromNm];
  const [left, right] = [at(leftNm), at(rightNm)];
  return [left, ...ridgeBetween(left, right, planes), right].map((point) => ({
    xNm: Math.round(Math.hypot(point.xNm - left.xNm, point.yNm - left.yNm)),
    yNm: Math.round(planes.heightAt(point)),
  }));
}

const highest = (profile: Profile): number => Math.max(...profile.map((point) => point.yNm));
/** Ends that differ by less are level: turning a room leaves a hair. */
const LEVEL_NM = 1000;
const alike = (a: number, b: number): boolean => Math.abs(a - b) < LEVEL_NM;

type Top = Pick<Wall, "height" | "shape">;

function topOf(profile: Profile): Top | undefined {
  const [left, ridge] = profile;
  const right = profile[profile.length - 1];
  if (!left || !ridge || !right) return undefined;
  const figure = (nm: number) => measured(nm, "");
  // Along the high side of a slope the wall is level, and as high as the ceiling is there.
  if (profile.every((point) => alike(point.yNm, left.yNm)))
    return { height: figure(left.yNm), shape: { how: "level" } };
  if (profile.length === 2) {
    const up = left.yNm > right.yNm ? "left" : "right";
    const [lowNm, highNm] = up === "left" ? [right.yNm, left.yNm] : [left.yNm, right.yNm];
    return { height: figure(lowNm), shape: { how: "slope", up, highHeight: figure(highNm) } };
  }
  if (alike(left.yNm, right.yNm)) {
    const shape = { how: "gable" as const, peakHeight: figure(ridge.yNm), peakAt: figure(ridge.xNm) };
    return { height: figure(left.yNm), shape };
  }
  const points = [
    { id: "ridge", at: figure(ridge.xNm), height: figure(ridge.yNm) },
    { id: "end", at: figure(right.xNm), height: figure(right.yNm) },
  ];
  return { height: figure(left.yNm), shape: { how: "points", points } };
}

/** The top that the highest of the sloped ceilings along a wall gives it; undefined where all of them are level. */
export function topUnderCeilings(standing: StandingWall, rooms: readonly PlacedRoom[]): Top | undefined {
  const [first, ...others] = rooms
    .filter(({ room }) => room.ceiling.shape.value !== "level")
    .map((room) => profileUnder(standing, room))
    .filter((profile) => profile !== undefined);
  return first && topOf(others.reduce((best, next) => (highest(next) > highest(best) ? next : best), first));
}
