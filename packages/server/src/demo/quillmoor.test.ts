import { partContext, reckonJob, startJob } from "@wide-porch/core/reckoning";
import { library, starterCompanySettings, starterPriceList } from "@wide-porch/library";
import { quillmoor } from "./quillmoor";

const context = partContext("metric", library);
let made = 0;
const newId = () => `part-${++made}`;

describe("the Quillmoor job", () => {
  it("counts its stone, blocks and piers, and everything in it has a price", () => {
    const start = { title: "T", customerName: "C", site: "", system: "metric", currency: "GBP" } as const;
    const { counts, buildUp, order } = reckonJob(
      startJob(start, starterCompanySettings),
      quillmoor(newId, context),
      starterPriceList,
      library,
    );
    const built = counts.filter((count) => !count.waits);
    expect(built.map((count) => count.partName)).toEqual([
      "Stone front",
      "Store, long wall",
      "Store, gable",
      "Gate piers",
    ]);
    for (const count of built) expect([count.partName, count.problems]).toEqual([count.partName, []]);
    const quantity = (name: string, rule: string) =>
      built.find((count) => count.partName === name)?.lines.find((line) => line.rule === rule)?.quantity;
    // Two piers of 8 bricks in each of 20 courses.
    expect(quantity("Gate piers", "outerUnits")).toBe(2 * 8 * 20);
    // 6.4 × 2.7 m less a door and a window, two faces of stones of 0.315 × 0.165 m with their joints, and 8 %.
    const stones = (2 * 1.08 * (6.4 * 2.7 - 2.1 - 1.35 * 1.2)) / (0.315 * 0.165);
    expect(quantity("Stone front", "stoneCount")).toBeCloseTo(stones, 6);
    expect(order.lines.filter((line) => line.unitPrice === null).map((line) => line.itemCode)).toEqual([]);
    expect(Number(buildUp.total)).toBeGreaterThan(5000);
  });
});
