import type { Vantage } from '@velvet-tape/core';
import type { Walkable } from '@velvet-tape/core/raised';
import { Gait } from '../src/features/plan/views/gait';
import { backgroundOf, nameFor, placeOf, poseAt, posed, shownFrom } from '../src/features/plan/views/vantage-view';

const square = (x: number, y: number) => [
  [
    { x, y },
    { x: x + 4000, y },
    { x: x + 4000, y: y + 4000 },
    { x, y: y + 4000 },
  ],
];
/** A room on each of two floors, 2.7 m over each other. */
const walkable: Walkable = {
  floors: [
    {
      floor: 'ground',
      elevation: 0,
      clear: square(0, 0),
      rooms: [{ room: 'r1', name: 'Study', rings: square(0, 0), at: { x: 2000, y: 2000 } }],
    },
    {
      floor: 'up',
      elevation: 2700,
      clear: square(0, 0),
      rooms: [{ room: 'r2', name: 'Loft', rings: square(0, 0), at: { x: 2000, y: 2000 } }],
    },
  ],
  footings: [
    { rings: square(0, 0), level: 0, floors: [0], room: 'r1' },
    { rings: square(0, 0), level: 2700, floors: [1], room: 'r2' },
  ],
};
const vantage = (more: Partial<Vantage> = {}): Vantage => ({
  ...{ id: 'v', name: 'V', order: 0, floor: 'up', x: 1000, y: 1500, up: 1600, heading: 30, tilt: -6, lens: 24 },
  ...{ uprights: true, openSide: false, alone: false, furnished: true, sun: null, ...more },
});

test('what one looks from is kept over the floor it is above, and found again', () => {
  const pose = { x: 1000, y: 1500, z: 4300, heading: Math.PI / 6, pitch: -0.1 };
  expect(placeOf(pose, walkable)).toEqual({ floor: 'up', x: 1000, y: 1500, up: 1600, heading: 30, tilt: -5.7 });
  const back = poseAt(vantage({ tilt: -5.7 }), walkable);
  expect(back).toMatchObject({ x: 1000, y: 1500, z: 4300 });
  expect(back.heading).toBeCloseTo(pose.heading, 6);
  expect(back.pitch).toBeCloseTo(pose.pitch, 2);
  // at eye height downstairs it is over the floor one stands on
  expect(placeOf({ ...pose, z: 1600 }, walkable)).toMatchObject({ floor: 'ground', up: 1600 });
  expect(placeOf(pose, { floors: [], footings: [] })).toBeNull();
  const [at, heading, pitch] = posed(vantage(), walkable);
  expect(at).toEqual({ x: 1000, y: 1500, level: 2700 });
  expect([heading, pitch]).toEqual([expect.closeTo(Math.PI / 6), expect.closeTo((-6 * Math.PI) / 180)]);
});

test('it is called by the room one stands in, once', () => {
  const pose = { x: 1000, y: 1500, z: 1600, heading: 0, pitch: 0 };
  expect(nameFor(pose, walkable, false, [])).toBe('Study');
  expect(nameFor(pose, walkable, false, ['Study', 'Study 2'])).toBe('Study 3');
  expect(nameFor(pose, walkable, true, [])).toBe('From outside');
  expect(nameFor({ ...pose, x: -9000 }, walkable, false, [])).toBe('Between rooms');
});

test('what shows from it', () => {
  expect(shownFrom(vantage(), null)).toMatchObject({ floor: null, inside: true, openSide: false, sun: null });
  expect(shownFrom(vantage({ openSide: true, alone: true }), null)).toMatchObject({ floor: 'up', inside: false });
  expect(backgroundOf({ inside: true }, '#F8F2E7')).not.toBe(backgroundOf({ inside: false }, '#F8F2E7'));
});

describe('a gait', () => {
  const begun = () => {
    const gait = new Gait();
    gait.stand({ x: 2000, y: 2000, level: 0 }, 0);
    return gait;
  };

  test('goes where keys and a thumb push it, turns, and rests when they are let go', () => {
    const gait = begun();
    let told = 0;
    const forget = gait.heard(() => (told += 1));
    expect(gait.step(walkable, 0.2)).toBe(false);
    gait.press('ArrowUp');
    expect(gait.step(walkable, 0.2)).toBe(true);
    expect(gait.at.x).toBeCloseTo(2340, 0);
    gait.release('ArrowUp');
    gait.press('ArrowRight');
    gait.step(walkable, 0.5);
    expect(gait.heading).toBeCloseTo(0.8, 6);
    // with Shift it goes aside instead: to the right of where it looks
    gait.heading = 0;
    gait.press('Shift');
    const { y } = gait.at;
    gait.step(walkable, 0.2);
    expect(gait.at.y).toBeGreaterThan(y + 300);
    gait.rest();
    expect(gait.isMoving()).toBe(false);
    gait.push({ side: 0, go: -0.5 });
    const { x } = gait.at;
    gait.step(walkable, 0.2);
    expect(gait.at.x).toBeCloseTo(x - 170, 0);
    gait.push(null);
    expect(gait.isMoving()).toBe(false);
    expect(told).toBeGreaterThan(4);
    forget();
  });

  test('a drag turns the head the other way, up and down no farther than one can', () => {
    const gait = begun();
    gait.look(0.5, 0);
    expect(gait.heading).toBeLessThan(0);
    for (let i = 0; i < 20; i += 1) gait.look(0, 0.5);
    expect(gait.pitch).toBe(1.3);
    for (let i = 0; i < 40; i += 1) gait.look(0, -0.5);
    expect(gait.pitch).toBe(-1.3);
  });
});
