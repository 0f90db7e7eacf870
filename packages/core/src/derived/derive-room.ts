import { onceFor } from '../memory';
import { type Box, type Point, type Ring, boxesMeet, difference, intersection, ringsArea, ringsBox } from '../geometry';
import type { RoomCeiling } from '../ceilings';
import type { Plan, Room } from '../plan/plan';
import { type RoomOutline, labelPoint, surfaceContains } from '../rooms';
import type { DerivedRoom, WallFace } from './derive-floor';
import { roomMeasures } from './room-measures';

/** What a room was last worked out from, besides its outline. */
export interface RoomRestsOn {
  readonly plan: Plan;
  /** Openings of stairs in the floor. */
  readonly holes: readonly Ring[];
  /** Where stairs go up: names keep off them. */
  readonly beneath: readonly Ring[];
}

const rooms = new WeakMap<RoomOutline, RoomRestsOn & { derived: DerivedRoom }>();

const outlineBox = onceFor(({ rings }: RoomOutline): Box | null => ringsBox(rings));
const ringBox = onceFor((ring: Ring): Box | null => ringsBox([ring]));

/** Those of some rings that are near an outline: of the others it does not depend. */
export function ringsAt(outline: RoomOutline, rings: readonly Ring[]): readonly Ring[] {
  const own = rings.length > 0 ? outlineBox(outline) : null;
  if (!own) return [];
  return rings.filter((ring) => {
    const box = ringBox(ring);
    return box !== null && boxesMeet(box, own);
  });
}

const sameRings = (a: readonly Ring[], b: readonly Ring[]): boolean =>
  a.length === b.length && a.every((ring, i) => ring === b[i]);

const sameStairs = (a: RoomRestsOn, b: RoomRestsOn): boolean =>
  sameRings(a.holes, b.holes) && sameRings(a.beneath, b.beneath);

/** The room as it was last worked out, where nothing but readings could have changed it since; null where something did. */
export function roomAsBefore(
  on: RoomRestsOn,
  room: Room,
  outline: RoomOutline,
  ceiling: RoomCeiling,
): DerivedRoom | null {
  const last = rooms.get(outline);
  if (!last || !sameStairs(last, on)) return null;
  const same =
    last.plan.openings === on.plan.openings &&
    last.plan.types === on.plan.types &&
    last.plan.readings === on.plan.readings &&
    last.derived.room === room &&
    last.derived.ceiling === ceiling;
  return same ? last.derived : null;
}

export function derivedRoom(
  on: RoomRestsOn,
  room: Room,
  outline: RoomOutline,
  faces: readonly WallFace[],
  ceilingHeight: number,
  ceiling: RoomCeiling,
  labelled: Point | null,
): DerivedRoom {
  const known = rooms.get(outline);
  const last = known && sameStairs(known, on) ? known.derived : null;
  if (last?.room === room && last.ceiling === ceiling && last.faces.every((face, i) => face === faces[i])) return last;
  const standing = room.overVoid ? [] : lessRings(outline.rings, on.holes);
  const bare = lessRings(room.overVoid ? outline.rings : standing, on.beneath);
  const derived = {
    room,
    outline,
    faces,
    // while its walls are dragged the label stays, as long as it is in the room
    label: labelled && surfaceContains(outline.rings, labelled) ? labelled : labelOf(room, outline, bare, last),
    ceilingHeight,
    ceiling,
    standing,
    measures: {
      ...roomMeasures(outline, ceiling, faces),
      ...(standing !== outline.rings && { area: Math.max(0, ringsArea(standing)) }),
    },
    rough: faces.some((face) => face.provenance === 'rough'),
  };
  if (!labelled) rooms.set(outline, { ...on, derived });
  return derived;
}

/** Where it was put by hand, as long as that is in the room; else where there is most room for it. */
function labelOf(room: Room, outline: RoomOutline, bare: readonly Ring[], last: DerivedRoom | null): Point {
  if (room.label && surfaceContains(outline.rings, room.label)) return room.label;
  if (last && !last.room.label) return last.label;
  // what stands in it may leave no floor
  const free = bare.length > 0 ? bare : outline.rings;
  return free.length > 0 ? labelPoint(free) : room.at;
}

/** Rings less others; the very same where those do not reach into them. */
function lessRings(rings: readonly Ring[], taken: readonly Ring[]): readonly Ring[] {
  if (taken.length === 0 || rings.length === 0 || ringsArea(intersection(rings, taken)) < 1) return rings;
  return difference(rings, taken);
}
