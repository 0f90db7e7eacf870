import { type Intent, type OpeningOnFace, type Point, type WallFace, faceByKey } from '@velvet-tape/core';
import { type Bench, type Pointer, type Tool, isTap } from './tool';

/** Openings go along the strip in steps of this, mm. */
const STEP = 10;

/**
 * Works on the chosen wall unrolled: a point of it is (mm from its left end as seen from the room, 0). A tap chooses an
 * opening, beside them the wall; a drag moves the opening. idle → pressed → dragging → idle
 */
export function stripTool(bench: Bench): Tool {
  let held: {
    readonly on: OpeningOnFace;
    readonly face: WallFace;
    readonly from: Pointer;
    readonly seed: string;
  } | null = null;
  let dragging = false;

  const moved = (to: Point): Intent => {
    const { on, face, from } = held!;
    const wanted = Math.round((on.from + to.x - from.at.x) / STEP) * STEP;
    const offset = Math.max(0, Math.min(wanted, face.length - (on.to - on.from)));
    const place = { face: face.key, end: 'left', offset } as const;
    return { kind: 'changeOpening', floor: bench.floor().floor, opening: on.opening.id, place };
  };
  const rest = () => {
    held = null;
    dragging = false;
  };

  return {
    get busy() {
      return dragging;
    },
    down(pointer) {
      const chosen = bench.selection();
      const face = chosen.kind === 'wall' || chosen.kind === 'opening' ? faceByKey(bench.floor(), chosen.face) : null;
      if (!face) return;
      const { at, reach } = pointer;
      const on = face.openings.find(({ from, to }) => at.x >= from - reach && at.x <= to + reach);
      if (on) held = { on, face, from: pointer, seed: bench.seed() };
      if (!on) bench.select({ kind: 'wall', face: face.key });
      else if (chosen.kind !== 'opening' || chosen.id !== on.opening.id)
        bench.select({ kind: 'opening', id: on.opening.id, face: face.key });
    },
    move(pointer) {
      if (!held || (!dragging && isTap(held.from.px, pointer.px))) return;
      dragging = true;
      bench.preview(moved(pointer.at), held.seed);
    },
    up(pointer) {
      if (held && dragging) bench.commit(moved(pointer.at), held.seed);
      rest();
    },
    cancel() {
      if (held && dragging) bench.preview(null, held.seed);
      rest();
    },
  };
}
