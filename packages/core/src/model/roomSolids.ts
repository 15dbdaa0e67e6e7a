import { dot } from "../geometry";
import { ceilingPlanes, type Opening, type Room } from "../kinds";
import type { PlacedFace, PlacedRoom, StoreyLevel, StoreyPlan } from "../plan";
import { millimetres, toMetres } from "../units";
import type { Frame, Solid } from "./solid";

const FLOOR = "room-floor";
const WALL = "room-wall";
/** What rooms are shown and hidden as. */
export const ROOMS_GROUP = "Rooms";
/** Thin, so that what is built stands out; no wall is as thin. */
const LINING_M = toMetres(millimetres(12));
const THINNEST_FLOOR_NM = millimetres(50);

type On = { readonly placed: PlacedRoom; readonly storey: StoreyPlan; readonly level: StoreyLevel };

const named = ({ placed: { room }, storey }: On, role: string, id: string) => ({
  id: `${room.id}/${id}`,
  partId: room.id,
  role,
  group: ROOMS_GROUP,
  storey: storey.name,
});

/** The floor as a slab under the room, as thick as the floor is said to be. Nothing while its walk is open. */
function floorSolid(on: On): Solid[] {
  const { placed, level } = on;
  if (!placed.polygon) return [];
  const depthM = toMetres(Math.max(THINNEST_FLOOR_NM, level.buildUpNm));
  return [
    {
      ...named(on, FLOOR, FLOOR),
      tone: "block",
      frame: { origin: [0, toMetres(level.floorNm), 0], along: [1, 0, 0], up: [0, 0, -1] },
      outline: placed.polygon.map(({ xNm, yNm }) => [toMetres(xNm), toMetres(yNm)]),
      holes: [],
      nearM: -depthM,
      depthM,
    },
  ];
}

/** The top of a face from its start to its end: with the ridge where it goes under one. Nothing where nobody knows how high. */
function topOf({ face }: PlacedFace, { room, outline }: PlacedRoom): (readonly [number, number])[] | undefined {
  const planes = ceilingPlanes(room, outline);
  if (!planes) return undefined;
  const lengthNm = Math.hypot(face.to.xNm - face.from.xNm, face.to.yNm - face.from.yNm);
  const heights = [face.from, face.to].map((corner) => planes.heightAt(corner));
  const top: [number, number][] = [[0, toMetres(heights[0] ?? 0)]];
  if (planes.ridgeNm !== undefined) {
    const [startNm, endNm] = [dot(face.from, planes.inward), dot(face.to, planes.inward)];
    const share = (planes.ridgeNm - startNm) / (endNm - startNm);
    if (share > 0.001 && share < 0.999) {
      const between = (a: number, b: number) => a + share * (b - a);
      const ridge = { xNm: between(face.from.xNm, face.to.xNm), yNm: between(face.from.yNm, face.to.yNm) };
      top.push([toMetres(share * lengthNm), toMetres(planes.heightAt(ridge))]);
    }
  }
  top.push([toMetres(lengthNm), toMetres(heights[1] ?? 0)]);
  return top;
}

const CLEAR_M = 0.001;

/** An opening in a face, kept clear of its edges; nothing for one that is not measured or lies in another stretch. */
function holeIn({ face }: PlacedFace, opening: Pick<Opening, "position" | "width" | "height" | "sill">, highM: number) {
  const at = opening.position.valueNm;
  const [wide, high, sill] = [opening.width, opening.height, opening.sill].map((each) => each.valueNm);
  if (at === null || wide == null || high == null || at < face.startNm || at + wide > face.endNm) return [];
  const left = toMetres(at - face.startNm);
  const right = Math.min(left + toMetres(wide), toMetres(face.endNm - face.startNm) - CLEAR_M);
  const foot = Math.max(CLEAR_M, toMetres(sill ?? 0));
  const head = Math.min(toMetres((sill ?? 0) + high), highM - CLEAR_M);
  if (right - left < CLEAR_M || head - foot < CLEAR_M) return [];
  const start = Math.max(CLEAR_M, left);
  return [
    [
      [start, foot],
      [right, foot],
      [right, head],
      [start, head],
    ] as const,
  ];
}

function faceSolid(on: On, placedFace: PlacedFace, openings: readonly Room["openings"][number][]): Solid[] {
  const { placed, level } = on;
  const top = topOf(placedFace, placed);
  const last = top?.[top.length - 1];
  if (!top || !last) return [];
  const { heading, out, from, face } = placedFace;
  const lowestM = Math.min(...top.map(([, up]) => up));
  if (lowestM <= 0) return [];
  const frame: Frame = {
    origin: [toMetres(from.xNm), toMetres(level.floorNm), -toMetres(from.yNm)],
    along: [heading.x, 0, -heading.y],
    up: [0, 1, 0],
  };
  // The depth of the frame goes to the right of the way the face is walked.
  const outside = out.x * heading.y - out.y * heading.x > 0;
  return [
    {
      ...named(on, WALL, `${WALL}/${face.id}`),
      tone: "board",
      frame,
      outline: [[0, 0], [last[0], 0], ...top.toReversed()],
      holes: openings
        .filter((opening) => opening.hostId === face.hostId)
        .flatMap((opening) => holeIn(placedFace, opening, lowestM)),
      nearM: outside ? 0 : -LINING_M,
      depthM: LINING_M,
    },
  ];
}

/** A room as a floor and its walls, but for faces of walls that are built, which stand there themselves. */
export function roomSolids(placed: PlacedRoom, storey: StoreyPlan, level: StoreyLevel, built: ReadonlySet<string>) {
  const on = { placed, storey, level };
  const { room } = placed;
  const openings = [...room.openings, ...(storey.surroundings.get(room.id)?.sharedOpenings ?? [])];
  const faces = placed.faces.filter(({ face }) => !built.has(`${room.id}/${face.id}`));
  return [...floorSolid(on), ...faces.flatMap((face) => faceSolid(on, face, openings))];
}
