import fc from "fast-check";
import { overPosts } from "./overPosts";

const ends = (length: number, sold: number, posts: readonly number[], ply: number) =>
  overPosts(length, sold, posts, ply).lengths.map(({ to }) => to);

/** Worked by hand, in inches: arithmetic. */
describe("plies of a beam", () => {
  it("are whole where they are sold so long", () => {
    expect(ends(190, 192, [3, 95, 187], 0)).toEqual([190]);
  });

  it("end over the furthest post within what is sold; every other ply over the one before", () => {
    expect(ends(240, 192, [3, 81, 159, 237], 0)).toEqual([159, 240]);
    expect(ends(240, 192, [3, 81, 159, 237], 1)).toEqual([81, 240]);
  });

  it("never end over the post at the end of the beam: what is left would be a chip", () => {
    expect(ends(194, 192, [3, 97, 191], 0)).toEqual([97, 194]);
    expect(overPosts(240, 192, [3, 237], 0)).toEqual({
      lengths: [
        { from: 0, to: 192 },
        { from: 192, to: 240 },
      ],
      loose: 1,
    });
  });

  it("add up to the beam, none longer than it is sold, whatever posts there are", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.integer({ min: 50, max: 500 }),
        fc.array(fc.integer({ min: 0, max: 5000 }), { maxLength: 30 }),
        fc.integer({ min: 0, max: 3 }),
        (length, sold, posts, ply) => {
          const { lengths } = overPosts(
            length,
            sold,
            posts.toSorted((a, b) => a - b),
            ply,
          );
          expect(lengths[0]?.from).toBe(0);
          expect(lengths[lengths.length - 1]?.to).toBe(length);
          for (const [index, { from, to }] of lengths.entries()) {
            expect(to - from).toBeLessThanOrEqual(sold);
            expect(to).toBeGreaterThan(from);
            expect(lengths[index + 1]?.from ?? to).toBe(to);
          }
        },
      ),
    );
  });
});
