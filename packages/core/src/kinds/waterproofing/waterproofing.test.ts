import { countPart } from "../../count/countPart";
import { orderJob } from "../../order";
import { planJob, resolveParts } from "../../plan";
import { waterproofingOf } from "../../testing/ground";
import { contexts, library, starterPriceList } from "../../testing/library";
import { entered } from "../../testing/rooms";
import { metres, millimetres } from "../../units";
import { rectangleDefaults } from "../room";
import { type Waterproofing, waterproofingKind } from "./index";

function counted(part: Parameters<typeof countPart>[0]) {
  const count = countPart(part, "metric", library);
  const of = (rule: string) => count.lines.find((line) => line.rule === rule)?.quantity ?? 0;
  const bought = (code: string) =>
    orderJob(count.lines, starterPriceList, "metric")
      .lines.filter(({ itemCode }) => itemCode === code)
      .reduce((sum, { quantity }) => sum + quantity, 0);
  return { ...count, of, bought };
}

const choices = (part: Waterproofing, chosen: Waterproofing["choices"]): Waterproofing => ({
  ...part,
  choices: chosen,
});

describe("keeping walls dry", () => {
  it("slurry of 1.5 kg a m² a coat, two coats on 22 m²: 66 kg in three bags of 25; primer 4.4 l in one can (arithmetic)", () => {
    const part = choices(waterproofingOf("metric", { walls: 22, floor: 0 }), {
      wallsBy: "slurry",
      wallCoats: 2,
      primer: true,
    });
    const { of, bought } = counted(part);
    expect(of("wallSlurry")).toBeCloseTo(66, 9);
    expect(bought("dry/slurry/metric")).toBe(3);
    expect(of("primerNeeded") * 1000).toBeCloseTo(4.4, 9);
    expect(bought("dry/primer/metric")).toBe(1);
  });

  it("plugs at 500 x 250 mm over 6.0 x 2.4 m, one at each edge: 13 columns and 11 rows, 143; by area 8 a m² 116 (arithmetic)", () => {
    const part = waterproofingOf("metric", { walls: 14.4, floor: 0 }, { wallHeight: "2.4 m" });
    expect(counted(choices(part, { wallsBy: "membrane" })).of("plugs")).toBe(143);
    expect(counted(choices(part, { wallsBy: "membrane", plugsBy: "area" })).of("plugs")).toBe(116);
  });

  it("membrane takes about half an hour a m²: 22 m² 11 h (common practice)", () => {
    expect(
      counted(choices(waterproofingOf("metric", { walls: 22, floor: 0 }), { wallsBy: "membrane" })).of("wallWork"),
    ).toBeCloseTo(11, 9);
  });
});

describe("draining the floor", () => {
  it("a channel round 5.1 x 3.4 m in 2 m lengths: 17.0 m, nine with offcuts joined on, four corners (arithmetic)", () => {
    const { of, bought } = counted(waterproofingOf("metric", { walls: 37, floor: 17.34 }, { channelLength: "17 m" }));
    expect(of("channelRun")).toBeCloseTo(17, 9);
    expect(bought("dry/channel/metric")).toBe(9);
    expect(of("channelCornerPieces")).toBe(4);
  });

  it("sump, pump, battery and alarm are what was counted", () => {
    const part = waterproofingOf(
      "metric",
      { walls: 37, floor: 17 },
      {},
      { sumps: 1, pumps: 2, batteries: 1, alarms: 3 },
    );
    const { of } = counted(part);
    expect(["sumpsNeeded", "pumpsNeeded", "batteriesNeeded", "alarmsNeeded"].map(of)).toEqual([1, 2, 1, 3]);
  });
});

describe("membrane round a room", () => {
  // 20.9 m round, 1.9 m of a roll of 2 m seen: eleven drops, the last over the first. At 3.5 m high a roll of 20 m gives five.
  const part = waterproofingOf("metric", { walls: 20.9 * 3.5, floor: 0 }, { wallHeight: "3.5 m" });
  const { of, bought } = counted(part);

  it("closes the ring, its laps taped all", () => {
    expect(of("wallTape")).toBeCloseTo(11 * 3.5, 6);
  });

  it("is bought by the drops that a roll gives: three rolls, where eleven drops by area would be two", () => {
    expect(11 * 3.5 * 2).toBeLessThan(2 * 40);
    expect(bought("dry/membrane/metric")).toBe(3);
  });
});

it("words say the channel only where there is one, and no slurry is spread at no cover", () => {
  const wet = waterproofingOf("metric", { walls: 37, floor: 17 }, { channelLength: "17 m" }, { sumps: 1, pumps: 1 });
  expect(counted(wet).scope.join(" ")).toContain("connect the channel to it");
  const dry = counted(choices(wet, { channel: false })).scope.join(" ");
  expect(dry).toContain("Set a sump with its pump.");
  expect(dry).not.toContain("channel");
  const none = counted(choices(wet, { wallsBy: "slurry", slurryCover: 0 }));
  expect(none.of("wallSlurry")).toBeGreaterThan(0);
  expect(none.problems.map(({ path }) => path)).toContain("choices.slurryCover");
});

