import { applyEdit, newPlan } from '@velvet-tape/core';
import type { Proposal } from '../src/features/plan/sketching/proposal';
import { fieldsOf, intentOf, kindOf, withTyped } from '../src/features/plan/sketching/proposal';
import { ceilingTool } from '../src/features/plan/tools/ceiling-tool';
import { measureTool } from '../src/features/plan/tools/measure-tool';
import { sectionTool } from '../src/features/plan/tools/section-tool';
import { at as pointer, workbench } from './workbench';

/** A room of 6 × 4 m, and a workbench on it. */
function bench() {
  const made = applyEdit(
    newPlan({ name: 'Attic' }),
    { kind: 'drawBox', floor: 'ground', a: { x: 0, y: 0 }, b: { x: 6000, y: 4000 } },
    'b',
  );
  if (!made.ok) throw new Error(made.reason);
  return workbench(made.plan);
}

const tap = (tool: ReturnType<typeof ceilingTool>, x: number, y: number) => {
  tool.down(pointer(x, y));
  tool.up(pointer(x, y));
};
const typed = (metres: number) => ({ value: metres * 1000, text: String(metres), unit: 'm' as const });

test('a slope rises from the wall that is tapped, or the nearest of the room', () => {
  const { bench: on, state } = bench();
  state.choices = { ...state.choices, ceiling: 'slope' };
  tap(ceilingTool(on), 3000, 4050);
  expect(Object.values(state.plan.slopes)).toHaveLength(1);
  expect(state.selection).toMatchObject({ kind: 'slope' });
  expect(state.tool).toBe('choose');
  tap(ceilingTool(on), 700, 2000);
  const [below, left] = on.floor().slopes;
  expect([below!.frame.out, left!.frame.out].map(({ x, y }) => [Math.round(x) + 0, Math.round(y) + 0])).toEqual([
    [0, -1],
    [1, 0],
  ]);
  // beside the house there is nothing to rise from
  tap(ceilingTool(on), 30_000, 30_000);
  expect(Object.values(state.plan.slopes)).toHaveLength(2);
});

test('a roof is proposed at a wall, and kept when eaves and ridge, or pitch, were typed', () => {
  const { bench: on, state } = bench();
  state.choices = { ...state.choices, ceiling: 'gable' };
  tap(ceilingTool(on), 3000, -50);
  const roof = (): Extract<Proposal, { kind: 'roof' }> => {
    if (state.proposal?.kind !== 'roof') throw new Error('No roof is proposed.');
    return state.proposal;
  };
  expect(fieldsOf(roof())).toEqual(['eaves', 'ridge', 'pitch', 'ridgeAt']);
  expect(intentOf(roof(), on.floor())).toBeNull();
  expect(kindOf(roof()).lacks?.(roof())).toBe('How high are its eaves?');
  state.proposal = withTyped(roof(), 'eaves', typed(1.2));
  expect(intentOf(roof(), on.floor())).toBeNull();
  state.proposal = withTyped(roof(), 'ridge', typed(2.8));
  expect(intentOf(roof(), on.floor())).toMatchObject({ kind: 'addRoof', rise: { ridge: { value: 2800 } } });
  // what is typed last holds
  state.proposal = withTyped(roof(), 'pitch', { ...typed(0), value: 38 });
  expect(intentOf(roof(), on.floor())).toMatchObject({ rise: { pitch: 38 } });
  expect(on.keep()).toBe(true);
  expect(Object.values(state.plan.slopes)).toHaveLength(2);
});

test('dormer, beam and step go where they are put down; a height over a slope is read on it', () => {
  const { bench: on, state } = bench();
  for (const [ceiling, x, y] of [
    ['dormer', 3000, 300],
    ['beam', 3000, 2000],
    ['step', 5000, 3000],
  ] as const) {
    state.choices = { ...state.choices, ceiling };
    tap(ceilingTool(on), x, y);
    expect(state.selection).toMatchObject({ kind: 'break' });
  }
  expect(Object.values(state.plan.breaks).map(({ form, stand }) => [form, stand.kind])).toEqual([
    ['dormer', 'wall'],
    ['beam', 'free'],
    ['step', 'free'],
  ]);
  const measure = measureTool(on);
  tap(measure, 1500, 1000);
  expect(state.proposal).toMatchObject({ kind: 'height', slope: null });
  state.proposal = null;
  const face = on.floor().rooms[0]!.faces.find(({ d }) => d.x < -0.9)!.key;
  const read = { ...typed(1), instrument: 'tape' as const, time: '' };
  const slope = on.commit({ kind: 'addSlope', floor: 'ground', face, heights: [{ up: 0, read }], pitch: 45 }, 's').made;
  tap(measure, 1500, 3500);
  expect(state.proposal).toMatchObject({ kind: 'height', slope });
  // under the flat ceiling the height is of the room again
  state.proposal = null;
  tap(measure, 1500, 1000);
  expect(state.proposal).toMatchObject({ kind: 'height', slope: null });
});

test('a section nearly level or upright is drawn so; let go of without a drag it is none', () => {
  const { bench: on, state } = bench();
  const tool = sectionTool(on);
  const draw = (x: number, y: number) => {
    tool.down(pointer(1000, 1000));
    tool.move(pointer(x, y));
    tool.up(pointer(x, y));
  };
  draw(1060, 4000);
  expect(state.proposal).toEqual({ kind: 'section', a: { x: 1000, y: 1000 }, b: { x: 1000, y: 4000 } });
  draw(5000, 1100);
  expect(state.proposal).toMatchObject({ b: { x: 5000, y: 1000 } });
  draw(3000, 3000);
  expect(state.proposal).toMatchObject({ b: { x: 3000, y: 3000 } });
  tool.down(pointer(1000, 1000));
  tool.up(pointer(1000, 1000));
  expect(state.proposal).toBeNull();
});

test('tapped in the middle of a floor a roof rises from an outer wall, though an inner one is nearer', () => {
  const { bench: on, state } = bench();
  on.commit(
    {
      kind: 'drawPath',
      floor: 'ground',
      points: [
        { x: 3000, y: 0 },
        { x: 3000, y: 4000 },
      ],
      closed: false,
    },
    'p',
  );
  state.choices = { ...state.choices, ceiling: 'gable' };
  tap(ceilingTool(on), 2000, 1600);
  const key = state.proposal?.kind === 'roof' ? state.proposal.face : '';
  const face = on
    .floor()
    .rooms.flatMap(({ faces }) => faces)
    .find((each) => each.key === key)!;
  expect(face.halves.every(({ wall }) => wall.kind === 'external')).toBe(true);
  // but the inner one where the finger is on it
  state.proposal = null;
  tap(ceilingTool(on), 2945, 1900);
  const inner = state.proposal as unknown as { face: string };
  expect(inner.face).not.toBe(key);
});
