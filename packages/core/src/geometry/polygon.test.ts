import fc from "fast-check";
import { geom } from "jsts/dist/jsts.min.js";
import { NM_PER_M } from "../units";
import { overlapArea, union } from "./combine";
import { directionOf, type Point, turned } from "./point";
import {
  centroid,
  crossings,
  isInside,
  keptBelow,
  type Polygon,
  perimeterNm,
  polygonArea,
  signedArea,
} from "./polygon";

// Reference: JSTS, a port of the JTS Topology Suite, a general-purpose geometry library from the registry.
const factory = new geom.GeometryFactory();
const reference = (polygon: Polygon) => {
  const corners = [...polygon, ...polygon.slice(0, 1)];
  return factory.createPolygon(corners.map(({ xNm, yNm }) => new geom.Coordinate(xNm / NM_PER_M, yNm / NM_PER_M)));
};

/** A random room: corners at growing angles round a middle, each at its own distance, so that no walls cross. */
const roomArbitrary = fc
  .array(fc.record({ step: fc.integer({ min: 5, max: 60 }), mm: fc.integer({ min: 600, max: 9000 }) }), {
    minLength: 3,
    maxLength: 24,
  })
  .map((corners): Polygon => {
    const whole = corners.reduce((sum, corner) => sum + corner.step, 0);
    let walked = 0;
    return corners.map(({ step, mm }): Point => {
      walked += step;
      const { x, y } = directionOf((360 * walked) / whole);
      return { xNm: Math.round(x * mm * 1e6), yNm: Math.round(y * mm * 1e6) };
    });
  })
  .filter((polygon) => reference(polygon).isValid());

const square = (xM: number, yM: number, sideM: number): Polygon =>
  [
    [xM, yM],
    [xM + sideM, yM],
    [xM + sideM, yM + sideM],
    [xM, yM + sideM],
  ].map(([x = 0, y = 0]) => ({ xNm: x * NM_PER_M, yNm: y * NM_PER_M }));

describe("polygons against a general-purpose geometry library", () => {
  it("agrees on the area and perimeter of a thousand random rooms", () => {
    fc.assert(
      fc.property(roomArbitrary, (polygon) => {
        const shape = reference(polygon);
        expect(polygonArea(polygon)).toBeCloseTo(shape.getArea(), 9);
        expect(perimeterNm(polygon) / NM_PER_M).toBeCloseTo(shape.getLength(), 8);
      }),
      { numRuns: 1000 },
    );
  });

  it("agrees on the middle, on crossing and on what is inside", () => {
    fc.assert(
      fc.property(
        roomArbitrary,
        fc.integer({ min: -9000, max: 9000 }),
        fc.integer({ min: -9000, max: 9000 }),
        (polygon, x, y) => {
          const shape = reference(polygon);
          const middle = shape.getCentroid().getCoordinate();
          expect(centroid(polygon).xNm / NM_PER_M).toBeCloseTo(middle.x, 6);
          expect(centroid(polygon).yNm / NM_PER_M).toBeCloseTo(middle.y, 6);
          expect(crossings(polygon)).toEqual([]);
          const point = factory.createPoint(new geom.Coordinate(x / 1000, y / 1000));
          if (shape.getBoundary().distance(point) > 1e-6) {
            expect(isInside(polygon, { xNm: x * 1e6, yNm: y * 1e6 })).toBe(shape.contains(point));
          }
        },
      ),
      { numRuns: 300 },
    );
  });

  it("agrees on what two rooms cover and where they overlap", () => {
    fc.assert(
      fc.property(roomArbitrary, roomArbitrary, fc.integer({ min: -8000, max: 8000 }), (a, other, dx) => {
        const b = other.map(({ xNm, yNm }) => ({ xNm: xNm + dx * 1e6, yNm }));
        const [first, second] = [reference(a), reference(b)];
        expect(overlapArea(a, b)).toBeCloseTo(first.intersection(second).getArea(), 5);
        const covered = union([a, b]).reduce((sum, ring) => sum + signedArea(ring), 0);
        expect(covered).toBeCloseTo(first.union(second).getArea(), 5);
      }),
      { numRuns: 200 },
    );
  });
});

describe("polygons by arithmetic", () => {
  it("has a sign for the way round", () => {
    expect(signedArea(square(0, 0, 2))).toBe(4);
    expect(signedArea([...square(0, 0, 2)].reverse())).toBe(-4);
  });

  it("finds the walls of a figure eight that cross", () => {
    const [a, b, c, d] = square(0, 0, 2);
    if (!a || !b || !c || !d) throw new Error("a square has four corners");
    expect(crossings([a, c, b, d])).toEqual([[0, 2]]);
  });

  it("crosses neither its neighbour nor, where it is closed, its first edge with its last", () => {
    const square = [
      { xNm: 0, yNm: 0 },
      { xNm: 4, yNm: 0 },
      { xNm: 4, yNm: 4 },
      { xNm: 0, yNm: 4 },
    ];
    expect(crossings(square)).toEqual([]);
    expect(crossings(square, false)).toEqual([]);
    // A walk that comes back to its start is met there by its last edge.
    expect(crossings([...square, { xNm: 0, yNm: 0 }], false)).toEqual([[0, 3]]);
    // Down, right, up and left across the first edge: edge 3 meets edge 0.
    const hook = [
      { xNm: 0, yNm: 4 },
      { xNm: 0, yNm: 0 },
      { xNm: 4, yNm: 0 },
      { xNm: 4, yNm: 2 },
      { xNm: -2, yNm: 2 },
    ];
    expect(crossings(hook, false)).toEqual([[0, 3]]);
  });

  it("cuts a square in half along a line", () => {
    const half = keptBelow(square(0, 0, 2), { x: 1, y: 0 }, NM_PER_M);
    expect(polygonArea(half)).toBe(2);
    expect(centroid(half)).toEqual({ xNm: NM_PER_M / 2, yNm: NM_PER_M });
  });

  it("turns squarely without a rounding hair", () => {
    const point = { xNm: 123_456_789, yNm: 1 };
    expect(turned(turned(turned(turned(point, 90), 90), 90), 90)).toEqual(point);
    expect(turned(point, -270)).toEqual(turned(point, 90));
  });
});
