import type { Point } from '@velvet-tape/core';
import { caught } from './snapping';
import { type Bench, type Pointer, type Tool, isTap } from './tool';

/** What a room is taken for that was only tapped, until its sizes are typed, mm. */
const GUESS = 3000;

/**
 * Drags out a room from corner to corner. Sizes typed on the way hold. A tap sets the first corner and leaves the
 * rest to the number pad. idle → pressed → dragging → idle
 */
export function boxTool(bench: Bench): Tool {
  let state: { kind: 'idle' } | { kind: 'pressed' | 'dragging'; from: Point; px: Point } = { kind: 'idle' };

  const stretch = (from: Point, to: Point) => {
    const last = bench.proposal();
    const width = last?.kind === 'box' ? last.width : null;
    const depth = last?.kind === 'box' ? last.depth : null;
    const along = (a: number, b: number, typed: number | undefined) =>
      typed === undefined ? b : a + (b < a ? -typed : typed);
    const b = { x: along(from.x, to.x, width?.value), y: along(from.y, to.y, depth?.value) };
    bench.propose({ kind: 'box', a: from, b, width, depth });
  };
  const at = (pointer: Pointer): Point => {
    const { x, y } = caught(bench, pointer);
    return { x: Math.round(x), y: Math.round(y) };
  };

  return {
    get busy() {
      return state.kind !== 'idle';
    },
    down(pointer) {
      bench.propose(null);
      state = { kind: 'pressed', from: at(pointer), px: pointer.px };
    },
    move(pointer) {
      if (state.kind === 'idle' || (state.kind === 'pressed' && isTap(state.px, pointer.px))) return;
      state = { ...state, kind: 'dragging' };
      stretch(state.from, at(pointer));
    },
    up(pointer) {
      if (state.kind === 'dragging') {
        stretch(state.from, at(pointer));
        bench.keep();
      } else if (state.kind === 'pressed') {
        const { from } = state;
        bench.propose({ kind: 'box', a: from, b: { x: from.x + GUESS, y: from.y + GUESS }, width: null, depth: null });
      }
      bench.guide([]);
      state = { kind: 'idle' };
    },
    hover(pointer) {
      if (!bench.proposal()) at(pointer);
    },
    cancel() {
      if (state.kind !== 'idle') bench.propose(null);
      bench.guide([]);
      state = { kind: 'idle' };
    },
  };
}
