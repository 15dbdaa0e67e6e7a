import { countPart } from "../../../count/countPart";
import { isFraming } from "../../../drawing/piece";
import { contexts, library } from "../../../testing/library";
import { rectangle, roofOf, said } from "../../../testing/roofs";
import { feet, inches, millimetres, toInches } from "../../../units";
import { formOf } from "../form";
import { roofKind } from "../index";
import { lineMetres, roofQuantities } from "../quantities";
import type { Roof } from "../schema";
import type { RoofFeature } from "./schema";
import { newFeature } from "./starts";

const NONE = { valueNm: null, typed: "", assumed: false };
const feature = (kind: RoofFeature["kind"], figures: Partial<RoofFeature>): RoofFeature => ({
  id: "f",
  kind,
  name: "It",
  edgeId: "a",
  along: said(feet(12)),
  width: said(feet(6)),
  back: NONE,
  depth: NONE,
  wallHeight: NONE,
  pitch: { value: null, typed: "", assumed: false },
  ...figures,
});
const pitched = (value: number) => ({ value, typed: "", assumed: false });

/** 30 by 24 ft with gables, 12 in 12, no overhang. */
const PLAIN = roofOf("imperial", rectangle(feet(30), feet(24), ["eave", "gable", "eave", "gable"]), { pitch: 1 });
const withIn = (...features: RoofFeature[]): Roof => ({ ...PLAIN, features });
const SQFT_PER_M2 = 10.763910416709722;
const INCHES_PER_M = 1 / 0.0254;

function runsOf(roof: Roof, role: string): number[] {
  return countPart(roof, "imperial", library)
    .pieces.filter(isFraming)
    .filter((piece) => piece.role === role)
    .map(({ cut, cutLengthNm }) => Number(toInches(cut?.runNm ?? cutLengthNm).toFixed(2)))
    .toSorted((a, b) => b - a);
}
const messages = (roof: Roof) => roofKind.problems(roof, contexts.imperial).map(({ message }) => message);

/**
 * 6 ft wide, its front 2 ft back from the wall and 4 ft over the slope, 12 in 12 as the roof. By hand: the plate is at 24 + 48 = 72 in, so it
 * meets the roof 72 in from the wall; the ridge at 72 + 36 = 108, which it meets at 108.
 */
describe("a gabled dormer", () => {
  const dormer = feature("gable-dormer", {
    back: said(feet(2)),
    wallHeight: said(feet(4)),
    pitch: pitched(1),
  });
  const roof = withIn(dormer);

  it("covers what it takes out of the slope, at the same pitch with the same area", () => {
    const [before, after] = [roofQuantities(PLAIN), roofQuantities(roof)];
    expect(after.planArea).toBeCloseTo(before.planArea ?? 0, 4);
    expect(after.area).toBeCloseTo(before.area ?? 0, 4);
  });

  it("has a ridge of 84 in, and two valleys of 36 by 36 in on plan that rise 36", () => {
    const formed = formOf(roof);
    if (!formed.ok) throw new Error(formed.why);
    expect(lineMetres(formed.form, "ridge") * INCHES_PER_M).toBeCloseTo(360 + 84, 3);
    expect(lineMetres(formed.form, "valley") * INCHES_PER_M).toBeCloseTo(2 * Math.sqrt(3 * 36 * 36), 3);
  });

  it("cuts four rafters off at a double header, and has double trimmers in place of the one that lay at 12 ft", () => {
    expect(runsOf(roof, "trimmed-rafter")).toEqual([24, 24, 24, 24]);
    expect(runsOf(roof, "rafter-header")).toEqual([72, 72]);
    expect(runsOf(roof, "trimmer-rafter")).toEqual([144, 144, 144, 144]);
    // 24 on the other slope; on this one 24 less the one at 12 ft and the four cut. On each side of the dormer 36 in: at its front, 16, 32
    // and 48 in behind it, the last on the end of its plate.
    const commons = runsOf(roof, "common-rafter");
    expect(commons.filter((run) => run === 144)).toHaveLength(24 + 24 - 1 - 4);
    expect(commons.filter((run) => run === 36)).toHaveLength(8);
  });

  it("has jacks from its valleys up to the roof's ridge and to its own", () => {
    // At 20, 4, 12 and 28 in off the middle the valley lies 88, 104, 96 and 80 in from the wall.
    expect(runsOf(roof, "valley-jack")).toEqual([64, 56, 48, 40, 20, 20]);
  });

  it("has walls of 33 and twice 8 sq ft, with six studs in front and three in each cheek", () => {
    expect((roofQuantities(roof).dormerWallArea ?? 0) * SQFT_PER_M2).toBeCloseTo(33 + 16, 4);
    const studs = runsOf(roof, "dormer-stud");
    expect(studs).toHaveLength(12);
    // Over 32 in: 72 + 32 less 1 1/2 in × √2 of rake plate, less 24 and 1 1/2 in of sole.
    expect(studs[0]).toBeCloseTo(76.38, 2);
    expect(studs.at(-1)).toBeCloseTo(12.38, 2);
    expect(roofQuantities(roof).gableArea).toBeCloseTo(roofQuantities(PLAIN).gableArea ?? 0, 6);
  });

  it("is refused where it is higher or wider than its slope, or lies over another", () => {
    expect(messages(withIn({ ...dormer, wallHeight: said(feet(8)) })).join()).toContain("goes past a ridge");
    expect(messages(withIn({ ...dormer, width: said(feet(40)) })).join()).toContain("does not fit");
    expect(messages(withIn({ ...dormer, along: said(feet(29)) })).join()).toContain("does not fit");
    expect(messages(withIn({ ...dormer, edgeId: "b" })).join()).toContain("there is no slope");
    const second = { ...dormer, id: "g", name: "Other", along: said(feet(14)) };
    expect(messages(withIn(dormer, second))).toEqual(["It and Other lie over each other."]);
  });
});

