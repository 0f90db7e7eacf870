import * as fc from 'fast-check';
import { hitAt, levelWithRoom, snapPoint } from '../src';
import { House } from './house';

const house = new House();
const hall = house.box(0, 0, 4000, 3000);
const store = house.box(4000, 0, 7000, 3000);
house.do({
  kind: 'addOpening',
  floor: 'ground',
  opening: 'door',
  face: house.face(hall, 'right').key,
  end: 'left',
  offset: 1000,
  width: 900,
});

describe('what a point is caught by', () => {
  test.each([
    ['in the thickness of the left wall', { x: -180, y: 1200 }, { x: 0, y: 1200 }, ['wall']],
    ['just outside it', { x: -300, y: 1200 }, { x: 0 }, ['wall']],
    ['a corner', { x: 4040, y: -30 }, { x: 4000, y: 0 }, ['corner']],
    ['the middle of a wall', { x: 1960, y: 20 }, { x: 2000, y: 0 }, ['middle of wall']],
    ['on in line with a wall', { x: 9000, y: 40 }, { y: 0 }, ['in line with wall']],
    ['level with a corner both ways', { x: 7030, y: 5000 }, { x: 7000 }, ['in line with wall']],
    ['in the middle of a room', { x: 2200, y: 1200 }, { x: 2200, y: 1200 }, []],
  ])('%s', (_, p, expected, words) => {
    const caught = snapPoint(house.floor, p, 100);
    expect(caught).toMatchObject(expected);
    expect(caught.guides.map((guide) => guide.word)).toEqual(words);
  });

  test('drawing a leg: square, and where that meets a wall', () => {
    const from = { x: 1000, y: 1200 };
    expect(snapPoint(house.floor, { x: 2500, y: 1250 }, 100, { from })).toMatchObject({
      y: 1200,
      guides: [{ word: 'square' }],
    });
    const onWall = snapPoint(house.floor, { x: 4060, y: 1260 }, 100, { from });
    expect(onWall).toMatchObject({ x: 4000, y: 1200 });
    expect(onWall.guides.map((guide) => guide.word).sort()).toEqual(['square', 'wall']);
  });

  test('drawing a leg: straight on from the one before, as long as another wall, or a round length', () => {
    const heading = { x: Math.SQRT1_2, y: Math.SQRT1_2 };
    const from = { x: 9000, y: 6000 };
    const on = snapPoint(house.floor, { x: 11_150, y: 8110 }, 100, { from, heading });
    expect(on.guides.map((guide) => guide.word)).toEqual(['straight on', 'same length']);
    expect(Math.hypot(on.x - from.x, on.y - from.y)).toBeCloseTo(3000, 6);
    const round = snapPoint(house.floor, { x: 11_610, y: 6013 }, 60, { from, step: 100 });
    expect(round).toMatchObject({ x: 11_600, y: 6000 });
    expect(round.guides.map((guide) => guide.word)).toEqual(['square', 'round length']);
  });

  test('zoomed in, the same point is let go', () => {
    expect(snapPoint(house.floor, { x: 9000, y: 40 }, 20).guides).toEqual([]);
  });

  test('nothing when snapping is suspended', () => {
    expect(snapPoint(house.floor, { x: -10, y: 10 }, 0)).toEqual({ x: -10, y: 10, guides: [] });
  });
});

describe('what is under a finger', () => {
  test.each([
    ['the face on the side of the finger: hall', { x: 4010, y: 2500 }, 'wall', hall],
    ['the face on the side of the finger: store', { x: 4090, y: 2500 }, 'wall', store],
    ['an outer wall', { x: 2000, y: -200 }, 'wall', hall],
  ])('%s', (_, p, kind, room) => {
    const hit = hitAt(house.floor, p, 30);
    expect(hit).toMatchObject({ kind, face: { room } });
  });

  test('a door, a room, nothing', () => {
    expect(hitAt(house.floor, { x: 4050, y: 1400 }, 30).kind).toBe('opening');
    expect(hitAt(house.floor, { x: 2000, y: 1500 }, 30)).toMatchObject({ kind: 'room', room: { room: { id: hall } } });
    expect(hitAt(house.floor, { x: 20_000, y: 1500 }, 30).kind).toBe('nothing');
  });
});

test('the corners and walls of a floor that shines through catch what is drawn, after those that are there', () => {
  const below = new House();
  below.box(0, 0, 4210, 3330);
  const above = new House();
  fc.assert(
    fc.property(
      fc.double({ min: -80, max: 80, noNaN: true }),
      fc.double({ min: -80, max: 80, noNaN: true }),
      fc.constantFrom('above' as const, 'below' as const),
      (dx, dy, where) => {
        fc.pre(Math.hypot(dx, dy) < 100);
        const other = { floor: below.floor, where };
        const at = snapPoint(above.floor, { x: 4210 + dx, y: 3330 + dy }, 100, { other });
        expect([at.x, at.y]).toEqual([4210, 3330]);
        expect(at.guides.map(({ word }) => word)).toEqual([`corner ${where}`]);
        // along the wall it goes with the finger
        const on = snapPoint(above.floor, { x: 2000 + dx, y: dy / 2 }, 100, { other });
        expect(on.y).toBeCloseTo(0, 6);
        expect(on.guides.some(({ word }) => word === `wall ${where}`)).toBe(true);
        // nothing of it is caught where it does not shine through, or nothing catches
        expect(snapPoint(above.floor, { x: 4210 + dx, y: 3330 + dy }, 100).guides).toEqual([]);
        expect(snapPoint(above.floor, { x: 4210 + dx, y: 3330 + dy }, 0, { other }).guides).toEqual([]);
      },
    ),
  );
  const both = new House();
  both.box(30, 20, 4000, 3000);
  const own = snapPoint(both.floor, { x: 10, y: 10 }, 100, { other: { floor: below.floor, where: 'below' } });
  expect([own.x, own.y]).toEqual([30, 20]);
});

describe('a wall across a room runs as the room does', () => {
  const turnedRoom = (degrees: number) => {
    const house = new House();
    const at = (x: number, y: number) => {
      const t = (degrees * Math.PI) / 180;
      return { x: x * Math.cos(t) - y * Math.sin(t), y: x * Math.sin(t) + y * Math.cos(t) };
    };
    const points = [at(0, 0), at(6000, 0), at(6000, 4000), at(0, 4000)];
    house.do({ kind: 'drawPath', floor: 'ground', points, closed: true });
    return { house, at };
  };

  test.each([0, 7, 33, 90])('begun up to 1.5° off in a room turned by %i°, whichever end is held', (degrees) => {
    const { house, at } = turnedRoom(degrees);
    for (const off of [-95, -45, 6, 45, 100])
      for (const held of ['from', 'to'] as const) {
        const drawn = [at(3000 + off, 0), at(3000, 4000)] as const;
        const [a, b] = levelWithRoom(house.floor, drawn, held);
        expect(held === 'from' ? a : b).toBe(held === 'from' ? drawn[0] : drawn[1]);
        const level = at(0, 1);
        expect(Math.abs((b.x - a.x) * level.y - (b.y - a.y) * level.x)).toBeLessThan(1e-6);
      }
    // what is slanted on purpose stays so
    const slanted = [at(2000, 0), at(3000, 4000)] as const;
    expect(levelWithRoom(house.floor, slanted, 'from')).toEqual(slanted);
  });
});
