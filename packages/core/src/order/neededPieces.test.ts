import { lineOf, times } from "../testing/lines";
import { feet } from "../units";
import { neededPieces, sparePieces } from "./neededPieces";

const line = (count: number, lengthNm = feet(8)) =>
  lineOf({ itemCode: "timber/2x4", buying: "cut", unit: "piece", cutLengthsNm: times(count, lengthNm) });

describe("pieces to spare", () => {
  // Common practice: a share of the pieces, rounded up to whole ones.
  it.each([
    [10, 10, 1],
    [11, 10, 2],
    [20, 5, 1],
    [21, 5, 2],
    [3, 100, 3],
    [10, 0, 0],
    [0, 10, 0],
  ])("%i pieces with %i %% are %i more", (count, percent, spare) => {
    expect(sparePieces([line(count)], () => percent)).toHaveLength(spare);
  });

  it("are of the length there is most of, each with a name of its own", () => {
    const lines = [line(3, feet(8)), line(4, feet(10)), line(2, feet(8))];
    expect(sparePieces(lines, () => 20)).toEqual([
      { id: "spare/1", lengthNm: feet(8) },
      { id: "spare/2", lengthNm: feet(8) },
    ]);
  });

  it("follow each line's own share: 10 at 10 % and 10 at 20 % are 3", () => {
    const [first, second] = [line(10), line(10)];
    expect(sparePieces([first, second], (each) => (each === first ? 10 : 20))).toHaveLength(3);
  });

  it("are beside the pieces needed, which stay what they are", () => {
    expect(neededPieces([line(2, feet(7))]).map(({ lengthNm }) => lengthNm)).toEqual([feet(7), feet(7)]);
  });
});