describe("a shed dormer", () => {
  const dormer = feature("shed-dormer", { back: said(feet(2)), wallHeight: said(feet(4)), pitch: pitched(0.25) });

  it("runs back to where its slope meets the roof: 72 + 1/4 d = 24 + d, d = 64 in behind its front", () => {
    const formed = formOf(withIn(dormer));
    if (!formed.ok) throw new Error(formed.why);
    const slope = formed.form.faces.find(({ dormerId }) => dormerId === "f");
    expect((slope?.planAreaM2 ?? 0) * SQFT_PER_M2).toBeCloseTo((72 * 64) / 144, 4);
    expect(runsOf(withIn(dormer), "common-rafter").filter((run) => run === 64)).toHaveLength(6);
    expect(runsOf(withIn(dormer), "rafter-header")).toEqual([72, 72, 72, 72]);
  });

  it("is refused when it is as steep as the roof", () => {
    expect(messages(withIn({ ...dormer, pitch: pitched(1) })).join()).toContain("flatter than the roof's");
  });
});

describe("openings", () => {
  it("a roof window takes its own area out, with headers below and above", () => {
    const window = feature("roof-window", { width: said(inches(30)), back: said(inches(60)), depth: said(inches(46)) });
    const [before, after] = [roofQuantities(PLAIN), roofQuantities(withIn(window))];
    expect(((before.area ?? 0) - (after.area ?? 0)) * SQFT_PER_M2).toBeCloseTo((30 * 46) / 144, 3);
    expect(runsOf(withIn(window), "rafter-header")).toEqual([30, 30, 30, 30]);
    expect((after.openingRims ?? 0) * INCHES_PER_M).toBeCloseTo(2 * (30 + 46), 3);
  });

  it("a chimney wider than 30 in wants a saddle", () => {
    const chimney = (width: number) =>
      roofQuantities(
        withIn(feature("chimney", { width: said(inches(width)), back: said(feet(6)), depth: said(feet(2)) })),
      );
    expect([chimney(28).saddles, chimney(32).saddles]).toEqual([0, 1]);
  });

  it("a notch takes the overhang with it", () => {
    const overhung = { ...PLAIN, overhang: said(inches(14)) };
    const notch = feature("notch", { width: said(inches(36)), depth: said(inches(24)) });
    const [before, after] = [roofQuantities(overhung), roofQuantities({ ...overhung, features: [notch] })];
    expect(((before.planArea ?? 0) - (after.planArea ?? 0)) * SQFT_PER_M2).toBeCloseTo((36 * 38) / 144, 3);
    // Neither fascia nor gutter goes across it.
    expect(((before.eaves ?? 0) - (after.eaves ?? 0)) * INCHES_PER_M).toBeCloseTo(36, 4);
  });

  it("an eave carried down makes the rafters of its stretch longer", () => {
    const carried = withIn(feature("carried-eave", { depth: said(feet(4)) }));
    const gained = (roofQuantities(carried).planArea ?? 0) - (roofQuantities(PLAIN).planArea ?? 0);
    expect(gained * SQFT_PER_M2).toBeCloseTo(24, 4);
    const tails = countPart(carried, "imperial", library)
      .pieces.filter(isFraming)
      .filter(({ cut }) => (cut?.tailNm ?? 0) > 0);
    // What bears on nothing is told.
    const told = (roof: Roof) =>
      countPart(roof, "imperial", library)
        .problems.map(({ message }) => message)
        .join();
    expect(told(carried)).toContain("4' 0\" beyond the wall: a beam and posts under them are not counted");
    expect(told(withIn(feature("carried-eave", { depth: said(feet(1)) })))).not.toContain("beyond the wall");
    // From 144 to 216 in: 144, 160, 176, 192, 208.
    expect(tails.map(({ cut }) => toInches(cut?.tailNm ?? 0))).toEqual(
      Array(5).fill(expect.closeTo(48 * Math.SQRT2, 2)),
    );
  });
});

