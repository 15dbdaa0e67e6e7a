import Big from "big.js";
import { type Job, reckonJob, startJob } from "../job";
import { PART_KINDS, type Part, raftKind } from "../kinds";
import { contexts, library, openingOf, starterCompanySettings, starterPriceList, wallOf } from "../testing/library";
import { feet, inches, lessMoney } from "../units";
import { adviceOn, type OpenRange, type OpenRangeInput, openAfter, openRange, widthOf } from "./index";
import { likelyChoices } from "./likely";

const job = startJob(
  { title: "T", customerName: "C", site: "", system: "imperial", currency: "USD" },
  starterCompanySettings,
);
const decided = {
  bearing: false,
  studSize: "2x4",
  spacing: inches(16),
  bottomPlates: 1,
  topPlates: 2,
  sheathed: false,
};
const wall = (id: string, choices: Record<string, string | number | boolean> = decided, lengthFt = 12) => ({
  ...wallOf("imperial", { lengthNm: feet(lengthFt), heightNm: inches(97.125) }),
  id,
  name: id,
  choices,
});
const without = (name: keyof typeof decided) =>
  Object.fromEntries(Object.entries(decided).filter(([each]) => each !== name));
const inputOf = (parts: readonly Part[], own: Job = job): OpenRangeInput => ({
  job: own,
  parts,
  priceList: starterPriceList,
  library,
});
function rangeOf(parts: readonly Part[], own: Job = job): OpenRange {
  const steps = openRange(inputOf(parts, own));
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    expect(step.value.done).toBeLessThanOrEqual(step.value.of);
  }
}
const total = (parts: readonly Part[]) => reckonJob(job, parts, starterPriceList, library).buildUp.total;

