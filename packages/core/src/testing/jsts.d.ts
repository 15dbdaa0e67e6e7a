/** The part of JSTS that the tests compare with; its bundle comes without types. */
declare module "jsts/dist/jsts.min.js" {
  export namespace geom {
    class Coordinate {
      constructor(x: number, y: number);
      readonly x: number;
      readonly y: number;
    }
    class Geometry {
      getArea(): number;
      getLength(): number;
      getCentroid(): Point;
      getBoundary(): Geometry;
      distance(other: Geometry): number;
      contains(other: Geometry): boolean;
      intersection(other: Geometry): Geometry;
      union(other: Geometry): Geometry;
      isValid(): boolean;
    }
    class Point extends Geometry {
      getCoordinate(): Coordinate;
    }
    class GeometryFactory {
      createPolygon(ring: readonly Coordinate[]): Geometry;
      createPoint(at: Coordinate): Point;
    }
  }
}
