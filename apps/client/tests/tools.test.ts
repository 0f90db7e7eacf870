import { type Point, pointAt } from '@velvet-tape/core';
import { intentOf, withTyped } from '../src/features/plan/sketching/proposal';
import { boxTool } from '../src/features/plan/tools/box-tool';
import { bumpTool } from '../src/features/plan/tools/bump-tool';
import { bendHandle } from '../src/features/plan/tools/grips';
import { chooseTool } from '../src/features/plan/tools/choose-tool';
import { columnTool } from '../src/features/plan/tools/column-tool';
import { cornersTool } from '../src/features/plan/tools/corners-tool';
import { divideTool } from '../src/features/plan/tools/divide-tool';
import { lassoTool } from '../src/features/plan/tools/lasso-tool';
import { loopTool } from '../src/features/plan/tools/loop-tool';
import { measureTool } from '../src/features/plan/tools/measure-tool';
import { shapeTool } from '../src/features/plan/tools/shape-tool';
import { SheetInput } from '../src/features/plan/tools/sheet-input';
import type { Pointer, Tool } from '../src/features/plan/tools/tool';
import { at, shed, workbench } from './workbench';

describe('drawing a room', () => {
  test('a drag shows it all the way and draws it at the end', () => {
    const { bench, state } = workbench();
    const tool = boxTool(bench);
    tool.down(at(0, 0));
    tool.move(at(2000, 1500));
    tool.move(at(4000, 3000));
    expect(state.proposal).toMatchObject({ kind: 'box', b: { x: 4000, y: 3000 } });
    expect(state.committed).toHaveLength(0);
    tool.up(at(4000, 3000));
    expect(bench.floor().area).toBeCloseTo(12e6, 3);
    expect(state.drawn).not.toBe('');
  });

  test('a tap waits for its sizes to be typed; Escape in a drag leaves nothing behind', () => {
    const { bench, state } = workbench();
    const tool = boxTool(bench);
    tool.down(at(0, 0));
    tool.up(at(10, 10));
    const metres = (value: number) => ({ value, text: String(value), unit: 'mm' as const });
    const typed = withTyped(withTyped(state.proposal!, 'width', metres(4210)), 'depth', metres(2980));
    expect(intentOf(typed, bench.floor())).toMatchObject({ kind: 'drawBox', b: { x: 4210, y: 2980 } });
    tool.down(at(0, 0));
    tool.move(at(3000, 3000));
    expect(tool.busy).toBe(true);
    tool.cancel();
    tool.up(at(3000, 3000));
    expect(state.committed).toHaveLength(0);
    expect(state.proposal).toBeNull();
  });

  test('it is caught by the wall of the room beside it, unless snapping is suspended', () => {
    const draw = (free: boolean) => {
      const { bench, state } = workbench(shed());
      const tool = boxTool(bench);
      tool.down(at(4370, 60, free));
      tool.move(at(7000, 2000, free));
      tool.up(at(7000, 2000, free));
      return state.committed[0];
    };
    expect(draw(false)).toMatchObject({ a: { x: 4000, y: 0 } });
    expect(draw(true)).toMatchObject({ a: { x: 4370, y: 60 } });
  });
});

