import { type Point, distance } from '@velvet-tape/core';
import { caught } from './snapping';
import { type Bench, type Pointer, type Tool, isTap } from './tool';

/** A wall, or a chalk line, across a room from edge to edge. idle → pressed → dragging → idle */
export function divideTool(bench: Bench): Tool {
  let state: { kind: 'idle' } | { kind: 'pressed' | 'dragging'; px: Point; from: Point } = { kind: 'idle' };
  const draw = (from: Point, pointer: Pointer): Point => {
    const to = caught(bench, pointer, { from });
    bench.propose({ kind: 'path', points: [from, to], lengths: [null], towards: null, chalk: bench.choices().chalk });
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
