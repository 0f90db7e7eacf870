import { type Intent, type Plan, applyEdit, deriveFloor, newPlan } from '@velvet-tape/core';
import * as fc from 'fast-check';
import {
  fieldsOfChosen,
  nudge,
  remove,
  selectGhost,
  selectTypedIntent,
  stepBack,
} from '../src/features/plan/chosen/kinds';
import { enter } from '../src/features/plan/commands';
import { planActions } from '../src/features/plan/plan-slice';
import type { Selection } from '../src/features/plan/plan-state';
import { selectFloor, selectProposalIntent, selectProposed } from '../src/features/plan/selectors';
import { arrowOn, backspaceOn } from '../src/features/plan/sketching/hands';
import { keepProposal } from '../src/features/plan/sketching/keep';
import { type Proposal, fieldsOf, kindOf, withTyped } from '../src/features/plan/sketching/proposal';
import { timed } from '../src/features/plan/timed';
import { makeStore } from '../src/store/store';

function done(plan: Plan, ...intents: Intent[]): Plan {
  return intents.reduce((before, intent, i) => {
    const result = applyEdit(before, intent, `t${Object.keys(before.walls).length}-${i}`);
    if (!result.ok) throw new Error(result.reason);
    return result.plan;
  }, plan);
}

/** A picture of 20 by 10 m, its scale known. */
const overPicture = () =>
  done(newPlan({ name: 'Shed' }), {
    kind: 'addUnderlay',
    floor: 'ground',
    picture: { picture: 'p1', width: 2000, height: 1000 },
    name: 'Sketch',
    at: { x: 10_000, y: 5000 },
    calibration: { kind: 'printed', perPixel: 0.1, ratio: 100 },
  });

function opened(plan: Plan) {
  const store = makeStore();
  store.dispatch(planActions.opening('job-1'));
  store.dispatch(planActions.opened(plan));
  return store;
}

/** Outlines and figures, without ids, which are new each time, and without times. */
const looks = (plan: Plan) => ({
  rooms: deriveFloor(plan, 'ground').rooms.map(({ measures, outline }) => [measures.area.toFixed(3), outline.rings]),
  bodies: deriveFloor(plan, 'ground').bodies.map(({ ring }) => ring),
  readings: Object.values(plan.readings).map(({ kind, value, instrument }) => [kind, value, instrument]),
});

const size = fc.integer({ min: 900, max: 6000 });
const point = fc.record({ x: fc.integer({ min: 500, max: 9000 }), y: fc.integer({ min: 500, max: 3500 }) });
const typed = (value: number) => ({ value, text: `${value} mm`, unit: 'mm' as const });

const proposals: fc.Arbitrary<Proposal> = fc.oneof(
  fc.tuple(point, size, size, fc.boolean()).map(([a, w, d, read]): Proposal => ({
    kind: 'box',
    a,
    b: { x: a.x + w, y: a.y + d },
    width: read ? typed(w) : null,
    depth: read ? typed(d) : null,
  })),
  fc.tuple(point, size, size).map(([a, w, d]): Proposal => ({
    kind: 'path',
    points: [a, { x: a.x + w, y: a.y }, { x: a.x + w, y: a.y + d }],
    lengths: [typed(w), null],
    towards: null,
    chalk: false,
  })),
  fc
    .tuple(point, size, size, fc.constantFrom('L', 'T'), fc.boolean())
    .map(
      ([at, width, depth, shape, mirror]): Proposal =>
        ({ kind: 'shape', shape, at, width, depth, turn: 90, mirror }) as Proposal,
    ),
);

