import { planJob, resolveParts } from "../house";
import { measured, rectangleDefaults, type StudWall, storeyKind } from "../kinds";
import { contexts, library, openingOf, wallOf } from "../testing/library";
import { entered } from "../testing/rooms";
import { feet, inches } from "../units";
import { countJob, modelOf } from "./index";

const window = openingOf("window", "w", {
  positionNm: inches(48),
  widthNm: inches(36),
  heightNm: inches(48),
  sillNm: inches(34),
});
const wall = wallOf("imperial", {
  lengthNm: feet(12),
  heightNm: inches(97.125),
  bearing: true,
  sheathed: true,
  openings: [window],
});

function solidsOf(walls: StudWall[]) {
  const plan = planJob(walls);
  const parts = resolveParts(walls, plan);
  return modelOf(countJob(parts, "imperial", library), parts, plan, contexts.imperial);
}

describe("the framing in space", () => {
  const solids = solidsOf([wall]);
  const of = (role: string) => solids.filter((solid) => solid.role === role);

  it("has a solid for each placed piece, as deep as its timber: 3 1/2 in for a stud", () => {
    expect(new Set(solids.map((solid) => solid.id)).size).toBe(solids.length);
    expect(of("stud")).toHaveLength(7);
    for (const stud of of("stud")) expect(stud.depthM).toBeCloseTo(0.0889, 6);
  });

  it("lays the plies of a header side by side, 1 1/2 in each", () => {
    const [first, second] = of("header").map((solid) => solid.nearM);
    expect((second ?? 0) - (first ?? 0)).toBeCloseTo(0.0381, 6);
  });

  it("hangs sheathing outside the studs", () => {
    for (const sheet of of("sheathing")) expect(sheet.nearM).toBeCloseTo(0.0889 / 2, 6);
  });

  it("stands walls without a plan one behind the other: a metre beside the house and 3 ft for each", () => {
    const two = solidsOf([wall, { ...wall, id: "second" }]);
    const placeOf = (id: string) => two.find(({ partId }) => partId === id);
    expect(placeOf("wall")).toMatchObject({ atX: 0, atZ: 1 + 0.9144, turn: 0 });
    expect(placeOf("second")).toMatchObject({ atX: 0, atZ: 1 + 2 * 0.9144, turn: 0 });
  });

  it("stands walls of a room where they are on the plan, a storey 3 m above the one below", () => {
    const room = (id: string, storey: string, level: number) => [
      {
        ...entered(rectangleDefaults(id, id, contexts.imperial), { "runs.a.length": "12'", "runs.b.length": "10'" }),
        storey,
      },
      { ...storeyKind.defaults(`s/${id}`, storey, contexts.imperial), level },
    ];
    const on = (id: string, roomId: string, hostId: string, storey: string): StudWall => ({
      ...wallOf("imperial", { lengthNm: feet(1), heightNm: inches(97.125) }),
      id,
      storey,
      plan: { roomId, hostId, stretch: { how: "whole" } },
    });
    const walls = [on("low", "r1", "a", "Ground"), on("high", "r2", "b", "Upper")];
    const parts = [...room("r1", "Ground", 0), ...room("r2", "Upper", 1), ...walls];
    const plan = planJob(parts);
    const standing = resolveParts(parts, plan);
    const counted = countJob(standing, "imperial", library);
    const found = modelOf(counted, standing, plan, contexts.imperial);
    const plateOf = (id: string) => found.find(({ partId, role }) => partId === id && role === "bottom-plate");
    // Of a room 12 by 10 ft with walls 4 1/2 in thick, seen from inside: the left end of wall A, above, is its start; of
    // wall B, at the right, it is above, and the wall goes down the page: a quarter turn with the clock.
    const half = 0.05715;
    const [low, high] = [plateOf("low"), plateOf("high")];
    expect(low?.atZ).toBeCloseTo(-half, 6);
    expect(low?.turn).toBeCloseTo(0, 9);
    expect(low?.outline.map(([, up]) => up)).toEqual([0, 0, 0.0381, 0.0381]);
    expect(high?.outline.map(([, up]) => Number(up.toFixed(4)))).toEqual([3, 3, 3.0381, 3.0381]);
    expect(high?.atX).toBeCloseTo(12 * 0.3048 + half, 6);
    expect(Math.sin(high?.turn ?? 0)).toBeCloseTo(-1, 9);
  });

  it("has each thing as deep in the wall as it lies", () => {
    const own = wallOf("imperial", {
      lengthNm: feet(12),
      heightNm: inches(97.125),
      openings: [window],
      choices: { boardsNear: 2, boardsFar: 1, anchorBolts: true },
    });
    const [stud, board] = [0.0889, 0.012];
    const lies = (role: string) => [
      ...new Set(
        solidsOf([own])
          .filter((solid) => solid.role === role)
          .map(({ nearM, depthM }) => `${nearM.toFixed(5)} ${depthM.toFixed(5)}`),
      ),
    ];
    const text = (near: number, deep: number) => `${near.toFixed(5)} ${deep.toFixed(5)}`;
    expect(lies("stud")).toEqual([text(-stud / 2, stud)]);
    expect(lies("board-near")).toEqual([text(-stud / 2 - board, board), text(-stud / 2 - 2 * board, board)]);
    expect(lies("board-far")).toEqual([text(stud / 2, board)]);
    expect(lies("anchor-bolt")).toEqual([text(-stud / 4, stud / 2)]);
  });

  it("keeps the slope of what is cut to one", () => {
    const shape = { how: "slope", up: "right", highHeight: measured(inches(130), "") } as const;
    const sloped = solidsOf([{ ...wall, openings: [], shape }]).filter((solid) => solid.role === "stud");
    const tops = sloped.map((stud) => stud.outline.slice(2).map(([, up]) => up));
    for (const [right = 0, left = 0] of tops) expect(right).toBeGreaterThan(left);
  });
});
