import { countPart } from "../count";
import { FRAMING_PARAMETERS, framingOf, PART_KINDS, type Part, rectangleDefaults, type StudWall } from "../kinds";
import { assemblyOf, contexts, library, starterPriceList, wallOf } from "../testing/library";
import { entered } from "../testing/rooms";
import { feet, formatLength, inches, type MeasuringSystem, metres, millimetres } from "../units";
import { type OrderLine, orderJob } from "./index";

const applied = (part: Part, system: MeasuringSystem, id: string, choices = {}): Part => {
  const { version } = assemblyOf(system, id);
  return { ...part, uses: [{ id: "u", assembly: { id, version }, choices }] };
};
const countOf = (part: Part, system: MeasuringSystem) => countPart(part, system, library).lines;
const orderOf = (part: Part, system: MeasuringSystem): readonly OrderLine[] =>
  orderJob(countOf(part, system), starterPriceList, system).lines;
const doors = (count: number, system: MeasuringSystem): Part => ({
  ...PART_KINDS.spots.defaults("d", "Doors", contexts[system]),
  what: "door",
  count,
});
const find = (lines: readonly OrderLine[], itemCode: string): OrderLine => {
  const found = lines.find((line) => line.itemCode === itemCode);
  if (!found) throw new Error(`no ${itemCode} among ${lines.map((line) => line.itemCode).join(", ")}`);
  return found;
};

