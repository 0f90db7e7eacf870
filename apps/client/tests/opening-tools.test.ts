import { distance } from '@velvet-tape/core';
import { chooseTool } from '../src/features/plan/tools/choose-tool';
import { tipOf } from '../src/features/plan/tools/grips';
import { stripTool } from '../src/features/plan/tools/strip-tool';
import { at, shed, workbench } from './workbench';

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

test('the leaf of the chosen door is dragged to where it is to open', () => {
  const { bench, state } = workbench(shed());
  const face = bench.floor().rooms[0]!.faces[0]!;
  const { made } = bench.commit(
    { kind: 'addOpening', floor: 'ground', opening: 'door', face: face.key, end: 'left', offset: 1000 },
    'door',
  );
  state.selection = { kind: 'opening', id: made!, face: face.key };
  const tip = tipOf(bench.floor(), bench.floor().openings[0]!)!;
  // the leaf is hinged at the left and opens into the room, downwards: its edge goes over to the right, and out
  const tool = chooseTool(bench);
  tool.down(at(tip.x, tip.y, true));
  tool.move(at(tip.x + 400, tip.y - 500, true));
  tool.move(at(1900, -1000, true));
  tool.up(at(1900, -1000, true));
  const now = bench.floor().openings[0]!;
  expect([now.hinge, now.swing]).toEqual(['end', 'left']);
  expect(distance(tipOf(bench.floor(), now)!, { x: 1830, y: -1000 })).toBeLessThan(200);
});

test('on the strip a tap chooses what stands there or the wall, and a drag takes the opening along, no further than the corner', () => {
  const { bench, state } = workbench(shed());
  const { key } = bench.floor().rooms[0]!.faces[0]!;
  const door = { kind: 'addOpening', floor: 'ground', opening: 'door', face: key, end: 'left' } as const;
  const { made } = bench.commit({ ...door, offset: 500, width: 900 }, 'd');
  state.selection = { kind: 'wall', face: key };
  const tool = stripTool(bench);
  const tap = (x: number) => {
    tool.down(at(x, 0));
    tool.up(at(x, 0));
  };
  const edits = state.committed.length;
  tap(800);
  expect(state.selection).toEqual({ kind: 'opening', id: made, face: key });
  tap(3000);
  expect(state.selection).toEqual({ kind: 'wall', face: key });
  expect(state.committed).toHaveLength(edits);

  tool.down(at(800, 0));
  tool.move(at(1104, 0));
  expect(tool.busy).toBe(true);
  expect(state.previews.at(-1)).toMatchObject({ opening: made, place: { face: key, end: 'left', offset: 800 } });
  tool.cancel();
  expect(state.previews.at(-1)).toBeNull();
  expect(bench.floor().rooms[0]!.faces[0]!.openings[0]!.from).toBeCloseTo(500, 6);

  tool.down(at(800, 0));
  tool.move(at(9000, 0));
  tool.up(at(9000, 0));
  expect(bench.floor().rooms[0]!.faces[0]!.openings[0]!.to).toBeCloseTo(4000, 6);
});
