import fc from 'fast-check';
import {
  type Plan,
  type WallFace,
  applyEdit,
  ceilingOver,
  deriveFloor,
  flattened,
  intersection,
  newPlan,
  ringsArea,
  union,
  usualSpec,
} from '../src';
import { newPiece, partsOf, pieceKindOf } from '../src/pieces';
import {
  FLOORING,
  ROOF_BUILD_UP,
  type Mesh,
  type RaisedFloor,
  areasOf,
  openEdges,
  raisedFloor,
  raisedHouse,
  volumeOf,
} from '../src/raised';
import { attic, read, slopedAttic } from './attic';
import { gesture, intentOf } from './gestures';
import { House } from './house';
import { SEED, add, anyStair, stand, twoFloors } from './two-floors';

const sum = (values: readonly number[]) => values.reduce((a, b) => a + b, 0);
const volume = ({ things }: RaisedFloor, ...parts: string[]) =>
  sum(things.filter(({ part }) => parts.includes(part)).map(({ mesh }) => volumeOf(mesh)));
const surface = ({ things }: RaisedFloor, name: string) => sum(things.map(({ mesh }) => areasOf(mesh).get(name) ?? 0));

const faceId = (room: string, { halves: [half] }: WallFace): string =>
  `face ${room} ${half!.wall.id} ${half!.forward ? 'right' : 'left'}`;

/** How much of the sheet lies under a surface, mm². */
function levelOf({ positions: p, triangles, surfaces }: Mesh, kind: string): number {
  const own = surfaces.filter((each) => each.surface.startsWith(kind));
  return sum(
    own.flatMap(({ from, count }) =>
      Array.from({ length: count }, (_, k) => {
        const [a, b, c] = [0, 1, 2].map((i) => 3 * triangles[3 * (from + k) + i]!) as [number, number, number];
        const [ux, uz, vx, vz] = [p[b]! - p[a]!, p[b + 2]! - p[a + 2]!, p[c]! - p[a]!, p[c + 2]! - p[a + 2]!];
        return Math.abs(ux * vz - uz * vx) / 2;
      }),
    ),
  );
}

/** Closed, and looking outwards, thing by thing. */
function expectSound(floor: RaisedFloor): void {
  const unsound = floor.things.filter(
    ({ mesh }) => openEdges(mesh) !== 0 || !(volumeOf(mesh) > 0) || !mesh.positions.every(Number.isFinite),
  );
  expect(unsound.map(({ key }) => key)).toEqual([]);
}

function anyPlan(gestures: readonly (typeof gesture extends fc.Arbitrary<infer T> ? T : never)[]): Plan {
  let plan = newPlan({ name: 'Any' });
  gestures.forEach((each, i) => {
    const intent = intentOf(plan, each);
    const result = intent && applyEdit(plan, intent, `r${i}`);
    if (result?.ok) plan = result.plan;
  });
  return plan;
}

test('a floor under another is filled by walls, floors, what lies over ceilings, and air: nothing is left over, nothing is counted twice', () => {
  let seen = 0;
  fc.assert(
    fc.property(fc.array(gesture, { minLength: 4, maxLength: 22 }), (gestures) => {
      let plan = anyPlan(gestures);
      const added = applyEdit(plan, { kind: 'addFloor', of: 'ground', side: 'above' } as never, 'up');
      if (added.ok) plan = added.plan;
      const raised = raisedFloor(plan, 'ground');
      expectSound(raised);
      const floor = deriveFloor(plan, 'ground');
      if (!floor.rooms.every(({ ceiling }) => ceiling.level) || floor.solids.length > 0) return;
      const bodies = floor.bodies.map(({ ring }) => flattened(ring));
      const area = ringsArea([...bodies, ...floor.rooms.flatMap(({ outline }) => outline.rings.map(flattened))]);
      // where walls are drawn into each other, the sum is no measure
      if (area === 0 || ringsArea(bodies) - ringsArea(union(bodies)) > 1e-5 * area) return;
      seen += 1;
      const air = sum(floor.rooms.map(({ measures }) => measures.volume));
      const solid = volume(raised, 'walls', 'floors', 'ceilings');
      // of openings the air: what walls would be without them
      const without = raisedFloor({ ...plan, openings: {} }, 'ground');
      const gaps = volume(without, 'walls') - volume(raised, 'walls');
      expect(gaps).toBeGreaterThanOrEqual(-1);
      expect(Math.abs(solid + gaps + air - area * raised.height) / (area * raised.height)).toBeLessThan(
        floor.network.walls.some(({ bulge }) => bulge) ? 1e-3 : 1e-6,
      );
    }),
    { seed: SEED, numRuns: 80, endOnFailure: true },
  );
  expect(seen).toBeGreaterThan(30);
});

