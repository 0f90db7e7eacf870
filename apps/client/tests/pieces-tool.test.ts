import * as rooms from '@velvet-tape/core/later';
import { type Piece, type Plan, deriveFloor } from '@velvet-tape/core';
import * as fc from 'fast-check';
import { come } from '../src/core-later/to-come';
import type * as Holding from '../src/features/plan/pieces/holding';
import type * as PiecesTool from '../src/features/plan/pieces/pieces-tool';
import { isTap } from '../src/features/plan/tools/tool';
import { at, shed, workbench } from './workbench';

// what comes later takes the plan on loan: here the part of it that the tool needs
jest.mock('../src/features/plan/later/lent', () => ({
  lent: () => ({
    ...jest.requireActual<object>('@velvet-tape/core'),
    isTap: mockIsTap,
    randomSeed: () => `r${(mockSeeds.given += 1)}`,
    store: { dispatch: () => undefined },
    planActions: { choicesMade: () => undefined },
  }),
}));
const mockIsTap = isTap;
const mockSeeds = { given: 0 };
come(rooms);
// what looks for rooms of the core as it is loaded
const { piecesTool } = require('../src/features/plan/pieces/pieces-tool') as typeof PiecesTool;
const { pieceMeant } = require('../src/features/plan/pieces/holding') as typeof Holding;

/** A shed of 4 × 3 m, inside faces at 0 and 4,000, 0 and 3,000, with the tool of pieces in hand. */
function hand(plan: Plan = shed()) {
  const { bench, state } = workbench(plan);
  const choose = (form: string | null, adding = false) => {
    state.choices = { ...state.choices, piece: { form, adding } };
  };
  choose(null);
  const tool = piecesTool(bench);
  const tap = (x: number, y: number) => {
    tool.down(at(x, y));
    tool.up(at(x, y));
  };
  const put = (form: string, x: number, y: number): string => {
    choose(form);
    tap(x, y);
    choose(null);
    return state.selection.kind === 'piece' ? state.selection.ids[0]! : '';
  };
  const drag = (a: readonly [number, number], b: readonly [number, number], free = false) => {
    tool.down(at(...a, free));
    tool.move(at((a[0] + b[0]) / 2, (a[1] + b[1]) / 2, free));
    tool.move(at(...b, free));
    tool.up(at(...b, free));
  };
  const on = (id: string) =>
    rooms.piecesOn(state.plan.pieces, deriveFloor(state.plan, 'ground')).find(({ piece }) => piece.id === id)!;
  return { bench, state, tool, choose, tap, put, drag, on };
}
const pieces = (plan: Plan): Piece[] => Object.values(plan.pieces);

test('what is in hand is put down by a tap, at the wall that is near, and chosen', () => {
  const { state, put, on } = hand();
  const id = put('sofa-3', 2000, 500);
  expect(state.plan.pieces[id]!.stand).toMatchObject({ kind: 'wall' });
  expect(on(id).ring[0]!.y).toBeCloseTo(state.plan.pieces[id]!.gap, 6);
  expect(state.selection).toEqual({ kind: 'piece', ids: [id] });
});

test('with nothing in hand a tap chooses the piece under it, beside all of them it chooses nothing; a drag there takes the sheet', () => {
  const { state, tap, put, drag } = hand();
  const id = put('table', 2000, 1500);
  tap(300, 2800);
  expect(state.selection).toEqual({ kind: 'nothing' });
  tap(2010, 1480);
  expect(state.selection).toEqual({ kind: 'piece', ids: [id] });
  drag([300, 2800], [600, 2800]);
  expect(state.panned).not.toBe(0);
  expect(pieces(state.plan)).toHaveLength(1);
});

test('while others are to join, taps add and take away', () => {
  const { state, tap, put, choose } = hand();
  const [a, b] = [put('chair', 1000, 1500), put('chair', 3000, 1500)];
  choose(null, true);
  tap(1000, 1500);
  expect(state.selection).toEqual({ kind: 'piece', ids: [b, a] });
  tap(3000, 1500);
  expect(state.selection).toEqual({ kind: 'piece', ids: [a] });
  tap(1000, 1500);
  expect(state.selection).toEqual({ kind: 'nothing' });
});

