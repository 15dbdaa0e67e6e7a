import fc from "fast-check";
import initialise, { type ManifoldToplevel } from "manifold-3d";
import { roofOf, type TestEdge } from "../../testing/roofs";
import { feet, metres } from "../../units";
import { formOf, type RoofForm } from "./form";
import type { Roof } from "./schema";

type XY = [number, number];
type Side = { readonly from: XY; readonly to: XY; readonly pitch: number; readonly stands: boolean };

/** Cubic metres under the slopes down to the plate: each face's area on plan by the height over its middle. */
function volumeUnder(form: RoofForm): number {
  return (
    form.faces.reduce((sum, { wallSides }) => {
      const [origin] = wallSides;
      if (!origin) return sum;
      // Triangles from one corner: a plane's mean height over each is that of its corners.
      return wallSides.reduce((volume, { from: b, to: c }) => {
        const a = origin.from;
        const area = ((b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1])) / 2;
        return volume + (area * (a[2] + b[2] + c[2])) / 3;
      }, sum);
    }, 0) / 1e9
  );
}

const formed = (roof: Roof): RoofForm => {
  const result = formOf(roof);
  if (!result.ok) throw new Error(result.why);
  return result.form;
};

/** Over a convex outline: what stands on it, cut off by the plane of each edge that slopes. Metres. */
function cutByPlanes(sides: readonly Side[], { Manifold }: ManifoldToplevel) {
  const block = Manifold.extrude([sides.map(({ from }) => from)], 100);
  return sides
    .filter(({ stands }) => !stands)
    .reduce((solid, { from, to, pitch }) => {
      const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
      const inwards: XY = [-(to[1] - from[1]) / length, (to[0] - from[0]) / length];
      // Kept: height ≤ pitch × (how far in from the edge).
      const normal: [number, number, number] = [inwards[0] * pitch, inwards[1] * pitch, -1];
      const size = Math.hypot(...normal);
      const offset = (pitch * (inwards[0] * from[0] + inwards[1] * from[1])) / size;
      return solid.trimByPlane([normal[0] / size, normal[1] / size, normal[2] / size], offset);
    }, block);
}

const sidesOf = (
  corners: readonly XY[],
  pitchOf: (index: number) => number,
  stands: (index: number) => boolean,
): Side[] =>
  corners.map((from, index) => {
    const to = corners[(index + 1) % corners.length] ?? from;
    return { from, to, pitch: pitchOf(index), stands: stands(index) };
  });

/** A rectangle's corners in metres, from its length and its depth in feet. */
const box = (x: number, y: number, wide: number, deep: number): XY[] => {
  const m = 0.3048;
  return [
    [x * m, y * m],
    [(x + wide) * m, y * m],
    [(x + wide) * m, (y + deep) * m],
    [x * m, (y + deep) * m],
  ];
};

/** Source: `manifold-3d`, a general-purpose library of solids that knows nothing of roofs. */
describe("the solid under a roof, against a library of solids", () => {
  let wasm: ManifoldToplevel;
  beforeAll(async () => {
    wasm = await initialise();
    wasm.setup();
  });

  it("has the volume of the block over its outline cut by the planes of its edges, whatever their pitches and gables", () => {
    const anyRoof = fc.record({
      wide: fc.integer({ min: 4, max: 20 }),
      deep: fc.integer({ min: 4, max: 20 }),
      pitches: fc.array(fc.double({ min: 0.2, max: 1.6, noNaN: true }), { minLength: 4, maxLength: 4 }),
      gables: fc.constantFrom([], [1], [3], [1, 3], [0, 2]),
    });
    fc.assert(
      fc.property(anyRoof, ({ wide, deep, pitches, gables }) => {
        const edges = [wide, deep, wide, deep].map((length, index): TestEdge => {
          const end = gables.some((each) => each === index) ? "gable" : "eave";
          return { lengthNm: metres(length), end, pitch: pitches[index] ?? 1 };
        });
        const corners: XY[] = [
          [0, 0],
          [wide, 0],
          [wide, deep],
          [0, deep],
        ];
        const sides = sidesOf(
          corners,
          (index) => pitches[index] ?? 1,
          (index) => gables.some((each) => each === index),
        );
        const own = volumeUnder(formed(roofOf("metric", edges, { pitch: 1 })));
        expect(own / cutByPlanes(sides, wasm).volume()).toBeCloseTo(1, 4);
      }),
      { numRuns: 100, seed: 31, endOnFailure: true },
    );
  });

  it("over an L of one pitch is that of the two hipped wings together", () => {
    const edges: TestEdge[] = [
      { lengthNm: feet(38), end: "eave" },
      { lengthNm: feet(13), end: "eave" },
      { lengthNm: feet(19), end: "eave", turn: -90 },
      { lengthNm: feet(13), end: "eave" },
      { lengthNm: feet(19), end: "eave" },
      { lengthNm: feet(26), end: "eave" },
    ];
    const wing = (corners: readonly XY[]) =>
      cutByPlanes(
        sidesOf(
          corners,
          () => 0.5,
          () => false,
        ),
        wasm,
      );
    const both = wing(box(0, 0, 38, 13)).add(wing(box(0, 0, 19, 26)));
    expect(volumeUnder(formed(roofOf("imperial", edges, { pitch: 0.5 }))) / both.volume()).toBeCloseTo(1, 4);
  });
});
