import { contexts, library, openingOf, starterCompanySettings, starterPriceList, wallOf } from "../testing/library";
import { feet, inches } from "../units";
import { draftQuote, type Job, jobChangesSchema, reckonJob, startJob, withoutRates, withPartsRenamed } from "./index";

const start = { title: "T", customerName: "C", site: "S", system: "imperial", currency: "USD" } as const;
const job = startJob(start, starterCompanySettings);
const wall = (id: string) => ({
  ...wallOf("imperial", {
    lengthNm: feet(16),
    heightNm: inches(97.125),
    sheathed: true,
    openings: [openingOf("door", "d", { positionNm: inches(12), widthNm: inches(38), heightNm: inches(82.5) })],
  }),
  id,
  name: id,
});
const walls = [wall("a"), wall("b")];
const reckoned = (change: Partial<Job>) => reckonJob({ ...job, ...change }, walls, starterPriceList, library);
const plain = reckoned({});
const [STUD, OTHER] = ["timber/2x4", "timber/2x4/fir-larch"];
const boughtOf = ({ order }: typeof plain, code: string) => order.lines.filter(({ itemCode }) => itemCode === code);
const itemsOf = ({ buildUp }: typeof plain, partId: string) =>
  new Set(buildUp.ledger.filter((line) => line.partId === partId).map(({ itemCode }) => itemCode));
const lineOf = (code: string, partId = "a") => {
  const line = plain.counts
    .flatMap((count) => count.lines)
    .find((each) => each.itemCode === code && each.partId === partId);
  if (!line) throw new Error(`nothing of ${code} is counted`);
  return line;
};

describe("an item in the place of another", () => {
  it("over the job is bought for every line of it, and nothing else changes", () => {
    const all = reckoned({ swaps: [{ from: STUD, to: OTHER, partId: null }] });
    expect(boughtOf(all, STUD)).toEqual([]);
    expect(boughtOf(all, OTHER).map((line) => line.quantity)).toEqual(
      boughtOf(plain, STUD).map((line) => line.quantity),
    );
    const rest = (found: typeof plain) =>
      found.order.lines.filter(({ itemCode }) => itemCode !== STUD && itemCode !== OTHER);
    expect(rest(all)).toEqual(rest(plain));
    expect(all.buildUp.labourHours).toBe(plain.buildUp.labourHours);
    expect(Number(all.buildUp.cost)).toBeGreaterThan(Number(plain.buildUp.cost));
  });

  it("on one part leaves the others; on one line goes before both", () => {
    const part = reckoned({ swaps: [{ from: STUD, to: OTHER, partId: "a" }] });
    expect([itemsOf(part, "a").has(STUD), itemsOf(part, "b").has(STUD)]).toEqual([false, true]);
    const { id } = lineOf(STUD);
    const own = reckoned({
      swaps: [{ from: STUD, to: OTHER, partId: null }],
      lineChanges: { [id]: { itemCode: STUD } },
    });
    expect(own.buildUp.ledger.find((line) => line.id === `material/${id}`)?.itemCode).toBe(STUD);
    expect(itemsOf(own, "b").has(STUD)).toBe(false);
  });

  it("that nobody sells is told, and so is one for an item that nothing needs", () => {
    const unknown = reckoned({ swaps: [{ from: STUD, to: "timber/none", partId: null }] });
    expect(unknown.buildUp.problems.map(({ code }) => code)).toContain("no-price-item");
    const idle = reckoned({ swaps: [{ from: "timber/none", to: OTHER, partId: null }] });
    expect(idle.buildUp.problems.map(({ code }) => code)).toEqual([
      ...plain.buildUp.problems.map(({ code }) => code),
      "idle-swap",
    ]);
    expect(idle.buildUp.total).toBe(plain.buildUp.total);
  });

  it("is worked out once: the same lines come out the same objects", () => {
    const swaps = [{ from: STUD, to: OTHER, partId: null }];
    const { counts } = plain;
    const lines = () => reckonJob({ ...job, swaps }, walls, starterPriceList, library).buildUp.ledger.length;
    expect(lines()).toBe(lines());
    expect(counts.flatMap((count) => count.lines).some(({ itemCode }) => itemCode === OTHER)).toBe(false);
  });
});

describe("who supplies a line", () => {
  const { id, partId } = lineOf(STUD);
  const issue = { number: "D", date: "2026-12-15", company: { name: "N", address: "A" }, context: contexts.imperial };
  const sections = (change: Partial<Job>) => draftQuote({ ...job, ...change }, walls, reckoned(change), issue).sections;

  it("the customer: it is counted, fitted and costs nothing, and the quote says so", () => {
    const change: Partial<Job> = { lineChanges: { [id]: { supply: { by: "customer" } } } };
    const theirs = reckoned(change);
    expect(theirs.buildUp.labourHours).toBe(plain.buildUp.labourHours);
    expect(theirs.buildUp.ledger.find((line) => line.id === `material/${id}`)).toMatchObject({
      cost: "0.00",
      supply: "customer",
      partId,
    });
    expect(theirs.order.supplied).toHaveLength(plain.order.supplied.length + 1);
    expect(
      sections(change)
        .flatMap(({ paragraphs }) => paragraphs)
        .join(" "),
    ).toContain("Supplied by you:");
  });

  it("an allowance: so much for each, of a kind of cost of its own", () => {
    const change: Partial<Job> = { lineChanges: { [id]: { supply: { by: "allowance", rate: "9.00" } } } };
    const allowed = reckoned(change).buildUp;
    const line = allowed.ledger.find((each) => each.id === `material/${id}`);
    expect(line).toMatchObject({ kind: "allowance", rate: "9.00", cost: (9 * Number(line?.quantity)).toFixed(2) });
    expect(allowed.kinds.find(({ kind }) => kind === "allowance")?.cost).toBe(line?.cost);
    expect(withoutRates({ ...job, ...change }).lineChanges[id]?.supply).toEqual({ by: "allowance", rate: "0" });
  });
});

