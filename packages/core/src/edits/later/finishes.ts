import { finishedBy, keyOfOn } from '../../finishes/look-of';
import { USUAL_TRIM } from '../../finishes/trim-of';
import { deriveFloor } from '../../derived';
import { type Draft, Refusal } from '../../plan/draft';
import {
  type CollectionName,
  type Finish,
  type FinishLook,
  type FinishOn,
  type Id,
  type Plan,
  type Trim,
  type TrimPart,
} from '../../plan/plan';
import { finishLookSchema } from '../../plan/kinds/finishes';
import { edit } from '../edit';
import { requireOne } from '../require';

export interface LayFinish {
  readonly kind: 'layFinish';
  /** All of them look so afterwards, and what is within them: a wall of its room, a room of the house. */
  readonly on: readonly FinishOn[];
  /** A side of a wall with all that goes on in one line with it, as one sees it from its room. */
  readonly along?: boolean;
  /** Null: they look as what they are in. */
  readonly look: FinishLook | null;
  /** In this option alone; null: in the measured house, and in all options that say nothing else. */
  readonly option: Id | null;
}

const COLLECTION_OF: Readonly<Record<Exclude<FinishOn['what'], 'house'>, CollectionName>> = {
  ...({
    room: 'rooms',
    wall: 'walls',
    opening: 'openings',
    solid: 'solids',
    stair: 'stairs',
    piece: 'pieces',
  } as const),
};

const GONE: Readonly<Record<Exclude<FinishOn['what'], 'house'>, string>> = {
  room: 'That room is not in the measured house. Finish the rooms of the whole house, or alter the plan first.',
  wall: 'That wall is not in the measured house. Finish its room instead.',
  opening: 'That door or window is not in the measured house. Finish all of them instead.',
  solid: 'That column is no longer there.',
  stair: 'Those stairs are no longer there.',
  piece: 'That piece is no longer there.',
};

function layFinish(draft: Draft, { on: asked, along = false, look, option }: LayFinish): void {
  if (option !== null) requireOne(draft, 'options', option, 'That option is no longer there.');
  if (look !== null) requireLook(look);
  const own = option ?? '';
  const rooms = roomsOfSides(draft.before);
  const on = along ? asked.flatMap((each) => alongWith(draft.before, each)) : asked;
  for (const each of on) {
    if (each.what !== 'house') requireOne(draft, COLLECTION_OF[each.what], each.of, GONE[each.what]);
    const key = keyOfOn(each);
    const all = Object.values(draft.finishes);
    const within = all.filter(({ on: part }) => keyOfOn(part) !== key && isWithin(part, each, rooms));
    for (const finish of [...within, ...all.filter(({ on: part }) => keyOfOn(part) === key)])
      if (finish.option === own) draft.drop('finishes', finish.id);
    // what is there in all options stays there: in this one it is covered
    if (look !== null && own !== '')
      for (const finish of within) if (finish.option === '') put(draft, own, finish.on, look);
    if (look !== null) put(draft, own, each, look);
  }
}

/** The sides of all walls of the face that a side of a wall is part of; itself where it is of none. */
function alongWith(plan: Plan, on: FinishOn): readonly FinishOn[] {
  const floor = on.what === 'wall' && Object.hasOwn(plan.walls, on.of) ? plan.walls[on.of]!.floor : null;
  if (floor === null) return [on];
  const sides = deriveFloor(plan, floor).rooms.flatMap(({ faces }) =>
    faces.map(({ halves }) =>
      halves.map(({ wall, forward }): FinishOn => ({ what: 'wall', of: wall.id, part: forward ? 'right' : 'left' })),
    ),
  );
  return sides.find((face) => face.some((side) => keyOfOn(side) === keyOfOn(on))) ?? [on];
}

/** In the place of what was on it in the same option. */
function put(draft: Draft, option: Id, on: FinishOn, look: FinishLook): void {
  const known = Object.values(draft.finishes).find(
    (each) => each.option === option && keyOfOn(each.on) === keyOfOn(on),
  );
  draft.put('finishes', { id: known?.id ?? draft.newId(), option, on, look });
}

/** A copy of a piece looks as that does. */
export function alikeFinished(draft: Draft, piece: Id, copy: Id): void {
  for (const finish of Object.values(draft.finishes))
    if (finish.on.what === 'piece' && finish.on.of === piece)
      draft.put('finishes', { ...finish, id: draft.newId(), on: { ...finish.on, of: copy } });
}

