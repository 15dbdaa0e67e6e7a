import { feet, inches } from "../../../units";
import { jointsOf, spliceSpan } from "./splice";

const STAGGER = inches(24);
/** Joints in feet of a plate from nothing, out of 16 ft lengths. */
const joints = (lengthFt: number, belowFt: number[] = [], fromFt = 0) =>
  jointsOf(
    spliceSpan(
      { startNm: feet(fromFt), endNm: feet(lengthFt) },
      feet(16),
      belowFt.map((each) => feet(each)),
      STAGGER,
    ),
  ).map((nm) => nm / feet(1));

describe("joints of plates, 24 in from those below and from the ends (IRC R602.3.2)", () => {
  it.each<[string, number, number[], number[]]>([
    ["as long as its stock has none", 16, [], []],
    ["a foot longer has one 2 ft from its end", 17, [], [15]],
    ["of twice its stock has one in the middle", 32, [], [16]],
    ["of three times has two", 48, [], [16, 32]],
    ["goes back from a joint below, by 2 ft", 24, [16], [14]],
    ["goes back from one within 2 ft of its reach", 24, [15], [13]],
    ["goes as far as its stock where the one below is 2 ft away", 24, [14], [16]],
    ["goes back from two in turn", 40, [16, 14.5], [12.5, 28.5]],
  ])("%s", (_, lengthFt, below, expected) => expect(joints(lengthFt, below)).toEqual(expected));

  it("goes as far as the stock reaches where it is too short to keep clear", () => {
    const short = spliceSpan({ startNm: 0, endNm: feet(6) }, feet(3), [feet(3)], STAGGER);
    expect(jointsOf(short).map((nm) => nm / feet(1))).toEqual([1, 4]);
    const shorter = spliceSpan({ startNm: 0, endNm: feet(4) }, feet(2), [feet(2)], STAGGER);
    expect(jointsOf(shorter).map((nm) => nm / feet(1))).toEqual([2]);
  });

  it("begins where the plate does", () => expect(joints(27, [], 10)).toEqual([25]));
});
