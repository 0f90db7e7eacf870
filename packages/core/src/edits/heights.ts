import { edit } from './edit';
import type { Point } from '../geometry';
import type { Draft } from '../plan/draft';
import { Refusal } from '../plan/draft';
import type { HeightReading, Value, Id } from '../plan/plan';
import { surfaceAt, surfacesOf, networkOfFloor } from '../rooms';
import { measuredAgain } from './readings';
import { requirePositive } from './require';
import { requireRoom } from './rooms';

export interface SetCeilingHeight {
  readonly kind: 'setCeilingHeight';
  readonly room: Id;
  readonly height: number;
  readonly scope: 'room' | 'all';
  /** It was measured in this room: a reading is kept of it. */
  readonly read?: Value;
}

/** The ceiling of a room, or of all rooms of its floor; where it was measured it is a reading of that room. */
export function setCeilingHeight(draft: Draft, intent: SetCeilingHeight): void {
  requirePositive(intent.height, 'A ceiling height');
  const room = requireRoom(draft, intent.room);
  const measured = new Set(
    Object.values(draft.heights).flatMap(({ room: read, at }) => (at === null && read !== room.id ? [read] : [])),
  );
  for (const each of draft.on('rooms', room.floor)) {
    // what was measured in another room stays true there
    if (each.id === room.id || (intent.scope === 'all' && !measured.has(each.id)))
      draft.put('rooms', { ...each, ceilingHeight: intent.height });
  }
  const before = Object.values(draft.heights).find((each) => each.room === room.id && each.at === null);
  if (intent.read) put(draft, before, { floor: room.floor, room: room.id, at: null, slope: null }, intent.read);
}

/** Nearer than this it is the same point measured again, mm. */
const SAME_POINT = 100;

/** The height under a slope over a point of a room's floor. */
export interface ReadHeight {
  readonly kind: 'readHeight';
  readonly room: Id;
  readonly at: Point;
  readonly read: Value;
}

export function readHeight(draft: Draft, { room: id, at, read }: ReadHeight): void {
  requirePositive(read.value, 'A height');
  const room = requireRoom(draft, id);
  const floors = surfacesOf(networkOfFloor(draft, room.floor));
  const home = surfaceAt(floors, at);
  if (!home || home !== surfaceAt(floors, room.at)) throw new Refusal('A height is read inside a room. Tap its floor.');
  const before = Object.values(draft.heights).find(
    (each) =>
      each.room === id && each.slope === null && each.at && Math.hypot(each.at.x - at.x, each.at.y - at.y) < SAME_POINT,
  );
  put(draft, before, { floor: room.floor, room: id, at: before?.at ?? { x: at.x, y: at.y }, slope: null }, read);
}

function put(
  draft: Draft,
  before: HeightReading | undefined,
  where: Pick<HeightReading, 'floor' | 'room' | 'at' | 'slope'>,
  read: Value,
): void {
  draft.put('heights', { id: before?.id ?? draft.newId(), ...where, ...measuredAgain(before, read) });
}

export const heightsEdits = {
  setCeilingHeight: edit<SetCeilingHeight>('ceiling height', setCeilingHeight),
  readHeight: edit<ReadHeight>('height', readHeight),
};
