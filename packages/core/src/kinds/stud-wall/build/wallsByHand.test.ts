import { contexts, framingRulesOf, openingOf, wallOf } from "../../../testing/library";
import { feet, inches, type MeasuringSystem, NM_PER_INCH } from "../../../units";
import { type FramingChoice, measured, type StudWall, studWallKind, type WallShape } from "../..";
import { boltPlaces, layoutStudWall } from "./index";

/*
 * Whole walls worked by hand, every piece listed as `role section: x, y, length` in inches. 2x4 is 1 1/2 by 3 1/2 in
 * (American Softwood Lumber Standard PS 20); how studs, corners and meeting walls stand is common practice.
 */
const layOut = (wall: StudWall, system: MeasuringSystem = "imperial") => {
  expect(studWallKind.problems(wall, contexts[system])).toEqual([]);
  return layoutStudWall(wall, framingRulesOf(system), contexts[system]);
};
const round = (nm: number) => Number((nm / NM_PER_INCH).toFixed(3));
const listed = (wall: StudWall) =>
  layOut(wall)
    .pieces.map(
      (each) => `${each.role} ${each.sectionId}: ${round(each.xNm)}, ${round(each.yNm)}, ${round(each.cutLengthNm)}`,
    )
    .toSorted();
const at = (what: string, y: number, length: number, places: number[]) =>
  places.map((x) => `${what}: ${x}, ${y}, ${length}`);
const shaped = (wall: StudWall, shape: WallShape): StudWall => ({ ...wall, shape });
const counts = (wall: StudWall) => {
  const tally: Partial<Record<string, number>> = {};
  for (const { role } of layOut(wall).pieces) tally[role] = (tally[role] ?? 0) + 1;
  return tally;
};
const choose = (wall: StudWall, name: FramingChoice, value: number | string | boolean): StudWall => ({
  ...wall,
  choices: { ...wall.choices, [name]: value },
});

const twelveFeet = wallOf("imperial", { lengthNm: feet(12), heightNm: inches(97.125) });
const LAYOUT_12_FT = [0, 15.25, 31.25, 47.25, 63.25, 79.25, 95.25, 111.25, 127.25, 142.5];
const plates = (length: number) => [
  `bottom-plate 2x4: 0, 0, ${length}`,
  `top-plate 2x4: 0, 94.125, ${length}`,
  `cap-plate 2x4: 0, 95.625, ${length}`,
];

it("plain: 10 ft, 8 ft high", () => {
  // 120 / 16 = 7.5, so 8 spaces and 9 studs; 96 less three plates of 1 1/2 is 91 1/2.
  const wall = wallOf("imperial", { lengthNm: feet(10), heightNm: feet(8) });
  expect(listed(wall)).toEqual(
    [
      "bottom-plate 2x4: 0, 0, 120",
      "top-plate 2x4: 0, 93, 120",
      "cap-plate 2x4: 0, 94.5, 120",
      ...at("stud 2x4", 1.5, 91.5, [0, 15.25, 31.25, 47.25, 63.25, 79.25, 95.25, 111.25, 118.5]),
    ].toSorted(),
  );
});

