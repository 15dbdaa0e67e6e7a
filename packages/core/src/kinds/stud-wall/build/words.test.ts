import { wallOf } from "../../../testing/library";
import { feet } from "../../../units";
import { framingOf } from "../..";
import { boardWords } from "./words";

describe("boards in words", () => {
  it.each([
    [0, 0, "no boards"],
    [1, 1, "one layer on each side"],
    [2, 2, "two layers on each side"],
    [1, 0, "one layer on this side"],
    [0, 2, "two layers on the far side"],
    [2, 1, "two layers on this side and one on the far side"],
    [1, 2, "one layer on this side and two on the far side"],
  ])("%i near, %i far: %s", (boardsNear, boardsFar, words) => {
    const wall = wallOf("imperial", { lengthNm: feet(8), heightNm: feet(8), choices: { boardsNear, boardsFar } });
    expect(boardWords(framingOf(wall, "imperial"))).toBe(words);
  });
});