test('dragged by its middle it moves; by its handles it turns and grows, its other side where it was', () => {
  const { state, put, drag, on } = hand();
  const id = put('table', 2000, 1500);
  drag([2000, 1500], [1600, 1200], true);
  expect(rooms.middleOfPiece(on(id))).toEqual({ x: 1600, y: 1200 });
  const { width, depth } = state.plan.pieces[id]!;
  const left = Math.min(...on(id).ring.map(({ x }) => x));
  drag([1600 + width / 2, 1200], [1600 + width / 2 + 200, 1200]);
  expect(state.plan.pieces[id]!.width).toBe(width + 200);
  expect(Math.min(...on(id).ring.map(({ x }) => x))).toBeCloseTo(left, 6);
  // the handle that turns it stands before its front
  const middle = rooms.middleOfPiece(on(id));
  const handle: [number, number] = [middle.x, middle.y + depth / 2 + 1.6 * 150];
  drag(handle, [middle.x - 1000, middle.y + 10]);
  expect(rooms.turnOfFrame(on(id).frame)).toBeCloseTo(90, 6);
});

test('a drag that is broken off leaves everything as it was', () => {
  const { state, tool, put } = hand();
  put('table', 2000, 1500);
  const before = state.plan;
  tool.down(at(2000, 1500));
  tool.move(at(1500, 1300));
  tool.cancel();
  expect(state.plan).toBe(before);
  expect(state.previews.at(-1)).toBeNull();
  expect(state.guides).toEqual([]);
});

test('what is written over a piece goes first, and beside what is written the piece is meant', () => {
  const { bench, state, put } = hand();
  const id = put('rug', 2000, 1500);
  const { label } = deriveFloor(state.plan, 'ground').rooms[0]!;
  expect(pieceMeant(bench, at(label.x, label.y))).toBeNull();
  expect(pieceMeant(bench, at(2000 - state.plan.pieces[id]!.width / 2 + 100, 1500 - 500))).toBe(id);
});

test('wherever a finger goes with whatever it has in hand, nothing is left half done', () => {
  const forms = ['sofa-3', 'chair', 'base-unit', 'hob', 'rug', 'table-lamp', 'corner-unit', 'wardrobe'];
  const place = fc.record({ x: fc.integer({ min: -1500, max: 5500 }), y: fc.integer({ min: -1500, max: 4500 }) });
  const step = fc.record({ form: fc.constantFrom(...forms, null), from: place, to: place, free: fc.boolean() });
  fc.assert(
    fc.property(fc.array(step, { minLength: 1, maxLength: 8 }), (steps) => {
      const { state, tool, put, drag } = hand();
      for (const { form, from, to, free } of steps) {
        if (form) put(form, from.x, from.y);
        drag([from.x, from.y], [to.x, to.y], free);
        expect(tool.busy).toBe(false);
        for (const { stand } of pieces(state.plan))
          if (stand.kind === 'piece') expect(state.plan.pieces[stand.piece]).toBeDefined();
      }
      expect(pieces(state.plan)).toHaveLength(steps.filter(({ form }) => form).length);
    }),
    { numRuns: 30, seed: Number(process.env['FC_SEED'] ?? 20_261_130) },
  );
});

test('what is built in is drawn along its wall, from where a finger began to where it is let go; away from walls the sheet is moved', () => {
  const { state, choose, drag, on } = hand();
  choose('built-in');
  drag([20, 300], [3980, 420]);
  const [made] = pieces(state.plan);
  expect(made).toMatchObject({ form: 'built-in', stand: { kind: 'wall' } });
  // caught by both corners of a wall of 4 m, in as many parts as are usually so wide
  expect(made!.width).toBeCloseTo(4000, 6);
  expect(made!.builtIn!.modules).toHaveLength(7);
  expect(Math.max(...on(made!.id).ring.map(({ y }) => y))).toBeCloseTo(600, 6);
  choose('built-in');
  drag([2000, 1600], [2600, 1600]);
  expect(pieces(state.plan)).toHaveLength(1);
  expect(state.panned).not.toBe(0);
});
