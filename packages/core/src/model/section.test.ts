import fc from "fast-check";
import { countJob } from "../count";
import { polygonArea } from "../geometry";
import { newRoomOpening, type Part, type Room, rectangleDefaults, type StudWall, storeyKind } from "../kinds";
import { planJob, resolveParts, storeyLevels } from "../plan";
import { contexts, library, openingOf, wallOf } from "../testing/library";
import { masonryOf } from "../testing/masonry";
import { entered } from "../testing/rooms";
import { feet, inches, metres, millimetres, NM_PER_M, toMetres } from "../units";
import { cutSolid, modelOf, reachOf, type SectionLine, type Solid, sectionThrough, usualCut, volumeOf } from "./index";

const context = contexts.imperial;
const modelFor = (parts: readonly Part[], system: "imperial" | "metric" = "imperial") => {
  const plan = planJob(parts);
  const standing = resolveParts(parts, plan);
  return { plan, solids: modelOf(countJob(parts, system, library), standing, plan, contexts[system]) };
};
const room = (id: string, storey: string): Room => ({
  ...entered(rectangleDefaults(id, id, context), {
    "runs.a.length": "12'",
    "runs.b.length": "10'",
    "ceiling.height": "8'",
  }),
  storey,
});
const hall = room("hall", "Ground");
const window = newRoomOpening(hall, "a", "window", "w1", context);
const withWindow = entered(
  { ...hall, openings: window ? [window] : [] },
  { "openings.w1.width": "3'", "openings.w1.height": "4'", "openings.w1.sill": "3'" },
);

/** Cavalieri: areas of cuts through the middle of thin slices, each times its thickness, add up to the volume. */
function bySlices(solid: Solid, along: SectionLine["along"], slices: number): number {
  const reach = reachOf([solid], along);
  if (!reach) return 0;
  const stepNm = (reach.toNm - reach.fromNm) / slices;
  return Array.from({ length: slices }, (_, index) => reach.fromNm + (index + 0.5) * stepNm).reduce(
    (sum, atNm) =>
      sum + cutSolid(solid, { along, atNm }).reduce((area, each) => area + polygonArea(each), 0) * toMetres(stepNm),
    0,
  );
}

describe("a cut through a solid", () => {
  const gable: StudWall = {
    ...wallOf("imperial", {
      lengthNm: feet(12),
      heightNm: feet(8),
      bearing: true,
      openings: [
        openingOf("window", "w", { positionNm: feet(4), widthNm: feet(3), heightNm: feet(3), sillNm: feet(3) }),
      ],
    }),
    shape: {
      how: "gable",
      peakHeight: { valueNm: feet(11), typed: "", assumed: false },
      peakAt: { valueNm: feet(6), typed: "", assumed: false },
    },
  };
  const brick = masonryOf("metric", { lengthNm: metres(2.4), heightNm: metres(1.2) });
  const everything = [
    ...modelFor([withWindow]).solids,
    ...modelFor([gable]).solids,
    ...modelFor([brick], "metric").solids.slice(0, 20),
  ];

  it("in slices comes to its volume, both ways (Cavalieri's principle, general mathematics)", () => {
    fc.assert(
      fc.property(fc.constantFrom(...everything), fc.constantFrom("across" as const, "up" as const), (solid, along) => {
        const volume = volumeOf(solid);
        expect(Math.abs(bySlices(solid, along, 400) - volume)).toBeLessThan(Math.max(1e-5, volume * 0.02));
      }),
      { numRuns: 60 },
    );
  });

  it("turned on the plan comes to its volume as well", () => {
    const turned = { ...withWindow, place: { how: "free" as const, xNm: metres(3), yNm: metres(-2), turnDegrees: 30 } };
    const { solids } = modelFor([turned]);
    for (const solid of solids) {
      const volume = volumeOf(solid);
      expect(Math.abs(bySlices(solid, "across", 800) - volume)).toBeLessThan(volume * 0.03);
    }
  });

  it("that misses it shows nothing", () => {
    for (const solid of everything.slice(0, 10))
      expect(cutSolid(solid, { along: "up", atNm: metres(500) })).toEqual([]);
  });
});

describe("a section through two storeys", () => {
  const upper = room("bedroom", "Upper");
  const levels = [
    { ...storeyKind.defaults("g", "Ground", context), level: 0 },
    {
      ...storeyKind.defaults("u", "Upper", context),
      level: 1,
      floorBuildUp: { valueNm: inches(11), typed: "", assumed: false },
    },
  ];
  const { plan, solids } = modelFor([withWindow, upper, ...levels]);
  const section = (line: SectionLine) => sectionThrough(solids, line, storeyLevels(plan), "imperial");
  const reach = reachOf(solids, "up");
  const middle = ((reach?.fromNm ?? 0) + (reach?.toNm ?? 0)) / 2;

  it("has both floors at their levels, with the height from floor to floor", () => {
    const drawn = section({ along: "up", atNm: middle });
    const floors = drawn?.rectangles.filter((each) => each.role === "room-floor") ?? [];
    expect(floors).toHaveLength(2);
    const tops = floors.map(({ yNm, heightNm }) => yNm + heightNm).toSorted((a, b) => a - b);
    // Ceilings of 8 ft and 11 in of floor over them.
    expect((tops[1] ?? 0) - (tops[0] ?? 0)).toBe(feet(8) + inches(11));
    expect(drawn?.dimensions.map((each) => each.text)).toContain("8' 11\"");
  });

  it("through a window has wall below its sill and above its head, and none between", () => {
    const at = solids.find(({ id }) => id.startsWith("hall/room-wall/a"));
    const [hole] = at?.holes ?? [];
    const [from, to] = [hole?.[0]?.[0] ?? 0, hole?.[1]?.[0] ?? 0];
    const x = ((at?.frame.origin[0] ?? 0) + ((from + to) / 2) * (at?.frame.along[0] ?? 1)) * NM_PER_M;
    const drawn = section({ along: "up", atNm: x });
    const pieces = drawn?.rectangles.filter((each) => each.id.startsWith("hall/room-wall/a")) ?? [];
    expect(pieces.map(({ heightNm }) => Math.round(heightNm / inches(1))).toSorted((a, b) => a - b)).toEqual([12, 36]);
  });

  it("begins where there is something to see, whatever stands alone beside it", () => {
    const far = { ...room("shed", "Ground"), place: { how: "free" as const, xNm: metres(60), yNm: 0, turnDegrees: 0 } };
    const { solids: wide } = modelFor([withWindow, upper, far, ...levels]);
    for (const along of ["across", "up"] as const) {
      const line = { along, atNm: usualCut(wide, along) };
      expect(sectionThrough(wide, line, storeyLevels(plan), "imperial")).toBeDefined();
    }
    expect(usualCut([], "up")).toBe(0);
  });

  it("is nothing beside the house", () => {
    expect(section({ along: "across", atNm: (reach?.toNm ?? 0) + metres(90) })).toBeUndefined();
    expect(reachOf([], "up")).toBeUndefined();
    expect(millimetres(1)).toBeGreaterThan(0);
  });
});