describe("what is bought in each measuring system", () => {
  it("is trim in feet for an imperial job and in metres for a metric one", () => {
    const imperial = orderOf(applied(doors(2, "imperial"), "imperial", "door-set"), "imperial");
    const metric = orderOf(applied(doors(2, "metric"), "metric", "door-set"), "metric");
    expect(find(imperial, "trim/casing").description).toMatch(/'/);
    expect(find(metric, "trim/casing-metric").description).toMatch(/\d mm|\d m/);
    expect(metric.some((line) => line.itemCode === "trim/casing")).toBe(false);
  });

  it("is compound by the US gallon or the litre (231 cubic inches: NIST Handbook 44, appendix C)", () => {
    const roomIn = (system: MeasuringSystem, a: string, b: string) =>
      entered(
        rectangleDefaults("r", "R", contexts[system]),
        { "runs.a.length": a, "runs.b.length": b },
        contexts[system],
      );
    const imperial = countOf(applied(roomIn("imperial", "12'", "10'"), "imperial", "room-board"), "imperial");
    const metric = countOf(applied(roomIn("metric", "3.6 m", "3 m"), "metric", "room-board"), "metric");
    const compound = (lines: typeof imperial) => lines.find((line) => line.rule === "compound");
    expect(compound(imperial)?.unit).toBe("liquid");
    expect(compound(imperial)?.working.withNumbers).toMatch(/= [\d.]+ US gal$/);
    expect(compound(metric)?.working.withNumbers).toMatch(/= [\d.]+ L$/);
  });

  it("is a strap at each end and at most so far apart, on walls that ask for them and no others", () => {
    const plain = wallOf("imperial", { lengthNm: feet(20), heightNm: inches(97.125) });
    const { version } = assemblyOf("imperial", "outside-wall");
    const wall: StudWall = { ...plain, assembly: { id: "outside-wall", version } };
    const straps = (choices: StudWall["choices"]) =>
      countOf({ ...wall, choices }, "imperial").find((line) => line.rule === "straps")?.quantity;
    expect(straps({})).toBeUndefined();
    expect(straps({ strapsEvery: feet(4) })).toBe(6);
    expect(straps({ strapsEvery: feet(6) })).toBe(5);
    expect(orderOf({ ...wall, choices: { strapsEvery: feet(4) } }, "imperial")).toContainEqual(
      expect.objectContaining({ itemCode: "hardware/strap", quantity: 6 }),
    );
  });
});

describe("stock lengths", () => {
  const cases: readonly [MeasuringSystem, StudWall, string][] = [
    ["imperial", wallOf("imperial", { lengthNm: feet(14), heightNm: feet(9) }), "timber/2x4"],
    ["metric", wallOf("metric", { lengthNm: metres(4.8), heightNm: millimetres(2400) }), "timber/38x89"],
  ];

  it.each(cases)("of a %s wall are those that are sold: no odd length is ever ordered", (system, wall, itemCode) => {
    const item = starterPriceList.find((each) => each.code === itemCode);
    const sold = item?.buying.by === "length" ? item.buying.stock.map((each) => each.lengthNm) : [];
    const { cuts } = orderJob(countOf(wall, system), starterPriceList, system);
    const bars = cuts.filter((cut) => cut.itemCode === itemCode).flatMap((cut) => cut.bars);
    expect(bars.length).toBeGreaterThan(5);
    for (const bar of bars) expect(sold).toContain(bar.stockNm);
  });

  it.each(cases)("of a %s wall hold every piece that is drawn, once", (system, wall) => {
    const count = countPart(wall, system, library);
    const drawn = count.pieces.filter((piece) => "sectionId" in piece).map((piece) => `${wall.id}/${piece.id}`);
    const { cuts } = orderJob(count.lines, starterPriceList, system);
    const cut = cuts.flatMap((each) => each.bars.flatMap((bar) => bar.pieces.map((piece) => piece.id)));
    expect(cut.filter((id) => !id.startsWith("spare/")).toSorted()).toEqual(drawn.toSorted());
  });
});

describe("another species or strength class", () => {
  const wall = (system: MeasuringSystem, choices: StudWall["choices"], precut = false): StudWall => {
    const sizes = { imperial: [feet(12), feet(8)], metric: [metres(3.6), millimetres(2400)] } as const;
    const [lengthNm, heightNm] = sizes[system];
    const studsFrom = precut ? ({ studsFrom: "precut" } as const) : {};
    const plain = wallOf(system, { lengthNm, heightNm, choices: studsFrom });
    return { ...plain, choices: { ...plain.choices, ...choices } };
  };

  it.each<[MeasuringSystem, StudWall["choices"], string]>([
    ["imperial", { species: "/fir-larch" }, "timber/2x4/fir-larch"],
    ["metric", { strengthClass: "/c24" }, "timber/38x89/c24"],
  ])("is bought for the %s frame, and nothing of the usual", (system, choices, itemCode) => {
    const lines = orderOf(wall(system, choices), system);
    const timber = lines.filter((line) => line.itemCode.startsWith("timber/"));
    expect(timber.length).toBeGreaterThan(0);
    for (const line of timber) {
      expect(line.itemCode).toBe(itemCode);
      expect(line.unitPrice).not.toBeNull();
    }
    // As many pieces as of the usual: only what they are cut from is another.
    const pieces = (each: StudWall) => countOf(each, system).map((line) => [line.key, line.quantity]);
    expect(pieces(wall(system, choices))).toEqual(pieces(wall(system, {})));
  });

  it.each<[MeasuringSystem, StudWall["choices"], string]>([
    ["imperial", { species: "/fir-larch" }, "precut/2x4/fir-larch"],
    ["metric", { strengthClass: "/c24" }, "precut/38x89/c24"],
  ])("is sold as %s precut studs too", (system, choices, itemCode) => {
    const { lines, problems } = orderJob(countOf(wall(system, choices, true), system), starterPriceList, system);
    expect(problems.filter((each) => each.code === "no-price-item")).toEqual([]);
    expect(find(lines, itemCode).unitPrice).not.toBeNull();
  });

  it("is said where it is not sold as precut studs, and the rest is bought all the same", () => {
    const lines = countOf(wall("imperial", { species: "/fir-larch" }, true), "imperial");
    const without = starterPriceList.filter((each) => each.code !== "precut/2x4/fir-larch");
    const order = orderJob(lines, without, "imperial");
    expect(order.problems.map((each) => each.message).join(" ")).toContain("precut/2x4/fir-larch");
    expect(order.lines.some((line) => line.itemCode === "timber/2x4/fir-larch")).toBe(true);
  });

  it("is in the words of the quote, and the usual one is not", () => {
    const scope = (choices: StudWall["choices"]) => countPart(wall("imperial", choices), "imperial", library).scope;
    expect(scope({ species: "/fir-larch" }).join(" ")).toContain("Douglas fir or larch");
    expect(scope({}).join(" ")).not.toContain("fir");
  });
});

describe("the second top plate", () => {
  // Common practice: one on partitions, two on bearing walls; forgetting it is a usual under-order.
  it("is on the order as soon as it is chosen, as long as the wall", () => {
    const run = (topPlates: number): number => {
      const wall = wallOf("imperial", { lengthNm: feet(12), heightNm: feet(8), topPlates });
      const pieces = countPart(wall, "imperial", library).pieces.filter((piece) => piece.role === "cap-plate");
      return pieces.reduce((sum, piece) => sum + piece.widthNm, 0);
    };
    expect(run(1)).toBe(0);
    expect(formatLength(run(2), "imperial")).toBe("12' 0\"");
  });
});

describe("every framing choice", () => {
  const wall = wallOf("imperial", { lengthNm: feet(16), heightNm: feet(9) });

  it.each(FRAMING_PARAMETERS.map((each) => [each.label, each] as const))("“%s” has a name and a value", (_, each) => {
    expect(each.name).toMatch(/^[a-z][A-Za-z]*$/);
    expect(Object.keys(framingOf(wall, "imperial"))).toContain(each.name);
  });
});