describe("what is open, in money", () => {
  it("is nothing where everything is settled", () => {
    const range = rangeOf([wall("a")]);
    expect(range).toMatchObject({ points: [], least: range.total, most: range.total });
    expect(range.total).toBe(total([wall("a")]));
    expect(rangeOf([])).toMatchObject({ total: "0.00", points: [] });
  });

  it("of an assumed choice is the job reckoned again with each other value, the ends of which are told", () => {
    const { points, total: now, least, most } = rangeOf([wall("a", without("spacing"))]);
    const at = (spacing: number) => lessMoney(total([wall("a", { ...decided, spacing })]), now);
    expect(points).toHaveLength(1);
    expect(points[0]).toMatchObject({
      kind: "assumed",
      message: "Stud spacing is assumed: 16 in",
      more: at(inches(12)),
      moreWords: "12 in",
      less: at(inches(19.2)),
      lessWords: "19.2 in",
    });
    expect(least).toBe(total([wall("a", { ...decided, spacing: inches(19.2) })]));
    expect(most).toBe(total([wall("a", { ...decided, spacing: inches(12) })]));
  });

  it("of what many parts assume alike is one point, changed on all of them together", () => {
    const figure = (id: string) => {
      const made = wall(id);
      return { ...made, height: { ...made.height, assumed: true } };
    };
    const { points } = rangeOf([figure("a"), figure("b")]);
    expect(points).toHaveLength(1);
    expect(points[0]?.points.map(({ partId }) => partId)).toEqual(["a", "b"]);
    expect(Number(points[0]?.more)).toBeGreaterThan(0);
    expect(Number(points[0]?.less)).toBeLessThan(0);
  });

  it("of a part that is not measured is what its like comes to; without a like nobody can say", () => {
    const open = { ...wall("c"), length: { valueNm: null, typed: "", assumed: false } };
    const { points, total: now, least } = rangeOf([wall("a", decided, 8), wall("b", decided, 20), open]);
    const others = [wall("a", decided, 8), wall("b", decided, 20)];
    expect(now).toBe(total(others));
    expect(points[0]).toMatchObject({
      kind: "missing",
      less: lessMoney(total([...others, wall("c", decided, 8)]), now),
      more: lessMoney(total([...others, wall("c", decided, 20)]), now),
    });
    expect(points[0]?.lessWords).toContain("8' 0\"");
    expect(Number(least)).toBeGreaterThan(Number(now));
    const alone = rangeOf([open]);
    expect(alone.points).toMatchObject([
      { unknown: "Nothing like it is measured in this job.", less: "0.00", more: "0.00" },
    ]);
    const room = PART_KINDS.room.defaults("r", "Room", contexts.imperial);
    expect(rangeOf([room]).points[0]?.unknown).not.toBe("");
  });

  it("ends where all points are at their ends together, and lies around each of them", () => {
    const open = [wall("a", {}), wall("b", without("studSize"), 30)];
    const { points, least, most, total: now } = rangeOf(open);
    expect(points.length).toBeGreaterThan(5);
    for (const { less, more } of points) {
      expect(Number(less)).toBeLessThanOrEqual(0);
      expect(Number(more)).toBeGreaterThanOrEqual(0);
      expect(new Big(now).plus(less).gte(least) || Number(less) === 0).toBe(true);
    }
    const widths = points.filter(({ unknown }) => unknown === "").map((each) => Number(widthOf(each)));
    expect(widths).toEqual(widths.toSorted((a, b) => b - a));
    expect(Number(least)).toBeLessThan(Number(now));
    expect(Number(most)).toBeGreaterThan(Number(now));
  });

  it("does not hide behind a typed total", () => {
    const typed: Job = {
      ...job,
      pricing: { ...job.pricing, adjust: { of: "total", amount: "5000.00", over: ["labour"] } },
    };
    expect(rangeOf([wall("a", without("spacing"))], typed)).toEqual(rangeOf([wall("a", without("spacing"))]));
  });

  it("takes no answer that cannot be built: a window a tenth wider than what there is room for", () => {
    const window = openingOf("window", "w", {
      positionNm: inches(8),
      widthNm: inches(46),
      heightNm: inches(36),
      sillNm: inches(30),
    });
    const made = wall("a", decided, 5);
    const open = { ...made, openings: [{ ...window, width: { ...window.width, assumed: true } }] };
    const { points } = rangeOf([open]);
    const width = points.find(({ message }) => message.includes("idth"));
    expect(width?.lessWords + (width?.moreWords ?? "")).toContain("3' 5");
    expect(width?.lessWords + (width?.moreWords ?? "")).not.toContain("4' 2");
  });
});

describe("advice", () => {
  const point = (more: string, unknown = "") => ({
    message: "",
    kind: "assumed" as const,
    points: [],
    less: "0.00",
    more,
    lessWords: "",
    moreWords: "",
    unknown,
  });
  const points = [point("700.00"), point("250.00"), point("60.00"), point("2.00"), point("0.00", "?")];

  it("is the fewest points that most hangs on, and what is of no matter", () => {
    // 700 and 250 of 1,012 are more than eight tenths; 2 of 10,000 are less than a quarter of a percent (arithmetic).
    expect(adviceOn({ points, total: "10000.00" })).toEqual(["next", "next", "later", "no-matter", "later"]);
    expect(openAfter(points, 2)).toBe("62.00");
    expect(openAfter(points, 9)).toBe("0.00");
  });
});

it("a bar may be the next smaller or larger of its own kind, and no other: no. 4 is never 12 mm", () => {
  const bar = raftKind.slot?.parameters.find(({ name }) => name === "mainBar");
  if (!bar) throw new Error("a raft has no main bar");
  const likely = (value: string, system: "imperial" | "metric") =>
    likelyChoices(bar, value, contexts[system]).map((each) => each.value);
  expect(likely("no4", "imperial")).toEqual(["no3", "no5"]);
  expect(likely("12", "metric")).toEqual(["10", "16"]);
  expect(likely("8", "metric")).toEqual(["10"]);
});
