import { type Point, distance, turned } from '@velvet-tape/core';
import type { ShapeProposal } from '../sketching/shape';
import { caught } from './snapping';
import { type Bench, type Pointer, type Tool, isTap } from './tool';

/** What a shape measures when it is dropped, mm. */
const DROPPED = { width: 4800, depth: 3600 };

type Grip =
  | { readonly kind: 'corner'; readonly fixed: Point; readonly sx: number; readonly sy: number }
  | { readonly kind: 'whole'; readonly by: Point };

/** Drops a common outline, then stretches it by its corners or moves it as a whole. idle → pressed → dragging → idle */
export function shapeTool(bench: Bench): Tool {
  let state: { kind: 'idle' } | { kind: 'pressed' | 'dragging'; px: Point; grip: Grip | null } = { kind: 'idle' };
  const shape = (): ShapeProposal | null => {
    const proposal = bench.proposal();
    return proposal?.kind === 'shape' ? proposal : null;
  };

  const drag = (pointer: Pointer, grip: Grip, placed: ShapeProposal) => {
    if (grip.kind === 'whole') {
      // its near corner is what is caught
      const corner = boxCorners(placed)[0]!;
      const wanted = { x: pointer.at.x - grip.by.x, y: pointer.at.y - grip.by.y };
      const off = { x: corner.x - placed.at.x, y: corner.y - placed.at.y };
      const held = caught(bench, { ...pointer, at: { x: wanted.x + off.x, y: wanted.y + off.y } });
      bench.propose({ ...placed, at: { x: held.x - off.x, y: held.y - off.y } });
      return;
    }
    const at = caught(bench, pointer);
    const across = turned({ x: at.x - grip.fixed.x, y: at.y - grip.fixed.y }, (-placed.turn * Math.PI) / 180);
    const [width, depth] = [Math.max(600, across.x * grip.sx), Math.max(600, across.y * grip.sy)];
    const half = turned({ x: (grip.sx * width) / 2, y: (grip.sy * depth) / 2 }, (placed.turn * Math.PI) / 180);
    bench.propose({ ...placed, width, depth, at: { x: grip.fixed.x + half.x, y: grip.fixed.y + half.y } });
  };

  return {
    get busy() {
      return state.kind === 'dragging';
    },
    down(pointer) {
      const placed = shape();
      state = { kind: 'pressed', px: pointer.px, grip: placed ? gripAt(placed, pointer) : null };
    },
    move(pointer) {
      if (state.kind === 'idle' || (state.kind === 'pressed' && isTap(state.px, pointer.px))) return;
      state = { ...state, kind: 'dragging' };
      const placed = shape();
      if (placed && state.grip) drag(pointer, state.grip, placed);
    },
    up(pointer) {
      if (state.kind === 'pressed' && !shape())
        bench.propose({
          kind: 'shape',
          shape: bench.choices().shape,
          at: caught(bench, { ...pointer, free: true }),
          ...DROPPED,
          turn: 0,
          mirror: false,
        });
      bench.guide([]);
      state = { kind: 'idle' };
    },
    cancel() {
      bench.guide([]);
      state = { kind: 'idle' };
    },
  };
}

/** The corners of the box round a shape, from the top left clockwise before it was turned. */
export function boxCorners({ at, width, depth, turn }: ShapeProposal): Point[] {
  return [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([sx, sy]) => {
    const off = turned({ x: (sx! * width) / 2, y: (sy! * depth) / 2 }, (turn * Math.PI) / 180);
    return { x: at.x + off.x, y: at.y + off.y };
  });
}

function gripAt(placed: ShapeProposal, pointer: Pointer): Grip {
  const corners = boxCorners(placed);
  const near = corners.findIndex((corner) => distance(corner, pointer.at) <= 1.5 * pointer.reach);
  if (near < 0) return { kind: 'whole', by: { x: pointer.at.x - placed.at.x, y: pointer.at.y - placed.at.y } };
  const sx = near === 0 || near === 3 ? -1 : 1;
  return { kind: 'corner', fixed: corners[(near + 2) % 4]!, sx, sy: near < 2 ? -1 : 1 };
}