describe('correcting', () => {
  test('the corner of a chosen room is dragged, and caught by what is near', () => {
    const { bench, state } = workbench(shed());
    const room = bench.floor().rooms[0]!;
    state.selection = { kind: 'room', id: room.room.id };
    const tool = chooseTool(bench);
    tool.down(at(4000, 3000));
    tool.move(at(4500, 3100));
    tool.up(at(5000, 3070));
    expect(state.committed).toMatchObject([{ kind: 'moveCorner', to: { x: 5000, y: 3000 } }]);
    expect(bench.floor().area).toBeCloseTo(13.5e6, 0);
  });

  test('a wall that is not chosen is dragged by a finger that rests on it first; a quick one moves the sheet', () => {
    const drag = (rested: boolean) => {
      const { bench, state } = workbench(shed());
      const tool = chooseTool(bench);
      tool.down(at(2000, -60));
      tool.move(at(2000, -400, false, rested));
      tool.up(at(2000, -560, false, rested));
      return state;
    };
    expect(drag(true)).toMatchObject({ selection: { kind: 'wall' }, committed: [{ kind: 'moveWall', by: -500 }] });
    expect(drag(false)).toMatchObject({ committed: [], selection: { kind: 'nothing' } });
  });

  test('the chosen wall is parted where a finger rests on it, and the part to the nearer end is pushed', () => {
    const { bench, state } = workbench(shed());
    const face = bench.floor().rooms[0]!.faces.find((f) => f.d.x > 0.9)!;
    state.selection = { kind: 'wall', face: face.key };
    const tool = chooseTool(bench);
    tool.down(at(1500, -60));
    tool.move(at(1500, 300, false, true));
    tool.up(at(1500, 800, false, true));
    expect(state.proposal).toMatchObject({ kind: 'bump', from: 0, width: 1500, depth: -300 });
    expect(state.tool).toBe('bump');
    expect(bench.keep()).toBe(true);
    expect(bench.floor().openEnds).toEqual([]);
    expect(bench.floor().area).toBeCloseTo(12e6 - 1500 * 300, 0);
  });

  test('at its handle the whole wall is dragged, however long a finger rests there', () => {
    const { bench, state } = workbench(shed());
    const face = bench.floor().rooms[0]!.faces.find((f) => f.d.x > 0.9)!;
    state.selection = { kind: 'wall', face: face.key };
    const tool = chooseTool(bench);
    tool.down(at(2000 + 50, -60));
    tool.move(at(2050, -300, false, true));
    tool.up(at(2050, -560, false, true));
    expect(state.committed).toMatchObject([{ kind: 'moveWall', by: -500 }]);
  });

  test('the handle in the room bends the chosen wall', () => {
    const { bench, state } = workbench(shed());
    const face = bench.floor().rooms[0]!.faces.find((f) => f.a.x > 3999 && f.b.x > 3999)!;
    state.selection = { kind: 'wall', face: face.key };
    const tool = chooseTool(bench);
    const handle = bendHandle(face, 150, bench.floor().rooms);
    expect(handle.x).toBeCloseTo(4000 - 285, 6);
    // off the middle, where the figure stands; there an arc stands three quarters as far out
    expect(Math.abs(handle.y - 1500)).toBeCloseTo(750, 6);
    tool.down(at(handle.x, handle.y));
    tool.move(at(handle.x + 200, handle.y));
    tool.up(at(handle.x + 375, handle.y));
    expect(state.committed).toMatchObject([{ kind: 'bendWall', by: 'sagitta', value: 500, way: 'out' }]);
  });

  test('the label of a chosen room is dragged inside the room', () => {
    const { bench, state } = workbench(shed());
    const { room, label } = bench.floor().rooms[0]!;
    state.selection = { kind: 'room', id: room.id };
    const tool = chooseTool(bench);
    tool.down(at(label.x, label.y));
    tool.move(at(label.x + 500, label.y));
    tool.up(at(label.x + 700, label.y));
    expect(bench.floor().rooms[0]!.label.x).toBeCloseTo(label.x + 700, 6);
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
});

describe('drawing corner by corner', () => {
  test('taps place corners, typed lengths hold, the first corner closes', () => {
    const { bench, state } = workbench();
    const tool = cornersTool(bench);
    const tap = (x: number, y: number) => {
      tool.down(at(x, y, true));
      tool.up(at(x, y, true));
    };
    tap(0, 0);
    tap(4000, 30);
    state.proposal = withTyped(state.proposal!, 'leg', { value: 4200, text: '4.2', unit: 'm' });
    tap(4200, 3000);
    tap(0, 3000);
    expect(state.proposal).toMatchObject({ kind: 'path', points: { length: 4 } });
    tap(60, 40);
    expect(state.committed).toMatchObject([{ kind: 'drawPath', lengths: [{ text: '4.2' }, null, null, null] }]);
    expect(bench.floor().rooms).toHaveLength(1);
    expect(bench.floor().rooms[0]!.faces.some((face) => face.provenance === 'taped')).toBe(true);
  });

  test('an outline ends on a wall that is there', () => {
    const { bench, state } = workbench(shed());
    const tool = cornersTool(bench);
    for (const [x, y] of [
      [4000, 500],
      [6000, 500],
      [6000, 2500],
      [4080, 2500],
    ] as const) {
      tool.down(at(x, y));
      tool.up(at(x, y));
    }
    expect(state.proposal).toBeNull();
    expect(bench.floor().rooms).toHaveLength(2);
  });

  test('a drag aims the leg and says what caught it', () => {
    const { bench, state } = workbench();
    const tool = cornersTool(bench);
    tool.down(at(0, 0));
    tool.move(at(2500, 90));
    expect(state.proposal).toMatchObject({ points: [{ x: 0, y: 0 }], towards: { y: 0 } });
    expect(state.guides.map((guide) => guide.word)).toContain('square');
    tool.cancel();
    expect(state.proposal).toMatchObject({ points: [{ x: 0, y: 0 }], towards: null });
  });
});

describe('other ways to draw', () => {
  const drag = (tool: Tool, ...points: readonly (readonly [number, number])[]) => {
    points.forEach(([x, y], i) => (i === 0 ? tool.down : tool.move)(at(x, y)));
    tool.up(at(...points.at(-1)!));
  };
  /** Points along the sides of a rectangle, every 200 mm. */
  const round: [number, number][] = [];
  for (let s = 0; s < 4000; s += 200) round.push([s, 0]);
  for (let s = 0; s < 3000; s += 200) round.push([4000, s]);
  for (let s = 4000; s > 0; s -= 200) round.push([s, 3000]);
  for (let s = 3000; s > 100; s -= 200) round.push([0, s]);

  test('a loop is straightened when the finger is lifted, and waits to be kept', () => {
    const { bench, state } = workbench();
    drag(loopTool(bench), ...round);
    expect(state.committed).toHaveLength(0);
    expect(intentOf(state.proposal!, bench.floor())).toMatchObject({ kind: 'drawPath', points: { length: 4 } });
    expect(bench.keep()).toBe(true);
    expect(bench.floor().rooms).toHaveLength(1);
  });

  test('a shape is dropped, stretched by a corner, moved as a whole', () => {
    const { bench, state } = workbench();
    const tool = shapeTool(bench);
    drag(tool, [3000, 3000]);
    expect(state.proposal).toMatchObject({ kind: 'shape', shape: 'L', width: 4800 });
    drag(tool, [3000 + 2400, 3000 + 1800], [6000, 5000], [6400, 5400]);
    expect(state.proposal).toMatchObject({ width: 5800, depth: 4200 });
    drag(tool, [3000, 3000], [3600, 3000], [4000, 3000]);
    expect(state.proposal).toMatchObject({ width: 5800, at: { x: 4500 } });
  });

  test('a bump is pushed out of the wall that was pressed, and made deeper by another drag', () => {
    const { bench, state } = workbench(shed());
    const tool = bumpTool(bench);
    drag(tool, [2000, -50], [2000, -300], [2000, -600]);
    expect(state.proposal).toMatchObject({ kind: 'bump', shape: 'box', depth: 600, from: 1400, width: 1200 });
    drag(tool, [2000, -600], [1800, -800], [1700, -900]);
    expect(state.proposal).toMatchObject({ depth: 900, from: 1100 });
    expect(bench.keep()).toBe(true);
    expect(bench.floor().area).toBeCloseTo(12e6 + 1200 * 900, 0);
  });

  test('a chalk line from edge to edge divides a room', () => {
    const { bench, state } = workbench(shed());
    state.choices = { ...state.choices, chalk: true };
    drag(divideTool(bench), [2500, -40], [2520, 1500], [2530, 2960]);
    expect(bench.floor().rooms).toHaveLength(2);
    expect(bench.floor().area).toBeCloseTo(12e6, 0);
  });

  test('from corner to corner a diagonal is measured, from wall to wall the distance across, a corner twice its angle', () => {
    const { bench, state } = workbench(shed());
    const tool = measureTool(bench);
    const measured = (...points: (readonly [number, number])[]) => {
      for (const point of points) drag(tool, point);
      return state.proposal;
    };
    const [a, b] = [bench.floor().rooms[0]!.faces[0]!.a, bench.floor().rooms[0]!.faces[2]!.a];
    const { width, height } = { width: Math.abs(b.x - a.x), height: Math.abs(b.y - a.y) };
    const nearest = (p: Point): [number, number] => [p.x + 20, p.y + 10];
    const diagonal = measured(nearest(a), nearest(b));
    expect(diagonal).toMatchObject({ place: { kind: 'diagonal' } });
    expect((diagonal as { now: number }).now).toBeCloseTo(Math.hypot(width, height), 6);
    expect(intentOf(diagonal!, bench.floor())).toBeNull();
    const typed = withTyped(diagonal!, 'reading', { value: 5123, text: '5.123', unit: 'm', instrument: 'laser' });
    expect(intentOf(typed, bench.floor())).toMatchObject({
      kind: 'takeReading',
      read: { value: 5123, instrument: 'laser' },
    });
    expect(measured(nearest(a), nearest(a))).toMatchObject({ place: { kind: 'angle' }, now: expect.closeTo(90, 6) });
    // from the middle of one wall to the middle of the one opposite
    const [m, n] = [0, 2]
      .map((i) => bench.floor().rooms[0]!.faces[i]!)
      .map((f) => pointAt(f.course, f.length / 2, -40));
    expect(measured([m!.x, m!.y], [n!.x, n!.y])).toMatchObject({ place: { kind: 'between' } });
    // two corners beside each other have a wall between them
    const next = bench.floor().rooms[0]!.faces[1]!.a;
    expect(measured(nearest(a), nearest(next))).toMatchObject({ place: { kind: 'length' } });
    // walls at right angles have no distance: the second is the beginning of another reading
    const side = bench.floor().rooms[0]!.faces[1]!;
    const q = pointAt(side.course, side.length / 2, -40);
    expect(measured([m!.x, m!.y], [q.x, q.y])).toMatchObject({ place: null, first: { kind: 'face' } });
    drag(tool, [90_000, 90_000]);
    expect(state.proposal).toBeNull();
  });

  test('a column goes where it is tapped, and is chosen', () => {
    const { bench, state } = workbench(shed());
    drag(columnTool(bench), [2000, 1500]);
    expect(state.selection.kind).toBe('solid');
    expect(bench.floor().solids).toHaveLength(1);
  });

  test('a lasso chooses the rooms whose names it holds', () => {
    const { bench, state } = workbench(shed());
    drag(lassoTool(bench), ...round.map(([x, y]): [number, number] => [x, y]));
    expect(state.selection).toEqual({ kind: 'rooms', ids: [bench.floor().rooms[0]!.room.id] });
    drag(chooseTool(bench), [1000, 1000], [2000, 1000], [3000, 1000]);
    expect(state.committed).toMatchObject([{ kind: 'transformRooms', motion: { dx: 2000, dy: 0 } }]);
  });

  test('what the lasso chose is dragged with it; begun elsewhere a drag is a new line, and backing out leaves all as it was', () => {
    const { bench, state } = workbench(shed());
    const lasso = lassoTool(bench);
    drag(lasso, ...round.map(([x, y]): [number, number] => [x, y]));
    const [first] = state.selection.kind === 'rooms' ? state.selection.ids : [];
    drag(lasso, [1000, 1000], [1500, 1500], [1500, 2000]);
    expect(state.committed).toMatchObject([{ kind: 'transformRooms', rooms: [first], motion: { dx: 500, dy: 1000 } }]);
    drag(lasso, [9000, 9000], [9500, 9000], [9500, 9500]);
    expect(state.selection).toEqual({ kind: 'nothing' });
    expect(state.committed).toHaveLength(1);

    bench.select({ kind: 'rooms', ids: [first!] });
    lasso.down(at(1500, 2000));
    lasso.move(at(2500, 2000));
    expect(state.previews.at(-1)).toMatchObject({ kind: 'transformRooms' });
    lasso.cancel();
    expect(state.previews.at(-1)).toBeNull();
    expect(state.committed).toHaveLength(1);
  });
});

test('a second finger ends what the first was doing, and moves and zooms the sheet', () => {
  const seen: string[] = [];
  const pinches: number[] = [];
  const input = new SheetInput({
    down: () => seen.push('down'),
    move: () => seen.push('move'),
    up: () => seen.push('up'),
    hover: () => seen.push('hover'),
    cancel: () => seen.push('cancel'),
    pinch: (_px: Point, _dx, _dy, factor) => pinches.push(factor),
  });
  const finger = (pointerId: number) => ({
    pointerId,
    pointerType: 'touch',
    altKey: false,
    shiftKey: false,
    button: 0,
  });
  input.pressed({ x: 100, y: 100 }, finger(1));
  input.pressed({ x: 200, y: 100 }, finger(2));
  input.moved({ x: 300, y: 100 }, finger(2));
  input.released({ x: 100, y: 100 }, finger(1));
  input.released({ x: 300, y: 100 }, finger(2));
  input.pressed({ x: 50, y: 50 }, finger(3));
  expect(seen).toEqual(['down', 'cancel', 'down']);
  expect(pinches).toEqual([2]);
});
