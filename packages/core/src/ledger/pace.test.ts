import Big from "big.js";
import { reckonJob, startJob } from "../job";
import type { Pricing } from "../price";
import { library, starterCompanySettings, starterPriceList, wallOf } from "../testing/library";
import { feet, inches, sumMoney } from "../units";
import { type Condition, newExtra } from "./index";

const start = { title: "T", customerName: "C", site: "", system: "imperial", currency: "USD" } as const;
const job = startJob(start, starterCompanySettings);
const wall = (id: string, lengthFt: number) => ({
  ...wallOf("imperial", { lengthNm: feet(lengthFt), heightNm: inches(97.125) }),
  id,
  name: id,
});
const walls = [wall("a", 12), wall("b", 20)];
const priced = (change: Partial<Pricing>, parts = walls) =>
  reckonJob({ ...job, pricing: { ...job.pricing, ...change } }, parts, starterPriceList, library).buildUp;
const usual = priced({});
const condition = (percent: string, change: Partial<Condition> = {}): Condition => ({
  id: percent,
  name: "Tight access",
  percent,
  task: "",
  partId: null,
  ...change,
});
const hours = (up: typeof usual, task: string, partId?: string): number =>
  up.ledger
    .filter((line) => line.task === task && (partId === undefined || line.partId === partId))
    .reduce((sum, line) => sum + Number(line.hours), 0);

describe("conditions", () => {
  it("make all work slower, or a task, or a part; several one on the other, and nothing else moves", () => {
    expect(Number(priced({ conditions: [condition("150")] }).labourHours)).toBeCloseTo(
      1.5 * Number(usual.labourHours),
      1,
    );
    const studs = priced({
      conditions: [condition("120", { task: "studs" }), condition("110", { task: "studs", partId: "a" })],
    });
    expect(hours(studs, "studs", "a")).toBeCloseTo(1.32 * hours(usual, "studs", "a"), 3);
    expect(hours(studs, "studs", "b")).toBeCloseTo(1.2 * hours(usual, "studs", "b"), 3);
    expect(hours(studs, "plates")).toBe(hours(usual, "plates"));
    const material = (up: typeof usual) => up.kinds.find(({ kind }) => kind === "material")?.cost;
    expect(material(studs)).toBe(material(usual));
  });

  it("of a part that is gone are told", () => {
    const { problems, total } = priced({ conditions: [condition("120", { partId: "gone" })] });
    expect(problems.map(({ code }) => code)).toEqual(["idle-condition"]);
    expect(total).toBe(usual.total);
  });
});

describe("hours set for a task in all", () => {
  const set = priced({ taskHours: { studs: "40" } });

  it("are one line that its parts share; other tasks stay as they were", () => {
    const own = set.ledger.filter(({ task }) => task === "studs");
    expect(own).toMatchObject([{ hours: "40", cost: "1840.00", source: "task-hours", rate: "46.00" }]);
    expect(sumMoney(own.flatMap(({ shares }) => shares.map(({ cost }) => cost)))).toBe("1840.00");
    expect(own[0]?.shares.map(({ partId }) => partId)).toEqual(["a", "b"]);
    expect(hours(set, "plates")).toBe(hours(usual, "plates"));
    expect(sumMoney(set.lines.map(({ cost }) => cost))).toBe(set.cost);
  });

  it("stay what they are when a part is taken out: they are nobody's own", () => {
    const one = priced({ taskHours: { studs: "40" } }, walls.slice(1));
    const fall = new Big(set.priceBeforeTax).minus(one.priceBeforeTax);
    const { own } = set.byPart.find(({ partId }) => partId === "a") ?? { own: "0" };
    const rests = new Big(sumMoney(set.ledger.filter(({ source }) => source === "rest").map(({ cost }) => cost))).minus(
      sumMoney(one.ledger.filter(({ source }) => source === "rest").map(({ cost }) => cost)),
    );
    // Markups and overhead on the rest of packs come with it.
    expect(fall.minus(own).abs().lte(rests.abs().times(2).plus("0.02"))).toBe(true);
    expect(hours(one, "studs")).toBe(40);
  });

  it("cost what they are where the task takes no time by itself", () => {
    const tasks = job.pricing.tasks.map((task) => (task.id === "studs" ? { ...task, hoursPerUnit: "0" } : task));
    const own = priced({ tasks, taskHours: { studs: "40" } }).ledger.filter(({ task }) => task === "studs");
    expect(own.map(({ cost, shares }) => [cost, sumMoney(shares.map((share) => share.cost))])).toEqual([
      ["1840.00", "1840.00"],
    ]);
  });

  it("of nothing are nothing, and are told", () => {
    expect(priced({ taskHours: { studs: "0" } }).ledger.find(({ task }) => task === "studs")).toMatchObject({
      cost: "0.00",
    });
    expect(priced({ taskHours: { rafters: "12" } }).problems.map(({ code }) => code)).toEqual(["idle-task-hours"]);
  });
});

describe("a cost that was typed and then measured", () => {
  const guess = { ...newExtra("g", "material", "Both walls, a guess", "2000.00"), measuredBy: "a" };

  it("is in the price until the part is counted, and never twice", () => {
    const waiting = { ...wall("a", 12), length: { valueNm: null, typed: "", assumed: false } };
    const typed = (parts: typeof walls) => priced({ extras: [guess] }, parts).ledger.some(({ id }) => id === "extra/g");
    expect(typed([])).toBe(true);
    expect(typed([waiting])).toBe(true);
    expect(typed([wall("a", 12)])).toBe(false);
    expect(priced({ extras: [guess] }).total).toBe(usual.total);
  });
});
