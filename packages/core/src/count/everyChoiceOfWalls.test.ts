import { masonryWallKind, pierKind, studWallKind } from "../kinds";
import { openingOf, wallOf } from "../testing/library";
import { masonryOf, pierOf } from "../testing/masonry";
import { withoutEffect } from "../testing/withoutEffect";
import { feet, inches, millimetres } from "../units";

const window = openingOf("window", "w", {
  positionNm: feet(5),
  widthNm: feet(7),
  heightNm: feet(4),
  sillNm: feet(3),
});
const door = openingOf("door", "d", { positionNm: feet(16), widthNm: feet(3), heightNm: feet(6) });

describe("every choice there is reaches the count", () => {
  it("of a stud wall", () => {
    const openings = [window, door].map((each) => ({ ...each, measuredAs: "unit" as const }));
    const wall = wallOf("imperial", { lengthNm: feet(29), heightNm: feet(9), openings });
    const all = { bearing: true, sheathed: true, boardsNear: 1, insulated: true, membrane: true };
    const dead = withoutEffect(studWallKind, {
      system: "imperial",
      part: {
        ...wall,
        ends: { left: "corner-through", right: "free" },
        meetings: [{ positionNm: feet(23), thicknessNm: inches(4.5), withName: "Partition" }],
      },
      assemblyIds: ["inside-wall", "outside-wall", "partition", "party-wall"],
      others: [{}, all, { membrane: true, membraneWidth: feet(3) }],
    });
    expect(dead).toEqual([]);
  });

  const ofMasonry = (id: string) =>
    withoutEffect(masonryWallKind, {
      system: "metric",
      part: masonryOf("metric", { lengthNm: feet(40), heightNm: feet(8), openings: [window, door] }),
      assemblyIds: [id],
      others: [
        {},
        { joints: "own" },
        { bedJoint: millimetres(12) },
        { lintelsDisplace: false },
        { attachedPiers: 2 },
        // What a hollow unit can have in its cells, and what lies on the top.
        { unit: "block-440-215", barsEvery: millimetres(1200), bondBeams: 2, coping: true },
      ],
    });
  it.each(["brick-wall", "block-wall", "stone-wall", "cavity-wall", "brick-veneer"])("of masonry: %s", (id) => {
    expect(ofMasonry(id)).toEqual([]);
  });

  it("of a pier", () => {
    const dead = withoutEffect(pierKind, {
      system: "imperial",
      part: pierOf("imperial", [feet(2), feet(2), feet(6)]),
      assemblyIds: ["brick-pier"],
      others: [{}, { joints: "own" }],
    });
    expect(dead).toEqual([]);
  });
});
