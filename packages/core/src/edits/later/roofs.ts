import { edit } from '../edit';
import { type WallFace, deriveFloor } from '../../derived';
import { extremes, piecesOfRoom } from '../../ceilings';
import { cross, dot } from '../../geometry';
import { type Draft, Refusal } from '../../plan/draft';
import type { Id, RoofForm, Value } from '../../plan/plan';
import { formatLength } from '../../units';
import { dropWithAll } from '../../plan/footing';
import { acrossFrom, putHeight, putSlope, requirePitch, requireRising, requireRoomOf } from './slopes';
import { requireFace, requirePositive } from '../require';
import { requireHeadroom } from '../require-headroom';

/** A roof over all rooms of a floor: slopes that rise from outer walls. */
export interface AddRoof {
  readonly kind: 'addRoof';
  readonly floor: Id;
  readonly form: RoofForm;
  /** A face along the eaves. */
  readonly face: string;
  /** How high it is at that wall. */
  readonly eaves: Value;
  /** How steep, degrees; or how high at its ridge; of a mansard its upper part. */
  readonly rise: { readonly pitch: number } | { readonly ridge: Value };
  /** How far from the face of the eaves the ridge lies, mm; not given: midway, of a mono roof at the wall opposite. */
  readonly ridgeAt?: number | null;
  /** Of a mansard: how high its lower, steep part reaches, and how steep it is. */
  readonly lower?: { readonly to: Value; readonly pitch: number };
  /** In the place of the roof that this is a slope of. */
  readonly instead?: Id;
}

/** A face by an outer wall, and what of a roof rises from it. */
interface Side {
  readonly face: WallFace;
  /** From the face to the ridge, mm. */
  readonly run: number;
}

function addRoof(draft: Draft, intent: AddRoof): Id {
  const { floor, form, eaves, rise, lower, instead } = intent;
  const face = requireFace(draft, floor, intent.face);
  requireRoomOf(draft, face);
  requirePositive(eaves.value, 'The height of the eaves');
  const { units } = draft.job;
  if ('ridge' in rise) {
    requirePositive(rise.ridge.value, 'The height of the ridge');
    if (rise.ridge.value <= eaves.value)
      throw new Refusal(
        `The eaves would be as high as the ridge, or higher: ${formatLength(eaves.value, units)} against ${formatLength(rise.ridge.value, units)}.`,
      );
  } else requirePitch(rise.pitch);
  if (form === 'mansard') requireLower(draft, intent);
  if (instead !== undefined && draft.slopes[instead]) {
    const { roof } = draft.slopes[instead];
    for (const each of draft.on('slopes', floor).filter((slope) => slope.roof === roof))
      dropWithAll(draft, 'slopes', each.id, 'wanted');
  }
  const sides = sidesOf(draft, intent, face);
  let roof: Id | null = null;
  for (const { face: at, run } of sides) {
    const room = requireRoomOf(draft, at).id;
    if (form === 'mansard' && lower) {
      const steep = putSlope(draft, at, { room: null, roof, pitch: lower.pitch });
      roof ??= steep;
      putHeight(draft, draft.slopes[steep]!, room, { x: 0, y: 0 }, eaves);
    }
    const pitch: number | null = 'pitch' in rise ? rise.pitch : null;
    const id: Id = putSlope(draft, at, { room: null, roof, pitch, out: run });
    roof ??= id;
    const slope = draft.slopes[id]!;
    const foot = form === 'mansard' && lower ? upAt(eaves, lower) : 0;
    putHeight(draft, slope, room, { x: 0, y: foot }, form === 'mansard' && lower ? lower.to : eaves);
    if ('ridge' in rise) {
      if (run - foot < NARROW)
        throw new Refusal('There is no room for a ridge so near to the wall. How far from the wall is it?');
      putHeight(draft, slope, room, { x: 0, y: run }, rise.ridge);
    }
    requireRising(draft, id);
  }
  requireHeadroom(draft, floor);
  sayLow(draft, floor);
  return roof!;
}

/** Under this no rule counts a floor, mm. */
const LOW = 1000;

/** A room that the roof leaves nowhere as high as that is said: the roof may rise from another wall than was meant. */
function sayLow(draft: Draft, floor: Id): void {
  const before = new Map(deriveFloor(draft.before, floor).rooms.map((each) => [each.room.id, each.ceiling]));
  const low = deriveFloor(draft.plan(), floor).rooms.filter(
    ({ room, ceiling, outline }) =>
      !ceiling.level && before.get(room.id) !== ceiling && extremes(piecesOfRoom(ceiling, outline.rings)).highest < LOW,
  );
  if (low.length === 0) return;
  const names = low.map(({ room }) => room.name || 'a room').join(' and ');
  draft.notes.push(
    `Under this roof ${names} would be lower than ${formatLength(LOW, draft.job.units)} everywhere. Was another wall meant? Take it back, or give other eaves.`,
  );
}

