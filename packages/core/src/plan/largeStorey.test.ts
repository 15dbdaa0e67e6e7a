import { measured, type Part, type Room, rectangleDefaults, studWallKind } from "../kinds";
import { contexts } from "../testing/library";
import { entered } from "../testing/rooms";
import { metres } from "../units";
import { footprintEdges } from "./footprintEdges";
import { planPoints } from "./points";
import { resolveParts } from "./resolve";
import { MOST_OVERLAPS, planJob, type StoreyPlan } from "./storeyPlan";
import { surfaceOf, surfacesOf } from "./surfaces";

const { metric } = contexts;

/** Two rooms side by side, their walls back to back, the second with a slanting side; a wall of theirs is built. */
function house(name: string, xNm: number, yNm: number): { readonly rooms: Room[]; readonly wall: Part } {
  const of = (id: string, a: string, b: string): Room =>
    entered(rectangleDefaults(`${name}-${id}`, `${name} ${id}`, metric), {
      "runs.a.length": a,
      "runs.b.length": b,
      "ceiling.height": "2.4 m",
    });
  const first: Room = { ...of("hall", "5 m", "4 m"), place: { how: "free", xNm, yNm, turnDegrees: 0 } };
  const second: Room = {
    ...of("den", "3 m", "4 m"),
    place: { how: "joined", toRoomId: first.id, toRunId: "b", runId: "d", offset: measured(0, "") },
  };
  const wall: Part = {
    ...studWallKind.defaults(`${name}-wall`, "Wall", metric),
    plan: { roomId: first.id, hostId: "b", stretch: { how: "whole" } },
  };
  return { rooms: [first, second], wall };
}

const storeyOf = (parts: readonly Part[]): StoreyPlan => {
  const [storey] = planJob(parts).storeys;
  if (!storey) throw new Error("there is no storey");
  return storey;
};
/** What is known of a house's walls, wherever among others they lie. */
const wallsOf = (storey: StoreyPlan, name: string) =>
  storey.walls
    .filter(({ faces }) => faces.some(({ roomId }) => roomId.startsWith(`${name}-`)))
    .map(({ start, end, toNm, fromNm, framedFromNm, framedToNm, thicknessNm, insideCorners, meetings, faces }) => ({
      start,
      end,
      longNm: toNm - fromNm,
      framedNm: framedToNm - framedFromNm,
      thicknessNm,
      insideCorners,
      meetings: meetings.map(({ atNm, thicknessNm: met }) => [atNm - fromNm, met]),
      faces: faces.map(({ face, roomId }) => [roomId.slice(name.length), face.id]),
    }));

describe("a storey of many rooms", () => {
  const APART = metres(20);
  const names = Array.from({ length: 150 }, (_, index) => `h${index}`);
  const houses = names.map((name, index) => house(name, (index % 12) * APART, Math.floor(index / 12) * APART));
  const alone = house("h77", 0, 0);
  const many = storeyOf(houses.flatMap(({ rooms }) => rooms));
  const lone = storeyOf(alone.rooms);

  it("has every house of it as it would be alone: walls, corners, sides and surfaces", () => {
    expect(wallsOf(many, "h77")).toEqual(wallsOf(lone, "h77"));
    expect(many.walls).toHaveLength(150 * lone.walls.length);
    const edges = (storey: StoreyPlan) =>
      footprintEdges(storey)
        .filter(({ roomId }) => roomId.startsWith("h77-"))
        .map(({ id, lengthNm }) => [id, lengthNm])
        .toSorted();
    expect(edges(many)).toEqual(edges(lone));
    const surfaces = (storey: StoreyPlan) =>
      surfacesOf(storey)
        .filter(({ roomId }) => roomId.startsWith("h77-"))
        .map(({ id, areaM2, behind }) => [id, areaM2, behind]);
    expect(surfaces(many)).toEqual(surfaces(lone));
    expect(surfaceOf(many, "h77-hall", "floor")?.areaM2).toBeCloseTo(20, 9);
    expect(surfaceOf(many, "h77-hall", "nothing")).toBeUndefined();
    expect(many.overlaps).toEqual([]);
  });

  it("gives every wall that is built in it the figures it would have alone", () => {
    const figures = (parts: readonly Part[]) => {
      const found = resolveParts(parts, planJob(parts)).find(({ id }) => id === "h77-wall");
      return found?.kind === "stud-wall" && { ...found, plan: { ...found.plan } };
    };
    const all = houses.flatMap(({ rooms, wall }) => [...rooms, wall]);
    expect(figures(all)).toEqual(figures([...alone.rooms, alone.wall]));
    expect(planPoints(all, planJob(all), metric)).toEqual([]);
  });

  it("lists so many overlaps at most, and says that there may be more", () => {
    const heap = Array.from({ length: 30 }, (_, index) => house(`o${index}`, 0, 0).rooms.slice(0, 1)).flat();
    const storey = storeyOf(heap);
    // 30 x 29 / 2 = 435 pairs.
    expect(storey.overlaps).toHaveLength(MOST_OVERLAPS);
    const points = planPoints(heap, planJob(heap), metric);
    expect(points).toHaveLength(MOST_OVERLAPS + 1);
    expect(points[MOST_OVERLAPS]?.point.message).toContain("there may be more");
    const [surface] = surfacesOf(storey);
    expect(surface?.behind).toMatch(/ and others$/);
  });
});
