import { hitAt, snapPoint } from '../src';
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
    ['in the thickness of the left wall', { x: -180, y: 1500 }, { x: 0, caughtX: 'wall' }],
    ['just outside it', { x: -300, y: 1500 }, { x: 0, caughtX: 'wall' }],
    ['level with a corner', { x: 9000, y: 60 }, { y: 0, caughtY: 'in line with corner' }],
    ['in the middle of a room', { x: 2000, y: 1500 }, { x: 2000, y: 1500, caughtX: null, caughtY: null }],
  ])('%s', (_, p, expected) => {
    expect(snapPoint(house.floor, p, 100)).toMatchObject(expected);
  });

  test('nothing when snapping is suspended', () => {
    expect(snapPoint(house.floor, { x: -10, y: 10 }, 0)).toMatchObject({ x: -10, y: 10, caughtX: null });
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
