import fc from "fast-check";
import { anyOutline, areaOf, loopOf } from "../../testing/outlines";
import { type FormFace, type Skeleton, straightSkeleton, type XY, type XYZ } from "./index";

const RUNS = 500;
const WAYS: readonly (readonly [string, readonly number[]])[] = [
  ["one pitch", [1]],
  ["several pitches", [0.5, 1, 1.7, 2.4]],
  ["one pitch and standing edges", [1, 1, 1, 0]],
  ["several pitches and standing edges", [0.5, 1, 1.7, 2.4, 0]],
];

const sloping = (form: Skeleton & { ok: true }): FormFace[] => form.faces.filter(({ line }) => line.runPerRise > 0);
const cornersOf = (face: FormFace): XYZ[] => face.rings.flat().map(({ from }) => from);
const planAreaOf = (face: FormFace): number =>
  face.rings.map((ring) => areaOf(ring.map(({ from }) => from))).reduce((a, b) => a + b, 0);

function spaceAreaOf(face: FormFace): number {
  return face.rings.reduce((sum, ring) => {
    const twice = ring.reduce(
      ([x, y, z]: XYZ, { from: a, to: b }): XYZ => [
        x + a[1] * b[2] - a[2] * b[1],
        y + a[2] * b[0] - a[0] * b[2],
        z + a[0] * b[1] - a[1] * b[0],
      ],
      [0, 0, 0],
    );
    return sum + Math.hypot(...twice) / 2;
  }, 0);
}

const offPlane = ({ line }: FormFace, [x, y, z]: XYZ): number =>
  Math.abs(line.normal[0] * x + line.normal[1] * y - line.offsetMm - line.runPerRise * z);

/** Places above the eaves from which no side of the form leads down: water would stand there. */
function lowPlaces(form: Skeleton & { ok: true }): XYZ[] {
  const key = (place: XYZ) => place.map((each) => each.toFixed(3)).join("/");
  const places = new Map<string, XYZ>();
  const falls = new Set<string>();
  for (const { from, to } of form.faces.flatMap((face) => face.rings.flat())) {
    places.set(key(from), from);
    if (to[2] < from[2] - 1e-3) falls.add(key(from));
    if (from[2] < to[2] - 1e-3) falls.add(key(to));
  }
  return [...places].filter(([at, place]) => place[2] > 0.01 && !falls.has(at)).map(([, place]) => place);
}

/** Areas of the slopes edge by edge. */
function slopeAreas(form: Skeleton): number[] {
  if (!form.ok) return [];
  return form.faces
    .toSorted((a, b) => a.line.edge - b.line.edge || b.line.runPerRise - a.line.runPerRise)
    .map((face) => spaceAreaOf(face));
}

describe.each(WAYS)("a form over any outline, of %s", (_, runs) => {
  const anyForm = fc
    .tuple(anyOutline, fc.array(fc.constantFrom(...runs), { minLength: 16, maxLength: 16 }))
    .map(([outline, each]) => ({
      outline,
      each,
      form: straightSkeleton([loopOf(outline, (index) => each[index] ?? 1)]),
    }));

  it("has flat faces of their pitch that tile the outline, and lets water run off everywhere", () => {
    let formed = 0;
    fc.assert(
      fc.property(anyForm, ({ outline, each, form }) => {
        if (!form.ok) {
          expect([form.why, each.includes(0)]).toEqual(["unreached", true]);
          return;
        }
        formed += 1;
        const off = sloping(form).flatMap((face) => cornersOf(face).map((corner) => offPlane(face, corner)));
        expect(Math.max(...off)).toBeLessThan(0.05);
        const tiled = form.faces.map(planAreaOf).reduce((a, b) => a + b, 0);
        expect(Math.abs(tiled / areaOf(outline) - 1)).toBeLessThan(1e-6);
        for (const face of sloping(form)) {
          const secant = Math.hypot(1, 1 / face.line.runPerRise);
          expect(Math.abs(spaceAreaOf(face) / (planAreaOf(face) * secant) - 1)).toBeLessThan(1e-4);
        }
        expect(lowPlaces(form)).toEqual([]);
      }),
      { numRuns: RUNS, seed: 11, endOnFailure: true },
    );
    expect(formed).toBeGreaterThan(RUNS / 2);
  });

  it("is the same when it is turned or mirrored", () => {
    const turn = ([x, y]: XY): XY => [0.6 * x - 0.8 * y + 1234, 0.8 * x + 0.6 * y - 567];
    fc.assert(
      fc.property(anyForm, ({ outline, each, form }) => {
        const turned = straightSkeleton([loopOf(outline.map(turn), (index) => each[index] ?? 1)]);
        const count = outline.length;
        const mirrored = straightSkeleton([
          loopOf(
            outline.map(([x, y]): XY => [-x, y]).toReversed(),
            (index) => each[(2 * count - 2 - index) % count] ?? 1,
          ),
        ]);
        expect([turned.ok, mirrored.ok]).toEqual([form.ok, form.ok]);
        const total = (of: Skeleton) => slopeAreas(of).reduce((a, b) => a + b, 0);
        if (!form.ok) return;
        const most = total(form);
        expect(Math.abs(total(mirrored) / most - 1)).toBeLessThan(1e-5);
        for (const [index, area] of slopeAreas(turned).entries()) {
          expect(Math.abs(area - (slopeAreas(form)[index] ?? 0)) / most).toBeLessThan(1e-5);
        }
      }),
      { numRuns: RUNS / 5, seed: 12, endOnFailure: true },
    );
  });
});
