import { type Intent, openingChecks } from '../src';
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
    [NaN, {}, /no place along a wall/],
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
});

describe('what no longer fits is kept, where there is most of a place for it', () => {
  const shortened = (length: number) => {
    const { house, id } = hall();
    house.do(add(house.face(id, 'top').key, 2500));
    house.tape(house.face(id, 'top'), length);
    return {
      house,
      face: () => house.face(id, 'top'),
      words: () => openingChecks(house.floor).map((each) => each.words),
    };
  };

  test('a wall taped too short for where its door was: the door stands at the end of it, and goes back when the wall does', () => {
    const { house, face, words } = shortened(3000);
    expect(face().openings[0]).toMatchObject({ from: expect.closeTo(2100, 3), to: expect.closeTo(3000, 3) });
    expect(words()).toContain('D1 was placed where its wall does not reach; it stands at the nearest place.');
    house.tape(face(), 3800);
    expect(face().openings[0]!.from).toBeCloseTo(2500, 3);
    expect(words().join()).not.toMatch(/nearest place/);
  });

  test('a wall narrower than its door is all door', () => {
    const { face, words } = shortened(700);
    expect(face().openings[0]).toMatchObject({ from: expect.closeTo(0, 3), to: expect.closeTo(700, 3) });
    expect(words()).toContain('D1 is wider than its wall.');
  });

  test('two that were apart overlap, which is said once', () => {
    const { house, id } = hall();
    house.do(add(house.face(id, 'top').key, 200));
    house.do(add(house.face(id, 'top').key, 200, { end: 'right' }));
    house.tape(house.face(id, 'top'), 1800);
    expect(openingChecks(house.floor).filter(({ words }) => words === 'D1 and D2 overlap.')).toHaveLength(1);
  });
});