describe("rates and hours set by hand", () => {
  const material = `material/${lineOf(STUD).id}`;
  const was = plain.buildUp.ledger.find(({ id }) => id === material);
  const labour = plain.buildUp.ledger.find(({ kind, partId }) => kind === "labour" && partId === "a");
  const withSet = (linesSet: Job["pricing"]["linesSet"]) => reckoned({ pricing: { ...job.pricing, linesSet } });

  it("change the cost of their line by what they are, and the order not at all", () => {
    const set = withSet({ [material]: { rate: "10.00" } });
    const line = set.buildUp.ledger.find(({ id }) => id === material);
    const cost = (10 * Number(was?.quantity)).toFixed(2);
    expect(line).toMatchObject({ source: "set-by-hand", cost, before: { cost: was?.cost } });
    expect(set.order).toEqual(plain.order);
    expect(Number(set.buildUp.cost)).toBeCloseTo(Number(plain.buildUp.cost) + Number(cost) - Number(was?.cost), 6);
    const kind = set.buildUp.kinds.find((each) => each.kind === "material");
    const shown = set.buildUp.lines
      .filter((each) => each.kind === "material")
      .reduce((sum, each) => sum + Number(each.cost), 0);
    expect(shown).toBeCloseTo(Number(kind?.cost), 6);
  });

  it("of labour are hours in all for the line", () => {
    const set = withSet({ [labour?.id ?? ""]: { hours: "40" } });
    const rate = Number(job.pricing.ratePerHour);
    expect(set.buildUp.ledger.find(({ id }) => id === labour?.id)).toMatchObject({
      hours: "40",
      cost: (40 * rate).toFixed(2),
    });
    expect(Number(set.buildUp.labourHours)).toBeCloseTo(
      Number(plain.buildUp.labourHours) + 40 - Number(labour?.hours),
      2,
    );
  });

  it("for lines that are counted no longer are of no effect, and said", () => {
    const gone = reckoned({
      pricing: { ...job.pricing, linesSet: { gone: { rate: "1" } } },
      lineChanges: { gone: { note: "N" } },
    });
    expect(gone.buildUp.problems.map(({ code }) => code)).toEqual(
      expect.arrayContaining(["set-of-gone-lines", "changes-of-gone-lines"]),
    );
    expect(gone.buildUp.total).toBe(plain.buildUp.total);
  });

  it("past what a job holds are refused", () => {
    const many = Object.fromEntries(Array.from({ length: 2001 }, (_, index) => [`l${index}`, { note: "n" }]));
    expect(jobChangesSchema.safeParse({ lineChanges: many }).success).toBe(false);
    expect(jobChangesSchema.safeParse({ lineChanges: { a: { note: "x".repeat(501) } } }).success).toBe(false);
    expect(
      jobChangesSchema.safeParse({ lineChanges: { a: { supply: { by: "allowance", rate: "-1" } } } }).success,
    ).toBe(false);
  });
});

describe("a job whose parts get other ids", () => {
  it("keeps what was chosen line by line: it comes to the same price", () => {
    const studs = lineOf(STUD).id;
    const labour = plain.buildUp.ledger.find(({ kind, partId }) => kind === "labour" && partId === "b")?.id ?? "";
    const chosen: Job = {
      ...job,
      lineChanges: { [studs]: { supply: { by: "allowance", rate: "9.00" } } },
      swaps: [{ from: STUD, to: OTHER, partId: "b" }],
      pricing: { ...job.pricing, linesSet: { [labour]: { hours: "40" } } },
    };
    const fresh = (id: string) => `new-${id}`;
    const moved = walls.map((each) => ({ ...each, id: fresh(each.id) }));
    const there = reckonJob(withPartsRenamed(chosen, fresh), moved, starterPriceList, library).buildUp;
    const here = reckonJob(chosen, walls, starterPriceList, library).buildUp;
    expect([there.total, there.problems]).toEqual([here.total, here.problems]);
    expect(here.total).not.toBe(plain.buildUp.total);
    // Without their new names the choices would be of no effect, and that would be said.
    const lost = reckonJob(chosen, moved, starterPriceList, library).buildUp;
    expect(lost.problems.map(({ code }) => code)).toEqual(
      expect.arrayContaining(["changes-of-gone-lines", "set-of-gone-lines"]),
    );
  });
});
