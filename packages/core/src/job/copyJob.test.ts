import { PART_KINDS, type Part } from "../kinds";
import { newExtra } from "../ledger";
import { contexts, library, starterCompanySettings, starterPriceList, wallOf } from "../testing/library";
import { feet, inches } from "../units";
import { type CopyOf, copyJob, type Job, jobSchema, reckonJob, startJob, withNamed } from "./index";

const job = startJob(
  { title: "T", customerName: "C", site: "S", system: "imperial", currency: "USD" },
  starterCompanySettings,
);
const wall = (id: string) => ({
  ...wallOf("imperial", { lengthNm: feet(12), heightNm: inches(97.125) }),
  id,
  name: id,
});
const rectangle = PART_KINDS.room.defaults("room", "Room", contexts.imperial);
const ofRoom: Part = { ...wall("c"), plan: { roomId: "room", hostId: "x", stretch: { how: "whole" } } };
const parts: readonly Part[] = [rectangle, wall("a"), wall("b"), ofRoom];
const whole: CopyOf = { title: "Next", customerName: "D", site: "", partIds: null, shelf: "open", typed: true };
let count = 0;
const newId = (): string => {
  count += 1;
  return `new-${count}`;
};
const copied = (own: Job, change: Partial<CopyOf> = {}) => copyJob(own, parts, { ...whole, ...change }, null, newId);
const reckon = (own: Job, all: readonly Part[]) => reckonJob(own, all, starterPriceList, library).buildUp;
const linesOf = (part: string) =>
  reckon(job, parts).ledger.filter(({ partId, kind }) => partId === part && kind === "labour");

describe("a job copied", () => {
  const [lineA] = linesOf("a");
  const [lineB] = linesOf("b");
  if (!lineA || !lineB) throw new Error("walls take work");
  const own: Job = {
    ...job,
    stage: "won",
    pricing: {
      ...job.pricing,
      adjust: { of: "total", amount: "10.00", over: ["labour"] },
      linesSet: { [lineA.id]: { hours: "9" }, [lineB.id]: { hours: "7" } },
      extras: [{ ...newExtra("x", "material", "Guess", "100"), measuredBy: "a" }],
      conditions: [{ id: "c", name: "Tight", percent: "120", task: "", partId: "b" }],
    },
    swaps: [{ from: "timber/2x4", to: "timber/2x6", partId: "a" }],
  };

  it("comes to the same but for the typed price, with nothing left that is of no line", () => {
    const copy = copied(own);
    expect(jobSchema.safeParse(copy.job).success).toBe(true);
    expect(copy.job).toMatchObject({
      title: "Next",
      stage: "pricing",
      pricing: { adjust: null },
      prices: { taken: {} },
    });
    expect(new Set(copy.parts.map(({ id }) => id)).size).toBe(parts.length);
    const before = reckon({ ...own, pricing: { ...own.pricing, adjust: null } }, parts);
    const after = reckon(copy.job, copy.parts);
    expect(after.total).toBe(before.total);
    expect(after.problems.map(({ code }) => code)).toEqual(before.problems.map(({ code }) => code));
  });

  it("in parts has what is of these parts, and what they are nothing without", () => {
    const some = copied(own, { partIds: ["b"] });
    expect(some.parts.map(({ name }) => name)).toEqual(["b"]);
    expect(Object.values(some.job.pricing.linesSet)).toEqual([{ hours: "7" }]);
    expect(some.job.pricing.conditions).toMatchObject([{ partId: some.parts[0]?.id }]);
    expect(some.job.swaps).toEqual([]);
    expect(some.job.pricing.extras).toMatchObject([{ measuredBy: null }]);
    expect(withNamed(parts, ["c"]).map(({ id }) => id)).toEqual(["room", "c"]);
    expect(copied(own, { partIds: ["gone"] }).parts).toEqual([]);
  });

  it("follows new dimensions: what was measured once is another figure in the copy alone", () => {
    const copy = copied(job);
    const longer = copy.parts.map((part) =>
      part.name === "a" && part.kind === "stud-wall"
        ? { ...part, length: { valueNm: feet(24), typed: "24'", assumed: false } }
        : part,
    );
    expect(Number(reckon(copy.job, longer).total)).toBeGreaterThan(Number(reckon(job, parts).total));
  });

  it("leaves what was typed behind where it is asked to", () => {
    expect(copied(own, { typed: false }).job.pricing.extras).toEqual([]);
    expect(copied(own, { shelf: "template" }).job.shelf).toBe("template");
  });
});
