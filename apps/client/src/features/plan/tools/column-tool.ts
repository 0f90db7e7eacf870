import type { Point } from '@velvet-tape/core';
import { type Bench, type Tool, isTap } from './tool';

/** Puts a column or pier down where it is tapped, and chooses it, so that its sizes can be typed. */
export function columnTool(bench: Bench): Tool {
  let pressed: Point | null = null;
  return {
    busy: false,
    down(pointer) {
      pressed = pointer.px;
    },
    move(pointer) {
      if (!pressed || isTap(pressed, pointer.px)) return;
      bench.pan(pointer.px.x - pressed.x, pointer.px.y - pressed.y);
      pressed = pointer.px;
    },
    up(pointer) {
      if (pressed && isTap(pressed, pointer.px)) {
        const { solid } = bench.choices();
        const at = { x: Math.round(pointer.at.x), y: Math.round(pointer.at.y) };
        const { made } = bench.commit({ kind: 'addSolid', floor: bench.floor().floor, ...solid, at }, bench.seed());
        if (made) bench.select({ kind: 'solid', id: made });
      }
      pressed = null;
    },
    cancel() {
      pressed = null;
    },
  };
}
