import { type Bounds, type Direction, dot, indexBoxes, leftOf, linesMeet, type Point, widened } from "../geometry";
import { millimetres, type Nanometres } from "../units";
import type { PlacedFace, PlacedRoom } from "./place";

/** How far apart two faces may be measured and still be the two sides of one wall. */
const SAME_WALL_NM = millimetres(50);
/** Faces in one line with no more than a crossing wall between them go on as one wall. */
const GOES_ON_NM = millimetres(500);
const SAME_WAY_DEGREES = 1.5;
/** Walls that meet at less than this are not framed as a corner. */
const LEAST_CORNER_DEGREES = 20;
const LEAST_SINE = Math.sin((LEAST_CORNER_DEGREES * Math.PI) / 180);

/** What stands at the end of a wall. */
export type WallJunction = "free" | "corner-through" | "corner-butts" | "meets";

export type WallMeeting = { readonly atNm: Nanometres; readonly thicknessNm: Nanometres; readonly wall: number };

/**
 * One wall of the storey, with the rooms on its one or both sides. Places along it are measured in its direction from the
 * foot of the page's origin. `fromNm` and `toNm` are between the faces of the walls it ends at; the framed ones go to where
 * its frame ends.
 */
export type PlanWall = {
  readonly direction: Direction;
  readonly normal: Direction;
  /** Of its centre line, along the normal. */
  readonly centreNm: Nanometres;
  readonly thicknessNm: Nanometres;
  readonly fromNm: Nanometres;
  readonly toNm: Nanometres;
  readonly framedFromNm: Nanometres;
  readonly framedToNm: Nanometres;
  readonly start: WallJunction;
  readonly end: WallJunction;
  /** Corners at which the other wall goes off to the outside of this one: inside corners of the house. */
  readonly insideCorners: { readonly start: boolean; readonly end: boolean };
  readonly meetings: readonly WallMeeting[];
  readonly faces: readonly PlacedFace[];
};

type Sided = PlacedFace & { degrees: number; centreNm: number; startNm: number; endNm: number };

/** From 0 up to but not including 180: which way a wall lies, not which way it was walked. */
function lieOf({ x, y }: Direction): number {
  const degrees = (Math.atan2(y, x) * 180) / Math.PI;
  const lie = ((degrees % 180) + 180) % 180;
  return lie > 180 - SAME_WAY_DEGREES / 2 ? 0 : lie;
}

const directionOfLie = (degrees: number): Direction => {
  if (degrees === 0) return { x: 1, y: 0 };
  if (degrees === 90) return { x: 0, y: 1 };
  const radians = (degrees * Math.PI) / 180;
  return { x: Math.cos(radians), y: Math.sin(radians) };
};

/** Faces sorted into the ways they lie; faces of nearly one way take the first's. */
function byLie(faces: readonly PlacedFace[]): Map<number, PlacedFace[]> {
  const groups = new Map<number, PlacedFace[]>();
  for (const face of faces) {
    const lie = lieOf(face.heading);
    const known = [...groups.keys()].find((each) => Math.abs(each - lie) <= SAME_WAY_DEGREES);
    const rounded = Math.abs(lie - 90) < SAME_WAY_DEGREES ? 90 : lie < SAME_WAY_DEGREES ? 0 : lie;
    const group = groups.get(known ?? rounded);
    if (group) group.push(face);
    else groups.set(known ?? rounded, [face]);
  }
  return groups;
}

function sided(face: PlacedFace, degrees: number): Sided {
  const direction = directionOfLie(degrees);
  const normal = leftOf(direction);
  const middle: Point = { xNm: (face.from.xNm + face.to.xNm) / 2, yNm: (face.from.yNm + face.to.yNm) / 2 };
  const outwards = Math.sign(face.out.x * normal.x + face.out.y * normal.y) || 1;
  const ends = [dot(face.from, direction), dot(face.to, direction)];
  return {
    ...face,
    degrees,
    centreNm: dot(middle, normal) + (outwards * face.face.thicknessNm) / 2,
    startNm: Math.min(...ends),
    endNm: Math.max(...ends),
  };
}

type Run = {
  readonly degrees: number;
  readonly faces: Sided[];
  readonly centreNm: number;
  readonly startNm: number;
  endNm: number;
  readonly order: number;
};

