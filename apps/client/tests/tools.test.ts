import { type Intent, type Plan, type Point, applyEdit, deriveFloor, newPlan } from '@velvet-tape/core';
import type { Selection } from '../src/features/plan/plan-slice';
import { chooseTool } from '../src/features/plan/tools/choose-tool';
import { roomTool } from '../src/features/plan/tools/room-tool';
import { SheetInput } from '../src/features/plan/tools/sheet-input';
import type { Bench, Pointer } from '../src/features/plan/tools/tool';

/** A workbench without a screen: edits are done at once, and what was shown is remembered. */
function workbench(plan: Plan = newPlan({ name: 'Shed' })) {
  const state = {
    plan,
    selection: { kind: 'nothing' } as Selection,
    previews: [] as (Intent | null)[],
    committed: [] as Intent[],
    panned: 0,
    drawn: '',
  };
  let seeds = 0;
  const bench: Bench = {
    floor: () => deriveFloor(state.plan, 'ground'),
    selection: () => state.selection,
    preview: (intent) => state.previews.push(intent),
    commit: (intent, seed) => {
      state.committed.push(intent);
      const result = applyEdit(state.plan, intent, seed);
      if (result.ok) state.plan = result.plan;
      return { ok: result.ok, made: result.ok ? result.made : null };
    },
    select: (selection) => (state.selection = selection),
    pan: (dx) => (state.panned += dx),
    drawn: (room) => (state.drawn = room),
    seed: () => `t${(seeds += 1)}`,
  };
  return { bench, state };
}

/** A pointer at a point of the house, on a screen of 10 mm to the pixel. */
const at = (x: number, y: number, free = false): Pointer => ({
  at: { x, y },
  px: { x: x / 10, y: y / 10 },
  reach: 150,
  free,
});

function shed(): Plan {
  const result = applyEdit(
    newPlan({ name: 'Shed' }),
    { kind: 'drawBox', floor: 'ground', a: { x: 0, y: 0 }, b: { x: 4000, y: 3000 } },
    'r',
  );
  if (!result.ok) throw new Error(result.reason);
  return result.plan;
}

describe('drawing a room', () => {
  test('a drag shows it all the way and draws it at the end', () => {
    const { bench, state } = workbench();
    const tool = roomTool(bench);
    tool.down(at(0, 0));
    tool.move(at(2000, 1500));
    tool.move(at(4000, 3000));
    expect(state.previews).toHaveLength(2);
    expect(state.committed).toHaveLength(0);
    tool.up(at(4000, 3000));
    expect(bench.floor().area).toBeCloseTo(12e6, 3);
    expect(state.drawn).not.toBe('');
  });

  test('a tap draws nothing; Escape in a drag leaves nothing behind', () => {
    const { bench, state } = workbench();
    const tool = roomTool(bench);
    tool.down(at(0, 0));
    tool.up(at(10, 10));
    tool.down(at(0, 0));
    tool.move(at(3000, 3000));
    expect(tool.busy).toBe(true);
    tool.cancel();
    tool.up(at(3000, 3000));
    expect(state.committed).toHaveLength(0);
    expect(state.previews.at(-1)).toBeNull();
  });

  test('it is caught by the wall of the room beside it, unless snapping is suspended', () => {
    const draw = (free: boolean) => {
      const { bench, state } = workbench(shed());
      const tool = roomTool(bench);
      tool.down(at(4370, 60, free));
      tool.move(at(7000, 2000, free));
      tool.up(at(7000, 2000, free));
      return state.committed[0];
    };
    expect(draw(false)).toMatchObject({ a: { x: 4000, y: 0 } });
    expect(draw(true)).toMatchObject({ a: { x: 4370, y: 60 } });
  });
});

describe('choosing', () => {
  test('a tap chooses the wall, the room, or nothing', () => {
    const { bench, state } = workbench(shed());
    const tool = chooseTool(bench);
    const tap = (p: Pointer) => {
      tool.down(p);
      tool.up(p);
      return state.selection.kind;
    };
    expect(tap(at(2000, -100))).toBe('wall');
    expect(tap(at(2000, 1500))).toBe('room');
    expect(tap(at(9000, 9000))).toBe('nothing');
  });

  test('a drag on a wall moves the sheet until the wall is chosen, then the wall', () => {
    const { bench, state } = workbench(shed());
    const tool = chooseTool(bench);
    const drag = () => {
      tool.down(at(2000, -100));
      tool.move(at(2000, -400));
      tool.up(at(2000, -604));
    };
    drag();
    expect(state.committed).toHaveLength(0);
    tool.down(at(2000, -100));
    tool.up(at(2000, -100));
    drag();
    expect(state.committed).toMatchObject([{ kind: 'moveWall', by: -500 }]);
    expect(bench.floor().area).toBeCloseTo(4000 * 3500, 0);
  });

  test('a chosen door is dragged along its wall and stops at the corner', () => {
    const { bench, state } = workbench(shed());
    const top = bench.floor().rooms[0]!.faces[0]!;
    const { made } = bench.commit(
      { kind: 'addOpening', floor: 'ground', opening: 'door', face: top.key, end: 'left', offset: 500, width: 900 },
      'd',
    );
    state.selection = { kind: 'opening', id: made!, face: top.key };
    const tool = chooseTool(bench);
    tool.down(at(900, -100));
    tool.move(at(5000, -100));
    tool.up(at(9000, -100));
    expect(bench.floor().rooms[0]!.faces[0]!.openings[0]!.to).toBeCloseTo(4000, 3);
  });
});

test('a second finger ends what the first was doing, and moves and zooms the sheet', () => {
  const seen: string[] = [];
  const pinches: number[] = [];
  const input = new SheetInput({
    down: () => seen.push('down'),
    move: () => seen.push('move'),
    up: () => seen.push('up'),
    cancel: () => seen.push('cancel'),
    pinch: (_px: Point, _dx, _dy, factor) => pinches.push(factor),
  });
  const finger = (pointerId: number) => ({ pointerId, pointerType: 'touch', altKey: false });
  input.pressed({ x: 100, y: 100 }, finger(1));
  input.pressed({ x: 200, y: 100 }, finger(2));
  input.moved({ x: 300, y: 100 }, finger(2));
  input.released({ x: 100, y: 100 }, finger(1));
  input.released({ x: 300, y: 100 }, finger(2));
  input.pressed({ x: 50, y: 50 }, finger(3));
  expect(seen).toEqual(['down', 'cancel', 'down']);
  expect(pinches).toEqual([2]);
});
