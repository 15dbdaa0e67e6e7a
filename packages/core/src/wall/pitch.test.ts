import { studWallKind } from "../kinds";
import { measured } from "../parts/dimension";
import { enterFigure } from "../parts/entry";
import { figureSlots } from "../parts/figureSlots";
import { contexts, wallOf } from "../testing/library";
import { feet } from "../units";
import type { WallShape } from "./schema";

const context = contexts.imperial;
const shaped = (shape: WallShape) => ({ ...wallOf("imperial", { lengthNm: feet(24), heightNm: feet(8) }), shape });
const slope = shaped({ how: "slope", up: "right", highHeight: measured(feet(12), "") });
const gable = shaped({ how: "gable", peakHeight: measured(feet(14), ""), peakAt: measured(feet(9), "") });
const pitchOf = (wall: typeof slope) =>
  figureSlots(studWallKind, wall, context).find((each) => each.path === "shape.pitch");
const enter = (wall: typeof slope, typed: string) => enterFigure(studWallKind, wall, "shape.pitch", typed, context);

describe("the pitch of a wall's top", () => {
  it("is what its two heights come to: 4 ft over 24 ft is 2 in 12, 6 ft over 9 ft is 8 in 12", () => {
    expect(pitchOf(slope)?.figure.value).toBeCloseTo(2 / 12, 12);
    expect(pitchOf(gable)).toMatchObject({ label: "Pitch, left side", figure: { value: expect.closeTo(8 / 12, 12) } });
    expect(pitchOf(shaped({ how: "level" }))).toBeUndefined();
  });

  it("typed in any way says the higher end", () => {
    for (const typed of ["6 in 12", "50 %", "1:2"])
      expect(enter(slope, typed).part.shape).toMatchObject({ highHeight: { valueNm: feet(20), typed } });
    expect(enter(gable, "12/12").part.shape).toMatchObject({ peakHeight: { valueNm: feet(17) } });
    expect(pitchOf(enter(gable, "12/12").part)?.figure.value).toBeCloseTo(1, 12);
  });

  it("that cannot be is refused, kept beside, and the top stays as it was", () => {
    for (const typed of ["0", "-10", "88°", "steep", "75°"]) {
      const { part, problem } = enter(slope, typed);
      expect(problem?.path).toBe("shape.pitch");
      expect(part.shape).toMatchObject({ highHeight: { valueNm: feet(12), refused: typed } });
    }
  });

  it("is not asked until its run is measured, nor where it is a ceiling's", () => {
    const open = { ...slope, length: { valueNm: null, typed: "", assumed: false } };
    expect(pitchOf(open)).toBeUndefined();
    const under = { roomId: "r", hostId: "a", stretch: { how: "whole" as const }, underCeiling: true };
    expect(pitchOf({ ...slope, plan: under })).toBeUndefined();
  });
});
