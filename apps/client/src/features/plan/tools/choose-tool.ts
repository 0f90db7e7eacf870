import { type Hit, type Intent, type Point, type WallFace, dot, hitAt, rightOf, subtract } from '@velvet-tape/core';
import type { Bench, Pointer, Tool } from './tool';

/** A drag shorter than this is a tap, px. */
const SLACK = 8;
/** Dragged walls and openings go in steps of a centimetre, mm. */
const STEP = 10;
const inSteps = (mm: number) => Math.round(mm / STEP) * STEP;

type Grip =
  | { readonly kind: 'sheet' }
  | { readonly kind: 'wall'; readonly face: WallFace }
  | {
      readonly kind: 'opening';
      readonly face: WallFace;
      readonly id: string;
      readonly width: number;
      readonly offset: number;
    };

/**
 * Taps choose what is under the finger. A drag moves what was already chosen (a wall, an opening), else the sheet.
 * idle → pressed → dragging → idle
 */
export function chooseTool(bench: Bench): Tool {
  let state:
    | { kind: 'idle' }
    | { kind: 'pressed'; from: Point; px: Point; hit: Hit }
    | { kind: 'dragging'; from: Point; px: Point; grip: Grip; seed: string } = { kind: 'idle' };

  const gripOf = (hit: Hit, from: Point): Grip => {
    const selection = bench.selection();
    if (hit.kind === 'wall' && selection.kind === 'wall' && sameWall(hit.face, selection.face)) {
      return { kind: 'wall', face: faceOf(bench, selection.face) ?? hit.face };
    }
    if (hit.kind === 'opening' && selection.kind === 'opening' && selection.id === hit.on.opening.id) {
      const face = faceOf(bench, selection.face) ?? hit.face;
      const on = face.openings.find((o) => o.opening.id === selection.id) ?? hit.on;
      return {
        kind: 'opening',
        face,
        id: selection.id,
        width: on.to - on.from,
        offset: dot(subtract(from, face.a), face.d) - on.from,
      };
    }
    return { kind: 'sheet' };
  };

  const intentFor = (grip: Grip, from: Point, at: Point): Intent | null => {
    const floor = bench.floor().floor;
    if (grip.kind === 'wall') {
      const by = inSteps(dot(subtract(at, from), rightOf(grip.face.d)));
      return { kind: 'moveWall', floor, face: grip.face.key, by };
    }
    if (grip.kind === 'opening') {
      const along = dot(subtract(at, grip.face.a), grip.face.d) - grip.offset;
      const most = grip.face.length - grip.width;
      const offset = inSteps(Math.min(Math.max(0, along), Math.max(0, most)));
      return {
        kind: 'changeOpening',
        floor,
        opening: grip.id,
        place: { face: grip.face.key, end: 'left', offset: Math.min(offset, most) },
      };
    }
    return null;
  };

  return {
    get busy() {
      return state.kind === 'dragging';
    },
    down(pointer) {
      state = {
        kind: 'pressed',
        from: pointer.at,
        px: pointer.px,
        hit: hitAt(bench.floor(), pointer.at, pointer.reach),
      };
    },
    move(pointer) {
      if (state.kind === 'idle') return;
      if (state.kind === 'pressed') {
        if (Math.hypot(pointer.px.x - state.px.x, pointer.px.y - state.px.y) < SLACK) return;
        state = {
          kind: 'dragging',
          from: state.from,
          px: state.px,
          grip: gripOf(state.hit, state.from),
          seed: bench.seed(),
        };
      }
      if (state.grip.kind === 'sheet') {
        bench.pan(pointer.px.x - state.px.x, pointer.px.y - state.px.y);
        state = { ...state, px: pointer.px };
        return;
      }
      const intent = intentFor(state.grip, state.from, pointer.at);
      if (intent) bench.preview(intent, state.seed);
    },
    up(pointer) {
      if (state.kind === 'pressed') bench.select(selectionOf(state.hit));
      else if (state.kind === 'dragging') drop(pointer);
      state = { kind: 'idle' };
    },
    cancel() {
      if (state.kind === 'dragging') bench.preview(null, state.seed);
      state = { kind: 'idle' };
    },
  };

  function drop(pointer: Pointer): void {
    if (state.kind !== 'dragging' || state.grip.kind === 'sheet') return;
    const intent = intentFor(state.grip, state.from, pointer.at);
    if (!intent || (intent.kind === 'moveWall' && intent.by === 0)) bench.preview(null, state.seed);
    else bench.commit(intent, state.seed);
  }
}

function faceOf(bench: Bench, key: string): WallFace | undefined {
  return bench
    .floor()
    .rooms.flatMap((room) => room.faces)
    .find((face) => face.key === key);
}

/** The same run of wall, perhaps seen from the other side. */
const sameWall = (face: WallFace, key: string): boolean => face.key === key || `${face.to}>${face.from}` === key;

function selectionOf(hit: Hit) {
  switch (hit.kind) {
    case 'opening':
      return { kind: 'opening', id: hit.on.opening.id, face: hit.face.key } as const;
    case 'wall':
      return { kind: 'wall', face: hit.face.key } as const;
    case 'room':
      return { kind: 'room', id: hit.room.room.id } as const;
    default:
      return { kind: 'nothing' } as const;
  }
}
