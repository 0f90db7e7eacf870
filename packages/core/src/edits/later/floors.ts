import { edit } from '../edit';
import { type Draft, Refusal } from '../../plan/draft';
import { dropWithAll } from '../../plan/footing';
import { type Id, NEW_FLOOR, floorsInOrder } from '../../plan/plan';
import { floorBeside } from '../../plan/storeys';
import { requireFloor, requireName, requirePositive } from '../require';

/** A new floor above or below another; those further up, or down, make room. */
export interface AddFloor {
  readonly kind: 'addFloor';
  readonly of: Id;
  readonly side: 'above' | 'below';
  /** Called by its level unless given. */
  readonly name?: string;
}

export interface ChangeFloor {
  readonly kind: 'changeFloor';
  readonly floor: Id;
  readonly name?: string;
  /** From floor to floor, mm; null: worked out from the ceiling again. */
  readonly height?: number | null;
  /** Between its ceiling and the floor above, mm; null: what is usual. */
  readonly buildUp?: number | null;
  /** Standard deviation of its outer walls over those below, mm; null: they are not held against them. */
  readonly overBelow?: number | null;
  readonly hidden?: boolean;
}

/** It changes places with the one above, or below. */
export interface MoveFloor {
  readonly kind: 'moveFloor';
  readonly floor: Id;
  readonly to: 'above' | 'below';
}

/** It goes, with all that is on it. */
export interface RemoveFloor {
  readonly kind: 'removeFloor';
  readonly floor: Id;
}

function addFloor(draft: Draft, { of, side, name }: AddFloor): Id {
  const { level } = requireFloor(draft, of);
  // the ground floor stays the ground floor: above it floors move up, below it down
  const up = side === 'above' ? level >= 0 : level > 0;
  const own = level + (side === 'above' ? (up ? 1 : 0) : up ? 0 : -1);
  for (const each of Object.values(draft.floors)) {
    if (up ? each.level < own : each.level > own) continue;
    draft.put('floors', { ...each, level: each.level + (up ? 1 : -1) });
  }
  const id = draft.newId();
  draft.put('floors', { id, name: requireName(name ?? usualName(own)), level: own, ...NEW_FLOOR });
  return id;
}

/** What a floor is called by its level. */
export function usualName(level: number): string {
  const ordinal = ORDINALS[Math.abs(level) - 1] ?? `${Math.abs(level)}.`;
  if (level === 0) return 'Ground floor';
  if (level > 0) return `${ordinal} floor`;
  return level === -1 ? 'Cellar' : `${ordinal} cellar`;
}

const ORDINALS = ['First', 'Second', 'Third', 'Fourth', 'Fifth', 'Sixth', 'Seventh', 'Eighth', 'Ninth', 'Tenth'];

function changeFloor(draft: Draft, { floor, name, height, buildUp, overBelow, hidden }: ChangeFloor): void {
  const own = requireFloor(draft, floor);
  if (typeof height === 'number') requireHeight(height);
  if (typeof buildUp === 'number') requireBuildUp(buildUp);
  if (typeof overBelow === 'number' && !(overBelow > 0 && overBelow <= LOOSEST))
    throw new Refusal('Walls stand over those below to within 1 to 500 mm.');
  const called = name === undefined ? own.name : requireName(name);
  if (called === '') throw new Refusal('A floor needs a name.');
  draft.put('floors', {
    ...own,
    name: called,
    ...(height !== undefined && { height }),
    ...(buildUp !== undefined && { buildUp }),
    ...(overBelow !== undefined && { overBelow }),
    ...(hidden !== undefined && { hidden }),
  });
}

/** mm */
const [LOWEST, HIGHEST, THICKEST, LOOSEST] = [1000, 12_000, 2000, 500];

function requireHeight(mm: number): void {
  requirePositive(mm, 'The height of a floor');
  if (mm < LOWEST || mm > HIGHEST)
    throw new Refusal(`From floor to floor it is 1 to 12 m; ${(mm / 1000).toFixed(2)} m can’t be right.`);
}

function requireBuildUp(mm: number): void {
  requirePositive(mm, 'What lies over a ceiling');
  if (mm > THICKEST) throw new Refusal('What lies between a ceiling and the floor above is 2 m at most.');
}

function moveFloor(draft: Draft, { floor, to }: MoveFloor): void {
  const own = requireFloor(draft, floor);
  const other = floorBeside(draft, floor, to);
  if (!other) throw new Refusal(`${own.name || 'It'} is the ${to === 'above' ? 'highest' : 'lowest'} floor already.`);
  draft.put('floors', { ...own, level: other.level });
  draft.put('floors', { ...other, level: own.level });
}

function removeFloor(draft: Draft, { floor }: RemoveFloor): void {
  requireFloor(draft, floor);
  if (floorsInOrder(draft).length === 1) throw new Refusal('A house has at least one floor.');
  dropWithAll(draft, 'floors', floor, 'wanted');
}

export const floorsEdits = {
  addFloor: edit<AddFloor>('add floor', addFloor),
  changeFloor: edit<ChangeFloor>(
    ({ name, hidden }) =>
      name !== undefined
        ? 'name of the floor'
        : hidden === undefined
          ? 'floor height'
          : hidden
            ? 'hide floor'
            : 'show floor',
    changeFloor,
  ),
  moveFloor: edit<MoveFloor>('order of floors', moveFloor),
  removeFloor: edit<RemoveFloor>('remove floor', removeFloor),
};