/** Worked by hand: 24 ft wide and 12 in 12, 2 × 8 rafters, studs of 1 1/2 in at 16 in. */
describe("the gables under a roof", () => {
  it("have studs at both ends and at the spacing between, up to the underside of the end rafters", () => {
    const studs = runsOf(PLAIN, "gable-stud");
    // 288 in: 16 to 272 in are 17, on each of two gables; at the very ends there is no room for one.
    expect(studs).toHaveLength(2 * 17);
    // At 144 in the slope is 144 in up: less 7 1/4 / 3 × √2 of notch, and 1 1/2 in of plate.
    expect(studs[0]).toBeCloseTo(144 - (7.25 / 3) * Math.SQRT2 - 1.5, 2);
    expect(studs.at(-1)).toBeCloseTo(16 - (7.25 / 3) * Math.SQRT2 - 1.5, 2);
    expect(runsOf(PLAIN, "gable-plate")).toEqual([288, 288]);
  });

  it("are left to the walls below where it is said so", () => {
    expect(runsOf({ ...PLAIN, choices: { gableStuds: false } }, "gable-stud")).toEqual([]);
  });
});

describe("a new feature", () => {
  it.each(["gable-dormer", "shed-dormer", "roof-window", "chimney", "notch", "carried-eave"] as const)(
    "begins where it fits: %s, in both systems and on a small slope",
    (kind) => {
      for (const roof of [
        PLAIN,
        roofOf("imperial", rectangle(feet(12), feet(10), ["eave", "eave", "eave", "eave"]), { pitch: 0.4 }),
      ]) {
        const made = newFeature(roof, kind, "a", "new", "imperial");
        expect(made && messages({ ...roof, features: [made] })).toEqual([]);
      }
      const metric = roofOf(
        "metric",
        rectangle(millimetres(9000), millimetres(7000), ["eave", "gable", "eave", "gable"]),
        {
          pitch: 0.8,
        },
      );
      const made = newFeature(metric, kind, "a", "new", "metric");
      expect(made && roofKind.problems({ ...metric, features: [made] }, contexts.metric)).toEqual([]);
    },
  );

  it("goes beside what is there", () => {
    const first = newFeature(PLAIN, "chimney", "a", "one", "imperial");
    const both = first && newFeature({ ...PLAIN, features: [first] }, "chimney", "a", "two", "imperial");
    expect([first?.name, both?.name]).toEqual(["Chimney 1", "Chimney 2"]);
    expect(first && both && messages(withIn(first, both))).toEqual([]);
  });
});
