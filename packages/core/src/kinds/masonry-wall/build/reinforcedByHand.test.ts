import { countOf, orderAndPrice, startJob } from "../../../job";
import { library, openingOf, starterCompanySettings, starterPriceList } from "../../../testing/library";
import { counted, masonryOf, quantityOf } from "../../../testing/masonry";
import { feet, inches, millimetres } from "../../../units";

/** Block walls with bars, grout and bond beams, copings and a hired mixer, worked by hand. Arithmetic on common practice. */
const block = (
  choices: Record<string, number | boolean | string>,
  openings: Parameters<typeof masonryOf>[1]["openings"] = [],
) =>
  counted(
    masonryOf("imperial", {
      lengthNm: feet(16),
      heightNm: feet(8),
      assemblyId: "block-wall",
      choices: { unit: "block-8", ...choices },
      openings,
    }),
    "imperial",
  );
const metresOf = (feetLong: number): number => feetLong * 0.3048;

describe("a block wall of 16 ft by 8 ft, twelve courses of twelve", () => {
  it("has bars at both ends and each 4 ft between: five, 10 ft each with a lap of 2 ft", () => {
    const count = block({ barsEvery: feet(4), barLap: feet(2) });
    expect(quantityOf(count, "verticalBars")).toBeCloseTo(metresOf(50), 6);
    // Five cells over twelve courses, half a unit's cores each.
    const { coreM3 = 0 } = library.units["block-8"] ?? {};
    expect(coreM3).toBeGreaterThan(0);
    expect(quantityOf(count, "groutVolume")).toBeCloseTo((5 * 12 * coreM3) / 2, 6);
    expect(quantityOf(count, "outerUnits")).toBe(144);
  });

  it("has two more bars for each opening, one at each side of it", () => {
    const door = openingOf("door", "d", { positionNm: feet(4), widthNm: feet(4), heightNm: inches(80) });
    expect(quantityOf(block({ barsEvery: feet(4), barLap: 0 }, [door]), "verticalBars")).toBeCloseTo(
      metresOf(7 * 8),
      6,
    );
  });

  it("has twelve trough units to a bond beam, in place of plain ones, with their bar and grout", () => {
    const count = block({ bondBeams: 1, barLap: feet(2) });
    expect(quantityOf(count, "beamUnits")).toBe(12);
    expect(quantityOf(count, "outerUnits")).toBe(132);
    expect(quantityOf(count, "beamBarRun")).toBeCloseTo(metresOf(18), 6);
    expect(quantityOf(count, "groutVolume")).toBeCloseTo(metresOf(16) * 0.0163, 6);
    // 5 % of what is laid plain.
    expect(quantityOf(count, "outerSpare")).toBeCloseTo(6.6, 6);
  });

  it("has no more bond beams than courses, and none of all this unless it is chosen", () => {
    expect(quantityOf(block({ bondBeams: 40 }), "beamUnits")).toBe(144);
    expect(quantityOf(block({ bondBeams: 40 }), "outerUnits")).toBe(0);
    const plain = block({});
    for (const rule of ["verticalBars", "beamUnits", "groutVolume", "copings", "mixerHire", "archesMade"])
      expect(quantityOf(plain, rule)).toBe(0);
    expect(plain.problems).toEqual([]);
  });

  it("has eight copings of 24 in along a level top; a gable 6 m wide and 2.1 m high has thirteen of 600 mm up its slopes", () => {
    expect(quantityOf(block({ coping: true }), "copings")).toBe(8);
    const gable = masonryOf("metric", {
      lengthNm: millimetres(6000),
      heightNm: millimetres(300),
      assemblyId: "brick-wall",
      choices: { coping: true },
      shape: {
        how: "gable",
        peakHeight: { valueNm: millimetres(2400), typed: "", assumed: false },
        peakAt: { valueNm: millimetres(3000), typed: "", assumed: false },
      },
    });
    // Twice the root of 3² + 2.1² is 7.324 m.
    expect(quantityOf(counted(gable), "copings")).toBe(13);
  });
});

describe("a mixer that is hired by the day", () => {
  const start = { title: "T", customerName: "C", site: "", system: "metric", currency: "GBP" } as const;
  const job = startJob(start, starterCompanySettings);
  const wall = (id: string) => ({
    ...masonryOf("metric", { lengthNm: millimetres(6000), heightNm: millimetres(2400), choices: { mixerDays: 2 } }),
    id,
    name: id,
  });
  const reckoned = (...ids: string[]) => {
    const counts = countOf(job, ids.map(wall), starterPriceList, library);
    const { order, buildUp } = orderAndPrice(job, counts, starterPriceList, library);
    const hired = order.lines.find((line) => line.itemCode === "plant/mixer-day");
    return { counts, hired, byPart: buildUp?.byPart ?? [], price: buildUp?.priceBeforeTax };
  };

  it("is shared by the walls of the job: part days are rounded up once, not wall by wall", () => {
    const one = reckoned("a");
    const days = quantityOf(one.counts[0] ?? counted(wall("a")), "mixerHire");
    // 14.4 m² at 0.0176 m³ and a tenth wasted: 0.279 m³ of mortar, at two days a cubic metre.
    expect(days).toBeCloseTo(0.557, 2);
    expect(one.hired?.quantity).toBe(1);
    const three = reckoned("a", "b", "c");
    expect(three.hired?.quantity).toBe(Math.ceil(3 * days));
    expect(three.hired?.quantity).toBe(2);
    expect(three.hired?.countLineIds).toHaveLength(3);
  });

  it("is paid by its walls to the cent", () => {
    const { byPart, price } = reckoned("a", "b", "c");
    const sum = byPart.reduce((total, each) => total + Math.round(Number(each.price) * 100), 0);
    expect(sum).toBe(Math.round(Number(price) * 100));
  });
});
