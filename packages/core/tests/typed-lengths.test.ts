import { type WallFace, deriveFloor, freerEnd } from '../src';
import { type TypedLengths, typeLengths } from './divided-houses';
import { House, tapeIntent } from './house';
import { dice } from './random-floors';

test('a typed length is met, and moves nothing that need not move: 40 random houses, sketched 15 % off', () => {
  const result: TypedLengths = { typed: 0, refused: 0, unmet: 0, needless: 0, worst: 0, seen: [] };
  for (let seed = 1; seed <= 40; seed += 1) typeLengths(dice(seed), result, String(seed));
  // refused where two walls would have to pass each other
  expect(result).toMatchObject({ refused: 1, unmet: 0, needless: 0, seen: [] });
  expect(result.typed).toBeGreaterThan(300);
});

/** 8.00 × 7.00 inside, a wall from top to bottom in the middle; its outer walls are taped. */
function house() {
  const house = new House();
  const room = house.box(0, 0, 8000, 7000);
  house.tape(house.face(room, 'top'), 8000);
  house.tape(house.face(room, 'right'), 7000);
  divide(house, 'ground', [4000, 0], [4000, 7000]);
  return house;
}

const divide = (house: House, floor: string, [x1, y1]: [number, number], [x2, y2]: [number, number]) =>
  house.do({
    kind: 'drawPath',
    floor,
    points: [
      { x: x1, y: y1 },
      { x: x2, y: y2 },
    ],
    closed: false,
  });

const type = (house: House, floor: string, face: WallFace, value: number, moves = freerEnd(house.on(floor), face)) =>
  house.do({ ...tapeIntent(face, value, moves), floor } as ReturnType<typeof tapeIntent>);

const facesOn = (house: House, floor: string) => house.on(floor).rooms.flatMap(({ faces }) => faces);
const at = (house: House, floor: string, x: number, y: number) =>
  Object.values(house.plan.corners).some((c) => c.floor === floor && Math.hypot(c.x - x, c.y - y) < 0.05);

test('on a floor that was carried up the partition moves, the shell stays over the one below, the rooms beside it as they were', () => {
  const h = house();
  const upper = h.do({ kind: 'addFloor', side: 'above', of: 'ground', name: 'Upper floor' })!;
  const walls = h.floor.network.walls.map(({ id }) => id);
  h.do({ kind: 'carryFloor', from: 'ground', to: upper, walls, openings: [], solids: [], rooms: [] });
  divide(h, upper, [0, 4160], [4000, 4160]);
  divide(h, upper, [4000, 3000], [8000, 3000]);
  const shell = Object.values(h.plan.corners).filter(
    ({ floor, x, y }) => floor === upper && x % 8000 === 0 && y % 7000 === 0,
  );
  expect(shell).toHaveLength(4);
  const left = facesOn(h, upper).find(({ a, b }) => a.x < 1 && b.x < 1 && Math.min(a.y, b.y) < 1)!;
  expect(left.length).toBeCloseTo(4110, 0);
  for (const moves of [freerEnd(h.on(upper), left)]) type(h, upper, left, 3950, moves);
  for (const corner of shell) expect(h.plan.corners[corner.id]).toEqual(corner);
  expect(at(h, upper, 0, 4000) && at(h, upper, 4000, 4000)).toBe(true);
  expect(at(h, upper, 4000, 3000) && at(h, upper, 8000, 3000)).toBe(true);
});

test('parts that add up with the whole are all met: 3.95 + 0.10 + 3.95 = 8.00', () => {
  const h = house();
  for (const face of facesOn(h, 'ground').filter(({ d }) => Math.abs(d.x) > 0.9)) type(h, 'ground', face, 3950);
  for (const face of facesOn(h, 'ground').filter(({ d }) => Math.abs(d.x) > 0.9))
    expect(Math.abs(face.length - 3950)).toBeLessThan(0.05);
});

describe('of two ends the freer one moves', () => {
  test('the partition rather than an outer wall, at whichever end it is; what is pinned never', () => {
    const h = house();
    const [left, right] = [4000, 8000].map((x) =>
      facesOn(h, 'ground').find(
        ({ a, b, d }) => Math.abs(d.x) > 0.9 && Math.max(a.x, b.x) <= x && Math.max(a.x, b.x) > x - 100,
      )!,
    );
    for (const face of facesOn(h, 'ground').filter(({ d }) => Math.abs(d.x) > 0.9)) {
      const moves = freerEnd(h.floor, face);
      expect(Math.abs(face[moves === 'to' ? 'b' : 'a'].x - 4000)).toBeLessThan(60);
    }
    const tee = h.floor.network.stars.get(left!.to)!.around.length === 3 ? left!.to : left!.from;
    h.do({ kind: 'pin', floor: 'ground', corners: [tee], pinned: true });
    for (const face of [left!, right!].flatMap(({ key }) => facesOn(h, 'ground').filter((f) => f.key === key))) {
      const moves = freerEnd(h.floor, face);
      expect(Math.abs(face[moves === 'to' ? 'b' : 'a'].x - 4000)).toBeGreaterThan(3000);
    }
  });

  test('of a room beside a taped one its own far wall, on either side of it', () => {
    for (const side of [1, -1]) {
      const h = new House();
      const taped = h.box(0, 0, 4000, 3000);
      h.tape(h.face(taped, 'top'), 4000);
      const rough = side > 0 ? h.box(4100, 0, 7000, 3000) : h.box(-3000, 0, -100, 3000);
      const face = h.face(rough, 'top');
      expect(freerEnd(h.floor, face)).toBe(side > 0 ? 'to' : 'from');
      type(h, 'ground', face, 3300);
      expect(
        deriveFloor(h.plan, 'ground')
          .rooms.find(({ room }) => room.id === taped)!
          .faces.some((f) => f.length === 4000),
      ).toBe(true);
      expect(
        Object.values(h.plan.corners).filter(({ x }) => Math.abs(x) < 0.01 || Math.abs(x - 4000) < 0.01),
      ).toHaveLength(4);
    }
  });
});

test('a length for which a wall would have to pass another on its other side is refused in words', () => {
  const h = house();
  divide(h, 'ground', [0, 3500], [4000, 3500]);
  divide(h, 'ground', [4000, 3700], [8000, 3700]);
  const right = facesOn(h, 'ground').find(({ a, b }) => Math.min(a.x, b.x) > 7990 && Math.min(a.y, b.y) < 1)!;
  const left = facesOn(h, 'ground').find(({ a, b }) => Math.max(a.x, b.x) < 10 && Math.min(a.y, b.y) < 1)!;
  h.tape(left, 3450, freerEnd(h.floor, left));
  expect(h.tries(tapeIntent(right, 3000, 'to'))).toMatch(/passing another that ends beside it/);
});
