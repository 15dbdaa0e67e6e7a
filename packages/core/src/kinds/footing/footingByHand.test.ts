import { countPart } from "../../count/countPart";
import { isBar } from "../../drawing/piece";
import { centreLineM } from "../../ground/strip/quantities";
import { overlapNm } from "../../ground/strip/steps";
import { measured } from "../../parts/dimension";
import { footingOf } from "../../testing/ground";
import { contexts, library } from "../../testing/library";
import { feet, inches, metres, millimetres, toMetres } from "../../units";
import { type Footing, footingKind } from "./index";

const CUBIC_YARD = 0.764554857984;
const FOOT = 0.3048;
const BARE = { fill: 0, blinding: 0, workingSpace: 0 };
const figure = (valueNm: number) => measured(valueNm, "");

function counted(footing: Footing, system: "metric" | "imperial") {
  const { lines, problems, pieces, scope } = countPart(footing, system, library);
  return { of: (rule: string) => lines.find((line) => line.rule === rule)?.quantity ?? 0, problems, pieces, scope };
}

const IMPERIAL = {
  "edges.a.length": "32'",
  "edges.b.length": "24'",
  width: '20"',
  thickness: '10"',
  stemWidth: '8"',
  stemHeight: "3'",
};

describe("a footing 20 x 10 in under an 8 in wall, 32 x 24 ft outside", () => {
  const footing = footingOf("imperial", IMPERIAL, { choices: BARE });

  it("is 109 ft 4 in on its centre line: 112 less four walls (arithmetic)", () => {
    expect(centreLineM(footing, inches(20)) / FOOT).toBeCloseTo(109 + 4 / 12, 9);
    expect(centreLineM(footing, inches(8)) / FOOT).toBeCloseTo(109 + 4 / 12, 9);
  });

  it("takes 5.62 cu yd, and its stem wall 3 ft high 8.10 (arithmetic)", () => {
    const alone = counted({ ...footing, stem: false }, "imperial").of("placed") / CUBIC_YARD;
    expect(alone).toBeCloseTo(5.624, 3);
    expect(counted(footing, "imperial").of("placed") / CUBIC_YARD - alone).toBeCloseTo(8.099, 3);
  });

  it("measured along its centre line is as long as was measured", () => {
    const centre = { ...footing, measuredAlong: "centre" as const };
    expect(centreLineM(centre, inches(20)) / FOOT).toBeCloseTo(112, 9);
  });

  it("has anchor bolts at most 6 ft apart, and two in each line at least (IRC R403.1.6, from memory)", () => {
    const { pieces } = counted(footing, "imperial");
    // Lines of the wall are 31 1/3 and 23 1/3 ft: seven and five of them.
    expect(pieces.filter(({ role }) => role === "anchor").length).toBe(2 * (7 + 5));
  });
});

describe("corners that are not square", () => {
  const walked = (sides: readonly (readonly [number, number])[]): Footing => ({
    ...footingOf(
      "metric",
      { width: "600 mm", thickness: "200 mm" },
      { choices: BARE, stem: false, measuredAlong: "outside" },
    ),
    stemWidth: figure(millimetres(300)),
    edges: sides.map(([lengthNm, turnDegrees], index) => ({ id: `e${index}`, length: figure(lengthNm), turnDegrees })),
  });

  it("an L has one inside corner, which gives back a width: 36 m less four walls (arithmetic)", () => {
    const m = (length: number) => metres(length);
    const l = walked([
      [m(10), 90],
      [m(4), 90],
      [m(4), -90],
      [m(4), 90],
      [m(6), 90],
      [m(8), 90],
    ]);
    expect(centreLineM(l, millimetres(600))).toBeCloseTo(36 - 4 * 0.3, 9);
  });

  it("a hexagon loses width x tan(half the turn) at each: six of 0.3 x tan 30° (arithmetic)", () => {
    const hexagon = walked(Array.from({ length: 6 }, () => [metres(4), 60] as const));
    expect(centreLineM(hexagon, millimetres(600))).toBeCloseTo(24 - 6 * 0.3 * Math.tan(Math.PI / 6), 6);
  });

  it("an open walk of three sides ends square, and has two corners (arithmetic)", () => {
    const u = {
      ...walked([
        [metres(3), 90],
        [metres(5), 90],
        [metres(3), 90],
      ]),
      closed: false,
    };
    expect(centreLineM(u, millimetres(600))).toBeCloseTo(11 - 2 * 0.3, 9);
  });
});

