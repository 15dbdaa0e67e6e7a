import { footingKind, padKind, raftKind, slabKind, waterproofingKind } from "../kinds";
import { footingOf, padOf, raftOf, ribOf, slabOf, WAYS_OF_DIGGING, waterproofingOf } from "../testing/ground";
import { type Choices, withoutEffect } from "../testing/withoutEffect";
import { inches, millimetres } from "../units";

describe("every choice there is reaches the count", () => {
  const DUG: Choices[] = [{}, ...WAYS_OF_DIGGING];
  const steel = {
    mainTop: 2,
    linkSpacing: millimetres(300),
    toeBars: 2,
    toeCrossSpacing: millimetres(300),
    meshLayers: 2,
  };
  // Whether a part is rounded up alone is nothing that its count says: what is ordered does (`order/roundsAlone.test.ts`).
  it.each(["metric", "imperial"] as const)("of a raft, %s", (system) => {
    const figures = {
      "edges.a.length": "9.2 m",
      "edges.b.length": "6.8 m",
      toeWidth: "200 mm",
      toeDepth: "150 mm",
      top: "200 mm",
    };
    const part = raftOf(system, figures, {
      edgeForm: "toe",
      toes: ["a"],
      ribs: [ribOf(system, "r", "along", "300 mm", "600 mm")],
    });
    const others = [
      ...DUG,
      steel,
      { ...steel, chairs: "continuous" },
      { meshBy: "by-area" },
      { blinding: millimetres(50) },
    ];
    expect(withoutEffect(raftKind, { system, part, assemblyIds: ["raft"], others })).toEqual(["rounding"]);
  });

  it("of a slab", () => {
    const part = slabOf("metric", { "edges.a.length": "9 m", "edges.b.length": "6 m", top: "200 mm" }, {}, true);
    const others = [
      ...DUG,
      steel,
      { ...steel, chairs: "continuous" },
      { meshBy: "by-area" },
      { insulation: millimetres(100) },
    ];
    expect(withoutEffect(slabKind, { system: "metric", part, assemblyIds: ["slab"], others })).toEqual(["rounding"]);
  });

  it("of a footing", () => {
    const part = footingOf("imperial", { "edges.a.length": "32'", "edges.b.length": "24'" }, { stem: true });
    const others = [...DUG, { fill: inches(4), blinding: inches(2) }, { crossSpacing: inches(12) }];
    expect(withoutEffect(footingKind, { system: "imperial", part, assemblyIds: ["footing"], others })).toEqual([
      "rounding",
    ]);
  });

  it("of pads", () => {
    const part = padOf("imperial", "pad", 3, { length: '30"', width: '30"', height: '24"', top: '6"' });
    const others = [
      ...DUG,
      { fill: inches(4), blinding: inches(2) },
      { padBarsEachWay: 4 },
      { pourApart: true, concreteBy: "bags" },
    ];
    expect(withoutEffect(padKind, { system: "imperial", part, assemblyIds: ["pad"], others })).toEqual(["rounding"]);
  });

  it("of keeping water out", () => {
    const part = waterproofingOf("metric", { walls: 37, floor: 17 }, { wallHeight: "2.2 m" }, { outlets: 1 });
    const others: Choices[] = [
      {},
      { wallsBy: "slurry", floorBy: "slurry" },
      { wallMaterial: "allowance", floorMaterial: "allowance", wallsBy: "slurry", floorBy: "slurry" },
      { plugsBy: "area" },
    ];
    expect(
      withoutEffect(waterproofingKind, { system: "metric", part, assemblyIds: ["waterproofing"], others }),
    ).toEqual([]);
  });
});
