import fc from "fast-check";
import initialise, { type ManifoldToplevel } from "manifold-3d";
import { countPart } from "../../count/countPart";
import { isLayer } from "../../drawing/piece";
import type { GroundChoices } from "../../ground";
import { groundChoicesOf } from "../../ground";
import { platePrisms } from "../../ground/plate/prisms";
import { belowGround, type Prism, volumeOf } from "../../ground/prism";
import { stripPrisms } from "../../ground/strip/prisms";
import { modelOf } from "../../model";
import { volumeOf as solidVolume } from "../../model/solid";
import { measured } from "../../parts/dimension";
import { planJob } from "../../plan";
import { footingOf, raftOf, ribOf } from "../../testing/ground";
import { contexts, library } from "../../testing/library";
import { metres, millimetres, toMetres } from "../../units";
import type { Footing } from "../footing";
import type { Raft } from "./schema";

let kernel: ManifoldToplevel;
beforeAll(async () => {
  kernel = await initialise();
  kernel.setup();
});

const CONCRETE = new Set(["slab-concrete", "edge-beam", "rib", "toe", "footing-concrete", "stem-wall"]);
/** What fills a dig beside concrete. */
const FILLING = new Set([...CONCRETE, "ground-insulation", "blinding", "fill", "backfill"]);

/** Solids by another hand than the one that counts: extruded, and joined by a general-purpose kernel. */
function joined(prisms: readonly Prism[]): number {
  const solids = prisms
    .filter(({ fromNm, toNm }) => toNm > fromNm)
    .map(({ ring, fromNm, toNm }) =>
      kernel.Manifold.extrude(
        [ring.map(({ xNm, yNm }): [number, number] => [toMetres(xNm), toMetres(yNm)])],
        toMetres(toNm - fromNm),
      ).translate([0, 0, toMetres(fromNm)]),
    );
  return solids.length === 0 ? 0 : kernel.Manifold.union(solids).volume();
}

const sum = (prisms: readonly Prism[]): number => prisms.reduce((total, each) => total + volumeOf(each), 0);
const of = (prisms: readonly Prism[], roles: ReadonlySet<string>) => prisms.filter(({ role }) => roles.has(role));
const below = (prisms: readonly Prism[]) => prisms.flatMap((each) => belowGround(each) ?? []);

/** Thousandths of a cubic metre: the kernel reckons in single steps of rounding. */
const NEAR = 3;

function expectSound(prisms: readonly Prism[], voidM3 = 0) {
  const concrete = of(prisms, CONCRETE);
  expect(joined(concrete)).toBeCloseTo(sum(concrete), NEAR);
  const dig = of(prisms, new Set(["dig"]));
  expect(joined(dig)).toBeCloseTo(sum(dig), NEAR);
  const filling = below(of(prisms, FILLING));
  expect(joined(filling)).toBeCloseTo(sum(filling), NEAR);
  // Concrete, layers and backfill fill the dig.
  expect(sum(filling) + voidM3).toBeCloseTo(sum(dig), NEAR);
  expect(joined([...filling, ...dig])).toBeCloseTo(joined(dig), NEAR);
}

const mm = (least: number, most: number) => fc.integer({ min: least, max: most });
const optional = (least: number, most: number) => fc.oneof(fc.constant(0), mm(least, most));

const layers = fc.record({
  fill: optional(50, 300),
  blinding: optional(20, 100),
  insulation: optional(25, 150),
  workingSpace: optional(100, 600),
});
const inNm = (choices: Record<string, number>) =>
  Object.fromEntries(Object.entries(choices).map(([name, value]) => [name, millimetres(value)]));

const L_TURNS = [90, 90, -90, 90, 90, 90];
/** An L: the first two sides, and how much of each the notch takes. */
const lOf = (wide: number, deep: number, notch: number): number[] => [
  wide,
  deep - notch,
  notch,
  notch,
  wide - notch,
  deep,
];

it("stands in the model as it is counted: each solid has the volume of its piece", () => {
  const raft = raftOf(
    "metric",
    { "edges.a.length": "7.2 m", "edges.b.length": "4.8 m" },
    { ribs: [ribOf("metric", "r", "along", "300 mm", "600 mm")] },
  );
  const count = countPart(raft, "metric", library);
  const solids = modelOf([count], [raft], planJob([raft]), contexts.metric);
  const layers = count.pieces.filter(isLayer).filter(({ role, volumeM3 }) => role !== "formwork" && volumeM3 > 0);
  expect(layers.length).toBeGreaterThan(10);
  for (const { id, volumeM3 } of layers) {
    const solid = solids.find((each) => each.id === `raft/${id}`);
    expect([id, solid && solidVolume(solid)]).toEqual([id, expect.closeTo(volumeM3, 9)]);
  }
});

