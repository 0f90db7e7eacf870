import { applyEdit } from '../src';
import { House } from './house';

function twoRooms() {
  const house = new House();
  const hall = house.box(0, 0, 4000, 3000);
  const store = house.box(4000, 0, 7000, 3000);
  return { house, hall, store };
}

describe('names and heights', () => {
  test('a name is kept without the blanks round it; an emoji is a name', () => {
    const { house, hall } = twoRooms();
    house.do({ kind: 'nameRoom', room: hall, name: '  Hall 🚪 ' });
    expect(house.room(hall).room.name).toBe('Hall 🚪');
  });

  test('a name of 10,000 characters is refused with its length, and the old one stays', () => {
    const { house, hall } = twoRooms();
    house.do({ kind: 'nameRoom', room: hall, name: 'Hall' });
    expect(house.tries({ kind: 'nameRoom', room: hall, name: 'x'.repeat(10_000) })).toMatch(
      /120 characters at most; this one has 10000/,
    );
    expect(house.room(hall).room.name).toBe('Hall');
  });

  test('a ceiling height is of one room, or of all', () => {
    const { house, hall, store } = twoRooms();
    house.do({ kind: 'setCeilingHeight', room: hall, height: 2950, scope: 'room' });
    expect([house.room(hall).ceilingHeight, house.room(store).ceilingHeight]).toEqual([2950, 2400]);
    house.do({ kind: 'setCeilingHeight', room: hall, height: 2700, scope: 'all' });
    expect([house.room(hall).ceilingHeight, house.room(store).ceilingHeight]).toEqual([2700, 2700]);
    expect(house.room(hall).measures.volume).toBeCloseTo(12e6 * 2700, 0);
  });

  test.each([0, -1, NaN, 1e9])('a ceiling of %d mm is refused', (height) => {
    const { house, hall } = twoRooms();
    expect(house.tries({ kind: 'setCeilingHeight', room: hall, height, scope: 'room' })).toMatch(/more than 0/);
  });

  test('a room without a height of its own follows what is usual in the job', () => {
    const { house, hall } = twoRooms();
    const { usual } = house.plan.job;
    house.do({ kind: 'changeJob', details: { usual: { ...usual, ceilingHeight: 2550 } } });
    expect(house.room(hall).ceilingHeight).toBe(2550);
  });

  test('a job keeps its name when a blank one is given', () => {
    const { house } = twoRooms();
    expect(house.tries({ kind: 'changeJob', details: { name: '   ' } })).toMatch(/Give the job a name/);
    expect(house.plan.job.name).toBe('Test house');
  });
});

describe('thickness', () => {
  test('an outer wall grows outwards, the room stays', () => {
    const { house, hall } = twoRooms();
    house.do({
      kind: 'setThickness',
      floor: 'ground',
      face: house.face(hall, 'left').key,
      thickness: 400,
      scope: 'wall',
    });
    expect(house.room(hall).measures.area).toBeCloseTo(12e6, 3);
  });

  test('a wall between rooms grows behind the face it was typed on', () => {
    const { house, hall, store } = twoRooms();
    house.do({
      kind: 'setThickness',
      floor: 'ground',
      face: house.face(hall, 'right').key,
      thickness: 200,
      scope: 'wall',
    });
    expect(house.face(hall, 'top').length).toBeCloseTo(4000, 3);
    expect(house.face(store, 'top').length).toBeCloseTo(2800, 3);
  });

  test('all outer walls: also the walls still to come; inner walls stay', () => {
    const { house, hall } = twoRooms();
    house.do({
      kind: 'setThickness',
      floor: 'ground',
      face: house.face(hall, 'left').key,
      thickness: 300,
      scope: 'all',
    });
    house.box(0, 3000, 4000, 5000);
    const kinds = Object.values(house.plan.walls).map((wall) => `${wall.kind} ${wall.left + wall.right}`);
    expect([...new Set(kinds)].sort()).toEqual(['external 300', 'internal 100']);
  });

  test.each([0, -10, NaN])('%d mm is refused', (thickness) => {
    const { house, hall } = twoRooms();
    const intent = {
      kind: 'setThickness',
      floor: 'ground',
      face: house.face(hall, 'left').key,
      thickness,
      scope: 'wall',
    } as const;
    expect(house.tries(intent)).toMatch(/more than 0/);
  });
});

test('what is no longer there is refused in words, whatever the edit', () => {
  const { house } = twoRooms();
  const gone = 'no such thing';
  expect(house.tries({ kind: 'nameRoom', room: gone, name: 'x' })).toMatch(/no longer there/);
  expect(house.tries({ kind: 'removeOpening', opening: gone })).toMatch(/no longer there/);
  expect(house.tries({ kind: 'flipOpening', opening: gone, what: 'hinge' })).toMatch(/no longer there/);
  expect(house.tries({ kind: 'moveWall', floor: 'ground', face: gone, by: 100 })).toMatch(/no longer there/);
  expect(house.tries({ kind: 'removeWall', floor: 'ground', face: gone })).toMatch(/no longer there/);
});

test('the same edit with the same seed gives the same plan, and leaves the one it began with alone', () => {
  const { house } = twoRooms();
  const before = JSON.stringify(house.plan);
  const intent = { kind: 'drawBox', floor: 'ground', a: { x: 0, y: 3000 }, b: { x: 3000, y: 6000 } } as const;
  expect(applyEdit(house.plan, intent, 'seed')).toEqual(applyEdit(house.plan, intent, 'seed'));
  expect(JSON.stringify(house.plan)).toBe(before);
});
