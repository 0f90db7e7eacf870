import { edit } from '../edit';
import {
  type Frame,
  SAME_PLACE,
  type SlopeOnFloor,
  frameOf,
  higherHeight,
  inFrame,
  offLine,
  pitchOf,
} from '../../ceilings';
import { type DerivedFloor, type WallFace, deriveFloor } from '../../derived';
import { type Point, alongOf, pointAt } from '../../geometry';
import { type Draft, Refusal } from '../../plan/draft';
import { dropWithAll } from '../../plan/footing';
import {
  type HeightReading,
  type Id,
  PITCHES,
  type Room,
  type Slope,
  type Value,
  type WallStand,
} from '../../plan/plan';
import { networkOfFloor, surfaceAt, surfacesOf } from '../../rooms';
import { decimals, formatLength } from '../../units';
import { measuredAgain } from '../readings';
import { requireFace, requireOne, requirePositive } from '../require';
import { requireHeadroom } from '../require-headroom';
import { requireRoom } from '../rooms';
import { standOn } from '../solids';

/** How far from a wall one reads a second height of the slope over it, mm (common practice, no source). */
const USUAL_OUT = 1000;

/** A height read on a slope, so many mm away from its foot. */
export interface HeightUp {
  readonly up: number;
  readonly read: Value;
}

export interface AddSlope {
  readonly kind: 'addSlope';
  readonly floor: Id;
  /** The face its foot is on. */
  readonly face: string;
  /** Every room of the floor that has no slopes of its own; else only the room of the face. */
  readonly everywhere?: boolean;
  readonly heights?: readonly HeightUp[];
  /** Degrees. */
  readonly pitch?: number | null;
}

/** A ceiling that rises from a wall. */
function addSlope(draft: Draft, { floor, face: key, everywhere = false, heights = [], pitch = null }: AddSlope): Id {
  const face = requireFace(draft, floor, key);
  const room = requireRoomOf(draft, face);
  const of = everywhere ? null : room.id;
  const id = putSlope(draft, face, { room: of, roof: of, pitch, out: heights.at(-1)?.up });
  for (const { up, read } of heights) putHeight(draft, draft.slopes[id]!, room.id, { x: 0, y: up }, read);
  requireHeadroom(draft, floor);
  return id;
}

/** Puts a slope on a face; without a roof of its own it makes one. */
export function putSlope(
  draft: Draft,
  face: WallFace,
  { room, roof, pitch, out }: { room: Id | null; roof: Id | null; pitch: number | null; out?: number | undefined },
): Id {
  if (face.bulge !== 0) throw new Refusal('A slope rises from a straight wall; this one is curved.');
  if (pitch !== null) requirePitch(pitch);
  const { floor } = face.halves[0]!.wall;
  const id = draft.newId();
  const stand: WallStand = standOn(draft, face, face.length / 2, 0);
  draft.put('slopes', {
    id,
    floor,
    room,
    roof: roof ?? id,
    stand,
    pitch,
    level: true,
    out: out || USUAL_OUT,
    note: '',
  });
  return id;
}

export function requireRoomOf(draft: Draft, face: WallFace): Room {
  if (face.room === null) throw new Refusal('A ceiling slopes over a room: take a wall of one.');
  return requireRoom(draft, face.room);
}

export function requirePitch(pitch: number): void {
  const { least, most } = PITCHES;
  if (!(pitch >= least && pitch <= most))
    throw new Refusal(
      `A ceiling slopes between ${least}° and ${most}°: at 0° it is flat, at 90° it is a wall. This would be ${decimals(pitch, 1)}°.`,
    );
}

/** A height read on a slope: of its place along its foot (x) and away from it (y), mm; read again near one before it takes its place. */
export function putHeight(draft: Draft, slope: Slope, room: Id, at: Point, read: Value): Id {
  requirePositive(read.value, 'A height');
  const before = draft
    .on('heights', slope.floor)
    .find((each) => each.slope === slope.id && Math.hypot(each.at!.x - at.x, each.at!.y - at.y) < SAME_PLACE);
  const id = before?.id ?? draft.newId();
  const place = before?.at ?? { x: at.x, y: at.y };
  draft.put('heights', { id, floor: slope.floor, room, at: place, slope: slope.id, ...measuredAgain(before, read) });
  return id;
}

