import fc from "fast-check";
import { countJob } from "../count";
import type { Piece } from "../drawing/piece";
import { polygonArea } from "../geometry";
import { measured, newRoomOpening, type Part, type Room, rectangleDefaults, type StudWall, storeyKind } from "../kinds";
import { planJob, resolveParts } from "../plan";
import { contexts, library, openingOf, wallOf } from "../testing/library";
import { entered } from "../testing/rooms";
import { areaOf, feet, inches } from "../units";
import { modelOf, volumeOf } from "./index";

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
    const square = { along: [1, 0, -0], up: [0, 1, 0] };
    expect(placeOf("wall")?.frame).toEqual({ origin: [0, 0, 1 + 0.9144], ...square });
    expect(placeOf("second")?.frame).toEqual({ origin: [0, 0, 1 + 2 * 0.9144], ...square });
  });

  it("stands walls of a room where they are on the plan, a storey over the ceilings of the one below", () => {
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
    expect(low?.frame.origin[2]).toBeCloseTo(-half, 6);
    expect(low?.frame.along[0]).toBeCloseTo(1, 9);
    expect(low?.outline.map(([, up]) => up)).toEqual([0, 0, 0.0381, 0.0381]);
    // Above a ceiling of 8 ft and a floor of 300 mm, which nobody has measured.
    expect(low?.frame.origin[1]).toBe(0);
    expect(high?.frame.origin[1]).toBeCloseTo(8 * 0.3048 + 0.3, 6);
    expect(high?.frame.origin[0]).toBeCloseTo(12 * 0.3048 + half, 6);
    // Down the page.
    expect(high?.frame.along[2]).toBeCloseTo(1, 9);
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

  it("takes up as much room as its pieces do: faces times depths", () => {
    const shape = { how: "gable", peakHeight: measured(inches(130), ""), peakAt: measured(inches(70), "") } as const;
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 300 }), fc.boolean(), (long, sloped) => {
        const one: StudWall = {
          ...wall,
          openings: [],
          length: measured(inches(long), ""),
          ...(sloped && long > 100 ? { shape } : {}),
        };
        const own = countJob([one], "imperial", library)[0]?.pieces ?? [];
        const faces = new Map(own.map((piece) => [`wall/${piece.id}`, faceArea(piece)]));
        for (const solid of solidsOf([one])) {
          const wanted = (faces.get(solid.id) ?? Number.NaN) * solid.depthM;
          expect(volumeOf(solid)).toBeCloseTo(wanted, 9);
        }
      }),
      { numRuns: 20 },
    );
  });
});

/** Of the face of a piece, by the corners it is cut to. */
function faceArea(piece: Piece): number {
  const corners = "points" in piece ? piece.points : undefined;
  return corners ? polygonArea(corners) : areaOf(piece.widthNm, piece.heightNm);
}

describe("rooms in space", () => {
  // 12 by 10 ft and 8 ft high, with a door of 3 ft by 6 ft 8 in.
  const start = rectangleDefaults("hall", "Hall", contexts.imperial);
  const plain = entered(start, { "runs.a.length": "12'", "runs.b.length": "10'" });
  const made = newRoomOpening(plain, "a", "door", "d", contexts.imperial);
  if (!made) throw new Error("there is room for a door");
  const size = { position: measured(feet(4), ""), width: measured(feet(3), ""), height: measured(inches(80), "") };
  const door = { ...made, ...size };
  const hall: Room = { ...plain, openings: [door] };
  const model = (parts: readonly Part[]) => {
    const plan = planJob(parts);
    const standing = resolveParts(parts, plan);
    return modelOf(countJob(parts, "imperial", library), standing, plan, contexts.imperial);
  };

  it("are a floor and four thin walls with their openings cut out, so that a job without framing has a model", () => {
    const solids = model([hall]);
    expect(solids.map((solid) => solid.role)).toEqual(["room-floor", ...Array(4).fill("room-wall")]);
    const [floor, ...walls] = solids;
    const metres = 0.3048;
    expect(floor && volumeOf(floor)).toBeCloseTo(120 * metres ** 2 * 0.3, 6);
    const areas = walls.map((each) => volumeOf(each) / each.depthM / metres ** 2).toSorted((a, b) => a - b);
    for (const [index, area] of [80, 80, 96 - 20, 96].toSorted((a, b) => a - b).entries()) {
      // The hole keeps a millimetre clear of the floor.
      expect(areas[index]).toBeCloseTo(area, 1);
    }
  });

  it("leave out the face along which a wall is built: that stands there itself", () => {
    const built: StudWall = { ...wall, openings: [], plan: { roomId: "hall", hostId: "a", stretch: { how: "whole" } } };
    const solids = model([hall, built]).filter((solid) => solid.partId === "hall");
    expect(solids.map((solid) => solid.id)).not.toContain("hall/room-wall/a");
    expect(solids).toHaveLength(4);
  });

  it("are nothing while the walk is open, and a floor alone while nobody knows how high", () => {
    expect(model([start])).toEqual([]);
    const high = { ...plain.ceiling.height, valueNm: null };
    expect(model([{ ...plain, ceiling: { ...plain.ceiling, height: high } }]).map((each) => each.role)).toEqual([
      "room-floor",
    ]);
  });
});
