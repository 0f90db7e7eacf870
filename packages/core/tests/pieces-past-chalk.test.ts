import fc from 'fast-check';
import { boxAround } from '../src';
import { runsOf } from '../src/pieces';
import { House } from './house';
import { on, one, dropped } from './pieces-in-a-house';

/** The same cases in every run; others with FC_SEED. */
const SEED = Number(process.env['FC_SEED'] ?? 20_261_130);

describe('past a chalk line', () => {
  /** A kitchen of 5 m with a chalk line so far from its left wall; a window in its upper wall beyond it. */
  function parted(at: number): House {
    const house = new House();
    const room = house.box(0, 0, 5000, 3000);
    house.do({
      ...{ kind: 'drawPath', floor: 'ground', closed: false, chalk: true },
      points: [
        { x: at, y: 0 },
        { x: at, y: 3000 },
      ],
    });
    expect(room).toBeTruthy();
    return house;
  }
  const spanOf = (house: House, id: string) => {
    const xs = one(house, id).ring.map(({ x }) => x);
    return [Math.min(...xs), Math.max(...xs)];
  };

  test('a run of units goes on over it, wherever it is: corner to corner without a gap, under one worktop', () => {
    fc.assert(
      fc.property(fc.integer({ min: 700, max: 4200 }), (at) => {
        const house = parted(at);
        dropped(house, 'base-unit', { x: 310, y: 300 });
        for (let i = 1; i < 5; i += 1) {
          const id = dropped(house, 'base-unit', { x: 600 * i + 310, y: 300 });
          expect(spanOf(house, id)[0]).toBeCloseTo(600 * i, 6);
        }
        expect(runsOf(on(house))).toHaveLength(1);
      }),
      { numRuns: 15, seed: SEED },
    );
  });

  test('a line that closes no room is nothing to stand against', () => {
    const house = new House();
    const points = [
      { x: 0, y: 0 },
      { x: 4000, y: 0 },
    ];
    house.do({ kind: 'drawPath', floor: 'ground', closed: false, chalk: true, points });
    const id = dropped(house, 'wardrobe', { x: 2000, y: 350 });
    expect(house.plan.pieces[id]!.stand.kind).toBe('free');
  });

  test('what lies over it stays where it is when the walls are taped, and goes with the house', () => {
    const house = parted(1500);
    dropped(house, 'base-unit', { x: 310, y: 300 });
    const over = dropped(house, 'tall-unit', { x: 1500, y: 300 });
    const [from] = spanOf(house, over);
    const line = house.floor.rooms
      .flatMap(({ faces }) => faces)
      .find(({ halves }) => halves[0]!.wall.kind === 'chalk')!;
    house.do({ kind: 'removeWall', floor: 'ground', face: line.key });
    expect(spanOf(house, over)[0]).toBeCloseTo(from!, 6);
  });

  test('round a corner or a bay it does not go on: nothing hangs over the edge of its wall', () => {
    fc.assert(
      fc.property(fc.integer({ min: -200, max: 5200 }), fc.integer({ min: -200, max: 3200 }), (x, y) => {
        const house = parted(2000);
        const id = dropped(house, 'wardrobe', { x, y });
        const box = boxAround(one(house, id).ring)!;
        if (house.plan.pieces[id]!.stand.kind !== 'wall') return;
        expect([box.minX > -1, box.minY > -1, box.maxX < 5001, box.maxY < 3001]).toEqual([true, true, true, true]);
      }),
      { numRuns: 60, seed: SEED },
    );
  });
});
