import fc from 'fast-check';
import { type Piece, boxAround, flattened } from '../src';
import {
  PIECE_GROUPS,
  PIECE_KINDS,
  findPieces,
  frontOfKind,
  layModules,
  newPiece,
  offeredIn,
  partsOf,
  pieceSign,
  roomFor,
} from '../src/pieces';

/** The same cases in every run; others with FC_SEED. */
const SEED = Number(process.env['FC_SEED'] ?? 20_261_130);

describe('the catalogue', () => {
  test('has more than 140 kinds, each under an id of its own, in every group, with words to find it by', () => {
    expect(PIECE_KINDS.length).toBeGreaterThanOrEqual(140);
    expect(new Set(PIECE_KINDS.map(({ id }) => id)).size).toBe(PIECE_KINDS.length);
    for (const group of PIECE_GROUPS) expect(PIECE_KINDS.some((kind) => kind.group === group)).toBe(true);
    for (const { words, name } of PIECE_KINDS) expect([name, words.length > 2]).toEqual([name, true]);
  });

  test.each(PIECE_KINDS.map((kind) => [kind.id, kind] as const))(
    '%s is drawn within what it covers at its least, usual and largest size',
    (_, kind) => {
      for (const size of [0, 1, 2] as const) {
        const [width, depth, height] = [
          kind.width[size],
          kind.round ? kind.width[size] : kind.depth[size],
          kind.height[size],
        ];
        const piece: Piece = {
          ...newPiece(kind, { width, depth, height }),
          ...{ id: 'p', floor: 'f', stand: { kind: 'free', x: 0, y: 0, turn: 0 } },
        };
        const parts = partsOf(piece);
        expect(parts.length).toBeGreaterThan(0);
        const box = boxAround(parts.flatMap(({ outline }) => flattened(outline)))!;
        // what bows out may stand over by a finger; nothing is thrown about
        const over = 0.06 * Math.max(width, depth) + 12;
        expect(box.minX).toBeGreaterThan(-over);
        expect(box.minY).toBeGreaterThan(-over);
        expect(box.maxX).toBeLessThan(width + over);
        expect(box.maxY).toBeLessThan(depth + over);
        for (const { from, to } of parts) expect(to).toBeGreaterThan(from);
        const marks = [...pieceSign(kind, { width, depth, height }), ...frontOfKind(kind.id)];
        const points = marks.flatMap((mark) => (mark.kind === 'path' ? mark.rings.flat() : []));
        expect(points.filter(({ x, y }) => !Number.isFinite(x) || !Number.isFinite(y))).toEqual([]);
      }
    },
  );

  test.each([
    ['sofa', 'sofa'],
    ['fridg', 'fridge'],
    ['washing mashine', 'washing-machine'],
    ['couch', 'sofa'],
    ['toilet', 'wc'],
    ['wardrob', 'wardrobe'],
    ['cooktop', 'hob'],
  ])('“%s” finds it', (words, id) => {
    expect(
      findPieces(words)
        .slice(0, 6)
        .some((kind) => kind.id.startsWith(id)),
    ).toBe(true);
  });

  test('a kitchen offers kitchen things first, a bathroom others', () => {
    expect(roomFor('Keeper’s kitchen')).toBe('kitchen');
    expect(offeredIn('kitchen')[0]!.group).toBe('kitchen');
    expect(offeredIn(roomFor('Wash room'))[0]!.group).toBe('bathroom');
    expect(offeredIn(null).length).toBe(PIECE_KINDS.length);
  });
});

test('parts of what is built in: typed widths hold, the others share what is left, and together they are as wide as it is', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 500, max: 6000 }),
      fc.array(fc.option(fc.integer({ min: 50, max: 900 })), { minLength: 1, maxLength: 8 }),
      (width, widths) => {
        const { laid, over, left } = layModules(
          width,
          widths.map((each) => ({ width: each, fill: 'doors' as const, count: 1 })),
        );
        const sum = laid.reduce((total, each) => total + each.wide, 0);
        expect(sum + left).toBeCloseTo(width + 0, 6);
        if (over === 0) laid.forEach((each, i) => widths[i] !== null && expect(each.wide).toBe(widths[i]));
      },
    ),
    { numRuns: 100, seed: SEED },
  );
});
