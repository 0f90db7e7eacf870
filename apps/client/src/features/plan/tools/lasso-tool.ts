import { type DerivedFloor, type Point, distance, distanceToSegment, ringContains } from '@velvet-tape/core';
import { type Grip, gripAt, intentOfGrip, isStill } from './grips';
import { type Bench, type Tool, isTap } from './tool';

/** Rooms whose label lies in what was drawn round them. */
export const roomsWithin = (floor: DerivedFloor, ring: readonly Point[]): string[] =>
  floor.rooms.filter((room) => ringContains(ring, room.label)).map((room) => room.room.id);

/** A stroke is straight that is nowhere farther from the line between its ends than this share of it. */
const STRAIGHT = 0.2;

/** What a stroke goes round: a straight one is the diagonal of a rectangle. */
export function ringOf(stroke: readonly Point[]): readonly Point[] {
  const [a, b] = [stroke[0], stroke.at(-1)];
  if (!a || !b) return stroke;
  const far = STRAIGHT * distance(a, b);
  const straight = stroke.every((p) => distanceToSegment(a, b, p) <= far);
  return straight ? rectangle(a, b) : stroke;
}

/** The four corners of the rectangle between two points. */
export const rectangle = (a: Point, b: Point): Point[] => [a, { x: b.x, y: a.y }, b, { x: a.x, y: b.y }];

/**
 * Chooses several rooms by drawing a line round them, or straight across them, which is a rectangle; a tap adds one, or takes it off again. A drag that begins in a
 * chosen room moves all that are chosen. idle → pressed → drawing or moving → idle
 */
export function lassoTool(bench: Bench): Tool {
  let state:
    | { kind: 'idle' }
    | { kind: 'pressed' | 'drawing'; px: Point; stroke: Point[] }
    | { kind: 'moving'; from: Point; grip: Grip; seed: string } = { kind: 'idle' };

  const begin = ({ px, stroke }: { px: Point; stroke: Point[] }, reach: number): typeof state => {
    const from = stroke[0]!;
    const grip = gripAt(bench.floor(), bench.selection(), { kind: 'nothing' }, from, reach);
    return grip.kind === 'rooms' ? { kind: 'moving', from, grip, seed: bench.seed() } : { kind: 'drawing', px, stroke };
  };
  const intentTo = (grip: Grip, from: Point, at: Point) =>
    intentOfGrip(grip, bench.floor().floor, from, at, bench.choices());

  return {
    get busy() {
      return state.kind === 'drawing' || state.kind === 'moving';
    },
    down(pointer) {
      state = { kind: 'pressed', px: pointer.px, stroke: [pointer.at] };
    },
    move(pointer) {
      if (state.kind === 'pressed' && !isTap(state.px, pointer.px)) state = begin(state, pointer.reach);
      if (state.kind === 'moving') bench.preview(intentTo(state.grip, state.from, pointer.at), state.seed);
      if (state.kind !== 'drawing') return;
      state = { ...state, stroke: [...state.stroke, pointer.at] };
      bench.lasso(ringOf(state.stroke));
    },
    up(pointer) {
      if (state.kind === 'drawing') chooseAll(bench, roomsWithin(bench.floor(), ringOf(state.stroke)));
      else if (state.kind === 'pressed') toggle(bench, pointer.at);
      else if (state.kind === 'moving') {
        const intent = intentTo(state.grip, state.from, pointer.at);
        if (!intent || isStill(intent)) bench.preview(null, state.seed);
        else bench.commit(intent, state.seed);
      }
      bench.lasso([]);
      state = { kind: 'idle' };
    },
    cancel() {
      if (state.kind === 'moving') bench.preview(null, state.seed);
      bench.lasso([]);
      state = { kind: 'idle' };
    },
  };
}

export function chooseAll(bench: Bench, ids: readonly string[]): void {
  bench.select(ids.length > 0 ? { kind: 'rooms', ids } : { kind: 'nothing' });
}

function toggle(bench: Bench, p: Point): void {
  const room = bench.floor().rooms.find(({ outline }) => ringContains(outline.rings[0]!, p));
  if (!room) return;
  const selection = bench.selection();
  const chosen = selection.kind === 'rooms' ? selection.ids : [];
  const { id } = room.room;
  chooseAll(bench, chosen.includes(id) ? chosen.filter((other) => other !== id) : [...chosen, id]);
}