/** The rooms that sides of walls look into, `wall side`. */
function roomsOfSides(plan: Plan): ReadonlyMap<string, Id> {
  const rooms = new Map<string, Id>();
  for (const floor of Object.keys(plan.floors))
    for (const { room, faces } of deriveFloor(plan, floor).rooms)
      for (const { halves } of faces)
        for (const { wall, forward } of halves) rooms.set(`${wall.id} ${forward ? 'right' : 'left'}`, room.id);
  return rooms;
}

/** Is the one a part of the other: would it look like that if it had no look of its own? */
function isWithin(part: Finish['on'], whole: FinishOn, rooms: ReadonlyMap<string, Id>): boolean {
  const key = keyOfOn(whole);
  return surfacesOf(part, rooms).some((surface) => finishedBy(surface).some((on, i) => i > 0 && keyOfOn(on) === key));
}

/** Surfaces by which it is told what a part is in. */
function surfacesOf({ what, of, part }: FinishOn, rooms: ReadonlyMap<string, Id>): string[] {
  switch (what) {
    case 'wall': {
      const room = rooms.get(`${of} ${part}`);
      return [room === undefined ? `outside ${of} ${part}` : `face ${room} ${of} ${part}`];
    }
    case 'room':
      return part === 'face' ? [`face ${of} - right`] : [`${part} ${of}`];
    case 'opening':
      return [`${part} ${of}`];
    case 'solid':
      return [`column ${of}`];
    case 'stair':
      return [`stairs ${of}`];
    case 'piece':
    case 'house':
      return [];
  }
}

function requireLook(look: FinishLook): void {
  const { along, across, joint, stuff, picture } = look;
  if (!(along >= 1 && across >= 1)) throw new Refusal('What is laid is at least 1 mm long and wide.');
  if (!(along <= MOST && across <= MOST)) throw new Refusal('What is laid is 10 m long and wide at most.');
  if (!(joint >= 0 && joint <= 100)) throw new Refusal('A joint is up to 100 mm wide.');
  if (stuff === 'picture' && picture === null) throw new Refusal('Choose the picture first.');
  const sound = finishLookSchema.safeParse(look);
  if (!sound.success) throw new Refusal(sound.error.issues[0]?.message ?? 'That is no finish.');
}
const MOST = 10_000;

export interface FitTrim {
  readonly kind: 'fitTrim';
  readonly part: TrimPart;
  /** Null: in all rooms. */
  readonly room: Id | null;
  /** Null: as the house has it; of the house: none. What is not given is as it was, or as is usual. */
  readonly to: Partial<Pick<Trim, 'profile' | 'height' | 'depth'>> | null;
  readonly option: Id | null;
}

/** What a trim may measure, mm. */
const TRIM_LIMITS = {
  skirting: { height: [10, 600], depth: [3, 150], says: 'A skirting' },
  cornice: { height: [10, 600], depth: [3, 400], says: 'A cornice' },
  board: { height: [5, 100], depth: [1, 400], says: 'A window board' },
} as const;

/** In a room, or in all: then in those too that had another. */
function fitTrim(draft: Draft, { part, room, to, option }: FitTrim): void {
  if (option !== null) requireOne(draft, 'options', option, 'That option is no longer there.');
  if (room !== null) requireOne(draft, 'rooms', room, GONE.room);
  const own = option ?? '';
  const all = Object.values(draft.trims).filter((trim) => trim.part === part);
  const before = all.find((trim) => trim.option === own && trim.room === (room ?? ''));
  for (const trim of all)
    if (trim.option === own && (room === null || trim.room === room)) draft.drop('trims', trim.id);
  if (to === null) return;
  const { profile, height, depth } = { ...USUAL_TRIM[part], ...before, ...to };
  const limits = TRIM_LIMITS[part];
  if (!(height >= limits.height[0] && height <= limits.height[1]))
    throw new Refusal(`${limits.says} is ${limits.height[0]} to ${limits.height[1]} mm high.`);
  if (!(depth >= limits.depth[0] && depth <= limits.depth[1]))
    throw new Refusal(`${limits.says} reaches out ${limits.depth[0]} to ${limits.depth[1]} mm.`);
  const id = before?.id ?? draft.newId();
  draft.put('trims', { id, option: own, room: room ?? '', part, profile, height, depth });
  if (room !== null || own === '') return;
  // in the measured house rooms keep what is theirs: in this option it is covered
  for (const trim of all)
    if (trim.option === '' && trim.room !== '')
      draft.put('trims', { id: draft.newId(), option: own, room: trim.room, part, profile, height, depth });
}

export const finishesEdits = {
  layFinish: edit<LayFinish>(
    ({ look }) => (look ? `finish: ${look.name || look.stuff}` : 'finish taken off'),
    layFinish,
  ),
  fitTrim: edit<FitTrim>(({ part }) => (part === 'board' ? 'window boards' : part), fitTrim),
};