describe('what is shown while drawing is what is kept', () => {
  test.each([
    ['on an empty sheet', () => newPlan({ name: 'Barn' })],
    ['over a picture of known scale', overPicture],
  ])('%s', (_, plan) => {
    let kept = 0;
    fc.assert(
      fc.property(proposals, (proposal) => {
        const store = opened(plan());
        store.dispatch(planActions.proposed(proposal));
        const shown = selectProposed(store.getState());
        const refused = !store.dispatch(keepProposal);
        expect(shown?.plan === null).toBe(refused);
        if (refused || !shown?.plan) return;
        kept += 1;
        expect(looks(store.getState().plan.plan!)).toEqual(looks(shown.plan));
      }),
      { numRuns: 40, seed: 20_261_129 },
    );
    expect(kept).toBeGreaterThan(20);
  });

  test('over a picture it is scaled both times, and the clock is asked only when it is kept', () => {
    const store = opened(overPicture());
    const [a, b] = [
      { x: 1000, y: 1000 },
      { x: 5000, y: 4000 },
    ];
    store.dispatch(planActions.proposed({ kind: 'box', a, b, width: null, depth: null }));
    const intent = selectProposalIntent(store.getState())!;
    expect(intent).toMatchObject({ time: '', traced: { line: 'inner' } });
    expect(selectProposalIntent(store.getState())).toBe(intent);
    expect(Object.values(selectProposed(store.getState())!.plan!.readings).length).toBeGreaterThan(0);
    store.dispatch(keepProposal);
    for (const { time } of Object.values(store.getState().plan.plan!.readings)) expect(Date.parse(time)).not.toBeNaN();
    expect(timed({ kind: 'removeWall', floor: 'ground', face: 'f' })).toEqual({
      kind: 'removeWall',
      floor: 'ground',
      face: 'f',
    });
  });

  test('every size that is asked for can be typed, and is what it then is', () => {
    fc.assert(
      fc.property(proposals, size, (proposal, value) => {
        for (const field of fieldsOf(proposal)) {
          if (field === 'turn') continue;
          const now = withTyped(proposal, field, typed(value));
          expect(kindOf(now).value(now, field)).toBeCloseTo(value, 6);
        }
      }),
      { numRuns: 20, seed: 7 },
    );
  });
});

test('a finger’s keys go to what is drawn where that has a use for them, else on', () => {
  const box: Proposal = { kind: 'box', a: { x: 0, y: 0 }, b: { x: 9, y: 9 }, width: null, depth: null };
  const path: Proposal = { kind: 'path', points: [{ x: 0, y: 0 }], lengths: [], towards: null, chalk: false };
  expect([backspaceOn(box), backspaceOn(null), arrowOn(box, 1, 0, false), arrowOn(null, 1, 0, false)]).toEqual([
    null,
    null,
    null,
    null,
  ]);
  const store = opened(newPlan({ name: 'Barn' }));
  store.dispatch(planActions.proposed(path));
  store.dispatch(arrowOn(path, 0, 1, false)!);
  expect(store.getState().plan.proposal).toMatchObject({ towards: { x: 0, y: 1000 } });
  store.dispatch(backspaceOn(path)!);
  expect(store.getState().plan.proposal).toBeNull();
});

