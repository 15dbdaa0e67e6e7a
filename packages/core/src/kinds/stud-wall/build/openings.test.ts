import { countPart } from "../../../count";
import { contexts, framingRulesOf, library, openingOf, wallOf } from "../../../testing/library";
import { feet, inches } from "../../../units";
import { layoutStudWall } from "./index";

const window = openingOf("window", "w", {
  positionNm: inches(48),
  widthNm: inches(36),
  heightNm: inches(48),
  sillNm: inches(34),
});
const pieces = (bearing: boolean, flatPlates = 2) => {
  const wall = wallOf("imperial", {
    lengthNm: feet(12),
    heightNm: inches(97.125),
    bearing,
    openings: [window],
    choices: { sillPlies: 2 },
  });
  const rules = { ...framingRulesOf("imperial"), flatPlates };
  return layoutStudWall(wall, rules, contexts.imperial).pieces.filter((piece) => piece.id.includes("-w"));
};
/** `id: x, y, length` in inches. */
const listed = (bearing: boolean, flatPlates?: number) =>
  pieces(bearing, flatPlates).map(
    ({ id, xNm, yNm, cutLengthNm }) => `${id}: ${xNm / inches(1)}, ${yNm / inches(1)}, ${cutLengthNm / inches(1)}`,
  );

describe("rows of blocking", () => {
  const blocks = (everyFt: number) => {
    const wall = wallOf("imperial", {
      lengthNm: feet(4),
      heightNm: inches(97.125),
      choices: { blockingEvery: feet(everyFt) },
    });
    return layoutStudWall(wall, framingRulesOf("imperial"), contexts.imperial)
      .pieces.filter(({ role }) => role === "blocking")
      .map(
        ({ id, xNm, yNm, cutLengthNm }) => `${id}: ${[xNm, yNm, cutLengthNm].map((nm) => nm / inches(1)).join(", ")}`,
      );
  };

  it("are none where studs are no higher than one stretch, and one up the middle of 92 5/8 in at 4 ft", () => {
    expect(blocks(8)).toEqual([]);
    // Studs at 0, 15 1/4, 31 1/4 and 46 1/2 in; the middle of the row is 1 1/2 + 46 5/16 in up.
    expect(blocks(4)).toEqual([
      "blocking-1-1: 1.5, 47.0625, 13.75",
      "blocking-1-2: 16.75, 47.0625, 14.5",
      "blocking-1-3: 32.75, 47.0625, 13.75",
    ]);
  });
});

describe("the face of a frame", () => {
  it("is that of its pieces, less those that stand behind another: what insulation does not fill (arithmetic)", () => {
    const wall = wallOf("imperial", {
      lengthNm: feet(12),
      heightNm: inches(97.125),
      bearing: true,
      openings: [window],
      choices: { insulated: true },
    });
    const insulation = countPart(wall, "imperial", library).lines.find((line) =>
      line.description.startsWith("Insulation"),
    );
    // By hand, in square inches: plates 3 of 144, studs 7 of 92 5/8 less what the opening takes; kings 2 of 92 5/8, jacks 2 of
    // 80 1/2, cripples 2 of 6 5/8 and 2 of 31, a sill of 36, all 1 1/2 wide; the header's face 39 by 5 1/2.
    const sticks = 1.5 * (3 * 144 + 7 * 92.625 + 2 * 92.625 + 2 * 80.5 + 2 * 6.625 + 2 * 31 + 36);
    const face = 144 * 97.125 - 36 * 48;
    expect((insulation?.quantity ?? 0) / 0.0254 ** 2).toBeCloseTo(face - sticks - 39 * 5.5, 6);
  });
});

describe("pieces of an opening, each with a name of its own", () => {
  // Window 48 to 84 in, sill at 34, head at 82. Jacks 1 1/2 in beside it, kings beside those; studs at 16 in, of which 64
  // and 80 fall inside. Two sills of 1 1/2 in have their tops at 34 and 32 1/2: cripples from 1 1/2 to 31 are 29 1/2.
  const sills = [
    "sill-w: 48, 32.5, 36",
    "sill-w-2: 48, 31, 36",
    "cripple-below-w-1: 63.25, 1.5, 29.5",
    "cripple-below-w-2: 79.25, 1.5, 29.5",
  ];

  it("carrying nothing has two flat plates over it, 39 in, and cripples from 85 to 94 1/8", () => {
    const flat = [
      "flat-plate-w-1: 46.5, 82, 39",
      "flat-plate-w-2: 46.5, 83.5, 39",
      "cripple-above-w-1: 63.25, 85, 9.125",
      "cripple-above-w-2: 79.25, 85, 9.125",
    ];
    expect(listed(false)).toEqual(expect.arrayContaining([...flat, ...sills]));
  });

  it("with one flat plate has longer cripples, and with none stands open to its plates", () => {
    expect(listed(false, 1)).toEqual(
      expect.arrayContaining(["flat-plate-w-1: 46.5, 82, 39", "cripple-above-w-1: 63.25, 83.5, 10.625"]),
    );
    expect(listed(false, 1).filter((each) => each.startsWith("flat-plate"))).toHaveLength(1);
  });

  it("bearing has two plies of header, one behind the other, 2x6 over 3 ft", () => {
    const headers = pieces(true).filter(({ role }) => role === "header");
    expect(headers.map(({ id, sectionId, behind = 0 }) => `${id} ${sectionId} ${behind}`)).toEqual([
      "header-w-1 2x6 0",
      "header-w-2 2x6 1",
    ]);
    expect(listed(true)).toEqual(expect.arrayContaining([...sills, "cripple-above-w-1: 63.25, 87.5, 6.625"]));
  });

  it("has kings to the plates and jacks to the head on both sides", () => {
    const jambs = listed(true).filter((each) => /^(king|jack)/.test(each));
    expect(jambs.map((each) => each.split(": ")[1]).toSorted()).toEqual([
      "45, 1.5, 92.625",
      "46.5, 1.5, 80.5",
      "84, 1.5, 80.5",
      "85.5, 1.5, 92.625",
    ]);
  });
});