describe("what lies in the ground, against solids joined by a general-purpose kernel", () => {
  it("of any raft: nothing is twice, and the dig is filled", () => {
    const raft = fc
      .record({
        wide: mm(4000, 12000),
        deep: mm(4000, 9000),
        notch: mm(1500, 2500),
        cornered: fc.boolean(),
        thickness: mm(100, 300),
        beam: mm(200, 600),
        depth: mm(200, 900),
        top: mm(-50, 400),
        toe: fc.boolean(),
        ribs: fc.array(fc.record({ along: fc.boolean(), width: mm(150, 500), depth: mm(150, 900) }), { maxLength: 3 }),
        layers,
      })
      .map(({ wide, deep, notch, cornered, thickness, beam, depth, top, toe, ribs, layers: chosen }): Raft => {
        const begun = raftOf(
          "metric",
          {
            "edges.a.length": `${wide} mm`,
            "edges.b.length": `${deep} mm`,
            thickness: `${thickness} mm`,
            beamWidth: `${beam} mm`,
            beamDepth: `${depth} mm`,
            toeWidth: "150 mm",
            toeDepth: "150 mm",
          },
          {
            edgeForm: toe ? "toe" : "beam",
            toes: ["a", "b"],
            ribs: ribs.map((rib, index) =>
              ribOf("metric", `r${index}`, rib.along ? "along" : "across", `${rib.width} mm`, `${rib.depth} mm`),
            ),
            choices: inNm(chosen),
          },
        );
        const edges = lOf(wide, deep, notch).map((each, index) => ({
          id: "abcdef"[index] ?? "z",
          length: measured(millimetres(each), ""),
          turnDegrees: L_TURNS[index] ?? 90,
          toe: index < 2,
        }));
        return { ...begun, top: measured(millimetres(top), ""), ...(cornered ? { edges } : {}) };
      });
    fc.assert(
      fc.property(raft, (each) => {
        const choices: GroundChoices = groundChoicesOf(each, "metric");
        const prisms = platePrisms(each, choices);
        // A top below the ground leaves what stands over it open.
        const topNm = each.top.valueNm ?? 0;
        const over = of(prisms, new Set(["slab-concrete"])).map(({ ring }) => ({ ring, fromNm: topNm, toNm: 0 }));
        const toes = topNm < 0 ? of(prisms, new Set(["toe"])) : [];
        expect(toes.every(({ toNm }) => toNm <= 0)).toBe(true);
        expectSound(prisms, topNm < 0 ? over.reduce((total, part) => total + volumeOf(part), 0) : 0);
      }),
      { numRuns: 60, seed: 13 },
    );
  });

  // A step within the dig of a corner is cut there to within litres; these lie clear of it.
  it("of any footing: round a yard, in an open walk, with steps and footings within", () => {
    const footing = fc
      .record({
        wide: mm(5000, 12000),
        deep: mm(5000, 9000),
        closed: fc.boolean(),
        width: mm(400, 900),
        thickness: mm(150, 300),
        wall: mm(150, 350),
        stem: mm(300, 1200),
        below: mm(500, 1500),
        inner: fc.boolean(),
        drop: optional(100, 300),
        layers,
      })
      .map(
        ({
          wide,
          deep,
          closed,
          width,
          thickness,
          wall,
          stem,
          below: deepBelow,
          inner,
          drop,
          layers: chosen,
        }): Footing => {
          const figures = {
            width: `${width} mm`,
            thickness: `${thickness} mm`,
            stemWidth: `${wall} mm`,
            below: `${deepBelow} mm`,
          };
          const footed = footingOf("metric", figures, {
            closed,
            stem: true,
            choices: inNm(chosen),
            inner:
              inner && closed ? [{ id: "i", runs: "across", at: measured(millimetres(Math.round(wide / 2)), "") }] : [],
            steps:
              drop === 0
                ? []
                : [
                    {
                      id: "s",
                      edgeId: "a",
                      from: measured(metres(1.5), ""),
                      to: measured(metres(3), ""),
                      drop: measured(millimetres(drop), ""),
                    },
                  ],
          });
          const sides = [wide, deep, wide, deep].slice(0, closed ? 4 : 3);
          const edges = sides.map((each, index) => ({
            id: "abcd"[index] ?? "z",
            length: measured(millimetres(each), ""),
            turnDegrees: 90,
          }));
          return { ...footed, edges, stemHeight: measured(millimetres(stem), "") };
        },
      );
    fc.assert(
      fc.property(footing, (each) => {
        const prisms = stripPrisms(each, groundChoicesOf(each, "metric"));
        // A stem that does not come up to the ground leaves what stands over it open.
        const stems = of(prisms, new Set(["stem-wall"]));
        const over = stems.map(({ ring, toNm }) => ({ ring, fromNm: Math.min(0, toNm), toNm: 0 }));
        expectSound(
          prisms,
          over.reduce((total, part) => total + volumeOf(part), 0),
        );
      }),
      { numRuns: 60, seed: 13 },
    );
  });
});
