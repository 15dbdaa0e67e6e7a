import { measured, type StudWall } from "../parts";
import { planJob, resolveParts } from "../plan";
import { contexts, library, openingOf, wallOf } from "../testing/library";
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
  return modelOf(countJob(parts, "imperial", library), parts, plan, contexts.imperial.sections);
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

  it("stands walls without a plan one behind the other", () => {
    const two = solidsOf([wall, { ...wall, id: "second" }]);
    const places = new Set(two.map((solid) => solid.atZ));
    expect(places.size).toBe(2);
  });

  it("keeps the slope of what is cut to one", () => {
    const shape = { how: "slope", up: "right", highHeight: measured(inches(130), "") } as const;
    const sloped = solidsOf([{ ...wall, openings: [], shape }]).filter((solid) => solid.role === "stud");
    const tops = sloped.map((stud) => stud.outline.slice(2).map(([, up]) => up));
    for (const [right = 0, left = 0] of tops) expect(right).toBeGreaterThan(left);
  });
});
