import {
  measured,
  newRoofEdge,
  type Room,
  rectangleDefaults,
  roofKind,
  roofOutlineOnPlan,
  withEdgeEnd,
} from "../kinds";
import { contexts } from "../testing/library";
import { entered } from "../testing/rooms";
import { feet, inches } from "../units";
import { outsideRing } from "./outsideRing";
import { roofOverStorey } from "./roofOutline";
import { planJob } from "./storeyPlan";

const room = (id: string, long: string, deep: string): Room =>
  entered(rectangleDefaults(id, id, contexts.imperial), { "runs.a.length": long, "runs.b.length": deep });
const hall = room("hall", "20'", "12'");
const storeyOf = (...rooms: Room[]) => {
  const [storey] = planJob(rooms).storeys;
  if (!storey) throw new Error("there is no storey");
  return storey;
};
const roof = roofKind.defaults("r", "Roof", contexts.imperial);

describe("a roof over the outside of a storey", () => {
  it("has its sides, wall thickness included, and lies where they lie", () => {
    const storey = storeyOf(hall);
    const over = roofOverStorey(roof, storey);
    expect(over.edges.map(({ length }) => length.valueNm)).toEqual(outsideRing(storey).map(({ lengthNm }) => lengthNm));
    expect(over.edges.map(({ turnDegrees }) => Math.abs(turnDegrees))).toEqual([90, 90, 90, 90]);
    const placed = roofOutlineOnPlan(over);
    for (const side of outsideRing(storey)) {
      const near = placed.some(
        ({ from }) => Math.hypot(from.xNm - side.from.xNm, from.yNm - side.from.yNm) < inches(0.1),
      );
      expect(near).toBe(true);
    }
  });

  it("stands on that storey whichever it was measured on, its plate at the ceiling until it is measured", () => {
    const low = entered(hall, { "ceiling.height": "7'6" });
    const elsewhere = { ...roof, storey: "Upper" };
    const over = roofOverStorey(elsewhere, storeyOf(low));
    expect(over.storey).toBe(low.storey);
    expect(over.plate).toMatchObject({ valueNm: feet(7.5), assumed: true });
    const read = measured(feet(9), "9'");
    expect(roofOverStorey({ ...elsewhere, plate: read }, storeyOf(low)).plate).toBe(read);
  });

  it("keeps how an edge ends while a room comes beside it", () => {
    const over = roofOverStorey(roof, storeyOf(hall));
    const gabled = over.edges.reduce((each, { id }, index) => {
      return index % 2 === 1 ? withEdgeEnd(each, id, "gable", "imperial") : each;
    }, over);
    const den = {
      ...room("den", "8'", "10'"),
      place: { how: "joined" as const, toRoomId: "hall", toRunId: "b", runId: "d", offset: measured(0, "") },
    };
    const wider = roofOverStorey(gabled, storeyOf(hall, den));
    expect(wider.edges.length).toBeGreaterThan(4);
    // The far end of the hall is as it was.
    expect(wider.edges.filter(({ end }) => end === "gable").length).toBeGreaterThanOrEqual(1);
    expect(new Set(wider.edges.map(({ id }) => id)).size).toBe(wider.edges.length);
    expect(roofKind.problems(wider, contexts.imperial)).toEqual([]);
  });

  it("stays as it is over a storey that has no outside yet", () => {
    const open: Room = { ...hall, runs: hall.runs.slice(0, 2), finished: false };
    const own = { ...roof, edges: roof.edges.map((edge) => ({ ...edge, length: measured(feet(9), "") })) };
    expect(roofOverStorey(own, storeyOf(open))).toBe(own);
    expect(newRoofEdge("x", "eave").length.valueNm).toBeNull();
  });
});