describe("a strip 600 x 225 mm round 10 x 8 m under a 300 mm wall", () => {
  const strip = footingOf(
    "metric",
    {
      "edges.a.length": "10 m",
      "edges.b.length": "8 m",
      width: "600 mm",
      thickness: "225 mm",
      stemWidth: "300 mm",
      below: "1 m",
    },
    { choices: BARE, stem: false },
  );

  it("is 34.8 m on its centre line: 4.698 m³ (arithmetic)", () => {
    expect(counted(strip, "metric").of("placed")).toBeCloseTo(34.8 * 0.6 * 0.225, 9);
  });

  it("is dug 1 m deep, and filled in again beside the wall (arithmetic)", () => {
    const { of } = counted(strip, "metric");
    expect(of("digByMachine")).toBeCloseTo(34.8 * 0.6 * 1, 9);
    expect(of("backfilled")).toBeCloseTo(34.8 * (0.6 - 0.3) * (1 - 0.225), 9);
  });

  it("with a footing within runs from face to face: 8 - 0.3 x 2 - 0.15 x 2 m more (arithmetic)", () => {
    const within = { ...strip, inner: [{ id: "i", runs: "across" as const, at: figure(metres(5)) }] };
    // Outside of the footing lies 150 mm beyond the wall, its inside 450 mm within.
    expect(counted(within, "metric").of("placed")).toBeCloseTo((34.8 + 8 - 2 * 0.45) * 0.6 * 0.225, 9);
  });

  it("steps by twice the rise, its thickness or 300 mm, whichever is most (Approved Document A, from memory)", () => {
    expect([150, 225, 100].map((rise) => overlapNm(millimetres(rise), millimetres(225)) / millimetres(1))).toEqual([
      300, 450, 300,
    ]);
    expect(overlapNm(millimetres(100), millimetres(400)) / millimetres(1)).toBe(400);
  });

  it("with a stretch 3 m long 200 mm lower: each step takes its overlap by its rise more (arithmetic)", () => {
    const stepped = {
      ...strip,
      steps: [{ id: "s", edgeId: "a", from: figure(metres(4)), to: figure(metres(7)), drop: figure(millimetres(200)) }],
    };
    const { of, problems } = counted(stepped, "metric");
    expect(problems).toEqual([]);
    expect(of("placed")).toBeCloseTo(34.8 * 0.6 * 0.225 + 2 * 0.4 * 0.6 * 0.2, 9);
    // 3 m of it are 200 mm deeper.
    expect(of("digByMachine")).toBeCloseTo(34.8 * 0.6 * 1 + 3 * 0.6 * 0.2, 9);
  });

  it("has bars along it lapped in 6 m lengths, by the centre line of each side (arithmetic)", () => {
    const bars = counted(strip, "metric")
      .pieces.filter(isBar)
      .filter(({ role }) => role === "footing-bar");
    // Sides of 9.7 and 7.7 m, two bars each: 6 m and what is left with a lap of 480 mm.
    const lengths = bars.map(({ cutLengthNm }) => toMetres(cutLengthNm));
    expect(lengths.filter((each) => each === 6).length).toBe(8);
    expect(lengths.filter((each) => Math.abs(each - 4.18) < 1e-6).length).toBe(4);
    expect(lengths.filter((each) => Math.abs(each - 2.18) < 1e-6).length).toBe(4);
  });
});

