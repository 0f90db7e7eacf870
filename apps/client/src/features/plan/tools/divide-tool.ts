import { type Point, distance, levelWithRoom, middle } from '@velvet-tape/core';
import { caught } from './snapping';
import { type Bench, type Pointer, type Tool, isTap } from './tool';

/** Is that a corner, or the middle of a wall? */
const isSpot = (bench: Bench, p: Point): boolean =>
  bench
    .floor()
    .rooms.some(({ faces }) => faces.some(({ a, b }) => distance(a, p) < 1 || distance(middle(a, b), p) < 1));

/** A wall, or a chalk line, across a room from edge to edge. idle → pressed → dragging → idle */
export function divideTool(bench: Bench): Tool {
  let state: { kind: 'idle' } | { kind: 'pressed' | 'dragging'; px: Point; from: Point } = { kind: 'idle' };
  const draw = (from: Point, pointer: Pointer): Point => {
    const end = caught(bench, pointer, { from });
    // begun a little off, or ended so, it runs as its room does; what was caught on a corner or a middle stays there
    const held = isSpot(bench, end) ? 'to' : 'from';
    const [begin, to] = pointer.free ? [from, end] : levelWithRoom(bench.floor(), [from, end], held);
    bench.propose({ kind: 'path', points: [begin, to], lengths: [null], towards: null, chalk: bench.choices().chalk });
    return to;
  };

  return {
    get busy() {
      return state.kind === 'dragging';
    },
    down(pointer) {
      bench.propose(null);
      state = { kind: 'pressed', px: pointer.px, from: caught(bench, pointer) };
    },
    move(pointer) {
      if (state.kind === 'idle' || (state.kind === 'pressed' && isTap(state.px, pointer.px))) return;
      state = { ...state, kind: 'dragging' };
      draw(state.from, pointer);
    },
    up(pointer) {
      if (state.kind === 'dragging' && distance(draw(state.from, pointer), state.from) > 50) bench.keep();
      else bench.propose(null);
      bench.guide([]);
      state = { kind: 'idle' };
    },
    hover(pointer) {
      caught(bench, pointer);
    },
    cancel() {
      bench.propose(null);
      bench.guide([]);
      state = { kind: 'idle' };
    },
  };
}
