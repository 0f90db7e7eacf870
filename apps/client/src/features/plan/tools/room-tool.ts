import { type Intent, type Point, snapPoint } from '@velvet-tape/core';
import type { Bench, Pointer, Tool } from './tool';

/** A drag shorter than this is a tap, px. */
const SLACK = 8;

/** Drags out a room from corner to corner. idle → pressed → dragging → idle */
export function roomTool(bench: Bench): Tool {
  let state: { kind: 'idle' } | { kind: 'pressed' | 'dragging'; from: Point; px: Point; seed: string } = {
    kind: 'idle',
  };

  const caught = (pointer: Pointer): Point => {
    const { x, y } = snapPoint(bench.floor(), pointer.at, pointer.free ? 0 : pointer.reach);
    return { x: Math.round(x), y: Math.round(y) };
  };
  const intent = (from: Point, to: Point): Intent => ({ kind: 'drawBox', floor: bench.floor().floor, a: from, b: to });

  return {
    get busy() {
      return state.kind !== 'idle';
    },
    down(pointer) {
      state = { kind: 'pressed', from: caught(pointer), px: pointer.px, seed: bench.seed() };
    },
    move(pointer) {
      if (state.kind === 'idle') return;
      if (state.kind === 'pressed' && Math.hypot(pointer.px.x - state.px.x, pointer.px.y - state.px.y) < SLACK) return;
      state = { ...state, kind: 'dragging' };
      bench.preview(intent(state.from, caught(pointer)), state.seed);
    },
    up(pointer) {
      if (state.kind === 'dragging') {
        const { made } = bench.commit(intent(state.from, caught(pointer)), state.seed);
        if (made) bench.drawn(made);
      }
      state = { kind: 'idle' };
    },
    cancel() {
      if (state.kind === 'dragging') bench.preview(null, state.seed);
      state = { kind: 'idle' };
    },
  };
}
