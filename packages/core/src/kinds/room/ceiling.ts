import {
  centroid,
  type Direction,
  dot,
  headingFrom,
  keptBelow,
  type Point,
  type Polygon,
  polygonArea,
} from "../../geometry";
import { areaOf, type Nanometres, NM_PER_M, type SquareMetres } from "../../units";
import { outward, type RoomOutline } from "./outline";
import type { Drop, Room } from "./schema";

/** The ceiling as planes over the room: one, or two that meet in a ridge. */
export type CeilingPlanes = {
  readonly heightAt: (point: Point) => Nanometres;
  /** Rise over level length. */
  readonly slope: number;
  /** Into the room from the wall it rises from, and where along it the ridge is; nothing for one plane. */
  readonly inward: Direction;
  readonly ridgeNm: number | undefined;
};

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/** Undefined where there is no height or no plan yet. */
export function ceilingPlanes(room: Room, outline: RoomOutline): CeilingPlanes | undefined {
  const { ceiling } = room;
  const lowNm = ceiling.height.valueNm;
  const { polygon } = outline;
  if (lowNm === null || !polygon) return undefined;
  const level: CeilingPlanes = { heightAt: () => lowNm, slope: 0, inward: { x: 0, y: -1 }, ridgeNm: undefined };
  if (ceiling.shape.value === "level") return level;
  const foot =
    outline.faces.find((face) => face.runId === ceiling.fromRunId && !face.featureId) ??
    outline.faces.find((face) => !face.featureId);
  const heading = foot && headingFrom(foot.from, foot.to);
  if (!foot || !heading) return level;
  const out = outward(heading, outline.clockwise);
  const inward = { x: -out.x, y: -out.y };
  const nearNm = dot(foot.from, inward);
  const deepNm = Math.max(...polygon.map((point) => dot(point, inward) - nearNm));
  const acrossNm = ceiling.shape.value === "vaulted" ? deepNm / 2 : deepNm;
  const slope = slopeOf(room, acrossNm);
  if (slope === undefined) return level;
  const vaulted = ceiling.shape.value === "vaulted";
  const heightAt = (point: Point): number => {
    const inNm = dot(point, inward) - nearNm;
    return lowNm + slope * (vaulted ? Math.min(inNm, deepNm - inNm) : inNm);
  };
  return { heightAt, slope, inward, ridgeNm: vaulted ? nearNm + deepNm / 2 : undefined };
}

/** By the higher height where it is measured, otherwise by the pitch. Undefined where there is neither. */
function slopeOf(room: Room, acrossNm: number): number | undefined {
  const { height, highHeight, pitchDegrees } = room.ceiling;
  if (highHeight.valueNm !== null && acrossNm > 0) return (highHeight.valueNm - (height.valueNm ?? 0)) / acrossNm;
  return pitchDegrees === null ? undefined : Math.tan(radians(pitchDegrees));
}

/** Plan area over the cosine of the slope: the area that boards cover. */
export const slopedArea = (planArea: SquareMetres, slope: number): SquareMetres => planArea * Math.hypot(1, slope);

/** Volume under the planes: each piece's area by the height over its middle. */
export function volumeUnder(polygon: Polygon, planes: CeilingPlanes): number {
  const { ridgeNm, inward } = planes;
  const turned = { x: -inward.x, y: -inward.y };
  const pieces =
    ridgeNm === undefined ? [polygon] : [keptBelow(polygon, inward, ridgeNm), keptBelow(polygon, turned, -ridgeNm)];
  return pieces
    .filter((piece) => piece.length > 2)
    .reduce((sum, piece) => sum + polygonArea(piece) * (planes.heightAt(centroid(piece)) / NM_PER_M), 0);
}

/** Area of a wall from `a` to `b` up to the ceiling, in square metres. */
export function wallAreaUnder(a: Point, b: Point, planes: CeilingPlanes): SquareMetres {
  const lengthM = Math.hypot(b.xNm - a.xNm, b.yNm - a.yNm) / NM_PER_M;
  const points = [a, ...ridgeBetween(a, b, planes), b];
  return points.slice(1).reduce((sum, point, index) => {
    const before = points[index] ?? a;
    const share = Math.hypot(point.xNm - before.xNm, point.yNm - before.yNm) / NM_PER_M / (lengthM || 1);
    const heightM = (planes.heightAt(before) + planes.heightAt(point)) / 2 / NM_PER_M;
    return sum + lengthM * share * heightM;
  }, 0);
}

/** Where the line from `a` to `b` crosses under the ridge; nothing where it does not. */
export function ridgeBetween(a: Point, b: Point, { ridgeNm, inward }: CeilingPlanes): Point[] {
  if (ridgeNm === undefined) return [];
  const [atA, atB] = [dot(a, inward) - ridgeNm, dot(b, inward) - ridgeNm];
  if (Math.sign(atA) * Math.sign(atB) >= 0) return [];
  const share = atA / (atA - atB);
  return [{ xNm: a.xNm + (b.xNm - a.xNm) * share, yNm: a.yNm + (b.yNm - a.yNm) * share }];
}

/** What a bulkhead or tray adds to the ceiling: its upright sides. A bulkhead's ends meet walls. */
export function dropSideArea(drop: Drop): SquareMetres {
  const [lengthNm, widthNm, depthNm] = [drop.length.valueNm ?? 0, drop.width.valueNm ?? 0, drop.depth.valueNm ?? 0];
  return areaOf(drop.kind === "bulkhead" ? lengthNm : 2 * (lengthNm + widthNm), depthNm);
}

/** What it adds to the volume, or takes from it. */
export function dropVolume(drop: Drop): number {
  const volume = areaOf(drop.length.valueNm ?? 0, drop.width.valueNm ?? 0) * ((drop.depth.valueNm ?? 0) / NM_PER_M);
  return drop.kind === "bulkhead" ? -volume : volume;
}
