import { newRoofFeature, type Roof, roofKind } from "../kinds";
import { rectangle, roofOf } from "../testing/roofs";
import { type Choices, withoutEffect } from "../testing/withoutEffect";
import { feet, inches } from "../units";

describe("every choice there is reaches the count", () => {
  it("of a roof", () => {
    const edges = [
      { lengthNm: feet(40), end: "eave" as const },
      { lengthNm: feet(14), end: "gable" as const },
      { lengthNm: feet(16), end: "eave" as const, turn: -90 },
      { lengthNm: feet(14), end: "eave" as const },
      { lengthNm: feet(24), end: "eave" as const },
      { lengthNm: feet(28), end: "eave" as const },
    ];
    const overhang = { overhangNm: inches(16), rakeNm: inches(20) };
    const dormered = (roof: Roof): Roof => {
      const features = (["gable-dormer", "roof-window", "chimney"] as const).flatMap((kind, index) => {
        const feature = newRoofFeature(roof, kind, ["a", "f", "e"][index] ?? "a", kind, "imperial");
        return feature ? [feature] : [];
      });
      return { ...roof, features };
    };
    const others: Choices[] = [
      {},
      { ceilingJoists: true },
      { collarEvery: 1 },
      { covering: "tiles" },
      { covering: "sheets" },
      { framedWith: "trusses" },
      { purlinRows: 1 },
      { panelsBy: "by-area" },
    ];
    const dead = withoutEffect(roofKind, {
      system: "imperial",
      part: dormered(roofOf("imperial", edges, { pitch: 0.5, ...overhang })),
      assemblyIds: ["rafter-roof"],
      others,
    });
    // What takes over past the longest timber comes to something where that is known (`roof/build/worked.test.ts`), and what is cut
    // off without hip or valley on another roof.
    expect(dead).toEqual(["engineeredSection", "rafter-roof: wasteStraight"]);
    const plain = withoutEffect(roofKind, {
      system: "imperial",
      part: roofOf("imperial", rectangle(feet(40), feet(24), ["eave", "gable", "eave", "gable"]), {
        pitch: 0.25,
        ...overhang,
      }),
      assemblyIds: ["rafter-roof"],
      others,
    });
    expect(plain).not.toContain("rafter-roof: wasteStraight");
  });
});
