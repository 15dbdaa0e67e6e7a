import { contexts, framingRulesOf, wallOf } from "../../../testing/library";
import { feet, inches } from "../../../units";
import { layoutStudWall } from "./index";

const hardwareOf = (choices: Parameters<typeof wallOf>[1]["choices"], lengthNm = feet(12)) => {
  const wall = wallOf("imperial", { lengthNm, heightNm: inches(97.125), choices: { anchorBolts: false, ...choices } });
  return layoutStudWall(wall, framingRulesOf("imperial"), contexts.imperial).hardware;
};

describe("hardware of a wall, by where it stands", () => {
  it("has a hold-down beside the stud at each end, on the bottom plate", () => {
    expect(hardwareOf({ holdDowns: true })).toEqual([
      {
        id: "hold-down-1",
        role: "hold-down",
        xNm: inches(1.5),
        yNm: inches(1.5),
        widthNm: inches(1.5),
        heightNm: inches(7.5),
      },
      {
        id: "hold-down-2",
        role: "hold-down",
        xNm: feet(12) - inches(3),
        yNm: inches(1.5),
        widthNm: inches(1.5),
        heightNm: inches(7.5),
      },
    ]);
    expect(hardwareOf({})).toEqual([]);
  });

  it("has bolts a foot from the ends of a plate and at most 6 ft apart (IRC R403.1.6)", () => {
    const bolts = hardwareOf({ anchorBolts: true }).filter(({ role }) => role === "anchor-bolt");
    const centresIn = bolts.map(({ xNm, widthNm }) => Math.round((xNm + widthNm / 2) / inches(0.25)) / 4);
    expect(centresIn).toEqual([12, 72, 132]);
    expect(new Set(bolts.map(({ yNm, heightNm }) => `${yNm} ${heightNm}`))).toEqual(new Set([`0 ${inches(2.25)}`]));
  });
});