describe("a stage that is left out", () => {
  const both = waterproofingOf("metric", { walls: 37, floor: 17 }, { wallHeight: "2.2 m" }, { sumps: 0 });
  const drawn = (part: Waterproofing) => {
    const { drawing } = counted(part);
    return drawing.kind === "elevation" ? drawing.rectangles.map(({ id }) => id) : [];
  };

  it("is out of the lines, the drawing and the words: the floor at no area", () => {
    const whole = counted(both);
    const walls = counted({ ...both, floorArea: { value: 0, typed: "", assumed: false } });
    expect(whole.lines.some(({ rule }) => rule.startsWith("floor"))).toBe(true);
    expect(walls.lines.filter(({ rule }) => /^floor|^channel/.test(rule))).toEqual([]);
    expect(drawn(both)).toContain("floor-membrane");
    expect(drawn({ ...both, floorArea: { value: 0, typed: "", assumed: false } })).not.toContain("floor-membrane");
    expect(walls.scope.join(" ")).not.toContain("floor");
    expect(walls.of("wallMembrane")).toBe(whole.of("wallMembrane"));
  });

  it("the walls left as they are, told and counted nowhere; the channel taken out", () => {
    const left = choices(both, { wallsBy: "none", channel: false });
    const { problems, lines, scope } = counted(left);
    expect(problems.map(({ code }) => code)).toContain("left-as-it-is");
    expect(lines.filter(({ rule }) => /^wall|^channel|^plugs/.test(rule))).toEqual([]);
    expect(drawn(left)).toEqual(expect.not.arrayContaining(["channel", "wall-membrane"]));
    expect(scope.join(" ")).not.toContain("wall");
  });
});

describe("from membrane to slurry on an allowance", () => {
  it("counts whole bags to allow for, and buys none", () => {
    const part = choices(waterproofingOf("metric", { walls: 22, floor: 0 }), {
      wallsBy: "slurry",
      wallMaterial: "allowance",
    });
    const { lines, bought, scope } = counted(part);
    const line = lines.find(({ rule }) => rule === "wallSlurryAllowed");
    expect([line?.quantity, line?.unit, line?.supply]).toEqual([3, "bag", { by: "allowance", rate: "0" }]);
    expect(bought("dry/slurry/metric")).toBe(0);
    expect(scope.join(" ")).toContain("slurry in 2 coats, on a primer");
  });

  it("the customer's own is counted, and not bought", () => {
    const part = choices(waterproofingOf("metric", { walls: 22, floor: 0 }), {
      wallsBy: "membrane",
      wallMaterial: "customer",
    });
    const { lines, bought } = counted(part);
    expect(lines.find(({ rule }) => rule === "wallMembraneCustomer")?.supply).toEqual({ by: "customer" });
    expect(bought("dry/membrane/metric")).toBe(0);
  });
});

describe("walls and floor of a room", () => {
  const room = entered(rectangleDefaults("cellar", "Cellar", contexts.metric), {
    "runs.a.length": "5.1 m",
    "runs.b.length": "3.4 m",
    "ceiling.height": "2.2 m",
  });
  const dry: Waterproofing = { ...waterproofingKind.defaults("dry", "Dry", contexts.metric), roomId: "cellar" };
  const standing = (parts: readonly (typeof room | Waterproofing)[]) =>
    resolveParts(parts, planJob(parts)).find(({ id }) => id === "dry") ?? dry;

  it("follow it: 2 x (5.1 + 3.4) x 2.2 m of wall, 17.34 m² of floor, its corners and its edge", () => {
    const { of } = counted(standing([room, dry]));
    expect(of("wallWork")).toBeCloseTo(17 * 2.2 * 0.5, 9);
    expect(of("floorWork")).toBeCloseTo(17.34 * 0.2, 9);
    expect([of("channelRun"), of("channelCornerPieces")]).toEqual([expect.closeTo(17, 9), 4]);
    const higher = entered(room, { "ceiling.height": "2.4 m" });
    expect(counted(standing([higher, dry])).of("wallWork")).toBeCloseTo(17 * 2.4 * 0.5, 9);
  });

  it("less a sump 450 mm square, which is no floor; an area that was typed is less it already", () => {
    expect(counted(standing([room, { ...dry, sumps: 1 }])).of("floorWork")).toBeCloseTo((17.34 - 0.45 ** 2) * 0.2, 9);
    expect(counted(waterproofingOf("metric", { walls: 0, floor: 10 }, {}, { sumps: 1 })).of("floorWork")).toBeCloseTo(
      2,
      9,
    );
  });

  it("wait while it is gone, and say so", () => {
    const count = countPart(standing([dry]), "metric", library);
    expect([count.waits, count.lines]).toEqual([true, []]);
    expect(count.openPoints.map(({ message }) => message)).toContain(
      "Its room is gone, is not closed, or has no height yet",
    );
  });
});

it("what does not go together is told: pumps without a sump, batteries without pumps, outlets without a channel", () => {
  const codes = (given: Partial<Waterproofing>) =>
    counted(waterproofingOf("metric", { walls: 1, floor: 1 }, {}, given)).problems.map(({ code }) => code);
  expect(codes({ pumps: 1 })).toContain("pump-without-sump");
  expect(codes({ batteries: 1 })).toContain("battery-without-pump");
  expect(codes({ outlets: 1, choices: { channel: false } })).toContain("outlet-without-channel");
  const problems = waterproofingKind.problems(
    {
      ...waterproofingOf("metric", { walls: 20_000, floor: -1 }),
      wallHeight: { valueNm: metres(40), typed: "", assumed: false },
      channelLength: { valueNm: -millimetres(1), typed: "", assumed: false },
    },
    contexts.metric,
  );
  expect(problems.map(({ path }) => path).toSorted()).toEqual(["channelLength", "floorArea", "wallArea", "wallHeight"]);
});
