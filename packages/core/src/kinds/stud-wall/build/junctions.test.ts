import { contexts, framingRulesOf, openingOf, wallOf } from "../../../testing/library";
import { feet, inches } from "../../../units";
import type { StudWall } from "../..";
import { layoutStudWall } from "./index";

type Choices = Parameters<typeof wallOf>[1]["choices"];
const THROUGH = { left: "corner-through", right: "corner-through" } as const;
const laid = (choices: Choices, more: Partial<StudWall> = {}) => {
  const wall = wallOf("imperial", { lengthNm: feet(12), heightNm: inches(97.125), choices });
  return layoutStudWall({ ...wall, ...more }, framingRulesOf("imperial"), contexts.imperial);
};
/** `left edge + width`, in inches. */
const places = (role: string, choices: Choices, more: Partial<StudWall> = {}) => {
  const { pieces, hardware } = laid(choices, more);
  return [...pieces, ...hardware]
    .filter((piece) => piece.role === role)
    .map(({ xNm, widthNm }) => `${xNm / inches(1)} + ${widthNm / inches(1)}`);
};

describe("corners of a wall that runs through, 12 ft of 2x4", () => {
  // The end stud stands at the very end; in a three-stud corner the next lies flat behind it to back the boards, in a
  // four-stud corner another stands between them (common practice).
  it("have a stud lying flat behind the end stud, or one standing and one flat, or clips", () => {
    const corner = (cornerStyle: "two-stud" | "three-stud" | "four-stud") =>
      places("corner-stud", { cornerStyle }, { ends: THROUGH });
    expect(corner("three-stud")).toEqual(["1.5 + 3.5", "139 + 3.5"]);
    expect(corner("four-stud")).toEqual(["1.5 + 1.5", "3 + 3.5", "141 + 1.5", "137.5 + 3.5"]);
    expect(corner("two-stud")).toEqual([]);
  });

  it("of two studs have clips beside the end stud from foot to head, at most 24 in apart", () => {
    const clips = laid({ cornerStyle: "two-stud" }, { ends: THROUGH }).hardware.filter(
      ({ role }) => role === "board-clip",
    );
    // Studs of 92 5/8 in: four spaces, five clips, the last with its top under the plates.
    const heights = (xIn: number) => clips.filter(({ xNm }) => xNm === inches(xIn)).map(({ yNm }) => yNm / inches(1));
    expect(clips).toHaveLength(10);
    expect([heights(1.5), heights(141)].map((all) => [all.length, all[0], all[4]])).toEqual([
      [5, 1.5, 92.625],
      [5, 1.5, 92.625],
    ]);
  });

  it("are at the ends that run through, and at no other", () => {
    const ends = { left: "corner-butts", right: "corner-through" } as const;
    expect(places("corner-stud", { cornerStyle: "three-stud" }, { ends })).toEqual(["139 + 3.5"]);
    const clips = (left: "free" | "corner-through", right: "free" | "corner-through") => [
      ...new Set(places("board-clip", { cornerStyle: "two-stud" }, { ends: { left, right } })),
    ];
    expect([clips("corner-through", "free"), clips("free", "corner-through")]).toEqual([["1.5 + 1.5"], ["141 + 1.5"]]);
    expect(
      places("board-clip", { cornerStyle: "two-stud" }, { ends: { left: "free", right: "corner-butts" } }),
    ).toEqual([]);
  });
});

describe("a wall that meets it", () => {
  const meetings = [{ positionNm: inches(70), thicknessNm: inches(3.5), withName: "Other" }];

  it("is backed by a stud behind each of its faces", () => {
    // Faces at 68 1/4 and 71 3/4, and studs of 1 1/2 in centred on them.
    expect(places("meeting-stud", { meetingStyle: "extra-studs" }, { meetings })).toEqual(["67.5 + 1.5", "71 + 1.5"]);
  });

  it("at the very end has no stud of its own there, as the end stud serves", () => {
    const atEnd = [{ positionNm: inches(1.75), thicknessNm: inches(3.5), withName: "Other" }];
    expect(places("meeting-stud", {}, { meetings: atEnd })).toEqual(["2.75 + 1.5"]);
  });

  it("at an opening has no room for its studs, and it is told", () => {
    const door = openingOf("door", "d", { positionNm: inches(60), widthNm: inches(32), heightNm: inches(82.5) });
    const { pieces, problems } = laid({}, { meetings, openings: [door] });
    expect(pieces.filter(({ role }) => role === "meeting-stud")).toEqual([]);
    expect(problems.map(({ code, path }) => [code, path])).toEqual([["meets-at-opening", "meetings"]]);
  });

  it("is backed by rungs between the studs beside it, where that is chosen", () => {
    const rungs = laid({ meetingStyle: "ladder" }, { meetings }).pieces.filter(({ role }) => role === "ladder-block");
    // Studs centred on 64 and 80 in leave 14 1/2 in; 92 5/8 in are four spaces of at most 24 in, three rungs.
    expect(rungs.map(({ xNm, cutLengthNm }) => [xNm / inches(1), cutLengthNm / inches(1)])).toEqual([
      [64.75, 14.5],
      [64.75, 14.5],
      [64.75, 14.5],
    ]);
    expect(laid({ meetingStyle: "ladder" }, { meetings }).pieces.filter(({ role }) => role === "meeting-stud")).toEqual(
      [],
    );
  });
});