/** Runs by where their centre line lies, in strips as wide as two faces of one wall may be apart; those that nothing can join any more are left out. */
class OpenRuns {
  private readonly strips = new Map<number, Run[]>();

  /** Those whose centre line may be a face's, and that have not ended before it begins. */
  near({ centreNm, startNm }: Sided): Run[] {
    const strip = Math.floor(centreNm / SAME_WALL_NM);
    return [strip - 1, strip, strip + 1].flatMap((each) => {
      const open = (this.strips.get(each) ?? []).filter((run) => startNm - run.endNm <= GOES_ON_NM);
      this.strips.set(each, open);
      return open.filter((run) => Math.abs(run.centreNm - centreNm) <= SAME_WALL_NM);
    });
  }

  add(run: Run): void {
    const strip = Math.floor(run.centreNm / SAME_WALL_NM);
    this.strips.set(strip, [...(this.strips.get(strip) ?? []), run]);
  }
}

/** Faces on one centre line that touch, overlap or go on past a crossing wall. */
function joinUp(faces: readonly Sided[]): Run[] {
  const runs: Run[] = [];
  const open = new OpenRuns();
  for (const face of faces.toSorted((a, b) => a.startNm - b.startNm)) {
    // The first that was begun.
    const run = open.near(face).reduce<Run | undefined>((a, b) => (a && a.order < b.order ? a : b), undefined);
    if (!run) {
      const { degrees, centreNm, startNm, endNm } = face;
      const begun: Run = { degrees, faces: [face], centreNm, startNm, endNm, order: runs.length };
      runs.push(begun);
      open.add(begun);
      continue;
    }
    run.faces.push(face);
    run.endNm = Math.max(run.endNm, face.endNm);
  }
  return runs;
}

function wallOf(run: Run): PlanWall {
  const direction = directionOfLie(run.degrees);
  const thicknessNm = Math.max(...run.faces.map((face) => face.face.thicknessNm));
  return {
    direction,
    normal: leftOf(direction),
    centreNm: Math.round(run.centreNm),
    thicknessNm,
    fromNm: Math.round(run.startNm),
    toNm: Math.round(run.endNm),
    framedFromNm: Math.round(run.startNm),
    framedToNm: Math.round(run.endNm),
    start: "free",
    end: "free",
    insideCorners: { start: false, end: false },
    meetings: [],
    faces: run.faces,
  };
}

type Crossing = { readonly atNm: number; readonly halfNm: number; readonly place: "start" | "end" | "between" };

/** Where `other` touches `wall`, seen along `wall`. Undefined where they do not touch. */
function crossingOf(wall: PlanWall, other: PlanWall): Crossing | undefined {
  const sine = Math.abs(wall.direction.x * other.direction.y - wall.direction.y * other.direction.x);
  if (sine < LEAST_SINE) return undefined;
  const on = (each: PlanWall): Point => ({
    xNm: each.normal.x * each.centreNm,
    yNm: each.normal.y * each.centreNm,
  });
  const met = linesMeet(on(wall), wall.direction, on(other), other.direction);
  if (!met) return undefined;
  const reach = (each: PlanWall, byNm: number) => byNm / 2 / sine + each.thicknessNm / 2 + SAME_WALL_NM;
  const atNm = dot(met, wall.direction);
  const otherNm = dot(met, other.direction);
  const ownReach = reach(wall, other.thicknessNm);
  const otherReach = reach(other, wall.thicknessNm);
  if (atNm < wall.fromNm - ownReach || atNm > wall.toNm + ownReach) return undefined;
  if (otherNm < other.fromNm - otherReach || otherNm > other.toNm + otherReach) return undefined;
  const halfNm = other.thicknessNm / 2 / sine;
  const place =
    atNm <= wall.fromNm + halfNm + SAME_WALL_NM
      ? "start"
      : atNm >= wall.toNm - halfNm - SAME_WALL_NM
        ? "end"
        : "between";
  return { atNm, halfNm, place };
}

const lengthOf = (wall: PlanWall): number => wall.toNm - wall.fromNm;

