import fc from 'fast-check';
import GeometryFactory from 'jsts/org/locationtech/jts/geom/GeometryFactory.js';
import Coordinate from 'jsts/org/locationtech/jts/geom/Coordinate.js';
import Polygonizer from 'jsts/org/locationtech/jts/operation/polygonize/Polygonizer.js';
import { type Plan, Draft, cellsOf, networkOf, newPlan, planarise, signedArea, cornerRing } from '../src';

/** A tangle of straight walls without thickness, made planar. */
function tangle(segments: readonly (readonly [number, number, number, number])[]): Plan {
  const draft = new Draft(newPlan({ name: 'Tangle' }), 't');
  const walls = segments.map(([x1, y1, x2, y2]) => {
    const start = draft.addCorner('ground', x1, y1).id;
    const end = draft.addCorner('ground', x2, y2).id;
    return draft.addWall({ floor: 'ground', start, end, left: 0, right: 0, kind: 'external', typed: false }).id;
  });
  planarise(draft, 'ground', walls, new Map());
  return draft.plan();
}

function polygonizerAreas(plan: Plan): number[] {
  const factory = new GeometryFactory();
  const polygonizer = new Polygonizer();
  for (const wall of Object.values(plan.walls)) {
    const ends = [plan.corners[wall.start]!, plan.corners[wall.end]!].map((c) => new Coordinate(c.x, c.y));
    polygonizer.add(factory.createLineString(ends));
  }
  const areas: number[] = [];
  for (const it = polygonizer.getPolygons().iterator(); it.hasNext();) areas.push(it.next().getArea());
  return areas.filter((area) => area > 1).sort((a, b) => a - b);
}

function ourAreas(plan: Plan): number[] {
  const network = networkOf(plan.corners, Object.values(plan.walls));
  return cellsOf(network)
    .map((face) => face.outline.area + face.holes.reduce((sum, hole) => sum + signedArea(cornerRing(network, hole)), 0))
    .filter((area) => area > 1)
    .sort((a, b) => a - b);
}

// independent library: jsts Polygonizer (a port of the JTS Topology Suite), on the same planar lines
test('faces agree with an independent polygonizer on random wall graphs', () => {
  const place = fc.integer({ min: 0, max: 60 }).map((k) => k * 137);
  const segment = fc.tuple(place, place, place, place);
  fc.assert(
    fc.property(fc.array(segment, { minLength: 3, maxLength: 25 }), (segments) => {
      const plan = tangle(segments);
      const ours = ourAreas(plan);
      const theirs = polygonizerAreas(plan);
      expect(ours).toHaveLength(theirs.length);
      ours.forEach((area, i) => expect(Math.abs(area - theirs[i]!)).toBeLessThan(1e-3 * (1 + area * 1e-9)));
    }),
    { numRuns: 200 },
  );
});
