import { SHAPES, legsAcross, shapeOutline, valueOnPlan } from '../src';
import { House, tapeIntent } from './house';

const typed = (value: number) => ({ value, text: `${value} mm`, unit: 'mm' as const });

describe('what is typed of a shape is read', () => {
  const kinds = SHAPES.flatMap((shape) =>
    [false, true].flatMap((mirror) => (['width', 'depth'] as const).map((size) => ({ shape, mirror, size }))),
  );
  // the width of a half-round end runs to the top of an arc, where no wall is
  test.each(kinds.filter(({ shape, size }) => shape !== 'half-round end' || size !== 'width'))(
    '$shape, mirrored: $mirror, $size',
    ({ shape, mirror, size }) => {
      const placed = { shape, mirror, at: { x: 3000, y: 2000 }, width: 5400, depth: 4200, turn: 0 };
      const legs = legsAcross(placed, size)!;
      const points = shapeOutline(placed);
      const lengths = points.map((_, i) => (legs.length === 1 && i === legs[0] ? typed(placed[size]) : null));
      const spans = legs.length === 2 ? [{ legs, read: typed(placed[size]) }] : [];
      const house = new House();
      house.do({ kind: 'drawPath', floor: 'ground', points, closed: true, lengths, spans });
      const [reading, ...others] = Object.values(house.plan.readings);
      expect(others).toEqual([]);
      expect(reading!.value).toBe(placed[size]);
      expect(valueOnPlan(house.floor.network, reading!)).toBeCloseTo(placed[size], 3);
    },
  );
});

describe('a part pushed to the end of its wall', () => {
  test.each(['left', 'right'] as const)('at its %s: an L of 78 m², the wall beside it is 9.00 and is said', (end) => {
    const house = new House();
    const room = house.box(0, 0, 10_000, 7000);
    house.tape(house.face(room, 'top'), 10_000);
    house.tape(house.face(room, 'right'), 7000);
    house.tape(house.face(room, 'left'), 7000);
    const bottom = house.face(room, 'bottom');
    const from = end === 'left' ? 0 : 6000;
    const said = house.say({
      kind: 'bump',
      floor: 'ground',
      face: bottom.key,
      shape: 'box',
      from,
      width: 4000,
      depth: 2000,
    });
    expect(said.join(' ')).toMatch(/7\.00 m is 9\.00 m now/);
    expect(house.room(room).measures.area).toBeCloseTo(78e6, -1);
    // the bottom wall is walked from right to left
    expect(house.face(room, end === 'left' ? 'right' : 'left').length).toBeCloseTo(9000, 2);
    expect(house.face(room, end === 'left' ? 'left' : 'right').length).toBeCloseTo(7000, 2);
    expect(house.face(room, 'top').length).toBeCloseTo(10_000, 2);
  });
});

describe('a width that is typed of an opening', () => {
  const wall = () => {
    const house = new House();
    const room = house.box(0, 0, 2632, 3000);
    house.tape(house.face(room, 'top'), 2632);
    const add = (offset: number) =>
      house.do({
        kind: 'addOpening',
        floor: 'ground',
        opening: 'opening',
        face: house.face(room, 'top').key,
        end: 'left',
        offset,
        width: 900,
      })!;
    const on = () => house.face(room, 'top').openings[0]!;
    return { house, add, on };
  };

  test('what was centred stays centred: 0.90 to 2.00 in 2.632', () => {
    const { house, add, on } = wall();
    const opening = add(866);
    house.do({ kind: 'changeOpening', floor: 'ground', opening, width: 2000 });
    expect([on().from, 2632 - on().to]).toEqual([expect.closeTo(316, 3), expect.closeTo(316, 3)]);
  });

  test('what fits is taken: it makes room, and that is said; what is wider than its wall is refused', () => {
    const { house, add, on } = wall();
    const opening = add(1200);
    const said = house.say({ kind: 'changeOpening', floor: 'ground', opening, width: 2000 });
    expect(said.join(' ')).toMatch(/moved 0\.568 m/);
    expect(2632 - on().to).toBeCloseTo(0, 3);
    expect(house.tries({ kind: 'changeOpening', floor: 'ground', opening, width: 2700 })).toMatch(
      /wider than its wall/,
    );
  });
});

test.each([
  ['scaled', 'inwards', 0, -100],
  ['scaled', 'outwards', 100, 0],
  ['guess', 'inwards', 0, -100],
  ['tape', 'inwards', 100, 0],
] as const)(
  'a wall whose length across is %s grows %s: its outer face moves %i, the room gets %i longer',
  (instrument, grow, out, longer) => {
    const house = new House();
    const room = house.box(0, 0, 4700, 3000);
    house.do({ ...tapeIntent(house.face(room, 'top'), 4700), instrument } as ReturnType<typeof tapeIntent>);
    const outside = () => Math.max(...house.floor.bodies.flatMap(({ ring }) => ring.map(({ x }) => x)));
    const before = outside();
    house.do({
      kind: 'setThickness',
      floor: 'ground',
      face: house.face(room, 'right').key,
      thickness: 350,
      scope: 'wall',
      grow,
    });
    expect(outside() - before).toBeCloseTo(out, 2);
    expect(house.face(room, 'top').length - 4700).toBeCloseTo(longer, 2);
  },
);
