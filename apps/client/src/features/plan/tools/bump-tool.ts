import { type Point, type WallFace, alongOf, faceAt, faceByKey, offOf, pointAt } from '@velvet-tape/core';
import type { BumpProposal } from '../sketching/bump';
import { type Bench, type Pointer, type Tool, isTap } from './tool';

const WIDTH = 1200;
const STEP = 10;
const inSteps = (mm: number) => Math.round(mm / STEP) * STEP;

/** Presses on a wall and pushes a part of it out or in; dragged again, it is moved along and made deeper. idle → pressed → pushing → idle */
export function bumpTool(bench: Bench): Tool {
  let state: { kind: 'idle' } | { kind: 'pressed' | 'pushing'; px: Point; face: WallFace; grab: number } = {
    kind: 'idle',
  };
  const bump = (): BumpProposal | null => {
    const proposal = bench.proposal();
    return proposal?.kind === 'bump' ? proposal : null;
  };

  const begin = (pointer: Pointer): { face: WallFace; grab: number } | null => {
    const last = bump();
    const own = last && faceByKey(bench.floor(), last.face);
    if (last && own) return { face: own, grab: alongOf(own.course, pointer.at) - last.from };
    const face = faceAt(bench.floor(), pointer.at, pointer.reach);
    return face && { face, grab: Math.min(WIDTH, face.length) / 2 };
  };
  const push = (pointer: Pointer, face: WallFace, grab: number) => {
    const last = bump();
    const width = last?.width ?? Math.min(WIDTH, face.length);
    const from = inSteps(
      Math.min(Math.max(0, alongOf(face.course, pointer.at) - grab), Math.max(0, face.length - width)),
    );
    const { bump: shape } = bench.choices();
    const out = -offOf(face.course, pointer.at);
    const depth = inSteps(shape === 'breast' ? -Math.abs(out) : out);
    bench.propose({
      kind: 'bump',
      face: face.key,
      length: face.length,
      shape,
      from,
      width,
      depth,
      splay: last?.splay ?? 300,
    });
  };

  return {
    get busy() {
      return state.kind === 'pushing';
    },
    down(pointer) {
      const grip = begin(pointer);
      state = grip ? { kind: 'pressed', px: pointer.px, ...grip } : { kind: 'idle' };
    },
    move(pointer) {
      if (state.kind === 'idle' || (state.kind === 'pressed' && isTap(state.px, pointer.px))) return;
      state = { ...state, kind: 'pushing' };
      push(pointer, state.face, state.grab);
    },
    up(pointer) {
      // a tap is enough: the sizes can be typed
      if (state.kind === 'pressed' && !bump())
        push(
          {
            ...pointer,
            at: pointAt(
              state.face.course,
              alongOf(state.face.course, pointer.at),
              bench.choices().bump === 'breast' ? 350 : -300,
            ),
          },
          state.face,
          state.grab,
        );
      state = { kind: 'idle' };
    },
    cancel() {
      if (state.kind === 'pushing') bench.propose(null);
      state = { kind: 'idle' };
    },
  };
}
