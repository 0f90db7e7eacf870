import type { Point } from '@velvet-tape/core';
import { type Bench, type Pointer, type Tool, isTap } from './tool';

/** Nearer to level or upright than this a section is level or upright, as a share of its length. */
const STRAIGHT = 0.12;

/** A section where the finger draws it. idle → pressed → drawing → idle */
export function sectionTool(bench: Bench): Tool {
  let state: { kind: 'idle' } | { kind: 'pressed' | 'drawing'; px: Point; from: Point } = { kind: 'idle' };
  const show = (pointer: Pointer, from: Point) => {
    const to = pointer.free ? pointer.at : straightened(from, pointer.at);
    bench.propose({ kind: 'section', a: from, b: to });
  };
  return {
    get busy() {
      return state.kind === 'drawing';
    },
    down(pointer) {
      state = { kind: 'pressed', px: pointer.px, from: pointer.at };
    },
    move(pointer) {
      if (state.kind === 'idle' || (state.kind === 'pressed' && isTap(state.px, pointer.px))) return;
      state = { ...state, kind: 'drawing' };
      show(pointer, state.from);
    },
    up(pointer) {
      if (state.kind === 'drawing') show(pointer, state.from);
      else if (state.kind === 'pressed') bench.propose(null);
      state = { kind: 'idle' };
    },
    cancel() {
      if (state.kind === 'drawing') bench.propose(null);
      state = { kind: 'idle' };
    },
  };
}

function straightened(a: Point, b: Point): Point {
  const [dx, dy] = [Math.abs(b.x - a.x), Math.abs(b.y - a.y)];
  if (dy < STRAIGHT * dx) return { x: b.x, y: a.y };
  return dx < STRAIGHT * dy ? { x: a.x, y: b.y } : b;
}