describe('every kind that can be chosen', () => {
  const furnished = () => {
    const plan = done(newPlan({ name: 'Barn' }), {
      kind: 'drawBox',
      floor: 'ground',
      a: { x: 0, y: 0 },
      b: { x: 6000, y: 4000 },
    });
    const face = deriveFloor(plan, 'ground').rooms[0]!.faces[0]!.key;
    return done(plan, { kind: 'addOpening', floor: 'ground', opening: 'door', face, end: 'left', offset: 1000 }, {
      kind: 'addSolid',
      floor: 'ground',
      solid: 'column',
      shape: 'rectangle',
      at: { x: 3000, y: 2000 },
    } as Intent);
  };
  const chosen = (plan: Plan): Record<string, Selection> => {
    const [room] = deriveFloor(plan, 'ground').rooms;
    const face = room!.faces[0]!;
    return {
      room: { kind: 'room', id: room!.room.id },
      rooms: { kind: 'rooms', ids: [room!.room.id] },
      wall: { kind: 'wall', face: face.key },
      opening: { kind: 'opening', id: Object.keys(plan.openings)[0]!, face: face.key },
      corner: { kind: 'corner', id: face.from },
      solid: { kind: 'solid', id: Object.keys(plan.solids)[0]! },
    };
  };
  const choosing = (kind: string) => {
    const store = opened(furnished());
    store.dispatch(planActions.selected(chosen(store.getState().plan.plan!)[kind]!));
    return store;
  };

  test.each([
    ['room', ['Ceiling']],
    ['rooms', ['Turn']],
    ['wall', ['Length', 'Thickness', 'Ceiling', 'Bow']],
    ['opening', ['From left', 'Width', 'From right', 'Height']],
    ['corner', []],
    ['solid', ['Width', 'Depth', 'Turn']],
  ])('%s: its fields', (kind, labels) => {
    expect(fieldsOfChosen(choosing(kind).getState()).map(({ label }) => label)).toEqual(labels);
  });

  test.each([
    ['wall', 'length', '5.5', 'tapeLength'],
    ['wall', 'thickness', '300', 'setThickness'],
    ['wall', 'sagitta', '0.4', 'bendWall'],
    ['wall', 'ceiling', '2.7', 'setCeilingHeight'],
    ['room', 'ceiling', '2.7', 'setCeilingHeight'],
    ['opening', 'left', '0.5', 'changeOpening'],
    ['opening', 'width', '0.9', 'changeOpening'],
    ['opening', 'frame', '40', 'changeType'],
    ['solid', 'width', '0.6', 'changeSolid'],
    ['solid', 'turn', '30', 'changeSolid'],
  ] as const)('%s, %s typed: seen before Enter, done at it', (kind, field, text, does) => {
    const store = choosing(kind);
    store.dispatch(planActions.fieldChosen(field));
    store.dispatch(planActions.typed(text));
    const intent = selectTypedIntent(store.getState());
    expect(intent?.kind).toBe(does);
    // what says the same is the same: nothing is worked out anew
    store.dispatch(planActions.said({ text: 'Something else.', tone: 'said' }));
    expect(selectTypedIntent(store.getState())).toBe(intent);
    const ghost = selectGhost(store.getState());
    expect(ghost?.reason).toBeNull();
    store.dispatch(enter);
    if (store.getState().plan.pad.asked) store.dispatch(enter);
    expect(selectFloor(store.getState())!.area).toBeCloseTo(ghost!.floor!.area, 3);
    expect(store.getState().plan.past).toHaveLength(1);
  });

  test.each([
    ['rooms', true],
    ['wall', true],
    ['opening', true],
    ['corner', true],
    ['solid', true],
    ['room', false],
  ])('%s: nudged, taken back to the last digit', (kind, moves) => {
    const store = choosing(kind);
    const before = store.getState().plan.plan;
    expect(store.dispatch(nudge(50, 50))).toBe(moves);
    expect(store.getState().plan.past).toHaveLength(moves ? 1 : 0);
    if (moves) store.dispatch(planActions.undone());
    expect(store.getState().plan.plan).toEqual(before);
  });

  test.each([
    ['wall', 'nothing'],
    ['opening', 'wall'],
    ['solid', 'nothing'],
    ['room', 'nothing'],
  ])('%s removed: then %s is chosen', (kind, then) => {
    const store = choosing(kind);
    store.dispatch(remove);
    expect(store.getState().plan.selection.kind).toBe(then);
  });

  test('one step back from an opening is its wall, from that nothing', () => {
    const store = choosing('opening');
    store.dispatch(stepBack);
    expect(store.getState().plan.selection.kind).toBe('wall');
    store.dispatch(stepBack);
    expect(store.getState().plan.selection.kind).toBe('nothing');
  });
});

test('the floor that is looked at is one the plan has: undone, or taken away elsewhere, it gives way, and that is said', () => {
  const plan = newPlan({ name: 'Barn' });
  const two = done(plan, { kind: 'addFloor', of: 'ground', side: 'above' });
  const upstairs = Object.keys(two.floors).find((id) => id !== 'ground')!;
  const store = opened(two);
  expect(store.getState().plan.floor).toBe('ground');
  store.dispatch(planActions.floorChosen(upstairs));
  store.dispatch(planActions.adopted({ known: plan, plan }));
  expect(store.getState().plan).toMatchObject({
    floor: 'ground',
    selection: { kind: 'nothing' },
    notice: { text: 'That floor is no longer there; this is Ground floor.' },
  });
});