it("two openings: 16 ft, not bearing, a door and a window", () => {
  /*
   * Door 38 x 82 1/2 from 24 to 62: jacks at 22 1/2 and 62, 81 long; kings at 21 and 63 1/2; flat plate 41 at 82 1/2.
   * Window 36 x 48, sill 34, from 110 to 146, head 82: jacks 108 1/2 and 146, 80 1/2; kings 107 and 147 1/2; flat plate 39.
   * Layout faces 31 1/4 and 47 1/4 stand over the door; 111 1/4, 127 1/4 and 143 1/4 over and under the window; 63 1/4 on a jamb.
   */
  const wall = wallOf("imperial", {
    lengthNm: feet(16),
    heightNm: inches(97.125),
    openings: [
      openingOf("door", "d", { positionNm: inches(24), widthNm: inches(38), heightNm: inches(82.5) }),
      openingOf("window", "w", {
        positionNm: inches(110),
        widthNm: inches(36),
        heightNm: inches(48),
        sillNm: inches(34),
      }),
    ],
  });
  expect(listed(wall)).toEqual(
    [
      "bottom-plate 2x4: 0, 0, 24",
      "bottom-plate 2x4: 62, 0, 130",
      "top-plate 2x4: 0, 94.125, 192",
      "cap-plate 2x4: 0, 95.625, 192",
      ...at("stud 2x4", 1.5, 92.625, [0, 15.25, 79.25, 95.25, 159.25, 175.25, 190.5]),
      ...at("king 2x4", 1.5, 92.625, [21, 63.5, 107, 147.5]),
      ...at("jack 2x4", 1.5, 81, [22.5, 62]),
      ...at("jack 2x4", 1.5, 80.5, [108.5, 146]),
      "flat-plate 2x4: 22.5, 82.5, 41",
      "flat-plate 2x4: 108.5, 82, 39",
      ...at("cripple-above 2x4", 84, 10.125, [31.25, 47.25]),
      ...at("cripple-above 2x4", 83.5, 10.625, [111.25, 127.25, 143.25]),
      "sill 2x4: 110, 32.5, 36",
      ...at("cripple-below 2x4", 1.5, 31, [111.25, 127.25, 143.25]),
    ].toSorted(),
  );
});

describe("corners at both ends, running through: 12 ft", () => {
  const wall: StudWall = { ...twelveFeet, ends: { left: "corner-through", right: "corner-through" } };

  it("has a third stud at each, its 3 1/2 in face to the room", () => {
    expect(listed(wall)).toEqual(
      [
        ...plates(144),
        ...at("stud 2x4", 1.5, 92.625, LAYOUT_12_FT),
        ...at("corner-stud 2x4", 1.5, 92.625, [1.5, 139]),
      ].toSorted(),
    );
  });

  it("has clips in place of it at a two-stud corner: 92 5/8 at 24 in is 4 spaces, 5 clips", () => {
    const { pieces, hardware } = layOut(choose(wall, "cornerStyle", "two-stud"));
    expect(pieces.filter((each) => each.role === "corner-stud")).toEqual([]);
    expect(hardware.filter((each) => each.role === "board-clip")).toHaveLength(10);
  });

  it("has two more at a four-stud corner, and none where this wall butts: no corner is counted twice", () => {
    expect(counts(choose(wall, "cornerStyle", "four-stud"))["corner-stud"]).toBe(4);
    expect(counts({ ...wall, ends: { left: "corner-butts", right: "corner-butts" } })["corner-stud"]).toBeUndefined();
  });
});

describe("a wall of 4 1/2 in that meets it at 70 in: 12 ft", () => {
  const wall: StudWall = {
    ...twelveFeet,
    meetings: [{ positionNm: inches(70), thicknessNm: inches(4.5), withName: "Hall" }],
  };

  it("has a stud behind each of its faces: 70 − 2 1/4 − 3/4 and 70 + 2 1/4 − 3/4", () => {
    expect(listed(wall)).toEqual(
      [
        ...plates(144),
        ...at("stud 2x4", 1.5, 92.625, LAYOUT_12_FT),
        ...at("meeting-stud 2x4", 1.5, 92.625, [67, 71.5]),
      ].toSorted(),
    );
  });

  it("has one ladder between two studs, however many walls meet there: its blocks back all of them", () => {
    const twice = {
      ...wall,
      meetings: [...wall.meetings, ...wall.meetings.map((each) => ({ ...each, withName: "B" }))],
    };
    const blocks = (each: StudWall) =>
      layOut(choose(each, "meetingStyle", "ladder")).pieces.filter((piece) => piece.role === "ladder-block");
    expect(blocks(twice)).toEqual(blocks(wall));
    expect(blocks(wall)).toHaveLength(3);
  });

  it("has ladder blocks of 14 1/2 in between the studs beside it instead: 92 5/8 at 24 in, three of them", () => {
    const blocks = layOut(choose(wall, "meetingStyle", "ladder")).pieces.filter((each) => each.role === "ladder-block");
    expect(blocks.map((each) => round(each.cutLengthNm))).toEqual([14.5, 14.5, 14.5]);
  });

  it("says so where an opening is in the way", () => {
    const opening = openingOf("door", "d", { positionNm: inches(60), widthNm: inches(38), heightNm: inches(82.5) });
    expect(layOut({ ...wall, openings: [opening] }).problems[0]?.code).toBe("meets-at-opening");
  });
});

