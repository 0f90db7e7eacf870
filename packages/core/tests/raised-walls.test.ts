import fc from 'fast-check';
import {
  type DerivedFloor,
  type WallBody,
  applyEdit,
  bandAlong,
  flattened,
  intersection,
  newPlan,
  openingSpan,
  partOf,
  ringsArea,
} from '../src';
import { FLOORING, areasOf, besideOf, openEdges, sideKey, topOfWall, volumeOf, wallsRaised } from '../src/raised';
import { gesture, intentOf } from './gestures';
import { House } from './house';
import { SEED } from './two-floors';

const flatRing = (body: WallBody) => flattened(body.ring);

/** By what a person would reckon: area on plan × height, less openings; null where openings lie over each other or the ceiling is not flat. */
export function reckoned(floor: DerivedFloor, body: WallBody): number | null {
  const { wall } = body;
  const rooms = (['left', 'right'] as const).flatMap((side) => besideOf(floor).get(sideKey(wall.id, side)) ?? []);
  if (rooms.some(({ room }) => !room.ceiling.level)) return null;
  const usual = Math.max(floor.plan.job.usual.ceilingHeight, ...floor.rooms.map(({ ceilingHeight }) => ceilingHeight));
  const top = rooms.length > 0 ? Math.max(...rooms.map(({ room }) => room.ceilingHeight)) : usual;
  const { course } = floor.network.half(wall.id, true);
  const gaps = floor.openings.filter((each) => each.wall === wall.id && each.form !== 'roof light');
  const spans = gaps.map((each) => openingSpan(floor.network, each));
  if (spans.some((a, i) => spans.some((b, j) => j > i && a.from < b.to && b.from < a.to))) return null;
  const holes = gaps.map((gap, i) => {
    const { from, to } = spans[i]!;
    if (to - from < 1) return 0;
    const band = bandAlong(partOf(course, from, to), 1e4, 1e4);
    const area = ringsArea(intersection([flatRing(body)], [course.arc ? sector(course, from, to) : band]));
    return area * Math.max(0, (gap.toCeiling ? top : Math.min(top, gap.sill + gap.height)) - Math.min(top, gap.sill));
  });
  return ringsArea([flatRing(body)]) * (top + FLOORING) - holes.reduce((a, b) => a + b, 0);
}

/** Between two spokes of an arc. */
function sector(course: DerivedFloor['rooms'][number]['faces'][number]['course'], from: number, to: number) {
  const { centre, radius } = course.arc!;
  const part = partOf(course, from, to);
  const far = (p: { x: number; y: number }) => ({
    x: centre.x + 3 * (p.x - centre.x),
    y: centre.y + 3 * (p.y - centre.y),
  });
  const middle = partOf(course, from, (from + to) / 2).b;
  void radius;
  const ring = [centre, far(part.a), far(middle), far(part.b)];
  return course.arc!.sweep > 0 ? ring : ring.reverse();
}

test('a wall of 5 m, 250 mm thick and 2.40 m high, with a door of 0.83 × 2.04 m', () => {
  const house = new House();
  const room = house.box(0, 0, 5000, 4000);
  const face = house.face(room, 'top');
  house.do({ kind: 'addOpening', floor: 'ground', face: face.key, end: 'left', offset: 1000, opening: 'door' });
  const raised = wallsRaised(house.floor);
  expect(raised).toHaveLength(4);
  const top = raised.find(({ body }) => body.wall.id === face.halves[0]!.wall.id)!;
  const door = house.floor.openings[0]!;
  const thick = top.body.wall.left + top.body.wall.right;
  const area = ringsArea([flatRing(top.body)]);
  expect(volumeOf(top.mesh)).toBeCloseTo(area * 2430 - door.width * thick * door.height, 0);
  const areas = areasOf(top.mesh);
  expect(
    areas.get(`face ${room} ${top.body.wall.id} ${face.halves[0]!.forward ? 'right' : 'left'}`)! - 5000 * FLOORING,
  ).toBeCloseTo(5000 * 2400 - door.width * door.height, 0);
  // two jambs and the head; what one steps on apart
  expect(areas.get(`reveal ${door.id}`)).toBeCloseTo(thick * (2 * door.height + door.width), 0);
  expect(areas.get(`threshold ${door.id}`)).toBeCloseTo(thick * door.width, 0);
});

test('walls of any floor are closed, look outwards, and are as large as area × height less openings, to a millionth', () => {
  const seen = { walls: 0, reckoned: 0, gaps: 0, curved: 0 };
  fc.assert(
    fc.property(fc.array(gesture, { minLength: 6, maxLength: 26 }), (gestures) => {
      let plan = newPlan({ name: 'Any' });
      gestures.forEach((each, i) => {
        const intent = intentOf(plan, each);
        const result = intent && applyEdit(plan, intent, `r${i}`);
        if (result?.ok) plan = result.plan;
      });
      const house = new House(plan);
      const { floor } = house;
      for (const { body, mesh } of wallsRaised(floor)) {
        seen.walls += 1;
        if (body.ring.some(({ bulge }) => bulge)) seen.curved += 1;
        expect(openEdges(mesh)).toBe(0);
        expect(volumeOf(mesh)).toBeGreaterThan(0);
        const known = reckoned(floor, body);
        if (known === null) continue;
        seen.reckoned += 1;
        if (floor.openings.some(({ wall }) => wall === body.wall.id)) seen.gaps += 1;
        const curved = body.ring.some(({ bulge }) => bulge);
        expect(Math.abs(volumeOf(mesh) - known) / known).toBeLessThan(curved ? 1e-3 : 1e-6);
      }
    }),
    { seed: SEED, numRuns: 120 },
  );
  expect(seen.reckoned).toBeGreaterThan(0.8 * seen.walls);
  expect(seen.gaps).toBeGreaterThan(25);
  expect(seen.curved).toBeGreaterThan(20);
  void topOfWall;
});
