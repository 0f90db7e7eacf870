import * as fc from 'fast-check';
import { distance } from '../src';
import { adviceOn, inFrame, middleOfPiece, onSheet, placePiece, turnOfFrame } from '../src/pieces';
import { House } from './house';
import { on, one, put } from './pieces-in-a-house';

/** The same cases in every run; others with FC_SEED. */
const SEED = Number(process.env['FC_SEED'] ?? 20_261_130);
const mm = (min: number, max: number) => fc.integer({ min, max });

/** A room of 7 × 7 m with a table in its middle. */
function dining(form: string, turn: number, sizes: { width?: number; depth?: number } = {}) {
  const house = new House();
  house.box(0, 0, 7000, 7000);
  const table = put(house, form, { kind: 'free', x: 3500, y: 3500, turn }, sizes);
  return { house, table };
}
const seat = (house: House, x: number, y: number, reach = 100): string => {
  const id = put(house, 'chair', { kind: 'free', x: 200, y: 6700, turn: 0 });
  const others = on(house).filter(({ piece }) => piece.id !== id);
  const { stand } = placePiece(house.floor, one(house, id).piece, { x, y }, { reach, turn: 0, fresh: true, others });
  house.do({ kind: 'placePieces', places: [{ piece: id, stand }] });
  return id;
};
/** Where the front of a piece looks. */
const ahead = (house: House, id: string) => {
  const { frame, piece } = one(house, id);
  return onSheet(frame, piece.width / 2, piece.depth + 100);
};

test('a chair let go of anywhere near a table stands at it, its front to it, pushed under by a third, whichever way the table is turned', () => {
  const where = fc.record({ turn: mm(0, 359), angle: mm(0, 359), far: mm(0, 300), round: fc.boolean() });
  fc.assert(
    fc.property(where, ({ turn, angle, far, round }) => {
      const { house, table } = dining(round ? 'table-round' : 'table', turn);
      const { width, depth } = house.plan.pieces[table]!;
      const t = (angle * Math.PI) / 180;
      // on an oval round it
      const p = { x: width / 2 + (width / 2 + far) * Math.cos(t), y: depth / 2 + (depth / 2 + far) * Math.sin(t) };
      const at = onSheet(one(house, table).frame, p.x, p.y);
      const id = seat(house, at.x, at.y);
      const middle = middleOfPiece(one(house, id));
      const [near, look] = [middle, ahead(house, id)].map((q) => inFrame(one(house, table).frame, q));
      // its front is nearer to the middle of the table than its middle is, and over the top
      const centre = { x: width / 2, y: depth / 2 };
      expect(distance(look!, centre)).toBeLessThan(distance(near!, centre));
      const off = round
        ? distance(near!, centre) - width / 2
        : Math.max(-near!.x, near!.x - width, -near!.y, near!.y - depth);
      expect(off).toBeCloseTo(0.14 * 500, 6);
    }),
    { numRuns: 60, seed: SEED },
  );
});

test('each next chair finds a place of its own, and none stands in another', () => {
  const { house } = dining('table', 0, { width: 1800 });
  for (const x of [2950, 2960, 2970]) seat(house, x, 4050, 600);
  const along = on(house)
    .filter(({ piece }) => piece.form === 'chair')
    .map((each) => Math.round(middleOfPiece(each).x));
  expect(along.sort()).toEqual([2900, 3500, 4100]);
  expect(adviceOn(house.floor, on(house)).filter(({ words }) => words.includes('stand in each other'))).toEqual([]);
});

test('far from tables, and at low ones, a chair stands as it is put', () => {
  const { house } = dining('coffee-table', 0);
  expect(turnOfFrame(one(house, seat(house, 3500, 4000)).frame)).toBeCloseTo(0, 6);
  const far = dining('table', 0);
  expect(turnOfFrame(one(far.house, seat(far.house, 1500, 5900)).frame)).toBeCloseTo(0, 6);
});

describe('so many round a table', () => {
  const round = (width: number, depth: number, count: number, turn = 0, at: readonly [number, number] = [0, 1]) => {
    const { house, table } = dining('table', turn, { width, depth });
    const side = onSheet(
      one(house, table).frame,
      width / 2 + at[0] * (width / 2 + 70),
      depth / 2 + at[1] * (depth / 2 + 70),
    );
    const id = seat(house, side.x, side.y);
    const { frame, piece } = one(house, table);
    const pattern = { kind: 'sides', count, frame, width: piece.width, depth: piece.depth } as const;
    house.do({ kind: 'arrayPiece', piece: id, pattern });
    const chairs = on(house).filter((each) => each.piece.form === 'chair');
    const sides = chairs.map((each) => {
      const p = inFrame(frame, middleOfPiece(each));
      const beyond = [-p.y, p.x - width, p.y - depth, -p.x];
      return { side: beyond.indexOf(Math.max(...beyond)), off: Math.max(...beyond), on: each };
    });
    return { house, table, sides, on: [0, 1, 2, 3].map((i) => sides.filter((each) => each.side === i).length) };
  };

  test.each([
    [1600, 900, 2, [1, 0, 1, 0]],
    [1600, 900, 4, [2, 0, 2, 0]],
    [1600, 900, 6, [2, 1, 2, 1]],
    [900, 900, 4, [1, 1, 1, 1]],
    [2400, 900, 10, [4, 1, 4, 1]],
  ])('%i × %i with %i chairs, as one lays a table (common practice, no source)', (width, depth, count, expected) => {
    expect(round(width, depth, count).on).toEqual(expected);
  });

  test('all as far from the edge, all looking at the table, as one group: random tables', () => {
    fc.assert(
      fc.property(mm(800, 3000), mm(800, 1400), mm(2, 14), mm(0, 359), (width, depth, count, turn) => {
        const { house, table, sides } = round(width, depth, count, turn);
        expect(sides).toHaveLength(count);
        expect(new Set(sides.map(({ on: { piece } }) => piece.group)).size).toBe(1);
        for (const { side, off, on: chair } of sides) {
          expect(off).toBeCloseTo(70, 5);
          const turned = turnOfFrame(chair.frame) - turnOfFrame(one(house, table).frame) - 90 * side;
          expect(Math.abs(Math.sin((turned * Math.PI) / 360))).toBeLessThan(1e-6);
        }
        // as many at opposite sides, give or take one
        const had = [0, 1, 2, 3].map((i) => sides.filter((each) => each.side === i).length);
        expect(Math.abs(had[0]! - had[2]!)).toBeLessThanOrEqual(1);
        expect(Math.abs(had[1]! - had[3]!)).toBeLessThanOrEqual(1);
      }),
      { numRuns: 40, seed: SEED },
    );
  });
});
