import { type Intent } from '../src';
import { House } from './house';

const hall = () => {
  const house = new House();
  const id = house.box(0, 0, 4000, 3000);
  return { house, id };
};
const add = (face: string, offset: number, more: Partial<Extract<Intent, { kind: 'addOpening' }>> = {}): Intent => ({
  kind: 'addOpening',
  floor: 'ground',
  opening: 'door',
  face,
  end: 'left',
  offset,
  width: 900,
  ...more,
});

describe('placing an opening on a face', () => {
  test.each(['top', 'right', 'bottom', 'left'] as const)(
    '%s: the distance is from the inside corner, seen from the room',
    (side) => {
      const { house, id } = hall();
      house.do(add(house.face(id, side).key, 600));
      const face = house.face(id, side);
      expect(face.openings[0]!.from).toBeCloseTo(600, 6);
      expect(face.length - face.openings[0]!.to).toBeCloseTo(face.length - 1500, 6);
    },
  );

  test('typed from the right end it keeps that distance when the wall gets longer', () => {
    const { house, id } = hall();
    house.do(add(house.face(id, 'top').key, 500, { end: 'right' }));
    house.tape(house.face(id, 'top'), 4600);
    const face = house.face(id, 'top');
    expect(face.length - face.openings[0]!.to).toBeCloseTo(500, 3);
  });

  test('on a shared wall it stands in both rooms', () => {
    const { house, id } = hall();
    const store = house.box(4000, 500, 7000, 2500);
    house.do(add(house.face(store, 'left').key, 400));
    expect(house.face(store, 'left').openings[0]!.from).toBeCloseTo(400, 6);
    // the store begins 500 below the hall's corner and is seen turned about: its left end is the hall's right one
    expect(house.face(id, 'right').openings[0]!.from).toBeCloseTo(500 + 2000 - 400 - 900, 6);
    expect(house.room(id).measures.wallArea).toBeCloseTo(14000 * 2400 - 900 * 2040, 0);
  });

  test('keeps its distance from the real corner when a tee splits its wall', () => {
    const { house, id } = hall();
    house.do(add(house.face(id, 'right').key, 1800));
    house.box(4000, 0, 7000, 1500);
    expect(house.face(id, 'right').openings[0]!.from).toBeCloseTo(1800, 6);
    expect(house.tries({ kind: 'drawBox', floor: 'ground', a: { x: 4000, y: 2000 }, b: { x: 6000, y: 3000 } })).toMatch(
      /end in a door/,
    );
  });
});

describe('what does not fit is refused, and says why', () => {
  test.each([
    [-50, {}, /hang over the end/],
    [3200, {}, /hang over the end/],
    [100, { width: 5000 }, /wider than its wall/],
    [100, { width: 0 }, /more than 0/],
    [100, { height: 2600 }, /higher than the ceiling/],
    [100, { opening: 'window', sill: -1 }, /under the floor/],
    [NaN, {}, /hang over the end/],
  ] as const)('%p %p', (offset, more, reason) => {
    const { house, id } = hall();
    expect(house.tries(add(house.face(id, 'top').key, offset, more))).toMatch(reason);
  });

  test('over another opening', () => {
    const { house, id } = hall();
    house.do(add(house.face(id, 'top').key, 500));
    expect(house.tries(add(house.face(id, 'top').key, 1300))).toMatch(/overlap the other door/);
    expect(house.tries(add(house.face(id, 'top').key, 1000, { opening: 'window' }))).toMatch(/overlap the door/);
    expect(house.tries(add(house.face(id, 'top').key, 1400))).toBeNull();
  });

  test('a wall taped too short for its door', () => {
    const { house, id } = hall();
    house.do(add(house.face(id, 'top').key, 2500));
    const face = house.face(id, 'top');
    const intent = {
      kind: 'tapeLength',
      floor: 'ground',
      from: face.from,
      to: face.to,
      value: 3000,
      text: '3',
      unit: 'm',
      moves: 'to',
      time: '',
    } as const;
    expect(house.tries(intent)).toMatch(/hang over the end/);
  });
});

test('a door flips four ways and back', () => {
  const { house, id } = hall();
  const door = house.do(add(house.face(id, 'top').key, 500))!;
  const ways = new Set<string>();
  for (const what of ['hinge', 'swing', 'hinge', 'swing'] as const) {
    const { hinge, swing } = house.plan.openings[door]!;
    ways.add(`${hinge} ${swing}`);
    house.do({ kind: 'flipOpening', opening: door, what });
  }
  expect(ways.size).toBe(4);
  expect(house.plan.openings[door]).toMatchObject({ hinge: 'start', swing: 'right' });
});

test('changing the width keeps the taped jamb', () => {
  const { house, id } = hall();
  const door = house.do(add(house.face(id, 'top').key, 500))!;
  house.do({
    kind: 'changeOpening',
    floor: 'ground',
    opening: door,
    width: 700,
    place: { face: house.face(id, 'top').key, end: 'right', offset: 1000 },
  });
  const on = house.face(id, 'top').openings[0]!;
  expect(on.to).toBeCloseTo(3000, 6);
  expect(on.from).toBeCloseTo(2300, 6);
});
