import fc from "fast-check";
import { inches, millimetres } from "../units";
import { distance, type Point, turned } from "./point";
import { straightened } from "./straightened";

const TAPE = inches(1 / 8);
const mm = (...corners: readonly (readonly [number, number])[]): Point[] =>
  corners.map(([x, y]) => ({ xNm: millimetres(x), yNm: millimetres(y) }));

describe("straightened", () => {
  it("leaves what is true as it is, whichever way it lies", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 359 }), fc.integer({ min: 900, max: 30_000 }), (degrees, long) => {
        const ring = mm([0, 0], [long, 0], [long, 4000], [2000, 6000], [0, 4000]).map((each) => turned(each, degrees));
        expect(straightened(ring, TAPE)).toEqual({ ring, movedNm: 0 });
      }),
    );
  });

  it("makes what is a sixteenth of an inch out of parallel and square so", () => {
    const { ring, movedNm } = straightened(mm([0, 0], [7315, 0], [7316.6, 11000], [0, 11000]), TAPE);
    const [a, b, c, d] = ring;
    expect([a?.yNm, b?.xNm, c?.yNm, d?.xNm]).toEqual([b?.yNm, c?.xNm, d?.yNm, a?.xNm]);
    expect([a, b?.xNm]).toEqual([{ xNm: 0, yNm: 0 }, millimetres(7315.8)]);
    expect(movedNm).toBeLessThanOrEqual(millimetres(0.81));
  });

  it("takes out a jog of a millimetre, and leaves the corner between the edges where it was along them", () => {
    const { ring } = straightened(mm([0, 0], [3000, 0], [3000, 1], [7000, 1], [7000, 5000], [0, 5000]), TAPE);
    const [a, b, c, d, e, f] = ring;
    expect(b).toEqual(c);
    expect(new Set([a?.yNm, b?.yNm, d?.yNm]).size).toBe(1);
    expect(b?.xNm).toBe(millimetres(3000));
    expect([e?.xNm, f?.xNm]).toEqual([d?.xNm, a?.xNm]);
  });

  it("keeps what a tape can tell", () => {
    const ring = mm([0, 0], [3000, 0], [3000, 10], [7000, 10], [7000, 5000], [0, 5020]);
    expect(straightened(ring, TAPE)).toEqual({ ring, movedNm: 0 });
  });

  it("moves no corner by more than three times what a tape cannot tell", () => {
    const place = fc.tuple(fc.integer({ min: 0, max: 9000 }), fc.integer({ min: 0, max: 9000 }));
    fc.assert(
      fc.property(fc.array(place, { minLength: 3, maxLength: 9 }), (places) => {
        const was = mm(...places);
        const { ring } = straightened(was, TAPE);
        expect(ring).toHaveLength(was.length);
        for (const [index, corner] of ring.entries())
          expect(distance(corner, was[index] ?? corner)).toBeLessThanOrEqual(3 * TAPE);
      }),
    );
  });
});
