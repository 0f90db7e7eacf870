import { type DerivedFloor, type Point, ringContains } from '@velvet-tape/core';
import { type Bench, type Tool, isTap } from './tool';

/** Rooms whose label lies in what was drawn round them. */
export const roomsWithin = (floor: DerivedFloor, ring: readonly Point[]): string[] =>
  floor.rooms.filter((room) => ringContains(ring, room.label)).map((room) => room.room.id);

/** The four corners of the rectangle between two points. */
export const rectangle = (a: Point, b: Point): Point[] => [a, { x: b.x, y: a.y }, b, { x: a.x, y: b.y }];

/** Chooses several rooms by drawing a line round them; a tap adds one, or takes it off again. idle → pressed → drawing → idle */
export function lassoTool(bench: Bench): Tool {
  let state: { kind: 'idle' } | { kind: 'pressed' | 'drawing'; px: Point; stroke: Point[] } = { kind: 'idle' };

  return {
    get busy() {
      return state.kind === 'drawing';
    },
    down(pointer) {
      state = { kind: 'pressed', px: pointer.px, stroke: [pointer.at] };
    },
    move(pointer) {
      if (state.kind === 'idle' || (state.kind === 'pressed' && isTap(state.px, pointer.px))) return;
      state = { kind: 'drawing', px: state.px, stroke: [...state.stroke, pointer.at] };
      bench.trace(state.stroke);
    },
    up(pointer) {
      if (state.kind === 'drawing') chooseAll(bench, roomsWithin(bench.floor(), state.stroke));
      else if (state.kind === 'pressed') toggle(bench, pointer.at);
      bench.trace([]);
      state = { kind: 'idle' };
    },
    cancel() {
      bench.trace([]);
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
