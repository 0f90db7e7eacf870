import Coordinate from 'jsts/org/locationtech/jts/geom/Coordinate.js';
import GeometryFactory from 'jsts/org/locationtech/jts/geom/GeometryFactory.js';
import BufferOp from 'jsts/org/locationtech/jts/operation/buffer/BufferOp.js';
import OverlayOp from 'jsts/org/locationtech/jts/operation/overlay/OverlayOp.js';
import UnionOp from 'jsts/org/locationtech/jts/operation/union/UnionOp.js';
import { type Ring, flattened, signedArea } from '../src';

type Geometry = { getArea(): number };
const factory = new GeometryFactory();

/** A ring as the library's polygon, on a grid of 1e-4 mm; what crosses itself is made sound by a buffer of nothing. */
export function polygonOf(ring: Ring): Geometry {
  const points = flattened(ring).map((p) => new Coordinate(Math.round(p.x * 1e4) / 1e4, Math.round(p.y * 1e4) / 1e4));
  return BufferOp.bufferOp(factory.createPolygon([...points, points[0]!]), 0) as Geometry;
}

/** Rings, holes anticlockwise, as one geometry. */
export function geometryOf(rings: readonly Ring[]): Geometry {
  const outer = rings.filter((ring) => signedArea(ring) > 0).map(polygonOf);
  const holes = rings.filter((ring) => signedArea(ring) < 0).map((ring) => polygonOf([...flattened(ring)].reverse()));
  const all = outer.reduce((sum, each) => UnionOp.union(sum, each), factory.createPolygon([]) as Geometry);
  return holes.reduce((rest, hole) => OverlayOp.difference(rest, hole), all);
}

export const unionByJsts = (geometries: readonly Geometry[]): Geometry =>
  geometries.reduce((sum, each) => UnionOp.union(sum, each), factory.createPolygon([]) as Geometry);
export const sharedByJsts = (a: Geometry, b: Geometry): number => OverlayOp.intersection(a, b).getArea();