/** A ridge nearer to its foot than this is none, mm. */
const NARROW = 200;

const upAt = (eaves: Value, { to, pitch }: { readonly to: Value; readonly pitch: number }): number =>
  (to.value - eaves.value) / Math.tan((pitch * Math.PI) / 180);

function requireLower(draft: Draft, { lower, eaves, rise }: AddRoof): void {
  if (!lower) throw new Refusal('A mansard has a steep lower part: how high does it reach, and how steep is it?');
  requirePitch(lower.pitch);
  const { units } = draft.job;
  if (lower.to.value <= eaves.value || ('ridge' in rise && rise.ridge.value <= lower.to.value))
    throw new Refusal(
      `The lower part of a mansard ends between eaves and ridge; ${formatLength(lower.to.value, units)} does not lie between them.`,
    );
  if ('pitch' in rise && rise.pitch >= lower.pitch)
    throw new Refusal('The lower part of a mansard is the steeper one.');
}

/** Where the slopes of a roof rise from. */
function sidesOf(draft: Draft, { floor, form, ridgeAt }: AddRoof, face: WallFace): Side[] {
  const outer = outerFaces(draft, floor);
  const opposite = farthest(
    face,
    outer.filter((other) => dot(other.d, face.d) < -NEARLY),
  );
  if (!opposite) throw new Refusal('There is no outer wall opposite that one for the roof to reach to.');
  const span = acrossFrom(face, opposite);
  if (ridgeAt !== undefined && ridgeAt !== null && !(ridgeAt > 0 && ridgeAt < span))
    throw new Refusal(`The ridge lies between the two walls, which are ${formatLength(span, draft.job.units)} apart.`);
  if (form === 'mono') return [{ face, run: ridgeAt ?? span }];
  const ridge = ridgeAt ?? span / 2;
  const both = [
    { face, run: ridge },
    { face: opposite, run: span - ridge },
  ];
  if (form !== 'hip') return both;
  const ends = [1, -1].map((way) => {
    const there = outer.filter((other) => cross(face.d, other.d) * way > NEARLY);
    return there.length > 0 ? there.reduce((a, b) => (outwards(face, b, way) > outwards(face, a, way) ? b : a)) : null;
  });
  if (ends.some((end) => !end)) throw new Refusal('A hip roof needs outer walls at its two ends as well.');
  // hips of one pitch: as far from their wall as from the eaves
  return [...both, ...ends.map((end) => ({ face: end!, run: ridge }))];
}

/** Walls count as parallel, or square to each other, up to about 8°. */
const NEARLY = 0.99;

/** How far along the eaves a face lies, one way. */
const outwards = (face: WallFace, other: WallFace, way: number): number =>
  way * dot(face.d, { x: (other.a.x + other.b.x) / 2, y: (other.a.y + other.b.y) / 2 });

/** Straight faces of rooms at walls that have none on their other side. */
function outerFaces(draft: Draft, floor: Id): WallFace[] {
  const { rooms } = deriveFloor(draft.before, floor);
  const sides = new Map<Id, number>();
  for (const { faces } of rooms)
    for (const { halves } of faces) for (const { wall } of halves) sides.set(wall.id, (sides.get(wall.id) ?? 0) + 1);
  return rooms.flatMap(({ faces }) =>
    faces.filter(
      ({ bulge, halves, length }) =>
        bulge === 0 &&
        length > NARROW &&
        halves[0]!.wall.kind !== 'chalk' &&
        halves.every(({ wall }) => sides.get(wall.id) === 1),
    ),
  );
}

/** Of some faces the one farthest across from a face, of those as far the longest. */
function farthest(face: WallFace, others: readonly WallFace[]): WallFace | null {
  let best: { face: WallFace; away: number } | null = null;
  for (const other of others) {
    const away = acrossFrom(face, other);
    const further = !best || away > best.away + NARROW / 4;
    if (further || (away > best!.away - NARROW / 4 && other.length > best!.face.length)) best = { face: other, away };
  }
  return best?.face ?? null;
}

export const roofsEdits = { addRoof: edit<AddRoof>(({ form }) => `${form} roof`, addRoof) };
