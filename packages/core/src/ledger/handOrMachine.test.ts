import { plainHire } from "../order";
import { sumMoney } from "../units";
import { asExtras, handOrMachine, type WorkToDo } from "./handOrMachine";
import { typedLines } from "./typedCosts";

const digging: WorkToDo = {
  what: "Dig the trench",
  quantity: "18",
  unit: "m³",
  minutesByHand: "150",
  hourRate: "31.00",
  machine: {
    name: "Digger",
    price: "120.00",
    unit: "day",
    hire: { ...plainHire, least: 1, delivery: "45", collection: "45", fuel: "14" },
    output: "30",
    hours: "8",
  },
};
let count = 0;
const newId = (): string => {
  count += 1;
  return `x${count}`;
};
const costOf = (work: WorkToDo, way: "hand" | "machine"): string =>
  sumMoney(
    asExtras(work, way, "Ground", newId)
      .flatMap((extra) => typedLines(extra, { crews: [], ratePerHour: work.hourRate }))
      .map(({ cost }) => cost),
  );

describe("by hand or by machine", () => {
  // 18 m³ at two and a half hours are 45 h, 1,395.00. Six tenths of a day are one day: 120 + 90 + 14 + 4.8 h at 31, 148.80: 372.80 (arithmetic).
  it("comes to all that each takes", () => {
    const both = handOrMachine(digging);
    expect(both.hand).toEqual({ hours: "45", cost: "1395.00" });
    expect(both.machine).toMatchObject({ needed: "0.6", charged: 1, hours: "4.8", cost: "372.80" });
    expect(both.cheaper).toBe("machine");
  });

  it("charges whole days, and no fewer than the least", () => {
    expect(handOrMachine({ ...digging, quantity: "31" }).machine.charged).toBe(2);
    const week = { ...digging.machine, hire: { ...plainHire, least: 5 } };
    expect(handOrMachine({ ...digging, machine: week }).machine.charged).toBe(5);
    // Charged for five days, it burns for one.
    const burning = { ...digging.machine, hire: { ...plainHire, least: 5, fuel: "14" } };
    expect(handOrMachine({ ...digging, machine: burning }).machine.fuel).toBe("14.00");
    expect(handOrMachine({ ...digging, quantity: "0" })).toMatchObject({
      machine: { cost: "0.00" },
      cheaper: "neither",
    });
  });

  it("a little by hand is cheaper; a machine without output is told", () => {
    expect(handOrMachine({ ...digging, quantity: "1" }).cheaper).toBe("hand");
    const idle = { ...digging, machine: { ...digging.machine, output: "0" } };
    expect(() => handOrMachine(idle)).toThrow("gets nothing done");
  });

  it("the way that is chosen costs in the job what was said", () => {
    expect(costOf(digging, "hand")).toBe("1395.00");
    expect(costOf(digging, "machine")).toBe("372.80");
  });
});
