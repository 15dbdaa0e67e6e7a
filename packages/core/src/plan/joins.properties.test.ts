import fc from "fast-check";
import { overlapArea } from "../geometry";
import { measured, newRoomOpening, PART_KINDS, type Room, rectangleDefaults } from "../kinds";
import { contexts } from "../testing/library";
import { entered } from "../testing/rooms";
import { millimetres } from "../units";
import { outsideOf } from "./footprint";
import { resolveWall } from "./resolve";
import { snapRoom } from "./snap";
import { standingWall } from "./standing";
import { planJob, type StoreyPlan, surroundingsOf } from "./storeyPlan";

const context = contexts.metric;
const RUNS = ["a", "b", "c", "d"] as const;

const mm = fc.integer({ min: 20, max: 80 }).map((count) => count * 100);
const room = (id: string, a: number, b: number): Room =>
  entered(rectangleDefaults(id, id, context), { "runs.a.length": `${a}`, "runs.b.length": `${b}` }, context);

/** Two rectangles and the walls by which they are joined, with enough of them side by side for a door. */
const pair = fc
  .record({
    a: mm,
    b: mm,
    c: mm,
    d: mm,
    own: fc.constantFrom(...RUNS),
    wall: fc.constantFrom(...RUNS),
    share: fc.double({ min: 0, max: 1, noNaN: true }),
  })
  .map(({ a, b, c, d, own, wall, share }) => {
    const host = room("host", a, b);
    const guest = room("guest", c, d);
    const wallMm = wall === "a" || wall === "c" ? a : b;
    const ownMm = own === "a" || own === "c" ? c : d;
    const offsetMm = Math.round((wallMm - ownMm) * share);
    const offset = measured(millimetres(offsetMm), `${offsetMm}`);
    const place = { how: "joined" as const, toRoomId: "host", toRunId: wall, runId: own, offset };
    return { host, guest: { ...guest, place }, own, wall };
  });

const storeyOf = (...rooms: Room[]): StoreyPlan => {
  const [storey] = planJob(rooms).storeys;
  if (!storey) throw new Error("no storey");
  return storey;
};

describe("any two rooms joined by any of their walls", () => {
  it("lie side by side: neither floor over the other, their walls one", () => {
    fc.assert(
      fc.property(pair, ({ host, guest }) => {
        const plan = storeyOf(host, guest);
        expect(plan.overlaps).toEqual([]);
        const [first, second] = plan.rooms;
        // With its walls each reaches the other's: the partition is in both.
        expect(first && second && overlapArea(outsideOf(first), outsideOf(second))).toBeGreaterThan(0.1);
        const shared = plan.walls.filter((wall) => new Set(wall.faces.map((face) => face.roomId)).size === 2);
        expect(shared.length).toBeGreaterThanOrEqual(1);
      }),
    );
  });

  it("see a door in the shared wall from both sides in one place, and a stud wall has it once", () => {
    fc.assert(
      fc.property(pair, ({ host, guest, own, wall }) => {
        const door = newRoomOpening(guest, own, "door", "door", context);
        fc.pre(door !== undefined);
        const opened = { ...guest, openings: door ? [door] : [] };
        const plan = planJob([host, opened]);
        const [seen] = surroundingsOf(plan, "host").sharedOpenings;
        const hostNm = host.runs.find((run) => run.id === wall)?.length.valueNm ?? 0;
        const start = seen?.position.valueNm ?? -1;
        const middle = start + (seen?.width.valueNm ?? 0) / 2;
        // A door beyond the end of the host's wall is none of the host's.
        if (!seen) return;
        expect(seen.hostId).toBe(wall);
        expect(middle).toBeGreaterThanOrEqual(0);
        expect(middle).toBeLessThanOrEqual(hostNm);
        const built = {
          ...PART_KINDS["stud-wall"].defaults("w", "w", context),
          plan: { roomId: "host", hostId: wall, stretch: { how: "whole" as const } },
        };
        expect(resolveWall(built, plan).openings.map((each) => each.id)).toEqual(["door"]);
        // Measured along the wall from its left end, it is where each room says: the two come to one place.
        const other = { ...built, plan: { ...built.plan, roomId: "guest", hostId: own } };
        const [one, two] = [standingWall(built, plan), standingWall(other, plan)];
        expect(one?.wall).toBe(two?.wall);
        const [fromHost, fromGuest] = [resolveWall(built, plan), resolveWall(other, plan)];
        const lengthNm = fromHost.length.valueNm ?? 0;
        const [p, q] = [fromHost.openings[0], fromGuest.openings[0]];
        expect((p?.position.valueNm ?? 0) + (p?.width.valueNm ?? 0) + (q?.position.valueNm ?? 0)).toBe(lengthNm);
      }),
    );
  });

  it("come back to the same wall when the joined one is lifted and put down again", () => {
    fc.assert(
      fc.property(pair, fc.integer({ min: -150, max: 150 }), ({ host, guest, own, wall }, byMm) => {
        const plan = storeyOf(host, guest);
        const placed = plan.rooms[1];
        if (!placed) throw new Error("no guest");
        const moved = { xNm: placed.origin.xNm + millimetres(byMm), yNm: placed.origin.yNm - millimetres(byMm) };
        const snapped = snapRoom(plan, guest, moved, millimetres(300), "metric");
        expect(snapped?.room.place).toMatchObject({ how: "joined", toRoomId: "host", toRunId: wall, runId: own });
        const again = storeyOf(host, snapped?.room ?? guest);
        expect(again.overlaps).toEqual([]);
      }),
    );
  });
});
