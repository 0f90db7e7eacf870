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

/** What a surface is called, and all of its kind. */
const NAMES = new Map<string, { readonly one: string; readonly all?: string }>([
  ['face', { one: 'Wall', all: 'All walls' }],
  ['floor', { one: 'Floor', all: 'All floors' }],
  ['ceiling', { one: 'Ceiling', all: 'All ceilings' }],
  ['skirting', { one: 'Skirting', all: 'All skirtings' }],
  ['cornice', { one: 'Cornice', all: 'All cornices' }],
  ['outside', { one: 'Outer wall', all: 'All outer walls' }],
  ['roof', { one: 'Roof', all: 'The roof' }],
  ['frame', { one: 'Frame', all: 'All frames' }],
  ['leaf', { one: 'Leaf', all: 'All leaves' }],
  ['board', { one: 'Window board', all: 'All window boards' }],
  ['reveal', { one: 'Reveal', all: 'All reveals' }],
  ['threshold', { one: 'Threshold', all: 'All thresholds' }],
  ['column', { one: 'Column', all: 'All columns' }],
  ['stairs', { one: 'Stairs', all: 'All stairs' }],
  ['piece', { one: 'Piece' }],
]);
const oneOf = (kind: string): string => NAMES.get(kind)?.one ?? 'Surface';
const allOf = (kind: string): string => NAMES.get(kind)?.all ?? 'The house';

/** What a chip says that chooses how much is finished. */
export function scopeInWords({ what, part }: FinishOn): string {
  switch (what) {
    case 'house':
      return allOf(part);
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
  if (on?.what === 'house') return allOf(kind);
  const room = plan.rooms[of[0] ?? ''];
  const where = room ? `, ${room.name || 'unnamed room'}` : '';
  if (kind === 'face' && on?.what === 'room') return `Walls${where}`;
  if (room) return `${oneOf(kind)}${where}`;
  const thing = house.floors.flatMap(({ things }) => things).find(({ key }) => key.endsWith(` ${of[0]}`));
  const name = thing?.name ?? '';
  if (kind === 'piece') return name || 'Piece';
  // walls have no names of their own
  return name && kind !== 'outside' ? `${oneOf(kind)} of ${name}` : oneOf(kind);
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