/** A height read on a slope: so far up from its foot, or at a point of the sheet. */
export interface ReadSlope {
  readonly kind: 'readSlope';
  readonly slope: Id;
  readonly at: { readonly up: number } | { readonly point: Point };
  readonly read: Value;
  /** The height that is read again, wherever it was read. */
  readonly again?: Id;
}

function readSlope(draft: Draft, { slope: id, at, read, again }: ReadSlope): Id {
  const slope = requireSlope(draft, id);
  const frame = requireFrame(draft, slope);
  const before = again === undefined ? undefined : draft.heights[again];
  const place = before?.at ?? ('up' in at ? { x: 0, y: at.up } : inFrame(frame, at.point));
  const room = before?.room ?? roomUnder(draft, slope, frame, place);
  const made = putHeight(draft, slope, room, place, read);
  requireRising(draft, id);
  requireHeadroom(draft, slope.floor);
  return made;
}

/** The room a place of a slope is over; where that is in none, the one the slope rises in. */
function roomUnder(draft: Draft, slope: Slope, frame: Frame, { x, y }: Point): Id {
  if (slope.room !== null) return slope.room;
  const surfaces = surfacesOf(networkOfFloor(draft, slope.floor));
  const rooms = draft.on('rooms', slope.floor);
  const at = (out: number) => {
    const p = {
      x: frame.at.x + frame.along.x * x + frame.out.x * out,
      y: frame.at.y + frame.along.y * x + frame.out.y * out,
    };
    const home = surfaceAt(surfaces, p);
    return home && rooms.find((room) => surfaceAt(surfaces, room.at) === home);
  };
  const found = at(y) ?? at(INSIDE) ?? rooms[0];
  if (!found) throw new Refusal('A height is read inside a room.');
  return found.id;
}

/** This far from its foot one is in the room, mm. */
const INSIDE = 50;

/** A plane through heights that were read over points of a room's floor. */
export interface SlopeThrough {
  readonly kind: 'slopeThrough';
  readonly room: Id;
  readonly heights: readonly Id[];
}

function slopeThrough(draft: Draft, { room: id, heights }: SlopeThrough): Id {
  const room = requireRoom(draft, id);
  const read = heights.flatMap((each) => {
    const height = draft.heights[each];
    return height?.at && height.slope === null && height.room === id ? [height] : [];
  });
  if (read.length < 3) throw new Refusal('A slope takes three heights at least, read over three points of the floor.');
  if (offLine(read) < SAME_PLACE)
    throw new Refusal('These heights lie in one line: a slope could tilt about it. Read one more, off that line.');
  const lowest = read.reduce((a, b) => (b.value < a.value ? b : a));
  const { x, y } = lowest.at!;
  const slope = draft.newId();
  const turn = turnOf(read);
  draft.put('slopes', {
    ...{ id: slope, floor: room.floor, room: id, roof: id, pitch: null, level: false, out: USUAL_OUT, note: '' },
    stand: { kind: 'free', x, y, turn },
  });
  const frame = requireFrame(draft, draft.slopes[slope]!);
  for (const height of read) draft.put('heights', { ...height, slope, at: inFrame(frame, height.at!) });
  if (!slopeNow(draft, slope)?.plane)
    throw new Refusal('These heights make no plane. Read one more, away from the others.');
  requireHeadroom(draft, room.floor);
  return slope;
}

/** Which way heights rise, as degrees of the line of the foot: from the lowest to the highest of them. */
function turnOf(heights: readonly HeightReading[]): number {
  const [low, high] = [(a: number, b: number) => a < b, (a: number, b: number) => a > b].map((first) =>
    heights.reduce((one, other) => (first(other.value, one.value) ? other : one)),
  );
  const way = Math.atan2(high!.at!.y - low!.at!.y, high!.at!.x - low!.at!.x);
  return (way * 180) / Math.PI - 90;
}

export interface ChangeSlope {
  readonly kind: 'changeSlope';
  readonly slope: Id;
  /** Degrees; null: it follows from the heights. */
  readonly pitch?: number | null;
  readonly level?: boolean;
  /** The higher height is read so far from the foot, mm: one that was read goes there. */
  readonly out?: number;
  /** Over every room of its floor that has no slopes of its own, or over one. */
  readonly everywhere?: boolean;
  /** The face its foot goes to. */
  readonly face?: string;
}

