import fc from "fast-check";
import { anyOutline, loopOf } from "../../testing/outlines";
import { straightSkeleton, type XY } from "./index";

type Reference = {
  readonly vertices: readonly (readonly [x: number, y: number, time: number])[];
  readonly polygons: readonly (readonly number[])[];
};
type SkeletonBuilder = {
  init(): Promise<void>;
  buildFromPolygon(rings: number[][][]): Reference | null;
};

/** The package is made for pages and asks for a few of their names while it starts. */
async function loadReference(): Promise<SkeletonBuilder> {
  const names = { self: globalThis, window: globalThis, document: { currentScript: { src: "" } } };
  Object.assign(globalThis, names);
  const { SkeletonBuilder: builder } = require("straight-skeleton") as { SkeletonBuilder: SkeletonBuilder };
  await builder.init();
  for (const name of Object.keys(names)) Reflect.deleteProperty(globalThis, name);
  return builder;
}

const closed = (corners: readonly XY[]): number[][] => [...corners, ...corners.slice(0, 1)].map(([x, y]) => [x, y]);

/** The nearest of the reference's corners to a place, in millimetres, heights counted. */
const nearest = ([x, y, z]: readonly number[], vertices: Reference["vertices"]): number =>
  Math.min(...vertices.map(([a, b, time]) => Math.hypot(a - (x ?? 0), b - (y ?? 0), time - (z ?? 0))));

/** A square hole within an outline, as a light well is: under the middle of its first side. */
function holeIn(outline: readonly XY[]): XY[] {
  const [[ax, ay], [bx, by]] = [outline[0] ?? [0, 0], outline[1] ?? [0, 0]];
  const length = Math.hypot(bx - ax, by - ay);
  const inwards = length / 20;
  const [x, y] = [(ax + bx) / 2 - ((by - ay) / length) * inwards, (ay + by) / 2 + ((bx - ax) / length) * inwards];
  const half =
    Math.min(...outline.map((from, index) => fromSide([x, y], from, outline[(index + 1) % outline.length] ?? from))) /
    3;
  return [
    [x - half, y - half],
    [x - half, y + half],
    [x + half, y + half],
    [x + half, y - half],
  ];
}

function fromSide([x, y]: XY, [ax, ay]: XY, [bx, by]: XY): number {
  const [dx, dy] = [bx - ax, by - ay];
  const along = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy)));
  return Math.hypot(x - ax - along * dx, y - ay - along * dy);
}

/**
 * Source: `straight-skeleton`, a binding of the Computational Geometry Algorithms Library, which has no weights and answers in single
 * precision. Lengths go in as metres.
 */
describe("against a general-purpose library", () => {
  /** On a grid of 1/1024 m, which single precision holds exactly. */
  const inMetres = (corners: readonly XY[]): XY[] =>
    corners.map(([x, y]): XY => [Math.round(x * 1.024) / 1024, Math.round(y * 1.024) / 1024]);

  it("has the same corners, at the same heights, for 500 outlines, half of them with a hole", async () => {
    const builder = await loadReference();
    let compared = 0;
    let corners = 0;
    const anyHoled = fc.tuple(anyOutline, fc.boolean());
    fc.assert(
      fc.property(anyHoled, ([outline, holed]) => {
        const rings = holed ? [outline, holeIn(outline)] : [outline];
        const reference = builder.buildFromPolygon(rings.map((ring) => closed(inMetres(ring))));
        const form = straightSkeleton(rings.map((ring) => loopOf(inMetres(ring), () => 1)));
        if (!reference || !form.ok) throw new Error(`one of them has no form: ${form.ok ? "the reference" : form.why}`);
        const own = form.faces.flatMap((face) => face.rings.flat().map(({ from }) => from));
        const furthest = Math.max(...own.map((place) => nearest(place, reference.vertices)));
        const missed = Math.max(...reference.vertices.map((place) => nearest(place, own)));
        expect(Math.max(furthest, missed)).toBeLessThan(0.001);
        compared += 1;
        corners += own.length;
      }),
      { numRuns: 500, seed: 21, endOnFailure: true },
    );
    expect(compared).toBe(500);
    expect(corners).toBeGreaterThan(5000);
  });
});
