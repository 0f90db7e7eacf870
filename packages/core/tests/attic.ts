import type { Id, Value } from '../src';
import { House } from './house';

/** A height or length as it was read, m. */
export const read = (metres: number, instrument: Value['instrument'] = 'tape'): Value => ({
  value: metres * 1000,
  text: String(metres),
  unit: 'm',
  instrument,
  time: '2026-11-29T10:00:00Z',
});

/** A room of w × d mm, its bottom wall on the sheet the one that slopes rise from. */
export function attic(w = 5000, d = 4000): { house: House; room: Id; bottom: string; top: string } {
  const house = new House();
  const room = house.box(0, 0, w, d);
  return { house, room, bottom: house.face(room, 'bottom').key, top: house.face(room, 'top').key };
}

/** The same, 1.0 m high at that wall and rising 45° to a flat ceiling of 2.4 m. */
export function slopedAttic(): ReturnType<typeof attic> {
  const made = attic();
  const face = made.bottom;
  made.house.do({ kind: 'addSlope', floor: 'ground', face, heights: [{ up: 0, read: read(1) }], pitch: 45 });
  return made;
}
