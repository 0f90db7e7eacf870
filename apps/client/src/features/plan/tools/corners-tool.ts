import { type Point, distance, distanceToCourse } from '@velvet-tape/core';
import { type PathProposal, headingOf, newPath, withCorner } from '../sketching/path';
import { caught } from './snapping';
import { type Bench, type Pointer, type Tool, isTap } from './tool';

/**
 * Corner after corner. A leg is drawn by dragging to its end, or by tapping there; the mouse shows it on the way. It is
 * finished on its first corner, or on a wall that is there. What is drawn stays a proposal until then.
 * idle → pressed → aiming → idle
 */
export function cornersTool(bench: Bench): Tool {
  let state: { kind: 'idle' } | { kind: 'pressed' | 'aiming'; px: Point; pressed: Pointer } = { kind: 'idle' };

  const path = (): PathProposal => {
    const proposal = bench.proposal();
    return proposal?.kind === 'path' ? proposal : newPath(bench.choices().chalk);
  };
  const aim = (pointer: Pointer): Point => {
    const drawn = path();
    const [first, last] = [drawn.points[0], drawn.points.at(-1)];
    if (first && drawn.points.length > 2 && distance(first, pointer.at) <= pointer.reach) {
      bench.guide([{ word: 'corner', from: first, to: first }]);
      return first;
    }
    return caught(bench, pointer, last ? { from: last, heading: headingOf(drawn) } : {});
  };
  const place = (at: Point) => {
    const drawn = path();
    const closing = drawn.points.length > 2 && distance(drawn.points[0]!, at) < 1;
    if (!closing && drawn.points.length > 0 && distance(drawn.points.at(-1)!, at) < 50) return;
    bench.propose(withCorner(drawn, at));
    if (closing || (drawn.points.length > 0 && onWall(at))) bench.keep();
  };
  const onWall = (p: Point): boolean => {
    const { network } = bench.floor();
    return network.walls.some((wall) => distanceToCourse(network.half(wall.id, true).course, p) < 1);
  };

  return {
    get busy() {
      return state.kind === 'aiming';
    },
    down(pointer) {
      state = { kind: 'pressed', px: pointer.px, pressed: pointer };
      if (path().points.length === 0) aim(pointer);
    },
    move(pointer) {
      if (state.kind === 'idle' || (state.kind === 'pressed' && isTap(state.px, pointer.px))) return;
      // a drag from where nothing is drawn yet draws the first leg
      if (state.kind === 'pressed' && path().points.length === 0) place(aim(state.pressed));
      state = { ...state, kind: 'aiming' };
      bench.propose({ ...path(), towards: aim(pointer) });
    },
    up(pointer) {
      if (state.kind !== 'idle') place(aim(pointer));
      bench.guide([]);
      state = { kind: 'idle' };
    },
    hover(pointer) {
      const at = aim(pointer);
      if (path().points.length > 0) bench.propose({ ...path(), towards: at });
    },
    cancel() {
      if (state.kind === 'aiming' && bench.proposal()) bench.propose({ ...path(), towards: null });
      bench.guide([]);
      state = { kind: 'idle' };
    },
  };
}