describe("sloped tops", () => {
  it("gable: 12 ft, 8 ft at the ends, 11 ft in the middle, one top plate", () => {
    /*
     * 36 in rise over 72 is 6 in 12; a plate of 1 1/2 in is 1 1/2 × √1.25 = 1.677 in upright. A stud is as long as its higher
     * side: the end stud 96 + 0.75 − 1.677 − 1.5 = 93.573; at 15 1/4 in 96 + 8.375 − 1.677 − 1.5 = 101.198; then 8 in more
     * every 16 in (the framing square's common difference at 6 in 12). One stands under the peak. Plates 72 × √1.25 = 80.498.
     */
    const start = wallOf("imperial", { lengthNm: feet(12), heightNm: feet(8), topPlates: 1 });
    const wall = shaped(start, { how: "gable", peakHeight: measured(feet(11), ""), peakAt: measured(feet(6), "") });
    expect(listed(wall)).toEqual(
      [
        "bottom-plate 2x4: 0, 0, 144",
        "top-plate 2x4: 0, 94.323, 80.498",
        "top-plate 2x4: 72, 94.323, 80.498",
        ...at("stud 2x4", 1.5, 93.573, [0, 142.5]),
        ...at("stud 2x4", 1.5, 101.198, [15.25, 127.25]),
        ...at("stud 2x4", 1.5, 109.198, [31.25, 111.25]),
        ...at("stud 2x4", 1.5, 117.198, [47.25, 95.25]),
        ...at("stud 2x4", 1.5, 125.198, [63.25, 79.25]),
        ...at("stud 2x4", 1.5, 128.448, [71.25]),
      ].toSorted(),
    );
    // Numbered from the left, the one under the peak in its place.
    const uprights = layOut(wall).pieces.filter((piece) => piece.role === "stud");
    expect(uprights.map((piece) => piece.id)).toEqual(uprights.map((_, index) => `stud-${index + 1}`));
    expect(uprights.map((piece) => piece.xNm)).toEqual(uprights.map((piece) => piece.xNm).toSorted((a, b) => a - b));
  });

  it("single slope: 10 ft, 7 ft rising to 10 ft 4 in, studs at 24 in, two top plates", () => {
    // 40 in over 120 is 4 in 12; two plates are 3 × √(1 + 1/9) = 3.162 in upright; steps of 24 × 4/12 = 8 in.
    const start = wallOf("imperial", { lengthNm: feet(10), heightNm: feet(7), spacingNm: inches(24) });
    const wall = shaped(start, { how: "slope", up: "right", highHeight: measured(inches(124), "") });
    expect(listed(wall)).toEqual(
      [
        "bottom-plate 2x4: 0, 0, 120",
        "top-plate 2x4: 0, 80.838, 126.491",
        "cap-plate 2x4: 0, 82.419, 126.491",
        ...at("stud 2x4", 1.5, 79.838, [0]),
        ...at("stud 2x4", 1.5, 87.588, [23.25]),
        ...at("stud 2x4", 1.5, 95.588, [47.25]),
        ...at("stud 2x4", 1.5, 103.588, [71.25]),
        ...at("stud 2x4", 1.5, 111.588, [95.25]),
        ...at("stud 2x4", 1.5, 119.338, [118.5]),
      ].toSorted(),
    );
  });

  // Framing-square arithmetic: the common difference is the spacing times the pitch.
  it.each([
    [16, 4, 16 * (4 / 12)],
    [16, 9, 12],
    [24, 8, 16],
    [12, 12, 12],
  ])("studs at %d in under %d in 12 step by %d in", (spacing, rise, step) => {
    const start = wallOf("imperial", { lengthNm: feet(20), heightNm: feet(4), spacingNm: inches(spacing) });
    const highHeight = measured(feet(4) + feet((20 * rise) / 12), "");
    const wall = shaped(start, { how: "slope", up: "right", highHeight });
    const lengths = layOut(wall)
      .pieces.filter((each) => each.role === "stud")
      .map((each) => each.cutLengthNm)
      .slice(1, -1);
    for (const [index, lengthNm] of lengths.slice(1).entries()) {
      expect((lengthNm - (lengths[index] ?? 0)) / NM_PER_INCH).toBeCloseTo(step, 5);
    }
  });
});

