import { type Intent, type Point, cornersOfStroke, distance } from '@velvet-tape/core';
import { type Bench, type Pointer, type Tool, isTap } from './tool';

/** Points of the stroke are this far apart on the screen, as a share of a finger's reach. */
const APART = 0.15;
/** How far a stroke may stray from the way that is meant, as a share of a finger's reach, and mm at most and at least. */
const STRAY = { share: 0.8, least: 180, most: 420 };

/** Stairs in one stroke, the way one walks up them; a tap puts them down along the nearest wall. They are shown as they will be. idle → pressed → drawing → idle */
export function stairsTool(bench: Bench): Tool {
  let state: { kind: 'idle' } | { kind: 'pressed' | 'drawing'; px: Point; stroke: Point[]; seed: string } = {
    kind: 'idle',
  };

  const intentOf = (stroke: readonly Point[], reach: number): Intent => {
    const stray = Math.min(STRAY.most, Math.max(STRAY.least, STRAY.share * reach));
    return {
      kind: 'addStairs',
      floor: bench.floor().floor,
      path: cornersOfStroke(stroke, stray),
      ...bench.choices().stairs,
    };
  };

  const drop = () => {
    if (state.kind !== 'idle') bench.preview(null, state.seed);
    state = { kind: 'idle' };
  };

  return {
    get busy() {
      return state.kind === 'drawing';
    },
    down(pointer: Pointer) {
      state = { kind: 'pressed', px: pointer.px, stroke: [pointer.at], seed: bench.seed() };
    },
    move(pointer) {
      if (state.kind === 'idle' || (state.kind === 'pressed' && isTap(state.px, pointer.px))) return;
      const { stroke } = state;
      if (distance(stroke.at(-1)!, pointer.at) < pointer.reach * APART) return;
      state = { ...state, kind: 'drawing', stroke: [...stroke, pointer.at] };
      bench.preview(intentOf(state.stroke, pointer.reach), state.seed);
    },
    up(pointer) {
      if (state.kind === 'idle') return;
      const { stroke, seed } = state;
      const intent = intentOf(stroke, pointer.reach);
      drop();
      const { made } = bench.commit(intent, seed);
      if (!made) return;
      // the next drag moves them
      bench.handOver('choose');
      bench.select({ kind: 'stairs', id: made });
    },
    cancel: drop,
  };
}
