import { contexts, wallOf } from "../testing/library";
import { feet } from "../units";
import { drawWall } from "./draw";

describe("a wall seen square on", () => {
  const texts = (measured: boolean) => {
    const wall = wallOf("imperial", { lengthNm: feet(12.5), heightNm: feet(8) });
    const drawn = measured ? wall : { ...wall, length: { ...wall.length, valueNm: null } };
    return drawWall(drawn, contexts.imperial).dimensions.map(({ id, text }) => [id, text]);
  };

  it("has its length and height written beside it, and asks for a length that nobody has measured", () => {
    expect(texts(true)).toEqual(
      expect.arrayContaining([
        ["length", "12' 6\""],
        ["height", "8' 0\""],
      ]),
    );
    expect(texts(false)).toEqual(expect.arrayContaining([["length", "length?"]]));
  });
});
