import { onceFor } from '../memory';
import type { Collection, Finish, FinishLook, FinishOn, Plan } from '../plan/plan';
import { partsOfSurface } from './surface';

/** What of the plan says how surfaces look. */
export type Dressed = Pick<Plan, 'finishes'>;

/** What is the same of all finishes of one part. */
export const keyOfOn = ({ what, of, part }: FinishOn): string => `${what} ${of} ${part}`;

/** Of what is finished in one option: its own before those of all. Of two on one part, which two people gave it, the later by its id. */
const byPart = onceFor((finishes: Collection<Finish>): ReadonlyMap<string, Finish> => {
  const map = new Map<string, Finish>();
  for (const finish of Object.values(finishes)) {
    const key = keyOfOn(finish.on);
    const known = map.get(key);
    if (!known || rank(finish) > rank(known)) map.set(key, finish);
  }
  return map;
});
const rank = ({ option, id }: Finish): string => `${option === '' ? 0 : 1} ${id}`;

/** By what a surface can be finished, the nearest first: itself, its room, the house. None: it can’t be. */
export function finishedBy(surface: string): readonly FinishOn[] {
  const { kind, of } = partsOfSurface(surface);
  const [first = '', second = '', side] = of;
  const house = { what: 'house', of: '', part: kind } as FinishOn;
  switch (kind) {
    case 'face':
      return [
        { what: 'wall', of: second, part: side === 'left' ? 'left' : 'right' },
        { what: 'room', of: first, part: 'face' },
        house,
      ];
    case 'outside':
      return [{ what: 'wall', of: first, part: second === 'left' ? 'left' : 'right' }, house];
    case 'floor':
    case 'ceiling':
    case 'skirting':
    case 'cornice':
      return [{ what: 'room', of: first, part: kind }, house];
    case 'frame':
    case 'leaf':
    case 'board':
    case 'reveal':
    case 'threshold':
      return [{ what: 'opening', of: first, part: kind }, house];
    case 'column':
      return [{ what: 'solid', of: first, part: 'column' }, house];
    case 'stairs':
      return [{ what: 'stair', of: first, part: 'stairs' }, house];
    case 'piece':
      return [{ what: 'piece', of: first, part: second as 'body' }];
    case 'roof':
      return [house];
    case 'cut':
    case 'glass':
      return [];
  }
}

/** The finish that a surface has, of itself or of its room or the house; null: nobody gave it one. */
export function finishOf(surface: string, { finishes }: Dressed): Finish | null {
  const all = byPart(finishes);
  for (const on of finishedBy(surface)) {
    const finish = all.get(keyOfOn(on));
    if (finish) return finish;
  }
  return null;
}

export const finishLookOf = (surface: string, dressed: Dressed): FinishLook | null =>
  finishOf(surface, dressed)?.look ?? null;

/** What of a plan belongs to one option: what is there in all of them, and its own. Null: the measured house. */
export const ofOption = <E extends { readonly option: string }>(
  all: Collection<E>,
  option: string | null,
): Collection<E> =>
  Object.values(all).every((each) => each.option === '' || each.option === option)
    ? all
    : Object.fromEntries(Object.entries(all).filter(([, each]) => each.option === '' || each.option === option));
