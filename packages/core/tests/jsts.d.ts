declare module 'jsts/org/locationtech/jts/geom/GeometryFactory.js' {
  export default class GeometryFactory {
    createLineString(coordinates: unknown[]): unknown;
    createPolygon(shell: unknown[]): { getArea(): number };
  }
}
declare module 'jsts/org/locationtech/jts/geom/Coordinate.js' {
  export default class Coordinate {
    constructor(x: number, y: number);
  }
}
declare module 'jsts/org/locationtech/jts/operation/polygonize/Polygonizer.js' {
  export default class Polygonizer {
    add(line: unknown): void;
    getPolygons(): { iterator(): { hasNext(): boolean; next(): { getArea(): number } } };
  }
}
declare module 'jsts/org/locationtech/jts/operation/overlay/OverlayOp.js' {
  export default class OverlayOp {
    static intersection(a: unknown, b: unknown): { getArea(): number };
    static difference(a: unknown, b: unknown): { getArea(): number };
  }
}
declare module 'jsts/org/locationtech/jts/operation/union/UnionOp.js' {
  export default class UnionOp {
    static union(a: unknown, b: unknown): { getArea(): number };
  }
}
declare module 'jsts/org/locationtech/jts/operation/buffer/BufferOp.js' {
  export default class BufferOp {
    static bufferOp(a: unknown, by: number): unknown;
  }
}
