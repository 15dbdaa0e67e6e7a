import { type Footing, footingKind, measured, raftKind, rectangleDefaults, studWallKind } from "../kinds";
import { contexts } from "../testing/library";
import { entered } from "../testing/rooms";
import { toMetres } from "../units";
import { footingUnderStorey, plateUnderStorey } from "./groundUnder";
import { planJob } from "./storeyPlan";

const { metric } = contexts;
const room = (id: string, a: string, b: string) =>
  entered(rectangleDefaults(id, id, metric), { "runs.a.length": a, "runs.b.length": b });

const kitchen = room("kitchen", "5 m", "4 m");
const hall = {
  ...room("hall", "3 m", "4 m"),
  place: { how: "joined" as const, toRoomId: "kitchen", toRunId: "b", runId: "d", offset: measured(0, "") },
};
/** The wall between them, carrying. */
const between = (bearing: boolean) => ({
  ...studWallKind.defaults("w", "Between", metric),
  plan: { roomId: "kitchen", hostId: "b", stretch: { how: "whole" as const } },
  choices: { bearing },
});
const storeyOf = (parts: Parameters<typeof planJob>[0]) => {
  const plan = planJob(parts);
  const [storey] = plan.storeys;
  if (!storey) throw new Error("there is no storey");
  return { plan, storey };
};
const sides = (edges: Footing["edges"]) => edges.map(({ length }) => toMetres(length.valueNm ?? 0));

describe("what lies under a storey", () => {
  it("a raft takes the outside of its walls, and keeps the toe of the side it had it on", () => {
    const { storey } = storeyOf([kitchen, hall]);
    const raft = plateUnderStorey({ ...raftKind.defaults("r", "Raft", metric), edgeForm: "toe" as const }, storey);
    const around = sides(raft.edges).reduce((sum, each) => sum + each, 0);
    expect(around).toBeGreaterThan(2 * (5 + 3 + 4));
    const [first] = raft.edges;
    const toed = { ...raft, edges: raft.edges.map((edge) => ({ ...edge, toe: edge.id === first?.id })) };
    expect(plateUnderStorey(toed, storey).edges.map(({ toe }) => toe)).toEqual(toed.edges.map(({ toe }) => toe));
  });

  it("a footing takes the walls within that carry with it, in the middle of where they stand", () => {
    const { storey, plan } = storeyOf([kitchen, hall, between(true)]);
    const { footing, left } = footingUnderStorey(footingKind.defaults("f", "Footing", metric), storey, plan);
    expect([footing.inner.length, left]).toEqual([1, 0]);
    expect(footing.inner[0]?.runs).toBe(
      footing.edges[0]?.length.valueNm === Math.max(...footing.edges.map(({ length }) => length.valueNm ?? 0))
        ? "across"
        : "along",
    );
  });

  it("and none that does not carry", () => {
    const { storey, plan } = storeyOf([kitchen, hall, between(false)]);
    expect(footingUnderStorey(footingKind.defaults("f", "Footing", metric), storey, plan).footing.inner).toEqual([]);
  });

  it("stays as it was where there is no outside yet", () => {
    const { storey, plan } = storeyOf([rectangleDefaults("k", "k", metric)]);
    const footing = footingKind.defaults("f", "Footing", metric);
    expect(footingUnderStorey(footing, storey, plan).footing).toBe(footing);
  });
});