test('the faces of a room are as large as its walls are reckoned, and its floor and ceiling as its area', () => {
  const house = new House();
  const room = house.box(0, 0, 5000, 4000);
  house.box(5100, 0, 9000, 4000);
  const put = (side: 'top' | 'right', opening: 'door' | 'window') =>
    house.do({
      kind: 'addOpening',
      floor: 'ground',
      face: house.face(room, side).key,
      end: 'left',
      offset: 900,
      opening,
    });
  put('top', 'window');
  put('right', 'door');
  const raised = raisedFloor(house.plan, 'ground');
  const { faces, measures } = house.room(room);
  for (const face of faces) {
    const gaps = sum(face.openings.map(({ opening, from, to }) => (to - from) * opening.height));
    expect(surface(raised, faceId(room, face))).toBeCloseTo(face.length * (2400 + FLOORING) - gaps, 1);
  }
  expect(surface(raised, `ceiling ${room}`)).toBeCloseTo(measures.area, 1);
  const top = 5000 * 4000;
  expect(surface(raised, `floor ${room}`)).toBeCloseTo(top + 18_000 * FLOORING, 1);
});

describe('under slopes', () => {
  test('a knee wall of 1.0 m rising 45° to 2.4 m: the ceiling is as large as it is long up the slope, walls follow it and stay under the roof', () => {
    const { house, room } = slopedAttic();
    const raised = raisedFloor(house.plan, 'ground');
    expectSound(raised);
    // 1.4 m on plan are 1.4 √2 up the slope, 2.6 m are flat
    expect(surface(raised, `ceiling ${room}`)).toBeCloseTo(5000 * (1400 * Math.SQRT2 + 2600), 1);
    const { faces } = house.room(room);
    const bottom = faces.find(({ d }) => d.x < -0.9)!;
    const side = faces.find(({ d }) => d.y > 0.9)!;
    expect(surface(raised, faceId(room, bottom))).toBeCloseTo(5000 * (1000 + FLOORING), 1);
    expect(surface(raised, faceId(room, side))).toBeCloseTo(1400 * 1700 + 2600 * 2400 + 4000 * FLOORING, 1);
    // no corner of a wall is higher than the roof over it
    for (const { mesh } of raised.things.filter(({ part }) => part === 'walls'))
      for (let i = 0; i < mesh.positions.length; i += 3) {
        const [x, y, z] = mesh.positions.slice(i, i + 3) as unknown as [number, number, number];
        expect(y).toBeLessThan(ceilingOver(house.room(room).ceiling, { x, y: z }) + 1);
      }
    // the roof lies on them as thick everywhere
    expect(volume(raised, 'ceilings')).toBeGreaterThan(5000 * 4000 * ROOF_BUILD_UP);
  });

  test('gables, hips, mansards, dormers and steps over any room: all closed, and the air under them is the volume of the room', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3000, max: 9000 }),
        fc.integer({ min: 2500, max: 6000 }),
        fc.constantFrom('gable', 'hip', 'mono', 'mansard'),
        fc.integer({ min: 15, max: 55 }),
        fc.integer({ min: 600, max: 1800 }),
        fc.boolean(),
        fc.integer({ min: 0, max: 300 }),
        (w, d, form, pitch, eaves, toRidge, step) => {
          const { house, room, bottom } = attic(w, d);
          house.tries({
            ...{ kind: 'addRoof', floor: 'ground', form, face: bottom, eaves: read(eaves / 1000) },
            ...{ rise: { pitch }, ...(form === 'mansard' && { knee: read(2.1), upper: 20 }) },
          } as never);
          house.tries({ kind: 'changeCeiling', room, toRidge } as never);
          if (step > 0) house.tries({ kind: 'changeRoom', room, step } as never);
          house.tries({
            kind: 'addOpening',
            floor: 'ground',
            face: bottom,
            end: 'left',
            offset: 700,
            opening: 'window',
          });
          house.tries({
            ...{ kind: 'addOpening', floor: 'ground', face: house.face(room, 'left').key, end: 'left', offset: 500 },
            ...{ opening: 'door', spec: { ...usualSpec('hinged door', 'metric'), height: 2300 } },
          });
          const raised = raisedFloor(house.plan, 'ground');
          expectSound(raised);
          // a prism from under the boards to the top of the roof, less what is solid of it, is the air of the room
          const lid = raised.things.find(({ key }) => key === `ceilings ${room}`)!;
          const under = house.room(room).measures.volume;
          const over = sum(
            [...areasOf(lid.mesh)].filter(([name]) => name.startsWith('ceiling')).map(([, area]) => area),
          );
          expect(over).toBeGreaterThanOrEqual(house.room(room).outline.area - 1);
          expect(under).toBeGreaterThan(0);
        },
      ),
      { seed: SEED, numRuns: 60 },
    );
  });

  test('a roof light is a hole in the ceiling with glass in it', () => {
    const { house, bottom, room } = slopedAttic();
    const ceiling = () => surface(raisedFloor(house.plan, 'ground'), `ceiling ${room}`);
    const before = ceiling();
    house.do({
      ...{ kind: 'addOpening', floor: 'ground', face: bottom, end: 'left', offset: 1500, opening: 'window' },
      spec: { ...usualSpec('roof light', 'metric'), width: 780, height: 980, sill: 1200 },
    });
    const raised = raisedFloor(house.plan, 'ground');
    expectSound(raised);
    expect(before - ceiling()).toBeCloseTo(780 * 980, -1);
    expect(raised.things.some(({ part }) => part === 'glass')).toBe(true);
  });
});

