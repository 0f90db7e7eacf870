import { type Point, distance } from '@velvet-tape/core';
import { type Bench, type Tool, isTap } from './tool';

/** Points of the stroke are this far apart on the screen, as a share of a finger's reach. */
const APART = 0.15;

/** A room in one stroke of the finger. It is straightened when the finger is lifted. idle → pressed → drawing → idle */
export function loopTool(bench: Bench): Tool {
  let state: { kind: 'idle' } | { kind: 'pressed' | 'drawing'; px: Point; stroke: Point[] } = { kind: 'idle' };

  return {
    get busy() {
      return state.kind === 'drawing';
    },
    down(pointer) {
      bench.propose(null);
      state = { kind: 'pressed', px: pointer.px, stroke: [pointer.at] };
    },
    move(pointer) {
      if (state.kind === 'idle' || (state.kind === 'pressed' && isTap(state.px, pointer.px))) return;
      const { stroke } = state;
      if (distance(stroke.at(-1)!, pointer.at) < pointer.reach * APART) return;
      state = { kind: 'drawing', px: state.px, stroke: [...stroke, pointer.at] };
      bench.propose({
        kind: 'loop',
        stroke: state.stroke,
        straightness: 'straight',
        drawing: true,
        reach: pointer.reach,
      });
    },
    up(pointer) {
      const last = bench.proposal();
      if (state.kind === 'drawing' && last?.kind === 'loop')
        bench.propose({ ...last, drawing: false, reach: pointer.free ? 0 : pointer.reach });
      state = { kind: 'idle' };
    },
    cancel() {
      if (state.kind === 'drawing') bench.propose(null);
      state = { kind: 'idle' };
    },
  };
}
