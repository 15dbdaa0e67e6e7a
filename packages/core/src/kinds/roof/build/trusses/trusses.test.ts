import { starterAssemblies, starterPriceList } from "@wide-porch/library";
import { countPart } from "../../../../count/countPart";
import { isFraming } from "../../../../drawing/piece";
import { library } from "../../../../testing/library";
import { rectangle, roofOf, type TestEdge } from "../../../../testing/roofs";
import { feet, toInches } from "../../../../units";
import type { Roof } from "../../schema";

const TRUSSES = { framedWith: "trusses" };
const counted = (roof: Roof) => countPart(roof, "imperial", library);

/** Spans in inches and how many of each, by kind. */
function spansOf(roof: Roof): Record<string, Record<string, number>> {
  const spans: Record<string, Record<string, number>> = {};
  for (const { role, cutLengthNm } of counted(roof).pieces.filter(isFraming)) {
    if (!role.startsWith("truss-")) continue;
    const span = String(Number(toInches(cutLengthNm).toFixed(1)));
    const own = spans[role] ?? {};
    spans[role] = { ...own, [span]: (own[span] ?? 0) + 1 };
  }
  return spans;
}
const messages = (roof: Roof): string =>
  counted(roof)
    .problems.map(({ message }) => message)
    .join("\n");

/** Worked by hand, at 24 in. */
describe("trusses", () => {
  it("of a gable 40 ft long: one over each end, nineteen between, all of the whole span", () => {
    const gable = roofOf("imperial", rectangle(feet(40), feet(24), ["eave", "gable", "eave", "gable"]), {
      pitch: 0.5,
      choices: TRUSSES,
    });
    // From 3/4 in to 479 1/4 in are nineteen whole spaces and a short one.
    expect(spansOf(gable)).toEqual({ "truss-gable": { "288": 2 }, "truss-common": { "288": 19 } });
    const roles = new Set(
      counted(gable)
        .pieces.filter(isFraming)
        .map(({ role }) => role),
    );
    expect([...roles].filter((role) => !role.startsWith("truss-"))).toEqual([]);
    expect(messages(gable)).toBe("");
  });

  it("of a hip 40 by 24 ft: girders in two plies 7 ft from the ends, flat ones between, jacks to the walls", () => {
    const hip = roofOf("imperial", rectangle(feet(40), feet(24), ["eave", "eave", "eave", "eave"]), {
      pitch: 0.5,
      choices: TRUSSES,
    });
    // From girder to girder 26 ft: fourteen places, of which eight lie on the 16 ft of ridge.
    expect(spansOf(hip)).toEqual({
      "truss-girder": { "288": 4 },
      "truss-hip": { "288": 4 },
      "truss-common": { "288": 8 },
      // A side of 24 ft: 2, 4 and 6 ft from both corners to the hips, five to the girder; beside it 5, 3 and 1 ft on both long sides.
      "truss-jack": { "24": 4, "48": 4, "72": 4, "84": 10, "60": 4, "36": 4, "12": 4 },
      // 7 ft × √2
      "truss-corner": { "118.8": 4 },
    });
  });

  it("up to a wall are mono trusses, one at each end and at the spacing", () => {
    const leanTo = roofOf("imperial", rectangle(feet(12), feet(8), ["eave", "gable", "wall", "gable"]), {
      pitch: 1 / 3,
      choices: TRUSSES,
    });
    expect(spansOf(leanTo)).toEqual({ "truss-mono": { "96": 7 } });
  });

  it("over two pitches span from wall to wall", () => {
    const ends = rectangle(feet(20), feet(24), ["eave", "gable", "eave", "gable"]);
    const base = roofOf("imperial", ends, { pitch: 1.5, choices: TRUSSES });
    const gambrel: Roof = {
      ...base,
      breakHeight: { valueNm: feet(6), typed: "", assumed: false },
      upperPitch: { value: 0.5, typed: "", assumed: false },
    };
    expect(spansOf(gambrel)).toEqual({ "truss-gable": { "288": 2 }, "truss-common": { "288": 9 } });
  });

  it("of a lower wing lie loose on the main ones, which go on over its mouth and are told to need a wall there", () => {
    // 40 by 24 ft, with a wing 16 ft wide that comes 10 ft out of its middle.
    const edges: TestEdge[] = [
      { lengthNm: feet(40), end: "eave" },
      { lengthNm: feet(24), end: "gable" },
      { lengthNm: feet(12), end: "eave", turn: -90 },
      { lengthNm: feet(10), end: "eave" },
      { lengthNm: feet(16), end: "gable" },
      { lengthNm: feet(10), end: "eave", turn: -90 },
      { lengthNm: feet(12), end: "eave" },
      { lengthNm: feet(24), end: "gable" },
    ];
    const wing = roofOf("imperial", edges, { pitch: 0.5, choices: TRUSSES });
    // The wing's are at 3/4, 24 3/4 … 96 3/4 in, then over the main slope at 3/4, 24 3/4, 48 3/4 and 72 3/4 in from its wall.
    expect(spansOf(wing)).toEqual({
      "truss-gable": { "288": 2, "192": 1 },
      "truss-common": { "288": 19, "192": 4 },
      "truss-valley": { "190.5": 1, "142.5": 1, "94.5": 1, "46.5": 1 },
    });
    expect(messages(wing)).toContain("8 trusses come over the mouth of a wing");
  });

  it("are all in the price list, each kind by the length of its spans", () => {
    const codes = new Set(starterPriceList.map(({ code }) => code));
    for (const system of ["imperial", "metric"] as const) {
      const assembly = starterAssemblies.find((each) => each.id === "rafter-roof" && each.system === system);
      const items = assembly?.rules.flatMap(({ item }) => (item.startsWith("roof/truss") ? [item] : [])) ?? [];
      expect(items).toHaveLength(9);
      expect(items.filter((item) => !codes.has(item))).toEqual([]);
    }
  });

  it("say what they leave: slopes that meet in a point are counted in rafters", () => {
    const pyramid = roofOf("imperial", rectangle(feet(20), feet(20), ["eave", "eave", "eave", "eave"]), {
      pitch: 0.5,
      choices: TRUSSES,
    });
    expect(spansOf(pyramid)).toEqual({});
    expect(messages(pyramid)).toContain("counted in rafters");
    expect(counted(pyramid).lines.find(({ rule }) => rule === "hipJacks")?.quantity).toBeGreaterThan(0);
  });
});