/** Half-inch bolts: seven diameters are 3 1/2 in. */
const IRC_BOLTS = { boltSpacingNm: feet(6), boltFromEndNm: inches(12), boltLeastFromEndNm: inches(3.5) };

describe("anchor bolts (IRC R403.1.6: at most 6 ft apart, within 12 in of each end, two a piece)", () => {
  it.each([
    [12, 3],
    [8, 2],
    [2, 2],
    [1, 2],
    [20, 4],
    [26, 5],
  ])("a plate of %d ft has %d", (length, count) => {
    const places = boltPlaces(feet(length), IRC_BOLTS);
    expect(places).toHaveLength(count);
    expect(places[0]).toBeLessThanOrEqual(inches(12));
    expect(feet(length) - (places[count - 1] ?? 0)).toBeLessThanOrEqual(inches(12));
    for (const [index, place] of places.slice(1).entries()) {
      expect(place - (places[index] ?? 0)).toBeLessThanOrEqual(feet(6));
    }
  });

  it.each([
    [10.5, [3.5, 7]],
    [12, [3.5, 8.5]],
    [14, [3.5, 10.5]],
    [20, [5, 15]],
    // Too short for two, each seven diameters from an end: one in the middle (IRC R403.1.6, exception for short plates).
    [10, [5]],
    [6, [3]],
  ])("a plate of %d in has them no nearer than seven diameters to its ends", (length, places) => {
    expect(boltPlaces(inches(length), IRC_BOLTS)).toEqual(places.map(inches));
  });
});

describe("choices of a wall", () => {
  const window = openingOf("window", "w", {
    positionNm: inches(48),
    widthNm: inches(36),
    heightNm: inches(48),
    sillNm: inches(34),
  });
  const wall: StudWall = { ...twelveFeet, openings: [window] };

  it("bearing on and off changes headers and flat plates at once", () => {
    expect(counts(wall)).toMatchObject({ "flat-plate": 1 });
    expect(counts(wall).header).toBeUndefined();
    expect(counts(choose(wall, "bearing", true))).toMatchObject({ header: 2 });
    expect(counts(choose(wall, "bearing", true))["flat-plate"]).toBeUndefined();
  });

  it("two kings a side, two sill plies, a treated plate, packing in a 2x6 wall", () => {
    expect(counts(choose(wall, "kingsPerSide", 2)).king).toBe(4);
    expect(counts(choose(wall, "sillPlies", 2)).sill).toBe(2);
    expect(counts(choose(wall, "treatedPlate", true))).toMatchObject({ "treated-plate": 1 });
    const deep = choose(choose(choose(wall, "studSize", "2x6"), "bearing", true), "headerPacking", true);
    expect(counts(deep)["header-packing"]).toBe(1);
  });

  it("a row of blocking between the studs, and none across the window: 92 5/8 every 4 ft is one row", () => {
    const { pieces } = layOut(choose(wall, "blockingEvery", feet(4)));
    const blocks = pieces.filter((each) => each.role === "blocking");
    // Bays of 12 ft at 16 in: nine, of which the window and its jambs take 31 1/4 … 95 1/4; two short ones stand beside its kings.
    expect(blocks.map((each) => round(each.cutLengthNm))).toEqual([13.75, 14.5, 12.25, 8.25, 14.5, 14.5, 13.75]);
  });

  it("layout from the right end mirrors the studs", () => {
    const xs = (each: StudWall) =>
      layOut(each)
        .pieces.filter((piece) => piece.role === "stud")
        .map((piece) => round(piece.xNm + piece.widthNm / 2));
    const odd = wallOf("imperial", { lengthNm: inches(150), heightNm: feet(8) });
    const mirrored = xs(choose(odd, "layoutFrom", "right")).map((x) => 150 - x);
    expect(mirrored.toSorted((a, b) => a - b)).toEqual(xs(odd));
  });
});