function changeSlope(draft: Draft, { slope: id, pitch, level, out, everywhere, face: key }: ChangeSlope): void {
  const slope = requireSlope(draft, id);
  if (typeof pitch === 'number') requirePitch(pitch);
  const face = key === undefined ? null : requireFace(draft, slope.floor, key);
  if (face && face.bulge !== 0) throw new Refusal('A slope rises from a straight wall; this one is curved.');
  const room = everywhere === undefined ? slope.room : everywhere ? null : roomOfSlope(draft, slope);
  draft.put('slopes', {
    ...slope,
    ...(pitch !== undefined && { pitch }),
    ...(level !== undefined && { level }),
    ...(out !== undefined && { out: requireOut(out) }),
    ...(face && { stand: standOn(draft, face, face.length / 2, 0) }),
    room,
    roof: room === slope.room ? slope.roof : (room ?? slope.id),
  });
  const read = out === undefined ? undefined : higherHeight(draft, slope);
  if (read && out !== undefined) draft.put('heights', { ...read, at: { x: read.at!.x, y: out } });
  requireRising(draft, id);
  requireHeadroom(draft, slope.floor);
}

function requireOut(out: number): number {
  requirePositive(out, 'How far from the foot it is read');
  if (out < SAME_PLACE) throw new Refusal('That is at the foot itself: read the higher height farther from the wall.');
  return out;
}

function roomOfSlope(draft: Draft, slope: Slope): Id {
  return slope.room ?? roomUnder(draft, slope, requireFrame(draft, slope), { x: 0, y: INSIDE });
}

export interface RemoveSlope {
  readonly kind: 'removeSlope';
  readonly slope: Id;
  /** With all others of its roof. */
  readonly roof?: boolean;
}

/** With the heights that were read on it. */
function removeSlope(draft: Draft, { slope: id, roof = false }: RemoveSlope): void {
  const slope = requireSlope(draft, id);
  const all = roof ? draft.on('slopes', slope.floor).filter((each) => each.roof === slope.roof) : [slope];
  for (const each of [...all]) dropWithAll(draft, 'slopes', each.id, 'wanted');
}

export function requireSlope(draft: Draft, id: Id): Slope {
  return requireOne(draft, 'slopes', id, 'That slope is no longer there.');
}

function requireFrame(draft: Draft, slope: Slope): Frame {
  const frame = frameOf(networkOfFloor(draft, slope.floor), slope.stand, 0);
  if (!frame) throw new Refusal('The wall of that slope is no longer there.');
  return frame;
}

const floorNow = (draft: Draft, floor: Id): DerivedFloor => deriveFloor(draft.plan(), floor);
const slopeNow = (draft: Draft, id: Id): SlopeOnFloor | undefined =>
  floorNow(draft, draft.slopes[id]!.floor).slopes.find(({ slope }) => slope.id === id);

/** A slope rises from its foot: refuses a knee wall that is higher than the ridge. */
export function requireRising(draft: Draft, id: Id): void {
  const on = slopeNow(draft, id);
  if (!on?.fit || !on.slope.level) return;
  const { units } = draft.job;
  if (on.fit.out <= 0) {
    const sorted = on.heights.map(({ height }) => height).sort((a, b) => a.at!.y - b.at!.y);
    const [foot, top] = [sorted[0]!, sorted.at(-1)!];
    throw new Refusal(
      `The foot would be as high as what lies above it, or higher: ${formatLength(foot.value, units)} against ${formatLength(top.value, units)}. A slope rises from its foot; put it on the wall opposite, or read again.`,
    );
  }
  const pitch = pitchOf(on)!;
  if (pitch > PITCHES.most)
    throw new Refusal(
      `That would be as steep as a wall, ${decimals(pitch, 1)}°. How far from the foot was the higher one read?`,
    );
}

/** How far from a face the wall opposite is, straight across from its middle, mm. */
export const acrossFrom = (face: WallFace, other: WallFace): number => {
  const mid = pointAt(face.course, face.length / 2);
  const foot = pointAt(other.course, alongOf(other.course, mid));
  return Math.hypot(foot.x - mid.x, foot.y - mid.y);
};

export const slopesEdits = {
  addSlope: edit<AddSlope>('sloped ceiling', addSlope),
  readSlope: edit<ReadSlope>('height of a slope', readSlope),
  slopeThrough: edit<SlopeThrough>('sloped ceiling', slopeThrough),
  changeSlope: edit<ChangeSlope>('change slope', changeSlope),
  removeSlope: edit<RemoveSlope>(({ roof }) => (roof ? 'remove roof' : 'remove slope'), removeSlope),
};