/** At a corner the longer wall runs through, and the other butts against it (common practice); the first where they are alike. */
const runsThrough = (wall: PlanWall, index: number, other: PlanWall, otherIndex: number): boolean => {
  const longerBy = lengthOf(wall) - lengthOf(other);
  return Math.abs(longerBy) > SAME_WALL_NM ? longerBy > 0 : index < otherIndex;
};

/** Whether a wall at a corner goes off to the outside of another. A wall with rooms on both sides has no outside. */
function goesOutside(wall: PlanWall, other: PlanWall): boolean {
  const sides = new Set(wall.faces.map(({ out }) => Math.sign(out.x * wall.normal.x + out.y * wall.normal.y)));
  const [outside] = sides;
  if (sides.size !== 1 || outside === undefined) return false;
  const middleNm = (other.fromNm + other.toNm) / 2;
  const middle = {
    xNm: other.direction.x * middleNm + other.normal.x * other.centreNm,
    yNm: other.direction.y * middleNm + other.normal.y * other.centreNm,
  };
  return (dot(middle, wall.normal) - wall.centreNm) * outside > 0;
}

type Numbered = { readonly wall: PlanWall; readonly index: number };

function withJunctions({ wall, index }: Numbered, near: readonly Numbered[]): PlanWall {
  let { start, end, framedFromNm, framedToNm } = wall;
  const insideCorners = { start: false, end: false };
  const meetings: WallMeeting[] = [];
  for (const { wall: other, index: otherIndex } of near) {
    if (otherIndex === index) continue;
    const crossing = crossingOf(wall, other);
    const back = crossing && crossingOf(other, wall);
    if (!crossing || !back) continue;
    const { atNm, halfNm, place } = crossing;
    if (place === "between") {
      meetings.push({ atNm: Math.round(atNm), thicknessNm: other.thicknessNm, wall: otherIndex });
      continue;
    }
    const corner = back.place !== "between";
    const through = corner && runsThrough(wall, index, other, otherIndex);
    const kind = !corner ? "meets" : through ? "corner-through" : "corner-butts";
    const away = through ? 1 : -1;
    insideCorners[place] = corner && goesOutside(wall, other);
    if (place === "start") {
      start = kind;
      framedFromNm = Math.round(atNm - away * halfNm);
    } else {
      end = kind;
      framedToNm = Math.round(atNm + away * halfNm);
    }
  }
  meetings.sort((a, b) => a.atNm - b.atNm);
  return { ...wall, start, end, framedFromNm, framedToNm, insideCorners, meetings };
}

/** Round all places where another wall may touch a wall, however thick that is and however sharply they meet. */
function reachOf({ direction, normal, centreNm, fromNm, toNm, thicknessNm }: PlanWall, otherNm: Nanometres): Bounds {
  const reachNm = otherNm / 2 / LEAST_SINE + thicknessNm / 2 + SAME_WALL_NM;
  const at = (nm: number): Point => ({
    xNm: direction.x * nm + normal.x * centreNm,
    yNm: direction.y * nm + normal.y * centreNm,
  });
  const [from, to] = [at(fromNm), at(toNm)];
  const box = {
    min: { xNm: Math.min(from.xNm, to.xNm), yNm: Math.min(from.yNm, to.yNm) },
    max: { xNm: Math.max(from.xNm, to.xNm), yNm: Math.max(from.yNm, to.yNm) },
  };
  return widened(box, reachNm);
}

/** The walls of a storey: faces back to back are one wall, faces in line are one wall, and where they meet is known. */
export function planWalls(rooms: readonly PlacedRoom[]): readonly PlanWall[] {
  const faces = rooms.filter((room) => room.polygon).flatMap((room) => room.faces);
  const walls = [...byLie(faces)].flatMap(([degrees, group]) =>
    joinUp(group.map((face) => sided(face, degrees))).map(wallOf),
  );
  const numbered = walls.map((wall, index): Numbered => ({ wall, index }));
  const thickestNm = Math.max(0, ...walls.map(({ thicknessNm }) => thicknessNm));
  const boxOf = ({ wall }: Numbered) => reachOf(wall, thickestNm);
  const near = indexBoxes(numbered, boxOf);
  return numbered.map((each) => withJunctions(each, near(boxOf(each))));
}
