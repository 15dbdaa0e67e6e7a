import { countPart } from "../../../count/countPart";
import { isFraming } from "../../../drawing/piece";
import { library } from "../../../testing/library";
import { rectangle, roofOf } from "../../../testing/roofs";
import { feet, toInches } from "../../../units";
import type { Roof } from "../schema";

const cutOf = (roof: Roof, role: string): number[] =>
  countPart(roof, "imperial", library)
    .pieces.filter(isFraming)
    .filter((piece) => piece.role === role)
    .map(({ cutLengthNm }) => Number(toInches(cutLengthNm).toFixed(2)));

/** 38 by 24 ft, 6 in 12: half way up each slope is 6 ft in and 3 ft up. Worked by hand. */
describe("purlins", () => {
  const gable = roofOf("imperial", rectangle(feet(38), feet(24), ["eave", "gable", "eave", "gable"]), {
    pitch: 0.5,
    choices: { purlinRows: 1 },
  });

  it("run the whole of each slope of a gable, one row half way up", () => {
    expect(cutOf(gable, "purlin")).toEqual([456, 456]);
  });

  it("stand on struts at most 4 ft apart, as high as the rafter's underside less the purlin", () => {
    const struts = cutOf(gable, "purlin-strut");
    // 38 ft in ten spaces of 3 ft 9 5/8 in.
    expect(struts).toHaveLength(2 * 11);
    // 36 in up; the rafter is notched as wide as a plate of 3 1/2 in, 1 3/4 in deep: so much of it lies under the line; the purlin is 7 1/4 in deep.
    expect(new Set(struts)).toEqual(new Set([Number((36 - 3.5 / 2 - 7.25).toFixed(2))]));
    expect(cutOf({ ...gable, choices: { purlinRows: 1, strutSpacing: 0 } }, "purlin-strut")).toEqual([]);
  });

  it("end at the hips: 12 ft less on a long slope and half as long as the eave on a short one", () => {
    const hip = { ...gable, edges: gable.edges.map((edge) => ({ ...edge, end: "eave" as const })) };
    expect(cutOf(hip, "purlin")).toEqual([(38 - 12) * 12, 144, (38 - 12) * 12, 144]);
  });

  it("stop at an opening in their way", () => {
    const [a] = gable.edges;
    const said = (valueNm: number) => ({ valueNm, typed: "", assumed: false });
    const chimney = {
      id: "c",
      kind: "chimney" as const,
      name: "Chimney",
      edgeId: a?.id ?? "",
      along: said(feet(10)),
      width: said(feet(4)),
      back: said(feet(5)),
      depth: said(feet(3)),
      wallHeight: said(0),
      pitch: { value: null, typed: "", assumed: false },
    };
    expect(cutOf({ ...gable, features: [chimney] }, "purlin").toSorted((x, y) => x - y)).toEqual([120, 288, 456]);
  });
});