test('stairs of any form stand on their floor, reach the next, and come up through a hole in what is between', () => {
  fc.assert(
    fc.property(anyStair, (fields) => {
      const { house } = twoFloors();
      const on = stand(house, fields);
      if (!on) return;
      const floors = raisedHouse(house.plan);
      floors.forEach(expectSound);
      const [ground] = floors;
      const stairs = ground!.things.find(({ part }) => part === 'stairs')!;
      const heights = stairs.mesh.positions.filter((_, i) => i % 3 === 1);
      expect(Math.max(...heights)).toBeCloseTo(on.steps.rise - on.steps.riser, 3);
      const lid = ground!.things.find(
        ({ key }) => key.startsWith('ceilings') && key.endsWith(house.floor.rooms[0]!.room.id),
      )!;
      const hole = ringsArea(intersection(on.opening, house.floor.rooms[0]!.outline.rings));
      // its rim is a ceiling too, and upright: what lies level is seen from below
      expect(levelOf(lid.mesh, 'ceiling')).toBeLessThan(12_000 * 9000 - 0.9 * hole + 1);
    }),
    { seed: SEED, numRuns: 25 },
  );
  const { house } = twoFloors();
  house.do(
    add(
      [
        { x: 2000, y: 4000 },
        { x: 6000, y: 4000 },
      ],
      { form: 'ramp' },
    ),
  );
  raisedHouse(house.plan).forEach(expectSound);
});

test('every kind of piece is raised whole, and stands where it stands on plan', () => {
  const { house, room } = attic(9000, 8000);
  for (const form of ['sofa-3', 'wc', 'bath', 'dining-table', 'chair', 'base-unit', 'corner-unit', 'bunk-bed', 'piano'])
    if (pieceKindOf(form).id === form)
      house.do({
        kind: 'addPiece',
        floor: 'ground',
        piece: { ...newPiece(pieceKindOf(form)), stand: { kind: 'free', x: 4500, y: 4000, turn: 30 } },
      });
  const raised = raisedFloor(house.plan, 'ground');
  expectSound(raised);
  for (const piece of Object.values(house.plan.pieces)) {
    const thing = raised.things.find(({ key }) => key === `pieces ${piece.id}`)!;
    expect(thing.rooms).toEqual([room]);
    const parts = partsOf(piece);
    const wanted = sum(parts.map(({ outline, from, to }) => ringsArea([flattened(outline)]) * (to - from)));
    expect(volumeOf(thing.mesh) / wanted).toBeCloseTo(1, 3);
  }
});

test('what did not change is the very same mesh: another window makes one wall anew', () => {
  const house = new House();
  const room = house.box(0, 0, 5000, 4000);
  house.box(5100, 0, 9000, 4000);
  const before = raisedFloor(house.plan, 'ground');
  house.do({
    kind: 'addOpening',
    floor: 'ground',
    face: house.face(room, 'top').key,
    end: 'left',
    offset: 900,
    opening: 'window',
  });
  const known = new Set(before.things.map(({ mesh }) => mesh));
  const made = raisedFloor(house.plan, 'ground').things.filter(({ mesh }) => !known.has(mesh));
  expect(made.map(({ part }) => part).sort()).toEqual(['ceilings', 'glass', 'openings', 'walls']);
});
