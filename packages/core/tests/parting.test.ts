import { House } from './house';

const floor = 'ground';

describe('a part of a wall is pushed', () => {
  test.each([
    ['at its left end', 0, 'into the room', -800, 12e6 - 1500 * 800],
    ['at its left end', 0, 'out of the room', 800, 12e6 + 1500 * 800],
    ['at its right end', 2500, 'into the room', -800, 12e6 - 1500 * 800],
    ['at its right end', 2500, 'out of the room', 800, 12e6 + 1500 * 800],
    ['in the middle', 1000, 'into the room', -800, 12e6 - 1500 * 800],
    ['in the middle', 1000, 'out of the room', 800, 12e6 + 1500 * 800],
  ])('%s (%d) %s: the room is as large as it says, and no end is left open', (_, from, __, depth, area) => {
    const house = new House();
    const room = house.box(0, 0, 4000, 3000);
    house.do({ kind: 'bump', floor, face: house.face(room, 'top').key, shape: 'box', from, width: 1500, depth });
    expect(house.floor.openEnds).toEqual([]);
    expect(house.floor.rooms).toHaveLength(1);
    expect(house.room(room).measures.area).toBeCloseTo(area, 0);
    expect(house.room(room).faces.length).toBe(from === 1000 ? 8 : 6);
    // as a tape reads it inside
    const lengths = house.room(room).faces.map(({ length }) => Math.round(length));
    expect(lengths).toEqual(expect.arrayContaining([1500, 800]));
  });

  test('slanted at an end: one return, slanted by as much as it is told', () => {
    const house = new House();
    const room = house.box(0, 0, 4000, 3000);
    const face = house.face(room, 'top').key;
    house.do({ kind: 'bump', floor, face, shape: 'slanted', from: 0, width: 1500, depth: -800, splay: 400 });
    expect(house.room(room).measures.area).toBeCloseTo(12e6 - ((1500 + 1100) / 2) * 800, 0);
    expect(house.floor.openEnds).toEqual([]);
  });

  test('beside another room its wall goes on, and that room keeps its floor', () => {
    const house = new House();
    const room = house.box(0, 0, 4000, 3000);
    const other = house.box(-3000, 0, 0, 3000);
    const before = house.room(other).measures.area;
    house.do({
      kind: 'bump',
      floor,
      face: house.face(room, 'top').key,
      shape: 'box',
      from: 0,
      width: 1500,
      depth: -800,
    });
    expect(house.room(other).measures.area).toBeCloseTo(before, 0);
    expect(house.floor.openEnds).toEqual([]);
  });

  test('the whole wall is no part', () => {
    const house = new House();
    const room = house.box(0, 0, 4000, 3000);
    const face = house.face(room, 'top').key;
    expect(house.tries({ kind: 'bump', floor, face, shape: 'box', from: 0, width: 4000, depth: 300 })).toMatch(
      /whole wall/,
    );
  });
});