it("a footing within that runs through both arms of a U is in both, and its bars in neither gap (arithmetic)", () => {
  const sides: readonly (readonly [number, number])[] = [
    [12, 90],
    [7, 90],
    [3, 90],
    [4, -90],
    [6, -90],
    [4, 90],
    [3, 90],
    [7, 90],
  ];
  const base = footingOf(
    "metric",
    { width: "600 mm", thickness: "200 mm", stemWidth: "300 mm" },
    { choices: { ...BARE, footingBars: 1 }, stem: false },
  );
  const edges = sides.map(([m, turnDegrees], index) => ({
    id: "abcdefgh"[index] ?? "z",
    length: figure(metres(m)),
    turnDegrees,
  }));
  const without = { ...base, edges };
  const within = { ...without, inner: [{ id: "i", runs: "along" as const, at: figure(metres(5)) }] };
  const [a, b] = [counted(without, "metric"), counted(within, "metric")];
  // From face to face of footings in arms 3 m wide: 3 - 2 x 0.45.
  expect(b.of("placed") - a.of("placed")).toBeCloseTo(2 * 2.1 * 0.6 * 0.2, 6);
  const bars = b.pieces.filter(isBar).filter(({ of: member }) => member === "Inner footing 1");
  expect(bars.map(({ cutLengthNm }) => toMetres(cutLengthNm))).toEqual([2.1, 2.1]);
});

describe("what is odd is said beside its figure, and the rest is counted", () => {
  const base = footingOf("metric", { "edges.a.length": "10 m", "edges.b.length": "8 m" }, { choices: BARE });
  const codes = (footing: Footing) => counted(footing, "metric").problems.map(({ code, path }) => [code, path]);

  it.each<[string, string, Partial<Footing>]>([
    ["wall-over-footing", "stemWidth", { stemWidth: figure(metres(1)) }],
    ["footing-above-ground", "below", { below: figure(millimetres(100)) }],
    ["footings-meet", "width", { width: figure(metres(9)) }],
    [
      "step-too-high",
      "steps.s.drop",
      {
        steps: [
          { id: "s", edgeId: "a", from: figure(metres(2)), to: figure(metres(6)), drop: figure(millimetres(900)) },
        ],
      },
    ],
    [
      "step-nowhere",
      "steps.s.from",
      {
        steps: [
          { id: "s", edgeId: "a", from: figure(metres(12)), to: figure(metres(13)), drop: figure(millimetres(200)) },
        ],
      },
    ],
    ["line-outside", "inner.i.at", { inner: [{ id: "i", runs: "along", at: figure(metres(20)) }] }],
  ])("%s", (code, path, change) => {
    const { of } = counted({ ...base, ...change }, "metric");
    expect(codes({ ...base, ...change })).toContainEqual([code, path]);
    expect(of("placed")).toBeGreaterThan(0);
  });

  it("shallow ones in the words of IRC R403.1.4, at least 12 in; metric ones are told nothing of it", () => {
    const shallow = { below: figure(inches(11)), thickness: figure(inches(6)) };
    expect(counted({ ...base, ...shallow }, "imperial").problems.map(({ code }) => code)).toContain("shallow-footing");
    expect(codes({ ...base, ...shallow }).map(([code]) => code)).not.toContain("shallow-footing");
  });

  it("refuses nothing, less than nothing and what no house has; waits while a side is not measured", () => {
    const problems = (change: Partial<Footing>) =>
      footingKind.problems({ ...base, ...change }, contexts.metric).map(({ path }) => path);
    expect(problems({ width: figure(0) })).toEqual(["width"]);
    expect(problems({ thickness: figure(metres(50)) })).toEqual(["thickness"]);
    expect(countPart(footingOf("metric", {}), "metric", library).waits).toBe(true);
    expect(feet(1)).toBe(inches(12));
  });
});
