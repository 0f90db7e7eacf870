import type { FinishOn, Plan } from '@velvet-tape/core';
import { laterRooms } from '../../../../core-later/to-come';
import type { HouseToDraw } from '../../../../workers/raise.worker';

const { finishedBy, partsOfSurface } = laterRooms();

/** What is being finished: a surface, and how much with it. */
export interface Subject {
  readonly surface: string;
  /** As many steps from the surface itself to its room, to the house. */
  readonly scope: FinishOn['what'];
}

/** How much can be finished with a surface, the least first. */
export const scopesOf = (surface: string): readonly FinishOn[] => finishedBy(surface);

/** What is finished now. Null: the surface is of nothing that can be. */
export function onOf({ surface, scope }: Subject): FinishOn | null {
  const all = finishedBy(surface);
  return all.find(({ what }) => what === scope) ?? all[0] ?? null;
}

const PARTS: Readonly<Record<string, string>> = {
  ...{
    face: 'Wall',
    floor: 'Floor',
    ceiling: 'Ceiling',
    skirting: 'Skirting',
    cornice: 'Cornice',
    outside: 'Outer wall',
  },
  ...{ roof: 'Roof', frame: 'Frame', leaf: 'Leaf', board: 'Window board', reveal: 'Reveal', threshold: 'Threshold' },
  ...{ column: 'Column', stairs: 'Stairs', piece: 'Piece' },
};
const MANY: Readonly<Record<string, string>> = {
  ...{
    face: 'All walls',
    floor: 'All floors',
    ceiling: 'All ceilings',
    skirting: 'All skirtings',
    cornice: 'All cornices',
  },
  ...{
    outside: 'All outer walls',
    roof: 'The roof',
    frame: 'All frames',
    leaf: 'All leaves',
    board: 'All window boards',
  },
  ...{ reveal: 'All reveals', threshold: 'All thresholds', column: 'All columns', stairs: 'All stairs' },
};

/** What a chip says that chooses how much is finished. */
export function scopeInWords({ what, part }: FinishOn): string {
  switch (what) {
    case 'house':
      return MANY[part] ?? 'The house';
    case 'room':
      return part === 'face' ? 'Walls of the room' : 'The room';
    case 'wall':
      return 'This wall';
    case 'piece':
      return 'This piece';
    case 'opening':
    case 'solid':
    case 'stair':
      return 'This one';
  }
}

/** What is chosen, for a heading. */
export function subjectInWords(subject: Subject, plan: Plan, house: HouseToDraw): string {
  const on = onOf(subject);
  const { kind, of } = partsOfSurface(subject.surface);
  if (on?.what === 'house') return MANY[kind] ?? 'The house';
  const room = plan.rooms[of[0] ?? ''];
  const where = room ? `, ${room.name || 'unnamed room'}` : '';
  if (kind === 'face' && on?.what === 'room') return `Walls${where}`;
  if (room) return `${PARTS[kind] ?? 'Surface'}${where}`;
  const thing = house.floors.flatMap(({ things }) => things).find(({ key }) => key.endsWith(` ${of[0]}`));
  const name = thing?.name ?? '';
  if (kind === 'piece') return name || 'Piece';
  // walls have no names of their own
  return name && kind !== 'outside' ? `${PARTS[kind] ?? 'Surface'} of ${name}` : (PARTS[kind] ?? 'Surface');
}

/** What can be chosen without a finger on it, of a room and of the house. */
export const LISTED: readonly (readonly [string, (room: string) => Subject])[] = [
  ['Walls of the room', (room) => ({ surface: `face ${room} - right`, scope: 'room' })],
  ['Floor', (room) => ({ surface: `floor ${room}`, scope: 'room' })],
  ['Ceiling', (room) => ({ surface: `ceiling ${room}`, scope: 'room' })],
  ['Skirting', (room) => ({ surface: `skirting ${room}`, scope: 'room' })],
  ['Cornice', (room) => ({ surface: `cornice ${room}`, scope: 'room' })],
  ['Window boards', (room) => ({ surface: `board - ${room}`, scope: 'house' })],
  ['Frames', () => ({ surface: 'frame -', scope: 'house' })],
  ['Door leaves', () => ({ surface: 'leaf -', scope: 'house' })],
  ['Outer walls', () => ({ surface: 'outside - left', scope: 'house' })],
  ['Roof', () => ({ surface: 'roof -', scope: 'house' })],
];
